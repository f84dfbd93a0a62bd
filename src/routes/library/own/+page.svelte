<script lang="ts">
	/** The practice's own ladders as data: a form over one family, its faults with the mend as one types, its figures live; JSON in and out. */
	import { enhance } from '$app/forms';
	import { checkOwn, usable } from '#lib/catalogue/check-own.ts';
	import { FAMILIES, findStep } from '#lib/catalogue/families.ts';
	import { readFamilies } from '#lib/contract/own-family.ts';
	import { stepOf } from '#lib/core/exercise/family.ts';
	import { nobody } from '#lib/core/fit/stands.ts';
	import Act from '#lib/ui/Act.svelte';
	import Choice from '#lib/ui/Choice.svelte';
	import Field from '#lib/ui/Field.svelte';
	import Fold from '#lib/ui/Fold.svelte';
	import Said from '#lib/ui/Said.svelte';
	import OwnFields from '#lib/ui/own/OwnFields.svelte';
	import { begunFrom, firstWritten, withField } from '#lib/ui/own/writing.ts';
	import StepSheet from '#lib/ui/StepSheet.svelte';
	import { sending } from '#lib/ui/sending.ts';

	let { data, form } = $props();
	const ctx = nobody();
	let content = $state('');
	let lost = $state('');
	let at = $state(0);
	const read = $derived(content.trim() === '' ? null : readFamilies(content));
	const edited = $derived(read?.ok === true ? read.families : []);
	const faults = $derived(
		read === null
			? []
			: read.ok
				? checkOwn(read.families, data.own).map((f) => ({ ...f, line: null }))
				: read.faults
	);
	/** What the server said of the file that was sent, until something else is typed. */
	const sent = $derived(form !== null && 'faults' in form && Array.isArray(form.faults) ? form.faults : []);
	const shownFaults = $derived(
		sent.length > 0 && 'content' in (form ?? {}) && content === (form as { content?: string }).content
			? sent
			: faults
	);
	const family = $derived(usable(edited)[0]);
	const step = $derived(family?.steps[Math.min(at, family.steps.length - 1)]);
	/** What the fields are filled from: the first family as it is written, held or not, so that a wrong number keeps its field. */
	const form0 = $derived(firstWritten(content));
	const row0 = $derived(form0?.steps[Math.min(at, form0.steps.length - 1)]);
	const drawable = $derived(
		family !== undefined && step !== undefined && !faults.some((f) => /figure/.test(f.message))
	);

	const write = (f: unknown): void => void (content = JSON.stringify(f, null, 2));
	/** A new family of one step, begun from a step of the catalogue. */
	let from = $state('standard-seat');
	let title = $state('');
	function begin(): void {
		const found = findStep(from);
		if (found !== undefined) write(begunFrom(found.family, found.step, title));
		at = 0;
	}
	const set = (path: readonly (string | number)[], value: unknown): void =>
		void (content = form0 === null ? content : withField(content, path, value));
	$effect.pre(() => {
		if (form && 'content' in form && typeof form.content === 'string' && form.content !== '')
			content = form.content;
	});
	const download = (f: unknown): string =>
		`data:application/json;charset=utf-8,${encodeURIComponent(JSON.stringify(f, null, 2))}`;
</script>

<svelte:head><title>Own steps</title></svelte:head>
<main class="grid grid-cols-[1fr_26rem] max-lg:grid-cols-1">
	<div class="min-w-0 px-7 pt-4 pb-10 max-sm:px-4">
		<h1><a href="/library" class="mr-2 text-base font-normal">Library</a>Own steps</h1>
		<p class="label max-w-3xl">
			A practice’s own ladders are data of the same shape as the catalogue and held to the same rules. Ids
			begin with “own-”. A step that was given is retired, never deleted.
		</p>
		<Said
			done={form && 'done' in form ? form.done : undefined}
			refused={lost || (form && 'message' in form ? form.message : undefined)}
		/>
		{#if data.own.length > 0}
			<ul class="mt-2" aria-label="Own families">
				{#each data.own as f (f.id)}
					<li class="rule flex flex-wrap items-baseline gap-x-4 py-1.5">
						<strong>{f.title}</strong><span class="label"
							>{f.steps.length} {f.steps.length === 1 ? 'step' : 'steps'}</span
						><button
							type="button"
							class="min-h-9 cursor-pointer text-accent underline"
							onclick={() => (write(f), (at = 0))}>Open in the form</button
						><a href={download(f)} download="{f.id}.json">Export</a>
					</li>
				{/each}
			</ul>
			<p class="mt-1"><a href={download(data.own)} download="own-steps.json">Export all as JSON</a></p>
		{/if}
		{#if data.licensed}
			<div class="rule mt-3 flex flex-wrap items-end gap-3 pt-3">
				<Choice
					name="from"
					label="Begin from"
					bind:value={from}
					items={Object.values(FAMILIES).flatMap((f) =>
						f.steps.map((s) => ({ value: s.id, name: `${f.title}: ${s.title}` }))
					)}
				/>
				<Field name="title" label="Called" bind:value={title} width="w-56" />
				<Act kind="quiet" type="button" onclick={begin}>Into the form</Act>
			</div>
			<form
				method="POST"
				action="?/save"
				enctype="multipart/form-data"
				use:enhance={sending((text) => (lost = text))}
				class="mt-3"
			>
				{#if form0 && row0}<OwnFields family={form0} row={row0} bind:at {set} />{/if}
				{#if shownFaults.length > 0}
					<ul
						class="mt-3 border-l-4 border-stop bg-sheet px-3 py-2"
						data-testid="own-faults"
						aria-live="polite"
					>
						{#each shownFaults as f (f.place + f.message)}<li class="text-stop">
								{f.line === null ? '' : `Line ${f.line}: `}{f.place}{f.place === '' ? '' : ': '}{f.message}
							</li>{/each}
					</ul>
				{:else if family}<p class="mt-3 text-tolerated" data-testid="own-holds">
						It holds: {family.steps.length}
						{family.steps.length === 1 ? 'step stands' : 'steps stand'}.
					</p>{/if}
				<Fold title="All of it as JSON" needed={content !== '' && form0 === null}>
					<label class="label block" for="own-json">One family, or a list of them</label>
					<textarea
						id="own-json"
						name="content"
						bind:value={content}
						rows="18"
						spellcheck="false"
						class="w-full rounded-md border border-edge bg-sheet p-2 font-mono text-sm text-ink"></textarea>
				</Fold>
				<div class="mt-3 flex flex-wrap items-end gap-4">
					<label class="label block"
						>Or import a file <input
							type="file"
							name="file"
							accept=".json,application/json"
							class="block min-h-9 text-ink"
						/></label
					>
					<Act>Save</Act>
					<span class="label">All of it or nothing; each refusal says where and how to mend it.</span>
				</div>
			</form>
		{:else}<p class="mt-3 label">Writing own steps takes a licensed user.</p>{/if}
	</div>
	<aside class="sheet border-l px-6 pt-4 pb-10 max-lg:border-t max-lg:border-l-0 max-sm:px-4">
		{#if drawable && family && step && stepOf(family, step.id)}<StepSheet {family} {step} {ctx} />{:else}<p
				class="label"
			>
				The step is drawn here as soon as it stands.
			</p>{/if}
	</aside>
</main>
