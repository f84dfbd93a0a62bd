<script lang="ts">
	import { untrack } from 'svelte';
	import { enhance } from '$app/forms';
	import Act from '#lib/ui/Act.svelte';
	import Field from '#lib/ui/Field.svelte';
	import Said from '#lib/ui/Said.svelte';

	let { data, form } = $props();
	// Sent before the scripts arrived, the page comes anew: the address comes back with it.
	let email = $state(untrack(() => form?.email) ?? '');
	let password = $state('');
</script>

<svelte:head><title>Sign in · Bolster</title></svelte:head>
<main class="mx-auto max-w-sm px-5 pt-[14vh]">
	<h1 class="text-3xl">Bolster</h1>
	<p class="mb-6 text-quiet">Measures, solves, remembers and reasons. You sign.</p>
	{#if data.kept}<p class="mb-4 border-l-4 border-caution bg-sheet px-3 py-2">
			Your session had ended. What you typed is kept in this tab and comes back after signing in.
		</p>{/if}
	<form
		method="POST"
		class="grid gap-4"
		use:enhance={() =>
			({ update }) =>
				update({ reset: false })}
	>
		<Field
			name="email"
			label="E-mail"
			type="email"
			autocomplete="username"
			bind:value={email}
			width="w-80 max-w-full"
		/>
		<Field
			name="password"
			label="Password"
			type="password"
			autocomplete="current-password"
			bind:value={password}
			width="w-80 max-w-full"
		/>
		<Said refused={form?.message} />
		<div class="flex items-center gap-5"><Act>Sign in</Act><a href="/reset">Forgotten the password?</a></div>
	</form>
</main>
