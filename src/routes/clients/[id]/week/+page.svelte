<script lang="ts">
	/** The week of a client: what is done on which day, in which order, how long it takes and what it asks in all. Moved by hand, then signed. */
	import { enhance } from '$app/forms';
	import Act from '#lib/ui/Act.svelte';
	import KeyHelp from '#lib/ui/KeyHelp.svelte';
	import Note from '#lib/ui/Note.svelte';
	import Said from '#lib/ui/Said.svelte';
	import { sending } from '#lib/ui/sending.ts';
	import AskWeek from '#lib/ui/week/AskWeek.svelte';
	import {
		arranged,
		budgetOfWeek,
		holdsTwice,
		signedDays,
		turnsOf,
		type ArrangedDay,
		type Turn
	} from '#lib/ui/week/arrangement.ts';
	import OrderAside from '#lib/ui/week/OrderAside.svelte';
	import WeekBudget from '#lib/ui/week/WeekBudget.svelte';
	import WeekDay from '#lib/ui/week/WeekDay.svelte';
	import { refusedText } from '#lib/ui/wrong.ts';
	import { isAlone } from '#lib/core/plan/signed-week.ts';
	import { tooClose } from '#lib/core/plan/spread.ts';
	import { doseText } from '#lib/wording/dose.ts';
	import { shortDay } from '#lib/wording/days.ts';
	import { gaveWayText } from '#lib/wording/week.ts';

	let { data, form } = $props();
	let lost = $state('');
	let days = $state.raw<readonly ArrangedDay[]>([]);
	let touched = $state(false);
	$effect.pre(() => {
		days = arranged(data.week.days);
		touched = false;
	});
	const work = $derived(new Map(data.week.work.map((w) => [w.id, w])));
	const budget = $derived(budgetOfWeek(days, work));
	const close = $derived(
		tooClose(
			days.map((d) => turnsOf(d, work).flat()),
			data.week.asked.learning
		)
	);
	const twice = $derived(days.some(holdsTwice));
	const inWeek = $derived(new Set(days.flatMap((d) => d.turns.flatMap((t) => t.ids))));
	/** Prescribed, and on no day. */
	const missing = $derived(
		data.week.work.filter((w) => !isAlone(w.id) && !inWeek.has(w.id) && w.particulars.asNeeded !== true)
	);
	const asNeeded = $derived(data.week.work.filter((w) => w.particulars.asNeeded === true));
	const { asked, signed } = $derived(data.week);
	function place(weekday: number, turns: readonly Turn[]): void {
		days = days.map((d) => (d.weekday === weekday ? { ...d, turns } : d));
		touched = true;
	}
	const take = (weekday: number, id: string): void =>
		place(weekday, days.find((d) => d.weekday === weekday)?.turns.filter((t) => t.id !== id) ?? []);
	/** Onto the first day with time that does not hold it. */
	function put(id: string): void {
		const day = days.find((d) => asked.days.includes(d.weekday)) ?? days[0];
		if (day !== undefined) place(day.weekday, [...day.turns, { id: `${day.weekday}:${id}`, ids: [id] }]);
	}
	const week = $derived(
		JSON.stringify({
			school: asked.school,
			inTurn: asked.inTurn,
			learning: asked.learning,
			minutes: asked.minutes,
			days: signedDays(days)
		})
	);
</script>

<svelte:head><title>Week · {data.head.name}</title></svelte:head>
<KeyHelp keys={[['0 … 9', 'other pages of this client']]} />
<main class="page max-w-none">
	<Said done={form && 'done' in form ? form.done : undefined} refused={lost || refusedText(form)} />
	<div class="flex flex-wrap items-baseline gap-x-4">
		<h2>Week</h2>
		<span class="label" data-testid="week-state"
			>{#if data.week.proposed}a proposal{signed
					? `; the one signed ${shortDay(signed.day)} holds until this is`
					: ', not signed yet'}{:else if signed}signed {shortDay(signed.day)}{/if}{touched
				? '; moved by hand'
				: ''}</span
		>
		{#if days.some((d) => d.turns.length > 0)}<form
				method="POST"
				action="?/sign"
				use:enhance={sending((text) => (lost = text))}
				class="no-print ml-auto flex flex-wrap items-center gap-4"
			>
				<span class="label">It gives nothing new: what holds an exercise holds it on its day too.</span>
				<input type="hidden" name="id" value={data.id} />
				<input type="hidden" name="basedOn" value={signed?.id ?? ''} />
				<input type="hidden" name="week" value={week} />
				{#if data.week.proposed || touched || (signed && signed.changed.length > 0)}<Act disabled={twice}
						>Sign this week</Act
					>{/if}
			</form>{/if}
	</div>
	{#if data.week.work.every((w) => isAlone(w.id))}
		<p class="rule mt-2 py-3">
			Nothing that is in use can be put into a week. What fits this client stands on <a
				href="/clients/{data.head.id}/ladders">every ladder</a
			>.
		</p>
	{:else}
		<AskWeek {asked} week={data.week.days.map((d) => d.weekday)} />
		{#if !data.week.proposed && signed && signed.changed.length > 0}<Note kind="caution" class="mt-2"
				>The plan was changed since this week was signed. Propose anew, or move what is missing into it, and
				sign.</Note
			>{/if}
		{#if asked.days.length === 0 && data.week.proposed}<Note kind="caution" class="mt-2"
				>No day with time is known of this client: tick the days, then propose anew.</Note
			>{/if}
		<div class="mt-3 grid grid-cols-7 gap-1.5 max-lg:grid-cols-2 max-sm:grid-cols-1">
			{#each days as day (day.weekday)}<WeekDay
					{day}
					{work}
					minutes={asked.minutes}
					place={(turns) => place(day.weekday, turns)}
					take={(id) => take(day.weekday, id)}
				/>{/each}
		</div>
		<div class="mt-2 grid gap-1 text-sm">
			{#each data.week.gaveWay as g (g.title)}<p class="text-caution">{gaveWayText(g)}.</p>{/each}
			{#if data.week.tooFewDays}<p class="text-caution">
					Strength finds no day: it wants a day between.
				</p>{/if}
			{#if close.length > 0}<p class="text-caution">
					On two days running, where 48 hours between are usual: {close.map((w) => w.title).join(', ')}.
				</p>{/if}
			{#if twice}<p class="text-stop">An exercise stands in one day twice; take one of them out.</p>{/if}
			{#each missing as w (w.id)}<p>
					<span class="text-caution">On no day:</span>
					{w.title}, {doseText(w.dose)}
					<button type="button" class="min-h-6 cursor-pointer text-accent underline" onclick={() => put(w.id)}
						>put it in</button
					>
				</p>{/each}
			{#each data.week.heldOut as h (h.title)}<p class="text-stop">
					Not in the week: {h.title}: {h.because}
				</p>{/each}
			{#if asNeeded.length > 0}<p>As needed, on any day: {asNeeded.map((w) => w.title).join(', ')}.</p>{/if}
			{#if data.week.inParts}{#key data.week}<OrderAside
						{days}
						{work}
						school={asked.school}
						inTurn={asked.inTurn}
						untouched={() => !touched}
						put={(better) => (days = days.map((d) => better.find((b) => b.weekday === d.weekday) ?? d))}
					/>{/key}{/if}
		</div>
		<h3 class="mt-4">What the week asks</h3>
		<WeekBudget {budget} lastWeek={data.week.lastWeek} />
	{/if}
</main>
