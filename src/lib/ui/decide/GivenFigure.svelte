<script lang="ts">
	/** Something prescribed, drawn for this body, with its dose and set-up. */
	import { doseText } from '#lib/wording/dose.ts';
	import type { Given } from '#lib/contract/slip-view.ts';
	import { setupText } from '#lib/wording/setup.ts';
	import type { Figure } from '#lib/core/figure/shape.ts';
	import FigureView from '../FigureView.svelte';

	interface Props {
		/** "now", or "next: …". */
		readonly when: string;
		readonly title: string;
		readonly figure: Figure;
		/** How much more upright the shins stand; empty where they stand as taught. */
		readonly upright: string;
		readonly given: Given;
		readonly mirror: boolean;
		readonly framed?: boolean;
	}
	let { when, title, figure, upright, given, mirror, framed = false }: Props = $props();
	const label = $derived(`${framed ? 'Next' : 'Now'}: ${title}`);
</script>

<figure class="sheet px-4 pt-3 pb-2 {framed ? 'outline-2 outline-accent' : ''}">
	<FigureView {figure} heights height={190} {label} {mirror} />
	<figcaption class="text-center">
		<span class="label block">{when}</span><strong>{doseText(given.dose)}</strong><br /><span class="text-sm"
			>{title}, {setupText(given.setup)}{upright ? `; ${upright}` : ''}</span
		>
	</figcaption>
</figure>
