<script lang="ts">
	/** Which clients Today shows, and in which order, as a form. */
	import { ORDERS, PARTS_SHOWN, SHOWN } from '#lib/contract/today-form.ts';
	import { EVERYONE, ORDER_WORD, SHOW_WORD } from '#lib/wording/today-choice.ts';
	import Choice from './Choice.svelte';

	interface Props {
		readonly search: string;
		readonly show: string;
		readonly part: string;
		readonly due: string;
		readonly order: string;
		/** Tells it apart from another of the page. */
		readonly of: string;
		/** How it is laid out. */
		readonly class: string;
		/** Somebody was asked for by name: no more is to be chosen. */
		readonly onnamed?: () => void;
	}
	let { search, show, part, due, order, of, class: laid, onnamed }: Props = $props();
	let form = $state<HTMLFormElement>();
	const again = (): void => form?.requestSubmit();
	/** Sent before the form goes, or it would go unsent. */
	function named(e: KeyboardEvent): void {
		if (e.key !== 'Enter' || onnamed === undefined) return;
		e.preventDefault();
		again();
		onnamed();
	}
</script>

<form method="GET" role="search" bind:this={form} class={laid} data-sveltekit-keepfocus>
	<Choice
		name="show"
		label="Show"
		hideLabel={of === ''}
		{of}
		value={show}
		onchange={again}
		items={[{ value: '', name: EVERYONE }, ...SHOWN.map((s) => ({ value: s, name: SHOW_WORD[s] ?? s }))]}
	/>
	<Choice
		name="part"
		label="Part of the body"
		hideLabel={of === ''}
		{of}
		value={part}
		onchange={again}
		items={[{ value: '', name: 'any part' }, ...PARTS_SHOWN.map((p) => ({ value: p, name: p }))]}
	/>
	<Choice
		name="order"
		label="Order"
		hideLabel={of === ''}
		{of}
		value={order}
		onchange={again}
		items={ORDERS.map((o) => ({ value: o, name: ORDER_WORD[o] ?? o }))}
	/>
	{#if due !== ''}<input type="hidden" name="due" value={due} />{/if}
	<div class={of === '' ? 'contents' : ''}>
		<label class={of === '' ? 'label' : 'label block'} for="{of}name">Find a client</label>
		<input
			id="{of}name"
			name="name"
			type="search"
			value={search}
			maxlength="60"
			autocomplete="off"
			onkeydown={named}
			class="min-h-9 rounded-md border border-edge bg-sheet px-2 {of === '' ? 'w-40' : 'w-full'}"
		/>
	</div>
</form>
