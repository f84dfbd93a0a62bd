<script lang="ts">
	/** One exercise of a plan: drawn as it is set up, how much, since when, what it waits for, what was tried before. */
	import { dragHandle } from 'svelte-dnd-action';
	import type { PlannedWork } from '#lib/contract/plan-view.ts';
	import { doseText } from '#lib/wording/dose.ts';
	import type { Figure } from '#lib/core/figure/shape.ts';
	import { ago, shortDay } from '#lib/wording/days.ts';
	import { regionName } from '#lib/wording/names.ts';
	import { setupText } from '#lib/wording/setup.ts';
	import FigureView from '../FigureView.svelte';
	import Fold from '../Fold.svelte';
	import Note from '../Note.svelte';
	import Rows from '../Rows.svelte';
	import Stroke from '../Stroke.svelte';
	import PauseForm from './PauseForm.svelte';

	interface Props {
		readonly clientId: string;
		readonly w: PlannedWork;
		readonly figure: Figure | null;
		readonly today: string;
		readonly wrong: string | undefined;
		/** Where the refused form wanted it to go. */
		readonly wrongTo: string | undefined;
		readonly say: (text: string) => void;
	}
	let { clientId, w, figure, today, wrong, wrongTo, say }: Props = $props();
	const setup = $derived(setupText(w.given.setup));
	const ENDED = { stopped: 'Stopped until a licensed user clears it.', 'set-aside': 'Set aside' } as const;
	const ended = $derived(w.state === 'stopped' || w.state === 'set-aside' ? ENDED[w.state] : '');
	/** Where it may go from here; what was stopped only a licensed user ends. */
	const WAYS = {
		stands: ['set-aside', 'ended'],
		held: ['set-aside', 'ended'],
		stopped: ['ended'],
		'set-aside': ['active', 'ended']
	} as const;
	const ways = $derived(WAYS[w.state]);
	const last = $derived(
		w.last === null
			? 'not done yet'
			: `last done ${ago(w.last.day, today)}${w.last.worst === null ? '' : `, worst ${w.last.worst}`}`
	);
</script>

<li
	class="rule grid grid-cols-[9rem_1fr] gap-x-5 py-3 max-sm:grid-cols-[5.5rem_1fr] {ended
		? 'opacity-80'
		: ''}"
	data-testid="planned"
>
	<div class="relative flex justify-center">
		<!-- No button: the library leaves alone what has a value. It gives the handle its role and its place among the tab stops. -->
		<div
			use:dragHandle
			aria-label="Move {w.title}"
			title="Drag to another place"
			class="no-print absolute top-0 left-0 flex size-8 items-center justify-center text-quiet"
		>
			⠿
		</div>
		{#if figure}<FigureView
				{figure}
				height={104}
				label="{w.title}, {setup || 'as described'}"
				mirror={w.region.endsWith('left')}
			/>{/if}
	</div>
	<div class="min-w-0">
		<p class="flex flex-wrap items-baseline gap-x-3">
			<a
				class="text-lg font-bold text-ink"
				href="/clients/{clientId}/ladder?family={w.family}&step={w.given.step}&exercise={w.exerciseId}"
				>{w.title}</a
			>
			<span class="text-lg font-bold">{doseText(w.given.dose)}</span>
			{#if setup}<span class="text-lg">{setup}</span>{/if}
			<span class="label">for the {regionName(w.region)}</span>
		</p>
		{#if w.upright}<p class="text-sm">{w.upright[0]?.toUpperCase()}{w.upright.slice(1)}.</p>{/if}
		{#if w.how.length > 0}<p class="text-sm">{w.how.join(' · ')}</p>{/if}
		{#if w.note}<p class="text-sm italic">{w.note}</p>{/if}
		<p class="label">since {shortDay(w.since)} · {last}</p>
		{#if w.heldBy}<Note kind="stop" class="mt-1" data-testid="held"
				>{w.heldBy}
				<a class="underline" href="/clients/{clientId}/decide?exercise={w.exerciseId}">Sign the mend</a></Note
			>
		{:else if ended}<p class="mt-1 font-semibold text-stop">
				{ended}{w.because === null ? '' : `: ${w.because}`}
			</p>{/if}
		{#if w.passedOver}<p class="text-sm text-caution">
				Prescribed past what closes it, by a licensed user: {w.passedOver}
			</p>{/if}
		{#if w.state === 'stands'}<a
				class="no-print mt-1 flex items-center gap-2 text-ink no-underline hover:underline"
				href="/clients/{clientId}/decide?exercise={w.exerciseId}"
				><Stroke decision={w.decision} size={18} /><span>{w.sentence}{w.answered ? ' Answered.' : ''}</span
				></a
			>{/if}
		<div class="no-print flex flex-wrap gap-x-5">
			{#if w.state === 'stands' || w.state === 'held'}<a
					class="flex min-h-9 items-center text-sm text-accent"
					href="/clients/{clientId}/ladder?family={w.family}&step={w.given.step}&exercise={w.exerciseId}"
					>Change it</a
				>{/if}
			{#each ways as to (to)}<PauseForm {w} {to} wrong={wrongTo === to ? wrong : undefined} {say} />{/each}
		</div>
		{#if w.tried.length > 0}<div class="no-print">
				<Fold title="Tried before" class="text-sm text-accent">
					<Rows heads={['until', 'what', 'dose', 'set-up', 'how it ended']} aria-label="Tried before">
						{#each w.tried as t, i (i)}<tr
								><td class="whitespace-nowrap">{shortDay(t.until)}</td><td>{t.title}</td><td>{t.dose}</td><td
									>{t.setup || '–'}</td
								><td>{t.ended}</td></tr
							>{/each}
					</Rows>
				</Fold>
			</div>{/if}
	</div>
</li>
