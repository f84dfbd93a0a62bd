<script lang="ts">
	/** One movement bending along with the number that is typed: the still limb, the moving limb, the joint between. */
	import type { RangeId } from '#lib/core/measure/range-kind.ts';

	interface Props {
		readonly kind: RangeId;
		readonly degrees: number | undefined;
		readonly mirror?: boolean;
	}
	let { kind, degrees, mirror = false }: Props = $props();
	type Point = readonly [number, number];
	interface Pose {
		/** Polylines of what does not move; the first joins the joint. */
		readonly still: readonly (readonly Point[])[];
		readonly joint: Point;
		/** Screen direction at 0°, degrees clockwise from rightward, and which way it turns. */
		readonly zero: number;
		readonly turn: 1 | -1;
		readonly length: number;
		readonly ground: string;
	}
	const LYING: Omit<Pose, 'turn'> = {
		still: [
			[
				[24, 118],
				[96, 118]
			],
			[
				[96, 118],
				[216, 118]
			]
		],
		joint: [96, 118],
		zero: 0,
		length: 104,
		ground: 'M12 128H228'
	};
	const HANGING: Omit<Pose, 'turn'> = {
		still: [
			[
				[96, 44],
				[120, 44],
				[144, 44]
			],
			[
				[120, 18],
				[120, 44]
			]
		],
		joint: [120, 44],
		zero: 90,
		length: 84,
		ground: 'M84 56H156'
	};
	const STANDING: Omit<Pose, 'turn'> = {
		still: [
			[
				[112, 20],
				[112, 58]
			],
			[
				[112, 58],
				[104, 134]
			]
		],
		joint: [112, 58],
		zero: 90,
		length: 80,
		ground: 'M40 138H200'
	};
	/** The trunk over still legs: 0° is upright. */
	const TRUNK: Pose = {
		still: [
			[
				[112, 84],
				[112, 134]
			]
		],
		joint: [112, 84],
		zero: -90,
		turn: 1,
		length: 66,
		ground: 'M40 138H200'
	};
	const POSE: Readonly<
		Record<Exclude<RangeId, 'kneeFlexion' | 'thighTrunkFlexion' | 'weightBearingDorsiflexion'>, Pose>
	> = {
		hipFlexion: { ...LYING, turn: -1 },
		straightLegRaise: { ...LYING, turn: -1 },
		hipExtension: { ...LYING, turn: -1 },
		hipAbduction: { ...STANDING, turn: -1 },
		hipAdduction: { ...STANDING, turn: 1 },
		hipInternalRotation: { ...HANGING, turn: -1 },
		hipExternalRotation: { ...HANGING, turn: 1 },
		kneeExtension: {
			still: [
				[
					[28, 70],
					[118, 70]
				]
			],
			joint: [118, 70],
			zero: 0,
			turn: -1,
			length: 96,
			ground: 'M18 84H104'
		},
		forwardBow: TRUNK,
		spineFlexion: TRUNK,
		spineExtension: { ...TRUNK, turn: -1 },
		spineSideBend: TRUNK,
		spineRotation: { ...HANGING, turn: 1 },
		ankleDorsiflexion: {
			still: [
				[
					[96, 20],
					[96, 100]
				]
			],
			joint: [96, 100],
			zero: 0,
			turn: -1,
			length: 62,
			ground: 'M30 138H220'
		},
		anklePlantarflexion: {
			still: [
				[
					[96, 20],
					[96, 100]
				]
			],
			joint: [96, 100],
			zero: 0,
			turn: 1,
			length: 62,
			ground: 'M30 138H220'
		},
		bigToeExtension: {
			still: [
				[
					[48, 84],
					[136, 112]
				],
				[
					[48, 84],
					[48, 40]
				]
			],
			joint: [136, 112],
			zero: 0,
			turn: -1,
			length: 44,
			ground: 'M20 124H220'
		}
	};
	const line = (points: readonly Point[]): string =>
		`M${points.map((p) => `${p[0].toFixed(1)} ${p[1].toFixed(1)}`).join('L')}`;
	const rad = (deg: number): number => (deg * Math.PI) / 180;
	const drawn = $derived.by(() => {
		const deg = degrees ?? 0;
		if (kind === 'kneeFlexion') {
			// Lying: the thigh lifts as the heel slides; the angle at the knee is what is typed.
			const t = rad(deg) / 2;
			const knee: Point = [60 + 70 * Math.cos(t), 118 - 70 * Math.sin(t)];
			return {
				still: line([[18, 118], [60, 118], knee]),
				moving: line([knee, [knee[0] + 70 * Math.cos(t), knee[1] + 70 * Math.sin(t)]]),
				joint: knee,
				ground: 'M14 126H226'
			};
		}
		if (kind === 'thighTrunkFlexion') {
			const hip: Point = [80, 92];
			const lean = rad(deg) - Math.PI / 2;
			return {
				still: line([hip, [150, 92], [150, 132]]),
				moving: line([hip, [hip[0] + 72 * Math.sin(lean), hip[1] - 72 * Math.cos(lean)]]),
				joint: hip,
				ground: 'M40 104H112M52 104V138M100 104V138'
			};
		}
		if (kind === 'weightBearingDorsiflexion') {
			const ankle: Point = [96, 120];
			return {
				still: line([
					[88, 132],
					[136, 132]
				]),
				moving: line([ankle, [ankle[0] + 84 * Math.sin(rad(deg)), ankle[1] - 84 * Math.cos(rad(deg))]]),
				joint: ankle,
				ground: 'M30 138H220M188 20V138'
			};
		}
		const p = POSE[kind];
		const a = rad(p.zero + p.turn * deg);
		return {
			still: p.still.map(line).join(''),
			moving: line([p.joint, [p.joint[0] + p.length * Math.cos(a), p.joint[1] + p.length * Math.sin(a)]]),
			joint: p.joint,
			ground: p.ground
		};
	});
</script>

<svg viewBox="0 0 240 146" class="w-full" aria-hidden="true">
	<g
		transform={mirror ? 'scale(-1 1) translate(-240 0)' : undefined}
		fill="none"
		stroke-linecap="round"
		stroke-linejoin="round"
	>
		<path d={drawn.ground} stroke="var(--wood)" stroke-width="3" />
		<path d={drawn.still} stroke="var(--trunk)" stroke-width="16" />
		<path
			d={drawn.moving}
			stroke="var(--limb)"
			stroke-width="14"
			opacity={degrees === undefined ? 0.35 : 1}
		/>
		<circle cx={drawn.joint[0]} cy={drawn.joint[1]} r="3" fill="var(--sheet)" />
	</g>
</svg>
