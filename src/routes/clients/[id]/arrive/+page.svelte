<script lang="ts">
	import { enhance } from '$app/forms';
	import { doseText } from '#lib/wording/dose.ts';
	import Act from '#lib/ui/Act.svelte';
	import Choice from '#lib/ui/Choice.svelte';
	import Field from '#lib/ui/Field.svelte';
	import Fold from '#lib/ui/Fold.svelte';
	import KeyHelp from '#lib/ui/KeyHelp.svelte';
	import Said from '#lib/ui/Said.svelte';
	import Score from '#lib/ui/Score.svelte';
	import Stroke from '#lib/ui/Stroke.svelte';
	import { keepForm } from '#lib/ui/keep-form.ts';
	import { sending } from '#lib/ui/sending.ts';
	import { handout } from '#lib/wording/intake.ts';
	import { regionName } from '#lib/wording/names.ts';
	import { refusedText, wrongAt } from '#lib/ui/wrong.ts';

	let { data, form } = $props();
	const wrong = $derived(wrongAt(form));
	const answer = $derived(form && 'answer' in form ? form.answer : undefined);
	const STROKE = { go: 'advance', lighter: 'regress', 'not-today': 'stop', ask: 'wait' } as const;
	const WORD = { go: 'Go', lighter: 'Lighter', 'not-today': 'Not today', ask: 'Ask first' } as const;
	const YES_NO = ['no', 'yes', 'unknown'] as const;
	let fall = $state('');
	let swelling = $state('');
	let hot = $state('');
	const AFTER_FALL = [
		['hipOrNoWeight', 'Hip or groin pain since, or a leg that cannot take weight'],
		['legShorterOrTurned', 'A leg that looks shorter or turned out'],
		['headOnThinners', 'The head was hit, and blood thinners are taken'],
		['drowsyOrVomiting', 'Drowsy, confused or vomiting since'],
		['otherPain', 'Any other new pain']
	] as const;
	const told = $derived(handout(data.language));
	let lost = $state('');
</script>

