<script lang="ts">
	/** The morning after, in half a minute: pain and swelling of each place, and what else there was. */
	import type { Answered } from '#lib/contract/mine-kept.ts';
	import Score from '#lib/ui/Score.svelte';
	import AnswerBox from '#lib/ui/mine/AnswerBox.svelte';
	import { freshId } from '#lib/ui/mine/clock.ts';
	import { mineHere } from '#lib/ui/mine/context.ts';
	import DayKind from '#lib/ui/mine/DayKind.svelte';
	import Tap from '#lib/ui/mine/Tap.svelte';
	import { regionIn } from '#lib/wording/mine/names.ts';
	import Tick from '#lib/ui/Tick.svelte';

	let { data } = $props();
	const { say, language, enter, dayNow } = mineHere();
	const regions = $derived((data.mine?.arrival ?? []).map((p) => p.region));
	let said = $state<Record<string, string>>({});
	let fever = $state(false);
	let sore = $state<string | undefined>();
	let event = $state('');
	let missing = $state(false);
	let full = $state(false);
	let answered = $state<Answered | null | undefined>(undefined);
	const SWELLING = [
		['none', 'swellingNone'],
		['a-little', 'swellingLittle'],
		['clearly-more', 'swellingMore'],
		['hot', 'swellingHot']
	] as const;
	const leg = (region: string): boolean => /^(knee|hip|ankle|foot|shin|thigh)/.test(region);
	/** Ids of the page: sent twice it is one morning. */
	const ids: Record<string, string> = {};
	const idFor = (name: string): string => (ids[name] ??= freshId());

	async function send(): Promise<void> {
		missing = regions.some((r) => !said[`${r}.pain`] || !said[`${r}.swelling`]);
		if (missing) return;
		const fields: [string, string][] = [
			['day', dayNow()],
			['eventId', idFor('event')],
			['events', event],
			...(sore === undefined ? [] : ([['soreness', sore]] as [string, string][])),
			...(fever ? ([['fever', 'on']] as [string, string][]) : []),
			...regions.flatMap((r): [string, string][] => [
				[`${r}.id`, idFor(r)],
				...['pain', 'swelling', 'stiffness', 'cannotStand', 'calf'].flatMap((k): [string, string][] => {
					const v = said[`${r}.${k}`] ?? '';
					return v === '' ? [] : [[`${r}.${k}`, v]];
				})
			])
		];
		try {
			answered = await enter('morning', fields, idFor('morning'));
			scrollTo({ top: 0 });
		} catch {
			full = true;
		}
	}
</script>

<h1 class="text-xl">{say('morningAsk')}</h1>
{#if full}<p class="my-2 border-4 border-stop p-3 font-semibold text-stop" role="alert">
		{say('notKept')}
	</p>{/if}
{#if answered !== undefined}
	<div class="mt-3"><AnswerBox {answered} /></div>
	<p class="mt-4"><a href="/mine" class="text-lg">{say('back')}</a></p>
{:else}
	{#each regions as r (r)}
		<section aria-label={regionIn(language, r)} class="rule mt-3 pt-1">
			<Score
				name="{r}.pain"
				label={say('painMorning', { region: regionIn(language, r) })}
				ends={say('painEnds').split('|') as [string, string]}
				bind:value={said[`${r}.pain`]}
				wrong={missing && !said[`${r}.pain`] ? say('sayPain') : undefined}
			/>
			<fieldset class="py-1">
				<legend class="font-semibold">{say('swellingAsk', { region: regionIn(language, r) })}</legend>
				<div class="mt-1 grid grid-cols-4 gap-1 max-sm:grid-cols-2">
					{#each SWELLING as [value, key] (value)}<label class="tile"
							><input
								type="radio"
								name="{r}.swelling"
								{value}
								bind:group={said[`${r}.swelling`]}
								class="sr-only"
							/>{say(key)}</label
						>{/each}
				</div>
				{#if missing && !said[`${r}.swelling`]}<p class="text-base text-stop">{say('saySwelling')}</p>{/if}
			</fieldset>
			{#if said[`${r}.swelling`] === 'hot'}<Tick
					touch
					label={say('cannotStand')}
					bind:checked={
						() => said[`${r}.cannotStand`] === 'yes',
						(on) => (said[`${r}.cannotStand`] = on === true ? 'yes' : 'no')
					}
				/>{/if}
			{#if leg(r)}<Tick
					touch
					label={say('calf')}
					bind:checked={
						() => said[`${r}.calf`] === 'on', (on) => (said[`${r}.calf`] = on === true ? 'on' : '')
					}
				/>{/if}
			<label class="flex min-h-12 items-center gap-3"
				>{say('stiff')}<input
					type="number"
					inputmode="numeric"
					min="0"
					max="1440"
					class="min-h-12 w-20 rounded-md border border-edge bg-sheet px-3"
					onchange={(e) => (said[`${r}.stiffness`] = e.currentTarget.value)}
				/></label
			>
		</section>
	{/each}
	<Score
		name="soreness"
		label={say('sore')}
		ends={say('soreEnds').split('|') as [string, string]}
		bind:value={sore}
	/>
	<Tick touch class="rule mt-3 pt-2" label={say('fever')} bind:checked={fever} />
	<DayKind label={say('yesterday')} bind:value={event} />
	<div class="sticky bottom-0 -mx-4 mt-4 border-t bg-paper px-4 py-3">
		<Tap onclick={() => void send()}>{say('keep')}</Tap>
	</div>
{/if}
