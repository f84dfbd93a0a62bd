<script lang="ts">
	/** Several clients at once: a line each with their rest, and whoever is chosen beside it with all of what is at hand. Kept on the device after every tap. */
	import { onMount } from 'svelte';
	import { SvelteSet } from 'svelte/reactivity';
	import { page } from '$app/state';
	import { floorAddress, MOST_ON_FLOOR, type FloorClient } from '#lib/contract/floor.ts';
	import { beginOn, begun, goesOn, oneSet, stateOf, type OnFloor } from '#lib/ui/floor/floor.ts';
	import FindClient from '#lib/ui/FindClient.svelte';
	import FloorRow from '#lib/ui/floor/FloorRow.svelte';
	import { sayKept } from '#lib/ui/away/context.ts';
	import { handIn, type HandedIn } from '#lib/ui/away/hand-in.ts';
	import KeepHere from '#lib/ui/away/KeepHere.svelte';
	import { postSession, type Fields } from '#lib/ui/away/send.ts';
	import KeyHelp from '#lib/ui/KeyHelp.svelte';
	import { onKeys } from '#lib/ui/keys.ts';
	import { freshId } from '#lib/ui/mine/clock.ts';
	import { setMine } from '#lib/ui/mine/context.ts';
	import HowWas from '#lib/ui/mine/HowWas.svelte';
	import { draftOf, dropDraft, keepDraft } from '#lib/ui/mine/outbox.ts';
	import RunExercise from '#lib/ui/mine/RunExercise.svelte';
	import { fieldsOf, inTurnWith, keyOf, onward, regionsOf, withDid } from '#lib/ui/mine/run.ts';
	import { sayIn } from '#lib/ui/mine/say.ts';
	import { endOfTime, stayAwake } from '#lib/ui/mine/signal.ts';
	import Tick from '#lib/ui/Tick.svelte';

	let { data } = $props();
	const say = sayIn('en');
	// The parts of a client's own page, told by whoever sees them: nothing here is sent through their outbox.
	setMine({ say, language: 'en', enter: () => Promise.resolve(null), dayNow: () => '' });
	let floor = $state.raw<Readonly<Record<string, OnFloor>>>({});
	let chosen = $state('');
	let now = $state(0);
	let sound = $state(true);
	let missing = $state(false);
	let said = $state<Readonly<Record<string, HandedIn>>>({});
	let full = $state(false);
	const ids = $derived(data.clients.map((c) => c.clientId));
	const one = $derived(data.clients.find((c) => c.clientId === chosen) ?? data.clients[0]);
	const on = $derived(one === undefined ? undefined : floor[one.clientId]);
	const work = $derived(one !== undefined && on?.run.phase === 'work' ? one.work[on.run.at] : undefined);

	async function begin(): Promise<void> {
		const all = await Promise.all(
			data.clients.map(async (c) => {
				const kept = await draftOf<OnFloor>(`floor:${c.clientId}`).catch(() => undefined);
				return [c.clientId, goesOn(kept, c) ? kept : beginOn(c, freshId)] as const;
			})
		);
		floor = { ...Object.fromEntries(all) };
	}
	$effect(() => {
		if (data.clients.some((c) => floor[c.clientId] === undefined)) void begin();
	});
	/** Whose rest was said to be over, so that it is said once. */
	const rung = new SvelteSet<string>();
	onMount(() => {
		const timer = setInterval(() => {
			now = Date.now();
			for (const c of data.clients) {
				const here = floor[c.clientId];
				const key = `${c.clientId}|${here?.restUntil ?? ''}`;
				if (here === undefined || stateOf(c, here, now) !== 'rest-over' || rung.has(key)) continue;
				rung.add(key);
				endOfTime(sound);
			}
		}, 250);
		const awake = stayAwake();
		return () => {
			clearInterval(timer);
			awake();
		};
	});
	function put(c: FloorClient, more: Partial<OnFloor>): void {
		const before = floor[c.clientId];
		if (before === undefined) return;
		const next = { ...before, ...more };
		floor = { ...floor, [c.clientId]: next };
		void keepDraft(`floor:${c.clientId}`, next).catch(() => (full = true));
	}
	function setDone(c: FloorClient): void {
		const here = floor[c.clientId];
		if (here === undefined) return;
		const next = oneSet(c, here, Date.now());
		if (next.on !== here) put(c, next.on);
		if (next.asks) chosen = c.clientId;
	}
	async function log(c: FloorClient): Promise<void> {
		const here = floor[c.clientId];
		if (here === undefined) return;
		const made = fieldsOf(here.run, c.work);
		missing = 'missing' in made;
		if ('missing' in made) return;
		said = { ...said, [c.clientId]: await hand(c, here.run, made.fields) };
		if (said[c.clientId]?.ok !== true) return;
		put(c, { logged: true });
		await dropDraft(`floor:${c.clientId}`).catch(() => undefined);
	}
	async function hand(c: FloorClient, run: OnFloor['run'], told: Fields): Promise<HandedIn> {
		const box = await import('#lib/ui/away/box.ts');
		const whose = { member: page.data.me?.id ?? '', clientId: c.clientId, client: c.name };
		const fields: Fields = [['id', run.id], ['observed', 'on'], ...told];
		const done = await handIn(
			{ ...whose, id: run.id, day: run.day, fields, at: Date.now() },
			postSession,
			box.keep
		);
		if (done.away) sayKept();
		return done;
	}
	const without = (id: string): string => floorAddress(ids.filter((x) => x !== id));
	const keys = onKeys({
		...Object.fromEntries(
			Array.from({ length: MOST_ON_FLOOR }, (_, i) => [
				String(i + 1),
				() => void (chosen = data.clients[i]?.clientId ?? chosen)
			])
		),
		s: () => one !== undefined && setDone(one),
		r: () => one !== undefined && put(one, { restUntil: null })
	});
