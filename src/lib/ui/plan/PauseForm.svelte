<script lang="ts">
	/** Taking an exercise out of the plan for a while or for good, or back into it, each with the reason. */
	import { enhance } from '$app/forms';
	import type { Pause } from '#lib/contract/plan-form.ts';
	import Act from '../Act.svelte';
	import Field from '../Field.svelte';
	import Fold from '../Fold.svelte';
	import { sending } from '../sending.ts';

	interface Props {
		readonly w: { readonly exerciseId: string; readonly basedOn: string; readonly formId: string };
		readonly to: Pause['to'];
		readonly wrong: string | undefined;
		readonly say: (text: string) => void;
	}
	let { w, to, wrong, say }: Props = $props();
	const TITLE = { active: 'Take it up again', 'set-aside': 'Set it aside', ended: 'End it' } as const;
	const ACT = { active: 'Take up', 'set-aside': 'Set aside', ended: 'End' } as const;
	const ids = $derived({ id: w.formId, exerciseId: w.exerciseId, basedOn: w.basedOn, to });
</script>

<Fold title={TITLE[to]} needed={wrong !== undefined} class="text-sm text-accent">
	<form
		method="POST"
		action="?/pause"
		class="flex flex-wrap items-end gap-3 pb-1"
		use:enhance={sending(say)}
		novalidate
	>
		{#each Object.entries(ids) as [name, value] (name)}<input type="hidden" {name} {value} />{/each}
		<Field of="{w.exerciseId}{to}" name="reason" label="Reason" {wrong} width="w-72 max-w-full" />
		<Act kind="quiet">{ACT[to]}</Act>
	</form>
</Fold>
