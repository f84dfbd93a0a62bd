<script lang="ts">
	/** The session: one exercise at a time. Kept on the device after every tap; what is finished waits for a network if there is none. */
	import { onMount } from 'svelte';
	import type { OutboxItem } from '#lib/contract/mine.ts';
	import { NOTHING_SAID, type Answered } from '#lib/contract/mine-kept.ts';
	import type { Arrival } from '#lib/core/decision/arrival.ts';
	import AnswerBox from '#lib/ui/mine/AnswerBox.svelte';
	import { freshId } from '#lib/ui/mine/clock.ts';
	import { mineHere } from '#lib/ui/mine/context.ts';
	import HowNow from '#lib/ui/mine/HowNow.svelte';
	import HowWas from '#lib/ui/mine/HowWas.svelte';
	import { draftOf, dropDraft, keepDraft } from '#lib/ui/mine/outbox.ts';
	import RunExercise from '#lib/ui/mine/RunExercise.svelte';
	import {
		begin,
		fieldsOf,
		inTurnWith,
		keyOf,
		onward,
		regionsOf,
		setDone,
		toLog,
		withDid,
		type Run
	} from '#lib/ui/mine/run.ts';
	import { stayAwake } from '#lib/ui/mine/signal.ts';
	import Tick from '#lib/ui/Tick.svelte';

	let { data } = $props();
	const mine = $derived(data.mine);
	const { say, enter, dayNow } = mineHere();
	let run = $state.raw<Run | null>(null);
	let restUntil = $state<number | null>(null);
	let sound = $state(true);
	let moving = $state(true);
	let missing = $state(false);
	let full = $state(false);
	let answered = $state<Answered | null | undefined>(undefined);
	const work = $derived(mine?.work ?? []);
	const now = $derived(run === null ? undefined : work[run.at]);

	onMount(() => {
		void start();
		return stayAwake();
	});
	async function start(): Promise<void> {
		const kept = await draftOf<Run>('run').catch(() => undefined);
		const ids = new Set(work.map((w) => w.exerciseId ?? ''));
		// Of another day, or of a plan that was changed since, it begins anew.
		const goesOn =
			kept !== undefined && kept.day === dayNow() && Object.keys(kept.logIds).every((id) => ids.has(id));
		const fresh = begin(work, dayNow(), freshId);
		run = goesOn ? kept : fresh;
	}
	/** Written down before the next tap; a device without room goes on all the same and is told at the end. */
	function to(next: Run): void {
		run = next;
		void keepDraft('run', next).catch(() => (full = true));
	}
	function oneSet(): void {
		if (run === null) return;
		const done = setDone(run, work, Date.now());
		restUntil = done.restUntil;
		to(done.run);
	}
	async function come(
		a: Arrival,
		pains: Record<string, string>,
		fields: OutboxItem['fields']
	): Promise<void> {
		if (run === null) return;
		const arrived: Run = {
			...run,
			pains: { ...run.pains, ...pains },
			closes: a.closes,
			lighter: a.answer === 'lighter'
		};
		// What closed the day closes it after the page was shut and opened too.
		if (a.answer === 'not-today') to({ ...arrived, notToday: { now: a.raised[0]?.now ?? null } });
		else to(onward(arrived, work, -1));
		await enter('arrival', fields).catch(() => (full = true));
	}
	async function keep(): Promise<void> {
		if (run === null) return;
		const made = fieldsOf(run, work);
		missing = 'missing' in made;
		if ('missing' in made) return;
		try {
			answered = await enter('session', made.fields, run.id);
			await dropDraft('run');
			scrollTo({ top: 0 });
		} catch {
			full = true;
		}
	}
	const nothing = $derived(run !== null && run.phase === 'after' && toLog(run, work).length === 0);
</script>

{#if full}<p class="mb-2 border-4 border-stop p-3 font-semibold text-stop" role="alert">
		{say('notKept')}
	</p>{/if}
{#if mine === null || run === null}<p class="label">…</p>
{:else if answered !== undefined}
	<h1 class="text-xl">{say('finished')}</h1>
	<div class="mt-3"><AnswerBox {answered} /></div>
	<p class="mt-4"><a href="/mine" class="text-lg">{say('back')}</a></p>
{:else if run.notToday !== undefined}
	<h1 class="text-xl">{say('howNow')}</h1>
	<div class="mt-3">
		<AnswerBox answered={{ ...NOTHING_SAID, now: run.notToday.now, closes: run.closes }} />
	</div>
	<p class="mt-3"><a href="/mine" class="text-lg">{say('back')}</a></p>
{:else if run.phase === 'now'}
	<HowNow
		{mine}
		pains={run.pains}
		change={(pains) => run !== null && to({ ...run, pains: { ...run.pains, ...pains } })}
		come={(a, pains, fields) => void come(a, pains, fields)}
	/>
{:else if run.phase === 'work' && now !== undefined}
	<p class="label flex flex-wrap items-center gap-x-4">
		<span data-testid="progress">{say('ofMany', { at: run.at + 1, all: work.length })}</span>
		<Tick touch class="ml-auto" label={say('sound')} bind:checked={sound} />
		<Tick touch label={say('still')} bind:checked={() => !moving, (on) => (moving = on !== true)} />
	</p>
	{#key keyOf(now)}<RunExercise
			w={now}
			{run}
			{sound}
			{moving}
			{oneSet}
			withIt={inTurnWith(work, run.at).map((x) => x.title)}
			{restUntil}
			setRest={(until) => (restUntil = until)}
			change={(more) => run !== null && to(withDid(run, now, more))}
			next={() => {
				restUntil = null;
				if (run !== null) to(onward(run, work));
			}}
		/>{/key}
{:else if nothing}
	<h1 class="text-xl">{say('finished')}</h1>
	<p class="mt-4"><a href="/mine" class="text-lg">{say('back')}</a></p>
{:else}
	<HowWas
		regions={regionsOf(run, work)}
		pains={run.pains}
		change={(pains) => run !== null && to({ ...run, pains })}
		sure={run.sure}
		beSure={(sure) => run !== null && to({ ...run, sure })}
		{missing}
		keep={() => void keep()}
	/>
{/if}
