<script lang="ts">
	/** The whole catalogue, and the practice's own, without a client: browse, search, read one step. */
	import { page } from '$app/state';
	import { FAMILIES } from '#lib/catalogue/families.ts';
	import { COURSES } from '#lib/catalogue/courses.ts';
	import CourseList from '#lib/ui/library/CourseList.svelte';
	import Filters from '#lib/ui/library/Filters.svelte';
	import { suits } from '#lib/core/exercise/suits.ts';
	import { search, searchIndex } from '#lib/core/exercise/search.ts';
	import { nobody } from '#lib/core/fit/stands.ts';
	import FigureView from '#lib/ui/FigureView.svelte';
	import Field from '#lib/ui/Field.svelte';
	import KeyHelp from '#lib/ui/KeyHelp.svelte';
	import StepSheet from '#lib/ui/StepSheet.svelte';
	import { onKeys } from '#lib/ui/keys.ts';
	import { figureOfStep } from '#lib/ui/scene.ts';
	import { EQUIPMENT_NAME, PURPOSE_NAME } from '#lib/wording/names.ts';

	let { data } = $props();
	const ctx = nobody();
	const families = $derived([...Object.values(FAMILIES), ...data.own]);
	const names: Readonly<Record<string, string>> = { ...PURPOSE_NAME, ...EQUIPMENT_NAME };
	const index = $derived(searchIndex(families, (c) => names[c] ?? c));
	let query = $state(page.url.searchParams.get('q') ?? '');
	let course = $state(page.url.searchParams.get('course') ?? '');
	const courses = $derived([...COURSES, ...data.courses.map((c) => c.course)]);
	const picked = $derived(courses.find((c) => c.id === course));
	const inCourse = $derived(
		picked && new Set(picked.stages.flatMap((s) => s.steps.flatMap((x) => [x.step, ...(x.instead ?? [])])))
	);
	let position = $state('');
	let kit = $state('');
	let spares = $state('');
	/** Of those that hold the words, those that suit what is asked besides. */
	const found = $derived(
		search(index, query).filter(
			({ step }) =>
				(inCourse === undefined || inCourse.has(step.id)) && suits(step, { position, kit, spares })
		)
	);
	let chosen = $state(page.url.searchParams.get('step') ?? '');
	const entry = $derived(found.find((e) => e.step.id === chosen) ?? found[0]);
	const groups = $derived(
		families
			.map((family) => ({ family, steps: found.filter((e) => e.family.id === family.id) }))
			.filter((g) => g.steps.length > 0)
	);
	/** In the order they stand on the page. */
	const listed = $derived(query.trim() === '' ? groups.flatMap((g) => g.steps) : found);
	const move = (by: number): void => {
		const i = listed.findIndex((e) => e.step.id === entry?.step.id);
		chosen = listed[Math.max(0, Math.min(listed.length - 1, i + by))]?.step.id ?? chosen;
		document.querySelector(`[data-step="${chosen}"]`)?.scrollIntoView({ block: 'nearest' });
	};
	const keys = onKeys({
		j: () => move(1),
		k: () => move(-1),
		'/': () => document.querySelector<HTMLInputElement>('[name=q]')?.focus()
	});
</script>

<svelte:head><title>Library</title></svelte:head>
<svelte:window onkeydown={keys} />
<KeyHelp
	keys={[
		['/', 'search'],
		['j k', 'next, previous step']
	]}
/>
<main class="grid grid-cols-[1fr_26rem] max-lg:grid-cols-1">
	<div class="min-w-0 px-7 pt-4 pb-10 max-sm:px-4">
		<div class="flex flex-wrap items-end gap-x-6 gap-y-2">
			<h1>Library</h1>
			<Field
				name="q"
				label="Search: a word of its name, a muscle, an activity, equipment"
				bind:value={query}
				width="w-80 max-sm:w-full"
				autocomplete="off"
			/>
			<p class="label" role="status" data-testid="found">{found.length} of {index.length} steps</p>
			<span class="ml-auto flex gap-4"
				><a href="/library/own">Own steps</a><a href="/library/course">Own courses</a></span
			>
		</div>
		<Filters bind:position bind:kit bind:spares bind:course {courses} />
		{#if picked}<CourseList course={picked} choose={(id) => (chosen = id)} />{/if}
		{#snippet row(e: (typeof found)[number])}
			<li>
				<button
					type="button"
					data-step={e.step.id}
					onclick={() => (chosen = e.step.id)}
					aria-pressed={entry?.step.id === e.step.id}
					class="flex w-full cursor-pointer items-center gap-2 rounded-md px-1 py-0.5 text-left hover:bg-wash {entry
						?.step.id === e.step.id
						? 'bg-wash font-semibold'
						: ''}"
				>
					<span class="flex w-11 shrink-0 justify-center"
						><FigureView figure={figureOfStep(e.step, ctx, null)} label="" height={34} /></span
					>
					<span class="min-w-0 truncate">{e.step.title}{e.step.retired ? ' (retired)' : ''}</span>
				</button>
			</li>
		{/snippet}
		{#if found.length === 0}
			<p class="mt-4">
				Nothing holds all of these words. Try one of them, a muscle (“buttock”), an activity (“stairs”) or
				equipment (“band”).
			</p>
		{:else if query.trim() !== '' || found.length < index.length}
			<ul class="mt-3 grid grid-cols-2 gap-x-6 max-md:grid-cols-1">
				{#each found as e (e.step.id)}{@render row(e)}{/each}
			</ul>
		{:else}
			{#each groups as g (g.family.id)}
				<h3 class="rule mt-3 pt-2">
					{g.family.title} <span class="label font-normal">{g.steps.length} steps</span>
				</h3>
				<ul class="grid grid-cols-3 gap-x-5 max-xl:grid-cols-2 max-md:grid-cols-1">
					{#each g.steps as e (e.step.id)}{@render row(e)}{/each}
				</ul>
			{/each}
		{/if}
	</div>
	<aside
		class="sheet border-l px-6 pt-4 pb-10 max-lg:border-t max-lg:border-l-0 max-sm:px-4 lg:sticky lg:top-0 lg:max-h-screen lg:self-start lg:overflow-y-auto"
	>
		{#if entry}<StepSheet family={entry.family} step={entry.step} {ctx} />{/if}
	</aside>
</main>
