<script lang="ts">
	import { enhance } from '$app/forms';
	import Act from '#lib/ui/Act.svelte';
	import Said from '#lib/ui/Said.svelte';
	import PasswordFields from '#lib/ui/practice/PasswordFields.svelte';
	import { sending } from '#lib/ui/sending.ts';
	import { refusedText, wrongAt } from '#lib/ui/wrong.ts';

	let { form } = $props();
	let lost = $state('');
	const wrong = $derived(wrongAt(form));
	const done = $derived(form && 'done' in form ? form.done : undefined);
</script>

<svelte:head><title>A new password · Bolster</title></svelte:head>
<main class="mx-auto max-w-md px-5 pt-[14vh]">
	<h1>A new password</h1>
	<Said {done} refused={lost || refusedText(form)} />
	{#if done}<p class="mt-3"><a href="/sign-in">Sign in with it</a></p>
	{:else}
		<form method="POST" class="mt-4 grid gap-4" use:enhance={sending((t) => (lost = t))} novalidate>
			<PasswordFields {wrong} label="New password" />
			<div class="flex items-center gap-5"><Act>Set it</Act><a href="/reset">Another letter</a></div>
		</form>
	{/if}
</main>
