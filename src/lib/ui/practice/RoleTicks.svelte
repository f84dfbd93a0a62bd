<script lang="ts">
	/** What somebody is in the practice. */
	import { ROLES } from '#lib/contract/practice-form.ts';
	import { ROLE_NAME } from '#lib/wording/practice.ts';
	import Tick from '../Tick.svelte';

	interface Props {
		readonly has: readonly string[];
		readonly wrong: string | undefined;
	}
	let { has, wrong }: Props = $props();
</script>

<fieldset class="flex flex-wrap gap-x-5">
	<legend class="label">Is</legend>
	{#each ROLES as role (role)}<Tick
			name="roles"
			value={role}
			label={ROLE_NAME[role] ?? role}
			checked={has.includes(role)}
		/>{/each}
	{#if wrong}<p class="w-full text-sm text-stop">{wrong}</p>{/if}
</fieldset>