<svelte:head><title>Arrive · {data.head.name}</title></svelte:head>
<KeyHelp keys={[['0 … 9', 'other pages of this client']]} />
<main class="page max-w-2xl">
	<h2>Before starting today</h2>
	<p class="label">
		{data.work.length === 0
			? 'Nothing is prescribed yet.'
			: data.work
					.filter((w) => w.held === null && w.closed === null)
					.map((w) => `${w.title}, ${doseText(w.dose)}`)
					.join('; ')}
	</p>
	<Said done={form && 'done' in form ? form.done : undefined} refused={lost || refusedText(form)} />
	{#if answer && form && 'sentence' in form}
		{#each form.alarms ?? [] as a (a)}<p
				class="mt-2 border-4 px-3 py-2 font-semibold {form.grave
					? 'border-stop text-stop'
					: 'border-caution text-caution'}"
				role="alert"
				data-testid="alarm"
			>
				{a}
			</p>{/each}
		<div
			class="mt-2 flex items-start gap-3 border-l-4 bg-sheet px-3 py-3 {answer === 'not-today'
				? 'border-stop text-stop'
				: answer === 'go'
					? 'border-tolerated text-tolerated'
					: 'border-caution text-caution'}"
			role="status"
			data-testid="arrival"
		>
			<Stroke decision={STROKE[answer]} />
			<div>
				<p class="text-lg font-bold">{form.sentence}</p>
				{#if answer === 'lighter'}{#each data.work.filter((w) => w.closed === null) as w (w.id)}<p>
							{w.title}: {doseText(w.lighter)} instead of {doseText(w.dose)}.
						</p>{/each}{/if}
				{#if answer === 'go' || answer === 'lighter'}<p>
						<a href="/clients/{data.head.id}/log">On to the session</a>
					</p>{/if}
			</div>
		</div>
	{:else if data.earlier}<p class="label">
			Answered today already: {WORD[data.earlier.answer]}{data.earlier.why
				? ` (${data.earlier.why})`
				: ''}{data.earlier.opened ? `; opened by a licensed user: ${data.earlier.opened}` : ''}. Answering
			again replaces it.
		</p>{/if}
	{#if data.earlier && data.earlier.opened === null && (data.earlier.closes === 'day' || data.earlier.closes.length > 0)}
		{#if data.head.licensed}
			<Fold
				title="Open what the card closed, with a reason"
				needed={wrong('reason') !== undefined}
				class="mt-2 cursor-pointer text-accent"
			>
				<form
					method="POST"
					action="?/open"
					class="mt-2 flex flex-wrap items-end gap-3"
					use:enhance={sending((t) => (lost = t))}
				>
					<input type="hidden" name="id" value={data.ids[1]} />
					<Field name="reason" label="Reason" wrong={wrong('reason')} width="w-72 max-w-full" />
					<Act kind="danger">Open the day</Act>
				</form>
			</Fold>
		{:else}<p class="label mt-2">
				A licensed user may open it, with a reason. What was done all the same can be logged.
			</p>{/if}
	{/if}
	{#each data.work.filter((w) => w.closed !== null) as w (w.id)}<p
			class="mt-2 border-l-4 border-caution bg-sheet px-3 py-2"
			data-testid="closed"
		>
			<strong>{w.title}.</strong>
			{w.closed}
		</p>{/each}
	{#each data.work.filter((w) => w.held !== null) as w (w.id)}<p
			class="mt-2 border-l-4 border-stop bg-sheet px-3 py-2 text-stop"
			data-testid="held"
		>
			<strong>{w.title}.</strong>
			{w.held} <a class="underline" href="/clients/{data.head.id}/decide?exercise={w.id}">Sign the mend</a>
		</p>{/each}
	{#snippet question(name: string, label: string, options: readonly string[], set: (v: string) => void)}
		<fieldset class="flex flex-wrap items-center justify-between gap-2 py-1">
			<legend class="sr-only">{label}</legend>
			<span class="max-w-96 font-semibold" aria-hidden="true">{label}</span>
			<div class="flex flex-wrap gap-1.5">
				{#each options as v (v)}
					<label class="tile min-w-20 px-3"
						><input
							type="radio"
							{name}
							value={v}
							class="sr-only"
							aria-label="{label}: {v === 'cold' ? 'a cold, no fever' : v}"
							onchange={() => set(v)}
						/>{v === 'cold' ? 'a cold' : v}</label
					>
				{/each}
			</div>
			{#if wrong(name)}<p class="w-full text-sm text-stop" data-testid="field-wrong">{wrong(name)}</p>{/if}
		</fieldset>
	{/snippet}
	<form
		method="POST"
		action="?/arrive"
		class="mt-3 grid gap-2"
		use:enhance={sending(
			(t) => (lost = t),
			() => scrollTo({ top: 0 })
		)}
		use:keepForm={'arrive'}
	>
		<input type="hidden" name="id" value={data.ids[0]} />
		{#each data.regions as r (r.region)}<Score
				name="pain.{r.region}"
				label="{regionName(r.region).replace(/^./, (c) => c.toUpperCase())} now, usual {r.usual}"
				wrong={wrong(`pain.${r.region}`)}
			/>{/each}
		{#if data.regions.length === 0}<p class="text-caution">
				Nothing is mapped yet. <a href="/clients/{data.head.id}/ask">Ask what hurts first.</a>
			</p>{/if}
		{@render question('fever', 'Fever, or feeling ill', ['no', 'cold', 'yes', 'unknown'], () => undefined)}
		{@render question('fall', 'A fall since the last time', YES_NO, (v) => (fall = v))}
		{#if fall === 'yes'}
			<div class="ml-3 border-l-4 border-caution pl-3" data-testid="after-fall">
				{#each AFTER_FALL as [name, label] (name)}{@render question(
						name,
						label,
						YES_NO,
						() => undefined
					)}{/each}
			</div>
		{/if}
		{@render question('newSwelling', 'New swelling', YES_NO, (v) => (swelling = v))}
		{#if swelling === 'yes'}
			<div class="ml-3 grid gap-1 border-l-4 border-caution pl-3" data-testid="swollen">
				{#if data.regions.length > 1}<Choice
						name="swollenRegion"
						label="Where"
						value=""
						items={[
							{ value: '', name: 'not said: every region' },
							...data.regions.map((r) => ({ value: r.region, name: regionName(r.region) }))
						]}
					/>{/if}
				{@render question('hot', 'Hotter than the other side, and than last week', YES_NO, (v) => (hot = v))}
				{#if hot === 'yes'}{@render question(
						'cannotStand',
						'So painful that it can hardly be moved or stood on',
						YES_NO,
						() => undefined
					)}{/if}
			</div>
		{/if}
		{@render question('calf', 'One calf newly swollen, tender or warm', YES_NO, () => undefined)}
		<Fold
			title="Blood pressure at rest, if it was taken"
			needed={wrong('systolic') !== undefined || wrong('diastolic') !== undefined}
			class="cursor-pointer text-accent"
		>
			<div class="mt-1 flex gap-4">
				<Field
					name="systolic"
					label="Upper"
					unit="mmHg"
					inputmode="numeric"
					wrong={wrong('systolic')}
					width="w-20 min-h-12"
				/>
				<Field
					name="diastolic"
					label="Lower"
					unit="mmHg"
					inputmode="numeric"
					wrong={wrong('diastolic')}
					width="w-20 min-h-12"
				/>
			</div>
		</Fold>
		<div class="pt-2"><Act big>What today?</Act></div>
	</form>
	<p class="label mt-3">{told?.stop}</p>
	<p class="label">{told?.call}</p>
</main>
