<script lang="ts">
	/** Relative moments of a set-up, for comparing set-ups only. */
	import type { JointMoments } from '#lib/core/movement/movement.ts';

	interface Props {
		readonly moments: JointMoments;
		/** Two feet share the load by an assumption. */
		readonly shared: boolean;
	}
	let { moments, shared }: Props = $props();
	const signed = (n: number): string => String(Math.round(n)).replace('-', '−');
	const parts = $derived(
		[
			['knee', moments.knee],
			['hip', moments.hip ?? 0],
			['low back', moments.back],
			['ankle', moments.ankle]
		]
			.filter((part): part is [string, number] => part[1] !== undefined)
			.map(([name, value]) => `${name} ${signed(value)}`)
			.join(', ')
	);
</script>

{#if moments.knee !== undefined}<p class="text-sm" data-testid="moments">
		<span class="label">Relative moments, N·m a leg:</span>
		{parts}{moments.knee < -0.5 ? '; minus at the knee: the back of the thigh holds it' : ''}{shared
			? ' (how two feet share it is assumed: read it ± half)'
			: ''}
	</p>{/if}
