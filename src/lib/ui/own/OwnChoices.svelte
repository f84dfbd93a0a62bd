<script lang="ts">
	/** What can be set inside a step: its places gentle to hard, which is usual, and their numbers. */
	import type { Choice as StepChoice } from '#lib/core/exercise/family.ts';
	import { DIALS, type Dial } from '#lib/core/exercise/dial.ts';
	import Choice from '../Choice.svelte';
	import Field from '../Field.svelte';
	import Tick from '../Tick.svelte';
	import { CHOICES_THERE, numbersOfPlace, withPlace, withPlaceNumber } from './choice-writing.ts';
	import { earlier, orNone, replaced } from './lists.ts';
	import { numberOr } from './writing.ts';

	interface Props {
		readonly choices: readonly StepChoice[];
		readonly set: (choices: readonly StepChoice[] | undefined) => void;
	}
	let { choices, set }: Props = $props();
	let from = $state('0');
	const valueOf = (e: Event): string => (e.currentTarget as HTMLInputElement).value;
	const change = (i: number, to: StepChoice | null): void => set(orNone(replaced(choices, i, to)));
	const named = (key: string): string =>
		key === 'pauseSec' ? 'seconds' : key.replace(/(Cm|Deg)$/, ' ($1)').toLowerCase();
	const LINK = 'min-h-9 cursor-pointer text-accent underline disabled:text-quiet disabled:no-underline';
</script>

{#each choices as c, i (`${i}-${c.id}`)}
	<fieldset class="rule py-1.5" data-testid="own-choice">
		<legend class="sr-only">Choice {c.title}</legend>
		<div class="flex flex-wrap items-end gap-x-3">
			<Field
				name="choice-{i}"
				label="Choice"
				value={c.title}
				onchange={(e: Event) => change(i, { ...c, title: valueOf(e) })}
				width="w-36"
			/>
			<Choice
				name="choice-{i}-dial"
				label="Turns"
				value={c.dial}
				onchange={(e: Event) => change(i, { ...c, dial: valueOf(e) as Dial })}
				items={DIALS.map((d) => ({ value: d, name: d }))}
			/>
			<Choice
				name="choice-{i}-usual"
				label="Usually"
				value={c.usual}
				onchange={(e: Event) => change(i, { ...c, usual: valueOf(e) })}
				items={c.of.map((p) => ({ value: p.id, name: p.title }))}
			/>
			<Tick
				name="choice-{i}-ranked"
				label="gentle to hard"
				checked={c.ranked}
				onchange={(e: Event) => change(i, { ...c, ranked: (e.currentTarget as HTMLInputElement).checked })}
			/>
			<button type="button" class={LINK} onclick={() => change(i, null)}>Take choice out</button>
		</div>
		<ol class="pl-4">
			{#each c.of as p, j (p.id)}
				<li class="flex flex-wrap items-end gap-x-3">
					<Field
						name="place-{i}-{j}"
						label="Place {j + 1}"
						hideLabel
						value={p.title}
						onchange={(e: Event) => change(i, withPlace(c, j, { ...p, title: valueOf(e) }))}
						width="w-44"
					/>
					{#each numbersOfPlace(p) as [key, value] (key)}<Field
							name="place-{i}-{j}-{key}"
							label={named(key)}
							value={String(value)}
							oninput={(e: Event) =>
								change(i, withPlace(c, j, withPlaceNumber(p, key, numberOr(valueOf(e)))))}
							inputmode="decimal"
							width="w-18"
						/>{/each}
					<button
						type="button"
						class={LINK}
						disabled={j === 0}
						onclick={() => change(i, { ...c, of: earlier(c.of, j) })}>Gentler</button
					>
					<button
						type="button"
						class={LINK}
						disabled={c.of.length === 1}
						onclick={() => change(i, withPlace(c, j, null))}>Take out</button
					>
				</li>
			{/each}
		</ol>
	</fieldset>
{/each}
<div class="flex flex-wrap items-end gap-x-3">
	<div class="w-96 max-w-full">
		<Choice name="choice-from" label="As the catalogue has it" bind:value={from} items={CHOICES_THERE} />
	</div>
	<button
		type="button"
		class={LINK}
		onclick={() => {
			const choice = CHOICES_THERE.find((c) => c.value === from)?.choice;
			if (choice !== undefined) set([...choices, choice]);
		}}>A choice more</button
	>
</div>
