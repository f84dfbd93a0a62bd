/**
 * The movements of the measure sheet with their usual values, and the methods with their error. Literature from memory.
 * @source aaos-1965 handbook values, thoracolumbar 80, 25, 35, 45 (from memory); soucie-2011 by sex and age; roaas-1982 men 30–40; roach-1991 adults 25–74
 * @source konor-2012 lunge test; nawoczenski-1999 big toe in gait; common-practice sitting fold, straight-leg raise, by eye
 */
import { POSSIBLE_RANGE, type Axis } from '../core/body/axis.ts';
import type { Method, MethodId, RangeId, RangeKind, UsualValue } from '../core/measure/range-kind.ts';

const YOUNG = [20, 44] as const;
const OLDER = [45, 69] as const;
const aaos = (value: number): UsualValue => ({ value, source: 'aaos-1965' });
/** Female and male of the two adult bands. */
const soucie = (youngF: number, youngM: number, olderF: number, olderM: number): readonly UsualValue[] => [
	{ value: youngF, sex: 'female', ages: YOUNG, source: 'soucie-2011' },
	{ value: youngM, sex: 'male', ages: YOUNG, source: 'soucie-2011' },
	{ value: olderF, sex: 'female', ages: OLDER, source: 'soucie-2011' },
	{ value: olderM, sex: 'male', ages: OLDER, source: 'soucie-2011' }
];
const roaas = (value: number): UsualValue => ({ value, sex: 'male', ages: [30, 40], source: 'roaas-1982' });
const roach = (value: number): UsualValue => ({ value, ages: [25, 74], source: 'roach-1991' });
/** A movement of the back: inclinometer first, a goniometer has nothing to hold on to. */
const back = (
	id: RangeId,
	name: string,
	how: string,
	most: number,
	usual: number,
	midline?: true
): RangeKind => ({
	id,
	name,
	joint: 'back',
	how,
	possible: [0, most],
	axis: null,
	...(midline === undefined ? {} : { midline }),
	methods: ['inclinometer', 'device', 'by-eye'],
	usual: [aaos(usual)]
});
const ANGLE: readonly MethodId[] = ['goniometer', 'inclinometer', 'device', 'phone', 'by-eye'];

