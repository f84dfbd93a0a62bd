<script lang="ts">
	import { enhance } from '$app/forms';
	import { partOf, REGIONS, SPOTS } from '#lib/core/body/place.ts';
	import { POSITIONS } from '#lib/contract/ask-form.ts';
	import Act from '#lib/ui/Act.svelte';
	import BodyMap from '#lib/ui/BodyMap.svelte';
	import Choice from '#lib/ui/Choice.svelte';
	import Field from '#lib/ui/Field.svelte';
	import GoalRow from '#lib/ui/GoalRow.svelte';
	import GoalForm from '#lib/ui/ask/GoalForm.svelte';
	import MomentSlider from '#lib/ui/ask/MomentSlider.svelte';
	import RepeatedForm from '#lib/ui/ask/RepeatedForm.svelte';
	import StoryForm from '#lib/ui/ask/StoryForm.svelte';
	import Fold from '#lib/ui/Fold.svelte';
	import KeyHelp from '#lib/ui/KeyHelp.svelte';
	import Said from '#lib/ui/Said.svelte';
	import { keepForm } from '#lib/ui/keep-form.ts';
	import { sending } from '#lib/ui/sending.ts';
	import { regionName } from '#lib/wording/names.ts';
	import { storyText } from '#lib/wording/history.ts';
	import { refusedText, wrongAt } from '#lib/ui/wrong.ts';

	let { data, form } = $props();
	const typed = $derived<Readonly<Record<string, string>>>(form && 'typed' in form ? form.typed : {});
	const wrong = $derived(wrongAt(form));
	let picked = $state('');
	const region = $derived(
		picked !== '' ? picked : (typed.region ?? data.complaints[0]?.region ?? 'knee-right')
	);
	const known = $derived(data.complaints.find((c) => c.region === region));
	const story = $derived(data.stories.find((s) => s.region === region));
	/** The form that came back was the story's. */
	const storySent = $derived(typed.how !== undefined && typed.region === region);
	const spots = $derived(SPOTS[partOf(region) ?? 'knee']);
	const sore = $derived(Object.fromEntries(data.complaints.map((c) => [c.region, c.worst])));
	const before = (name: string, stored: string | number | null | undefined): string =>
		typed.region === region && typed[name] !== undefined
			? typed[name]
			: stored === null || stored === undefined
				? ''
				: String(stored);
	let moved: number | undefined = $state();
	/** Refusals that stand beside their field; all others stand above. */
	let lost = $state('');
	const say = (text: string): void => void (lost = text);
	function choose(r: string): void {
		picked = r;
		moved = undefined;
	}
</script>

<svelte:head><title>Ask · {data.head.name}</title></svelte:head>
<KeyHelp
	keys={[
		['arrows', 'next place on the map'],
		['Enter', 'choose it'],
		['Tab', 'on to its questions'],
		['0 … 9', 'other pages of this client']
	]}
