<script lang="ts">
	/** The slips that go on, to be agreed to in one sitting: what changes nothing is ticked already, what changes a prescription is ticked by hand. */
	import { enhance } from '$app/forms';
	import type { SlipView } from '#lib/contract/slip-view.ts';
	import Act from '../Act.svelte';
	import Fold from '../Fold.svelte';
	import Rows from '../Rows.svelte';
	import Stroke from '../Stroke.svelte';
	import type { sending } from '../sending.ts';

	interface Props {
		readonly slips: readonly SlipView[];
		readonly formId: string;
		readonly settled: ReturnType<typeof sending>;
	}
	let { slips, formId, settled }: Props = $props();
	const listed = $derived(slips.filter((s) => s.together));
	/** By the mark of what was shown: another slip is ticked anew. */
	let ticked = $state<Record<string, boolean>>({});
	const takes = (s: SlipView): boolean => ticked[s.hash] ?? s.quiet;
	const count = $derived(listed.filter(takes).length);
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
		<Rows heads={['', 'exercise', 'why', 'what changes']} aria-label="Slips that go on">
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
					<td class="align-top">{s.change ?? 'nothing'}</td>
				</tr>
			{/each}
		</Rows>
		<div class="flex flex-wrap items-center gap-3 pt-2">
			<Act disabled={count === 0}>Agree to {count === 1 ? 'this one' : `these ${count}`}</Act>
			<span class="label">Stops, referrals and mends are answered one at a time.</span>
		</div>
	</form>
</Fold>
