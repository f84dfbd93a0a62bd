<script lang="ts">
	/** Where a step leads and where it goes back to: the easier step, ways back by cause and school, and edges on. */
	import { CAUSES, type Back, type Cause, type Edge } from '#lib/core/exercise/family.ts';
	import { DIALS, type Dial } from '#lib/core/exercise/dial.ts';
	import { TECHNIQUES, type Technique } from '#lib/core/posture/problem.ts';
	import { TECHNIQUE_NAME } from '#lib/wording/names.ts';
	import { CAUSE_NAME } from '#lib/wording/steps.ts';
	import Choice from '../Choice.svelte';
	import { orNone, replaced, toggled } from './lists.ts';
	import Tick from '../Tick.svelte';

	type Items = readonly { readonly value: string; readonly name: string }[];
	interface Props {
		readonly easier: string | null;
		readonly back: readonly Back[];
		readonly next: readonly Edge[];
		/** Every step there is, and those of this ladder. */
		readonly steps: Items;
		readonly own: Items;
		readonly set: (key: 'easier' | 'back' | 'next', value: unknown) => void;
	}
	let { easier, back, next, steps, own, set }: Props = $props();
	const valueOf = (e: Event): string => (e.currentTarget as HTMLInputElement).value;
	const none = (name: string) => ({ value: '', name });
	const setBack = (i: number, to: Back | null): void => set('back', orNone(replaced(back, i, to)));
	const setNext = (i: number, to: Edge | null): void => set('next', replaced(next, i, to));
	/** A key that is only written where it says something. */
	function only(b: Back, key: 'for' | 'technique' | 'frontOfKnee', value: unknown): Back {
		const { [key]: _, ...rest } = b;
		return (value === undefined ? rest : { ...rest, [key]: value }) as Back;
	}
	const LINK = 'min-h-9 cursor-pointer text-accent underline';
</script>

<Choice
	name="easier"
	label="The easier step of this ladder"
	value={easier ?? ''}
	onchange={(e: Event) => set('easier', valueOf(e) === '' ? null : valueOf(e))}
	items={[none('none below'), ...own]}
/>
<ul aria-label="Ways back">
	{#each back as b, i (i)}
		<li class="rule flex flex-wrap items-end gap-x-3 py-1.5" data-testid="own-back">
			<div class="w-72 max-w-full">
				<Choice
					name="back-{i}"
					label="Back to"
					value={b.to}
					onchange={(e: Event) => setBack(i, { ...b, to: valueOf(e) })}
					items={steps}
				/>
			</div>
			<Choice
				name="back-{i}-technique"
				label="Taught"
				value={b.technique ?? ''}
				onchange={(e: Event) =>
					setBack(i, only(b, 'technique', valueOf(e) === '' ? undefined : (valueOf(e) as Technique)))}
				items={[none('any way'), ...TECHNIQUES.map((t) => ({ value: t, name: TECHNIQUE_NAME[t] }))]}
			/>
			<Choice
				name="back-{i}-front"
				label="Front of the knee"
				value={b.frontOfKnee === undefined ? '' : String(b.frontOfKnee)}
				onchange={(e: Event) =>
					setBack(i, only(b, 'frontOfKnee', valueOf(e) === '' ? undefined : valueOf(e) === 'true'))}
				items={[none('not asked'), { value: 'true', name: 'sore' }, { value: 'false', name: 'not sore' }]}
			/>
			<button type="button" class={LINK} onclick={() => setBack(i, null)}>Take out</button>
			<fieldset class="flex w-full flex-wrap gap-x-3 text-sm">
				<legend class="label">When it comes from{b.for === undefined ? ' anything' : ''}</legend>
				{#each CAUSES as c (c)}<Tick
						label={CAUSE_NAME[c]}
						bind:checked={
							() => b.for?.includes(c) === true,
							(on) => setBack(i, only(b, 'for', toggled<Cause>(b.for, c, on === true)))
						}
					/>{/each}
			</fieldset>
		</li>
	{/each}
</ul>
<button type="button" class={LINK} onclick={() => set('back', [...back, { to: steps[0]?.value ?? '' }])}
	>A way back more</button
>
<ul aria-label="Leads to">
	{#each next as n, i (i)}
		<li class="rule flex flex-wrap items-end gap-x-3 py-1.5" data-testid="own-edge">
			<Choice
				name="next-{i}"
				label="Leads to"
				value={n.to}
				onchange={(e: Event) => setNext(i, { ...n, to: valueOf(e) })}
				items={own}
			/>
			<Choice
				name="next-{i}-dial"
				label="Turning"
				value={n.dial}
				onchange={(e: Event) => setNext(i, { ...n, dial: valueOf(e) as Dial })}
				items={DIALS.map((d) => ({ value: d, name: d }))}
			/>
			<button type="button" class={LINK} onclick={() => setNext(i, null)}>Take out</button>
		</li>
	{/each}
</ul>
{#if own.length > 0}<button
		type="button"
		class={LINK}
		onclick={() => set('next', [...next, { to: own[0]?.value ?? '', dial: 'depth' }])}>An edge more</button
	>{/if}
