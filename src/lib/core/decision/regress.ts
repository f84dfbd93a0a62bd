/**
 * Which way to regress: the cause in the record, then the cheapest dial that answers it; one dial, one notch. The third
 * regression in a family within 21 days without an advance sets the exercise aside for a substitute of the same purpose.
 * @source common-practice
 */
import { dayNumber } from '../base/calendar-day.ts';
import { doseText, gentlerDose, type PrescribedDose } from '../dose/dose.ts';
import { lengthIn, type SolvedSetup } from '../movement/context.ts';
import type { Cause } from '../exercise/family.ts';
import type { Session } from '../session/record.ts';
import { placeNow, prescribedNow } from './advance.ts';
import type { Facts } from './facts.ts';
import type { NotchOption } from './input.ts';
import { LOSES_POSITION } from './lost-position.ts';
import type { ProposedChange } from './trace.ts';

export type { Cause };

type Way =
	| 'depth'
	| 'load'
	| 'load-or-support'
	| 'support'
	| 'dose'
	| 'frequency'
	| 'clean-reps'
	| 'wedge'
	| 'base'
	| 'pause'
	| 'attention'
	| 'easier'
	| 'back-in'
	| 'set-aside';

/** For each cause the ways that answer it, cheapest first; each list ends with one that always changes something. */
const WAYS: Readonly<Record<Cause, readonly Way[]>> = {
	'pain-late': ['pause', 'depth', 'load-or-support', 'easier', 'dose', 'set-aside'],
	'pain-early': ['load-or-support', 'dose', 'easier', 'set-aside'],
	'pain-loaded': ['load', 'dose', 'easier', 'set-aside'],
	pain: ['load', 'depth', 'dose', 'easier', 'set-aside'],
	morning: ['dose', 'frequency'],
	leakage: ['load', 'easier', 'set-aside'],
	form: ['clean-reps', 'depth', 'easier', 'dose', 'set-aside'],
	tired: ['dose', 'pause', 'easier', 'set-aside'],
	guarding: ['depth', 'easier', 'dose', 'set-aside'],
	wobble: ['support', 'base', 'attention', 'easier', 'dose', 'set-aside'],
	'knee-drift': ['depth', 'load', 'support', 'easier', 'dose', 'set-aside'],
	heel: ['wedge', 'depth', 'easier', 'dose', 'set-aside'],
	back: ['depth', 'load', 'easier', 'dose', 'set-aside'],
	arching: ['load', 'easier', 'clean-reps', 'dose', 'set-aside'],
	trunk: ['load', 'dose', 'easier', 'set-aside'],
	landing: ['easier', 'dose', 'set-aside'],
	joint: ['depth', 'easier', 'dose', 'set-aside'],
	away: ['back-in', 'dose', 'set-aside'],
	'away-long': ['easier', 'back-in', 'dose', 'set-aside']
};

/** What a dial is turned by, where it is one that a prescription has. */
const WAY_OF_DIAL: Readonly<Record<string, Way>> = {
	depth: 'depth',
	surface: 'depth',
	load: 'load',
	support: 'support',
	base: 'base',
	tempo: 'pause',
	attention: 'attention',
	lever: 'easier',
	position: 'easier',
	impact: 'easier',
	dose: 'clean-reps'
};

/** Causes of faults for inputs that do not name them. */
const FAULT_CAUSE: Readonly<Record<string, Cause>> = {
	'knee-drifts-in': 'knee-drift',
	'knee-leads': 'knee-drift',
	'heel-lifts': 'heel',
	'pelvis-tucks': 'back',
	'back-rounds': 'back',
	'back-arches': 'arching',
	'trunk-tips': 'trunk',
	'segmented-rise': 'trunk',
	'momentum-cheat': 'back',
	'trunk-twists': 'wobble',
	'pelvis-drops': 'wobble',
	'loses-balance': 'wobble',
	'breath-held': 'trunk',
	rushed: 'form'
};

export const causeOfFault = (fault: string): Cause => FAULT_CAUSE[fault] ?? 'form';

