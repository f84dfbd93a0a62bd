<script lang="ts">
	/** The evening of a day, in half a minute: pain of each place, how sore the muscles are, what kind of day it was. */
	import type { Answered } from '#lib/contract/mine-kept.ts';
	import Score from '#lib/ui/Score.svelte';
	import AnswerBox from '#lib/ui/mine/AnswerBox.svelte';
	import { freshId } from '#lib/ui/mine/clock.ts';
	import { mineHere } from '#lib/ui/mine/context.ts';
	import DayKind from '#lib/ui/mine/DayKind.svelte';
	import Tap from '#lib/ui/mine/Tap.svelte';
	import { regionIn } from '#lib/wording/mine/names.ts';

	let { data } = $props();
	const { say, language, enter, dayNow } = mineHere();
	const regions = $derived((data.mine?.arrival ?? []).map((p) => p.region));
	let pains = $state<Record<string, string>>({});
	let sore = $state<string | undefined>();
	let event = $state('');
	let missing = $state(false);
	let full = $state(false);
	let answered = $state<Answered | null | undefined>(undefined);
	/** Ids of the page: sent twice it is one evening. */
	const ids: Record<string, string> = {};
	const idFor = (name: string): string => (ids[name] ??= freshId());

	async function send(): Promise<void> {
		missing = regions.some((r) => !pains[r]);
		if (missing) return;
		const fields: [string, string][] = [
			['day', dayNow()],
			['eventId', idFor('event')],
			['events', event],
			...(sore === undefined ? [] : ([['soreness', sore]] as [string, string][])),
			...regions.flatMap((r): [string, string][] => [
				[`${r}.id`, idFor(r)],
				[`${r}.pain`, pains[r] ?? '']
			])
		];
		try {
			answered = await enter('evening', fields, idFor('evening'));
			scrollTo({ top: 0 });
		} catch {
			full = true;
		}
	}
</script>

<h1 class="text-xl">{say('eveningAsk')}</h1>
{#if full}<p class="my-2 border-4 border-stop p-3 font-semibold text-stop" role="alert">
		{say('notKept')}
	</p>{/if}
{#if answered !== undefined}
	<div class="mt-3"><AnswerBox {answered} /></div>
	<p class="mt-4"><a href="/mine" class="text-lg">{say('back')}</a></p>
{:else}
	{#each regions as r (r)}<Score
			name="{r}.pain"
			label={say('painEvening', { region: regionIn(language, r) })}
			ends={say('painEnds').split('|') as [string, string]}
			bind:value={pains[r]}
			wrong={missing && !pains[r] ? say('sayPain') : undefined}
		/>{/each}
	<Score
		name="soreness"
		label={say('sore')}
		ends={say('soreEnds').split('|') as [string, string]}
		bind:value={sore}
	/>
	<DayKind label={say('todayWas')} bind:value={event} />
	<div class="sticky bottom-0 -mx-4 mt-4 border-t bg-paper px-4 py-3">
		<Tap onclick={() => void send()}>{say('keep')}</Tap>
	</div>
{/if}
