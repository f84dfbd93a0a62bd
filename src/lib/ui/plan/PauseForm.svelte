<script lang="ts">
	/** Setting an exercise aside, or taking it up again, with the reason. */
	import { enhance } from '$app/forms';
	import type { PlannedWork } from '#lib/contract/plan-view.ts';
	import Act from '../Act.svelte';
	import Field from '../Field.svelte';
	import Fold from '../Fold.svelte';
	import { sending } from '../sending.ts';

	interface Props {
		readonly w: PlannedWork;
		readonly wrong: string | undefined;
		readonly say: (text: string) => void;
	}
	let { w, wrong, say }: Props = $props();
	const resuming = $derived(w.state === 'set-aside');
	const ids = $derived({
		id: w.formId,
		exerciseId: w.exerciseId,
		basedOn: w.basedOn,
		to: resuming ? 'active' : 'set-aside'
	});
</script>

<Fold
	title={resuming ? 'Take it up again' : 'Set it aside'}
	needed={wrong !== undefined}
	class="text-sm text-accent"
>
	<form
		method="POST"
		action="?/pause"
		class="flex flex-wrap items-end gap-3 pb-1"
		use:enhance={sending(say)}
		novalidate
	>
		{#each Object.entries(ids) as [name, value] (name)}<input type="hidden" {name} {value} />{/each}
		<Field of={w.exerciseId} name="reason" label="Reason" {wrong} width="w-72 max-w-full" />
		<Act kind="quiet">{resuming ? 'Take up' : 'Set aside'}</Act>
	</form>
</Fold>
