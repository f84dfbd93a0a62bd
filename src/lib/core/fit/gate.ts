/**
 * Is a gate met? Judged against what the record shows the client has done: the best clean work, holds, faults, what was felt, by step
 * and side. Sides are asked apart: a hold counts when both have shown it.
 */
import { SIDES, type Side } from '../body/axis.ts';
import type { Muscle } from '../body/muscle.ts';
import type { Clearance, Dose, Gate } from '../exercise/family.ts';
import type { GateOfStep } from '../exercise/gate-of-step.ts';
import type { Technique } from '../posture/problem.ts';

/** What one session, or one test, showed of a step. */
export interface Shown {
	readonly step: string;
	readonly side: Side | 'both';
	/** Clean reps of each set in one session; seconds where the step counts seconds. */
	readonly cleanReps: readonly number[];
	readonly effortMax: number | undefined;
	/** The leg that is not treated: it answers for holds and for comparing sides, never in place of the treated one. */
	readonly untreated?: true;
	/** Share of sets in which each fault was seen; left out when form was not watched. */
	readonly faults?: Readonly<Record<string, number>>;
	readonly felt?: boolean;
	/** The muscles it was felt in; left out where that was not asked. */
	readonly feltIn?: readonly Muscle[];
	/** The joint it was felt in, `none` where that was asked and in none; left out where it was not asked. */
	readonly joint?: string;
	/** Pain at its worst in the treated region, and how much of it is calm: the larger of usual and safe that day. */
	readonly pain?: number;
	readonly calm?: number;
	readonly confidence?: number;
}

export interface GateFacts {
	readonly technique?: Technique;
	readonly clearances?: readonly Clearance[];
	/** The dose a step ends at, for gates that ask it mastered. */
	readonly targetOf?: (step: string) => Dose | undefined;
}

export interface GateState {
	readonly gate: Gate;
	readonly met: boolean;
	/** What has been shown so far, for the sentence. */
	readonly shown: string;
}

const NOT_YET = 'not done yet';
/** A fault in fewer sets than this is none. @source practice-setting */
const FAULT_FREE = 0.25;

const best = (on: readonly Shown[]): number => on.reduce((m, s) => Math.max(m, ...s.cleanReps), 0);
const setsOf = (s: Shown, reps: number): number => s.cleanReps.filter((r) => r >= reps).length;

function cleanReps(gate: Gate, on: readonly Shown[], sets: number, reps: number): GateState {
	const done = on.reduce((m, s) => Math.max(m, setsOf(s, reps)), 0);
	return {
		gate,
		met: done >= sets,
		shown: on.length === 0 ? NOT_YET : `${done}×${reps} (best set ${best(on)})`
	};
}

/** Seconds held on each side; a session of both sides speaks for both. */
function held(gate: Gate & { readonly kind: 'held' }, on: readonly Shown[]): GateState {
	const of = (side: Side): number => best(on.filter((s) => s.side === side || s.side === 'both'));
	const [left, right] = SIDES.map(of) as [number, number];
	const text =
		left === right
			? `${Math.floor(left)} s both sides`
			: `left ${Math.floor(left)} s, right ${Math.floor(right)} s`;
	return { gate, met: left >= gate.sec && right >= gate.sec, shown: on.length === 0 ? NOT_YET : text };
}

function sidesWithin(gate: Gate & { readonly kind: 'sides-within' }, on: readonly Shown[]): GateState {
	const most = (side: Side): number =>
		on
			.filter((s) => s.side === side)
			.reduce(
				(m, s) =>
					Math.max(
						m,
						s.cleanReps.reduce((a, b) => a + b, 0)
					),
				0
			);
	const [l, r] = [most('left'), most('right')];
	const share = Math.max(l, r) === 0 ? 0 : Math.min(l, r) / Math.max(l, r);
	return { gate, met: share >= gate.share, shown: `${Math.round(100 * share)} % (left ${l}, right ${r})` };
}

/** Of several ways one is enough; what is nearest is not guessed at: each says what was shown. */
function anyOf(
	gate: Gate & { readonly kind: 'any-of' },
	shown: readonly Shown[],
	facts: GateFacts
): GateState {
	const each = gate.gates.map((g) => gateState(g, shown, facts));
	const met = each.find((s) => s.met);
	return { gate, met: met !== undefined, shown: met?.shown ?? each.map((s) => s.shown).join(' · ') };
}