/>
<main class="page">
	<Said refused={lost || refusedText(form)} done={form && 'done' in form ? form.done : undefined} />
	<div class="grid grid-cols-[21rem_1fr] gap-8 max-lg:grid-cols-1">
		<section aria-label="Where it hurts">
			<h2>Where it hurts</h2>
			<BodyMap chosen={region} {sore} {choose} />
			<Choice
				name="place"
				label="or from the list"
				value={region}
				items={REGIONS.map((r) => ({
					value: r,
					name: `${regionName(r)}${sore[r] === undefined ? '' : `, worst ${sore[r]}`}`
				}))}
				onchange={(e: Event) => choose((e.currentTarget as HTMLSelectElement).value)}
			/>
		</section>
		{#key `${region} ${known?.id ?? ''}`}
			<form
				method="POST"
				action="?/complaint"
				class="grid content-start gap-3"
				use:enhance={sending(say, () => (picked = ''))}
				use:keepForm={'complaint'}
				novalidate
			>
				<input type="hidden" name="id" value={data.ids[0]} /><input
					type="hidden"
					name="settingId"
					value={data.ids[1]}
				/><input type="hidden" name="region" value={region} />
				<h2>{regionName(region).replace(/^./, (c) => c.toUpperCase())}{known ? '' : ': new'}</h2>
				<div class="flex flex-wrap items-end gap-4">
					<Choice
						name="spot"
						label="Where in it"
						value={before('spot', known?.spot ?? spots[0])}
						items={spots.map((s) => ({ value: s, name: s }))}
					/>
					<Field
						name="usualMorning"
						label="Usual morning, 0–10"
						inputmode="numeric"
						value={before('usualMorning', known?.usualMorning)}
						wrong={wrong('usualMorning')}
						width="w-16"
					/>
					<Field
						name="worst"
						label="Worst, 0–10"
						inputmode="numeric"
						value={before('worst', known?.worst)}
						wrong={wrong('worst')}
						width="w-16"
					/>
					<Field
						name="stiffnessMin"
						label="Stiff in the morning"
						unit="min"
						inputmode="numeric"
						value={before('stiffnessMin', known?.stiffnessMin)}
						wrong={wrong('stiffnessMin')}
						width="w-16"
					/>
				</div>
				<MomentSlider
					body={data.ctx.body}
					known={known?.painAt ?? 'late'}
					mirror={region.endsWith('left')}
					bind:moved
				/>
				<div class="flex flex-wrap items-end gap-4">
					<Choice
						name="loaded"
						label="Only under load"
						value={before('loaded', known?.loaded ?? 'unknown')}
						items={['yes', 'no', 'unknown'].map((v) => ({ value: v, name: v }))}
					/>
					<Choice
						name="position"
						label="In which position"
						value={before('position', known?.position ?? '')}
						items={[{ value: '', name: 'none named' }, ...POSITIONS.map((v) => ({ value: v, name: v }))]}
					/>
					<Field
						name="easing"
						label="What eases it"
						autocomplete="off"
						value={before('easing', known?.easing)}
						width="w-64"
					/>
				</div>
				{#if wrong('spot')}<p class="text-sm text-stop">{wrong('spot')}</p>{/if}
				<p class="label">
					The usual morning is what the first decisions are held against, until a week of mornings is there.
				</p>
				<div><Act>Save {regionName(region)}</Act></div>
			</form>
		{/key}
	</div>
	{#if known}{#key `${region} ${story?.id ?? ''} ${data.ids[5]}`}
			<Fold
				title="The story of the {regionName(region)}{story ? '' : ': not told yet'}"
				needed={storySent}
				class="mt-4 font-semibold"
			>
				{#if story}<p class="mb-2 text-base">{storyText(story)}</p>{/if}
				<StoryForm
					formId={data.ids[5] as string}
					{region}
					place={regionName(region)}
					today={data.head.today}
					known={story}
					ladders={data.ladders}
					typed={storySent ? typed : {}}
					wrong={storySent ? wrong : () => undefined}
					{say}
				/>
			</Fold>
			{#if region.startsWith('back')}<RepeatedForm
					formId={data.ids[6] as string}
					today={data.head.today}
					found={data.way}
					wrong={typed.leg === undefined ? () => undefined : wrong}
					{say}
				/>{/if}
		{/key}{/if}
	<section class="mt-8" aria-label="Goals">
		<div class="flex flex-wrap items-baseline gap-x-4">
			<h2>What the client wants to do again</h2>
			<span class="label">10 is able as before; three to five are usual</span>
			{#if data.mean}<span class="label ml-auto"
					>mean {data.mean.first.toFixed(1)} → <strong class="text-ink">{data.mean.now.toFixed(1)}</strong>, {data
						.mean.change.beyondError === 'all'
						? 'beyond error by every rule'
						: data.mean.change.beyondError === 'some'
							? 'beyond error by some rules'
							: 'inside error'}</span
				>{/if}
		</div>
		<ul>
			{#each data.goals as g (g.id)}<GoalRow
					goal={g}
					id={data.ids[2] as string}
					dropId={data.ids[3] as string}
					{say}
					wrong={typed.replaces === g.id && form && 'field' in form ? form.message : undefined}
				/>{/each}
		</ul>
		{#if data.goals.length === 0}<p class="rule label py-2">
				No goals yet. A goal tied to a ladder has a distance.
			</p>{/if}
		{#key data.ids[4]}<GoalForm
				id={data.ids[4] as string}
				activities={data.activities}
				points={data.points}
				{say}
				{wrong}
				refusedHere={typed.replaces === ''}
			/>{/key}
		{#if wrong('activity')}<p class="mt-1 text-sm text-stop" data-testid="field-wrong">
				{wrong('activity')}
			</p>{/if}
	</section>
</main>
