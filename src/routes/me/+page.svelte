<script lang="ts">
	/** One's own account: the password, and where one is signed in. */
	import { enhance } from '$app/forms';
	import Act from '#lib/ui/Act.svelte';
	import Field from '#lib/ui/Field.svelte';
	import Rows from '#lib/ui/Rows.svelte';
	import Said from '#lib/ui/Said.svelte';
	import SecondFactor from '#lib/ui/practice/SecondFactor.svelte';
	import Passkeys from '#lib/ui/practice/Passkeys.svelte';
	import PasswordFields from '#lib/ui/practice/PasswordFields.svelte';
	import { sending } from '#lib/ui/sending.ts';
	import { refusedText, wrongAt } from '#lib/ui/wrong.ts';

	let { data, form } = $props();
	let lost = $state('');
	const wrong = $derived(wrongAt(form));
	const at = (d: Date): string => d.toISOString().slice(0, 16).replace('T', ' ');
</script>

<svelte:head><title>{data.name} · Bolster</title></svelte:head>
<main class="page max-w-4xl">
	<Said done={form && 'done' in form ? form.done : undefined} refused={lost || refusedText(form)} />
	<h1>{data.name}</h1>
	<p class="label">{data.role}</p>
	<section aria-label="Password" class="mt-4">
		<h2>Password</h2>
		{#key data.sessions[0]?.id}<form
				method="POST"
				action="?/password"
				class="mt-2 flex flex-wrap items-end gap-4"
				use:enhance={sending((t) => (lost = t))}
				novalidate
			>
				<Field
					name="current"
					label="Password of now"
					type="password"
					autocomplete="current-password"
					wrong={wrong('current')}
					width="w-72 max-w-full"
				/>
				<PasswordFields {wrong} label="New password" />
				<Act kind="quiet">Change it</Act>
			</form>{/key}
	</section>
	<SecondFactor
		has={data.second}
		begun={form && 'begun' in form ? form.begun : undefined}
		{wrong}
		say={(t) => (lost = t)}
	/>
	<Passkeys
		keys={data.passkeys}
		possible={data.takesPasskeys}
		options={form && 'options' in form ? form.options : undefined}
		{wrong}
		say={(t) => (lost = t)}
	/>
	<section aria-label="Signed in" class="mt-6">
		<h2>Where you are signed in</h2>
		<p class="label">A session ends after two hours without use, and after twelve in all. Times are UTC.</p>
		<Rows heads={['since', 'last used', 'from', 'with', '']} aria-label="Sessions">
			{#each data.sessions as s (s.id)}
				<tr data-testid="session">
					<td class="align-top whitespace-nowrap">{at(s.begunAt)}</td>
					<td class="align-top whitespace-nowrap">{at(s.usedAt)}</td>
					<td class="align-top">{s.address || '–'}</td>
					<td class="label align-top">{s.browser}</td>
					<td class="text-right align-top"
						>{#if s.here}here{:else}<form
								method="POST"
								action="?/end"
								use:enhance={sending((t) => (lost = t))}
							>
								<input type="hidden" name="session" value={s.id} />
								<button class="min-h-6 cursor-pointer text-accent underline">end it</button>
							</form>{/if}</td
					>
				</tr>
			{/each}
		</Rows>
	</section>
</main>
