<script lang="ts">
	/** The client's own page: its link given, shown once, taken back. */
	import { enhance } from '$app/forms';
	import { LINK_DAYS } from '#lib/contract/link-form.ts';
	import { shortDay } from '#lib/wording/days.ts';
	import Act from '../Act.svelte';
	import Choice from '../Choice.svelte';
	import Field from '../Field.svelte';
	import Note from '../Note.svelte';
	import { sending } from '../sending.ts';

	interface Props {
		readonly clientId: string;
		readonly ids: readonly string[];
		readonly agreed: boolean;
		readonly link: {
			readonly id: string;
			readonly until: string;
			readonly over: boolean;
			readonly devices: number;
			readonly lastOpened: string | null;
		} | null;
		readonly handed:
			| {
					readonly link: string;
					readonly picture: string;
					readonly left: boolean | null;
					readonly texted: boolean | null;
			  }
			| undefined;
		readonly wrong: (field: string) => string | undefined;
		readonly say: (text: string) => void;
	}
	let { clientId, ids, agreed, link, handed, wrong, say }: Props = $props();
	const FOR: Readonly<Record<number, string>> = {
		7: 'a week',
		30: 'a month',
		90: 'three months',
		180: 'half a year'
	};
	const opened = $derived(
		link === null || link.devices === 0
			? 'not opened yet'
			: `open on ${link.devices} ${link.devices === 1 ? 'device' : 'devices'}, last opened ${shortDay((link.lastOpened ?? '').slice(0, 10))}`
	);
</script>

<section aria-label="Own page" data-testid="own-page">
	<h3>Their own page</h3>
	<p class="label">
		Today’s exercises drawn at their own chair and step, the morning after, what to do when it hurts. It needs
		no account and, after one visit, no network.
	</p>
	{#if !agreed}
		<Note kind="caution" class="mt-2"
			>The client has not agreed to a page of their own. <a href="/clients/{clientId}/record"
				>Write down that they do</a
			>, then give the link.</Note
		>
	{/if}
	{#if handed}
		<div class="mt-2 flex flex-wrap items-center gap-5 border-l-4 border-tolerated pl-4" data-testid="handed">
			<img
				class="w-44 bg-white"
				alt="The address, for a camera"
				src="data:image/svg+xml,{encodeURIComponent(handed.picture)}"
			/>
			<div class="max-w-md">
				<p class="font-semibold">Shown once. Let them point their camera at it, or give them the address:</p>
				<p class="font-mono text-sm break-all" data-testid="link">{handed.link}</p>
				{#if handed.texted !== null}<p class="label">
						{handed.texted ? 'A text with it is on its way.' : 'No text left: see Mail of the practice.'}
					</p>{/if}
				{#if handed.left !== null}<p class="label">
						{handed.left ? 'A letter with it is on its way.' : 'No letter left: see Mail of the practice.'}
					</p>{/if}
			</div>
		</div>
	{/if}
	{#if link}
		<p class="mt-2">
			{link.over ? 'Its link is over since' : 'Its link is good until'}
			{shortDay(link.until.slice(0, 10))}; {opened}.{#if !agreed}
				<strong class="text-stop">It opens nothing while they do not agree.</strong>{/if}
		</p>
	{/if}
	<div class="mt-2 flex flex-wrap items-end gap-4">
		<form method="POST" action="?/give" use:enhance={sending(say)} class="flex flex-wrap items-end gap-4">
			<input type="hidden" name="id" value={ids[0]} />
			<input type="hidden" name="basedOn" value={link?.id ?? ''} />
			<Choice
				name="days"
				label="Good for"
				value="90"
				items={LINK_DAYS.map((d) => ({ value: String(d), name: FOR[d] ?? '' }))}
			/>
			<Field
				name="email"
				label="Letter and reminders to, or empty"
				type="email"
				width="w-64"
				wrong={wrong('email')}
			/>
			<Field name="phone" label="Text to, or empty" type="tel" width="w-44" wrong={wrong('phone')} />
			<Act kind={link ? 'quiet' : 'primary'} disabled={!agreed}
				>{link ? 'Another link in its place' : 'Give the link'}</Act
			>
		</form>
		{#if link}<form method="POST" action="?/end" use:enhance={sending(say)}>
				<input type="hidden" name="id" value={ids[1]} />
				<input type="hidden" name="basedOn" value={link.id} />
				<Act kind="danger">Take it back</Act>
			</form>{/if}
	</div>
</section>
