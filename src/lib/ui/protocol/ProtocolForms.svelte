<script lang="ts">
	/** Operations, the phases of their protocols and single limits: as the protocol gives them, never filled in from what is typical. */
	import { enhance } from '$app/forms';
	import type { Limit, Surgery } from '#lib/contract/view.ts';
	import type { PhaseNow } from '#lib/core/client/protocol.ts';
	import { shortDay } from '#lib/wording/days.ts';
	import { limitText } from '#lib/wording/protocol.ts';
	import Act from '../Act.svelte';
	import Field from '../Field.svelte';
	import Fold from '../Fold.svelte';
	import { sending } from '../sending.ts';
	import type { Wrong } from '../wrong.ts';
	import LimitForm from './LimitForm.svelte';
	import OneOperation from './OneOperation.svelte';
	import SurgeryForm from './SurgeryForm.svelte';

	interface Props {
		readonly surgery: readonly (Surgery & { readonly now: PhaseNow | null })[];
		readonly limits: readonly Limit[];
		readonly ids: readonly string[];
		readonly licensed: boolean;
		readonly today: string;
		readonly wrong: Wrong | undefined;
		readonly say: (text: string) => void;
	}
	let { surgery, limits, ids, licensed, today, wrong, say }: Props = $props();
	const at = (field: string): string | undefined => wrong?.all[field];
</script>

<section aria-label="Operations and limits" class="grid gap-2">
	<h2>Operations and limits</h2>
	{#each limits as l (l.id)}
		<div class="rule py-1.5 text-sm">
			<strong>{limitText(l)}</strong>, {l.source}{l.reviewOn ? `, review ${shortDay(l.reviewOn)}` : ''}
			{#if licensed}
				<Fold title="Lift it" needed={at('reason') !== undefined} class="cursor-pointer text-accent">
					<form method="POST" action="?/lift" class="mt-1 flex items-end gap-2" use:enhance={sending(say)}>
						<input type="hidden" name="id" value={ids[0]} /><input
							type="hidden"
							name="limitId"
							value={l.id}
						/>
						<Field of={l.id} name="reason" label="On whose word" wrong={at('reason')} width="w-44" /><Act
							kind="quiet">Lift</Act
						>
					</form>
				</Fold>
			{/if}
		</div>
	{/each}
	{#each surgery as s (s.id)}
		<OneOperation {s} id={ids[0] as string} {licensed} {today} {wrong} {say} />
	{/each}
	<SurgeryForm id={ids[1] as string} {today} {at} {say} />
	{#if licensed}<LimitForm id={ids[2] as string} {today} {wrong} {say} />{/if}
</section>
