<script lang="ts">
	/** One row a set: done, effort, clean; holds are timed. */
	import { inUnits, unitName } from '#lib/wording/units.ts';
	import Field from '../Field.svelte';
	import HoldTimer from '../HoldTimer.svelte';
	import Rows from '../Rows.svelte';
	import type { SessionState } from './state.svelte.ts';
	import Tick from '../Tick.svelte';

	interface Props {
		readonly s: SessionState;
		readonly dose: {
			readonly sets: number;
			readonly reps: number;
			readonly loadKg: number;
			readonly unit?: string;
		};
		readonly legs: { readonly own: string; readonly other: string } | null;
		/** What is wrong with a field, by its own name. */
		readonly wrong: (field: string) => string | undefined;
		readonly prefix?: string;
	}
	let { s, dose, legs, wrong, prefix = '' }: Props = $props();
	const timed = $derived(dose.unit === 'sec');
	let watch = $state(false);
	let told = $state('');
	const loaded = $derived(dose.loadKg > 0);
	const heads = $derived([
		'Set',
		`${dose.unit ?? 'reps'} done`,
		'effort',
		legs ? `clean, ${legs.own}` : 'clean',
		...(legs ? [`clean, ${legs.other}`] : []),
		...(loaded ? [unitName('kg'), 'let down after', `to ${unitName('kg')}`] : [])
	]);
	const columns = $derived([
		'reps',
		'effort',
		'clean',
		...(legs ? ['other'] : []),
		...(loaded ? ['load', 'dropAfter', 'dropTo'] : [])
	]);
	const usual = (column: string): string =>
		column === 'reps'
			? String(dose.reps)
			: column === 'effort'
				? (s.v.effort ?? '')
				: column === 'load'
					? String(inUnits(dose.loadKg, 'kg'))
					: '';
</script>

{#if timed}
	<Tick
		class="text-sm"
		label="the phone is on them: the timer stops when the position is lost"
		bind:checked={watch}
	/>
	{#if told}<p class="text-sm text-caution" role="status" data-testid="hold-said">{told}</p>{/if}
{/if}
<Rows {heads} aria-label="Set by set">
	{#each { length: dose.sets }, i (i)}
		<tr>
			<td
				>{#if timed}<HoldTimer
						label="set {i + 1}"
						short={String(i + 1)}
						{watch}
						said={(text) => (told = text)}
						onheld={(seconds) => (s.sets[`${i}.reps`] = String(seconds))}
					/>{:else}{i + 1}{/if}</td
			>
			{#each columns as f (f)}
				<td
					><Field
						name="{prefix}set.{i}.{f}"
						label="Set {i + 1} {f}"
						hideLabel
						bind:value={s.sets[`${i}.${f}`]}
						inputmode="numeric"
						unit={f === 'load' || f === 'dropTo' ? 'kg' : ''}
						hideUnit
						placeholder={usual(f)}
						wrong={wrong(`set.${i}.${f}`)}
						width="{legs || loaded ? 'w-14' : 'w-18'} min-h-12"
					/></td
				>
			{/each}
		</tr>
	{/each}
</Rows>
