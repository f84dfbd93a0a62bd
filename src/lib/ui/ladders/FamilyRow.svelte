<script lang="ts">
	/** A ladder at a glance: figure, where the client is, a mark a step, what holds the next. */
	import type { PrescribedDose } from '#lib/core/dose/dose.ts';
	import { doseText } from '#lib/wording/dose.ts';
	import { isOpen } from '#lib/core/fit/open.ts';
	import type { FitContext, SolvedSetup } from '#lib/core/movement/context.ts';
	import { setupText } from '#lib/wording/setup.ts';
	import FigureView from '../FigureView.svelte';
	import { figureOfStep } from '../scene.ts';
	import type { FamilyRowView } from './family-row.ts';

	interface Props {
		readonly clientId: string;
		readonly row: FamilyRowView;
		/** What is prescribed on this ladder. */
		readonly now:
			| {
					readonly setup: SolvedSetup | null;
					readonly dose: PrescribedDose;
					readonly held: string | null;
			  }
			| undefined;
		/** What else stands on it. */
		readonly also: readonly string[];
		readonly ctx: FitContext;
		/** How sure of it, where it is feared. */
		readonly feared: number | undefined;
		/** Chosen by keys. */
		readonly focused: boolean;
	}
	let { clientId, row, now, also, ctx, feared, focused }: Props = $props();
	const { shown } = $derived(row);
	const setup = $derived(shown.fit.setup === null ? '' : `, ${setupText(now?.setup ?? shown.fit.setup)}`);
	const dose = $derived(
		row.isNow && now ? `, ${doseText(now.dose)}${also.length === 0 ? '' : `; also ${also.join(', ')}`}` : ''
	);
	const beside = $derived(
		[
			...(feared === undefined ? [] : [`feared, sure ${feared}`]),
			...(row.isNow ? [] : [`start: ${shown.step.title}${setup}`])
		].join('; ')
	);
	const marksText = $derived(row.marks.map((m) => `${m.title}: ${m.word}`).join('; '));
	const open = $derived(row.steps.filter(isOpen).length);
</script>

<li class="rule">
	<a
		href="/clients/{clientId}/ladder?family={row.family.id}"
		data-testid="family-{row.family.id}"
		class="grid grid-cols-[58px_1fr] items-center gap-x-3 rounded-md py-0.5 text-ink no-underline hover:bg-wash {focused
			? 'outline-2 -outline-offset-2 outline-accent'
			: ''}"
	>
		<span class="flex justify-center"
			><FigureView figure={figureOfStep(shown.step, ctx, shown.fit.setup)} label="" height={46} /></span
		>
		<span class="min-w-0">
			<span class="flex items-baseline gap-2"
				><strong class="shrink-0">{row.family.title}</strong>{#if beside !== ''}<span
						class="truncate text-sm {feared === undefined ? 'text-quiet' : 'text-caution'}"
						title={beside}>{beside}</span
					>{/if}</span
			>
			{#if row.isNow}<span class="block truncate text-sm font-semibold"
					>now: {shown.step.title}{setup}{dose}</span
				>{/if}
			<span
				class="flex flex-wrap items-center gap-x-[2px] text-[12.5px] leading-none"
				aria-label={marksText}
				role="img"
				>{#each row.marks as m (m.id)}<span
						class="{m.tone} {m.now ? 'rounded-sm outline-1 outline-ink' : ''}"
						title="{m.title}: {m.word}"
						aria-hidden="true">{m.mark}</span
					>{/each}<span class="ml-1.5 whitespace-nowrap text-quiet">{open} of {row.steps.length} open</span
				></span
			>
			<span
				class="block h-[17px] truncate text-[13px] leading-[17px] {now?.held
					? 'font-semibold text-stop'
					: 'text-quiet'}"
				title={now?.held ?? row.why}>{now?.held ?? row.why}</span
			>
		</span>
	</a>
</li>
