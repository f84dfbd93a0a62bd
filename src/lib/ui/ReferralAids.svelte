<script lang="ts">
	/** Published aids for a referral letter. They clear nobody and are not kept: what they say is for the letter and the note. */
	import Fold from './Fold.svelte';
	import SourceLink from './SourceLink.svelte';
	import {
		CLOT_ITEMS,
		clotPoints,
		resistanceGate,
		testGate,
		walkGate,
		type ClotItem
	} from '#lib/core/client/acute.ts';
	import { acuteKneeText, CLOT_NAME, clotText, gateWords } from '#lib/wording/acute.ts';
	import Field from './Field.svelte';
	import Tick from './Tick.svelte';

	let { age }: { readonly age: number } = $props();
	let clot: ClotItem[] = $state([]);
	let knee = $state({ acute: false, kneecap: false, fibula: false, bend: '', steps: '' });
	let signs = $state({ pulse: '', systolic: '', diastolic: '' });
	let heart = $state(false);
	const number = (s: string): number | undefined =>
		s.trim() === '' || !Number.isFinite(Number(s.replace(',', '.')))
			? undefined
			: Number(s.replace(',', '.'));
	const asked = $derived(number(knee.bend) !== undefined && number(knee.steps) !== undefined);
	const resting = $derived(
		Object.fromEntries(
			Object.entries(signs).flatMap(([k, v]) => {
				const n = number(v);
				return n === undefined ? [] : [[k, n]];
			})
		)
	);
</script>

<div data-testid="aids">
	<Fold title="For a referral letter" class="text-lg font-bold text-ink">
		<p class="label mt-1">Nothing here is kept, and nothing here clears anybody.</p>
		<section class="rule mt-2 py-2" aria-label="Clot points">
			<h3>
				Swollen or tender calf: points <span class="text-sm font-normal"
					><SourceLink source="wells-2003" /></span
				>
			</h3>
			{#each CLOT_ITEMS as item (item)}
				<Tick
					name="aid-clot"
					value={item}
					label={CLOT_NAME[item]}
					bind:checked={
						() => clot.includes(item), (on) => (clot = on ? [...clot, item] : clot.filter((x) => x !== item))
					}
				/>
			{/each}
			<p class="mt-1 text-caution" data-testid="clot">{clotText(clotPoints(clot))}</p>
		</section>
		<section class="rule py-2" aria-label="Fresh knee injury">
			<h3>
				Fresh knee injury: X-ray? <span class="text-sm font-normal"><SourceLink source="stiell-1996" /></span>
			</h3>
			<Tick name="aid-acute" label="a fresh injury" bind:checked={knee.acute} />
			<Tick name="aid-kneecap" label="the kneecap alone is tender" bind:checked={knee.kneecap} />
			<Tick name="aid-fibula" label="the head of the fibula is tender" bind:checked={knee.fibula} />
			<div class="my-1 flex gap-4">
				<Field
					name="aid-bend"
					label="Bends to"
					unit="°"
					inputmode="decimal"
					bind:value={knee.bend}
					width="w-18"
				/>
				<Field
					name="aid-steps"
					label="Steps taken, limping counts"
					inputmode="numeric"
					bind:value={knee.steps}
					width="w-18"
				/>
			</div>
			<p class="text-caution" data-testid="acute-knee">
				{asked || !knee.acute
					? acuteKneeText({
							age,
							acute: knee.acute,
							kneecapTenderAlone: knee.kneecap,
							fibulaHeadTender: knee.fibula,
							flexionDeg: number(knee.bend) ?? 0,
							stepsTaken: number(knee.steps) ?? 0
						})
					: 'Give the bend and the steps.'}
			</p>
		</section>
		<section class="rule py-2" aria-label="Resting pulse and pressure">
			<h3>
				At rest today <span class="text-sm font-normal"><SourceLink source="acsm-2015" /></span>
				<span class="text-sm font-normal"><SourceLink source="ats-2002" /></span>
			</h3>
			<div class="my-1 flex gap-3">
				<Field name="aid-pulse" label="Pulse" inputmode="numeric" bind:value={signs.pulse} width="w-16" />
				<Field
					name="aid-systolic"
					label="Upper"
					unit="mmHg"
					inputmode="numeric"
					bind:value={signs.systolic}
					width="w-16"
				/>
				<Field
					name="aid-diastolic"
					label="Lower"
					unit="mmHg"
					inputmode="numeric"
					bind:value={signs.diastolic}
					width="w-16"
				/>
			</div>
			<Tick name="aid-heart" label="a heart event in the last month" bind:checked={heart} />
			{#if Object.keys(resting).length > 0 || heart}
				<ul class="text-sm" data-testid="resting">
					<li>{gateWords('Six-minute walk', walkGate(resting, heart))}</li>
					<li>{gateWords('Other effort tests', testGate(resting))}</li>
					<li>{gateWords('Heavy resistance work', resistanceGate(resting))}</li>
				</ul>
			{/if}
		</section>
	</Fold>
</div>
