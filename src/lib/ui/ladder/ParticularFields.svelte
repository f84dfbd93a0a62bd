<script lang="ts">
	/** How it is done and how often; folded until somebody wants to say it. */
	import { bandHere, BANDS, isNotOwned, type Band, type BandItem } from '#lib/core/dose/band.ts';
	import { WHERE, type Particulars } from '#lib/core/dose/particulars.ts';
	import { BAND_NAME, particularsText, WHERE_NAME } from '#lib/wording/plan.ts';
	import Choice from '../Choice.svelte';
	import Field from '../Field.svelte';
	import Fold from '../Fold.svelte';
	import Tick from '../Tick.svelte';

	interface Props {
		readonly wrong: (field: string) => string | undefined;
		readonly particulars: Particulars;
		/** The practice's own, by name and rank. */
		readonly bands: readonly BandItem[];
		/** The dose counts seconds already. */
		readonly timed: boolean;
		/** Its sets are rounds of a circuit. */
		readonly rounds: boolean;
	}
	let { wrong, particulars: p, bands, timed, rounds }: Props = $props();
	const bandName = (b: Band): string => {
		const here = bandHere(bands, b);
		return `${BAND_NAME[b]}${here === undefined ? (isNotOwned(bands, b) ? ', not here' : '') : `: ${here.name}`}`;
	};
	const FIELDS = [
		...[
			'holdSec',
			'tempo',
			'restSec',
			'workSec',
			'effortPct',
			'blockMin',
			'effort',
			'daysPerWeek',
			'band',
			'where',
			'note'
		]
	] as const;
	const NUMBERS = [
		{ name: 'restSec', label: 'Rest', unit: 's' },
		{ name: 'workSec', label: 'Work', unit: 's' },
		{ name: 'effortPct', label: 'Push', unit: '%' },
		{ name: 'blockMin', label: 'Block', unit: 'min' }
	] as const;
	const said = $derived([...particularsText(p), ...(p.note === undefined ? [] : [p.note])].join(', '));
	const text = (n: number | undefined): string => (n === undefined ? '' : String(n));
</script>

<Fold
	title={said === '' ? 'Tempo, rest, band, days, a note' : said}
	needed={FIELDS.some((f) => wrong(f) !== undefined)}
	class="mt-1 text-sm text-accent"
>
	<div class="flex flex-wrap items-end gap-2.5 pb-2">
		{#if !timed}<Field
				name="holdSec"
				label="Hold"
				unit="s"
				value={text(p.holdSec)}
				inputmode="numeric"
				wrong={wrong('holdSec')}
				width="w-12"
			/>{/if}
		<Field name="tempo" label="Tempo" value={p.tempo ?? ''} wrong={wrong('tempo')} width="w-20" />
		{#each NUMBERS as { name, label, unit } (name)}<Field
				{name}
				{label}
				{unit}
				value={text(p[name])}
				inputmode="numeric"
				wrong={wrong(name)}
				width="w-12"
			/>{/each}
		<Field
			name="effort"
			label="Effort, of 10"
			value={text(p.effort)}
			inputmode="decimal"
			wrong={wrong('effort')}
			width="w-12"
		/>
		<Field
			name="daysPerWeek"
			label="Days a week"
			value={text(p.daysPerWeek)}
			inputmode="numeric"
			wrong={wrong('daysPerWeek')}
			width="w-12"
		/>
		<Choice
			name="band"
			label="Band"
			value={p.band ?? ''}
			items={[{ value: '', name: 'none' }, ...BANDS.map((b) => ({ value: b, name: bandName(b) }))]}
		/>
		<Choice
			name="where"
			label="Where"
			value={p.where ?? ''}
			items={[{ value: '', name: 'not said' }, ...WHERE.map((w) => ({ value: w, name: WHERE_NAME[w] }))]}
		/>
		<Tick name="rounds" label="in rounds, 1 → 3 → 5" checked={rounds} />
		<Tick name="asNeeded" label="when it is needed, outside the week" checked={p.asNeeded === true} />
		<Tick name="painPerSide" label="pain asked for each side" checked={p.painPerSide === true} />
		<Field name="note" label="For the client" value={p.note ?? ''} wrong={wrong('note')} width="w-full" />
	</div>
</Fold>
