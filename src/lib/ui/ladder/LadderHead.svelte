<script lang="ts">
	/** Which ladder, joint action and side the waterline shows. */
	import { goto } from '$app/navigation';
	import { MAIN_AXES, type Axis, type Side } from '#lib/core/body/axis.ts';
	import type { ExerciseFamily } from '#lib/core/exercise/family.ts';
	import { AXIS_NAME } from '#lib/wording/names.ts';
	import Choice from '../Choice.svelte';

	interface Props {
		readonly clientId: string;
		readonly family: ExerciseFamily;
		readonly families: readonly ExerciseFamily[];
		readonly axes: readonly Axis[];
		axis: Axis;
		side: Side;
	}
	let { clientId, family, families, axes, axis = $bindable(), side = $bindable() }: Props = $props();
	const go = (e: Event): void =>
		void goto(`/clients/${clientId}/ladder?family=${(e.currentTarget as HTMLSelectElement).value}`);
</script>

<div class="flex flex-wrap items-end justify-between gap-x-5 gap-y-1">
	<h2>
		<a href="/clients/{clientId}/ladders" class="mr-2 text-base font-normal">All ladders</a>{family.title}
	</h2>
	<div class="flex gap-3">
		<Choice
			name="axis"
			label="Joint action"
			hideLabel
			bind:value={axis}
			items={(axes.length === 0 ? MAIN_AXES : axes).map((a) => ({ value: a, name: AXIS_NAME[a] }))}
		/>
		<Choice
			name="family"
			label="Family"
			hideLabel
			value={family.id}
			onchange={go}
			items={families.map((f) => ({ value: f.id, name: f.title }))}
		/>
		<Choice
			name="side"
			label="Side"
			hideLabel
			bind:value={side}
			items={[
				{ value: 'right', name: 'Right side' },
				{ value: 'left', name: 'Left side' }
			]}
		/>
	</div>
</div>
