<script lang="ts">
	/** The course a client is on: its stages with what is clean, given, waiting, or standing in; or the way onto one. */
	import { enhance } from '$app/forms';
	import type { CourseView } from '#lib/contract/course-view.ts';
	import { BECAUSE_NAME, ORDER_NAME } from '#lib/wording/courses.ts';
	import { shortDay } from '#lib/wording/days.ts';
	import { regionName } from '#lib/wording/names.ts';
	import { stepTitle } from '#lib/wording/steps.ts';
	import Act from '../Act.svelte';
	import Choice from '../Choice.svelte';
	import Fold from '../Fold.svelte';
	import { sending } from '../sending.ts';

	interface Props {
		readonly clientId: string;
		readonly course: CourseView | null;
		/** For the form that begins or leaves one, for the stage that is given, and two for each of its steps. */
		readonly ids: readonly string[];
		/** Those that can be begun: the trade's and the practice's own. */
		readonly courses: readonly { readonly id: string; readonly title: string }[];
		readonly regions: readonly string[];
		readonly licensed: boolean;
		/** A course that was chosen in the library. */
		readonly wanted: string | null;
		readonly wrong: (field: string) => string | undefined;
		readonly say: (text: string) => void;
	}
	let { clientId, course, ids, courses, regions, licensed, wanted, wrong, say }: Props = $props();
	const stage = $derived(course?.now == null ? undefined : course.stages[course.now]);
	const missing = $derived(stage?.steps.filter((s) => s.toGive) ?? []);
	const STATE = { done: 'done', now: 'now', ahead: 'later' } as const;
</script>

{#snippet begin(label: string)}
	<form
		method="POST"
		action="?/course"
		class="flex flex-wrap items-end gap-3 py-2"
		use:enhance={sending(say)}
		novalidate
	>
		<input type="hidden" name="id" value={ids[0]} />
		<input type="hidden" name="basedOn" value={course?.id ?? ''} />
		<Choice
			of="course"
			name="course"
			label="Course"
			value={wanted ?? courses[0]?.id}
			items={courses.map((c) => ({ value: c.id, name: c.title }))}
		/>
		<Choice
			of="course"
			name="region"
			label="For"
			value={regions[0] ?? ''}
			items={regions.map((r) => ({ value: r, name: regionName(r) }))}
		/>
		<Act kind="quiet">{label}</Act>
		{#if wrong('course')}<p class="w-full text-sm text-stop">{wrong('course')}</p>{/if}
	</form>
{/snippet}

{#if course !== null}
	<section aria-label="Course" class="rule mt-3 pt-2" data-testid="course">
		<div class="flex flex-wrap items-baseline gap-x-4">
			<h2>{course.title}</h2>
			<span class="label"
				>{course.now === null ? 'all stages done' : `stage ${course.now + 1} of ${course.stages.length}`} · for
				the
				{regionName(course.region)} · since {shortDay(course.since)} · {ORDER_NAME[course.order]}</span
			>
		</div>
		<ol class="mt-1 grid grid-cols-3 gap-x-6 gap-y-2 max-md:grid-cols-1">
			{#each course.stages as s, i (s.title)}
				<li
					class={s.state === 'ahead' ? 'text-quiet' : ''}
					data-testid="stage"
					aria-current={s.state === 'now'}
				>
					<h3 class={s.state === 'now' ? 'text-accent' : ''}>
						{i + 1}. {s.title} <span class="label font-normal">{STATE[s.state]}</span>
					</h3>
					<ul class="text-sm">
						{#each s.steps as x (x.asked)}
							<li>
								{#if x.step === null}<span class="text-quiet line-through">{stepTitle(x.asked)}</span>
									{BECAUSE_NAME[x.because ?? 'blocked']}: passed over
								{:else}
									<span
										aria-hidden="true"
										class={x.hurts ? 'text-stop' : x.clean ? 'text-tolerated' : 'text-quiet'}
										>{x.hurts ? '!' : x.clean ? '●' : '○'}</span
									>
									<a class="underline" href="/clients/{clientId}/ladder?family={x.family}&step={x.step}"
										>{stepTitle(x.step)}</a
									>{#if x.because !== null}, for {stepTitle(x.asked)} ({BECAUSE_NAME[x.because]}){/if}
									{#if x.hurts}<span class="text-stop">stopped or gone back on: its stage is open again</span>
									{:else if x.clean}<span class="sr-only">clean</span>
									{:else if s.state === 'now'}<span class="label"
											>{x.asks}, so far {x.shown}{x.given
												? '; in the plan'
												: x.waits === ''
													? ''
													: `; waits for ${x.waits}`}</span
										>{/if}
								{/if}
							</li>
						{/each}
					</ul>
				</li>
			{/each}
		</ol>
		<div class="no-print flex flex-wrap items-center gap-x-6">
			{#if missing.length > 0}<form method="POST" action="?/stage" class="py-2" use:enhance={sending(say)}>
					<input type="hidden" name="id" value={ids[1]} />
					<input type="hidden" name="region" value={course.region} />
					{#each missing as m, i (m.step)}
						<input type="hidden" name="take.{i}" value="on" />
						<input type="hidden" name="id.{i}" value={ids[2 + 2 * i]} />
						<input type="hidden" name="exerciseId.{i}" value={ids[3 + 2 * i]} />
						<input type="hidden" name="family.{i}" value={m.family} />
						<input type="hidden" name="step.{i}" value={m.step} />
						{#if m.rounds}<input type="hidden" name="rounds.{i}" value="on" />{/if}
					{/each}
					<Act kind="quiet">Prescribe what is missing of this stage: {missing.length}</Act>
				</form>{/if}
			{#if licensed}<form method="POST" action="?/leave-course" use:enhance={sending(say)}>
					<input type="hidden" name="id" value={ids[0]} />
					<input type="hidden" name="basedOn" value={course.id} />
					<button class="min-h-9 cursor-pointer text-accent underline">Leave the course</button>
				</form>{/if}
		</div>
		{#if licensed}<Fold title="Another course" class="text-accent" needed={wrong('course') !== undefined}
				>{@render begin('Begin it in its place')}</Fold
			>{/if}
	</section>
{:else if licensed && regions.length > 0}
	<section aria-label="Course" class="no-print rule mt-3 pt-2">
		<Fold
			title="Put on a course"
			class="text-accent"
			needed={wanted !== null || wrong('course') !== undefined || wrong('region') !== undefined}
			>{@render begin('Begin')}</Fold
		>
	</section>
{/if}
