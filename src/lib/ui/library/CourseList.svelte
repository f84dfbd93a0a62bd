<script lang="ts">
	/** A course read without a client: its stages, what stands in for what, its order; begun on a client's plan. */
	import type { Course } from '#lib/core/fit/course.ts';
	import { ORDER_NAME } from '#lib/wording/courses.ts';
	import { stepTitle } from '#lib/wording/steps.ts';
	import SourceLink from '../SourceLink.svelte';

	interface Props {
		readonly course: Course;
		/** Left out, its steps are only named. */
		readonly choose?: (step: string) => void;
		/** In a column: one stage under the other. */
		readonly narrow?: boolean;
	}
	let { course, choose, narrow = false }: Props = $props();
</script>

<section aria-label="Course" class={narrow ? '' : 'rule mt-3 pt-2'} data-testid="course">
	<h2>{course.title}</h2>
	<p>{course.what}</p>
	<p class="label">
		{ORDER_NAME[course.order]}{#if course.spares}; carries nothing of {course.spares
				.map((t) => t.replaceAll('-', ' '))
				.join(', ')}{/if} · begun on a client’s plan
	</p>
	<ul class="flex gap-x-3 text-sm">
		{#each course.sources as s (s)}<li><SourceLink source={s} /></li>{/each}
	</ul>
	<ol class="mt-1 grid gap-x-6 gap-y-2 {narrow ? '' : 'grid-cols-3 max-md:grid-cols-1'}">
		{#each course.stages as stage, i (stage.id)}
			<li>
				<h3>{i + 1}. {stage.title}</h3>
				<ul class="text-sm">
					{#each stage.steps as s (s.step)}<li>
							{#if choose}<button
									type="button"
									class="cursor-pointer text-left text-accent underline"
									onclick={() => choose(s.step)}>{stepTitle(s.step)}</button
								>{:else}{stepTitle(s.step)}{/if}{#if s.instead}<span class="label"
									>, else {s.instead.map(stepTitle).join(', ')}</span
								>{/if}{#if s.rounds}<span class="label">, in rounds</span>{/if}
						</li>{/each}
				</ul>
			</li>
		{/each}
	</ol>
</section>
