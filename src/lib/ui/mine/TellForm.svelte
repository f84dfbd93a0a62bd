<script lang="ts">
	/** Something is wrong: told at once, answered at once; what is an emergency is one without a network too. */
	import { ALARMS } from '#lib/core/safety/alarm.ts';
	import { alarmsInSession } from '#lib/core/safety/alarm.ts';
	import type { Symptom } from '#lib/core/session/record.ts';
	import { NOTHING_SAID, type Answered } from '#lib/contract/mine-kept.ts';
	import { ASKED_SYMPTOMS, ASKS_SADDLE_IN, regionIn, SYMPTOM_IN } from '#lib/wording/mine/names.ts';
	import AnswerBox from './AnswerBox.svelte';
	import { mineHere } from './context.ts';
	import Tap from './Tap.svelte';
	import YesNo from './YesNo.svelte';
	import Tick from '../Tick.svelte';

	interface Props {
		readonly regions: readonly string[];
	}
	let { regions }: Props = $props();
	const { say, language, enter, dayNow } = mineHere();
	let open = $state(false);
	let told = $state<string[]>([]);
	let region = $state('');
	let saddle = $state('');
	let answered = $state<Answered | null | undefined>(undefined);
	let full = $state(false);
	const asksSaddle = $derived(told.some((s) => ASKS_SADDLE_IN.has(s)));
	const where = $derived(region === '' ? (regions[0] ?? '') : region);
	/** The same table as on every screen, asked here before any network is. */
	function atOnce(): Answered {
		const said = {
			...{ date: '', observed: false, prescribed: { sets: 0, reps: 0 }, sets: [], pains: [] },
			symptoms: told as Symptom[],
			...(saddle === '' ? {} : { caudaEquina: saddle as 'yes' | 'no' | 'unknown' })
		};
		const [first] = alarmsInSession(
			said,
			where,
			regions.some((r) => r.startsWith('back'))
		);
		return { ...NOTHING_SAID, now: first === undefined ? null : ALARMS[first.alarm].now };
	}
	async function tell(): Promise<void> {
		answered = atOnce();
		try {
			const said = await enter('symptoms', [
				['day', dayNow()],
				['region', where],
				...told.map((s): [string, string] => ['symptoms', s]),
				...(asksSaddle && saddle !== '' ? [['caudaEquina', saddle] as [string, string]] : [])
			]);
			if (said !== null) answered = said;
		} catch {
			full = true;
		}
	}
</script>

<section aria-label={say('tell')}>
	{#if answered !== undefined}
		<AnswerBox {answered} />
		{#if full}<p class="mt-2 text-stop" role="alert">{say('notKept')}</p>{/if}
	{:else if !open}
		<Tap kind="danger" onclick={() => (open = true)}>{say('tell')}</Tap>
	{:else}
		<fieldset>
			<legend class="text-lg font-bold">{say('tellAsk')}</legend>
			{#each ASKED_SYMPTOMS as s (s)}<Tick
					touch
					value={s}
					label={SYMPTOM_IN[language][s]}
					bind:among={told}
				/>{/each}
		</fieldset>
		{#if asksSaddle}<YesNo name="saddle" label={say('saddle')} bind:value={saddle} />{/if}
		{#if regions.length > 1}<label class="block py-2"
				><span class="font-semibold">{say('where')}</span><select
					bind:value={region}
					class="mt-1 block min-h-12 w-full rounded-md border border-edge bg-sheet px-2"
					>{#each regions as r (r)}<option value={r}>{regionIn(language, r)}</option>{/each}</select
				></label
			>{/if}
		<div class="flex flex-wrap gap-3 pt-2">
			<Tap kind="danger" disabled={told.length === 0} onclick={() => void tell()}>{say('tellSend')}</Tap>
			<Tap kind="quiet" onclick={() => (open = false)}>{say('tellNone')}</Tap>
		</div>
	{/if}
</section>
