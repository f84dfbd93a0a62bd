<script lang="ts">
	/** One joint bending along with the number that is typed: knee lying down, fold sitting, shank over a flat foot. */
	import type { Axis } from '#lib/core/body/axis.ts';

	interface Props {
		readonly axis: Axis;
		readonly degrees: number | undefined;
		readonly mirror?: boolean;
	}
	let { axis, degrees, mirror = false }: Props = $props();
	const rad = $derived(((degrees ?? 0) * Math.PI) / 180);
	const line = (x1: number, y1: number, x2: number, y2: number): string => `M${x1.toFixed(1)} ${y1.toFixed(1)}L${x2.toFixed(1)} ${y2.toFixed(1)}`;
	/** Each: the still limb, the moving limb, the joint. */
	const drawn = $derived.by(() => {
		if (axis === 'kneeFlexion') {
			// Lying: thigh lifts as the heel slides; the angle at the knee is what is typed.
			const t = rad / 2;
			const knee = [60 + 70 * Math.cos(t), 118 - 70 * Math.sin(t)] as const;
			return { still: line(60, 118, ...knee), moving: line(...knee, knee[0] + 70 * Math.cos(t), knee[1] + 70 * Math.sin(t)), joint: knee, base: 'M14 126H226', extra: line(18, 118, 60, 118) };
		}
		if (axis === 'thighTrunkFlexion') {
			const hip = [80, 92] as const;
			const lean = rad - Math.PI / 2;
			return { still: `${line(...hip, 150, 92)}M150 92L150 132`, moving: line(...hip, hip[0] + 72 * Math.sin(lean), hip[1] - 72 * Math.cos(lean)), joint: hip, base: 'M40 104H112M52 104V138M100 104V138', extra: '' };
		}
		const ankle = [96, 120] as const;
		return { still: `${line(88, 132, 136, 132)}`, moving: line(...ankle, ankle[0] + 84 * Math.sin(rad), ankle[1] - 84 * Math.cos(rad)), joint: ankle, base: 'M30 138H220M188 20V138', extra: line(96, 120, 96, 131) };
	});
</script>

<svg viewBox="0 0 240 146" class="w-full" aria-hidden="true">
	<g transform={mirror ? 'scale(-1 1) translate(-240 0)' : undefined} fill="none" stroke-linecap="round">
		<path d={drawn.base} stroke="var(--wood)" stroke-width="3" />
		<path d={drawn.extra} stroke="var(--trunk)" stroke-width="17" />
		<path d={drawn.still} stroke="var(--trunk)" stroke-width="17" stroke-linejoin="round" />
		<path d={drawn.moving} stroke="var(--limb)" stroke-width="15" opacity={degrees === undefined ? 0.35 : 1} />
		<circle cx={drawn.joint[0]} cy={drawn.joint[1]} r="3" fill="var(--sheet)" />
	</g>
</svg>
