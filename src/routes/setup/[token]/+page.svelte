<script lang="ts">
	import { onMount } from 'svelte';
	import { enhance } from '$app/forms';
	import Act from '#lib/ui/Act.svelte';
	import Choice from '#lib/ui/Choice.svelte';
	import Field from '#lib/ui/Field.svelte';
	import Said from '#lib/ui/Said.svelte';
	import Tick from '#lib/ui/Tick.svelte';
	import LicenceFields from '#lib/ui/practice/LicenceFields.svelte';
	import PasswordFields from '#lib/ui/practice/PasswordFields.svelte';
	import { keepForm } from '#lib/ui/keep-form.ts';
	import { sending } from '#lib/ui/sending.ts';
	import { refusedText, wrongAt } from '#lib/ui/wrong.ts';
	import { UNITS_NAME } from '#lib/wording/practice.ts';

	let { data, form } = $props();
	const wrong = $derived(wrongAt(form));
	let lost = $state('');
	let licensed = $state(true);
	let tz = $state('Europe/London');
	onMount(() => {
		tz = new Intl.DateTimeFormat().resolvedOptions().timeZone || tz;
	});
	const today = new Date().toISOString().slice(0, 10);
</script>

<svelte:head><title>A practice of your own · Bolster</title></svelte:head>
<main class="page max-w-3xl">
	<h1>A practice of your own</h1>
	{#if !data.may}
		<p class="mt-3" role="alert">
			This address is used, too old, or there is a practice already. <a href="/sign-in">Sign in</a>, or start
			the server again for a new address.
		</p>
	{:else}
		<p class="label mt-1">
			This page is open once. You become its owner: you invite people, set up the rooms, keep the backups.
		</p>
		<form
			method="POST"
			class="mt-4 grid gap-5"
			use:enhance={sending((t) => (lost = t))}
			use:keepForm={'found'}
			novalidate
		>
			<input type="hidden" name="id" value={data.ids[0]} />
			<input type="hidden" name="memberId" value={data.ids[1]} />
			<Said refused={lost || refusedText(form)} />
			<section class="flex flex-wrap items-end gap-4" aria-label="The practice">
				<Field name="practice" label="Name of the practice" wrong={wrong('practice')} width="w-72" />
				<Field name="tz" label="Time zone" bind:value={tz} wrong={wrong('tz')} width="w-52" />
				<Choice
					name="units"
					label="Units"
					value="metric"
					items={Object.entries(UNITS_NAME).map(([value, name]) => ({ value, name }))}
				/>
			</section>
			<section class="flex flex-wrap items-end gap-4" aria-label="You">
				<Field name="name" label="Your name" autocomplete="name" wrong={wrong('name')} width="w-72" />
				<Field
					name="email"
					label="E-mail"
					type="email"
					autocomplete="username"
					wrong={wrong('email')}
					width="w-72"
				/>
				<PasswordFields {wrong} />
			</section>
			<section class="grid gap-2" aria-label="Your licence">
				<Tick
					name="licensed"
					label="I am a licensed physiotherapist and sign decisions myself"
					bind:checked={licensed}
				/>
				{#if licensed}<div class="flex flex-wrap items-end gap-4"><LicenceFields {today} {wrong} /></div>
				{:else}<input type="hidden" name="licenceNo" value="" /><input
						type="hidden"
						name="licensedUntil"
						value=""
					/>{/if}
			</section>
			<div><Act>Found the practice</Act></div>
		</form>
	{/if}
</main>
