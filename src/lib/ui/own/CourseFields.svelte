<script lang="ts">
	/** A course as fields: its words, its order, what it spares, and stage by stage what is done and what stands in. */
	import {
		COURSE_ORDERS,
		type CourseOrder,
		type OwnCourse,
		type Stage,
		type StageStep
	} from '#lib/core/fit/course.ts';
	import { ORDER_NAME } from '#lib/wording/courses.ts';
	import Choice from '../Choice.svelte';
	import Field from '../Field.svelte';
	import Tick from '../Tick.svelte';
	import {
		oneStageMore,
		SPARABLE,
		spares,
		withInstead,
		withRounds,
		withSpared,
		withStage,
		withStep
	} from './course-writing.ts';
	import { earlier } from './lists.ts';

	interface Props {
		readonly course: OwnCourse;
		/** Every step there is, by its ladder. */
		readonly steps: readonly { readonly value: string; readonly name: string }[];
		readonly set: (course: OwnCourse) => void;
	}
	let { course, steps, set }: Props = $props();
	const valueOf = (e: Event): string => (e.currentTarget as HTMLInputElement).value;
	const ticked = (e: Event): boolean => (e.currentTarget as HTMLInputElement).checked;
	const stageAt = (i: number, by: Stage | null): void => set(withStage(course, i, by));
	const stepAt = (i: number, s: Stage, j: number, by: StageStep | null): void =>
		stageAt(i, withStep(s, j, by));
	const LINK = 'min-h-9 cursor-pointer text-accent underline disabled:text-quiet disabled:no-underline';
</script>

<div class="flex flex-wrap items-end gap-3">
	<Field
		name="course-title"
		label="Course"
		value={course.title}
		onchange={(e: Event) => set({ ...course, title: valueOf(e) })}
		width="w-64"
	/>
	<Choice
		name="course-order"
		label="Order inside a stage"
		value={course.order}
		onchange={(e: Event) => set({ ...course, order: valueOf(e) as CourseOrder })}
		items={COURSE_ORDERS.map((o) => ({ value: o, name: ORDER_NAME[o] }))}
	/>
	<Field
		name="course-what"
		label="What it is for"
		value={course.what}
		onchange={(e: Event) => set({ ...course, what: valueOf(e) })}
		width="w-[38rem] max-w-full"
	/>
</div>
<fieldset class="mt-2 flex flex-wrap gap-x-5">
	<legend class="label">Carries nothing that strains</legend>
	{#each SPARABLE as part (part)}<Tick
			name="spares-{part}"
			label={part}
			checked={spares(course, part)}
			onchange={(e: Event) => set(withSpared(course, part, ticked(e)))}
		/>{/each}
</fieldset>
{#each course.stages as s, i (s.id)}
	<fieldset class="rule mt-3 pt-2" data-testid="own-stage">
		<legend class="sr-only">Stage {i + 1}</legend>
		<div class="flex flex-wrap items-end gap-3">
			<Field
				name="stage-{i}"
				label="Stage {i + 1}"
				value={s.title}
				onchange={(e: Event) => stageAt(i, { ...s, title: valueOf(e) })}
				width="w-64"
			/>
			<button
				type="button"
				class={LINK}
				disabled={i === 0}
				onclick={() => set({ ...course, stages: earlier(course.stages, i) })}>Stage earlier</button
			>
			<button type="button" class={LINK} onclick={() => stageAt(i, null)}>Take stage out</button>
		</div>
		<ol>
			{#each s.steps as x, j (`${j}-${x.step}`)}
				<li class="flex flex-wrap items-end gap-x-3 py-1">
					<div class="w-60 max-w-full">
						<Choice
							hideLabel={j > 0}
							name="step-{i}-{j}"
							label="Step {j + 1}"
							value={x.step}
							onchange={(e: Event) => stepAt(i, s, j, { ...x, step: valueOf(e) })}
							items={steps}
						/>
					</div>
					<div class="w-60 max-w-full">
						<Choice
							hideLabel={j > 0}
							name="instead-{i}-{j}"
							label="Else, where it cannot be given"
							value={x.instead?.[0] ?? ''}
							onchange={(e: Event) => stepAt(i, s, j, withInstead(x, valueOf(e)))}
							items={[{ value: '', name: 'nothing' }, ...steps]}
						/>
					</div>
					<Tick
						name="rounds-{i}-{j}"
						label="in rounds"
						checked={x.rounds === true}
						onchange={(e: Event) => stepAt(i, s, j, withRounds(x, ticked(e)))}
					/>
					<button
						type="button"
						class={LINK}
						disabled={j === 0}
						onclick={() => stageAt(i, { ...s, steps: earlier(s.steps, j) })}>Earlier</button
					>
					<button type="button" class={LINK} onclick={() => stepAt(i, s, j, null)}>Take out</button>
				</li>
			{/each}
		</ol>
		<button
			type="button"
			class={LINK}
			onclick={() => stepAt(i, s, s.steps.length, { step: steps[0]?.value ?? '' })}>A step more</button
		>
	</fieldset>
{/each}
<div class="rule mt-3 flex flex-wrap items-center gap-x-6 pt-1">
	<button type="button" class={LINK} onclick={() => set(oneStageMore(course))}>A stage more</button>
	<Tick
		name="retired"
		label="no longer begun"
		checked={course.retired === true}
		onchange={(e: Event) => {
			const { retired: _, ...rest } = course;
			set(ticked(e) ? { ...rest, retired: true } : rest);
		}}
	/>
</div>
