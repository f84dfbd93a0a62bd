<script lang="ts">
	/** A protocol as it is given, in phases; corrected as a whole. */
	import { onMount } from 'svelte';
	import { enhance } from '$app/forms';
	import { sideOf } from '#lib/core/body/region-side.ts';
	import type { Surgery } from '#lib/contract/view.ts';
	import Act from '../Act.svelte';
	import DayField from '../DayField.svelte';
	import Field from '../Field.svelte';
	import { keepForm, keptNames } from '../keep-form.ts';
	import { sending } from '../sending.ts';
	import type { Wrong } from '../wrong.ts';
	import PhaseFields from './PhaseFields.svelte';

	interface Props {
		readonly s: Surgery;
		readonly id: string;
		readonly today: string;
		readonly wrong: Wrong | undefined;
		readonly say: (text: string) => void;
	}
	let { s, id, today, wrong, say }: Props = $props();
	const at = (field: string): string | undefined => wrong?.all[field];
	const MOST = 4;
	/** How many phases are being written. */
	let more = $state(1);
	const phases = $derived(Math.max(more, s.protocol?.phases.length ?? 1));
	const draft = $derived(`protocol-${s.id}`);
	/** As many as were being written when the page was left. */
	onMount(() => {
		const kept = keptNames(draft).flatMap((name) => /^phase\.(\d+)\./.exec(name)?.[1] ?? []);
		more = 1 + Math.max(0, ...kept.map(Number));
	});
</script>

<form
	method="POST"
	action="?/protocol"
	class="mt-2 grid gap-2"
	use:keepForm={{ name: draft, shows: phases }}
	use:enhance={sending(say)}
>
	<input type="hidden" name="id" value={id} /><input type="hidden" name="surgeryId" value={s.id} />
	<Field
		of={s.id}
		name="source"
		label="Whose protocol, of which day"
		value={s.protocol?.source ?? ''}
		wrong={at('source')}
		width="w-72"
	/>
	<DayField
		of={s.id}
		name="reviewOn"
		label="Review on"
		value={s.protocol?.reviewOn ?? ''}
		wrong={at('reviewOn')}
		width="w-40"
		{today}
		ahead
	/>
	{#each { length: phases }, i (i)}
		<PhaseFields n={i} of={s.id} phase={s.protocol?.phases[i]} side={sideOf(s.region) ?? 'right'} {wrong} />
	{/each}
	{#if phases < MOST}<div>
			<Act kind="quiet" type="button" onclick={() => (more = phases + 1)}>Another phase</Act>
		</div>{/if}
	<p class="label">Only what the protocol says. Nothing is assumed, and the calendar alone opens nothing.</p>
	<div>
		<Act kind="quiet">{s.protocol ? 'Save the corrected protocol' : 'Enter the protocol'}</Act>
	</div>
</form>
