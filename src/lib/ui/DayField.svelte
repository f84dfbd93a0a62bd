<script lang="ts">
	/**
	 * A day: typed as one says it, or picked from a calendar; what was read is said below. What goes with the form is the day itself; what is no day goes as
	 * it was typed, and is refused there. Before the scripts arrive it is the browser's own.
	 */
	import Input from 'flowbite-svelte/Input.svelte';
	import type { Component } from 'svelte';
	import { onMount, tick } from 'svelte';
	import type { Day } from '#lib/core/base/calendar-day.ts';
	import { house } from './house.ts';
	import { longDay, typedDay } from '#lib/wording/typed-day.ts';

	interface Props {
		readonly name: string;
		readonly label: string;
		/** The day, or what was typed when it is none. */
		value?: string | undefined;
		/** The server's today. */
		readonly today: Day;
		/** The last day that can be picked; today unless the day may lie ahead. */
		readonly ahead?: boolean;
		readonly wrong?: string | undefined;
		readonly of?: string;
		readonly width?: string;
	}
	let {
		name,
		label,
		value = $bindable(''),
		today,
		ahead = false,
		wrong,
		of = '',
		width = 'w-40'
	}: Props = $props();
	const here = $derived(house());
	const read = (v: string): Day | undefined => typedDay(v, today, here.dateOrder);
	const id = $derived(`f-${of}${name.replaceAll('.', '-')}`);
	const shown = (v: string): string => (read(v) === undefined ? v : longDay(read(v) as Day));
	let text = $state('');
	let scripts = $state(false);
	onMount(() => void (scripts = true));
	let hidden = $state<HTMLInputElement>();
	/** The day as it went out or came in last; what differs from it is news. */
	let last: string | undefined;
	// From outside: another exercise, a corrected morning, what was kept of an earlier try.
	$effect.pre(() => {
		const given = value;
		if (given === last) return;
		last = given;
		text = shown(given);
	});
	// From here: what is being typed or was picked.
	$effect.pre(() => {
		const day = read(text) ?? text;
		if (last === undefined || day === last) return;
		last = day;
		value = day;
		// The form hears of it from the field that goes with it.
		void tick().then(() => hidden?.dispatchEvent(new Event('change', { bubbles: true })));
	});
	const unread = $derived(text !== '' && read(text) === undefined);

	/** The library's calendar, fetched when somebody wants it. */
	let Calendar = $state<Component<Record<string, unknown>>>();
	let open = $state(false);
	async function pick(): Promise<void> {
		Calendar ??= (await import('flowbite-svelte/Datepicker.svelte')).default as unknown as Component<
			Record<string, unknown>
		>;
		open = !open;
	}
	const local = (day: string): Date | undefined => {
		const [y, m, d] = (read(day) ?? '').split('-').map(Number);
		return y === undefined || m === undefined || d === undefined || Number.isNaN(y)
			? undefined
			: new Date(y, m - 1, d);
	};
	function picked(date: Date | { from?: Date }): void {
		if (!(date instanceof Date)) return;
		const two = (n: number): string => String(n).padStart(2, '0');
		text = longDay(`${date.getFullYear()}-${two(date.getMonth() + 1)}-${two(date.getDate())}`);
		open = false;
	}
	const BOX =
		'rounded-md border bg-sheet px-2 py-1.5 text-base text-ink focus:border-accent focus:ring-0 dark:bg-sheet dark:text-ink';
	const described = $derived(wrong ? `${id}-wrong` : unread ? `${id}-unread` : undefined);
</script>

<div class="relative">
	<label for={id} class="label block">{label}</label>
	<span class="inline-flex items-center gap-1">
		<span class="inline-block {width}">
			{#if scripts}
				<Input
					{id}
					form=""
					bind:value={text}
					onblur={() => (text = shown(text))}
					autocomplete="off"
					aria-invalid={wrong ? 'true' : undefined}
					aria-describedby={described}
					class="{BOX} {wrong ? 'border-stop' : 'border-edge'}"
				/>
			{:else}
				<Input {id} {name} type="date" {value} class="{BOX} border-edge" />
			{/if}
		</span>
		{#if scripts}
			<!-- Kept with what was typed, though it is hidden: it is what was typed. -->
			<input
				type="hidden"
				{name}
				{value}
				data-kept
				bind:this={hidden}
				oninput={(e) => (text = shown(e.currentTarget.value))}
			/>
			<button
				type="button"
				onclick={pick}
				aria-expanded={open}
				aria-label="Open the calendar"
				class="grid size-9 cursor-pointer place-items-center rounded-md text-accent hover:bg-wash"
				><svg
					width="18"
					height="18"
					viewBox="0 0 18 18"
					aria-hidden="true"
					fill="none"
					stroke="currentColor"
					stroke-width="1.5"><path d="M2.5 4.5h13v11h-13zM2.5 8h13M6 2v4M12 2v4" /></svg
				></button
			>
		{/if}
	</span>
	{#if open && Calendar}
		<div
			class="absolute z-20 mt-1 rounded-md border border-edge bg-sheet p-1 shadow-lg"
			data-testid="calendar"
		>
			<Calendar
				inline
				locale="en-GB"
				firstDayOfWeek={here.weekStart}
				value={local(value)}
				defaultDate={local(today)}
				availableTo={ahead ? null : local(today)}
				onselect={picked}
				classes={{ base: 'bg-sheet p-2 shadow-none dark:bg-sheet', dayButton: 'font-normal' }}
			/>
		</div>
	{/if}
	{#if wrong}<p id="{id}-wrong" class="mt-1 max-w-64 text-sm text-stop">{wrong}</p>
	{:else if unread}<p id="{id}-unread" class="mt-1 text-sm text-caution">
			A day such as {longDay(today).slice(4)}.
		</p>{/if}
</div>
