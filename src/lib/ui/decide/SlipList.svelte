<script lang="ts">
	/** The slips that go on, to be agreed to in one sitting: what changes nothing is ticked already, what changes a prescription is ticked by hand. */
	import { enhance } from '$app/forms';
	import type { SlipView } from '#lib/contract/slip-view.ts';
	import { shortDay } from '#lib/wording/days.ts';
	import Act from '../Act.svelte';
	import Fold from '../Fold.svelte';
	import Rows from '../Rows.svelte';
	import Stroke from '../Stroke.svelte';
	import type { sending } from '../sending.ts';

	interface Props {
		readonly slips: readonly SlipView[];
		readonly formId: string;
		/** Advances that one day still takes. */
		readonly advancesLeft: number;
		readonly settled: ReturnType<typeof sending>;
	}
	let { slips, formId, advancesLeft, settled }: Props = $props();
	const listed = $derived(slips.filter((s) => s.together));
	/** By the mark of what was shown: another slip is ticked anew. */
	let ticked = $state<Record<string, boolean>>({});
	const takes = (s: SlipView): boolean => ticked[s.hash] ?? s.quiet;
	const count = $derived(listed.filter(takes).length);
	const advances = $derived(listed.filter((s) => takes(s) && s.decision === 'advance').length);
	function lastOf({ sessions: [last] }: SlipView): string {
		if (last === undefined) return 'no session yet';
		const score = (n: number | null): string => (n === null ? '–' : String(n));
		return `${shortDay(last.date)}: effort ${score(last.effort)}, worst ${score(last.peak)}, morning after ${score(last.next)}`;
	}
	const idsOf = (s: SlipView) => ({
		...s.ids,
		exerciseId: s.exerciseId,
		basedOn: s.basedOn,
		hash: s.hash
	});
</script>

<Fold title="Several in one go: {listed.length} that go on" class="text-accent">
	<form method="POST" action="?/several" use:enhance={settled} novalidate class="pb-3">
		<input type="hidden" name="id" value={formId} />
		<Rows heads={['', 'exercise', 'proposed', 'last session']} aria-label="Slips that go on">
			{#each listed as s, i (s.exerciseId)}
				<tr data-testid="slip-row">
					<td class="align-top"
						>{#each Object.entries(idsOf(s)) as [name, value] (name)}<input
								type="hidden"
								name="{name}.{i}"
								{value}
							/>{/each}<input
							type="checkbox"
							name="take.{i}"
							bind:checked={() => takes(s), (v) => (ticked[s.hash] = v)}
							aria-label="Agree: {s.title}"
							class="mt-0.5 size-5 accent-(--accent)"
						/></td
					>
					<td class="align-top whitespace-nowrap"
						><span class="flex items-center gap-2"
							><Stroke decision={s.decision} size={20} /><a href="?exercise={s.exerciseId}">{s.title}</a
							></span
						></td
					>
					<td class="align-top">{s.sentence}</td>
					<td class="label align-top">{lastOf(s)}</td>
				</tr>
			{/each}
		</Rows>
		<div class="flex flex-wrap items-center gap-3 pt-2">
			<Act disabled={count === 0}
				>{count === 0
					? 'Tick what you agree to'
					: `Agree to ${count === 1 ? 'this one' : `these ${count}`}`}</Act
			>
			{#if advances > advancesLeft}<span class="text-caution"
					>{advancesLeft === 0
						? 'No further advance is taken today; the'
						: `Only the first ${advancesLeft === 1 ? 'advance is' : `${advancesLeft} advances are`} taken today; the`}
					others are left.</span
				>{/if}
			<span class="label">Stops, referrals and mends are answered one at a time.</span>
		</div>
	</form>
</Fold>
