<script lang="ts">
	/**
	 * What a form was answered, where the eye is: a notice at the foot of the window, above whatever was pressed. A refusal stays until the next
	 * answer; what was done goes by itself, and offers what comes next for this client.
	 */
	import Toast from 'flowbite-svelte/Toast.svelte';
	import { page } from '$app/state';
	import type { HeadView } from '#lib/contract/view.ts';

	interface Props {
		readonly refused?: string | undefined;
		readonly done?: string | undefined;
	}
	let { refused, done }: Props = $props();
	const SHOWN_MS = 12_000;
	let shown = $state(true);
	const head = $derived(page.data.head as HeadView | undefined);
	const next = $derived(head?.work.next ?? null);
	const path = $derived(next === null || head === undefined ? '' : `/clients/${head.id}/${next.to}`);
	$effect(() => {
		// Each answer is a new one, the same words twice included.
		void page.form;
		shown = true;
		if (refused || !done) return;
		const timer = setTimeout(() => (shown = false), SHOWN_MS);
		return () => clearTimeout(timer);
	});
	const BOX =
		'pointer-events-auto flex w-full max-w-xl items-start gap-2 rounded-md border border-l-4 bg-sheet px-3 py-2.5 text-base shadow-lg';
</script>

<div
	role="status"
	aria-live="polite"
	class="no-print pointer-events-none fixed inset-x-3 bottom-3 z-20 flex justify-end empty:hidden max-lg:bottom-17 max-lg:justify-center lg:right-28 lg:left-auto lg:w-xl"
>
	{#if refused && shown}
		<Toast
			bind:toastStatus={shown}
			align={false}
			color="red"
			class="{BOX} border-stop text-stop"
			classes={{ content: 'grow text-base', close: 'text-stop' }}
			closeAriaLabel="Close this notice"
		>
			<p data-testid="refused"><strong>Not saved.</strong> <span>{refused}</span></p>
		</Toast>
	{:else if done && shown}
		<Toast
			bind:toastStatus={shown}
			align={false}
			color="green"
			class="{BOX} border-tolerated text-tolerated"
			classes={{ content: 'grow text-base', close: 'text-tolerated' }}
			closeAriaLabel="Close this notice"
		>
			<p data-testid="done">{done}</p>
			{#if next !== null && path !== page.url.pathname}<p class="text-sm text-quiet">
					Next: <a href={path} data-testid="next-step">{next.text}</a>
				</p>{/if}
		</Toast>
	{/if}
</div>
