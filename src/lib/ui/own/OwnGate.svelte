<script lang="ts">
	/** One gate as fields: what must be shown, of which step, how much. What an any-of holds stands below it. */
	import { MUSCLES } from '#lib/core/body/muscle.ts';
	import { CLEARANCES } from '#lib/core/exercise/family.ts';
	import { TECHNIQUES } from '#lib/core/posture/problem.ts';
	import { CLEARANCE_NAME } from '#lib/wording/gates.ts';
	import { PURPOSE_NAME, TECHNIQUE_NAME } from '#lib/wording/names.ts';
	import Choice from '../Choice.svelte';
	import Field from '../Field.svelte';
	import Tick from '../Tick.svelte';
	import {
		feltGate,
		GATE_NAME,
		GATE_NUMBERS,
		gateOf,
		SHOWN_NAME,
		withNumber,
		type OwnGate
	} from './gate-writing.ts';
	import { numberOr } from './writing.ts';

	type Items = readonly { readonly value: string; readonly name: string }[];
	interface Props {
		readonly gate: OwnGate;
		/** Tells its fields apart from those of the others. */
		readonly of: string;
		readonly steps: Items;
		readonly faults: Items;
		readonly change: (gate: OwnGate) => void;
		/** Inside an any-of: only what a step shows. */
		readonly shown?: boolean;
	}
	let { gate, of, steps, faults, change, shown = false }: Props = $props();
	const names: Readonly<Record<string, string>> = $derived(shown ? SHOWN_NAME : GATE_NAME);
	const step = $derived(steps[0]?.value ?? '');
	const fault = $derived(faults[0]?.value ?? '');
	const valueOf = (e: Event): string => (e.currentTarget as HTMLInputElement).value;
	/** The same gate with one of its words changed: a list only offers words that are of its kind. */
	const word = (key: string, value: string): void => change({ ...gate, [key]: value } as OwnGate);
	const numberIn = (g: OwnGate, key: string): string =>
		String((g as unknown as Record<string, unknown>)[key] ?? '');
</script>

<Choice
	hideLabel
	name="{of}-kind"
	label="Gate"
	value={gate.kind}
	onchange={(e: Event) => change(gateOf(valueOf(e) as OwnGate['kind'], gate, step, fault))}
	items={Object.entries(names).map(([value, name]) => ({ value, name }))}
/>
{#if 'step' in gate}<div class="w-72 max-w-full">
		<Choice
			hideLabel
			name="{of}-step"
			label="Step"
			value={gate.step}
			onchange={(e: Event) => word('step', valueOf(e))}
			items={steps}
		/>
	</div>{/if}
{#each GATE_NUMBERS[gate.kind] ?? [] as n (n.key)}<Field
		name="{of}-{n.key}"
		label={n.label}
		value={numberIn(gate, n.key)}
		oninput={(e: Event) => change(withNumber(gate, n, numberOr(valueOf(e))))}
		inputmode="decimal"
		width="w-16"
	/>{/each}
{#if gate.kind === 'fault-free'}<Choice
		hideLabel
		name="{of}-fault"
		label="Fault"
		value={gate.fault}
		onchange={(e: Event) => word('fault', valueOf(e))}
		items={faults}
	/>
{:else if gate.kind === 'felt'}<Choice
		hideLabel
		name="{of}-muscle"
		label="Muscle"
		value={gate.muscle ?? ''}
		onchange={(e: Event) => change(feltGate(gate, { muscle: valueOf(e) }))}
		items={[
			{ value: '', name: 'the muscle it is for' },
			...MUSCLES.map((m) => ({ value: m, name: PURPOSE_NAME[m] ?? m }))
		]}
	/><Tick
		name="{of}-joint"
		label="and nothing in a joint"
		checked={gate.jointFree === true}
		onchange={(e: Event) =>
			change(feltGate(gate, { jointFree: (e.currentTarget as HTMLInputElement).checked }))}
	/>
{:else if gate.kind === 'clearance'}<Choice
		hideLabel
		name="{of}-what"
		label="Cleared for"
		value={gate.what}
		onchange={(e: Event) => word('what', valueOf(e))}
		items={CLEARANCES.map((c) => ({ value: c, name: CLEARANCE_NAME[c] }))}
	/>
{:else if gate.kind === 'technique'}<Choice
		hideLabel
		name="{of}-technique"
		label="Technique"
		value={gate.technique}
		onchange={(e: Event) => word('technique', valueOf(e))}
		items={TECHNIQUES.map((t) => ({ value: t, name: TECHNIQUE_NAME[t] }))}
	/>
{/if}
