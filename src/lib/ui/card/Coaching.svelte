<script lang="ts">
	/** What is said and watched while it is done: gates, cues, the brace of this practice, faults, cautions. */
	import type { Brace, ExerciseFamily, Step } from '#lib/core/exercise/family.ts';
	import { BRACE } from '#lib/catalogue/brace.ts';
	import type { CardReading } from './reading.ts';

	interface Props {
		readonly family: ExerciseFamily;
		readonly step: Step;
		readonly card: CardReading;
		readonly gates: readonly { readonly met: boolean; readonly text: string }[];
		readonly brace: Brace;
	}
	let { family, step, card, gates, brace }: Props = $props();
	/** Where the trunk carries: a load, a bend, a plank. */
	const braced = $derived(
		step.tags.includes('spine-load') || ['hinge', 'trunk', 'bridge'].includes(family.id)
	);
	const FAULTS_SHOWN = 4;
	const watched = $derived(
		card.faults
			.slice(0, FAULTS_SHOWN)
			.map((f) => f.title.toLowerCase())
			.join(', ')
	);
</script>

{#if gates.length > 0}
	<ul class="my-2 text-sm" aria-label="Gates">
		{#each gates as g (g.text)}<li class={g.met ? 'text-tolerated' : 'text-caution'}>
				{g.met ? '✓ gate met' : '○ gate open'}: {g.text}
			</li>{/each}
	</ul>
{/if}
<ol class="my-2 list-decimal pl-5 text-sm">
	{#each card.cues as cue (cue)}<li>{cue}</li>{/each}
</ol>
{#if braced}<p class="text-sm">
		<span class="label">Brace, {BRACE[brace].title.toLowerCase()}:</span>
		{BRACE[brace].cue}.
	</p>{/if}
{#if card.contradicts}<p class="text-sm text-caution">{card.contradicts}</p>{/if}
<p class="text-sm"><span class="label">Watch for:</span> {watched}</p>
<ul class="my-2 border-l-4 border-caution pl-3 text-sm">
	{#each [...step.cautions, ...family.cautions] as c (c)}<li>{c}</li>{/each}
</ul>
