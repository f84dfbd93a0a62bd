<script lang="ts">
	/** How to build the height here, or how to begin without one, and what to do when it hurts. */
	import { softenText } from '#lib/wording/setup.ts';
	import { aboutText, cmText } from '#lib/wording/units.ts';
	import type { CardReading } from './reading.ts';

	interface Props {
		readonly card: CardReading;
	}
	let { card }: Props = $props();
	const { build, given, length, atHome } = $derived(card);
	const pads = $derived((build?.pads ?? []).map((p) => cmText(p)).join(' + '));
	const reaches = $derived(
		build === undefined
			? ''
			: build.short > 0
				? `; ${cmText(build.short)} too low, nothing here reaches`
				: build.reaches > (given.seatCm ?? 0)
					? `, which stands ${cmText(build.reaches)}`
					: ''
	);
</script>

{#if build !== undefined}
	<p class="text-sm">
		<strong>Build it:</strong>
		{cmText(build.seat)} seat{pads ? ` + ${pads}` : ''}{reaches}. Start there; raise it {aboutText(2, 3)} if it
		hurts.
	</p>
{:else}
	<p class="text-sm">
		<strong>Start there;</strong> confirm it on the client’s own symptoms{length === null
			? ''
			: `, and ${softenText(length.of)}`}.{length?.of === 'feetCm'
			? ' Feet are counted from the shoulder to the ankle.'
			: ''}
	</p>
{/if}
{#if atHome}<p class="text-sm" data-testid="at-home"><strong>At home:</strong> {atHome}.</p>{/if}
