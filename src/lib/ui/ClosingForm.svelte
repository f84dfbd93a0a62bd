<script lang="ts">
	/** One open flag with its action, and the two ways to close it: a licensed user's word, or an external clearance. */
	import { enhance } from '$app/forms';
	import type { HeadView } from '#lib/contract/view.ts';
	import { shortDay } from '#lib/wording/days.ts';
	import { URGENCY_WORD } from '#lib/wording/screening.ts';
	import Act from './Act.svelte';
	import DayField from './DayField.svelte';
	import Field from './Field.svelte';
	import Fold from './Fold.svelte';
	import { keepForm } from './keep-form.ts';
	import { sending } from './sending.ts';
	import type { Wrong } from './wrong.ts';

	interface Props {
		readonly flag: HeadView['flags'][number];
		readonly id: string;
		readonly today: string;
		readonly licensed: boolean;
		readonly wrong: Wrong | undefined;
		readonly typed: Readonly<Record<string, string>>;
		readonly say: (text: string) => void;
	}
	let { flag, id, today, licensed, wrong, typed, say }: Props = $props();
	const mine = $derived(typed.flagId === flag.id);
	let how = $state('');
	const way = $derived(
		how !== '' ? how : mine ? (typed.how ?? 'licensed') : licensed ? 'licensed' : 'external'
	);
	const at = (field: string): string | undefined => (mine ? wrong?.all[field] : undefined);
	const before = (field: string): string => (mine ? (typed[field] ?? '') : '');
	const stop = $derived(flag.severity !== 'caution');
</script>

<div class="rule py-2" data-testid="flag">
	<p class="font-semibold {stop ? 'text-stop' : 'text-caution'}">{URGENCY_WORD[flag.urgency]}: {flag.name}</p>
	<p class="text-sm">{flag.action}</p>
	<Fold
		title="Close it (open since {shortDay(flag.day)})"
		needed={mine && wrong !== undefined}
		class="mt-1 cursor-pointer text-sm text-accent"
	>
		<form
			method="POST"
			action="?/close"
			class="mt-2 grid gap-2"
			use:keepForm={`closing-${flag.id}`}
			use:enhance={sending(say)}
		>
			<input type="hidden" name="id" value={id} />
			<input type="hidden" name="flagId" value={flag.id} />
			<fieldset class="flex gap-4">
				<legend class="sr-only">How it was cleared</legend>
				<label class="flex items-center gap-1.5"
					><input
						type="radio"
						name="how"
						value="licensed"
						checked={way === 'licensed'}
						disabled={!licensed}
						onchange={() => (how = 'licensed')}
						class="accent-(--accent)"
					/>by me, licensed</label
				>
				<label class="flex items-center gap-1.5"
					><input
						type="radio"
						name="how"
						value="external"
						checked={way === 'external'}
						onchange={() => (how = 'external')}
						class="accent-(--accent)"
					/>cleared outside</label
				>
				<label class="flex items-center gap-1.5"
					><input
						type="radio"
						name="how"
						value="mistaken"
						checked={way === 'mistaken'}
						disabled={!licensed}
						onchange={() => (how = 'mistaken')}
						class="accent-(--accent)"
					/>raised by mistake</label
				>
			</fieldset>
			{#if way === 'licensed' || way === 'mistaken'}
				<Field
					of={flag.id}
					name="note"
					label="Closed because"
					value={before('note')}
					wrong={at('note')}
					width="w-full min-w-72"
				/>
			{:else}
				<Field
					of={flag.id}
					name="clearedBy"
					label="Cleared by (name, role)"
					value={before('clearedBy')}
					wrong={at('clearedBy')}
					width="w-72"
					autocomplete="off"
				/>
				<div class="flex gap-3">
					<DayField
						of={flag.id}
						name="clearedOn"
						label="On"
						value={before('clearedOn')}
						wrong={at('clearedOn')}
						width="w-40"
						{today}
					/>
					<Field
						of={flag.id}
						name="document"
						label="Document"
						value={before('document')}
						wrong={at('document')}
						width="w-34"
						autocomplete="off"
					/>
				</div>
			{/if}
			<div><Act kind="danger">Close the flag</Act></div>
		</form>
	</Fold>
</div>
