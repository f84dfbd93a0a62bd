<script lang="ts">
	import { enhance } from '$app/forms';
	import Act from '#lib/ui/Act.svelte';
	import KeyHelp from '#lib/ui/KeyHelp.svelte';
	import Said from '#lib/ui/Said.svelte';
	import Score from '#lib/ui/Score.svelte';
	import Stroke from '#lib/ui/Stroke.svelte';
	import { keepForm } from '#lib/ui/keep-form.ts';
	import { sending } from '#lib/ui/sending.ts';
	import { handout } from '#lib/wording/intake.ts';
	import { regionName } from '#lib/wording/names.ts';

	let { data, form } = $props();
	const wrong = (name: string): string | undefined => (form && 'field' in form && form.field === name ? form.message : undefined);
	const answer = $derived(form && 'answer' in form ? form.answer : undefined);
	const STROKE = { go: 'advance', lighter: 'regress', 'not-today': 'stop', ask: 'wait' } as const;
	const WORD = { go: 'Go', lighter: 'Lighter', 'not-today': 'Not today', ask: 'Ask first' } as const;
	const QUESTIONS = [
		['fever', 'Fever, or feeling ill'],
		['fall', 'A fall since the last time'],
		['newSwelling', 'New swelling']
	] as const;
	const told = $derived(handout(data.language));
	let lost = $state('');
</script>

<svelte:head><title>Arrive · {data.head.name}</title></svelte:head>
<KeyHelp keys={[['0 … 9', 'other pages of this client']]} />
<main class="page max-w-2xl">
	<h2>Before starting today</h2>
	<p class="label">{data.work.length === 0 ? 'Nothing is prescribed yet.' : data.work.map((w) => `${w.title}, ${w.sets} × ${w.reps}`).join('; ')}</p>
	<Said refused={lost || (form && 'message' in form ? form.message : undefined)} />
	{#if answer && form && 'sentence' in form}
		<div class="mt-2 flex items-start gap-3 border-l-4 bg-sheet px-3 py-3 {answer === 'not-today' ? 'border-stop text-stop' : answer === 'go' ? 'border-tolerated text-tolerated' : 'border-caution text-caution'}" role="status" data-testid="arrival">
			<Stroke decision={STROKE[answer]} />
			<div>
				<p class="text-lg font-bold">{form.sentence}</p>
				{#if answer === 'lighter'}{#each data.work as w (w.title)}<p>{w.title}: {w.lighter} of {w.sets} sets of {w.reps}.</p>{/each}{/if}
				{#if answer === 'go' || answer === 'lighter'}<p><a href="/clients/{data.head.id}/log">On to the session</a></p>{/if}
			</div>
		</div>
	{:else if data.earlier}<p class="label">Answered today already: {WORD[data.earlier]}. Answering again replaces it.</p>{/if}
	<form method="POST" class="mt-3 grid gap-2" use:enhance={sending((t) => (lost = t))} use:keepForm={'arrive'}>
		<input type="hidden" name="id" value={data.id} />
		{#each data.regions as r (r.region)}<Score name="pain.{r.region}" label="{regionName(r.region).replace(/^./, (c) => c.toUpperCase())} now, usual {r.usual}" wrong={wrong(`pain.${r.region}`)} />{/each}
		{#if data.regions.length === 0}<p class="text-caution">Nothing is mapped yet. <a href="/clients/{data.head.id}/ask">Ask what hurts first.</a></p>{/if}
		{#each QUESTIONS as [name, label] (name)}
			<fieldset class="flex flex-wrap items-center justify-between gap-2 py-1">
				<legend class="sr-only">{label}</legend>
				<span class="font-semibold" aria-hidden="true">{label}</span>
				<div class="flex gap-1.5">
					{#each ['no', 'yes', 'unknown'] as v (v)}
						<label class="grid min-h-12 min-w-20 cursor-pointer place-items-center rounded-md border border-edge px-3 font-semibold has-checked:border-accent has-checked:bg-accent has-checked:text-accent-ink has-focus-visible:outline-3 has-focus-visible:outline-(--focus)"><input type="radio" {name} value={v} class="sr-only" aria-label="{label}: {v}" />{v}</label>
					{/each}
				</div>
				{#if wrong(name)}<p class="w-full text-sm text-stop" data-testid="field-wrong">{wrong(name)}</p>{/if}
			</fieldset>
		{/each}
		<div class="pt-2"><Act big>What today?</Act></div>
	</form>
	<p class="label mt-3">{told?.stop}</p>
	<p class="label">{told?.call}</p>
</main>
