<script lang="ts">
	/** The practice's own ladders as data: a form over one family, its faults with the mend as one types, its figures live; JSON in and out. */
	import { checkOwn, usable } from '#lib/catalogue/check-own.ts';
	import { FAMILIES, findStep } from '#lib/catalogue/families.ts';
	import { readFamilies } from '#lib/contract/own-family.ts';
	import { stepOf } from '#lib/core/exercise/family.ts';
	import { nobody } from '#lib/core/fit/stands.ts';
	import Act from '#lib/ui/Act.svelte';
	import Choice from '#lib/ui/Choice.svelte';
	import Field from '#lib/ui/Field.svelte';
	import Said from '#lib/ui/Said.svelte';
	import OwnFields from '#lib/ui/own/OwnFields.svelte';
	import { downloadOf } from '#lib/ui/own/download.ts';
	import OwnFile from '#lib/ui/own/OwnFile.svelte';
	import { stepsOf } from '#lib/ui/own/steps-of.ts';
	import { begunFrom, firstWritten, withAnother, withField } from '#lib/ui/own/writing.ts';
	import StepSheet from '#lib/ui/StepSheet.svelte';

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
	/** One step more of the ladder that is written. */
	function another(): void {
		const found = findStep(from);
		if (found === undefined || form0 === null) return;
		content = withAnother(content, found.family, found.step, title);
		at = form0.steps.length;
	}
	const elsewhere = $derived(
		stepsOf([...Object.values(FAMILIES), ...data.own.filter((f) => f.id !== form0?.id)])
	);
	const set = (path: readonly (string | number)[], value: unknown): void =>
		void (content = form0 === null ? content : withField(content, path, value));
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
						><a href={downloadOf(f)} download="{f.id}.json">Export</a>
					</li>
				{/each}
			</ul>
			<p class="mt-1"><a href={downloadOf(data.own)} download="own-steps.json">Export all as JSON</a></p>
		{/if}
		{#if data.licensed}
			<div class="rule mt-3 flex flex-wrap items-end gap-3 pt-3">
				<Choice name="from" label="Begin from" bind:value={from} items={stepsOf(Object.values(FAMILIES))} />
				<Field name="title" label="Called" bind:value={title} width="w-56" />
				<Act kind="quiet" type="button" onclick={begin}>Into the form</Act>
				{#if form0}<Act kind="quiet" type="button" onclick={another}>As one step more</Act>{/if}
			</div>
			<OwnFile
				bind:content
				{form}
				{faults}
				holds={family === undefined
					? null
					: `It holds: ${family.steps.length} ${family.steps.length === 1 ? 'step stands' : 'steps stand'}.`}
				of="family, or a list of them"
				asText={form0 === null}
				say={(text) => (lost = text)}
			>
				{#if form0 && row0}<OwnFields family={form0} row={row0} bind:at {elsewhere} {set} />{/if}
			</OwnFile>
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
