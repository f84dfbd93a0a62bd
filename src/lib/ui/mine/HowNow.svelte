<script lang="ts">
	/** How it is before beginning: pain of each place, and whether anything is new. Judged here by the practice's own rules, with or without a network. */
	import { arrival, type Arrival, type ArrivalInput } from '#lib/core/decision/arrival.ts';
	import { type MineView, type OutboxItem } from '#lib/contract/mine.ts';
	import { regionIn } from '#lib/wording/mine/names.ts';
	import Score from '../Score.svelte';
	import { mineHere } from './context.ts';
	import Tap from './Tap.svelte';
	import YesNo from './YesNo.svelte';

	interface Props {
		readonly mine: MineView;
		readonly pains: Readonly<Record<string, string>>;
		/** Kept at each tap. */
		readonly change: (pains: Record<string, string>) => void;
		/** What it comes to, with the pains and what is sent. */
		readonly come: (answer: Arrival, pains: Record<string, string>, fields: OutboxItem['fields']) => void;
	}
	let { mine, pains, change, come }: Props = $props();
	const { say, language, dayNow } = mineHere();
	let now = $state<Record<string, string>>({});
	$effect.pre(() => {
		for (const { region } of mine.arrival) now[region] ??= pains[`${region}.before`] ?? '';
	});
	let something = $state(false);
	let said = $state<Record<string, string>>({});
	let missing = $state(false);
	const FALL = [
		'hipOrNoWeight',
		'legShorterOrTurned',
		'headOnThinners',
		'drowsyOrVomiting',
		'otherPain'
	] as const;
	const asks = $derived<readonly string[]>([
		...(said.fall === 'yes' ? FALL : []),
		...(said.newSwelling === 'yes' ? ['hot', ...(said.hot === 'yes' ? ['cannotStand'] : [])] : [])
	]);
	type Answer = 'yes' | 'no' | 'unknown';
	const is = (key: string): Answer => (said[key] as Answer | undefined) ?? 'no';

	function input(): ArrivalInput {
		return {
			pains: mine.arrival.map((p) => ({ ...p, ...(now[p.region] ? { now: Number(now[p.region]) } : {}) })),
			...(mine.flag === null ? {} : { flag: mine.flag }),
			fever: (said.fever as ArrivalInput['fever'] | undefined) ?? 'no',
			fall: is('fall'),
			newSwelling: is('newSwelling'),
			calf: is('calf'),
			...(is('fall') === 'yes'
				? {
						afterFall: Object.fromEntries(
							FALL.map((f) => [f, said[f] ?? 'unknown'])
						) as unknown as NonNullable<ArrivalInput['afterFall']>
					}
				: {}),
			...(is('newSwelling') === 'yes'
				? {
						swollen: {
							hot: said.hot === 'yes' ? 'yes' : 'no',
							cannotStand: (said.cannotStand as Answer) ?? 'unknown'
						}
					}
				: {})
		};
	}
	function go(): void {
		missing = mine.arrival.some((p) => !now[p.region]);
		if (missing) return;
		const a = input();
		const answer = arrival(a);
		const fields: [string, string][] = [
			['day', dayNow()],
			['fever', a.fever],
			['fall', a.fall],
			['newSwelling', a.newSwelling],
			['calf', a.calf],
			...Object.entries(a.afterFall ?? {}),
			...(a.swollen === undefined
				? []
				: ([
						['hot', a.swollen.hot],
						['cannotStand', a.swollen.cannotStand]
					] as [string, string][])),
			...mine.arrival.map((p): [string, string] => [`pain.${p.region}`, now[p.region] ?? ''])
		];
		come(
			answer,
			Object.fromEntries(mine.arrival.map((p) => [`${p.region}.before`, now[p.region] ?? ''])),
			fields
		);
	}
</script>

<section aria-label={say('howNow')}>
	<h2>{say('howNow')}</h2>
	{#each mine.arrival as p (p.region)}<Score
			name="now.{p.region}"
			label={say('painNow', { region: regionIn(language, p.region) })}
			ends={say('painEnds').split('|') as [string, string]}
			bind:value={
				() => now[p.region],
				(v) => {
					now[p.region] = v ?? '';
					change({ [`${p.region}.before`]: v ?? '' });
				}
			}
			wrong={missing && !now[p.region] ? say('sayPain') : undefined}
		/>{/each}
	<p class="mt-2 font-semibold">{say('anythingNew')}</p>
	{#if something}
		<YesNo name="fever" label={say('fever')} bind:value={() => said.fever ?? '', (v) => (said.fever = v)} />
		<YesNo name="fall" label={say('fall')} bind:value={() => said.fall ?? '', (v) => (said.fall = v)} />
		<YesNo
			name="newSwelling"
			label={say('swelling')}
			bind:value={() => said.newSwelling ?? '', (v) => (said.newSwelling = v)}
		/>
		<YesNo name="calf" label={say('calf')} bind:value={() => said.calf ?? '', (v) => (said.calf = v)} />
		{#each asks as key (key)}<YesNo
				name={key}
				label={say(key as 'hot')}
				bind:value={() => said[key] ?? '', (v) => (said[key] = v)}
			/>{/each}
		<div class="pt-3"><Tap onclick={go}>{say('begin')}</Tap></div>
	{:else}
		<div class="grid gap-3 pt-2">
			<Tap onclick={go}>{say('nothingNew')}</Tap>
			<Tap kind="quiet" onclick={() => (something = true)}>{say('somethingNew')}</Tap>
		</div>
	{/if}
</section>