export const RANGES: Readonly<Record<RangeId, RangeKind>> = {
	hipFlexion: {
		id: 'hipFlexion',
		name: 'Hip bend',
		joint: 'hip',
		how: 'lying on the back, knee bent',
		possible: [-10, 150],
		axis: null,
		methods: ANGLE,
		usual: [aaos(120), ...soucie(133.8, 130.4, 130.8, 127.2), roaas(120), roach(121)]
	},
	hipExtension: {
		id: 'hipExtension',
		name: 'Hip back',
		joint: 'hip',
		how: 'lying on the front, or the leg over the edge',
		possible: [-30, 45],
		axis: 'hipExtension',
		signed: true,
		methods: ANGLE,
		usual: [aaos(30), ...soucie(18.1, 17.4, 16.7, 13.5), roaas(9), roach(19)]
	},
	hipAbduction: {
		id: 'hipAbduction',
		name: 'Hip out',
		joint: 'hip',
		how: 'lying, leg straight out to the side',
		possible: POSSIBLE_RANGE.hipAbduction,
		axis: 'hipAbduction',
		methods: ANGLE,
		usual: [aaos(45), roaas(39), roach(42)]
	},
	hipAdduction: {
		id: 'hipAdduction',
		name: 'Hip across',
		joint: 'hip',
		how: 'lying, leg past the midline',
		possible: [0, 50],
		axis: null,
		methods: ANGLE,
		usual: [aaos(30), roaas(31)]
	},
	hipInternalRotation: {
		id: 'hipInternalRotation',
		name: 'Hip turned in',
		joint: 'hip',
		how: 'hip and knee at 90°, foot swings out',
		possible: POSSIBLE_RANGE.hipInternalRotation,
		axis: 'hipInternalRotation',
		methods: ANGLE,
		usual: [aaos(45), roaas(33), roach(32)]
	},
	hipExternalRotation: {
		id: 'hipExternalRotation',
		name: 'Hip turned out',
		joint: 'hip',
		how: 'hip and knee at 90°, foot swings in',
		possible: POSSIBLE_RANGE.hipExternalRotation,
		axis: 'hipExternalRotation',
		methods: ANGLE,
		usual: [aaos(45), roaas(34), roach(32)]
	},
	thighTrunkFlexion: {
		id: 'thighTrunkFlexion',
		name: 'Sitting fold',
		joint: 'hip and trunk',
		how: 'sitting, folding forward; pelvis and back included',
		possible: POSSIBLE_RANGE.thighTrunkFlexion,
		axis: 'thighTrunkFlexion',
		methods: ['inclinometer', 'goniometer', 'device', 'by-eye'],
		usual: [{ value: 140, source: 'common-practice' }]
	},
	straightLegRaise: {
		id: 'straightLegRaise',
		name: 'Straight-leg raise',
		joint: 'hip',
		how: 'lying, knee straight, until the pelvis wants to roll',
		possible: [0, 130],
		axis: 'straightLegRaise',
		methods: ANGLE,
		usual: [{ value: 75, source: 'common-practice' }]
	},
	kneeFlexion: {
		id: 'kneeFlexion',
		name: 'Knee bend',
		joint: 'knee',
		how: 'lying, heel drawn to the buttock',
		possible: POSSIBLE_RANGE.kneeFlexion,
		axis: 'kneeFlexion',
		methods: ANGLE,
		usual: [aaos(135), ...soucie(141.9, 137.7, 137.8, 132.9), roaas(144), roach(132)]
	},
	kneeExtension: {
		id: 'kneeExtension',
		name: 'Knee straight',
		joint: 'knee',
		how: 'lying; minus lacks, plus goes beyond straight',
		possible: [-60, 25],
		axis: null,
		signed: true,
		methods: ANGLE,
		usual: [aaos(0), ...soucie(1.6, 1, 1.2, 0.5)]
	},
	weightBearingDorsiflexion: {
		id: 'weightBearingDorsiflexion',
		name: 'Ankle, weight on',
		joint: 'ankle',
		how: 'knee to wall, heel down',
		possible: POSSIBLE_RANGE.weightBearingDorsiflexion,
		axis: 'weightBearingDorsiflexion',
		readCm: true,
		methods: ['knee-to-wall'],
		usual: [{ value: 38.8, source: 'konor-2012' }]
	},
	ankleDorsiflexion: {
		id: 'ankleDorsiflexion',
		name: 'Ankle up, hanging',
		joint: 'ankle',
		how: 'foot free, knee slightly bent',
		possible: [-30, 35],
		axis: null,
		signed: true,
		methods: ANGLE,
		usual: [aaos(20), ...soucie(13.8, 12.7, 11.6, 11.9), roaas(15)]
	},
	anklePlantarflexion: {
		id: 'anklePlantarflexion',
		name: 'Ankle down',
		joint: 'ankle',
		how: 'foot free',
		possible: [0, 90],
		axis: null,
		methods: ANGLE,
		usual: [aaos(50), ...soucie(62.1, 54.6, 56.5, 49.4), roaas(40)]
	},
	bigToeExtension: {
		id: 'bigToeExtension',
		name: 'Big toe up',
		joint: 'big toe',
		how: 'standing or sitting, first ray held',
		possible: [0, 110],
		axis: 'bigToeExtension',
		methods: ANGLE,
		usual: [aaos(70), { value: 42, source: 'nawoczenski-1999' }]
	},
	forwardBow: {
		id: 'forwardBow',
		name: 'Bow, standing',
		joint: 'back',
		how: 'standing, bowing as far as the back lets it; lean of the trunk from upright',
		possible: POSSIBLE_RANGE.forwardBow,
		axis: 'forwardBow',
		midline: true,
		methods: ['inclinometer', 'device', 'by-eye'],
		usual: [{ value: 90, source: 'common-practice' }]
	},
	spineFlexion: back(
		'spineFlexion',
		'Back bent forward',
		'standing, at the lowest ribs less the sacrum',
		110,
		80,
		true
	),
	spineExtension: back(
		'spineExtension',
		'Back bent backward',
		'standing, hands on the hips, pelvis still',
		60,
		25,
		true
	),
	spineSideBend: back('spineSideBend', 'Side bend', 'standing, hand down the outside of the leg', 60, 35),
	spineRotation: back('spineRotation', 'Turning', 'sitting, arms crossed, pelvis held', 70, 45)
};

/** @source boone-1978 goniometer 3–5°, two testers 6° (from memory); konor-2012 lunge; common-practice the rest */
export const METHODS: Readonly<Record<MethodId, Method>> = {
	goniometer: { id: 'goniometer', name: 'goniometer', errorDeg: 4, realChangeDeg: 6, source: 'boone-1978' },
	inclinometer: {
		id: 'inclinometer',
		name: 'inclinometer',
		errorDeg: 3,
		realChangeDeg: 5,
		source: 'common-practice'
	},
	'knee-to-wall': {
		id: 'knee-to-wall',
		name: 'knee to wall, tape',
		errorDeg: 2,
		realChangeDeg: 3.8,
		source: 'konor-2012'
	},
	device: {
		id: 'device',
		name: 'digital inclinometer',
		errorDeg: 2,
		realChangeDeg: 4,
		source: 'common-practice'
	},
	phone: {
		id: 'phone',
		name: 'phone laid on the limb',
		errorDeg: 4,
		realChangeDeg: 6,
		source: 'common-practice'
	},
	'by-eye': { id: 'by-eye', name: 'by eye', errorDeg: 10, realChangeDeg: 15, source: 'common-practice' }
};

/** What older rows called their method. */
const OLD_METHOD: Readonly<Record<string, MethodId>> = {
	'knee to wall': 'knee-to-wall',
	'inclinometer, sitting': 'inclinometer'
};
/** The method of a stored row; an unknown one errs like reading by eye. */
export const methodOf = (stored: string): Method =>
	METHODS[OLD_METHOD[stored] ?? (stored as MethodId)] ?? { ...METHODS['by-eye'], name: stored };

export const rangeOfAxis = (axis: Axis): RangeKind => RANGES[axis];
