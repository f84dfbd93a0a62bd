/**
 * Function tests as nouns: what is done, what is written down, how it is scored, and which numbers follow from it. Times in seconds,
 * counts in repetitions, distances in m or cm, force in N. Classes are read off published norms, which come in as data.
 */
import type { Better } from './symmetry.ts';
import type { ChangeRule } from './change.ts';
import { conflicting, readNorm, type Norm, type Person, type Reading } from './norm.ts';

export const TEST_GROUPS = [
	'at rest',
	'rising and walking',
	'balance',
	'endurance',
	'hops and reach',
	'strength',
	'trunk'
] as const;
export type TestGroup = (typeof TEST_GROUPS)[number];

/** One more number or tick that a test needs. */
export interface Extra {
	readonly id: string;
	readonly label: string;
	readonly unit: string;
	readonly possible: readonly [number, number];
	readonly needed?: true;
	/** A yes-or-no fact: 1 or 0. */
	readonly tick?: true;
}

export interface TestSpec {
	readonly id: string;
	readonly title: string;
	readonly group: TestGroup;
	readonly unit: 's' | 'reps' | 'm' | 'cm' | 'N' | 'points' | 'mmHg';
	readonly better: Better;
	readonly sided: boolean;
	/** How it is taken: with the timer, the counter, or typed. */
	readonly take: 'timer' | 'counter' | 'typed' | 'force';
	readonly possible: readonly [number, number];
	readonly whole?: true;
	/** Readings above it count as it: the clock is stopped there. */
	readonly ceiling?: number;
	readonly protocol: readonly string[];
	readonly caution?: string;
	readonly extras: readonly Extra[];
	readonly norms: readonly Norm[];
	readonly changes: readonly ChangeRule[];
	readonly sources: readonly string[];
}

export type Extras = Readonly<Record<string, number | undefined>>;

export interface TestPerson extends Person {
	readonly heightCm: number;
	readonly massKg: number;
}

/** The score that counts: hands used in a chair stand score nothing; a stance is stopped at its ceiling. */
export function scored(spec: TestSpec, value: number, extras: Extras): number {
	if (extras.hands === 1 && spec.id === 'chair-stand-30s') return 0;
	return spec.ceiling === undefined ? value : Math.min(value, spec.ceiling);
}

const G = 9.81;

/** What follows from a reading, by name. Absent where something it needs is absent. */
export function derived(
	spec: TestSpec,
	value: number,
	x: Extras,
	who: TestPerson
): Readonly<Record<string, number>> {
	// NaN, where a number it is made of was not given, follows through.
	const of = (name: string): number => x[name] ?? NaN;
	const all = {
		...DERIVED[spec.id]?.(value, of, who),
		...(spec.unit === 'N' ? ofForce(value, of, who) : {})
	};
	return Object.fromEntries(Object.entries(all).filter(([, n]) => Number.isFinite(n)));
}

type Derive = (value: number, of: (name: string) => number, who: TestPerson) => Record<string, number>;

/** Of a push or a pull: against the body's weight, and about the joint where the lever was measured. */
const ofForce: Derive = (value, of, who) => ({
	bodyWeightPercent: (100 * value) / (who.massKg * G),
	torque: (value * of('leverCm')) / 100,
	torquePerKg: (value * of('leverCm')) / 100 / who.massKg
});

const DERIVED: Readonly<Record<string, Derive>> = {
	'walk-40m': (value) => ({ speed: 40 / value }),
	'gait-4m': (value) => ({ speed: 4 / value, points: gaitPoints(value) }),
	'sit-to-stand-5x': (value) => ({ points: chairPoints(value) }),
	'four-stage-balance': (value, of) => {
		const [first, second] = [of('sideBySide'), of('semiTandem')];
		return { points: Number.isNaN(first + second) ? NaN : balancePoints(first, second, value) };
	},
	'stair-climb': (_, of, who) => ({
		power: stairPower(who.massKg, (of('steps') * of('riseCm')) / 100, of('upSec'))
	}),
	'six-minute-walk': (value, _, who) => {
		const p = predictedWalk(who);
		return p === undefined
			? {}
			: {
					predicted: p.metres,
					overLowerLimit: value - p.lowerLimit,
					percentOfPredicted: (100 * value) / p.metres
				};
	},
	reach: (value, of) => ({
		composite: reachComposite(value, of('posteromedial'), of('posterolateral'), of('limbCm'))
	})
};

export interface Judged {
	readonly test: string;
	readonly value: number;
	readonly derived: Readonly<Record<string, number>>;
	readonly readings: readonly Reading[];
	/** Sources that speak of this person disagree. */
	readonly conflict: boolean;
}

/** Reads every norm of a test for one person. */
export function judgeTest(spec: TestSpec, raw: number, extras: Extras, who: TestPerson): Judged {
	const value = scored(spec, raw, extras);
	const more = derived(spec, value, extras, who);
	const readings = spec.norms.map((n) => readNorm(n, n.of === undefined ? value : more[n.of], who));
	return { test: spec.id, value, derived: more, readings, conflict: conflicting(readings) };
}

/** Chair points of the short battery; undefined time is unable. @source guralnik-1994 edges (from memory) */
export function chairPoints(seconds: number | undefined): number {
	if (seconds === undefined || seconds > 60) return 0;
	return seconds < 11.2 ? 4 : seconds < 13.7 ? 3 : seconds < 16.7 ? 2 : 1;
}

/** Points of a 4 m walk. @source guralnik-1994 (from memory) */
export function gaitPoints(seconds: number | undefined): number {
	if (seconds === undefined) return 0;
	return seconds < 4.82 ? 4 : seconds <= 6.2 ? 3 : seconds <= 8.7 ? 2 : 1;
}

/** Points of the three stances, seconds held. @source guralnik-1994 (from memory) */
export function balancePoints(sideBySide: number, semiTandem: number, tandem: number): number {
	const t = tandem >= 10 ? 2 : tandem >= 3 ? 1 : 0;
	if (sideBySide < 10) return 0;
	return semiTandem < 10 ? 1 : 2 + t;
}

/** Watts of climbing h metres in t seconds: m·g·h/t. */
export const stairPower = (massKg: number, riseM: number, seconds: number): number =>
	(massKg * G * riseM) / seconds;

/**
 * Predicted six-minute distance and the lower limit of normal, m; only for 40–80 years and a known sex.
 * @source enright-1998 (from memory)
 */
export function predictedWalk({
	age,
	sex,
	heightCm,
	massKg
}: TestPerson): { readonly metres: number; readonly lowerLimit: number } | undefined {
	if (sex === null || age < 40 || age > 80) return undefined;
	const metres =
		sex === 'male'
			? 7.57 * heightCm - 5.02 * age - 1.76 * massKg - 309
			: 2.11 * heightCm - 2.29 * massKg - 5.78 * age + 667;
	return { metres, lowerLimit: metres - (sex === 'male' ? 153 : 139) };
}

/** Reach in three directions over three limb lengths, per cent. @source plisky-2006 (from memory) */
export const reachComposite = (
	anterior: number,
	posteromedial: number,
	posterolateral: number,
	limbCm: number
): number => (100 * (anterior + posteromedial + posterolateral)) / (3 * limbCm);

/** Difference of forward reach, cm: more than 4 by one source, 4 or more by another. @source plisky-2006; smith-2015 (from memory) */
export function forwardReachDifference(
	left: number,
	right: number
): { readonly cm: number; readonly plisky: boolean; readonly smith: boolean } {
	const cm = Math.round(1000 * Math.abs(left - right)) / 1000;
	return { cm, plisky: cm > 4, smith: cm >= 4 };
}
