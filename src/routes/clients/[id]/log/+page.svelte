<script lang="ts">
	import { enhance } from '$app/forms';
	import { page } from '$app/state';
	import { JOINTS } from '#lib/contract/log-form.ts';
	import { ASKS_SADDLE } from '#lib/core/safety/alarm.ts';
	import { INCOMPLETE, PAIN_AT, SYMPTOMS } from '#lib/core/session/record.ts';
	import Act from '#lib/ui/Act.svelte';
	import Choice from '#lib/ui/Choice.svelte';
	import DayField from '#lib/ui/DayField.svelte';
	import Field from '#lib/ui/Field.svelte';
	import Fold from '#lib/ui/Fold.svelte';
	import HoldTimer from '#lib/ui/HoldTimer.svelte';
	import KeyHelp from '#lib/ui/KeyHelp.svelte';
	import Said from '#lib/ui/Said.svelte';
	import Score from '#lib/ui/Score.svelte';
	import { keepForm } from '#lib/ui/keep-form.ts';
	import { sending } from '#lib/ui/sending.ts';
	import { setupText } from '#lib/wording/setup.ts';
	import { shortDay } from '#lib/wording/days.ts';
	import { regionName, SYMPTOM_NAME } from '#lib/wording/names.ts';
	import { refusedText, wrongAt } from '#lib/ui/wrong.ts';

	let { data, form } = $props();
	const given = $derived(data.exercises.filter((e) => e.head !== null));
	const exercise = $derived(given.find((e) => e.id === page.url.searchParams.get('exercise')) ?? given[0]);
	const head = $derived(exercise?.head ?? null);
	const columns = $derived(['reps', 'effort', 'clean', ...(exercise?.legs ? ['other'] : [])]);
	const was = (name: string, fallback = ''): string =>
		form && 'typed' in form ? (form.typed[name] ?? fallback) : fallback;
	const wrong = $derived(wrongAt(form));
	let lost = $state('');
	let day = $state('');
	let v = $state({
		effort: was('effort'),
		before: was('before'),
		peak: was('peak'),
		after: was('after'),
		confidence: was('confidence'),
		soreness: was('soreness'),
		painAt: was('painAt'),
		loaded: was('painOnlyLoaded'),
		because: was('incompleteBecause'),
		elseRegion: was('elseRegion'),
		elsePeak: was('elsePeak'),
		lower: was('radiatingLower'),
		saddle: was('caudaEquina'),
		felt: was('feltMuscle'),
		joint: was('feltJoint'),
		sore72: was('sorenessOver72h')
	});
	// Never ticked beforehand: what was not seen is not said to be.
	let observed = $state(false);
	let clean = $state(false);
	let usual: string[] = $state([]);
	let otherSame = $state(false);
	let symptoms: string[] = $state([]);
	let sets: Record<string, string> = $state({});
	let faults: Record<string, string> = $state({});
	let opened = $state<boolean>();
	/** Holds are timed set by set, so their sets stand open. */
	const timed = $derived(head?.dose.unit === 'sec');
	const exceptions = $derived(opened ?? timed);
	/** The logged session that is being taken out, and why. */
	let taking = $state('');
	let why = $state('');
	$effect.pre(() => {
		if (day === '') day = data.head.today;
	});
	let shown = '';
	$effect.pre(() => {
		// What was typed belongs to the exercise it was typed for; another one starts empty.
		const id = exercise?.id ?? '';
		if (shown !== '' && shown !== id) {
			for (const key of Object.keys(v) as (keyof typeof v)[]) v[key] = '';
			[symptoms, usual, sets, faults, otherSame, opened] = [[], [], {}, {}, false, undefined];
		}
		if (shown !== id && v.before === '' && exercise?.now !== null && exercise?.now !== undefined)
			v.before = String(exercise.now);
		shown = id;
	});
	const SHARES = [
		{ value: '', name: 'not seen' },
		{ value: '0.3', name: 'some sets' },
		{ value: '0.5', name: 'half the sets' },
		{ value: '1', name: 'all sets' }
	];
	const blank = (values: readonly string[], none: string) => [
		{ value: '', name: none },
		...values.map((x) => ({ value: x, name: x }))
	];
	const elsewhere = ['knee-left', 'knee-right', 'hip-left', 'hip-right', 'ankle-left', 'ankle-right', 'back'];
	const asksSaddle = $derived(ASKS_SADDLE.some((s) => symptoms.includes(s)));
	/** What holds this exercise today; what was done all the same is still logged. */
	const held = $derived(
		head === null || exercise === undefined
			? null
			: head.state === 'stopped'
				? { by: 'slip', text: 'Stopped: a licensed user clears it first.' }
				: head.state === 'set-aside'
					? { by: 'slip', text: 'Set aside.' }
					: exercise.held
	);
	/** The dose of today: of a lighter day, where the arrival card says so. */
	const dose = $derived(exercise?.today ?? head?.dose);
