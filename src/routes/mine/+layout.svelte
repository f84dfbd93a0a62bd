<script lang="ts">
	/** A client's own page: its words, what waits to be sent, and what makes it work without a network. */
	import { onMount } from 'svelte';
	import { invalidateAll, preloadCode } from '$app/navigation';
	import { page } from '$app/state';
	import type { OutboxItem } from '#lib/contract/mine.ts';
	import type { Answered } from '#lib/contract/mine-kept.ts';
	import { OUTBOX_CONTRACT } from '#lib/contract/mine-kept.ts';
	import { dayHere, freshId, isStale, measureClock } from '#lib/ui/mine/clock.ts';
	import { setMine } from '#lib/ui/mine/context.ts';
	import * as outbox from '#lib/ui/mine/outbox.ts';
	import OutboxBar from '#lib/ui/mine/OutboxBar.svelte';
	import { PAGES } from '#lib/ui/mine/pages.ts';
	import { sayIn } from '#lib/ui/mine/say.ts';
	import { languageOf } from '#lib/wording/mine/names.ts';

	let { data, children } = $props();
	// The language of a page does not change while it stands.
	// svelte-ignore state_referenced_locally
	const language = languageOf(data.mine?.language ?? 'en');
	const say = sayIn(language);
	let kept = $state.raw<readonly outbox.Kept[]>([]);
	let offline = $state(false);
	let behind = 0;
	const client = $derived(data.mine?.clientId ?? '');
	const refresh = async (): Promise<void> =>
		void (kept = (await outbox.all()).filter((k) => k.item.client === client));

	async function send(): Promise<ReadonlyMap<string, Answered>> {
		const done = await outbox.send(client);
		offline = done.state === 'no-network';
		await refresh();
		if (done.state !== 'sent') return new Map<string, Answered>();
		// Its first page says what stands; a session that runs is not taken from under its holder.
		if (done.answers.size > 0 && page.url.pathname === '/mine') await invalidateAll().catch(() => undefined);
		return done.answers;
	}
	async function enter(
		kind: OutboxItem['kind'],
		fields: OutboxItem['fields'],
		id = freshId()
	): Promise<Answered | null> {
		await outbox.keep({ id, kind, contract: OUTBOX_CONTRACT, client, fields });
		await refresh();
		const answers = await send();
		return answers.get(id) ?? null;
	}
	const dayNow = (): string => (data.mine === null ? '' : dayHere(data.mine, behind, Date.now()));
	setMine({ say, language, enter, dayNow });

	onMount(() => {
		document.documentElement.lang = language;
		if (data.mine === null) return;
		// A page out of the cache says when it was made; only one from the server tells how the clocks stand.
		const fresh = performance
			.getEntriesByType('navigation')
			.some((e) => (e as PerformanceNavigationTiming).transferSize > 0);
		behind = measureClock(data.mine.now, Date.now(), fresh);
		void refresh().then(send).then(renew);
		const online = (): void => void send();
		addEventListener('online', online);
		const retry = setInterval(() => void (kept.some((k) => k.parked === null) && send()), 20_000);
		void ready();
		return () => {
			removeEventListener('online', online);
			clearInterval(retry);
		};
	});
	/** What came out of the cache because the network was slow is asked for again, where nobody is in the middle of something. */
	async function renew(): Promise<void> {
		const old = data.mine !== null && isStale(data.mine.now, behind, Date.now());
		if (old && !offline && page.url.pathname === '/mine') await invalidateAll().catch(() => undefined);
	}
	/** Everything these pages need is put aside, so that the next visit needs no network. */
	async function ready(): Promise<void> {
		if (!('serviceWorker' in navigator)) return;
		try {
			await navigator.serviceWorker.register('/service-worker.js', {
				scope: '/mine',
				type: import.meta.env.DEV ? 'module' : 'classic'
			});
			await Promise.all(PAGES.map((path) => preloadCode(path)));
			const { active } = await navigator.serviceWorker.ready;
			const assets = performance.getEntriesByType('resource').map((e) => e.name);
			active?.postMessage({ pages: PAGES, assets });
		} catch {
			// Without it the pages work with a network, and what is kept is kept all the same.
		}
	}
</script>

<svelte:head>
	<title>{say('title')}</title>
	<link rel="manifest" href="/mine.webmanifest" />
	<meta name="theme-color" content="#f6f3ec" />
</svelte:head>
<svelte:window ononline={() => (offline = false)} onoffline={() => (offline = true)} />
<div class="min-h-dvh text-[18px]" lang={language}>
	{#if data.mine !== null || page.url.pathname.startsWith('/mine/open/')}
		<OutboxBar
			{kept}
			{offline}
			sendNow={() => void send()}
			throwAway={(id) => void outbox.drop(id).then(refresh)}
		/>
		<main class="mx-auto max-w-xl px-4 pt-3 pb-16">{@render children()}</main>
	{:else}
		<main class="mx-auto max-w-xl px-4 pt-10">
			<h1>{say('notOpen')}</h1>
			<p class="mt-2">{say('notOpenWhy')}</p>
		</main>
	{/if}
</div>
