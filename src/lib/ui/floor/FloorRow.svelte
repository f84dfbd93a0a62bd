<script lang="ts">
	/** One client of the floor in a line: what they are at, the rest that runs, what hurts; one tap ends a set or a rest. */
	import type { FloorClient } from '#lib/contract/floor.ts';
	import { atWhat, restLeft, stateOf, whatHurt, type OnFloor } from './floor.ts';

	interface Props {
		readonly client: FloorClient;
		readonly on: OnFloor;
		readonly now: number;
		readonly chosen: boolean;
		readonly key: number;
		readonly choose: () => void;
		readonly setDone: () => void;
		readonly goOn: () => void;
		readonly without: string;
	}
	let { client, on, now, chosen, key, choose, setDone, goOn, without }: Props = $props();
	const state = $derived(stateOf(client, on, now));
	const at = $derived(atWhat(client, on));
	const hurt = $derived(whatHurt(client, on));
	const left = $derived(restLeft(on, now));
	const clock = (sec: number): string =>
		`${Math.floor(Math.abs(sec) / 60)}:${String(Math.abs(sec) % 60).padStart(2, '0')}`;
	const STATE = {
		held: 'not today',
		'not-arrived': 'not asked at the door yet',
		nothing: 'nothing for today',
		working: '',
		resting: 'rests',
		'rest-over': 'rest is over',
		'how-was': 'all done',
		logged: 'logged'
	} as const;
	const ACT = 'min-h-12 w-full cursor-pointer rounded-md border px-2 font-semibold';
</script>

<li
	class="rule grid grid-cols-[1.5rem_1fr_auto_auto_auto] items-center gap-x-3 py-2 pr-1 max-sm:grid-cols-[1fr_auto_auto] {chosen
		? 'bg-wash'
		: ''} {state === 'rest-over'
		? 'border-l-8 border-l-accent pl-2'
		: 'border-l-8 border-l-transparent pl-2'}"
	data-testid="on-floor"
	data-state={state}
>
	<span class="label max-sm:hidden">{key}</span>
	<button
		type="button"
		class="min-w-0 cursor-pointer text-left"
		aria-pressed={chosen}
		aria-label="{client.name}: open"
		onclick={choose}
	>
		<strong class="block truncate">{client.name}</strong>
		<span class="block truncate text-sm"
			>{at.title === '' ? STATE[state] : at.title}{#if at.set}<span class="text-quiet">{` · ${at.set}`}</span
				>{/if}</span
		>
		{#if hurt[0]}<span class="block truncate text-sm font-semibold text-stop" data-testid="floor-hurt"
				>hurt {hurt[0].pain}{hurt[0].title === at.title ? '' : ` in ${hurt[0].title}`}</span
			>{:else if client.arrived === 'lighter'}<span class="block text-sm text-caution">lighter today</span
			>{/if}
	</button>
	<span
		class="w-18 text-right text-2xl font-bold tabular-nums {state === 'rest-over' ? 'text-accent' : ''}"
		role="timer"
		aria-label={state === 'resting' ? 'rest left' : state === 'rest-over' ? 'rest over since' : 'no rest'}
		>{state === 'resting' ? clock(left) : state === 'rest-over' ? `+${clock(left)}` : ''}</span
	>
	<span class="max-sm:order-last max-sm:col-span-3 max-sm:grid empty:hidden sm:w-28">
		{#if state === 'resting' || state === 'rest-over'}
			<button
				type="button"
				class="{ACT} {state === 'rest-over'
					? 'border-transparent bg-accent text-accent-ink'
					: 'border-edge text-accent'}"
				onclick={goOn}>Go on</button
			>
		{:else if state === 'working' && at.set === 'done'}
			<button type="button" class="{ACT} border-edge text-accent" onclick={choose}>How hard?</button>
		{:else if state === 'working'}
			<button type="button" class="{ACT} border-edge text-accent" onclick={setDone}>Set done</button>
		{:else if state === 'how-was'}
			<button type="button" class="{ACT} border-edge text-accent" onclick={choose}>How was it?</button>
		{:else if state === 'not-arrived'}
			<a class="{ACT} grid place-items-center border-edge" href="/clients/{client.clientId}/arrive">Ask</a>
		{/if}
	</span>
	<a class="px-2 py-2 text-sm" href={without} aria-label="Off the floor: {client.name}">off</a>
</li>
