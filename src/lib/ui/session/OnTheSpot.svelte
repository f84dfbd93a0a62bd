<script lang="ts" module>
	import type { Given } from '#lib/contract/slip-view.ts';

	/** What a figure is drawn of. */
	export type Drawn = Pick<Given, 'step' | 'setup'>;
</script>

<script lang="ts">
	/** "That hurts" and "too easy": asked of the engine while the client is at it, answered with what to do and drawn where it is solved. */
	import { deserialize } from '$app/forms';
	import { whenPositionLost } from '#lib/core/decision/lost-position.ts';
	import { LOST_TEXT } from '#lib/wording/on-the-spot.ts';
	import { PAIN_AT } from '#lib/core/session/record.ts';
	import type { Figure } from '#lib/core/figure/shape.ts';
	import Choice from '../Choice.svelte';
	import FigureView from '../FigureView.svelte';
	import Note from '../Note.svelte';
	import { LOST } from '../sending.ts';

	interface Props {
		readonly exerciseId: string;
		readonly title: string;
		readonly drawn: (given: Drawn | null) => Figure | null;
		readonly mirror: boolean;
		/** The position can be lost within a set. */
		readonly losesPosition: boolean;
	}
	let { exerciseId, title, drawn, mirror, losesPosition }: Props = $props();
	let lostTimes = $state(0);
	function positionLost(): void {
		lostTimes++;
		const what = whenPositionLost(lostTimes);
		said = { kind: what === 'anew' ? 'caution' : 'stop', text: LOST_TEXT[what], given: null };
		// The next set begins anew.
		if (what === 'end-set') lostTimes = 0;
	}
	interface Said {
		readonly kind: 'stop' | 'caution' | 'plain';
		readonly text: string;
		readonly given: Drawn | null;
	}
	let asking = $state(false);
	let painAt = $state('');
	let said = $state<Said | null>(null);
	const figure = $derived(said === null ? null : drawn(said.given));

	async function ask(fields: Readonly<Record<string, string>>): Promise<void> {
		const body = new FormData();
		for (const [k, v] of Object.entries({ exerciseId, ...fields })) body.set(k, v);
		try {
			const r = await fetch('?/spot', {
				method: 'POST',
				body,
				headers: { 'x-sveltekit-action': 'true', accept: 'application/json' }
			});
			const answer = deserialize(await r.text());
			const data = (answer.type === 'success' || answer.type === 'failure' ? answer.data : undefined) as
				{ readonly spot?: Said; readonly message?: string } | undefined;
			said = data?.spot ?? { kind: 'stop', text: data?.message ?? LOST, given: null };
		} catch {
			said = {
				kind: 'caution',
				text: `${LOST} Until then: if it hurts more than usual, leave it.`,
				given: null
			};
		}
	}
</script>

<button
	type="button"
	class="min-h-12 cursor-pointer font-semibold text-stop underline"
	aria-expanded={asking}
	onclick={() => (asking = !asking)}>That hurts</button
>
<button
	type="button"
	class="min-h-12 cursor-pointer text-accent underline"
	onclick={() => void ask({ easy: 'on' })}>Too easy</button
>
{#if losesPosition}<button
		type="button"
		class="min-h-12 cursor-pointer text-accent underline"
		onclick={positionLost}>Position lost</button
	>{/if}
{#if asking}
	<fieldset class="basis-full pb-2">
		<legend class="label">How much, 0 to 10</legend>
		<Choice
			of={exerciseId}
			name="spotAt"
			label="Where in the movement"
			bind:value={painAt}
			items={[{ value: '', name: 'not said' }, ...PAIN_AT.map((x) => ({ value: x, name: x }))]}
		/>
		<div class="mt-1 grid grid-cols-11 gap-1 max-sm:gap-0.5">
			{#each { length: 11 }, n (n)}<button
					type="button"
					class="tile text-lg"
					aria-label="{title} hurts {n}"
					onclick={() => void ask({ pain: String(n), painAt })}>{n}</button
				>{/each}
		</div>
	</fieldset>
{/if}
{#if said}
	<Note
		kind={said.kind}
		class="mt-1 flex basis-full items-center gap-4"
		role="status"
		data-testid="on-the-spot"
	>
		{#if figure}<FigureView {figure} height={80} label="set up gentler" {mirror} />{/if}
		<span>{said.text}</span>
	</Note>
{/if}