</script>

{#snippet bringIn()}
	{#if data.clients.length < MOST_ON_FLOOR}<FindClient
			touch
			class="mt-4"
			label="Bring in"
			found={data.others}
			to={(id) => floorAddress([...ids, id])}
			nobody="Nobody else of that name comes here."
			keep={data.ofToday ? {} : { with: ids.join(',') }}
		/>{/if}
{/snippet}

<svelte:head><title>Floor · Bolster</title></svelte:head>
<svelte:window onkeydown={keys} />
<KeyHelp
	keys={[
		['1 … 6', 'take up this client'],
		['s', 'set done'],
		['r', 'end the rest']
	]}
/>
<main class="page">
	<div class="mb-2 flex flex-wrap items-baseline gap-x-4 gap-y-1">
		<h1>Floor</h1>
		<p class="text-quiet">
			{data.clients.length === 0
				? 'Nobody is on it.'
				: data.ofToday
					? 'Who was asked at the door today.'
					: `${data.clients.length} at once`}
		</p>
		<Tick class="text-sm" label="sound" bind:checked={sound} />
		<div class="flex flex-wrap items-center gap-x-3 text-sm"><KeepHere /></div>
	</div>
	{#if full}<p class="mb-2 border-4 border-stop p-2 font-semibold text-stop" role="alert">
			This device has no room left: what is done here is not kept through a reload. Log soon.
		</p>{/if}
	{#if data.clients.length === 0}
		<p class="rule py-5">
			Bring in whoever trains now, or ask somebody at the door on their <em>Arrive</em> page: they stand here by
			themselves then.
		</p>
		{@render bringIn()}
	{:else}
		<div class="grid grid-cols-[minmax(24rem,1fr)_minmax(22rem,26rem)] gap-8 max-lg:grid-cols-1">
			<div class="self-start lg:sticky lg:top-2">
				<ol aria-label="On the floor">
					{#each data.clients as c, i (c.clientId)}{@const here = floor[c.clientId]}
						{#if here}<FloorRow
								client={c}
								on={here}
								{now}
								key={i + 1}
								chosen={c.clientId === one?.clientId}
								choose={() => (chosen = c.clientId)}
								setDone={() => setDone(c)}
								goOn={() => put(c, { restUntil: null })}
								without={without(c.clientId)}
							/>{/if}{/each}
				</ol>
				{@render bringIn()}
			</div>
			{#if one !== undefined && on !== undefined}
				<section aria-label={one.name} class="min-w-0" data-testid="floor-panel">
					<div class="flex items-baseline gap-3">
						<h2>{one.name}</h2>
						<a class="text-sm" href="/clients/{one.clientId}/session">their page</a>
						{#if work?.exerciseId}<a
								class="text-sm"
								href="/clients/{one.clientId}/ladder?exercise={work.exerciseId}"
								title="Other ways of the same purpose that are open, with what is free">swap</a
							>{/if}
					</div>
					{#if said[one.clientId]}<p
							class="my-2 border-l-4 pl-3 {said[one.clientId]?.ok
								? 'border-accent'
								: 'border-stop text-stop'}"
							role="status"
							data-testid="floor-said"
						>
							{said[one.clientId]?.text}
						</p>
						{#each said[one.clientId]?.alarms ?? [] as a (a)}<p
								class="my-2 border-4 border-stop p-2 font-semibold text-stop"
								role="alert"
							>
								{a}
							</p>{/each}{/if}
					{#if on.logged}<p class="label">Logged.</p>
					{:else if one.flag}<p class="border-l-4 border-stop pl-3">
							A red flag is open: nothing is done until it is closed. <a href="/clients/{one.clientId}/screen"
								>See it</a
							>
						</p>
					{:else if one.arrived === 'not-today'}<p class="border-l-4 border-stop pl-3">
							Not today, says the arrival card. <a href="/clients/{one.clientId}/arrive">See it</a>
						</p>
					{:else if one.arrived === null}<p>
							<a href="/clients/{one.clientId}/arrive">Ask at the door first</a>: how it is now, and what is
							new.
						</p>
					{:else if work !== undefined}
						{#key `${one.clientId}|${keyOf(work)}`}<RunExercise
								w={work}
								run={on.run}
								sound={sound && on.restUntil === null}
								restOver={() => undefined}
								moving
								height={150}
								oneSet={() => setDone(one)}
								withIt={inTurnWith(one.work, on.run.at).map((x) => x.title)}
								restUntil={on.restUntil}
								setRest={(restUntil) => put(one, { restUntil })}
								change={(more) => put(one, { run: withDid(floor[one.clientId]?.run ?? on.run, work, more) })}
								next={() =>
									put(one, { run: onward(floor[one.clientId]?.run ?? on.run, one.work), restUntil: null })}
							/>{/key}
					{:else if begun(one, on)}
						{#key one.clientId}<HowWas
								regions={regionsOf(on.run, one.work)}
								pains={on.run.pains}
								change={(pains) => put(one, { run: { ...(floor[one.clientId]?.run ?? on.run), pains } })}
								sure={on.run.sure}
								beSure={(sure) => put(one, { run: { ...(floor[one.clientId]?.run ?? on.run), sure } })}
								{missing}
								keep={() => void log(one)}
							/>{/key}
					{:else}<p class="label">Nothing was done.</p>{/if}
				</section>
			{/if}
		</div>
	{/if}
</main>
