<script lang="ts">
	/** A bend that hurts: in which position, early or late; and where to begin it. */
	import type { ExerciseFamily } from '#lib/core/exercise/family.ts';
	import { BEND_HURTS, enterSoreBend } from '#lib/core/fit/sore-bend.ts';
	import type { FitContext } from '#lib/core/movement/context.ts';
	import { setupText } from '#lib/wording/setup.ts';
	import Choice from '../Choice.svelte';
	import Fold from '../Fold.svelte';

	interface Props {
		readonly family: ExerciseFamily;
		readonly ctx: FitContext;
		readonly choose: (step: string) => void;
	}
	let { family, ctx, choose }: Props = $props();
	let at = $state('');
	let when = $state<string>('early');
	const WHEN = { early: 'from the start', late: 'only late in it' } as const;
	const BY = {
		shorter: 'the same position, stopped short of the pain',
		'step-before': 'one step gentler than where it hurts',
		gentlest: 'nothing before it fits; the gentlest that does'
	} as const;
	const entry = $derived(
		at === '' ? null : enterSoreBend(family, { at, when: when === 'late' ? 'late' : 'early' }, ctx)
	);
	const title = $derived(family.steps.find((s) => s.id === entry?.step)?.title);
</script>

<Fold title="A bend that hurts: where to begin">
	<div class="grid grid-cols-2 gap-3 max-sm:grid-cols-1" data-testid="sore-bend">
		<Choice
			name="sore-at"
			label="It hurts in"
			bind:value={at}
			items={[{ value: '', name: 'choose' }, ...family.steps.map((s) => ({ value: s.id, name: s.title }))]}
		/>
		<Choice
			name="sore-when"
			label="When"
			bind:value={when}
			items={BEND_HURTS.map((w) => ({ value: w, name: WHEN[w] }))}
		/>
	</div>
	{#if entry && title}<p class="mt-2">
			Begin with <button
				type="button"
				class="min-h-12 cursor-pointer font-semibold text-accent underline"
				onclick={() => choose(entry.step)}>{title}</button
			>{#if setupText(entry.setup)}, {setupText(entry.setup)}{/if}: {BY[entry.by]}.
		</p>
		<p class="label">Bending is built, never taken away for good.</p>
	{:else if at !== ''}<p class="mt-2">No step of this ladder fits as measured.</p>{/if}
</Fold>
