<script lang="ts">
	import { enhance } from '$app/forms';
	import { partOf, REGIONS, SPOTS } from '#lib/core/body/place.ts';
	import { POSITIONS } from '#lib/contract/ask-form.ts';
	import Act from '#lib/ui/Act.svelte';
	import BodyMap from '#lib/ui/BodyMap.svelte';
	import Choice from '#lib/ui/Choice.svelte';
	import Field from '#lib/ui/Field.svelte';
	import FigureView from '#lib/ui/FigureView.svelte';
	import GoalRow from '#lib/ui/GoalRow.svelte';
	import KeyHelp from '#lib/ui/KeyHelp.svelte';
	import Said from '#lib/ui/Said.svelte';
	import { keepForm } from '#lib/ui/keep-form.ts';
	import { MOMENTS, movementFigure } from '#lib/ui/movement-figure.ts';
	import { sending } from '#lib/ui/sending.ts';
	import { PAIN_AT_NAME } from '#lib/wording/intake.ts';
	import { regionName } from '#lib/wording/names.ts';
	import { refusedText, wrongAt } from '#lib/ui/wrong.ts';

	let { data, form } = $props();
	const typed = $derived<Readonly<Record<string, string>>>(form && 'typed' in form ? form.typed : {});
	const wrong = $derived(wrongAt(form));
	let picked = $state('');
	const region = $derived(
		picked !== '' ? picked : (typed.region ?? data.complaints[0]?.region ?? 'knee-right')
	);
	const known = $derived(data.complaints.find((c) => c.region === region));
	const spots = $derived(SPOTS[partOf(region) ?? 'knee']);
	const sore = $derived(Object.fromEntries(data.complaints.map((c) => [c.region, c.worst])));
	const before = (name: string, stored: string | number | null | undefined): string =>
		typed.region === region && typed[name] !== undefined
			? typed[name]
			: stored === null || stored === undefined
				? ''
				: String(stored);
	let moved: number | undefined = $state();
	const moment = $derived(
		MOMENTS[moved ?? Math.max(0, MOMENTS.indexOf((known?.painAt ?? 'late') as (typeof MOMENTS)[number]))] ??
			'late'
	);
	/** Refusals that stand beside their field; all others stand above. */
	let lost = $state('');
	const say = (text: string): void => void (lost = text);
	function choose(r: string): void {
		picked = r;
		moved = undefined;
	}
	let activity = $state('');
	const tied = $derived(data.activities.find((a) => a.id === activity)?.ladder);
	let tie = $derived(tied ? `${tied.family}:${tied.step}` : '');
	const points = $derived([
		{ value: '', name: 'no ladder: range only' },
		...data.points.map(({ value, name }) => ({ value, name })),
		...(tied && !data.points.some((p) => p.value === `${tied.family}:${tied.step}`)
			? [{ value: `${tied.family}:${tied.step}`, name: `step ladder: ${tied.step.replaceAll('-', ' ')}` }]
			: [])
	]);
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
				<div class="grid grid-cols-[13rem_1fr] items-center gap-4 max-sm:grid-cols-1">
					<FigureView
						figure={movementFigure(data.ctx.body, moment)}
						label="The movement, {PAIN_AT_NAME[moment]}"
						height={150}
						mirror={region.endsWith('left')}
						tight
					/>
					<div>
						<label class="label" for="moment"
							>When in the movement: <strong class="text-ink">{PAIN_AT_NAME[moment]}</strong></label
						>
						<input
							id="moment"
							type="range"
							min="0"
							max={MOMENTS.length - 1}
							step="1"
							value={MOMENTS.indexOf(moment)}
							oninput={(e) => (moved = Number(e.currentTarget.value))}
							aria-valuetext={PAIN_AT_NAME[moment]}
							class="block w-full max-w-96 accent-(--accent)"
						/>
						<div class="label flex max-w-96 justify-between">
							<span>early</span><span>middle</span><span>late</span><span>return</span><span>all</span>
						</div>
						<input type="hidden" name="painAt" value={moment} />
					</div>
				</div>
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
		{#key data.ids[4]}
			<form
				method="POST"
				action="?/goal"
				class="rule flex flex-wrap items-end gap-3 pt-3"
				use:enhance={sending(say, () => (activity = ''))}
				use:keepForm={'goal'}
				novalidate
			>
				<input type="hidden" name="id" value={data.ids[4]} /><input type="hidden" name="replaces" value="" />
				<Choice
					name="activity"
					label="Activity"
					bind:value={activity}
					items={[
						{ value: '', name: 'choose …' },
						...data.activities.map((a) => ({ value: a.id, name: a.title }))
					]}
				/>
				<Field
					name="label"
					label="In the client’s words"
					autocomplete="off"
					wrong={wrong('label')}
					width="w-52"
				/>
				<Choice
					name="side"
					label="Side"
					value=""
					items={[
						{ value: '', name: 'both' },
						{ value: 'left', name: 'left' },
						{ value: 'right', name: 'right' }
					]}
				/>
				<Field
					name="score"
					label="Able, 0–10"
					inputmode="numeric"
					wrong={typed.replaces === '' ? wrong('score') : undefined}
					width="w-16"
				/>
				<Field
					name="confidence"
					label="Confident, 0–10"
					inputmode="numeric"
					wrong={typed.replaces === '' ? wrong('confidence') : undefined}
					width="w-16"
				/>
				<Choice name="tie" label="Point on a ladder" bind:value={tie} items={points} />
				<Field
					name="heightCm"
					label="At height"
					unit="cm"
					inputmode="decimal"
					wrong={wrong('heightCm') ?? wrong('height')}
					width="w-16"
				/>
				<Field name="sets" label="Sets" inputmode="numeric" wrong={wrong('sets')} width="w-14" />
				<Field name="reps" label="Reps" inputmode="numeric" wrong={wrong('reps')} width="w-14" />
				<Act kind="quiet">Keep goal</Act>
			</form>
		{/key}
		{#if wrong('activity')}<p class="mt-1 text-sm text-stop" data-testid="field-wrong">
				{wrong('activity')}
			</p>{/if}
	</section>
</main>
