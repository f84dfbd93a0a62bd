<script lang="ts">
	/** Everything that was entered, latest day first; what was wrong is taken out with its reason, and stays to be read. */
	import { goto } from '$app/navigation';
	import type { EntryView } from '#lib/contract/entry.ts';
	import { ENTRY_KINDS, type EntryKind } from '#lib/core/client/entry-kind.ts';
	import Choice from '#lib/ui/Choice.svelte';
	import Fold from '#lib/ui/Fold.svelte';
	import KeyHelp from '#lib/ui/KeyHelp.svelte';
	import Rows from '#lib/ui/Rows.svelte';
	import Said from '#lib/ui/Said.svelte';
	import AttachForm from '#lib/ui/record/AttachForm.svelte';
	import CorrectForm from '#lib/ui/record/CorrectForm.svelte';
	import Contacts from '#lib/ui/record/Contacts.svelte';
	import NoteForm from '#lib/ui/record/NoteForm.svelte';
	import VisitRows from '#lib/ui/record/VisitRows.svelte';
	import HomeForm from '#lib/ui/record/HomeForm.svelte';
	import RecordRights from '#lib/ui/record/RecordRights.svelte';
	import PersonForm from '#lib/ui/record/PersonForm.svelte';
	import TakeOutForm from '#lib/ui/record/TakeOutForm.svelte';
	import { refusedText, wrongAt } from '#lib/ui/wrong.ts';
	import { shortDay } from '#lib/wording/days.ts';
	import { ENTRY_NAME } from '#lib/wording/entries.ts';

	let { data, form } = $props();
	let lost = $state('');
	/** The entry that is being taken out. */
	let taking = $state('');
	const wrong = $derived(wrongAt(form));
	const sentFor = $derived(form && 'typed' in form ? form.typed.entryId : undefined);
	/** What came back was the form of the person. */
	const personSent = $derived(form !== null && 'typed' in form && form.typed.born !== undefined);
	/** What came back was a correction of this entry: it has its fields; taking out has none. */
	const rightSent = (e: EntryView): boolean =>
		sentFor === e.id &&
		e.fields.some((f) => form !== null && 'typed' in form && form.typed[f.column] !== undefined);
	const open = $derived(taking || (sentFor ?? ''));
	const address = (kind: string, page: number): string =>
		`?${[...(kind === '' ? [] : [`kind=${kind}`]), ...(page > 1 ? [`page=${page}`] : [])].join('&')}`;
	/** Where what is right is entered. */
	const ENTERED_AT: Readonly<Record<EntryKind, string>> = {
		range: 'measure',
		test: 'measure',
		total: 'measure',
		session: 'log',
		morning: 'morning',
		event: 'morning',
		complaint: 'ask',
		goal: 'ask',
		operation: 'screen',
		limit: 'screen',
		arrival: 'arrive',
		note: 'record',
		contact: 'record',
		story: 'ask',
		repeated: 'ask',
		attachment: 'record'
	};
</script>

