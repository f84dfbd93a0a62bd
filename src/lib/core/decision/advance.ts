/**
 * Which way to advance: a retry of what was left, then the dose ladder, then the next open edge of the step ladder. One dial.
 */
import { dayNumber } from '../base/calendar-day.ts';
import { doseText, nextDose, retryDose, type PrescribedDose } from '../dose/dose.ts';
import { lengthIn } from '../movement/context.ts';
import type { Facts } from './facts.ts';
import type { Change, NextStep, NotchOption } from './input.ts';
import type { Prescribed, ProposedChange } from './trace.ts';

const FAILED_EDGE_DAYS = 21;

/** The exercise as it is prescribed now. */
export function prescribedNow(f: Facts): Prescribed {
	const { step, dose, setup } = f.input.exercise;
	return { step, dose, ...(setup === undefined ? {} : { setup }) };
}

/** A step left by a regression may be retried after two settled sessions, at 60 % of its dose; a retry is not an advance. */
function retryOf(f: Facts): ProposedChange | null {
	const change = f.lastChange;
	if (change?.kind !== 'regress' || change.from === undefined || edgeClosed(f, change)) return null;
	// What was left must fit today; not known is not yes.
	if (f.input.exercise.standing?.retry !== true) return null;
	const { from } = change;
	const now = prescribedNow(f);
	// What was left may have been only a dose: then the ordinary dose ladder leads back to it.
	if (from.step === now.step && lengthIn(from.setup)?.value === lengthIn(now.setup)?.value) return null;
	const result: Prescribed = {
		step: from.step,
		dose: retryDose(from.dose),
		...(from.setup === undefined ? {} : { setup: from.setup })
	};
	return { kind: 'retry', dial: 'depth', from: now.step, to: from.step, result };
}

/** A second failure of the same step closes its edge for 21 days. */
function edgeClosed(f: Facts, change: Change): boolean {
	const left = change.from?.step;
	const fails = f.input.changes.filter(
		(c) =>
			c.kind === 'regress' &&
			c.from?.step === left &&
			f.todayN - dayNumber(c.date) <= FAILED_EDGE_DAYS &&
			lengthIn(c.from?.setup)?.value === lengthIn(change.from?.setup)?.value
	);
	return fails.length >= 2;
}

export interface Ways {
	readonly open: ProposedChange | null;
	/** Edges there are, open or not. */
	readonly edges: readonly NextStep[];
	readonly unknown: boolean;
}

const OPEN = new Set(['fits', 'set-up', 'watch']);

export function waysToAdvance(f: Facts): Ways {
	const { exercise, nextSteps } = f.input;
	const edges = nextSteps ?? [];
	const unknown = nextSteps === undefined;
	const retry = retryOf(f);
	if (retry !== null) return { open: retry, edges, unknown };
	const dose = nextDose(exercise.dose, exercise.rackKg);
	const heavier = (kg: number | undefined): boolean =>
		exercise.capped === true && (kg ?? 0) > exercise.dose.loadKg;
	if (dose !== null && !heavier(dose.loadKg)) {
		const change: ProposedChange = {
			kind: 'dose',
			dial: dose.loadKg === exercise.dose.loadKg ? 'dose' : 'load',
			from: doseText(exercise.dose),
			to: doseText(dose),
			result: { ...prescribedNow(f), dose }
		};
		return { open: change, edges, unknown };
	}
	const edge = edges.find(
		(e) => e.gateOpen && OPEN.has(e.verdict) && !heavier(e.loadKg) && !recentlyFailed(f, e.step)
	);
	const choice = harderPlace(f, edge);
	if (choice !== null) return { open: choice, edges, unknown };
	if (edge === undefined) return { open: null, edges, unknown };
	const start = edge.start ?? { sets: 1, reps: Math.min(10, exercise.dose.target.reps) };
	const { unit: _, ...kept } = exercise.dose;
	const stepDose: PrescribedDose = {
		...kept,
		...(edge.unit === undefined ? {} : { unit: edge.unit }),
		sets: start.sets,
		reps: start.reps,
		loadKg: edge.loadKg ?? 0,
		target: edge.target ?? exercise.dose.target
	};
	const result: Prescribed = {
		step: edge.step,
		dose: stepDose,
		...(edge.setup === undefined || edge.setup === null ? {} : { setup: edge.setup })
	};
	return {
		open: { kind: 'step', dial: edge.dial, from: exercise.step, to: edge.step, result },
		edges,
		unknown
	};
}

/** Where a choice of the exercise stands now, by its place; null where it is as usual. */
export const placeNow = (p: Prescribed, choice: string): string | null => p.setup?.chosen?.[choice] ?? null;

/**
 * A choice inside the step one place harder, its dose begun anew: where no edge is open, and before an edge that turns the dial it goes before (a hold at
 * the hard point comes before more depth). @source common-practice
 */
function harderPlace(f: Facts, edge: NextStep | undefined): ProposedChange | null {
	const option = f.input.exercise.harder?.find(
		(o) => (edge === undefined || o.before === edge.dial) && !recentlyLeft(f, o)
	);
	if (option?.choice === undefined || option.setup === undefined) return null;
	const now = prescribedNow(f);
	const { setup } = option;
	return {
		kind: 'choice',
		dial: option.choice,
		from: placeNow(now, option.choice),
		to: option.to,
		result: { ...now, dose: retryDose(now.dose), setup }
	};
}

/** A place that was left twice waits as long as a step would. */
function recentlyLeft(f: Facts, o: NotchOption): boolean {
	const { step } = f.input.exercise;
	const fails = f.input.changes.filter(
		(c) =>
			c.kind === 'regress' &&
			c.from?.step === step &&
			o.choice !== undefined &&
			c.from.setup?.chosen?.[o.choice] === o.to &&
			f.todayN - dayNumber(c.date) <= FAILED_EDGE_DAYS
	);
	return fails.length >= 2;
}

function recentlyFailed(f: Facts, step: string): boolean {
	const fails = f.input.changes.filter(
		(c) => c.kind === 'regress' && c.from?.step === step && f.todayN - dayNumber(c.date) <= FAILED_EDGE_DAYS
	);
	return fails.length >= 2;
}
