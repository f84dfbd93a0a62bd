<script lang="ts" module>
	/** A column: its heading, and what it sorts and is searched by; one without a value does neither. */
	export interface Column<T> {
		readonly head: string;
		readonly value?: (row: T) => string | number | null;
	}
</script>

<script lang="ts" generics="T extends object">
	/**
	 * A long table: sorted by the heading that is pressed, searched where that helps. It stands in the order in which it came until then; what has
	 * no value stands last either way. Its cells are the caller's.
	 */
	import {
		columnFilteringFeature,
		createFilteredRowModel,
		createSortedRowModel,
		createTable,
		filterFn_includesString,
		globalFilteringFeature,
		rowSortingFeature,
		sortFn_alphanumeric,
		sortFn_basic,
		tableFeatures
	} from '@tanstack/svelte-table';
	import type { Snippet } from 'svelte';
	import Rows from './Rows.svelte';
	import SortHead from './SortHead.svelte';

	interface Props {
		readonly label: string;
		readonly rows: readonly T[];
		readonly columns: readonly Column<T>[];
		/** One row's cells, with its place in the table as it stands. */
		readonly cells: Snippet<[T, number]>;
		/** What may be searched for; without it there is no field to search in. */
		readonly find?: string;
		readonly of?: (row: T) => Record<string, unknown>;
	}
	let { label, rows, columns, cells, find, of = () => ({}) }: Props = $props();

	/** Fewer than these are seen at a glance. */
	const WORTH_SEARCHING = 12;
	const features = tableFeatures({
		rowSortingFeature,
		sortedRowModel: createSortedRowModel(),
		sortFns: { alphanumeric: sortFn_alphanumeric, basic: sortFn_basic },
		columnFilteringFeature,
		globalFilteringFeature,
		filteredRowModel: createFilteredRowModel(),
		filterFns: { includesString: filterFn_includesString }
	});
	const table = createTable({
		features,
		get columns() {
			return columns.map(({ head, value }, i) => ({
				id: String(i),
				header: head,
				accessorFn: (row: T) => value?.(row) ?? undefined,
				enableSorting: value !== undefined,
				enableGlobalFilter: value !== undefined,
				sortUndefined: 'last' as const,
				sortDescFirst: false
			}));
		},
		get data() {
			return [...rows];
		},
		globalFilterFn: 'includesString' as const,
		getColumnCanGlobalFilter: (column) => columns[Number(column.id)]?.value !== undefined
	});
	const shown = $derived(table.getRowModel().rows);
	const headers = $derived(table.getHeaderGroups()[0]?.headers ?? []);
</script>

{#if find !== undefined && rows.length >= WORTH_SEARCHING}
	<label class="label mb-1 flex flex-wrap items-baseline gap-2 print:hidden"
		>{find}<input
			type="search"
			class="rounded-md border border-edge bg-sheet px-2 py-1"
			oninput={(e) => table.setGlobalFilter(e.currentTarget.value)}
		/><span role="status">{shown.length === rows.length ? '' : `${shown.length} of ${rows.length}`}</span
		></label
	>
{/if}
<Rows heads={[]} aria-label={label}>
	{#snippet head()}
		<tr
			>{#each headers as header (header.id)}{@const sorted = header.column.getIsSorted()}
				<SortHead
					name={columns[Number(header.column.id)]?.head ?? ''}
					{sorted}
					press={header.column.getCanSort() ? () => header.column.toggleSorting() : undefined}
				/>{/each}</tr
		>
	{/snippet}
	{#each shown as row, i (row.id)}<tr {...of(row.original)}>{@render cells(row.original, i)}</tr>{:else}<tr
			><td colspan={columns.length}>Nothing here says that.</td></tr
		>{/each}
</Rows>
