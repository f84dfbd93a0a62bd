<script lang="ts">
	/** Agree with one key, or sign something gentler, or override with a reason. */
	import { enhance } from '$app/forms';
	import type { SlipView } from '#lib/contract/slip-view.ts';
	import type { Step } from '#lib/core/exercise/family.ts';
	import { DECISION_WORD } from '#lib/wording/names.ts';
	import Act from '../Act.svelte';
	import { keepForm } from '../keep-form.ts';
	import type { sending } from '../sending.ts';
	import type { AnswerState } from './answer-state.svelte.ts';
	import Instead from './Instead.svelte';

	interface Props {
		readonly slip: SlipView;
		readonly answer: AnswerState;
		readonly steps: readonly Step[];
		readonly licensed: boolean;
		readonly settled: ReturnType<typeof sending>;
		/** The signed slip stays on the table. */
		readonly stay: () => void;
		readonly wrong: (field: string) => string | undefined;
	}
	let { slip, answer, steps, licensed, settled, stay, wrong }: Props = $props();
	const kind = $derived(answer.kindFor(slip));
	const ids = $derived({
		...slip.ids,
		exerciseId: slip.exerciseId,
		basedOn: slip.basedOn,
		hash: slip.hash
	});
	const agreed = $derived(slip.mend ? 'sign the mend' : DECISION_WORD[slip.decision].toLowerCase());
	const nothingGentler = $derived(
		slip.decision === 'refer' || (slip.decision === 'stop' && slip.next === null)
	);
</script>

<form
	method="POST"
	action="?/answer"
	class="rule mt-4 flex flex-wrap items-center gap-3 pt-3"
	use:enhance={settled}
	use:keepForm={'answer'}
	onsubmit={stay}
	novalidate
>
	{#each Object.entries(ids) as [name, value] (name)}<input type="hidden" {name} {value} />{/each}
	<div data-accept>
		<Act name="answer" value="accepted" disabled={slip.decision === 'wait' || slip.closed !== null}
			><kbd class="mr-2 font-mono opacity-80">A</kbd>Agree: {agreed}</Act
		>
	</div>
	<Act
		kind="quiet"
		type="button"
		onclick={() => answer.begin(slip, 'altered')}
		aria-expanded={kind === 'altered'}
		disabled={nothingGentler || slip.closed !== null}
		><kbd class="mr-2 font-mono opacity-80">G</kbd>Gentler</Act
	>
	<Act
		kind="quiet"
		type="button"
		onclick={() => answer.begin(slip, 'overridden')}
		aria-expanded={kind === 'overridden'}
		disabled={!licensed}><kbd class="mr-2 font-mono opacity-80">O</kbd>Override</Act
	>
	{#if slip.decision === 'wait'}<span class="label">What it waits for comes first.</span>{/if}
	{#if slip.closed !== null}<span class="label" data-testid="signing-closed">{slip.closed}</span>
	{:else if !licensed}<span class="label">An override takes a licensed user.</span>{/if}
	{#if kind !== null}<Instead {kind} {answer} {steps} {wrong} />{/if}
</form>
