<script lang="ts">
	/** A password, typed twice. */
	import { SHORTEST_PASSWORD } from '#lib/contract/practice-form.ts';
	import Field from '../Field.svelte';

	interface Props {
		readonly wrong: (field: string) => string | undefined;
		readonly label?: string;
	}
	let { wrong, label = 'Password' }: Props = $props();
</script>

<Field
	name="password"
	{label}
	type="password"
	autocomplete="new-password"
	wrong={wrong('password')}
	width="w-72 max-w-full"
	placeholder="at least {SHORTEST_PASSWORD} characters"
/>
<Field
	name="again"
	label="Once more"
	type="password"
	autocomplete="new-password"
	wrong={wrong('again')}
	width="w-72 max-w-full"
/>
