<script lang="ts">
	/** Sessions that wait on this device for the practice's server, and those it did not take, each with its way out. */
	import { onMount } from 'svelte';
	import { invalidateAll } from '$app/navigation';
	import type { Waiting } from './box.ts';
	import { KEPT_AWAY } from './context.ts';
	import { dropOld } from './put-aside.ts';
	import { postSession } from './send.ts';

	interface Props {
		readonly member: string;
	}
	let { member }: Props = $props();
	let here = $state.raw<readonly Waiting[]>([]);
	let signedOut = $state(false);
	let alarms = $state.raw<readonly string[]>([]);
	const own = $derived(here.filter((w) => w.member === member));
	const waiting = $derived(own.filter((w) => w.parked === null));
	const others = $derived(here.length - own.length);

	async function send(): Promise<void> {
		const box = await import('./box.ts');
		here = await box.all();
		if (!here.some((w) => w.member === member && w.parked === null)) return;
		const whose = new Map(here.map((w) => [w.id, w.client]));
		const answers = await box.send(member, postSession);
		here = await box.all();
		signedOut = [...answers.values()].some((a) => a.state === 'signed-out');
		const raised = [...answers].flatMap(([id, a]) =>
			a.state === 'kept' ? a.alarms.map((text) => `${whose.get(id) ?? ''}: ${text}`) : []
		);
		alarms = [...new Set([...alarms, ...raised])];
		if ([...answers.values()].some((a) => a.state === 'kept')) await invalidateAll().catch(() => undefined);
	}
	const settle = async (id: string, how: 'drop' | 'retry'): Promise<void> => {
		const box = await import('./box.ts');
		await box[how](id);
		await send();
	};
	onMount(() => {
		const again = (): void => void send().catch(() => undefined);
		again();
		void dropOld(Date.now()).catch(() => undefined);
		addEventListener('online', again);
		addEventListener(KEPT_AWAY, again);
		const timer = setInterval(() => waiting.length > 0 && again(), 20_000);
		return () => {
			removeEventListener('online', again);
			removeEventListener(KEPT_AWAY, again);
			clearInterval(timer);
		};
	});
</script>

{#if waiting.length > 0}<p
		class="no-print flex flex-wrap items-baseline gap-x-4 border-b border-accent bg-sheet px-7 py-2 max-sm:px-4"
		role="status"
		data-testid="away-waiting"
	>
		Kept on this device, goes by itself when the network is back: {waiting
			.map((w) => `${w.client}, session of ${w.day}`)
			.join('; ')}.
		<button
			type="button"
			class="min-h-12 cursor-pointer text-accent underline"
			onclick={() => void send().catch(() => undefined)}>Send now</button
		>
		{#if signedOut}<a href="/sign-in">Sign in to send it</a>{/if}
	</p>{/if}
{#if others > 0}<p class="no-print label border-b px-7 py-2 max-sm:px-4">
		{others === 1 ? 'A session' : `${others} sessions`} of somebody else waits on this device until they sign in
		here.
	</p>{/if}
{#each own.filter((w) => w.parked !== null) as w (w.id)}<div
		class="no-print border-b border-stop bg-sheet px-7 py-2 max-sm:px-4"
		role="alert"
		data-testid="away-parked"
	>
		<p class="font-semibold text-stop">Not taken: {w.client}, session of {w.day}</p>
		<p>{w.parked}</p>
		<p class="flex flex-wrap gap-x-5">
			<a href="/clients/{w.clientId}/session" class="min-h-12 py-2">Write it anew</a>
			<button
				type="button"
				class="min-h-12 cursor-pointer text-accent underline"
				onclick={() => void settle(w.id, 'retry')}>Send it again as it is</button
			>
			<button
				type="button"
				class="min-h-12 cursor-pointer text-stop underline"
				onclick={() => void settle(w.id, 'drop')}>Throw it away</button
			>
		</p>
	</div>{/each}
{#each alarms as a (a)}<p
		class="border-4 border-stop px-7 py-2 font-semibold text-stop"
		role="alert"
		data-testid="away-alarm"
	>
		{a}
	</p>{/each}