<svelte:head><title>Record · {data.head.name}</title></svelte:head>
<KeyHelp keys={[['0 … 9', 'other pages of this client']]} />
<main class="page max-w-4xl">
	<Said done={form && 'done' in form ? form.done : undefined} refused={lost || refusedText(form)} />
	<div class="flex flex-wrap items-end gap-x-5 gap-y-1">
		<h2>Record</h2>
		<Choice
			name="kind"
			label="Show"
			value={data.kind}
			onchange={(e: Event) => void goto(address((e.currentTarget as HTMLSelectElement).value, 1))}
			items={[
				{ value: '', name: 'everything' },
				{ value: 'visits', name: 'visits' },
				...ENTRY_KINDS.map((k) => ({ value: k, name: ENTRY_NAME[k] }))
			]}
		/>
	</div>
	<Contacts formId={data.contactId} contacts={data.contacts} {wrong} say={(text) => (lost = text)} />
	<Fold title="Write a note" needed={wrong('body') !== undefined} class="text-accent">
		<NoteForm
			formId={data.noteId}
			about={data.about}
			today={data.head.today}
			{wrong}
			say={(text) => (lost = text)}
		/>
	</Fold>
	<Fold title="Name, birth, work" needed={personSent} class="text-accent">
		{#key data.personId}<PersonForm
				formId={data.personId}
				person={data.person}
				today={data.head.today}
				answered={personSent ? form : undefined}
				say={(text) => (lost = text)}
			/>{/key}
	</Fold>
	<Fold
		title="Home, time, what was agreed"
		needed={['minutes', 'seats', 'steps', 'tz'].some((f) => wrong(f) !== undefined)}
		class="text-accent"
	>
		{#key data.homeId}<HomeForm
				formId={data.homeId}
				home={data.home}
				{wrong}
				say={(text) => (lost = text)}
			/>{/key}
	</Fold>
	<Fold
		title="Keep a file"
		needed={wrong('file') !== undefined || wrong('title') !== undefined}
		class="text-accent"
	>
		<AttachForm formId={data.attachId} today={data.head.today} {wrong} say={(text) => (lost = text)} />
	</Fold>
	{#if data.head.licensed}<Fold
			title="Take along, who looked, erase"
			needed={wrong('because') !== undefined || wrong('why') !== undefined}
			class="text-accent"
		>
			<RecordRights
				clientId={data.head.id}
				formId={data.eraseId}
				asked={data.eraseAsked}
				{wrong}
				say={(text) => (lost = text)}
			/>
		</Fold>{/if}
	{#if data.visits !== null}<div class="mt-2"><VisitRows visits={data.visits} /></div>
	{:else if data.entries.length === 0}
		<p class="rule mt-3 py-3">
			{data.at > 1 ? 'Nothing further back.' : 'Nothing was entered yet.'}
		</p>
	{:else}
		<div class="mt-2">
			<Rows heads={['day', 'what', '', 'entered by', '']} aria-label="Everything entered">
				{#each data.entries as e, i (e.id)}
					<tr data-testid="entry" class={e.state === 'stands' ? '' : 'text-quiet'}>
						<td class="align-top whitespace-nowrap">{shortDay(e.day)}</td>
						<td class="label align-top">{ENTRY_NAME[e.kind]}</td>
						<td class="align-top"
							>{#if e.kind === 'attachment' && e.state === 'stands'}<a
									href="/clients/{data.head.id}/attachment/{e.id}"
									target="_blank"
									rel="noopener">{e.text}</a
								>{:else}<span class={e.state === 'stands' ? '' : 'line-through'}>{e.text}</span>{/if}
							{#if e.after}<span class="block text-sm">{e.after}</span>{/if}
							{#if open === e.id && e.state === 'stands'}{#if e.fields.length > 0}<CorrectForm
										formId={data.rightIds[i] ?? ''}
										entry={e}
										typed={rightSent(e) && form && 'typed' in form ? form.typed : {}}
										wrong={rightSent(e) ? wrong : () => undefined}
										say={(text) => (lost = text)}
										done={() => (taking = '')}
									/>{/if}<TakeOutForm
									formId={data.ids[i] ?? ''}
									entry={e}
									enterAt="/clients/{data.head.id}/{ENTERED_AT[e.kind]}"
									wrong={sentFor === e.id && !rightSent(e) ? wrong('reason') : undefined}
									say={(text) => (lost = text)}
									done={() => (taking = '')}
								/>{/if}</td
						>
						<td class="label align-top">{e.by}</td>
						<td class="text-right align-top"
							>{#if e.state === 'stands'}{#if e.closed}<span class="label" title={e.closed}>–</span
									>{:else}<button
										type="button"
										class="min-h-6 cursor-pointer whitespace-nowrap text-accent underline"
										aria-expanded={open === e.id}
										aria-label="Put right {e.text}"
										onclick={() => (taking = taking === e.id ? '' : e.id)}>put right</button
									>{/if}{/if}</td
						>
					</tr>
				{/each}
			</Rows>
		</div>
		<nav aria-label="Further entries" class="mt-3 flex gap-5">
			{#if data.at > 1}<a href={address(data.kind, data.at - 1)}>Later</a>{/if}
			{#if data.more}<a href={address(data.kind, data.at + 1)}>Earlier</a>{/if}
		</nav>
	{/if}
</main>