/** Only a yes opens: not asked is no yes, neither of the muscle that is named nor of a joint that has to be free of it. */
function feltIn(gate: Gate & { readonly kind: 'felt' }, on: readonly Shown[]): GateState {
	const say = (shown: string, met = false): GateState => ({ gate, met, shown });
	const last = on.filter((s) => s.felt !== undefined || s.feltIn !== undefined).pop();
	if (last === undefined) return say('not asked yet');
	if (last.felt === false) return say('not felt');
	if (gate.muscle !== undefined) {
		if (last.feltIn === undefined) return say('felt; in which muscle was not asked');
		if (!last.feltIn.includes(gate.muscle)) return say('felt elsewhere');
	} else if (last.felt !== true) return say('not asked yet');
	if (gate.jointFree === true && last.joint === undefined)
		return say('felt; whether in a joint too was not asked');
	return gate.jointFree === true && last.joint !== 'none'
		? say(`felt in the ${last.joint} too`)
		: say('felt', true);
}

function painAtMost(gate: Gate & { readonly kind: 'pain-at-most' }, on: readonly Shown[]): GateState {
	const last = on.filter((s) => s.pain !== undefined).pop();
	const most = gate.most ?? last?.calm;
	if (last?.pain === undefined || most === undefined) return { gate, met: false, shown: 'not told yet' };
	return { gate, met: last.pain <= most, shown: `${last.pain}, at most ${most}` };
}

function mastered(gate: Of<'mastered'>, on: readonly Shown[], facts: GateFacts): GateState {
	const target = facts.targetOf?.(gate.step);
	return target === undefined
		? { gate, met: false, shown: NOT_YET }
		: cleanReps(gate, on, target.sets, target.reps);
}

function easyReps(gate: Of<'easy-reps'>, on: readonly Shown[]): GateState {
	const isEasy = (s: Shown): boolean => s.effortMax !== undefined && s.effortMax <= gate.effortMax;
	const met = on.some((s) => isEasy(s) && s.cleanReps.some((r) => r >= gate.reps));
	return { gate, met, shown: on.length === 0 ? NOT_YET : `best set ${best(on)}` };
}

function faultFree(gate: Of<'fault-free'>, on: readonly Shown[]): GateState {
	const last = on.filter((s) => s.faults !== undefined).pop();
	if (last === undefined) return { gate, met: false, shown: 'form not watched yet' };
	const share = last.faults?.[gate.fault] ?? 0;
	return share < FAULT_FREE
		? { gate, met: true, shown: 'free of it' }
		: { gate, met: false, shown: `seen in ${Math.round(100 * share)} % of sets` };
}

function confident(gate: Of<'confidence'>, on: readonly Shown[]): GateState {
	const told = on.filter((s) => s.confidence !== undefined).pop()?.confidence;
	return told === undefined
		? { gate, met: false, shown: 'not asked yet' }
		: { gate, met: told >= gate.least, shown: `${told} of 10` };
}

function clearance(gate: Of<'clearance'>, facts: GateFacts): GateState {
	const met = facts.clearances?.includes(gate.what) === true;
	return { gate, met, shown: met ? 'cleared' : 'not cleared' };
}

type Of<K extends Gate['kind']> = Gate & { readonly kind: K };

export function gateState(gate: Gate, shown: readonly Shown[], facts: GateFacts = {}): GateState {
	switch (gate.kind) {
		case 'any-of':
			return anyOf(gate, shown, facts);
		case 'technique':
			return { gate, met: facts.technique === gate.technique, shown: facts.technique ?? 'ordinary rise' };
		case 'clearance':
			return clearance(gate, facts);
		case 'stage':
			// Judged with the course; a stage by itself is not met.
			return { gate, met: false, shown: NOT_YET };
		default:
			return shownOn(gate, shown, facts);
	}
}

/** Gates that ask what was shown on a step: by the treated side, but where both are compared. */
function shownOn(gate: GateOfStep, shown: readonly Shown[], facts: GateFacts): GateState {
	const all = shown.filter((s) => s.step === gate.step);
	const on = all.filter((s) => s.untreated !== true);
	switch (gate.kind) {
		case 'clean-reps':
			return cleanReps(gate, on, gate.sets, gate.reps);
		case 'mastered':
			return mastered(gate, on, facts);
		case 'easy-reps':
			return easyReps(gate, on);
		case 'held':
			return held(gate, all);
		case 'sides-within':
			return sidesWithin(gate, all);
		case 'fault-free':
			return faultFree(gate, on);
		case 'felt':
			return feltIn(gate, on);
		case 'pain-at-most':
			return painAtMost(gate, on);
		case 'confidence':
			return confident(gate, on);
	}
}
