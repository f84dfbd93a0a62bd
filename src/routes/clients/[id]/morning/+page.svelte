<script lang="ts">
	import { untrack } from 'svelte';
	import { enhance } from '$app/forms';
	import { typedMorning } from '#lib/contract/morning-form.ts';
	import { addDays } from '#lib/core/base/calendar-day.ts';
	import Act from '#lib/ui/Act.svelte';
	import { begunAnew } from '#lib/ui/begun-anew.ts';
	import Choice from '#lib/ui/Choice.svelte';
	import DayField from '#lib/ui/DayField.svelte';
	import Field from '#lib/ui/Field.svelte';
	import KeyHelp from '#lib/ui/KeyHelp.svelte';
	import Said from '#lib/ui/Said.svelte';
	import Score from '#lib/ui/Score.svelte';
	import { keepForm } from '#lib/ui/keep-form.ts';
	import { sending } from '#lib/ui/sending.ts';
	import { shortDay } from '#lib/wording/days.ts';
	import { regionName } from '#lib/wording/names.ts';
	import { refusedText, wrongAt } from '#lib/ui/wrong.ts';
	import Tick from '#lib/ui/Tick.svelte';

	let { data, form } = $props();
	const wrong = $derived(wrongAt(form));
	let lost = $state('');
	let day = $state(untrack(() => data.head.today));
	const standing = (): Readonly<Record<string, string>> =>
		typedMorning(day, data.mornings, data.sore.find((s) => s.date === day)?.soreness);
	/** What the fields began with: what stands of the day. Beside it only what is typed by hand counts as typed. */
	let began = untrack(standing);
	// Sent before the scripts arrived, the page comes anew with what was typed.
	let said: Record<string, string> = $state(
		untrack(() => (form && 'typed' in form ? { ...form.typed } : { ...began }))
	);
	let event = $state('');
	/** Another day begins with what stands of it, and keeps what was typed by hand. */
	$effect.pre(() => {
		void day;
		untrack(() => {
			const now = standing();
			said = begunAnew(said, began, now);
			began = now;
		});
	});
	/** Saved: what is on the page is what stands. */
	function saved(): void {
		began = standing();
		said = { ...began };
		event = '';
		scrollTo({ top: 0 });
	}
	const SWELLING = [
		{ value: 'none', name: 'none' },
		{ value: 'a-little', name: 'a little' },
		{ value: 'clearly-more', name: 'clearly more' },
		{ value: 'hot', name: 'hot' }
	];
	const EVENTS = [
		{ value: '', name: 'an ordinary day' },
		{ value: 'unusual-activity', name: 'unusual activity' },
		{ value: 'illness', name: 'illness' },
		{ value: 'injection', name: 'injection' },
		{ value: 'painkiller', name: 'extra painkiller' }
	];
	const lastDays = $derived(Array.from({ length: 14 }, (_, i) => addDays(data.head.today, i - 13)));
	const eveningOf = (region: string, d: string) =>
		data.evenings.find((e) => e.region === region && e.date === d)?.pain;
	const at = (region: string, d: string) => data.mornings.find((m) => m.region === region && m.date === d);
	const known = $derived(data.regions.some((r) => at(r.region, day) !== undefined));
</script>

