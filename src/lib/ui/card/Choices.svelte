<script lang="ts">
	/** What can be set inside the step: one row a choice, gentle to hard where it is ranked; and how the feet stand, from above. */
	import { placeOf, placesOf, unusual } from '#lib/core/exercise/choice.ts';
	import type { Choice, Chosen } from '#lib/core/exercise/family.ts';
	import type { Step } from '#lib/core/exercise/family.ts';
	import type { PlacesFit } from '#lib/core/fit/places.ts';
	import { inProse } from '#lib/wording/units.ts';
	import Fold from '../Fold.svelte';
	import FeetView from './FeetView.svelte';

	interface Props {
		readonly step: Step;
		readonly pick: (chosen: Chosen) => void;
		/** Which places fit this client, and how far each goes; left out, nobody is asked about. */
		readonly places?: readonly PlacesFit[];
		/** Told apart where two cards stand on one page. */
		readonly of?: string;
		/** One line that says how it stands, to open; what is otherwise than usual stands open. */
		readonly folded?: boolean;
	}
	let { step, pick, places = [], of = 'choice', folded = false }: Props = $props();
	const fitOf = (c: Choice): PlacesFit | undefined => places.find((p) => p.choice.id === c.id);
	const shut = (c: Choice, place: string): boolean => fitOf(c)?.fits.has(place) === false;
	/** Ranked choices that fit farther than they stand. */
	const farther = $derived(
		places.flatMap(({ choice, farther }) =>
			farther === undefined ? [] : [`${choice.title} ${inProse(farther.title)}`]
		)
	);
	const at = (c: Choice): string => placeOf(c, step.chosen).id;
	const line = $derived(
		placesOf(step)
			.map(([c, p]) => `${c.title} ${inProse(p.title)}`)
			.join(' · ')
	);
</script>

{#snippet rows()}
	<div class="no-print my-2 flex flex-wrap items-start gap-x-5" data-testid="choices">
		<div class="grid grow gap-y-0.5 text-sm">
			{#each step.choices ?? [] as c (c.id)}
				<div
					role="radiogroup"
					aria-label="{c.title}{c.ranked ? ', gentle to hard' : ''}"
					class="grid grid-cols-[4.5rem_1fr] items-baseline"
				>
					<span class="text-quiet first-letter:uppercase">{c.title}</span>
					<div class="-ml-1.5 flex flex-wrap items-center">
						{#each c.of as p, i (p.id)}
							{#if i > 0}<span class="px-0.5 text-quiet" aria-hidden="true">{c.ranked ? '→' : '·'}</span>{/if}
							<label
								class="flex min-h-7 cursor-pointer items-center rounded px-1.5 has-checked:bg-accent has-checked:text-paper has-focus-visible:outline-2"
								><input
									type="radio"
									name="{of}.{step.id}.{c.id}"
									value={p.id}
									checked={at(c) === p.id}
									onchange={() => pick({ ...step.chosen, [c.id]: p.id })}
									class="sr-only"
									aria-label="{c.title} {inProse(p.title)}{shut(c, p.id) ? ', does not fit' : ''}"
								/><span
									class={shut(c, p.id) ? 'line-through' : ''}
									title={shut(c, p.id) ? 'does not fit' : undefined}>{inProse(p.title)}</span
								></label
							>
						{/each}
					</div>
				</div>
			{/each}
		</div>
		{#if farther.length > 0}<p class="w-full text-sm text-quiet" data-testid="farther">
				As far as fits: {farther.join(', ')}.
			</p>{/if}
		{#if step.feet}<FeetView feet={step.feet} />{/if}
	</div>
{/snippet}

{#if step.choices && folded}
	{#key step.id}
		<div class="no-print my-1">
			<Fold title={line} open={unusual(step, step.chosen).length > 0} class="text-sm text-accent"
				>{@render rows()}</Fold
			>
		</div>
	{/key}
{:else if step.choices}{@render rows()}{/if}
