<script lang="ts">
	/** The total of a questionnaire, with what it means against the last one. Only the total is kept, no items. */
	import { questionnaire, QUESTIONNAIRES } from '#lib/catalogue/questionnaires.ts';
	import { acceptTotal, totalChange } from '#lib/core/measure/questionnaire.ts';
	import { changeText } from '#lib/wording/measure.ts';
	import Choice from '../Choice.svelte';
	import Field from '../Field.svelte';

	interface Props {
		readonly id: string;
		readonly totals: readonly { readonly instrument: string; readonly total: number }[];
		readonly at: (field: string) => string | undefined;
		instrument: string;
		total: string;
	}
	let { id, totals, at, instrument = $bindable(), total = $bindable() }: Props = $props();
	const chosen = $derived(questionnaire(instrument));
	const last = $derived(totals.filter((t) => t.instrument === instrument).pop());
	const aboutOf = ({ range, better, licence, note }: (typeof QUESTIONNAIRES)[number]): string =>
		[
			`${range[0]}–${range[1]}, ${better === 'higher' ? 'more' : 'less'} is better`,
			...(licence === 'licensed' ? ['the practice needs its own licence'] : []),
			...(note ? [note] : [])
		].join('; ');
	const said = $derived.by((): string => {
		if (chosen === undefined) return 'Only the total, its version and the day are kept; no items.';
		const n = Number(total.replace(',', '.'));
		if (total.trim() === '' || Number.isNaN(n)) return aboutOf(chosen);
		const accepted = acceptTotal(chosen, n);
		if (!accepted.ok) return accepted.refusal.message;
		const change =
			last === undefined ? '' : `${changeText(totalChange(chosen, last.total, n), last.total, 'points')}; `;
		return `${change}${aboutOf(chosen)}`;
	});
</script>

<h2 class="mt-6">Questionnaire total</h2>
<div class="rule flex flex-wrap items-end gap-4 pt-2">
	<input type="hidden" name="total.id" value={id} />
	<Choice
		name="total.instrument"
		label="Questionnaire"
		bind:value={instrument}
		items={[
			{ value: '', name: 'none' },
			...QUESTIONNAIRES.map((q) => ({ value: q.id, name: `${q.name} (${q.about})` }))
		]}
	/>
	<Field
		name="total.version"
		label="Version: language, year"
		autocomplete="off"
		wrong={at('total.version')}
		width="w-40"
	/>
	<Field
		name="total.value"
		label="Total"
		inputmode="decimal"
		bind:value={total}
		wrong={at('total.value')}
		width="w-20"
	/>
</div>
<p class="label mt-1">{at('total.instrument') ?? said}</p>