<svelte:head><title>Morning · {data.head.name}</title></svelte:head>
<KeyHelp keys={[['0 … 9', 'other pages of this client']]} />
<main class="page max-w-2xl">
	<h2>Next morning</h2>
	<p class="label">
		Before getting going. A session’s next morning is the entry of the following day; an entry for a day that
		has one corrects it.
	</p>
	<div class="my-2">
		<Said done={form && 'done' in form ? form.done : undefined} refused={lost || refusedText(form)} />
	</div>
	{#each (form && 'advice' in form ? form.advice : undefined) ?? [] as a (a)}<p
			class="mb-2 border-4 px-3 py-2 font-semibold {form && 'grave' in form && form.grave
				? 'border-stop text-stop'
				: 'border-caution text-caution'}"
			role="alert"
			data-testid="alarm"
		>
			{a}
		</p>{/each}
	<form
		method="POST"
		use:keepForm={'morning'}
		use:enhance={sending((text) => (lost = text), saved)}
		novalidate
	>
		<DayField
			name="day"
			label="Morning of"
			bind:value={day}
			wrong={wrong('day')}
			width="w-40"
			today={data.head.today}
		/>
		{#if known}<p class="text-sm text-caution">
				This day has an entry already, as it stands here; saving corrects it.
			</p>{/if}
		{#each data.regions as r (r.region)}
			<fieldset class="rule mt-3 pt-2">
				<legend class="sr-only">{regionName(r.region)}</legend>
				<h3 class="first-letter:uppercase">{regionName(r.region)}</h3>
				<input type="hidden" name="{r.region}.id" value={r.id} />
				<input type="hidden" name="{r.region}.eveningId" value={r.eveningId} />
				<Score
					name="{r.region}.pain"
					label="Pain this morning"
					bind:value={said[`${r.region}.pain`]}
					wrong={wrong(`${r.region}.pain`)}
				/>
				<div class="py-2">
					<p class="font-semibold" id="{r.region}-swelling">Swelling against usual</p>
					<div
						class="mt-1 grid grid-cols-4 gap-1 max-sm:grid-cols-2"
						role="radiogroup"
						aria-labelledby="{r.region}-swelling"
					>
						{#each SWELLING as s (s.value)}
							<label class="tile">
								<input
									type="radio"
									name="{r.region}.swelling"
									value={s.value}
									bind:group={said[`${r.region}.swelling`]}
									class="sr-only"
								/>{s.name}
							</label>
						{/each}
					</div>
					{#if said[`${r.region}.swelling`] === 'hot'}
						<div class="mt-2 border-l-4 border-stop pl-3">
							<Choice
								name="{r.region}.cannotStand"
								label="So painful that it can hardly be moved or stood on?"
								bind:value={said[`${r.region}.cannotStand`]}
								items={[
									{ value: '', name: 'not asked (counts as yes)' },
									{ value: 'yes', name: 'yes' },
									{ value: 'no', name: 'no' }
								]}
							/>
						</div>
					{/if}
					{#if wrong(`${r.region}.swelling`)}<p class="text-sm text-stop" data-testid="field-wrong">
							{wrong(`${r.region}.swelling`)}
						</p>{/if}
				</div>
				{#if /^(knee|hip|ankle|foot|shin|thigh)/.test(r.region)}<Tick
						touch
						name="{r.region}.calf"
						label="this calf newly swollen, tender or warm, the other not"
						bind:checked={
							() => said[`${r.region}.calf`] === 'on',
							(on) => (said[`${r.region}.calf`] = on === true ? 'on' : '')
						}
					/>{/if}
				<div class="flex flex-wrap gap-5">
					<Field
						name="{r.region}.stiffness"
						label="Stiffness"
						unit="min"
						inputmode="numeric"
						bind:value={said[`${r.region}.stiffness`]}
						wrong={wrong(`${r.region}.stiffness`)}
						width="w-20 min-h-12"
					/>
					<Field
						name="{r.region}.evening"
						label="The evening before, if told"
						inputmode="numeric"
						bind:value={said[`${r.region}.evening`]}
						wrong={wrong(`${r.region}.evening`)}
						width="w-20 min-h-12"
					/>
					{#if data.provocation}<Field
							name="{r.region}.provocation"
							label="Provocation test pain"
							inputmode="numeric"
							bind:value={said[`${r.region}.provocation`]}
							wrong={wrong(`${r.region}.provocation`)}
							width="w-20 min-h-12"
						/>{/if}
				</div>
			</fieldset>
		{/each}
		<Tick
			touch
			class="mt-3"
			name="fever"
			label="fever, or feeling ill"
			bind:checked={() => said.fever === 'on', (on) => (said.fever = on === true ? 'on' : '')}
		/>
		<Field
			name="soreness"
			label="Muscle soreness, 0 to 10"
			inputmode="numeric"
			bind:value={said.soreness}
			wrong={wrong('soreness')}
			width="w-20 min-h-12"
		/>
		<div class="mt-3 max-w-60">
			<input type="hidden" name="saw" value={known ? 'yes' : ''} />
			<input type="hidden" name="id" value={data.id} /><input
				type="hidden"
				name="eventId"
				value={data.eventId}
			/><Choice name="events" label="The day before was" bind:value={event} items={EVENTS} />
		</div>
		<div class="sticky bottom-0 -mx-3 max-lg:bottom-14 mt-4 border-t bg-paper px-3 py-3">
			<Act big>{known ? 'Correct the morning' : 'Enter the morning'}</Act>
		</div>
	</form>
	<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
	<div class="mt-5 overflow-x-auto" role="region" aria-label="The last 14 mornings" tabindex="0">
		<table class="plain w-auto text-sm">
			<caption class="label text-left">The last 14 mornings; s marks a session that day</caption>
			<thead
				><tr
					><th></th>{#each lastDays as d (d)}<th class="text-center"
							>{shortDay(d).slice(0, 3)}<br />{Number(d.slice(8))}</th
						>{/each}</tr
				></thead
			>
			<tbody>
				{#each data.regions as r (r.region)}
					<tr
						><td class="pr-3 whitespace-nowrap">{regionName(r.region)}</td>{#each lastDays as d (d)}<td
								class="px-1.5 text-center font-semibold">{at(r.region, d)?.pain ?? '–'}</td
							>{/each}</tr
					>
					{#if data.evenings.some((e) => e.region === r.region)}<tr class="text-quiet"
							><td class="pr-3 whitespace-nowrap">that evening</td>{#each lastDays as d (d)}<td
									class="px-1.5 text-center">{eveningOf(r.region, d) ?? ''}</td
								>{/each}</tr
						>{/if}
				{/each}
				<tr
					><td class="label">session</td>{#each lastDays as d (d)}<td class="text-center"
							>{data.sessions.includes(d) ? 's' : ''}</td
						>{/each}</tr
				>
			</tbody>
		</table>
	</div>
</main>
