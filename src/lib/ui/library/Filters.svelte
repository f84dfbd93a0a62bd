<script lang="ts">
	/** The library narrowed by position, by what is at hand, by what is spared, by course. */
	import { EQUIPMENT } from '#lib/core/exercise/family.ts';
	import { POSTURES, SPARED } from '#lib/core/exercise/suits.ts';
	import type { Course } from '#lib/core/fit/course.ts';
	import { EQUIPMENT_NAME } from '#lib/wording/names.ts';
	import Choice from '../Choice.svelte';

	interface Props {
		position: string;
		kit: string;
		spares: string;
		course: string;
		readonly courses: readonly Course[];
	}
	let {
		position = $bindable(),
		kit = $bindable(),
		spares = $bindable(),
		course = $bindable(),
		courses
	}: Props = $props();
	const any = (name: string) => ({ value: '', name });
</script>

<div class="mt-2 flex flex-wrap items-end gap-3">
	<Choice
		name="position"
		label="Position"
		bind:value={position}
		items={[
			any('any'),
			...POSTURES.map((p) => ({ value: p, name: p === 'upright' ? 'standing or seated' : p }))
		]}
	/>
	<Choice
		name="kit"
		label="At hand"
		bind:value={kit}
		items={[
			any('anything'),
			{ value: 'none', name: 'nothing' },
			...EQUIPMENT.map((k) => ({ value: k, name: `only ${EQUIPMENT_NAME[k]}` }))
		]}
	/>
	<Choice
		name="spares"
		label="Spares"
		bind:value={spares}
		items={[any('nothing in particular'), ...Object.keys(SPARED).map((s) => ({ value: s, name: s }))]}
	/>
	<Choice
		name="course"
		label="Course"
		bind:value={course}
		items={[any('all ladders'), ...courses.map((c) => ({ value: c.id, name: c.title }))]}
	/>
</div>
