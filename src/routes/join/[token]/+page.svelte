<script lang="ts">
	import { enhance } from '$app/forms';
	import Act from '#lib/ui/Act.svelte';
	import Field from '#lib/ui/Field.svelte';
	import Said from '#lib/ui/Said.svelte';
	import PasswordFields from '#lib/ui/practice/PasswordFields.svelte';
	import { sending } from '#lib/ui/sending.ts';
	import { refusedText, wrongAt } from '#lib/ui/wrong.ts';
	import { rolesText } from '#lib/wording/practice.ts';

	let { data, form } = $props();
	const wrong = $derived(wrongAt(form));
	let lost = $state('');
</script>

<svelte:head><title>An invitation · Bolster</title></svelte:head>
<main class="mx-auto max-w-md px-5 pt-[10vh]">
	<h1>An invitation</h1>
	{#if data.invited === null}
		<p class="mt-3" role="alert">
			This invitation was used, taken back, or is older than a week. Ask whoever owns the practice for
			another; if you joined already, <a href="/sign-in">sign in</a>.
		</p>
	{:else}
		<p class="mt-3">
			<strong>{data.invited.practice}</strong> invites {data.invited.name} as {rolesText(data.invited.roles)}.
			You sign in with <strong>{data.invited.email}</strong>.
		</p>
		<form method="POST" class="mt-4 grid gap-4" use:enhance={sending((t) => (lost = t))} novalidate>
			<input type="hidden" name="memberId" value={data.memberId} />
			<Said refused={lost || refusedText(form)} />
			{#if data.invited.known}
				<Field
					name="password"
					label="The password of your account"
					type="password"
					autocomplete="current-password"
					wrong={wrong('password')}
					width="w-72 max-w-full"
				/>
			{:else}<PasswordFields {wrong} label="Choose a password" />{/if}
			<div><Act>Join</Act></div>
		</form>
	{/if}
</main>
