<script lang="ts">
	import { page } from '$app/state';
	import Alarms from '#lib/ui/Alarms.svelte';
	import Fold from '#lib/ui/Fold.svelte';
	import KeyHelp from '#lib/ui/KeyHelp.svelte';
	import Note from '#lib/ui/Note.svelte';
	import Said from '#lib/ui/Said.svelte';
	import Given from '#lib/ui/log/Given.svelte';
	import Recent from '#lib/ui/log/Recent.svelte';
	import SessionForm from '#lib/ui/log/SessionForm.svelte';
	import { type ExerciseToLog, heldToday, isPrescribed } from '#lib/ui/log/exercise.ts';
	import { SessionState } from '#lib/ui/log/state.svelte.ts';
	import { refusedText, wrongAt } from '#lib/ui/wrong.ts';
	import { regionName } from '#lib/wording/names.ts';

	let { data, form } = $props();
	const given = $derived(data.exercises.filter(isPrescribed));
	const exercise = $derived(given.find((e) => e.id === page.url.searchParams.get('exercise')) ?? given[0]);
	const held = $derived(exercise === undefined ? null : heldToday(exercise));
	const wrong = $derived(wrongAt(form));
	let lost = $state('');
	const say = (text: string): void => void (lost = text);
	let day = $state('');
	$effect.pre(() => {
		if (day === '') day = data.head.today;
	});
	// svelte-ignore state_referenced_locally
	const s = new SessionState(form && 'typed' in form ? form.typed : {});
	let shown = '';
	$effect.pre(() => {
		const id = exercise?.id ?? '';
		if (shown !== '' && shown !== id) s.clear();
		if (shown !== id) fromNow();
		shown = id;
	});
	/** Pain before is what was said at the door, where something was. */
	function fromNow(): void {
		if (s.v.before === '') s.v.before = String(exercise?.now ?? '');
	}
	/** Logged: a second press is not a second session. */
	function anew(): void {
		s.clear();
		fromNow();
		scrollTo({ top: 0 });
	}
</script>

<svelte:head><title>Log · {data.head.name}</title></svelte:head>
<KeyHelp keys={[['0 … 9', 'other pages of this client']]} />
<main class="page max-w-2xl text-[18px]">
	<Alarms {form} />
	<Said done={form && 'done' in form ? form.done : undefined} refused={lost || refusedText(form)} />
	{#if given.length > 1}
		<nav aria-label="Exercises" class="mb-3 flex flex-wrap gap-2">
			{#each given as e (e.id)}<a
					href="?exercise={e.id}"
					aria-current={e.id === exercise?.id ? 'true' : undefined}
					class="rounded-md border border-edge px-3 py-2.5 {e.id === exercise?.id ? 'bg-wash font-bold' : ''}"
					>{e.head.snapshot.title} · {regionName(e.region)}</a
				>{/each}
		</nav>
	{/if}
	{#snippet session(e: ExerciseToLog)}<Given exercise={e} /><SessionForm
			{s}
			exercise={e}
			today={data.head.today}
			bind:day
			{wrong}
			{say}
			logged={anew}
		/>{/snippet}
	{#if !exercise}
		<h2>Nothing prescribed yet</h2>
		<p class="mt-2">Choose a step first: <a href="/clients/{data.head.id}/ladder">to the ladder</a>.</p>
	{:else if held !== null}
		<h2 class="text-xl">{exercise.head.snapshot.title}</h2>
		<Note kind="stop" class="mt-2 text-[18px]" data-testid="held">
			{held.text}
			{#if held.by === 'day'}<a class="underline" href="/clients/{data.head.id}/arrive">To the arrival card</a
				>{:else}<a class="underline" href="/clients/{data.head.id}/decide?exercise={exercise.id}"
					>{held.by === 'slip' ? 'To its slip' : 'See why, and sign the mend'}</a
				>{/if}
		</Note>
		<div class="mt-3">
			<Fold
				title="Log what was done all the same"
				needed={form !== null && 'field' in form}
				class="min-h-12 py-2 text-[18px] font-semibold text-ink"
			>
				<p class="label">Kept against advice: it counts for pain and alarms, never for an advance.</p>
				{@render session(exercise)}
			</Fold>
		</div>
	{:else}{@render session(exercise)}{/if}
	{#if data.recent.length > 0}<Recent recent={data.recent} voidId={data.voidId} {wrong} {say} />{/if}
</main>
