<script lang="ts">
	/** Positions the client can be in, and what a licensed user cleared. */
	import { enhance } from '$app/forms';
	import { type Position, POSITIONS } from '#lib/core/exercise/family.ts';
	import type { Tolerance } from '#lib/core/movement/context.ts';
	import { CLEARANCE_NAME } from '#lib/wording/gates.ts';
	import { POSITION_NAME } from '#lib/wording/names.ts';
	import Act from '../Act.svelte';
	import Choice from '../Choice.svelte';
	import Fold from '../Fold.svelte';
	import { sending } from '../sending.ts';
	import Tick from '../Tick.svelte';

	interface Props {
		readonly ids: readonly string[];
		readonly positions: Readonly<Partial<Record<Position, Tolerance>>>;
		readonly clearances: readonly string[];
		readonly licensed: boolean;
		readonly say: (text: string) => void;
	}
	let { ids, positions, clearances, licensed, say }: Props = $props();
</script>

<Fold title="Positions the client can be in">
	<form method="POST" action="?/positions" use:enhance={sending(say)}>
		<input type="hidden" name="id" value={ids[0]} />
		{#each POSITIONS as p (p)}
			<Choice
				name={p}
				label={POSITION_NAME[p].replace(/^./, (c) => c.toUpperCase())}
				value={positions[p] ?? 'unknown'}
				items={[
					{ value: 'unknown', name: 'not asked' },
					{ value: 'yes', name: 'yes' },
					{ value: 'no', name: 'no' }
				]}
			/>
		{/each}
		<div class="mt-2"><Act>Save positions</Act></div>
	</form>
</Fold>
{#if licensed}
	<Fold title="Cleared for">
		<form method="POST" action="?/cleared" use:enhance={sending(say)}>
			<input type="hidden" name="id" value={ids[1]} />
			{#each Object.entries(CLEARANCE_NAME) as [id, name] (id)}<Tick
					name="clearance"
					value={id}
					label={name}
					checked={clearances.includes(id)}
				/>{/each}
			<div class="mt-1"><Act>Save clearance</Act></div>
		</form>
	</Fold>
{/if}
