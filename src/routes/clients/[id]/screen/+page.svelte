<script lang="ts">
	import { enhance } from '$app/forms';
	import { SCREENING } from '#lib/catalogue/screening.ts';
	import { URGENCIES, type ScreenAnswer } from '#lib/core/client/screening.ts';
	import Act from '#lib/ui/Act.svelte';
	import KeyHelp from '#lib/ui/KeyHelp.svelte';
	import Said from '#lib/ui/Said.svelte';
	import ClosingForm from '#lib/ui/ClosingForm.svelte';
	import ProtocolForms from '#lib/ui/protocol/ProtocolForms.svelte';
	import KnownSymptoms from '#lib/ui/KnownSymptoms.svelte';
	import ReferralAids from '#lib/ui/ReferralAids.svelte';
	import { keepForm } from '#lib/ui/keep-form.ts';
	import { sending } from '#lib/ui/sending.ts';
	import { shortDay } from '#lib/wording/days.ts';
	import { URGENCY_WORD } from '#lib/wording/screening.ts';
	import { refusedText, wrongOf } from '#lib/ui/wrong.ts';

	let { data, form } = $props();
	const ANSWER: Readonly<Record<ScreenAnswer, string>> = { yes: 'Yes', no: 'No', unknown: 'Unknown' };
	const KEYS: Readonly<Record<string, ScreenAnswer>> = { y: 'yes', n: 'no', u: 'unknown' };
	const typed = (id: string): string | undefined =>
		form && 'typed' in form ? form.typed[`answer.${id}`] : undefined;
	let given: Record<string, string> = $state({});
	const answerOf = (id: string): string => given[id] ?? typed(id) ?? data.answers[id] ?? '';
	const open = $derived(SCREENING.filter((c) => answerOf(c.id) !== 'yes' && answerOf(c.id) !== 'no').length);
	const wrong = $derived(wrongOf(form));
	let lost = $state('');
	const say = (text: string): void => void (lost = text);

	/** y, n, u answer the row in focus and go to the next. */
	function answerByKey(event: KeyboardEvent, id: string): void {
		const answer = KEYS[event.key];
		if (answer === undefined || event.ctrlKey || event.metaKey || event.altKey) return;
		event.preventDefault();
		given[id] = answer;
		const rows = [...document.querySelectorAll<HTMLElement>('[data-row]')];
		const next = rows[rows.findIndex((r) => r.dataset.row === id) + 1];
		(next?.querySelector<HTMLElement>('input:checked') ?? next?.querySelector<HTMLElement>('input'))?.focus();
	}
</script>

<svelte:head><title>Screen · {data.head.name}</title></svelte:head>
<KeyHelp
	keys={[
		['y n u', 'yes, no, unknown; then the next question'],
		['Tab', 'next question'],
		['Enter', 'save the screening'],
		['0 … 9', 'other pages of this client']
	]}