/** Cause of a painful set, from where in the movement it hurt. */
export function causeOfPain(s: Session): Cause {
	if (s.painOnlyLoaded === true) return 'pain-loaded';
	if (s.painAt === 'late') return 'pain-late';
	return s.painAt === undefined || s.painAt === 'middle' || s.painAt === 'return' ? 'pain' : 'pain-early';
}

const SET_ASIDE_AFTER = 2;
const SET_ASIDE_DAYS = 21;

/** The change that answers a cause; the dial that the record names is tried first. */
export function wayToRegress(f: Facts, cause: Cause, dial?: string): ProposedChange {
	const now = prescribedNow(f);
	if (regressionsInARow(f) >= SET_ASIDE_AFTER && cause !== 'away' && cause !== 'away-long')
		return setAside(f);
	const first = dial === undefined ? undefined : WAY_OF_DIAL[dial];
	for (const way of [...(first === undefined ? [] : [first]), ...WAYS[cause]]) {
		const change = TRY[way](f, cause);
		if (change !== null) return change;
	}
	return { kind: 'frequency', dial: 'frequency', from: null, to: -1, result: now };
}

const setAside = (f: Facts): ProposedChange => ({
	kind: 'set-aside',
	dial: 'family',
	from: f.input.exercise.step,
	to: f.input.exercise.purpose,
	result: prescribedNow(f)
});

/** A fifth of the load and a set fewer, for the first session back. @source practice-setting */
const BACK_IN_SHARE = 0.8;

function backIn(f: Facts): ProposedChange | null {
	const { dose, rackKg } = f.input.exercise;
	const most = dose.loadKg * BACK_IN_SHARE;
	const lighter =
		dose.loadKg <= 0
			? 0
			: ([0, ...(rackKg ?? [most])].filter((kg) => kg <= most + 1e-9).sort((a, b) => b - a)[0] ?? 0);
	const less = {
		...(dose.sets > 1 ? { ...dose, sets: dose.sets - 1 } : (gentlerDose(dose) ?? dose)),
		loadKg: lighter
	};
	return lessOf(f, doseText(less) === doseText(dose) ? null : less);
}

/** Regressions within 21 days with no advance between them. */
function regressionsInARow(f: Facts): number {
	const recent = f.input.changes
		.filter((c) => f.todayN - dayNumber(c.date) <= SET_ASIDE_DAYS && dayNumber(c.date) <= f.todayN)
		.sort((a, b) => dayNumber(a.date) - dayNumber(b.date));
	return recent.reduce((n, c) => (c.kind === 'regress' ? n + 1 : c.kind === 'advance' ? 0 : n), 0);
}

/** A notch of the gentler ones that the record names: on the step's own length, or on a step before it. */
function notch(f: Facts, dial: string, kind: 'dial' | 'step'): ProposedChange | null {
	const now = prescribedNow(f);
	const option = f.input.exercise.gentler?.find(
		(o) =>
			(o.step !== undefined) === (kind === 'step') &&
			o.back !== true &&
			(dial === '' || o.dial === dial) &&
			!(f.input.exercise.frontOfKneeSore === true && higherWedge(o, now.setup))
	);
	if (option === undefined) return null;
	const setup = option.setup ?? now.setup;
	return {
		kind: option.choice === undefined ? kind : 'choice',
		dial: option.choice ?? option.dial,
		from:
			kind === 'step'
				? now.step
				: option.choice === undefined
					? lengthOf(now.setup)
					: placeNow(now, option.choice),
		to: option.to,
		result: { step: option.step ?? now.step, dose: now.dose, ...(setup === undefined ? {} : { setup }) }
	};
}

/** A higher wedge loads the front of the knee more: never relief where that is the sore place. */
const higherWedge = (o: NotchOption, now: SolvedSetup | undefined): boolean =>
	o.step === undefined && (o.setup?.heelWedgeCm ?? 0) > (now?.heelWedgeCm ?? 0);

const eitherNotch = (f: Facts, dial: string, cause: Cause): ProposedChange | null =>
	notch(f, dial, 'dial') ?? wayBack(f, cause) ?? notch(f, dial, 'step');

