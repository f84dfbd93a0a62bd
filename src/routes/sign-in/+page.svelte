<script lang="ts">
	import { startAuthentication, type PublicKeyCredentialRequestOptionsJSON } from '@simplewebauthn/browser';
	import { onMount, untrack } from 'svelte';
	import { enhance } from '$app/forms';
	import { goto } from '$app/navigation';
	import { forget, forgetDrafts } from '#lib/ui/away/put-aside.ts';
	import Act from '#lib/ui/Act.svelte';
	import Field from '#lib/ui/Field.svelte';
	import { forgetTyped } from '#lib/ui/keep-form.ts';
	import Said from '#lib/ui/Said.svelte';

	let { data, form } = $props();
	// Sent before the scripts arrived, the page comes anew: the address comes back with it.
	let email = $state(untrack(() => form?.email) ?? '');
	let password = $state('');
	let turnedDown = $state('');
	// Whoever signed out leaves nothing of a record on the device; whose session only ended finds what they had begun.
	onMount(() => {
		if (!data.left) return;
		forgetTyped();
		void Promise.allSettled([forget(), forgetDrafts()]);
	});

	async function ask(body: object): Promise<Record<string, unknown>> {
		const answer = await fetch(`/sign-in/passkey${location.search}`, {
			method: 'POST',
			headers: { 'content-type': 'application/json', accept: 'application/json' },
			body: JSON.stringify(body)
		});
		const read = (await answer.json()) as Record<string, unknown>;
		if (!answer.ok) throw new Error(String(read.message));
		return read;
	}
	async function byKey(): Promise<void> {
		turnedDown = '';
		try {
			const { options } = await ask({});
			const response = await startAuthentication({
				optionsJSON: options as PublicKeyCredentialRequestOptionsJSON
			}).catch(() => {
				throw new Error('The device has no passkey for this address, or it was turned down there.');
			});
			const { to } = await ask({ response });
			await goto(String(to), { invalidateAll: true });
		} catch (e) {
			turnedDown = (e as Error).message;
		}
	}
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
		<Said refused={turnedDown || form?.message} />
		<div class="flex items-center gap-5"><Act>Sign in</Act><a href="/reset">Forgotten the password?</a></div>
		{#if data.takesPasskeys}<button
				type="button"
				onclick={byKey}
				class="min-h-11 cursor-pointer justify-self-start text-accent underline"
				>With a passkey of this device</button
			>{/if}
	</form>
</main>
