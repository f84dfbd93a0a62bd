<script lang="ts">
	/** What a client sees first: today, the morning, what to do when it hurts, the week, what it is for. */
	import { onMount } from 'svelte';
	import { weekday } from '#lib/core/base/calendar-day.ts';
	import { weekdayIn } from '#lib/wording/mine/names.ts';
	import { mineHere } from '#lib/ui/mine/context.ts';
	import MovingFrames from '#lib/ui/mine/MovingFrames.svelte';
	import { draftOf } from '#lib/ui/mine/outbox.ts';
	import type { Run } from '#lib/ui/mine/run.ts';
	import TellForm from '#lib/ui/mine/TellForm.svelte';

	let { data } = $props();
	const mine = $derived(data.mine);
	const { say, language, dayNow } = mineHere();
	let begun = $state(false);
	let day = $state('');
	onMount(() => {
		day = dayNow();
		void draftOf<Run>('run').then((r) => (begun = r !== undefined && r.day === dayNow()));
	});
	const own = $derived((mine?.work ?? []).filter((w) => w.exerciseId !== null));
	const done = $derived(own.length > 0 && own.every((w) => w.loggedToday || w.held));
	const number = $derived(mine?.emergency || say('emergencyNumber'));
	const named = (d: string): string => weekdayIn(language, weekday(d));
	const regions = $derived((mine?.arrival ?? []).map((p) => p.region));
	const BIG =
		'block rounded-md bg-accent px-5 py-3 text-center text-lg font-semibold text-accent-ink no-underline';
</script>

{#if mine}
	<h1 class="text-xl">{say('hello', { name: mine.firstName })}</h1>
	<p class="label">{mine.practice}</p>
	{#if day !== '' && day !== mine.today}<p class="mt-2 border-l-4 border-caution pl-3">
			{say('oldPage', { day: named(mine.today) })}
		</p>{/if}
	{#if mine.flag !== null}<div
			role="alert"
			class="mt-3 border-4 border-stop bg-sheet p-3 font-semibold"
			data-testid="held-all"
		>
			<p class="text-stop">{say('callPractice', { practice: mine.practice })}</p>
			<p>{say('noExercise')}</p>
		</div>{/if}
	<section aria-label={say('today')} class="mt-3">
		<h2>{say('today')}, {named(mine.today)}</h2>
		{#if mine.dayOff}<p>
				{say('dayOff')}
				{#if mine.nextDay}{say('nextDay', { day: named(mine.nextDay) })}{/if}
			</p>
			{#if mine.mayBring || begun}<p class="mt-1">
					<a class="inline-block min-h-12 py-2" href="/mine/do">{begun ? say('goOn') : say('bring')}</a>
				</p>{/if}
		{:else if own.length === 0}<p>{say('nothing')}</p>
		{:else}
			<ul>
				{#each mine.work as w (w.exerciseId ?? w.title)}
					<li
						class="rule grid grid-cols-[5.5rem_1fr] items-center gap-3 py-2 {w.held ? 'opacity-60' : ''}"
						data-testid="today-work"
					>
						<MovingFrames
							frames={w.frames}
							tempo={w.tempo}
							label=""
							mirror={w.mirror}
							moving={false}
							height={72}
						/>
						<div>
							<strong>{w.title}</strong><br />{w.doseText}{#if w.how.length > 0}<span class="label"
									>{` · ${w.how.join(' · ')}`}</span
								>{/if}
							{#if w.held}<p class="text-stop">{say('notToday')}</p>{/if}
						</div>
					</li>
				{/each}
			</ul>
			<p class="mt-3">
				<a class={BIG} href="/mine/do">{begun ? say('goOn') : done ? say('again') : say('begin')}</a>
			</p>
		{/if}
	</section>
	{#if mine.asNeeded.length > 0}<section aria-label={say('asNeeded')} class="mt-4">
			<h2>{say('asNeeded')}</h2>
			<ul>
				{#each mine.asNeeded as w (w.exerciseId)}<li>{w.title}, {w.doseText}</li>{/each}
			</ul>
		</section>{/if}
	<section aria-label={say('morning')} class="rule mt-4 pt-3">
		<h2>{say('morning')}</h2>
		{#if mine.morningIn}<p>{say('morningIn')}</p>{/if}
		<p class="mt-2">
			<a
				class="block rounded-md border border-edge px-5 py-3 text-center text-lg font-semibold no-underline"
				href="/mine/morning">{say('morningAsk')}</a
			>
		</p>
	</section>
	<section aria-label={say('evening')} class="rule mt-4 pt-3">
		<h2>{say('evening')}</h2>
		{#if mine.eveningIn}<p>{say('eveningIn')}</p>{/if}
		<p class="mt-2">
			<a
				class="block rounded-md border border-edge px-5 py-3 text-center text-lg font-semibold no-underline"
				href="/mine/evening">{say('eveningAsk')}</a
			>
		</p>
	</section>
	<section aria-label={say('whenHurts')} class="rule mt-4 pt-3">
		<h2>{say('whenHurts')}</h2>
		<p>{say('whenHurtsText')}</p>
		<p class="mt-2 border-l-4 border-stop pl-3">
			{say('stopFor')}
			{say('callNow', { number })}
			{say('nobodyReads')}
		</p>
		<div class="mt-3"><TellForm {regions} /></div>
	</section>
	{#if mine.week.some((d) => d.titles.length > 0)}<section aria-label={say('week')} class="rule mt-4 pt-3">
			<h2>{say('week')}</h2>
			<dl class="grid grid-cols-[7rem_1fr] gap-y-1">
				{#each mine.week as d (d.weekday)}<dt class="font-semibold">{weekdayIn(language, d.weekday)}</dt>
					<dd>
						{#if d.titles.length === 0}<span class="text-quiet">{say('off')}</span>{:else}{say('minutes', {
								n: d.minutes
							})}: {d.titles.join(', ')}{/if}
					</dd>{/each}
			</dl>
		</section>{/if}
	{#if mine.goals.length > 0}<section aria-label={say('goals')} class="rule mt-4 pt-3">
			<h2>{say('goals')}</h2>
			<ul>
				{#each mine.goals as g (g.label)}<li>
						<strong>{g.label}</strong>: {say('goal', { score: g.score })}{#if g.distance}<span
								class="label block">{g.distance}</span
							>{/if}
					</li>{/each}
			</ul>
		</section>{/if}
{/if}
