<script lang="ts">
	/** One's own second factor: begun with the password, in force from the first right code, ended with the password. */
	import { enhance } from '$app/forms';
	import Act from '../Act.svelte';
	import Field from '../Field.svelte';
	import Fold from '../Fold.svelte';
	import { sending } from '../sending.ts';

	interface Props {
		readonly has: boolean;
		readonly begun:
			{ readonly picture: string; readonly letters: string; readonly codes: readonly string[] } | undefined;
		readonly wrong: (field: string) => string | undefined;
		readonly say: (text: string) => void;
	}
	let { has, begun, wrong, say }: Props = $props();
	let last = $state<Props['begun']>();
	// The picture stays while a wrong code is put right.
	$effect.pre(() => {
		if (begun !== undefined) last = begun;
	});
	const shown = $derived(has ? undefined : (begun ?? last));
</script>

<section aria-label="Second factor" class="mt-6">
	<h2>Second factor</h2>
	{#if shown}
		<div class="mt-2 flex flex-wrap gap-6">
			<img
				alt="To be read by the authenticator of your phone"
				class="size-44 bg-white"
				src="data:image/svg+xml,{encodeURIComponent(shown.picture)}"
			/>
			<div class="grid max-w-md content-start gap-2">
				<p>
					Read the picture with the authenticator of your phone, or type <code class="break-all"
						>{shown.letters}</code
					>.
				</p>
				<p class="label">Keep these for the day the phone is lost, each good once:</p>
				<ul class="grid grid-cols-3 gap-x-6 text-sm">
					{#each shown.codes as c (c)}<li><code>{c}</code></li>{/each}
				</ul>
				<form
					method="POST"
					action="?/confirm"
					class="flex flex-wrap items-end gap-4"
					use:enhance={sending(say)}
					novalidate
				>
					<Field
						name="code"
						label="The six digits it shows now"
						inputmode="numeric"
						autocomplete="one-time-code"
						wrong={wrong('code')}
						width="w-28"
					/>
					<Act>Begin</Act>
				</form>
			</div>
		</div>
	{:else}
		<p class="label">
			{has
				? 'Signing in asks for your password and for a code of your phone.'
				: 'Besides the password, a code of the moment from your phone: whoever learns the password alone is kept out.'}
		</p>
		<Fold title={has ? 'Do without it' : 'Set one up'} class="text-accent">
			<form
				method="POST"
				action={has ? '?/without' : '?/second'}
				class="flex flex-wrap items-end gap-4 pb-2"
				use:enhance={sending(say)}
				novalidate
			>
				<Field
					name="current"
					of="second"
					label="Your password, to be sure"
					type="password"
					autocomplete="current-password"
					width="w-72 max-w-full"
				/>
				<Act kind="quiet">{has ? 'Do without it' : 'Set it up'}</Act>
			</form>
		</Fold>
	{/if}
</section>
