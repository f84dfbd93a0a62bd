/**
 * Which way to regress: the cause in the record, then the cheapest dial that answers it; one dial, one notch. The third
 * regression in a family within 21 days without an advance sets the exercise aside for a substitute of the same purpose.
 * @source common-practice
 */
import { dayNumber } from '../base/calendar-day.ts';
import { doseText, gentlerDose } from '../dose/dose.ts';
import { lengthIn, type SolvedSetup } from '../movement/context.ts';
import type { Cause } from '../exercise/family.ts';
import type { Session } from '../session/record.ts';
import { prescribedNow } from './advance.ts';
import type { Facts } from './facts.ts';
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
	| 'easier'
	| 'back-in'
	| 'set-aside';

/** For each cause the ways that answer it, cheapest first; each list ends with one that always changes something. */
const WAYS: Readonly<Record<Cause, readonly Way[]>> = {
	'pain-late': ['depth', 'load-or-support', 'easier', 'dose', 'set-aside'],
	'pain-early': ['load-or-support', 'dose', 'easier', 'set-aside'],
	'pain-loaded': ['load', 'dose', 'easier', 'set-aside'],
	pain: ['load', 'depth', 'dose', 'easier', 'set-aside'],
	morning: ['dose', 'frequency'],
	leakage: ['load', 'easier', 'set-aside'],
	form: ['clean-reps', 'depth', 'easier', 'dose', 'set-aside'],
	tired: ['dose', 'easier', 'set-aside'],
	guarding: ['depth', 'easier', 'dose', 'set-aside'],
	wobble: ['support', 'base', 'easier', 'dose', 'set-aside'],
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
		const change = tryWay(f, way);
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
	if (doseText(less) === doseText(dose)) return null;
	return {
		kind: 'dose',
		dial: 'dose',
		from: doseText(dose),
		to: doseText(less),
		result: { ...prescribedNow(f), dose: less }
	};
}

/** Regressions within 21 days with no advance between them. */
function regressionsInARow(f: Facts): number {
	const recent = f.input.changes
		.filter((c) => f.todayN - dayNumber(c.date) <= SET_ASIDE_DAYS && dayNumber(c.date) <= f.todayN)
		.sort((a, b) => dayNumber(a.date) - dayNumber(b.date));
	return recent.reduce((n, c) => (c.kind === 'regress' ? n + 1 : c.kind === 'advance' ? 0 : n), 0);
}

function tryWay(f: Facts, way: Way): ProposedChange | null {
	const { exercise } = f.input;
	const now = prescribedNow(f);
	const { dose } = exercise;
	const notch = (dial: string, kind: 'dial' | 'step'): ProposedChange | null => {
		const option = exercise.gentler?.find(
			(o) =>
				(kind === 'step' ? o.step !== undefined : o.step === undefined) && (dial === '' || o.dial === dial)
		);
		if (option === undefined) return null;
		const result = {
			step: option.step ?? now.step,
			dose,
			...(option.setup === undefined
				? now.setup === undefined
					? {}
					: { setup: now.setup }
				: { setup: option.setup })
		};
		return {
			kind,
			dial: option.dial,
			from: kind === 'step' ? now.step : lengthOf(now.setup),
			to: option.to,
			result
		};
	};
	switch (way) {
		case 'depth':
			if (exercise.frontOfKneeSore === true && exercise.gentler === undefined) return null;
			return notch('depth', 'dial') ?? notch('surface', 'dial');
		case 'wedge':
			// A higher wedge loads the front of the knee more: never the answer where that is the sore place.
			return exercise.frontOfKneeSore === true
				? null
				: (exercise.gentler ?? []).some((o) => o.setup?.heelWedgeCm !== undefined)
					? notch('surface', 'dial')
					: null;
		case 'support':
		case 'base':
			return notch(way, 'dial') ?? notch(way, 'step');
		case 'load':
		case 'load-or-support': {
			if (dose.loadKg <= 0)
				return way === 'load' ? null : (notch('support', 'dial') ?? notch('support', 'step'));
			const lighter =
				[0, ...(exercise.rackKg ?? [])].filter((kg) => kg < dose.loadKg).sort((a, b) => b - a)[0] ?? 0;
			return {
				kind: 'dose',
				dial: 'load',
				from: dose.loadKg,
				to: lighter,
				result: { ...now, dose: { ...dose, loadKg: lighter } }
			};
		}
		case 'dose': {
			const less = gentlerDose(dose);
			return less === null
				? null
				: {
						kind: 'dose',
						dial: 'dose',
						from: doseText(dose),
						to: doseText(less),
						result: { ...now, dose: less }
					};
		}
		case 'clean-reps': {
			const clean = Math.min(...(f.last?.sets ?? []).map((s) => s.cleanReps ?? Infinity));
			if (!(clean < dose.reps && clean >= 3)) return null;
			const less = { ...dose, reps: clean };
			return {
				kind: 'dose',
				dial: 'dose',
				from: doseText(dose),
				to: doseText(less),
				result: { ...now, dose: less }
			};
		}
		case 'back-in':
			return backIn(f);
		case 'set-aside':
			return setAside(f);
		case 'frequency':
			return { kind: 'frequency', dial: 'frequency', from: null, to: -1, result: now };
		case 'easier':
			return notch('', 'step');
	}
}

const lengthOf = (setup: SolvedSetup | undefined): number | null => lengthIn(setup)?.value ?? null;
