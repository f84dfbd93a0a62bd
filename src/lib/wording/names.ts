/** Codes to the trade's own words. */
import type { Axis, Side } from '#lib/core/body/axis.ts';
import type { Technique } from '#lib/core/posture/problem.ts';
import type { Decision } from '#lib/core/decision/trace.ts';
import type { Verdict } from '#lib/core/fit/fit.ts';

export const AXIS_NAME: Readonly<Record<Axis, string>> = {
	kneeFlexion: 'Knee bend',
	thighTrunkFlexion: 'Sitting fold',
	weightBearingDorsiflexion: 'Ankle, weight on'
};

export const AXIS_HOW: Readonly<Record<Axis, string>> = {
	kneeFlexion: 'lying, heel drawn to the buttock',
	thighTrunkFlexion: 'sitting, folding forward; pelvis and back included',
	weightBearingDorsiflexion: 'knee to wall, heel down'
};

export const JOINT_NAME: Readonly<Record<Axis, string>> = { kneeFlexion: 'knee', thighTrunkFlexion: 'hip', weightBearingDorsiflexion: 'ankle' };

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
	anatomicalKnee: 'the knee’s own end'
};

export const PURPOSE_NAME: Readonly<Record<string, string>> = {
	'sit-to-stand': 'standing up from a chair',
	stairs: 'stairs',
	lifting: 'picking things up'
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
	breathless: 'new breathlessness'
};

export const sideWord = (side: Side): string => (side === 'left' ? 'Left' : 'Right');
