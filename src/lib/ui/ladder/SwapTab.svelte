<script lang="ts">
	/** Another way of the same purpose, worked out when it is looked at: it fits every family. */
	import type { BackWay } from '#lib/core/client/repeated.ts';
	import type { Equipment, ExerciseFamily, Step } from '#lib/core/exercise/family.ts';
	import { fitFamily, type StepFit } from '#lib/core/fit/fit.ts';
	import { candidatesOf } from '#lib/core/fit/open.ts';
	import { type Avoid, substitutes } from '#lib/core/fit/substitutes.ts';
	import type { FitContext } from '#lib/core/movement/context.ts';
	import CardTab from '../card/CardTab.svelte';
	import Swaps from './Swaps.svelte';

	interface Props {
		readonly clientId: string;
		readonly family: ExerciseFamily;
		readonly families: readonly ExerciseFamily[];
		readonly step: Step;
		readonly fit: StepFit;
		readonly ctx: FitContext;
		/** What is prescribed on a ladder. */
		readonly now: Readonly<Record<string, { readonly step: string } | undefined>>;
		readonly gatesMet: (step: string) => boolean;
		readonly sore: string;
		readonly prefers: BackWay | null;
	}
	let { clientId, family, families, step, fit, ctx, now, gatesMet, sore, prefers }: Props = $props();
	let open = $state(false);
	let busy = $state<Equipment[]>([]);
	const joint = $derived(sore.split('-')[0] as NonNullable<Avoid['sore']>);
	const swaps = $derived.by(() => {
		if (!open) return [];
		const candidates = families.flatMap((f) => candidatesOf(f, fitFamily(f, ctx), now[f.id]?.step, gatesMet));
		return substitutes({ family, step, fit, open: true }, candidates, ctx, { busy, sore: joint, prefers });
	});
</script>

<CardTab title="Another way" bind:open>
	<Swaps {clientId} {step} {swaps} soreJoint={joint} bind:busy />
</CardTab>
