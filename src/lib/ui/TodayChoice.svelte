<script lang="ts">
	/** Which clients Today shows, and in which order; what is chosen stays in the address. */
	import { ORDERS, PARTS_SHOWN, SHOWN } from '#lib/contract/today-form.ts';
	import { DECISION_WORD } from '#lib/wording/names.ts';
	import Choice from './Choice.svelte';

	interface Props {
		readonly search: string;
		readonly show: string;
		readonly part: string;
		readonly due: string;
		readonly order: string;
	}
	let { search, show, part, due, order }: Props = $props();
	let form = $state<HTMLFormElement>();
	const again = (): void => form?.requestSubmit();
	const SHOW_WORD: Readonly<Record<string, string>> = {
		...DECISION_WORD,
		waiting: 'Waits for an answer',
		quiet: 'To begin'
	};
	const ORDER_WORD = { need: 'by need', name: 'by name', silent: 'longest silent' } as const;
</script>

<form
	method="GET"
	role="search"
	bind:this={form}
	class="ml-auto flex flex-wrap items-center gap-2"
	data-sveltekit-keepfocus
>
	<Choice
		name="show"
		label="Show"
		hideLabel
		value={show}
		onchange={again}
		items={[{ value: '', name: 'Everyone' }, ...SHOWN.map((s) => ({ value: s, name: SHOW_WORD[s] ?? s }))]}
	/>
	<Choice
		name="part"
		label="Part of the body"
		hideLabel
		value={part}
		onchange={again}
		items={[{ value: '', name: 'any part' }, ...PARTS_SHOWN.map((p) => ({ value: p, name: p }))]}
	/>
	<Choice
		name="order"
		label="Order"
		hideLabel
		value={order}
		onchange={again}
		items={ORDERS.map((o) => ({ value: o, name: ORDER_WORD[o] }))}
	/>
	{#if due !== ''}<input type="hidden" name="due" value={due} />{/if}
	<label class="label" for="name">Find a client</label>
	<input
		id="name"
		name="name"
		type="search"
		value={search}
		maxlength="60"
		autocomplete="off"
		class="min-h-9 w-40 rounded-md border border-edge bg-sheet px-2"
	/>
</form>