</script>

<svelte:head><title>Log · {data.head.name}</title></svelte:head>
<KeyHelp keys={[['0 … 9', 'other pages of this client']]} />
<main class="page max-w-2xl text-[18px]">
	{#if form && 'emergency' in form && form.emergency}
		<div role="alert" class="mb-4 border-4 border-stop bg-sheet p-4" data-testid="emergency">
			<h2 class="text-stop">End the session. Call the emergency number now.</h2>
			{#each form.alarms as a (a)}<p>{a}</p>{/each}
			<p>Stay with the client. A red flag is open; nothing goes on until a licensed user closes it.</p>
		</div>
	{:else}{#each (form && 'alarms' in form ? form.alarms : undefined) ?? [] as a (a)}<p
				class="mb-3 border-4 border-stop px-3 py-2 font-semibold text-stop"
				role="alert"
				data-testid="alarm"
			>
				{a}
			</p>{/each}{/if}
	<Said done={form && 'done' in form ? form.done : undefined} refused={lost || refusedText(form)} />
	{#if given.length > 1}
		<nav aria-label="Exercises" class="mb-3 flex flex-wrap gap-2">
			{#each given as e (e.id)}<a
					href="?exercise={e.id}"
					aria-current={e.id === exercise?.id ? 'true' : undefined}
					class="rounded-md border border-edge px-3 py-2.5 {e.id === exercise?.id ? 'bg-wash font-bold' : ''}"
					>{e.head?.snapshot.title} · {regionName(e.region)}</a
				>{/each}
		</nav>
	{/if}
	{#if !exercise || !head}
		<h2>Nothing prescribed yet</h2>
		<p class="mt-2">Choose a step first: <a href="/clients/{data.head.id}/ladder">to the ladder</a>.</p>
	{:else if held !== null}
		<h2 class="text-xl">{head.snapshot.title}</h2>
		<p class="mt-2 border-l-4 border-stop bg-sheet px-3 py-2 text-stop" data-testid="held">
			{held.text}
			{#if held.by === 'day'}<a class="underline" href="/clients/{data.head.id}/arrive">To the arrival card</a
				>{:else}<a class="underline" href="/clients/{data.head.id}/decide?exercise={exercise.id}"
					>{held.by === 'slip' ? 'To its slip' : 'See why, and sign the mend'}</a
				>{/if}
		</p>
		<Fold
			title="Log what was done all the same"
			needed={form !== null && 'field' in form}
			class="mt-3 min-h-12 cursor-pointer py-2 font-semibold"
		>
			<p class="label">Kept against advice: it counts for pain and alarms, never for an advance.</p>
			{@render session()}
		</Fold>
	{:else}{@render session()}{/if}
	{#snippet session()}{#if exercise && head && dose}
			<h2 class="text-xl">{head.snapshot.title}</h2>
			<p class="text-2xl font-bold">
				{dose.sets} × {dose.reps}{head.dose.unit === 'sec'
					? ' s'
					: head.dose.unit === undefined
						? ''
						: ` ${head.dose.unit}`}{head.dose.loadKg > 0 ? ` · ${head.dose.loadKg} kg` : ''}{setupText(
					head.setup
				) === ''
					? ''
					: ` · ${setupText(head.setup)}`}
			</p>
			{#if exercise.upright}<p>{exercise.upright[0]?.toUpperCase()}{exercise.upright.slice(1)}.</p>{/if}
			{#if exercise.lighter}<p class="text-caution">Lighter today.</p>{/if}
			{#if exercise.needs.length > 0}<p class="label">
					For an advance it still needs: {exercise.needs.join('; ')}.
				</p>{/if}
			<ol class="my-1 list-decimal pl-6 text-base">
				{#each head.snapshot.cues as cue (cue)}<li>{cue}</li>{/each}
			</ol>
			<p class="border-l-4 border-caution pl-3 text-base">
				{head.snapshot.cautions.find((c) => c.startsWith('Stop')) ?? head.snapshot.cautions[0]}
			</p>
			<form
				method="POST"
				action="?/log"
				class="mt-3"
				use:keepForm={'log'}
				use:enhance={sending(
					(text) => (lost = text),
					() => scrollTo({ top: 0 })
				)}
				novalidate
			>
				<input type="hidden" name="id" value={exercise.ids.id} />
				<input type="hidden" name="visitId" value={exercise.ids.visitId} />
				<input type="hidden" name="exerciseId" value={exercise.id} />
				<input type="hidden" name="prescriptionId" value={head.id} />
				<input type="hidden" name="region" value={exercise.region} />
				<div class="rule flex flex-wrap items-end gap-5 py-2">
					<DayField
						name="day"
						label="Day"
						bind:value={day}
						wrong={wrong('day')}
						width="w-40"
						today={data.head.today}
					/>
					<label class="flex min-h-12 items-center gap-2"
						><input
							type="checkbox"
							name="observed"
							bind:checked={observed}
							class="size-6 accent-(--accent)"
						/> seen by me</label
					>
					<label class="flex min-h-12 items-center gap-2"
						><input
							type="checkbox"
							name="cleanThroughout"
							bind:checked={clean}
							disabled={!observed}
							class="size-6 accent-(--accent)"
						/> clean throughout</label
					>
					{#if exercise.legs}<label class="flex min-h-12 items-center gap-2"
							><input
								type="checkbox"
								name="otherSame"
								bind:checked={otherSame}
								disabled={!observed || !clean}
								class="size-6 accent-(--accent)"
							/>
							{exercise.legs.other} leg the same</label
						>{/if}
				</div>
				<Score
					name="effort"
					label="Effort"
					ends={['none', 'nothing left']}
					bind:value={v.effort}
					wrong={wrong('effort')}
				/>
				<p class="mt-1 font-semibold">Pain, {regionName(exercise.region)}</p>
				<Score name="before" label="Before" bind:value={v.before} wrong={wrong('before')} />
				<Score name="peak" label="Worst" bind:value={v.peak} wrong={wrong('peak')} />
				<Score name="after" label="After" bind:value={v.after} wrong={wrong('after')} />
				<Score
					name="confidence"
					label="Confidence"
					ends={['none', 'full']}
					bind:value={v.confidence}
					wrong={wrong('confidence')}
				/>
				<Score name="soreness" label="Muscle soreness" bind:value={v.soreness} wrong={wrong('soreness')} />
				<details class="rule py-2" bind:open={() => exceptions, (open) => (opened = open)}>
					<summary class="min-h-12 cursor-pointer py-2 font-semibold"
						>Not quite as prescribed, or something to tell</summary
					>
					<table class="plain">
						<thead
							><tr
								><th>Set</th><th>{head.dose.unit ?? 'reps'} done</th><th>effort</th><th
									>clean{exercise.legs ? `, ${exercise.legs.own}` : ''}</th
								>{#if exercise.legs}<th>clean, {exercise.legs.other}</th>{/if}</tr
							></thead
						>
						<tbody>
							{#each { length: dose.sets }, i (i)}
								<tr>
									<td
										>{#if timed}<HoldTimer
												label="set {i + 1}"
												short={String(i + 1)}
												onheld={(seconds) => (sets[`${i}.reps`] = String(seconds))}
											/>{:else}{i + 1}{/if}</td
									>
									{#each columns as f (f)}
										<td
											><Field
												name="set.{i}.{f}"
												label="Set {i + 1} {f}"
												hideLabel
												bind:value={sets[`${i}.${f}`]}
												inputmode="numeric"
												placeholder={f === 'reps' ? String(dose.reps) : f === 'effort' ? v.effort : ''}
												wrong={wrong(`set.${i}.${f}`)}
												width="{exercise.legs ? 'w-15' : 'w-18'} min-h-12"
											/></td
										>
									{/each}
								</tr>
							{/each}
						</tbody>
					</table>
					<div class="mt-3 grid grid-cols-2 gap-3 max-sm:grid-cols-1">
						<Choice
							name="incompleteBecause"
							label="If less was done, because of"
							bind:value={v.because}
							items={blank(INCOMPLETE, 'all done')}
						/>
						<Choice
							name="painAt"
							label="It hurt in the movement"
							bind:value={v.painAt}
							items={blank(PAIN_AT, 'not said')}
						/>
						<Choice
							name="painOnlyLoaded"
							label="Only with load"
							bind:value={v.loaded}
							items={blank(['yes', 'no'], 'not said')}
						/>
						<Choice
							name="feltMuscle"
							label="Felt in the muscle it is for"
							bind:value={v.felt}
							items={blank(['yes', 'no'], 'not asked')}
						/>
						<Choice
							name="feltJoint"
							label="Felt in a joint"
							bind:value={v.joint}
							items={blank(JOINTS, 'not asked')}
						/>
						<Choice
							name="sorenessOver72h"
							label="Muscles still sore after three days"
							bind:value={v.sore72}
							items={blank(['yes', 'no'], 'not asked')}
						/>
						<Choice
							name="elseRegion"
							label="Pain somewhere else"
							bind:value={v.elseRegion}
							items={[
								{ value: '', name: 'no' },
								...elsewhere
									.filter((r) => r !== exercise.region)
									.map((r) => ({ value: r, name: regionName(r) }))
							]}
						/>
					</div>
					{#if v.elseRegion}<Score
							name="elsePeak"
							label="How much there"
							bind:value={v.elsePeak}
							wrong={wrong('elsePeak')}
						/>{/if}
					<fieldset class="mt-3">
						<legend class="font-semibold">Beyond ordinary pain</legend>
						<div class="grid grid-cols-2 gap-x-4 max-sm:grid-cols-1">
							{#each SYMPTOMS as s (s)}
								<div>
									<label class="flex min-h-12 items-center gap-2.5"
										><input
											type="checkbox"
											name="symptoms"
											value={s}
											bind:group={symptoms}
											class="size-6 accent-(--accent)"
										/>
										{SYMPTOM_NAME[s]}</label
									>
									{#if symptoms.includes(s) && exercise.known.includes(s)}<label
											class="ml-8 flex min-h-12 items-center gap-2.5"
											><input
												type="checkbox"
												name="asUsual"
												value={s}
												bind:group={usual}
												class="size-6 accent-(--accent)"
											/> as usual</label
										>{/if}
								</div>
							{/each}
						</div>
						{#if symptoms.includes('radiating')}<Choice
								name="radiatingLower"
								label="Further down than usual, or new?"
								bind:value={v.lower}
								items={blank(['yes', 'no'], 'not said (counts as yes)')}
							/>{/if}
						{#if asksSaddle}<Choice
								name="caudaEquina"
								label="Numb saddle area, bladder or bowel change, both legs?"
								bind:value={v.saddle}
								items={blank(['yes', 'no', 'unknown'], 'not asked (counts as yes)')}
							/>{/if}
					</fieldset>
					<fieldset class="mt-3">
						<legend class="font-semibold">Faults seen</legend>
						<div class="grid grid-cols-2 gap-3 max-sm:grid-cols-1">
							{#each head.snapshot.faults as f (f.id)}<Choice
									name="fault.{f.id}"
									label={f.title}
									bind:value={faults[f.id]}
									items={SHARES}
								/>{/each}
						</div>
					</fieldset>
				</details>
				<div class="sticky bottom-0 -mx-3 max-lg:bottom-14 border-t bg-paper px-3 py-3">
					<Act big>{exceptions ? 'Log the session' : 'Log as prescribed'}</Act>
				</div>
			</form>
		{/if}{/snippet}
	{#if data.recent.length > 0}
		<section class="rule mt-6 pt-3 text-base" aria-label="Last sessions">
			<h3>Last sessions</h3>
			<ul>
				{#each data.recent as r (r.id)}
					<li class="rule flex flex-wrap items-center gap-x-4 py-1">
						<span
							>{shortDay(r.date)}: {r.sets}×{r.reps}, worst {r.peak ?? '–'}{r.against
								? ', against advice'
								: ''}</span
						>
						{#if r.mine}<button
								type="button"
								class="ml-auto min-h-12 cursor-pointer text-accent underline"
								aria-expanded={taking === r.id}
								onclick={() => (taking = taking === r.id ? '' : r.id)}>Logged by mistake</button
							>{/if}
						{#if taking === r.id}
							<form
								method="POST"
								action="?/void"
								class="flex w-full flex-wrap items-end gap-3 pb-2"
								use:enhance={sending(
									(text) => (lost = text),
									() => (taking = '')
								)}
								novalidate
							>
								<input type="hidden" name="id" value={data.voidId} />
								<input type="hidden" name="logId" value={r.id} />
								<Field
									name="reason"
									label="What was wrong with it"
									bind:value={why}
									wrong={wrong('reason')}
									width="w-64 max-w-full"
								/>
								<Act kind="danger">Take it out</Act>
							</form>
						{/if}
					</li>
				{/each}
			</ul>
		</section>
	{/if}
</main>
