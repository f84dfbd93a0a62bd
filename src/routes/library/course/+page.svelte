<script lang="ts">
	/** The practice's own courses as data: a form over one, its faults with the mend as one types, read beside it as the library shows it; JSON in and out. */
	import { checkOwnCourses } from '#lib/catalogue/check-own-course.ts';
	import { COURSES } from '#lib/catalogue/courses.ts';
	import { FAMILIES } from '#lib/catalogue/families.ts';
	import { readCourses } from '#lib/contract/own-course.ts';
	import type { OwnCourse } from '#lib/core/fit/course.ts';
	import Act from '#lib/ui/Act.svelte';
	import Choice from '#lib/ui/Choice.svelte';
	import Field from '#lib/ui/Field.svelte';
	import Said from '#lib/ui/Said.svelte';
	import CourseList from '#lib/ui/library/CourseList.svelte';
	import CourseFields from '#lib/ui/own/CourseFields.svelte';
	import { begunCourse, firstCourse, withCourse } from '#lib/ui/own/course-writing.ts';
	import { downloadOf } from '#lib/ui/own/download.ts';
	import OwnFile from '#lib/ui/own/OwnFile.svelte';
	import { stepsOf } from '#lib/ui/own/steps-of.ts';

	let { data, form } = $props();
	let content = $state('');
	let lost = $state('');
	let from = $state('');
	let title = $state('');
	const read = $derived(content.trim() === '' ? null : readCourses(content));
	const faults = $derived(
		read === null
			? []
			: read.ok
				? checkOwnCourses(read.courses, data.families).map((f) => ({ ...f, line: null }))
				: read.faults
	);
	const written = $derived(firstCourse(content));
	const held = $derived(read?.ok === true && faults.length === 0 ? read.courses[0] : undefined);
	const steps = $derived(stepsOf([...Object.values(FAMILIES), ...data.families]));
	const begun: readonly OwnCourse[] = $derived([...COURSES, ...data.own.map((o) => o.course)]);
	const write = (c: OwnCourse): void => void (content = JSON.stringify(c, null, 2));
</script>

<svelte:head><title>Own courses</title></svelte:head>
<main class="grid grid-cols-[1fr_26rem] max-lg:grid-cols-1">
	<div class="min-w-0 px-7 pt-4 pb-10 max-sm:px-4">
		<h1><a href="/library" class="mr-2 text-base font-normal">Library</a>Own courses</h1>
		<p class="label max-w-3xl">
			Stages over any ladders, the catalogue’s and your own: a stage opens once the one before was shown
			clean. Who is on a course follows its new version from the next reading.
		</p>
		<Said
			done={form && 'done' in form ? form.done : undefined}
			refused={lost || (form && 'message' in form ? form.message : undefined)}
		/>
		{#if data.own.length > 0}
			<ul class="mt-2" aria-label="Own courses">
				{#each data.own as o (o.course.id)}
					<li class="rule flex flex-wrap items-baseline gap-x-4 py-1.5" data-testid="own-course">
						<strong>{o.course.title}</strong><span class="label"
							>{o.course.stages.length}
							{o.course.stages.length === 1 ? 'stage' : 'stages'}{o.clients === 0
								? ''
								: ` · ${o.clients} on it`}{o.course.retired ? ' · no longer begun' : ''}</span
						>{#if data.licensed}<button
								type="button"
								class="min-h-9 cursor-pointer text-accent underline"
								onclick={() => write(o.course)}>Open in the form</button
							>{/if}<a href={downloadOf(o.course)} download="{o.course.id}.json">Export</a>
					</li>
				{/each}
			</ul>
		{:else}<p class="mt-2">None yet. Begin from one of the trade’s, or from an empty one.</p>{/if}
		{#if data.licensed}
			<div class="rule mt-3 flex flex-wrap items-end gap-3 pt-3">
				<Choice
					name="from"
					label="Begin from"
					bind:value={from}
					items={[{ value: '', name: 'an empty one' }, ...begun.map((c) => ({ value: c.id, name: c.title }))]}
				/>
				<Field name="title" label="Called" bind:value={title} width="w-56" />
				<Act
					kind="quiet"
					type="button"
					onclick={() =>
						write(
							begunCourse(
								title,
								begun.find((c) => c.id === from)
							)
						)}>Into the form</Act
				>
			</div>
			<OwnFile
				bind:content
				{form}
				{faults}
				holds={held === undefined
					? null
					: `It holds: ${held.stages.length} ${held.stages.length === 1 ? 'stage' : 'stages'}.`}
				of="course, or a list of them"
				asText={written === null}
				say={(text) => (lost = text)}
			>
				{#if written}<CourseFields
						course={written}
						{steps}
						set={(c) => (content = withCourse(content, c))}
					/>{/if}
			</OwnFile>
		{:else}<p class="label mt-3">Writing own courses takes a licensed user.</p>{/if}
	</div>
	<aside class="sheet border-l px-6 pt-4 pb-10 max-lg:border-t max-lg:border-l-0 max-sm:px-4">
		{#if held}<CourseList course={held} narrow />{:else}<p class="label">
				The course is read here as soon as it holds.
			</p>{/if}
	</aside>
</main>
