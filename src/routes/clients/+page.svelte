<script lang="ts">
	/** All clients by name: those who come, and those whose episode ended. */
	import { enhance } from '$app/forms';
	import { type CLIENT_ORDERS, STATUSES } from '#lib/contract/episode-form.ts';
	import Act from '#lib/ui/Act.svelte';
	import Choice from '#lib/ui/Choice.svelte';
	import Field from '#lib/ui/Field.svelte';
	import KeyHelp from '#lib/ui/KeyHelp.svelte';
	import Rows from '#lib/ui/Rows.svelte';
	import Said from '#lib/ui/Said.svelte';
	import SortHead from '#lib/ui/SortHead.svelte';
	import { onKeys } from '#lib/ui/keys.ts';
	import { sending } from '#lib/ui/sending.ts';
	import { refusedText, wrongAt } from '#lib/ui/wrong.ts';
	import { shortDay } from '#lib/wording/days.ts';

	let { data, form } = $props();
	let lost = $state('');
	let taking = $state('');
	let at = $state(0);
	let search = $state<HTMLFormElement>();
	const links: (HTMLAnchorElement | undefined)[] = $state([]);
	const wrong = $derived(wrongAt(form));
	const sentFor = $derived(form && 'typed' in form ? form.typed.clientId : undefined);
	const again = (): void => search?.requestSubmit();
	function move(by: number): void {
		at = Math.max(0, Math.min(data.rows.length - 1, at + by));
		links[at]?.focus();
	}
	const keys = onKeys({
		j: () => move(1),
		k: () => move(-1),
		'/': () => document.querySelector<HTMLInputElement>('#find')?.focus(),
		o: () => links[at]?.click()
	});
	const last = $derived(Math.max(1, Math.ceil(data.found / data.size)));
	const address = (page: number, order: string = data.order): string =>
		`?${[`status=${data.status}`, `order=${order}`, `name=${encodeURIComponent(data.search)}`, `page=${page}`].join('&')}`;
	const STATUS_WORD = { active: 'who come', archived: 'whose episode ended', all: 'everybody' } as const;
	const HEADS = [
		['name', 'name'],
		['', undefined],
		['since', 'since'],
		['last session', 'lately'],
		['in use', 'use'],
		['', undefined]
	] as const satisfies readonly (readonly [string, (typeof CLIENT_ORDERS)[number] | undefined])[];
</script>

<svelte:head><title>Clients · Bolster</title></svelte:head>
<svelte:window onkeydown={keys} />
<KeyHelp
	keys={[
		['j k', 'next, previous client'],
		['o, Enter', 'open'],
		['/', 'to the search']
	]}
/>
<main class="page max-w-5xl">
	<Said done={form && 'done' in form ? form.done : undefined} refused={lost || refusedText(form)} />
	<div class="mb-2 flex flex-wrap items-end gap-x-4 gap-y-1">
		<h1>Clients</h1>
		<form
			method="GET"
			role="search"
			bind:this={search}
			class="ml-auto flex flex-wrap items-end gap-2"
			data-sveltekit-keepfocus
		>
			<Choice
				name="status"
				label="Those"
				value={data.status}
				onchange={again}
				items={STATUSES.map((s) => ({ value: s, name: STATUS_WORD[s] }))}
			/>
			<input type="hidden" name="order" value={data.order} />
			<div>
				<label class="label block" for="find">Part of a name</label>
				<input
					id="find"
					name="name"
					type="search"
					value={data.search}
					class="rounded-md border border-edge bg-sheet px-2 py-1.5"
				/>
			</div>
		</form>
		<a href="/clients/new">Register a client</a>
	</div>
	{#if data.rows.length === 0}
		<p class="rule py-5">
			{data.search === '' ? 'Nobody here.' : `Nobody here is called “${data.search}”.`}
			<a href="/clients?status=all">Everybody</a>
		</p>
	{:else}
		<p class="label">{data.found} {data.found === 1 ? 'client' : 'clients'}</p>
		<Rows heads={[]} aria-label="Clients">
			{#snippet head()}<tr
					>{#each HEADS as [name, order], i (i)}<SortHead
							{name}
							sorted={order === data.order && (order === 'name' ? 'asc' : 'desc')}
							href={order === undefined ? undefined : address(1, order)}
						/>{/each}</tr
				>{/snippet}
			{#each data.rows as c, i (c.clientId)}
				<tr data-testid="client" class={c.status === 'active' ? '' : 'text-quiet'}>
					<td class="align-top font-semibold"
						>{#if c.status === 'active'}<a bind:this={links[i]} href="/clients/{c.clientId}">{c.name}</a
							>{:else}{c.name}{/if}</td
					>
					<td class="label align-top"
						>{c.occupation}{#if c.status === 'archived' && c.ended}<span class="block text-ink"
								>ended {shortDay(c.ended.day)}: {c.ended.reason}</span
							>{#each c.ended.goals as g (g)}<span class="block">{g}</span>{/each}{/if}
						{#if taking === c.clientId || sentFor === c.clientId}<form
								method="POST"
								action="?/back"
								class="flex flex-wrap items-end gap-3 py-1"
								use:enhance={sending(
									(text) => (lost = text),
									() => (taking = '')
								)}
								novalidate
							>
								<input type="hidden" name="id" value={data.id} />
								<input type="hidden" name="clientId" value={c.clientId} />
								<Field
									of={c.clientId}
									name="reason"
									label="Why they come again"
									wrong={wrong('reason')}
									width="w-64 max-w-full"
								/>
								<Act kind="quiet">Take back</Act>
							</form>{/if}</td
					>
					<td class="align-top whitespace-nowrap">{shortDay(c.openedOn)}</td>
					<td class="align-top whitespace-nowrap">{c.lastSession === null ? '–' : shortDay(c.lastSession)}</td
					>
					<td class="align-top">{c.inUse}</td>
					<td class="align-top text-right whitespace-nowrap"
						>{#if c.status === 'archived' && data.licensed}<a
								href="/clients/{c.clientId}/archive"
								download
								data-sveltekit-reload
								class="mr-4"
								aria-label="The record of {c.name} as one file">take along</a
							><button
								type="button"
								class="min-h-6 cursor-pointer text-accent underline"
								aria-expanded={taking === c.clientId}
								aria-label="Take {c.name} back"
								onclick={() => (taking = taking === c.clientId ? '' : c.clientId)}>take back</button
							>{/if}</td
					>
				</tr>
			{/each}
		</Rows>
		{#if last > 1}<nav aria-label="Pages" class="mt-3 flex gap-5">
				{#if data.page > 1}<a href={address(data.page - 1)}>Before</a>{/if}
				<span class="label">{data.page} of {last}</span>
				{#if data.page < last}<a href={address(data.page + 1)}>After</a>{/if}
			</nav>{/if}
	{/if}
</main>
