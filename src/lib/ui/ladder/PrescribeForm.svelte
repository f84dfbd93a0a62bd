<script lang="ts">
	/** The prescribing row: dose, region, what closes it and who may open it. */
	import { enhance } from '$app/forms';
	import { chosenField } from '#lib/contract/setup-form.ts';
	import type { NowView } from '#lib/contract/plan-view.ts';
	import { doseText } from '#lib/wording/dose.ts';
	import type { Particulars } from '#lib/core/dose/particulars.ts';
	import type { Step } from '#lib/core/exercise/family.ts';
	import type { SolvedSetup } from '#lib/core/movement/context.ts';
	import { LENGTHS } from '#lib/core/movement/set-up-length.ts';
	import type { Closed } from '#lib/core/safety/closed.ts';
	import { regionName } from '#lib/wording/names.ts';
	import { closedText } from '#lib/wording/safety.ts';
	import Act from '../Act.svelte';
	import Choice from '../Choice.svelte';
	import Field from '../Field.svelte';
	import Note from '../Note.svelte';
	import Said from '../Said.svelte';
	import type { BandItem } from '#lib/core/dose/band.ts';
	import ParticularFields from './ParticularFields.svelte';
	import { keepForm } from '../keep-form.ts';
	import { sending } from '../sending.ts';
	import { type Answered, refusedText, wrongAt } from '../wrong.ts';

	interface Props {
		readonly form: Answered;
		readonly ids: { readonly id: string; readonly exerciseId: string; readonly endId: string };
		/** What is in the plan. */
		readonly inPlan: readonly Pick<NowView, 'exerciseId' | 'title' | 'region' | 'dose'>[];
		inPlaceOf: string;
		/** Of what it takes the place of. */
		readonly particulars: Particulars;
		readonly bands: readonly BandItem[];
		readonly familyId: string;
		readonly step: Step;
		readonly setup: SolvedSetup | null;
		readonly wedgeCm: number | null;
		readonly regions: readonly string[];
		sore: string;
		sets: string;
		reps: string;
		loadKg: string;
		readonly closed: readonly Closed[];
		/** Why the whole region waits, whatever the step. */
		readonly holds: string | null;
		readonly licensed: boolean;
		readonly trying: boolean;
	}
	let {
		form,
		ids,
		inPlan,
		inPlaceOf = $bindable(),
		particulars,
		bands,
		familyId,
		step,
		setup,
		wedgeCm,
		regions,
		sore = $bindable(),
		sets = $bindable(),
		reps = $bindable(),
		loadKg = $bindable(),
		closed,
		holds,
		licensed,
		trying
	}: Props = $props();
	const COUNT_LABEL = { reps: 'Reps', sec: 'Seconds', steps: 'Steps', breaths: 'Breaths' } as const;
	const wrong = $derived(wrongAt(form));
	const why = $derived([...new Set(closed.map(closedText))].join('; '));
	const nobody = $derived(closed.some((c) => c.who === 'nobody'));
	const opens = $derived(
		nobody
			? 'The protocol comes first.'
			: licensed
				? 'A licensed reason opens it, and is kept.'
				: 'A licensed user may open it, with a reason.'
	);
	const asksReason = $derived(wrong('reason') !== undefined || (closed.length > 0 && !nobody && licensed));
	/** A further exercise, or in place of one of the region. */
	const places = $derived([
		{ value: '', name: 'nothing: a further exercise' },
		...inPlan
			.filter((n) => n.region === sore)
			.map((n) => ({ value: n.exerciseId, name: `${n.title}, ${doseText(n.dose)}` }))
	]);
	const replaced = $derived(inPlan.find((n) => n.exerciseId === inPlaceOf && n.region === sore));
	let lost = $state('');
	let reason = $state('');
</script>

<form
	method="POST"
	action="?/prescribe"
	use:keepForm={'prescribe'}
	use:enhance={sending((text) => (lost = text))}
	class="no-print my-3 border-y py-3"
	novalidate
>
	<input type="hidden" name="id" value={ids.id} />
	<input type="hidden" name="exerciseId" value={ids.exerciseId} />
	<input type="hidden" name="endId" value={ids.endId} />
	<input type="hidden" name="step" value={step.id} />
	<input type="hidden" name="family" value={familyId} />
	{#each LENGTHS as name (name)}<input type="hidden" {name} value={setup?.[name] ?? ''} />{/each}
	<input type="hidden" name="chosen" value={chosenField(step.chosen)} />
	<input type="hidden" name="heelWedgeCm" value={setup?.heelWedgeCm ?? wedgeCm ?? ''} />
	<div class="flex flex-wrap items-end gap-2.5">
		<Field
			name="sets"
			label="Sets"
			bind:value={sets}
			inputmode="numeric"
			wrong={wrong('sets')}
			width="w-12"
		/>
		<Field
			name="reps"
			label={COUNT_LABEL[step.counts ?? 'reps']}
			bind:value={reps}
			inputmode="numeric"
			wrong={wrong('reps')}
			width="w-12"
		/>
		<Field
			name="loadKg"
			label="Load"
			bind:value={loadKg}
			unit="kg"
			inputmode="decimal"
			wrong={wrong('loadKg')}
			width="w-13"
		/>
		{#if regions.length > 1}<Choice
				name="region"
				label="For"
				value={sore}
				onchange={(e: Event) => (sore = (e.currentTarget as HTMLSelectElement).value)}
				items={regions.map((r) => ({ value: r, name: regionName(r) }))}
			/>{:else}<input type="hidden" name="region" value={sore} />{/if}
		{#if places.length > 1}<Choice
				name="inPlaceOf"
				label="In place of"
				value={inPlaceOf}
				onchange={(e: Event) => (inPlaceOf = (e.currentTarget as HTMLSelectElement).value)}
				items={places}
			/>{/if}
		<div data-prescribe class="whitespace-nowrap">
			<Act disabled={holds !== null || nobody || (closed.length > 0 && !licensed)}
				>Prescribe {sets} × {reps}{step.counts === 'sec' ? ' s' : ''}</Act
			>
		</div>
	</div>
	<ParticularFields
		{wrong}
		{bands}
		{particulars}
		timed={step.counts === 'sec'}
		rounds={replaced?.dose.school === 'rounds'}
	/>
	{#if holds !== null}<Note kind="stop" class="mt-2" data-testid="closed">{holds}</Note>
	{:else if closed.length > 0}<Note
			kind={nobody ? 'stop' : 'caution'}
			class="mt-2 text-sm"
			data-testid="closed"><strong>Closed:</strong> {why}. {opens}</Note
		>{/if}
	{#if asksReason}<div class="mt-2">
			<Field
				name="reason"
				label="Reason for prescribing it all the same"
				bind:value={reason}
				wrong={wrong('reason')}
				width="w-full"
			/>
		</div>{/if}
	<div class="mt-2">
		<Said
			refused={lost || refusedText(form)}
			done={form && 'done' in form ? (form.done as string) : undefined}
		/>
	</div>
	<p class="label">
		for the {regionName(sore)}, {replaced === undefined
			? 'as a further exercise'
			: `in place of ${replaced.title}`}{trying
			? '; the tried range is not saved, the check is against what was measured'
			: ''}
	</p>
</form>
