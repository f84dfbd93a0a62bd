<script lang="ts">
	/** The function tests of a sheet, in groups that open where something was measured or typed. */
	import type { ComponentProps } from 'svelte';
	import { FUNCTION_TESTS } from '#lib/catalogue/function-tests.ts';
	import type { Side } from '#lib/core/body/axis.ts';
	import { TEST_GROUPS, type TestSpec } from '#lib/core/measure/function-test.ts';
	import Fold from '../Fold.svelte';
	import TestRow from '../TestRow.svelte';
	import { typedIn } from './sheet-values.ts';

	type Row = ComponentProps<typeof TestRow>;
	interface Props extends Omit<Row, 'spec' | 'ids' | 'last' | 'onfocus'> {
		/** Two ids a test, in the order of the tests. */
		readonly ids: readonly string[];
		readonly taken: readonly (Row['last'][number] & { readonly test: string })[];
		readonly onfocus: (test: TestSpec, side: Side | null) => void;
	}
	let { ids, taken, onfocus, ...shared }: Props = $props();
	const idsOf = (t: TestSpec): string[] => {
		const i = FUNCTION_TESTS.indexOf(t);
		return ids.slice(2 * i, 2 * i + 2);
	};
	const isNeeded = (group: string): boolean =>
		typedIn(group, shared.values) ||
		FUNCTION_TESTS.some((t) => t.group === group && taken.some((r) => r.test === t.id));
</script>

<h2 class="mt-6">Function tests</h2>
<p class="label">
	Against published norms of {shared.who.sex ?? 'no sex given'}, {shared.who.age} years. Outside a table’s ages
	there is no norm.
</p>
{#each TEST_GROUPS as group (group)}
	<Fold
		title={group.replace(/^./, (c) => c.toUpperCase())}
		needed={isNeeded(group)}
		class="mt-1 py-1 font-semibold text-accent"
	>
		{#each FUNCTION_TESTS.filter((t) => t.group === group) as spec (spec.id)}
			<TestRow
				{...shared}
				{spec}
				ids={idsOf(spec)}
				last={taken.filter((t) => t.test === spec.id)}
				onfocus={(side) => onfocus(spec, side)}
			/>
		{/each}
	</Fold>
{/each}
