<script lang="ts">
	/** One day of the week: what is done, in its order, with its minutes. Turns are dragged, or carried with the keyboard. */
	import { type DndEvent, dndzone } from 'svelte-dnd-action';
	import { doseText } from '#lib/wording/dose.ts';
	import { circuitOf } from '#lib/core/plan/circuit.ts';
	import type { Work } from '#lib/core/plan/work.ts';
	import { WEEKDAYS } from '#lib/wording/intake.ts';
	import { clockText } from '#lib/wording/week.ts';
	import { secondsOf, type ArrangedDay, type Turn } from './arrangement.ts';

	interface Props {
		readonly day: ArrangedDay;
		readonly work: ReadonlyMap<string, Work>;
		/** Minutes that were asked for; more is said. */
		readonly minutes: number | null;
		readonly place: (turns: readonly Turn[]) => void;
		readonly take: (id: string) => void;
	}
	let { day, work, minutes, place, take }: Props = $props();
	const name = $derived(WEEKDAYS[day.weekday] ?? '');
	const seconds = $derived(secondsOf(day, work));
	const over = $derived(minutes !== null && seconds > minutes * 60 + 30);
	/** A circuit, or more than two: round by round. */
	const inRounds = (ids: readonly string[]): boolean => {
		const first = work.get(ids[0] ?? '');
		return ids.length > 2 || (ids.length === 2 && first !== undefined && circuitOf(first) !== null);
	};
	const moved = (e: CustomEvent<DndEvent<Turn>>): void => place(e.detail.items);
</script>

<section aria-label={name} class="flex min-w-0 flex-col" data-testid="week-day">
	<h3 class="flex items-baseline gap-2 text-base font-bold">
		{name}
		<span class="text-sm font-normal {over ? 'text-caution' : 'text-quiet'}"
			>{day.turns.length === 0 ? 'off' : clockText(seconds)}{over ? `, over ${minutes}` : ''}</span
		>
	</h3>
	<ul
		aria-label="{name}: in order"
		class="min-h-16 grow rounded-md border border-dashed border-edge/60 p-1"
		use:dndzone={{
			items: [...day.turns],
			flipDurationMs: 120,
			type: 'week',
			dropTargetStyle: { outline: '2px dashed var(--accent)' }
		}}
		onconsider={moved}
		onfinalize={moved}
	>
		{#each day.turns as t (t.id)}
			<li
				class="mb-1 rounded bg-sheet px-1.5 py-1 text-sm {t.ids.length > 1 ? 'border-l-3 border-accent' : ''}"
				aria-label="{t.ids.map((id) => work.get(id)?.title ?? '').join(' and ')}, {name}"
			>
				{#each t.ids as id, i (id)}
					{@const w = work.get(id)}
					{#if w}<div class="flex items-start gap-1">
							<span class="min-w-0 grow leading-tight"
								>{#if i === 0 && inRounds(t.ids)}<span class="text-quiet block">in rounds</span
									>{/if}{#if i > 0 && !inRounds(t.ids)}<span class="text-quiet"
										>in turn with
									</span>{/if}{w.title}<br /><span class="text-quiet">{doseText(w.dose)}</span></span
							>{#if i === 0}<button
									type="button"
									class="no-print -mt-1 -mr-1 min-h-6 min-w-6 cursor-pointer text-quiet hover:text-stop"
									aria-label="Take {w.title} out of {name}"
									onclick={() => take(t.id)}>×</button
								>{/if}
						</div>{/if}
				{/each}
			</li>
		{/each}
	</ul>
</section>
