<script lang="ts">
	/** What a client takes along: their own page. */
	import Textarea from 'flowbite-svelte/Textarea.svelte';
	import Act from '#lib/ui/Act.svelte';
	import KeyHelp from '#lib/ui/KeyHelp.svelte';
	import Said from '#lib/ui/Said.svelte';
	import OwnPage from '#lib/ui/hand/OwnPage.svelte';
	import { refusedText, wrongAt } from '#lib/ui/wrong.ts';
	import { shortDay } from '#lib/wording/days.ts';

	let { data, form } = $props();
	let lost = $state('');
	const wrong = $derived(wrongAt(form));
</script>

<svelte:head><title>Hand out · {data.head.name}</title></svelte:head>
<KeyHelp keys={[['0 … 9', 'other pages of this client']]} />
<main class="page max-w-4xl">
	<Said done={form && 'done' in form ? form.done : undefined} refused={lost || refusedText(form)} />
	<h2>Hand out</h2>
	<OwnPage
		clientId={data.head.id}
		ids={data.ids}
		agreed={data.agreed}
		link={data.link}
		handed={form && 'handed' in form ? form.handed : undefined}
		{wrong}
		say={(text) => (lost = text)}
	/>
	<section aria-label="Paper" class="rule mt-4 pt-3">
		<h3>On paper</h3>
		<p>
			<a href="/clients/{data.head.id}/hand/handout.pdf" data-sveltekit-reload download
				>Their exercises as a sheet to print</a
			>
		</p>
		<p class="label">
			Drawn at their own chair and step, with the week, and when to stop. What is held is not on it.
		</p>
		{#if data.head.licensed}
			<form method="POST" action="/clients/{data.head.id}/hand/letter.pdf" class="mt-3" data-sveltekit-reload>
				<label for="words" class="label block"
					>To whoever referred: what you ask, points of Screen, in your own words</label
				>
				<Textarea
					id="words"
					name="words"
					rows={3}
					maxlength={1500}
					class="w-full max-w-2xl border-edge bg-sheet text-base text-ink dark:bg-sheet dark:text-ink"
				/>
				<p class="label">
					The rest is from the record: measurements with their change against error, open flags, pain, what is
					given.
				</p>
				<Act kind="quiet">The letter as PDF</Act>
			</form>
		{:else}<p class="label mt-2">A letter to whoever referred is a licensed user’s.</p>{/if}
	</section>
	<section aria-label="Calendar" class="rule mt-4 pt-3">
		<h3>The week in their calendar</h3>
		{#if data.week}<p>
				<a href="/clients/{data.head.id}/hand/week.ics" data-sveltekit-reload download
					>The week signed {shortDay(data.week)} as a file for any calendar</a
				>
			</p>
			<p class="label">Whole days, so that no time zone moves them; a new week takes its place.</p>
		{:else}<p>No week is signed yet: <a href="/clients/{data.head.id}/week">sign one</a>.</p>{/if}
	</section>
</main>
