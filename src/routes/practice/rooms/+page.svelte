<script lang="ts">
	/** What stands in the rooms; seats, pads, wedges and steps decide what is set up, weights what is loaded. */
	import { enhance } from '$app/forms';
	import Act from '#lib/ui/Act.svelte';
	import Fold from '#lib/ui/Fold.svelte';
	import Rows from '#lib/ui/Rows.svelte';
	import Said from '#lib/ui/Said.svelte';
	import ItemForm from '#lib/ui/practice/ItemForm.svelte';
	import { sending } from '#lib/ui/sending.ts';
	import { refusedText, wrongAt } from '#lib/ui/wrong.ts';
	import { rackKindName, sizeText } from '#lib/wording/practice.ts';

	let { data, form } = $props();
	let lost = $state('');
	let changing = $state('');
	/** What was kept is closed; what was opened meanwhile stays open. */
	const closed = (id: string): void => void (changing = changing === id ? '' : changing);
	const wrong = $derived(wrongAt(form));
	const typed = $derived(form && 'typed' in form ? form.typed : {});
	const rooms = $derived([...new Set(data.items.map((i) => i.room))].sort());
	const known = $derived(new Set(data.items.map((i) => i.id)));
	const open = $derived(changing || (known.has(typed.itemId ?? '') ? (typed.itemId ?? '') : ''));
	const adding = $derived(typed.itemId !== undefined && !known.has(typed.itemId));
</script>

<svelte:head><title>Rooms · Bolster</title></svelte:head>
<Said done={form && 'done' in form ? form.done : undefined} refused={lost || refusedText(form)} />
<div class="flex flex-wrap items-baseline gap-x-5">
	<h2>Rooms</h2>
	{#if data.items.length > 0}<a href="/practice/rooms/rooms.csv" download>as a file (CSV)</a>{/if}
</div>
<p class="label">
	Seats, pads, wedges and steps decide what can be set up here; weights what is loaded. Walls, a counter,
	pillows and towels are taken to be there.
</p>
{#if data.items.length === 0}<p class="rule mt-3 py-3">
		Nothing stands here yet: seats are solved as any height, and nothing is loaded. Begin with the chairs and
		steps there are.
	</p>{/if}
{#each rooms as room (room)}
	{#if rooms.length > 1 || room !== ''}<h3 class="mt-4">{room === '' ? 'Anywhere' : room}</h3>{/if}
	<Rows heads={['what', 'called', 'size', 'how many', '']} aria-label="Things {room}">
		{#each data.items as item, i (item.id)}{#if item.room === room}
				<tr data-testid="item" class={item.outOfOrder || item.count === 0 ? 'text-quiet' : ''}>
					<td class="align-top">{rackKindName(item.kind)}</td>
					<td class="align-top"
						>{item.label}{item.outOfOrder ? ', out of order' : ''}
						{#if open === item.id}<ItemForm
								formId={data.ids[i] ?? ''}
								itemId={item.id}
								{item}
								answered={typed.itemId === item.id ? form : undefined}
								kinds={data.kinds}
								say={(text) => (lost = text)}
								done={() => closed(item.id)}
							/>{/if}</td
					>
					<td class="align-top whitespace-nowrap">{sizeText(item)}</td>
					<td class="align-top">{item.count}</td>
					<td class="text-right align-top"
						>{#if data.may}<button
								type="button"
								class="min-h-6 cursor-pointer text-accent underline"
								aria-expanded={open === item.id}
								aria-label="Change {item.label}, {sizeText(item)}"
								onclick={() => (changing = changing === item.id ? '' : item.id)}>change</button
							>{/if}</td
					>
				</tr>
			{/if}{/each}
	</Rows>
{/each}
{#if data.may}
	<Fold title="Something more" needed={adding} class="mt-3 text-accent">
		{#key data.newIds[0]}<ItemForm
				formId={data.newIds[0] ?? ''}
				itemId={data.newIds[1] ?? ''}
				answered={adding ? form : undefined}
				kinds={data.kinds}
				say={(text) => (lost = text)}
				done={() => undefined}
			/>{/key}
	</Fold>
	<Fold title="From a file" needed={wrong('file') !== undefined} class="text-accent">
		<form
			method="POST"
			action="?/file"
			enctype="multipart/form-data"
			class="flex flex-wrap items-end gap-3 pb-2"
			use:enhance={sending((text) => (lost = text))}
		>
			<input type="hidden" name="id" value={data.newIds[2]} />
			<label class="block"
				><span class="label block"
					>CSV with the columns room, kind, label, value, unit, count, out_of_order</span
				><input type="file" name="file" accept=".csv,text/csv" /></label
			>
			<Act kind="quiet">Take the file</Act>
		</form>
	</Fold>
{:else}<p class="label mt-3">The owner of the practice changes the rooms.</p>{/if}
