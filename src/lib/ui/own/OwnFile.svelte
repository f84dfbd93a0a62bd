<script lang="ts">
	/** Data of one's own as it is sent: fields over it, what is wrong with it as one types, the text itself, a file to import. All of it or nothing. */
	import type { Snippet } from 'svelte';
	import { enhance } from '$app/forms';
	import type { ReadFault } from '#lib/contract/read-list.ts';
	import Act from '../Act.svelte';
	import Fold from '../Fold.svelte';
	import { sending } from '../sending.ts';

	interface Props {
		/** The one text; fields write into it. */
		content: string;
		/** What the server said of a text that was sent; it holds until something else is typed. */
		readonly form: unknown;
		/** What is wrong with what is typed. */
		readonly faults: readonly ReadFault[];
		/** What is said of it where it holds; null while there is nothing. */
		readonly holds: string | null;
		/** What one, or a list, is of: for the label of the text. */
		readonly of: string;
		/** Nothing of the text can be shown as fields. */
		readonly asText: boolean;
		readonly say: (text: string) => void;
		/** The fields. */
		readonly children: Snippet;
	}
	let { content = $bindable(), form, faults, holds, of, asText, say, children }: Props = $props();
	const answer = $derived((form ?? {}) as { readonly faults?: unknown; readonly content?: unknown });
	const shown = $derived(
		Array.isArray(answer.faults) && answer.faults.length > 0 && answer.content === content
			? (answer.faults as readonly ReadFault[])
			: faults
	);
	$effect.pre(() => {
		if (typeof answer.content === 'string' && answer.content !== '') content = answer.content;
	});
</script>

<form
	method="POST"
	action="?/save"
	enctype="multipart/form-data"
	use:enhance={sending(say)}
	class="mt-3"
	novalidate
>
	{@render children()}
	{#if shown.length > 0}
		<ul class="mt-3 border-l-4 border-stop bg-sheet px-3 py-2" data-testid="own-faults" aria-live="polite">
			{#each shown as f, i (i)}<li class="text-stop">
					{f.line === null ? '' : `Line ${f.line}: `}{f.place}{f.place === '' ? '' : ': '}{f.message}
				</li>{/each}
		</ul>
	{:else if holds !== null}<p class="mt-3 text-tolerated" data-testid="own-holds">{holds}</p>{/if}
	<Fold title="All of it as JSON" needed={content !== '' && asText}>
		<label class="label block" for="own-json">One {of}</label>
		<textarea
			id="own-json"
			name="content"
			bind:value={content}
			rows="18"
			spellcheck="false"
			class="w-full rounded-md border border-edge bg-sheet p-2 font-mono text-sm text-ink"></textarea>
	</Fold>
	<div class="mt-3 flex flex-wrap items-end gap-4">
		<label class="label block"
			>Or import a file <input
				type="file"
				name="file"
				accept=".json,application/json"
				class="block min-h-9 text-ink"
			/></label
		>
		<Act>Save</Act>
		<span class="label">All of it or nothing; each refusal says where and how to mend it.</span>
	</div>
</form>