/** The first way back that suits what it comes from. One that leads to another ladder sets the exercise aside and names it: it is another exercise. */
function wayBack(f: Facts, cause: Cause): ProposedChange | null {
	const option = f.input.exercise.gentler?.find(
		(o) => o.back === true && (o.causes === undefined || o.causes.includes(cause))
	);
	if (option?.step === undefined) return null;
	const now = prescribedNow(f);
	if (option.family !== undefined)
		return { kind: 'set-aside', dial: 'way-back', from: now.step, to: option.step, result: now };
	const { setup } = option;
	return {
		kind: 'step',
		dial: option.dial,
		from: now.step,
		to: option.step,
		result: { step: option.step, dose: now.dose, ...(setup === undefined ? {} : { setup }) }
	};
}

/** A smaller dose of the same step; null where there is none. */
function lessOf(f: Facts, less: PrescribedDose | null): ProposedChange | null {
	const now = prescribedNow(f);
	return less === null
		? null
		: {
				kind: 'dose',
				dial: 'dose',
				from: doseText(now.dose),
				to: doseText(less),
				result: { ...now, dose: less }
			};
}

/** The next lighter weight of the rack; null where nothing is carried. */
function lighter(f: Facts): ProposedChange | null {
	const now = prescribedNow(f);
	const { dose } = now;
	if (dose.loadKg <= 0) return null;
	const below = [0, ...(f.input.exercise.rackKg ?? [])].filter((kg) => kg < dose.loadKg);
	const loadKg = Math.max(...below);
	return {
		kind: 'dose',
		dial: 'load',
		from: dose.loadKg,
		to: loadKg,
		result: { ...now, dose: { ...dose, loadKg } }
	};
}

const LEAST_CLEAN = 3;
/** Where the position was lost, sets of one or two are sets, and there may be more of them: not more work in all. @source common-practice */
const MOST_SETS = 5;

/** As many repetitions as were clean. */
function cleanOnly(f: Facts): ProposedChange | null {
	const { dose } = prescribedNow(f);
	const clean = Math.min(...(f.last?.sets ?? []).map((s) => s.cleanReps ?? Infinity));
	const lost = (f.last?.faults?.[LOSES_POSITION] ?? 0) > 0;
	if (!(clean < dose.reps) || clean < (lost ? 1 : LEAST_CLEAN)) return null;
	const most = Math.min(MOST_SETS, Math.floor((dose.sets * dose.reps) / clean));
	return lessOf(f, { ...dose, reps: clean, sets: lost ? Math.max(dose.sets, most) : dose.sets });
}

/** Shallower, or higher. The front of a sore knee is not answered by it where the record names no notch. */
function shallower(f: Facts): ProposedChange | null {
	const { frontOfKneeSore, gentler } = f.input.exercise;
	if (frontOfKneeSore === true && gentler === undefined) return null;
	return notch(f, 'depth', 'dial') ?? notch(f, 'surface', 'dial');
}

/** Of a heel that lifts; where the front of the knee is sore, other ways are taken. */
function wedge(f: Facts): ProposedChange | null {
	const now = prescribedNow(f).setup;
	const higher = f.input.exercise.gentler?.some((o) => higherWedge(o, now)) === true;
	return higher ? notch(f, 'surface', 'dial') : null;
}

const TRY: Readonly<Record<Way, (f: Facts, cause: Cause) => ProposedChange | null>> = {
	depth: shallower,
	wedge,
	support: (f, cause) => eitherNotch(f, 'support', cause),
	base: (f, cause) => eitherNotch(f, 'base', cause),
	pause: (f) => notch(f, 'tempo', 'dial'),
	attention: (f) => notch(f, 'attention', 'dial'),
	load: lighter,
	'load-or-support': (f, cause) => lighter(f) ?? eitherNotch(f, 'support', cause),
	dose: (f) => lessOf(f, gentlerDose(f.input.exercise.dose)),
	'clean-reps': cleanOnly,
	'back-in': backIn,
	'set-aside': setAside,
	frequency: (f) => ({
		kind: 'frequency',
		dial: 'frequency',
		from: null,
		to: -1,
		result: prescribedNow(f)
	}),
	easier: (f, cause) => wayBack(f, cause) ?? notch(f, '', 'step')
};

const lengthOf = (setup: SolvedSetup | undefined): number | null => lengthIn(setup)?.value ?? null;
