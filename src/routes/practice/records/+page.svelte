<script lang="ts">
	/** Records that may end, those that ended, and who looked at what. */
	import { enhance } from '$app/forms';
	import Choice from '#lib/ui/Choice.svelte';
	import EraseRequest from '#lib/ui/practice/EraseRequest.svelte';
	import LookRows from '#lib/ui/practice/LookRows.svelte';
	import Act from '#lib/ui/Act.svelte';
	import Field from '#lib/ui/Field.svelte';
	import Fold from '#lib/ui/Fold.svelte';
	import Rows from '#lib/ui/Rows.svelte';
	import Said from '#lib/ui/Said.svelte';
	import { sending } from '#lib/ui/sending.ts';
	import { refusedText, wrongAt } from '#lib/ui/wrong.ts';
	import { BECAUSE_TEXT } from '#lib/wording/archive.ts';
	import { longDay } from '#lib/wording/typed-day.ts';

	let { data, form } = $props();
	let lost = $state('');
	let chosen = $state('');
	const wrong = $derived(wrongAt(form));
	const typed = $derived(form && 'typed' in form ? form.typed : undefined);
	const { requests, due, erased, years } = $derived(data.ends);
	const say = (text: string): void => void (lost = text);
	const oldest = $derived(data.looks.at(-1)?.at);
	const older = $derived(
		`?${data.clientId === undefined ? '' : `client=${data.clientId}&`}before=${oldest ?? ''}#looks`
	);
</script>

<svelte:head><title>Records · Bolster</title></svelte:head>
<Said done={form && 'done' in form ? form.done : undefined} refused={lost || refusedText(form)} />
<h2>Records that end</h2>
<p class="label">
	A record is kept for {years} years after the last work on it, then it may be erased: by two people, an owner and
	a licensed physiotherapist between them. What was registered by mistake and never worked with is asked for on
	its own page, under Record.
</p>
{#each requests as r, i (r.id)}
	<EraseRequest
		request={r}
		formId={data.ids[i] ?? ''}
		wrong={typed?.requestId === r.id ? wrong : () => undefined}
		{say}
	/>
{:else}<p class="rule mt-2 py-2">Nobody asks for an erasure just now.</p>{/each}
{#if due.length > 0}
	<form
		method="POST"
		action="?/ask"
		class="mt-2 flex flex-wrap items-end gap-4"
		use:enhance={sending(say)}
		novalidate
	>
		<input type="hidden" name="id" value={data.ids.at(-1)} />
		<input type="hidden" name="because" value="kept-long-enough" />
		<Choice
			name="clientId"
			label="Kept long enough"
			bind:value={chosen}
			items={due.map((k) => ({ value: k.clientId, name: `${k.name}, last work ${longDay(k.lastWork)}` }))}
		/>
		<Field name="why" label="Who asks for it, and why" wrong={wrong('why')} width="w-80 max-w-full" />
		<Act kind="quiet">Ask for its erasure</Act>
	</form>
{/if}
{#if erased.length > 0}
	<Fold title="Erased: {erased.length}" class="text-accent">
		<Rows heads={['when (UTC)', 'who it was', 'asked', 'agreed', 'rows', '']} aria-label="Erased">
			{#each erased as e (e.clientId)}
				<tr data-testid="erased"
					><td class="whitespace-nowrap">{e.at.toISOString().slice(0, 16).replace('T', ' ')}</td><td
						class="label">{e.clientId.slice(0, 8)} …</td
					><td>{e.askedBy}</td><td>{e.agreedBy}</td><td>{e.rows}</td><td class="label"
						>{BECAUSE_TEXT[e.because] ?? e.because}</td
					></tr
				>
			{/each}
		</Rows>
	</Fold>
{/if}
<h2 id="looks" class="mt-6">
	{data.clientId === undefined
		? 'Who looked at what'
		: `Who looked at the record of ${data.looks[0]?.client ?? 'this client'}`}
</h2>
{#if data.clientId !== undefined}<p><a href="?#looks">All that was looked at</a></p>{/if}
<LookRows looks={data.looks} tz={data.tz} />
{#if data.more}<p class="mt-2"><a href={older}>Earlier</a></p>{/if}