/>
<main class="page grid grid-cols-[1fr_23rem] gap-8 max-lg:grid-cols-1">
	<form
		method="POST"
		action="?/screen"
		use:enhance={sending(say, () => (given = {}))}
		use:keepForm={'screen'}
	>
		<input type="hidden" name="id" value={data.ids[0]} />
		<div class="mb-1 flex flex-wrap items-baseline gap-x-4">
			<h2>Is it safe to train today?</h2>
			<span class={open === 0 ? 'label' : 'text-sm text-caution'}
				>{open === 0 ? 'all answered' : `${open} not answered; unknown is not no`}</span
			>
			<span class="label ml-auto"
				>{data.screened === null
					? 'not screened yet'
					: `last ${shortDay(data.screened.date)}, again by ${shortDay(data.screened.due)}`}</span
			>
		</div>
		<Said refused={lost || refusedText(form)} done={form && 'done' in form ? form.done : undefined} />
		{#if form && 'emergency' in form && form.emergency}
			<p
				class="mt-2 border-l-4 border-stop bg-sheet px-3 py-2 font-semibold text-stop"
				role="alert"
				data-testid="emergency"
			>
				An emergency answer is open: end the session and get help now. Nothing else is decided for this client
				until it is closed.
			</p>
		{/if}
		{#each URGENCIES as urgency (urgency)}
			<section class="mt-3" aria-label={URGENCY_WORD[urgency]}>
				<h3 class={urgency === 'emergency' ? 'text-stop' : ''}>{URGENCY_WORD[urgency]}</h3>
				{#each SCREENING.filter((c) => c.urgency === urgency) as c (c.id)}
					{@const answer = answerOf(c.id)}
					<!-- svelte-ignore a11y_no_noninteractive_element_interactions (keys only shorten what the radios do) -->
					<fieldset
						data-row={c.id}
						onkeydown={(e) => answerByKey(e, c.id)}
						class="rule grid grid-cols-[1fr_auto] items-start gap-x-4 py-1.5 focus-within:bg-wash max-sm:grid-cols-1"
					>
						<legend class="sr-only">{c.ask}</legend>
						<div aria-hidden="true">
							<span class={answer === 'yes' ? 'font-semibold' : ''}>{c.ask}</span>
							{#if answer === '' && data.before[c.id] !== undefined}<span class="label">
									(last time {data.before[c.id]})</span
								>{/if}
							{#if answer === 'yes'}<span
									class="block text-sm {urgency === 'caution' ? 'text-caution' : 'text-stop'}"
									>{c.action}</span
								>{/if}
						</div>
						<div class="flex gap-1.5">
							{#each Object.entries(ANSWER) as [value, word] (value)}
								<label class="tile min-h-9 min-w-16 px-2 text-sm font-normal max-sm:min-h-12">
									<input
										type="radio"
										name="answer.{c.id}"
										{value}
										checked={answer === value}
										onchange={() => (given[c.id] = value)}
										class="sr-only"
									/>{word}
								</label>
							{/each}
						</div>
					</fieldset>
				{/each}
			</section>
		{/each}
		<div class="rule mt-3 pt-3"><Act>Save the screening</Act></div>
	</form>
	<aside class="grid content-start gap-6">
		<section aria-label="Flags">
			<h2>Flags</h2>
			{#if data.head.flags.length === 0}<p class="label">None open.</p>{/if}
			{#each data.head.flags as f (f.id)}
				<ClosingForm
					flag={f}
					id={data.ids[1] as string}
					today={data.head.today}
					licensed={data.head.licensed}
					{wrong}
					typed={form && 'typed' in form ? form.typed : {}}
					{say}
				/>
			{/each}
			{#if data.closed.length > 0}
				<details class="mt-2">
					<summary class="cursor-pointer text-sm text-accent">{data.closed.length} closed</summary>
					<ul class="mt-1 text-sm">
						{#each data.closed as f (f.id)}
							<li class="rule py-1.5">
								{f.name}, {shortDay(f.day)}; closed {f.closedOn ? shortDay(f.closedOn) : ''}{f.closing?.by ===
								'external'
									? ` by ${f.closing.clearedBy}, ${f.closing.clearedOn ? shortDay(f.closing.clearedOn) : ''}, ${f.closing.document}`
									: `${f.closing?.mistaken ? ', raised by mistake' : ''}: ${f.closing?.note ?? ''}`}
							</li>
						{/each}
					</ul>
				</details>
			{/if}
		</section>
		<ProtocolForms
			surgery={data.surgery}
			limits={data.limits}
			ids={data.ids.slice(2)}
			licensed={data.head.licensed}
			today={data.head.today}
			{wrong}
			{say}
		/>
		<KnownSymptoms
			known={data.known}
			may={data.mayBeKnown}
			regions={data.regions}
			id={data.ids[5] as string}
			licensed={data.head.licensed}
			today={data.head.today}
			{wrong}
			{say}
		/>
		<ReferralAids age={data.head.age} />
		<p class="label">
			Local protocol and the treating clinician come first. A flag says what was reported, not what it is.
		</p>
	</aside>
</main>
