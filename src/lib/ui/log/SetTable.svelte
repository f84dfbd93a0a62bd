<script lang="ts">
	/** One row a set: done, effort, clean; holds are timed. */
	import Field from '../Field.svelte';
	import HoldTimer from '../HoldTimer.svelte';
	import Rows from '../Rows.svelte';
	import type { SessionState } from './state.svelte.ts';

	interface Props {
		readonly s: SessionState;
		readonly dose: { readonly sets: number; readonly reps: number; readonly unit?: string };
		readonly legs: { readonly own: string; readonly other: string } | null;
		readonly wrong: (field: string) => string | undefined;
	}
	let { s, dose, legs, wrong }: Props = $props();
	const timed = $derived(dose.unit === 'sec');
	const heads = $derived([
		'Set',
		`${dose.unit ?? 'reps'} done`,
		'effort',
		legs ? `clean, ${legs.own}` : 'clean',
		...(legs ? [`clean, ${legs.other}`] : [])
	]);
	const columns = $derived(['reps', 'effort', 'clean', ...(legs ? ['other'] : [])]);
	const usual = (column: string): string =>
		column === 'reps' ? String(dose.reps) : column === 'effort' ? (s.v.effort ?? '') : '';
</script>

<Rows {heads} aria-label="Set by set">
	{#each { length: dose.sets }, i (i)}
		<tr>
			<td
				>{#if timed}<HoldTimer
						label="set {i + 1}"
						short={String(i + 1)}
						onheld={(seconds) => (s.sets[`${i}.reps`] = String(seconds))}
					/>{:else}{i + 1}{/if}</td
			>
			{#each columns as f (f)}
				<td
					><Field
						name="set.{i}.{f}"
						label="Set {i + 1} {f}"
						hideLabel
						bind:value={s.sets[`${i}.${f}`]}
						inputmode="numeric"
						placeholder={usual(f)}
						wrong={wrong(`set.${i}.${f}`)}
						width="{legs ? 'w-15' : 'w-18'} min-h-12"
					/></td
				>
			{/each}
		</tr>
	{/each}
</Rows>
