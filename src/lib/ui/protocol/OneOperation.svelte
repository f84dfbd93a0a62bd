<script lang="ts">
	/** An operation with what stands for it: its phase now, its protocol, or that none holds. */
	import { enhance } from '$app/forms';
	import type { Surgery } from '#lib/contract/view.ts';
	import type { PhaseNow } from '#lib/core/client/protocol.ts';
	import { shortDay } from '#lib/wording/days.ts';
	import { regionName } from '#lib/wording/names.ts';
	import { phaseText, phaseWords } from '#lib/wording/protocol.ts';
	import Act from '../Act.svelte';
	import DayField from '../DayField.svelte';
	import Field from '../Field.svelte';
	import Fold from '../Fold.svelte';
	import { sending } from '../sending.ts';
	import { wrongUnder, type Wrong } from '../wrong.ts';
	import ProtocolEntry from './ProtocolEntry.svelte';

	interface Props {
		readonly s: Surgery & { readonly now: PhaseNow | null };
		readonly id: string;
		readonly licensed: boolean;
		readonly today: string;
		readonly wrong: Wrong | undefined;
		readonly say: (text: string) => void;
	}
	let { s, id, licensed, today, wrong, say }: Props = $props();
	const at = (field: string): string | undefined => wrong?.all[field];
</script>

<div class="rule py-2" data-testid="operation">
	<p class={s.limitsEntered ? 'font-semibold' : 'font-semibold text-caution'}>
		{regionName(s.region)}{s.operation ? `, ${s.operation}` : ''}, operated {shortDay(s.date)}{s.limitsEntered
			? ''
			: ': protocol not entered. Everything waits for it.'}
	</p>
	{#if s.noLimits}<p class="text-sm">No limits hold: {s.noLimits}.</p>{/if}
	{#if s.protocol && s.now}
		<p class="text-sm">{phaseText(s.now)} ({s.protocol.source})</p>
		<ol class="text-sm">
			{#each s.protocol.phases as p, i (i)}<li
					class="ml-4 list-decimal {s.now.phase === i + 1 ? 'font-semibold' : 'text-quiet'}"
				>
					{phaseWords(p)}{p.confirmedOn && i > 0 ? `, confirmed ${shortDay(p.confirmedOn)}` : ''}
				</li>{/each}
		</ol>
		{#if s.now.overdue !== null}
			<p class="text-sm text-caution">
				Phase {s.now.overdue} has come by the calendar and waits to be confirmed; the one before it goes on holding.
			</p>
			{#if licensed}
				<form method="POST" action="?/confirm" use:enhance={sending(say)} class="mt-1">
					<input type="hidden" name="id" value={id} /><input
						type="hidden"
						name="surgeryId"
						value={s.id}
					/><input type="hidden" name="phase" value={s.now.overdue} />
					<Act kind="quiet">Confirm phase {s.now.overdue}</Act>
				</form>
			{/if}
		{/if}
		{#if at('phase')}<p class="text-sm text-stop">{at('phase')}</p>{/if}
	{/if}
	{#if licensed}
		<Fold
			title={s.protocol ? 'Correct the protocol' : 'The protocol, as it was given'}
			needed={!s.limitsEntered || wrongUnder(wrong, 'phase.') !== undefined || at('source') !== undefined}
			class="mt-1 cursor-pointer text-sm text-accent"
		>
			<ProtocolEntry {s} {id} {today} {wrong} {say} />
		</Fold>
		{#if !s.limitsEntered}
			<Fold
				title="No limits hold"
				needed={at('by') !== undefined || at('on') !== undefined}
				class="cursor-pointer text-sm text-accent"
			>
				<form
					method="POST"
					action="?/no-limits"
					class="mt-2 flex flex-wrap items-end gap-2"
					use:enhance={sending(say)}
				>
					<input type="hidden" name="id" value={id} /><input type="hidden" name="surgeryId" value={s.id} />
					<Field
						of={s.id}
						name="by"
						label="Who said so (name, role)"
						wrong={at('by')}
						width="w-52"
					/><DayField of={s.id} name="on" label="On" wrong={at('on')} width="w-40" {today} /><Act kind="quiet"
						>Record</Act
					>
				</form>
			</Fold>
		{/if}
		<Fold title="Recorded in error" needed={false} class="cursor-pointer text-sm text-accent">
			<form method="POST" action="?/withdraw" class="mt-2 flex items-end gap-2" use:enhance={sending(say)}>
				<input type="hidden" name="id" value={id} /><input type="hidden" name="surgeryId" value={s.id} />
				<Field
					of="w{s.id}"
					name="reason"
					label="What was wrong with it"
					wrong={at('reason')}
					width="w-52"
				/><Act kind="danger">Withdraw</Act>
			</form>
		</Fold>
	{:else if !s.limitsEntered}<p class="label">A licensed user enters it.</p>{/if}
</div>
