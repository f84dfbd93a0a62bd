<script lang="ts">
	/** What a client takes along: their own page. */
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
