<script lang="ts">
	import '../app.css';
	import ThemeProvider from 'flowbite-svelte/ThemeProvider.svelte';
	import { onMount } from 'svelte';
	import { browser } from '$app/environment';
	import { navigating, page } from '$app/state';
	import ClockNotice from '#lib/ui/ClockNotice.svelte';
	import LeaveAsk from '#lib/ui/LeaveAsk.svelte';
	import AwayBar from '#lib/ui/away/AwayBar.svelte';
	import ChoosePractice from '#lib/ui/practice/ChoosePractice.svelte';
	import { shortDay } from '#lib/wording/days.ts';
	import { AS_USUAL, writeAs } from '#lib/wording/written-as.ts';

	let { data, children } = $props();
	// On the server each request says it for itself.
	if (browser) writeAs(() => page.data.written ?? AS_USUAL);
	let slow = $state(false);
	let offline = $state(false);
	// Keys and buttons answer from here on; the flows wait for it.
	onMount(() => {
		document.documentElement.dataset.ready = 'yes';
		offline = !navigator.onLine;
		// A page that may have come from this device asks whether anything answers.
		if (navigator.serviceWorker?.controller != null)
			void fetch('/healthz', { method: 'HEAD' }).catch(() => (offline = true));
	});
	$effect(() => {
		if (navigating.to === null) {
			slow = false;
			return;
		}
		const timer = setTimeout(() => (slow = true), 150);
		return () => clearTimeout(timer);
	});
</script>

<a href="#work" class="sr-only z-30 bg-sheet px-4 py-2 focus:not-sr-only focus:fixed focus:top-1 focus:left-1"
	>To the work</a
>
{#if slow}<div
		class="fixed inset-x-0 top-0 z-20 h-1 bg-accent"
		role="progressbar"
		aria-label="Loading"
	></div>{/if}
<svelte:window ononline={() => (offline = false)} onoffline={() => (offline = true)} />
{#if offline && data.me}<p role="status" class="border-b border-caution bg-sheet px-7 py-2 text-caution">
		No network just now. What you type stays here; send it when the network is back.
	</p>{/if}
{#if data.me}
	<ClockNotice />
	<AwayBar member={data.me.id} />
	<LeaveAsk />
	<header
		class="no-print flex flex-wrap items-baseline gap-x-6 gap-y-1 border-b px-7 py-2 max-sm:gap-x-4 max-sm:px-4"
	>
		<a href="/" class="text-lg font-bold text-ink no-underline">Bolster</a>
		{#if data.me.clinical}<a href="/">Today</a>
			<a href="/clients">Clients</a>
			<a href="/floor">Floor</a>
			<a href="/library">Library</a>{/if}
		<a href="/practice" class="max-md:hidden">{data.me.practice}</a>
		<a href="/practice" class="md:hidden">Practice</a>
		{#if data.me.practices.length > 1}<ChoosePractice
				practices={data.me.practices}
				here={data.me.practiceId}
			/>{/if}
		<a href="/me" class="label ml-auto max-sm:sr-only" title={data.me.role}
			>{data.me.name}<span class="max-md:hidden">, {data.me.role}</span></a
		>
		<span class="label max-sm:ml-auto">{data.me.demo ? 'demo, ' : ''}{shortDay(data.me.today)}</span>
		{#if data.me.demo}<form method="POST" action="/demo/next-day" class="max-sm:hidden">
				<button
					class="cursor-pointer text-sm text-accent underline"
					title="The demo stands still at this day; this moves it on by one, for everybody in it"
					>Next day</button
				>
			</form>{/if}
		<form method="POST" action="/sign-out">
			<button class="cursor-pointer text-sm text-accent underline">Sign out</button>
		</form>
	</header>
	<p class="hidden text-right text-sm print:block">{data.me.practice}, {shortDay(data.me.today)}</p>
{/if}
<div id={page.url.pathname.startsWith('/clients/') ? undefined : 'work'} tabindex="-1" class="outline-none">
	<!-- Dressed by our tokens, and told so: asked for a theme and finding none, each piece of the library would throw and catch. -->
	<ThemeProvider>{@render children()}</ThemeProvider>
</div>
