<script lang="ts">
	/** The exercises in the order of a session, in three groups; dragged by their handle, or carried with the keyboard. */
	import { enhance } from '$app/forms';
	import { tick } from 'svelte';
	import { type DndEvent, dragHandleZone, SOURCES, TRIGGERS } from 'svelte-dnd-action';
	import type { PlannedWork, PlanView } from '#lib/contract/plan-view.ts';
	import { type Group, GROUPS } from '#lib/core/exercise/plan-order.ts';
	import type { Figure } from '#lib/core/figure/shape.ts';
	import { GROUP_NAME } from '#lib/wording/plan.ts';
	import { sending } from '../sending.ts';
	import PlannedCard from './PlannedCard.svelte';

	interface Props {
		readonly clientId: string;
		readonly plan: PlanView;
		readonly orderId: string;
		readonly figureOf: (w: PlannedWork) => Figure | null;
		readonly today: string;
		readonly wrongOf: (exerciseId: string) => string | undefined;
		readonly wrongTo: string | undefined;
		readonly say: (text: string) => void;
	}
	let { clientId, plan, orderId, figureOf, today, wrongOf, wrongTo, say }: Props = $props();
	type Item = { readonly id: string; readonly w: PlannedWork };
	const itemsOf = (work: readonly PlannedWork[]): Item[] => work.map((w) => ({ id: w.exerciseId, w }));
	const asKept = (): Record<Group, Item[]> => ({
		warmUp: itemsOf(plan.groups.warmUp),
		main: itemsOf(plan.groups.main),
		finish: itemsOf(plan.groups.finish)
	});
	let groups = $state.raw(asKept());
	$effect.pre(() => void (groups = asKept()));
	let form: HTMLFormElement;
	type Told = DndEvent<Item>;
	const place = (g: Group, items: Item[]): void => void (groups = { ...groups, [g]: items });
	/** What is carried with the keyboard is kept when it is put down, not at every key. */
	function consider(g: Group, { items, info }: Told): void {
		place(g, items);
		if (info.trigger === TRIGGERS.DRAG_STOPPED && info.source === SOURCES.KEYBOARD) void keep();
	}
	function finalize(g: Group, { items, info }: Told): void {
		place(g, items);
		if (info.source === SOURCES.POINTER) void keep();
	}
	async function keep(): Promise<void> {
		await tick();
		// Both ends of a move are told one after the other; an exercise that is on its way is in neither.
		const now = GROUPS.flatMap((x) => groups[x]);
		if (now.length === GROUPS.flatMap((x) => plan.groups[x]).length && moved()) form.requestSubmit();
	}
	const idsIn = (g: Group): string => groups[g].map((i) => i.id).join(',');
	const moved = (): boolean =>
		GROUPS.some((g) => idsIn(g) !== plan.groups[g].map((w) => w.exerciseId).join(','));
</script>

<form method="POST" action="?/order" bind:this={form} use:enhance={sending(say)} class="hidden">
	<input type="hidden" name="id" value={orderId} />
	<input type="hidden" name="basedOn" value={plan.order ?? ''} />
	{#each GROUPS as g (g)}<input type="hidden" name={g} value={idsIn(g)} />{/each}
</form>
{#each GROUPS as g (g)}
	<section aria-label={GROUP_NAME[g]} class="mt-2 {groups[g].length === 0 ? 'no-print' : ''}">
		<h3 class="label">
			{GROUP_NAME[g]}{#if groups[g].length === 0}<span class="font-normal">: nothing; drag one here</span
				>{/if}
		</h3>
		<ul
			aria-label="{GROUP_NAME[g]}: exercises"
			class="min-h-8"
			use:dragHandleZone={{
				items: groups[g],
				flipDurationMs: 120,
				type: 'plan',
				dropTargetStyle: { outline: '2px dashed var(--accent)' }
			}}
			onconsider={(e: CustomEvent<Told>) => consider(g, e.detail)}
			onfinalize={(e: CustomEvent<Told>) => finalize(g, e.detail)}
		>
			{#each groups[g] as { id, w } (id)}<PlannedCard
					{clientId}
					{w}
					figure={figureOf(w)}
					{today}
					wrong={wrongOf(w.exerciseId)}
					{wrongTo}
					{say}
				/>{/each}
		</ul>
	</section>
{/each}
