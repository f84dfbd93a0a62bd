<script lang="ts">
	import { enhance } from '$app/forms';
	import Act from '#lib/ui/Act.svelte';
	import Field from '#lib/ui/Field.svelte';
	import Said from '#lib/ui/Said.svelte';

	let { data, form } = $props();
	let email = $state('');
	const asked = $derived(form !== null && 'asked' in form);
	const refused = $derived(form !== null && 'message' in form ? form.message : undefined);
</script>

<svelte:head><title>A new password · Bolster</title></svelte:head>
<main class="mx-auto max-w-md px-5 pt-[14vh]">
	<h1>A forgotten password</h1>
	{#if asked}
		<p class="mt-3" role="status">
			If this address has an account, a letter is on its way to it, with an address that is good once, for 30
			minutes.
		</p>
		{#if !data.leaves}<p class="mt-2 text-caution">
				No mail server is set here, so nothing leaves: whoever runs the server finds the letter in the mailbox
				folder (docs/running.md).
			</p>{/if}
		<p class="mt-3"><a href="/sign-in">Back to signing in</a></p>
	{:else}
		<p class="mt-3 text-quiet">A new one is set by a letter to the address you sign in with.</p>
		<form
			method="POST"
			class="mt-4 grid gap-4"
			use:enhance={() =>
				({ update }) =>
					update({ reset: false })}
			novalidate
		>
			<Field
				name="email"
				label="E-mail"
				type="email"
				autocomplete="username"
				bind:value={email}
				width="w-80 max-w-full"
			/>
			<Said {refused} />
			<div class="flex items-center gap-5"><Act>Send the letter</Act><a href="/sign-in">Back</a></div>
		</form>
	{/if}
</main>
