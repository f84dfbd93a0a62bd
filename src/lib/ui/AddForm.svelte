<script lang="ts">
	/** A form that adds an entry. Once one was kept the next begins empty: the page brings a new id for it, and a second press would be a second entry. */
	import { enhance } from '$app/forms';
	import type { Snippet } from 'svelte';
	import { keepForm } from './keep-form.ts';
	import { sending } from './sending.ts';

	interface Props {
		readonly action: string;
		/** Of the entry, made by the page. */
		readonly id: string;
		readonly say: (text: string) => void;
		/** Its name among the forms of the page, where what is typed outlives it; a file does not. */
		readonly keep?: string;
		readonly class: string;
		readonly enctype?: 'multipart/form-data';
		readonly children: Snippet;
	}
	let { action, id, say, keep, class: laid, enctype, children }: Props = $props();
	let kept = $state(0);
	const keeping = (form: HTMLFormElement, name: string | undefined) =>
		name === undefined ? undefined : keepForm(form, name);
</script>

{#key kept}
	<form
		method="POST"
		{action}
		{enctype}
		class={laid}
		use:keeping={keep}
		use:enhance={sending(say, () => kept++)}
		novalidate
	>
		<input type="hidden" name="id" value={id} />
		{@render children()}
	</form>
{/key}
