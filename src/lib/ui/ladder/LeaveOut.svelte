<script lang="ts">
	/** Leaving the step out for this client, and what of this ladder is left out already. */
	import { enhance } from '$app/forms';
	import Act from '../Act.svelte';
	import Field from '../Field.svelte';
	import Fold from '../Fold.svelte';
	import { sending } from '../sending.ts';
	import { refusedText, wrongAt } from '../wrong.ts';

	interface Props {
		readonly form: unknown;
		readonly ids: readonly [string, string];
		readonly step: { readonly id: string; readonly title: string };
		readonly leftOut: readonly {
			readonly id: string;
			readonly title: string;
			readonly because: string;
		}[];
		readonly licensed: boolean;
	}
	let { form, ids, step, leftOut, licensed }: Props = $props();
	let lost = $state('');
	const sent = $derived(form as { readonly typed?: Readonly<Record<string, string>> } | null);
	const mine = $derived(sent?.typed?.because !== undefined);
	const wrong = $derived(wrongAt(mine ? (form as never) : null));
</script>

{#each leftOut as x (x.id)}
	<form
		method="POST"
		action="?/back"
		class="mt-2 flex flex-wrap items-center gap-x-3 text-sm"
		data-testid="left-out"
		use:enhance={sending((t) => (lost = t))}
	>
		<input type="hidden" name="id" value={ids[1]} />
		<input type="hidden" name="leftOutId" value={x.id} />
		<span class="min-w-0">Left out: <strong>{x.title}</strong>, {x.because}</span>
		{#if licensed}<button class="min-h-6 cursor-pointer text-accent underline">take it back</button>{/if}
	</form>
{/each}
{#if licensed}
	<Fold title="Leave this step out for this client" needed={mine} class="text-accent">
		<form
			method="POST"
			action="?/leave"
			class="flex flex-wrap items-end gap-3 pb-2"
			use:enhance={sending((t) => (lost = t))}
			novalidate
		>
			<input type="hidden" name="id" value={ids[0]} />
			<input type="hidden" name="step" value={step.id} />
			<Field
				name="because"
				label="Why {step.title} is never given here"
				wrong={wrong('because')}
				width="w-64"
			/>
			<Act kind="quiet">Leave it out</Act>
			{#if lost || (mine && refusedText(form as never))}<p class="w-full text-sm text-stop" role="alert">
					{lost || refusedText(form as never)}
				</p>{/if}
		</form>
	</Fold>
{/if}
