/**
 * The made-up practice: a boat-yard town nobody lives in, its rooms, its staff, and eight clients of different knees, hips and
 * backs. Any likeness to a person is chance.
 */
import type { Axis, Side } from '#lib/core/body/axis.ts';
import type { Technique } from '#lib/core/posture/problem.ts';
import type { PolicyId } from '#lib/catalogue/policies.ts';

export const PRACTICE = { name: 'Tidewater Rooms (demo)', tz: 'Europe/London', units: 'metric' } as const;

export const STAFF = [
	{ key: 'physio', name: 'Ines Quarrel', email: 'physio@tidewater.example', password: 'heron-on-the-jetty', roles: ['physiotherapist'], licence: 'DEMO-4471' },
	{ key: 'trainer', name: 'Joss Bellwether', email: 'trainer@tidewater.example', password: 'kettle-by-the-quay', roles: ['trainer'], licence: null },
	{ key: 'owner', name: 'Petra Lowmarsh', email: 'owner@tidewater.example', password: 'lantern-at-low-tide', roles: ['owner'], licence: null }
] as const;

export const EQUIPMENT: readonly { kind: 'seat' | 'pad' | 'wedge' | 'weight'; label: string; value: number; unit: 'cm' | 'kg'; count: number }[] = [
	{ kind: 'seat', label: 'Low bench', value: 40, unit: 'cm', count: 2 },
	{ kind: 'seat', label: 'Dining chair', value: 46, unit: 'cm', count: 4 },
	{ kind: 'seat', label: 'Plinth, lowest', value: 52, unit: 'cm', count: 1 },
	{ kind: 'pad', label: 'Firm pad', value: 3, unit: 'cm', count: 3 },
	{ kind: 'pad', label: 'Block', value: 5, unit: 'cm', count: 2 },
	{ kind: 'wedge', label: 'Cork wedge', value: 3, unit: 'cm', count: 1 },
	{ kind: 'wedge', label: 'Tall wedge', value: 4.5, unit: 'cm', count: 1 },
	...[4, 6, 8, 10, 12, 16, 20].map((kg) => ({ kind: 'weight' as const, label: 'Bell', value: kg, unit: 'kg' as const, count: 1 }))
];

/** Ranges as onset · tolerable · end; one number is both sides, two are left and right. */
export type Ranges = Readonly<Record<Axis, Readonly<Record<Side, readonly [number, number, number]>>>>;
const both = (a: number, b: number, c: number) => ({ left: [a, b, c], right: [a, b, c] }) as const;

export type Ending = 'hold-up' | 'advance' | 'regress-pain' | 'stop-locking' | 'red-flag' | 'wait-morning' | 'flare' | 'silent';

export interface DemoClient {
	readonly key: string;
	readonly name: string;
	readonly born: string;
	readonly occupation: string;
	readonly heightCm: number;
	readonly massKg: number;
	readonly shankCm?: number;
	readonly thighCm?: number;
	readonly region: string;
	readonly usual: number;
	readonly longStanding?: boolean;
	readonly technique: Technique | null;
	readonly policyId: PolicyId;
	readonly frontOfKnee: boolean;
	readonly goal: string;
	readonly firstStep: string;
	readonly ranges: Ranges;
	readonly limit?: { readonly axis: Axis; readonly side: Side; readonly maxDeg: number; readonly source: string; readonly operatedOn: number; readonly reviewIn: number };
	readonly ending: Ending;
}

