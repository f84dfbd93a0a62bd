<script lang="ts">
	/** All of today's exercises on one page, in the order of the plan; on a phone one at a time, the rest a swipe away. */
	import { familiesFor } from '#lib/ui/families.ts';
	import { enhance } from '$app/forms';
	import { stepAnywhere } from '#lib/core/exercise/family.ts';
	import Act from '#lib/ui/Act.svelte';
	import Alarms from '#lib/ui/Alarms.svelte';
	import DayField from '#lib/ui/DayField.svelte';
	import KeyHelp from '#lib/ui/KeyHelp.svelte';
	import Said from '#lib/ui/Said.svelte';
	import { KEPT_TEXT, sayKept } from '#lib/ui/away/context.ts';
	import KeepHere from '#lib/ui/away/KeepHere.svelte';
	import { keepSession } from '#lib/ui/away/session.ts';
	import { keepForm } from '#lib/ui/keep-form.ts';
	import { heldToday, isPrescribed } from '#lib/ui/log/exercise.ts';
	import { SessionState } from '#lib/ui/log/state.svelte.ts';
	import { figureOfStep } from '#lib/ui/scene.ts';
	import { sending } from '#lib/ui/sending.ts';
	import ExerciseRow from '#lib/ui/session/ExerciseRow.svelte';
	import type { Drawn } from '#lib/ui/session/OnTheSpot.svelte';
	import RegionPains from '#lib/ui/session/RegionPains.svelte';
	import { alarmText } from '#lib/wording/safety.ts';
	import { refusedText, wrongAt, wrongOf } from '#lib/ui/wrong.ts';
	import Tick from '#lib/ui/Tick.svelte';

	let { data, form } = $props();
	interface Away {
		/** Of the page it was written on; the server's answer brings others. */
		readonly of: string | undefined;
		readonly done: string;
		readonly alarms: readonly string[];
		readonly emergency: boolean;
	}
	let kept = $state.raw<Away | null>(null);
	const away = $derived(kept !== null && kept.of === data.ids[0] ? kept : null);
	const given = $derived(data.exercises.filter(isPrescribed));
	const wrong = $derived(wrongAt(form));
	const refused = $derived(wrongOf(form));
	/** Where nothing answers it is kept on the device; what cannot be is said, and stays typed. */
	async function takeAway(typed: FormData): Promise<string> {
		const whose = {
			...{ member: data.me?.id ?? '', clientId: data.head.id, client: data.head.name },
			treatsBack: data.treatsBack
		};
		const box = await import('#lib/ui/away/box.ts');
		const done = await keepSession(typed, whose, given, box.keep);
		if (!done.ok) return done.text;
		kept = {
			of: data.ids[0],
			done: KEPT_TEXT,
			alarms: done.raised.map(alarmText),
			emergency: done.raised.some((a) => a.now === 'emergency')
		};
		clearAll();
		sayKept();
		return '';
	}
	let lost = $state('');
	let day = $state('');
	let observed = $state(false);
	let pains = $state<Record<string, string>>({});
	$effect.pre(() => {
		if (day === '') day = data.head.today;
		for (const [region, now] of Object.entries(data.before))
			if (now !== null) pains[`${region}.before`] ??= String(now);
	});
	/** What is typed of each exercise, as long as the page stands. */
	const states: Record<string, SessionState> = {};
	const stateOf = (id: string): SessionState => (states[id] ??= new SessionState());
	const families = $derived(familiesFor(data.own, data.ctx.leftOut));
	const drawn = (given: Drawn | null) => {
		const step = given === null ? undefined : stepAnywhere(families, given.step);
		return step === undefined ? null : figureOfStep(step, data.ctx, given?.setup ?? null);
	};
	const open = $derived(given.filter((e) => heldToday(e) === null));
	const count = $derived(open.filter((e) => stateOf(e.id).said).length);
	function clearAll(): void {
		for (const s of Object.values(states)) s.clear();
		pains = {};
		scrollTo({ top: 0 });
	}
</script>

<svelte:head><title>Session · {data.head.name}</title></svelte:head>
<KeyHelp keys={[['0 … 9', 'other pages of this client']]} />
<main class="page max-w-3xl text-[18px]">
	<Alarms form={away ?? form} />
	<Said
		done={away?.done ?? (form && 'done' in form ? form.done : undefined)}
		refused={lost || refusedText(form)}
	/>
	{#if away !== null}<p>Another session is written once this one was sent.</p>
	{:else if given.length === 0}
		<h2>Nothing prescribed yet</h2>
		<p class="mt-2">
			Choose first: <a href="/clients/{data.head.id}/ladders">every ladder</a>.
		</p>
	{:else}
		<form
			method="POST"
			action="?/log"
			use:keepForm={'session'}
			use:enhance={sending((text) => (lost = text), clearAll, takeAway)}
			novalidate
		>
			<input type="hidden" name="id" value={data.ids[0]} />
			<input type="hidden" name="visitId" value={data.ids[1]} />
			<div class="flex flex-wrap items-end gap-5 pb-2">
				<h2 class="w-full">Session</h2>
				<DayField
					name="day"
					label="Day"
					bind:value={day}
					wrong={wrong('day')}
					width="w-40"
					today={data.head.today}
				/>
				<Tick touch name="observed" label="seen by me" bind:checked={observed} />
			</div>
			<RegionPains regions={data.regions} when={['before']} bind:pains {wrong} />
			<p class="label mt-2 sm:hidden">{given.length} exercises: swipe to the next.</p>
			<div
				class="mt-2 max-sm:-mx-3 max-sm:flex max-sm:snap-x max-sm:snap-mandatory max-sm:overflow-x-auto max-sm:px-2"
				role="group"
				aria-label="Exercises of today"
			>
				{#each given as e, at (e.id)}<ExerciseRow
						clientId={data.head.id}
						{e}
						s={stateOf(e.id)}
						{at}
						{observed}
						figure={drawn(e.head)}
						{drawn}
						doneToday={data.loggedToday.includes(e.id)}
						{refused}
					/>{/each}
			</div>
			<div class="rule pt-1">
				<RegionPains regions={data.regions} when={['peak', 'after']} bind:pains {wrong} />
			</div>
			<div class="flex flex-wrap items-center gap-x-5 text-base"><KeepHere /></div>
			<div class="sticky bottom-0 -mx-3 max-lg:bottom-14 border-t bg-paper px-3 py-3">
				<Act big>{count === 0 ? 'Say the effort of what was done' : `Log ${count} of ${open.length}`}</Act>
			</div>
		</form>
	{/if}
</main>
