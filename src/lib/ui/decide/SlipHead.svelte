<script lang="ts">
	/** What Bolster says, what would change it, and by which rule and policy. */
	import type { SlipView } from '#lib/contract/slip-view.ts';
	import { POLICY_NAME, regionName } from '#lib/wording/names.ts';
	import { ruleName } from '#lib/wording/rules.ts';
	import Stroke from '../Stroke.svelte';

	interface Props {
		readonly slip: SlipView;
		readonly title: string;
		/** What holds the work besides: another rule came before it, it stays known. */
		readonly held: string | undefined;
	}
	let { slip, title, held }: Props = $props();
	const policy = $derived(POLICY_NAME[slip.policy.id] ?? slip.policy.id);
</script>

<div class="flex items-start gap-4">
	<div class="pt-1"><Stroke decision={slip.decision} size={40} /></div>
	<div>
		<h2 class="text-2xl" data-testid="sentence">{slip.sentence}</h2>
		{#if slip.flip}<p class="text-lg" data-testid="flip">{slip.flip}</p>{/if}
		{#if slip.outlook}<p class="text-lg">When it comes in: {slip.outlook}</p>{/if}
		{#if held}<p class="font-semibold text-stop" data-testid="also-held">{held}</p>{/if}
		{#if slip.passedOver}<p class="text-caution">
				Prescribed past what closes it, by a licensed user: {slip.passedOver}
			</p>{/if}
		{#each slip.alternatives as a (a)}<p class="text-caution">{a}</p>{/each}
		<p class="label">
			{title} for the {regionName(slip.region)} · rule
			{ruleName(slip.rule)}
			· {policy} policy, version {slip.policy.version} · usual morning
			{slip.usual}{slip.provisional ? ', from the intake: provisional' : ''}
		</p>
	</div>
</div>