export const CLIENTS: readonly DemoClient[] = [
	{
		key: 'wren', name: 'Wren Hollis', born: '1967-09-14', occupation: 'ferry engineer', heightCm: 168, massKg: 70, region: 'knee-right', usual: 2, technique: null,
		policyId: 'pain-monitored', frontOfKnee: true, goal: 'Stand up from the 45 cm galley bench without hands', firstStep: 'raised-seat',
		ranges: { kneeFlexion: { left: [118, 132, 138], right: [84, 99, 118] }, thighTrunkFlexion: both(118, 126, 132), weightBearingDorsiflexion: both(34, 38, 40) }, ending: 'hold-up'
	},
	{
		key: 'tamsin', name: 'Tamsin Okoro-Vale', born: '1981-02-03', occupation: 'sail maker', heightCm: 174, massKg: 66, region: 'hip-left', usual: 1, technique: 'parallel',
		policyId: 'pain-monitored', frontOfKnee: false, goal: 'Squat to the cutting floor', firstStep: 'standard-seat',
		ranges: { kneeFlexion: both(132, 138, 142), thighTrunkFlexion: { left: [124, 138, 142], right: [134, 144, 148] }, weightBearingDorsiflexion: both(40, 43, 45) }, ending: 'advance'
	},
	{
		key: 'bertil', name: 'Bertil Sandhope', born: '1954-06-21', occupation: 'retired harbour pilot', heightCm: 181, massKg: 92, region: 'knee-left', usual: 2, technique: null,
		policyId: 'pain-monitored', frontOfKnee: false, goal: 'Ten rises before breakfast', firstStep: 'raised-seat-hands',
		ranges: { kneeFlexion: { left: [80, 98, 112], right: [100, 116, 125] }, thighTrunkFlexion: both(112, 124, 130), weightBearingDorsiflexion: both(28, 32, 34) }, ending: 'regress-pain'
	},
	{
		key: 'odile', name: 'Odile Marchbank', born: '1993-11-30', occupation: 'boat painter', heightCm: 163, massKg: 58, region: 'knee-right', usual: 1, technique: 'knee-forward',
		policyId: 'pain-monitored', frontOfKnee: false, goal: 'Kneel and rise along a hull', firstStep: 'standard-seat',
		ranges: { kneeFlexion: { left: [135, 140, 145], right: [112, 128, 136] }, thighTrunkFlexion: both(126, 136, 140), weightBearingDorsiflexion: both(38, 41, 43) }, ending: 'stop-locking'
	},
	{
		key: 'fergal', name: 'Fergal Penhallow', born: '1976-04-08', occupation: 'lock keeper', heightCm: 178, massKg: 84, region: 'back', usual: 3, technique: 'stacked',
		policyId: 'pain-monitored', frontOfKnee: false, goal: 'Work the lock gates for a shift', firstStep: 'raised-seat',
		ranges: { kneeFlexion: both(128, 136, 140), thighTrunkFlexion: both(92, 112, 122), weightBearingDorsiflexion: both(33, 36, 38) }, ending: 'red-flag'
	},
	{
		key: 'saskia', name: 'Saskia Dunmere', born: '1988-07-17', occupation: 'rope splicer', heightCm: 170, massKg: 64, region: 'knee-left', usual: 1, technique: null,
		policyId: 'pain-monitored', frontOfKnee: true, goal: 'Chandlery stairs with a coil on the shoulder', firstStep: 'raised-seat',
		ranges: { kneeFlexion: { left: [104, 118, 130], right: [130, 138, 142] }, thighTrunkFlexion: both(122, 132, 138), weightBearingDorsiflexion: both(36, 39, 41) }, ending: 'wait-morning'
	},
	{
		key: 'amos', name: 'Amos Tarrant-Ley', born: '1962-12-05', occupation: 'oyster grower', heightCm: 176, massKg: 88, region: 'knee-right', usual: 2, technique: null,
		policyId: 'pain-monitored', frontOfKnee: false, goal: 'Up from the low punt seat', firstStep: 'raised-seat',
		ranges: { kneeFlexion: { left: [112, 124, 130], right: [92, 110, 122] }, thighTrunkFlexion: both(114, 126, 132), weightBearingDorsiflexion: both(31, 35, 37) },
		limit: { axis: 'kneeFlexion', side: 'right', maxDeg: 100, source: 'Harbour hospital protocol sheet, partial meniscus', operatedOn: -100, reviewIn: 20 }, ending: 'flare'
	},
	{
		key: 'lotte', name: 'Lotte Brindle', born: '1971-01-26', occupation: 'tide-table printer', heightCm: 165, massKg: 73, region: 'hip-right', usual: 2, technique: 'sit-back',
		policyId: 'pain-monitored', frontOfKnee: false, goal: 'Low sofa at her sister’s', firstStep: 'raised-seat',
		ranges: { kneeFlexion: both(120, 130, 135), thighTrunkFlexion: { left: [118, 128, 134], right: [98, 114, 124] }, weightBearingDorsiflexion: both(33, 36, 38) }, ending: 'silent'
	}
];
