/** Codes to the trade's own words. */
import { type Axis, isMidline, type Side } from '#lib/core/body/axis.ts';
import type { Technique } from '#lib/core/posture/problem.ts';
import type { Decision } from '#lib/core/decision/trace.ts';
import type { Equipment, Position, Purpose } from '#lib/core/exercise/family.ts';
import type { Verdict } from '#lib/core/fit/fit.ts';

export const AXIS_NAME: Readonly<Record<Axis, string>> = {
	kneeFlexion: 'Knee bend',
	thighTrunkFlexion: 'Sitting fold',
	weightBearingDorsiflexion: 'Ankle, weight on',
	straightLegRaise: 'Straight-leg raise',
	hipExtension: 'Hip back',
	bigToeExtension: 'Big toe up',
	hipAbduction: 'Hip out',
	hipInternalRotation: 'Hip turned in',
	hipExternalRotation: 'Hip turned out',
	forwardBow: 'Bow, standing'
};

/** A range within a sentence. The joint alone would not do: four ranges are of the hip. */
export const rangeIn = (axis: Axis): string => AXIS_NAME[axis].toLowerCase();

export const AXIS_HOW: Readonly<Record<Axis, string>> = {
	kneeFlexion: 'lying, heel drawn to the buttock',
	thighTrunkFlexion: 'sitting, folding forward; pelvis and back included',
	weightBearingDorsiflexion: 'knee to wall, heel down',
	straightLegRaise: 'lying, knee straight, until the pelvis wants to roll',
	hipExtension: 'lying on the front, or the leg over the edge',
	bigToeExtension: 'standing or sitting, first ray held',
	hipAbduction: 'lying, leg straight out to the side',
	hipInternalRotation: 'hip and knee at 90°, foot swings out',
	hipExternalRotation: 'hip and knee at 90°, foot swings in',
	forwardBow: 'standing, lean of the trunk from upright'
};

export const JOINT_NAME: Readonly<Record<Axis, string>> = {
	kneeFlexion: 'knee',
	thighTrunkFlexion: 'hip',
	weightBearingDorsiflexion: 'ankle',
	straightLegRaise: 'back of the thigh',
	hipExtension: 'hip',
	bigToeExtension: 'big toe',
	hipAbduction: 'hip',
	hipInternalRotation: 'hip',
	hipExternalRotation: 'hip',
	forwardBow: 'back'
};

export const TECHNIQUE_NAME: Readonly<Record<Technique | 'ordinary', string>> = {
	ordinary: 'Ordinary rise',
	'sit-back': 'Sit back',
	parallel: 'Parallel',
	'knee-forward': 'Knees forward',
	stacked: 'Stacked'
};

export const POLICY_NAME: Readonly<Record<string, string>> = {
	'pain-free': 'Pain-free',
	'pain-monitored': 'Pain-monitored',
	tendon: 'Tendon',
	quota: 'Quota'
};

export const DECISION_WORD: Readonly<Record<Decision, string>> = {
	advance: 'Advance',
	hold: 'Hold',
	wait: 'Wait',
	regress: 'Regress',
	stop: 'Stop',
	refer: 'Refer'
};

export const VERDICT_WORD: Readonly<Record<Verdict, string>> = {
	fits: 'fits',
	'set-up': 'set up',
	watch: 'watch',
	blocked: 'blocked',
	unmeasured: 'not measured'
};

export const CHECK_NAME: Readonly<Record<string, string>> = {
	kneeFlexion: 'knee bend',
	thighTrunkFlexion: 'sitting fold',
	weightBearingDorsiflexion: 'ankle',
	trunkLean: 'trunk lean',
	kneePastToe: 'knee past toes',
	comAheadOfHeelLimit: 'balance over the heel',
	comBehindToeLimit: 'balance over the toes',
	reach: 'leg length',
	anatomicalKnee: 'the knee’s own end',
	straightLegRaise: 'back of the thigh',
	hipExtension: 'hip going back',
	bigToeExtension: 'big toe',
	forwardBow: 'bow'
};

export const PURPOSE_NAME: Readonly<Record<string, string>> = {
	'thigh-front': 'front of the thigh',
	'thigh-back': 'back of the thigh',
	buttock: 'buttock',
	'hip-side': 'side of the hip',
	'hip-inner': 'inside of the hip',
	calf: 'calf',
	trunk: 'trunk',
	balance: 'balance',
	power: 'power',
	mobility: 'mobility',
	'warm-up': 'warming up',
	relief: 'relief in a flare',
	'sit-to-stand': 'standing up from a chair',
	stairs: 'stairs',
	lifting: 'picking things up',
	floor: 'to the floor and back',
	walking: 'walking',
	running: 'running and landing'
} satisfies Record<Purpose, string>;

export const EQUIPMENT_NAME: Readonly<Record<Equipment, string>> = {
	chair: 'chair',
	counter: 'counter or rail',
	wall: 'wall',
	step: 'step',
	band: 'band',
	weight: 'weight',
	'household-weight': 'bag or bottles',
	wedge: 'heel wedge',
	pillow: 'pillow',
	towel: 'towel',
	stick: 'stick',
	bench: 'bench',
	bolster: 'roll under the knee',
	ball: 'ball',
	roller: 'roller',
	bar: 'bar',
	cuff: 'weight cuff',
	'extension-machine': 'leg extension machine',
	'curl-machine': 'leg curl machine',
	'leg-press': 'leg press',
	straps: 'straps to hang the feet in',
	block: 'block',
	vest: 'weight vest',
	'toe-wedge': 'wedge for the toes',
	bed: 'bed or couch'
};

export const POSITION_NAME: Readonly<Record<Position, string>> = {
	kneeling: 'kneeling',
	prone: 'lying on the front',
	'side-lying': 'lying on the side',
	'floor-transfer': 'down to the floor and back',
	'weight-on-hands': 'weight on hands or forearms'
};

/** `knee-right` → `right knee`; `back` → `back`. */
export function regionName(region: string): string {
	const [part, side] = region.split('-');
	return side === undefined ? (part as string) : `${side} ${part}`;
}

export const SYMPTOM_NAME: Readonly<Record<string, string>> = {
	locking: 'locking',
	catching: 'catching',
	'giving-way': 'giving way',
	'sharp-with-loss': 'sharp pain with loss of movement',
	radiating: 'pain spreading further down',
	numbness: 'numbness',
	weakness: 'weakness',
	leakage: 'leakage',
	dizziness: 'dizziness',
	faintness: 'faintness',
	'chest-pain': 'chest pain',
	breathless: 'new breathlessness',
	tingling: 'tingling, gone within minutes of moving',
	'face-arm-speech': 'face, arm or speech suddenly changed',
	'cold-limb': 'a cold, pale foot or tense lower leg',
	'calf-swelling': 'one calf newly swollen, tender or warm',
	'pop-and-swelling': 'a pop, then swelling within hours',
	'no-straight-raise': 'leg cannot be lifted straight',
	wound: 'wound red, leaking or opening',
	'pregnancy-stop': 'pregnant: bleeding, fluid loss or contractions'
};

/** "left " before the name of an axis; nothing where there is only one of it. */
export const sideBefore = (axis: Axis, side: Side | undefined): string =>
	side === undefined || isMidline(axis) ? '' : `${side} `;
export const sideWord = (side: Side): string => (side === 'left' ? 'Left' : 'Right');
