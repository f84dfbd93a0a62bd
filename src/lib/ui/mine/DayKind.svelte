<script lang="ts">
	/** What kind of day it was: an ordinary one unless something else is said. */
	import { mineHere } from './context.ts';

	interface Props {
		readonly label: string;
		value: string;
	}
	let { label, value = $bindable() }: Props = $props();
	const { say } = mineHere();
	const KINDS = [
		['', 'ordinary'],
		['unusual-activity', 'unusual'],
		['illness', 'illness'],
		['painkiller', 'painkiller']
	] as const;
</script>

<label class="mt-2 block"
	><span class="font-semibold">{label}</span><select
		bind:value
		class="mt-1 block min-h-12 w-full rounded-md border border-edge bg-sheet px-2"
		>{#each KINDS as [kind, key] (kind)}<option value={kind}>{say(key)}</option>{/each}</select
	></label
>
