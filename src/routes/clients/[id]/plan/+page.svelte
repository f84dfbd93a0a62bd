<script lang="ts">
	/** What stands now, what is held and by which limit, what has ended; on paper, the client's own sheet. */
	import { familiesFor } from '#lib/ui/families.ts';
	import type { PlannedWork } from '#lib/contract/plan-view.ts';
	import { GROUPS } from '#lib/core/exercise/plan-order.ts';
	import { stepAnywhere } from '#lib/core/exercise/family.ts';
	import Act from '#lib/ui/Act.svelte';
	import KeyHelp from '#lib/ui/KeyHelp.svelte';
	import Said from '#lib/ui/Said.svelte';
	import CoursePanel from '#lib/ui/plan/CoursePanel.svelte';
	import Delegation from '#lib/ui/plan/Delegation.svelte';
	import EndEpisode from '#lib/ui/plan/EndEpisode.svelte';
	import EndedList from '#lib/ui/plan/EndedList.svelte';
	import PlanGroups from '#lib/ui/plan/PlanGroups.svelte';
	import { figureOfStep } from '#lib/ui/scene.ts';
	import { refusedText, wrongAt } from '#lib/ui/wrong.ts';

	let { data, form } = $props();
	let lost = $state('');
	const wrong = $derived(wrongAt(form));
	/** The refusal belongs to the exercise it was sent for. */
	const sentFor = $derived(form && 'typed' in form ? form.typed.exerciseId : undefined);
	const sentTo = $derived(form && 'typed' in form ? form.typed.to : undefined);
	const wrongOf = (exerciseId: string) => (sentFor === exerciseId ? wrong('reason') : undefined);
	const families = $derived(familiesFor(data.own, data.ctx.leftOut));
	const figureOf = (w: PlannedWork) => {
		const step = stepAnywhere(families, w.given.step);
		return step === undefined ? null : figureOfStep(step, data.ctx, w.given.setup ?? null);
	};
	const { groups, ended, stop, call } = $derived(data.plan);
	const work = $derived(GROUPS.flatMap((g) => groups[g]));
	const counts = $derived(
		(
			[
				['stands', 'in use'],
				['held', 'held'],
				['stopped', 'stopped'],
				['set-aside', 'set aside']
			] as const
		)
			.map(([state, word]) => [work.filter((w) => w.state === state).length, word] as const)
			.filter(([n]) => n > 0)
			.map(([n, word]) => `${n} ${word}`)
			.join(' · ')
	);
	/** On paper only what is done. */
	const done = $derived(work.filter((w) => w.state === 'stands'));
</script>

<svelte:head><title>Plan · {data.head.name}</title></svelte:head>
<KeyHelp keys={[['0 … 9', 'other pages of this client']]} />
<main class="page max-w-4xl">
	<Said done={form && 'done' in form ? form.done : undefined} refused={lost || refusedText(form)} />
	<div class="flex flex-wrap items-baseline gap-x-4">
		<h2>Plan</h2>
		<span class="label">{counts}</span>
	</div>
	{#if work.length === 0}
		<p class="rule mt-2 py-3">
			Nothing is prescribed yet. What fits this client stands on <a href="/clients/{data.head.id}/ladders"
				>every ladder</a
			>; a first plan starts at each ladder’s entry.
		</p>
	{:else}
		<PlanGroups
			clientId={data.head.id}
			plan={data.plan}
			orderId={data.orderId}
			{figureOf}
			today={data.head.today}
			{wrongOf}
			wrongTo={sentTo}
			say={(text) => (lost = text)}
		/>
		<div class="no-print rule flex flex-wrap items-center gap-4 pt-3">
			{#if done.length > 0}<a
					class="rounded-md bg-accent px-4 py-2 font-semibold text-accent-ink no-underline"
					href="/clients/{data.head.id}/{done.length > 1 ? 'session' : 'log'}">Log today’s session</a
				>{/if}
			<a href="/clients/{data.head.id}/ladders">Another exercise</a>
			<Act kind="quiet" type="button" onclick={() => print()}>Print the plan</Act>
		</div>
		<div class="mt-4 hidden border-l-4 border-caution pl-3 text-sm print:block">
			<p>{stop}</p>
			<p>{call}</p>
		</div>
	{/if}
	<CoursePanel
		clientId={data.head.id}
		course={data.course}
		ids={data.courseIds}
		courses={data.courses}
		regions={data.regions}
		licensed={data.head.licensed}
		wanted={data.wanted}
		{wrong}
		say={(text) => (lost = text)}
	/>
	<Delegation
		delegation={data.delegation}
		families={Object.values(families)}
		inPlan={work.map((w) => w.family)}
		ids={data.delegationIds}
		licensed={data.head.licensed}
		today={data.head.today}
		{wrong}
		say={(text) => (lost = text)}
	/>
	{#if data.head.licensed}<EndEpisode
			formId={data.episodeId}
			inPlan={work.length}
			wrong={sentFor === undefined ? wrong('reason') : undefined}
			say={(text) => (lost = text)}
		/>{/if}
	{#if ended.length > 0}<EndedList {ended} {wrongOf} say={(text) => (lost = text)} />{/if}
</main>
