<script lang="ts">
	import { goto } from '$app/navigation';
	import { page } from '$app/state';
	import { findStep } from '#lib/catalogue/families.ts';
	import type { Given } from '#lib/contract/slip-view.ts';
	import { type ExerciseFamily, stepOf } from '#lib/core/exercise/family.ts';
	import { moreUprightDeg } from '#lib/core/fit/more-upright.ts';
	import KeyHelp from '#lib/ui/KeyHelp.svelte';
	import Said from '#lib/ui/Said.svelte';
	import AnswerForm from '#lib/ui/decide/AnswerForm.svelte';
	import Evidence from '#lib/ui/decide/Evidence.svelte';
	import GivenFigure from '#lib/ui/decide/GivenFigure.svelte';
	import OpenFlags from '#lib/ui/decide/OpenFlags.svelte';
	import SlipHead from '#lib/ui/decide/SlipHead.svelte';
	import SlipList from '#lib/ui/decide/SlipList.svelte';
	import SlipTabs from '#lib/ui/decide/SlipTabs.svelte';
	import UndoForm from '#lib/ui/decide/UndoForm.svelte';
	import { AnswerState } from '#lib/ui/decide/answer-state.svelte.ts';
	import { onKeys } from '#lib/ui/keys.ts';
	import { figureOfStep } from '#lib/ui/scene.ts';
	import { sending } from '#lib/ui/sending.ts';
	import { refusedText, wrongAt } from '#lib/ui/wrong.ts';
	import { uprightText } from '#lib/wording/setup.ts';

	let { data, form } = $props();
	/** The slip that was just signed stays on the table until the next one is asked for. */
	let staying = $state('');
	/** The slip on the table: the one asked for, else the most pressing. */
	const slip = $derived(
		data.slips.find((s) => s.exerciseId === (page.url.searchParams.get('exercise') ?? staying)) ??
			data.slips[0]
	);
	const holding = $derived(data.head.flags.filter((f) => f.severity !== 'caution'));
	/** The ladder a step stands on: the catalogue's, or the practice's own. */
	const familyOf = (id: string): ExerciseFamily | undefined =>
		findStep(id)?.family ?? data.own.find((f) => stepOf(f, id) !== undefined);
	function drawn(given: Given) {
		const family = familyOf(given.step);
		const step = family === undefined ? undefined : stepOf(family, given.step);
		if (step === undefined) return null;
		const setup = given.setup ?? null;
		return {
			title: step.title,
			figure: figureOfStep(step, data.ctx, setup),
			upright: uprightText(moreUprightDeg(step, data.ctx, setup))
		};
	}
	const before = $derived(slip === undefined ? null : drawn(slip.now));
	const after = $derived(slip === undefined || slip.next === null ? null : drawn(slip.next));
	const held = $derived(
		slip === undefined || slip.rule === 'stop.limit'
			? undefined
			: data.head.held.find((h) => h.exerciseId === slip.exerciseId)?.text
	);
	const unchanged = $derived(
		slip?.state === 'stopped'
			? 'Stopped until a licensed user clears it.'
			: slip?.decision === 'stop' && slip.next === null
				? 'Signing stops this exercise until a licensed user clears it.'
				: 'Nothing changes in the prescription.'
	);
	const answer = new AnswerState();
	const begin = (kind: 'altered' | 'overridden') => slip && answer.begin(slip, kind);
	const keys = onKeys({
		a: () => document.querySelector<HTMLButtonElement>('[data-accept] button:not(:disabled)')?.click(),
		g: () => begin('altered'),
		o: () => begin('overridden'),
		u: () => document.querySelector<HTMLButtonElement>('[data-undo] button')?.click(),
		n: () => {
			const next = data.slips[(data.slips.findIndex((s) => s === slip) + 1) % data.slips.length];
			staying = '';
			if (next !== undefined && next !== slip)
				void goto(`?exercise=${next.exerciseId}`, { noScroll: true, keepFocus: true });
		}
	});
	const wrong = $derived(wrongAt(form));
	let lost = $state('');
	const settled = sending(
		(text) => (lost = text),
		() => answer.close()
	);
</script>

<svelte:head><title>Decide · {data.head.name}</title></svelte:head>
<svelte:window onkeydown={keys} />
<KeyHelp
	keys={[
		['a', 'agree and sign'],
		['g', 'something gentler'],
		['o', 'override with a reason'],
		['u', 'undo the last decision'],
		['n', 'next exercise of this client'],
		['0 … 9', 'other pages of this client']
	]}
/>
<main class="page max-w-6xl">
	<Said done={form && 'done' in form ? form.done : undefined} refused={lost || refusedText(form)} />
	{#if data.slips.length > 1}<SlipTabs slips={data.slips} shown={slip} />{/if}
	{#if data.slips.filter((s) => s.together).length > 1}<SlipList
			slips={data.slips}
			formId={data.severalId}
			advancesLeft={data.advancesLeft}
			{settled}
		/>{/if}
	{#if slip}
		{@const mirror = slip.region.endsWith('left')}
		<article data-testid="slip" class="mt-1">
			<SlipHead {slip} title={before?.title ?? slip.now.step} {held} />
			<div class="mt-3 grid grid-cols-[auto_auto_1fr] items-start gap-6 max-md:grid-cols-1">
				{#if before}<GivenFigure when="now" {...before} given={slip.now} {mirror} />{/if}
				{#if after && slip.next}<GivenFigure
						when="next: {slip.change}"
						{...after}
						given={slip.next}
						{mirror}
						framed
					/>
				{:else}<p class="label max-w-40 self-center">{unchanged}</p>{/if}
				<div><Evidence {slip} /></div>
			</div>
			{#if slip.answered}
				<p class="rule mt-4 pt-3"><strong>Answered by {slip.answered.by}.</strong> {slip.answered.text}</p>
			{:else}<AnswerForm
					{slip}
					{answer}
					steps={familyOf(slip.now.step)?.steps ?? []}
					licensed={data.head.licensed}
					{settled}
					stay={() => (staying = slip.exerciseId)}
					{wrong}
				/>{/if}
			{#if data.undoable}<UndoForm undoable={data.undoable} ids={data.undoIds} {settled} />{/if}
		</article>
	{:else}
		<h2>Nothing to decide yet</h2>
		<p class="mt-2">Prescribe a step first: <a href="/clients/{data.head.id}/ladder">to the ladder</a>.</p>
	{/if}
	{#if holding.length > 0 && data.head.licensed}<OpenFlags
			clientId={data.head.id}
			flags={holding}
			closeId={data.closeId}
			{settled}
			{wrong}
		/>{/if}
</main>
