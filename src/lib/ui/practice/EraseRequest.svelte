<script lang="ts">
	/** A record whose erasure is asked for: who asked and why; agreed to by a second person, or taken back. */
	import { enhance } from '$app/forms';
	import { BECAUSE_TEXT } from '#lib/wording/archive.ts';
	import { shortDay } from '#lib/wording/days.ts';
	import Act from '../Act.svelte';
	import Tick from '../Tick.svelte';
	import { sending } from '../sending.ts';

	interface Props {
		readonly request: {
			readonly id: string;
			readonly name: string;
			readonly because: string;
			readonly why: string;
			readonly day: string;
			readonly by: string;
			readonly own: boolean;
		};
		readonly formId: string;
		readonly wrong: (field: string) => string | undefined;
		readonly say: (text: string) => void;
	}
	let { request: r, formId, wrong, say }: Props = $props();
</script>

<form
	method="POST"
	action="?/agree"
	class="mt-2 grid gap-1 border-2 border-stop px-3 py-2"
	data-testid="erase-request"
	use:enhance={sending(say)}
	novalidate
>
	<input type="hidden" name="id" value={formId} />
	<input type="hidden" name="requestId" value={r.id} />
	<p>
		<strong>{r.name}</strong>: {BECAUSE_TEXT[r.because as keyof typeof BECAUSE_TEXT] ?? r.because}. Asked for
		by {r.by},
		{shortDay(r.day)}: “{r.why}”.
	</p>
	{#if r.own}<p class="label">Somebody else agrees to this; who asked cannot.</p>{/if}
	<div class="flex flex-wrap items-center gap-x-4 gap-y-1">
		<Tick
			name="sure"
			value="on"
			label="Sessions, decisions, letters, all of it: gone for good, and nobody can bring it back"
		/>
		<Act>Agree and erase</Act>
		<Act kind="quiet" formaction="?/back">Take the request back</Act>
	</div>
	{#if wrong('sure')}<p class="text-sm text-stop">{wrong('sure')}</p>{/if}
</form>
