<script lang="ts">
	/** One's own passkeys: begun with the password, made by the device, taken away again. */
	import { startRegistration, type PublicKeyCredentialCreationOptionsJSON } from '@simplewebauthn/browser';
	import { enhance } from '$app/forms';
	import Act from '../Act.svelte';
	import Field from '../Field.svelte';
	import Fold from '../Fold.svelte';
	import { sending } from '../sending.ts';

	interface Props {
		readonly keys: readonly { readonly id: string; readonly name: string; readonly madeAt: string }[];
		/** Whether a browser makes one at this address. */
		readonly possible: boolean;
		readonly options: object | undefined;
		readonly wrong: (field: string) => string | undefined;
		readonly say: (text: string) => void;
	}
	let { keys, possible, options, wrong, say }: Props = $props();
	let made = $state('');
	let keep = $state<HTMLFormElement>();
	let name = $state('');
	// The device is asked as soon as the password was right; what it made is sent at once.
	$effect(() => {
		if (options === undefined) return;
		startRegistration({ optionsJSON: options as PublicKeyCredentialCreationOptionsJSON })
			.then((response) => {
				made = JSON.stringify(response);
				setTimeout(() => keep?.requestSubmit());
			})
			.catch(() => say('The device made none: it was turned down there, or it has one for you already.'));
	});
</script>

<section aria-label="Passkeys" class="mt-6">
	<h2>Passkeys</h2>
	<p class="label">
		A device that knows you by finger, face or PIN signs you in without password or code.{possible
			? ''
			: ' Browsers make them only where the address is a name and the connection HTTPS; this one is a number.'}
	</p>
	{#if keys.length > 0}<ul class="mt-1">
			{#each keys as k (k.id)}<li class="flex flex-wrap gap-x-4" data-testid="passkey">
					<span>{k.name}</span><span class="label">since {k.madeAt.slice(0, 10)}</span>
					<form method="POST" action="?/remove-key" use:enhance={sending(say)}>
						<input type="hidden" name="key" value={k.id} />
						<button
							class="min-h-6 cursor-pointer text-accent underline"
							aria-label="Take away the passkey of {k.name}">take it away</button
						>
					</form>
				</li>{/each}
		</ul>{/if}
	{#if possible}
		<Fold title="Add this device" class="text-accent">
			<form
				method="POST"
				action="?/key"
				class="flex flex-wrap items-end gap-4 pb-2"
				use:enhance={sending(say)}
				novalidate
			>
				<Field name="name" of="key" label="What you call it" bind:value={name} width="w-52" />
				<Field
					name="current"
					of="key"
					label="Your password, to be sure"
					type="password"
					autocomplete="current-password"
					wrong={options === undefined ? wrong('current') : undefined}
					width="w-72 max-w-full"
				/>
				<Act kind="quiet">Add it</Act>
			</form>
			<form method="POST" action="?/keep-key" bind:this={keep} use:enhance={sending(say)}>
				<input type="hidden" name="name" value={name} />
				<input type="hidden" name="made" value={made} />
			</form>
		</Fold>
	{/if}
</section>
