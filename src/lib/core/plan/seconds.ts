/**
 * How long work takes, in seconds: repetitions at their tempo, holds, both sides, rests, and changing over from one exercise to the next.
 * @source common-practice every number here; a tempo, a rest or a block that was prescribed goes before
 */
import { kitOf, lieOf, placeOf, share, type Role, type Work } from './work.ts';

/** Seconds of one of what is counted, where no tempo says. */
const EACH = { reps: 4, sec: 1, steps: 1, breaths: 6 } as const;
/** From one leg to the other. */
const CHANGE_SIDE = 5;
const REST: Readonly<Record<Role, number>> = {
	...{ 'warm-up': 0, balance: 20, power: 90, main: 60, accessory: 45, finisher: 60 },
	...{ stretch: 5, relief: 30, rolling: 10 }
};

/** Of a prescribed tempo "3-1-2-0"; undefined where it is none. */
export function tempoSec(tempo: string | undefined): number | undefined {
	if (tempo === undefined || !/^\d+(-\d+)*$/.test(tempo)) return undefined;
	return tempo.split('-').reduce((sum, s) => sum + Number(s), 0);
}

function eachSec({ step, dose, particulars }: Work): number {
	const unit = dose.unit ?? 'reps';
	if (unit !== 'reps') return EACH[unit];
	const own = tempoSec(particulars.tempo) ?? step.tempo?.reduce((a, b) => a + b, 0) ?? EACH.reps;
	return Math.max(1, own) + (particulars.holdSec ?? 0);
}

const legs = ({ sides }: Work): number => (sides === 'both-at-once' ? 1 : sides.length);

/** Of one set, all its sides. */
export function setSec(w: Work): number {
	const { workSec } = w.particulars;
	if (workSec !== undefined) return workSec;
	return legs(w) * w.dose.reps * eachSec(w) + (legs(w) - 1) * CHANGE_SIDE;
}

export const restSec = (w: Work): number => w.particulars.restSec ?? REST[w.role];

/** Work and rest by the clock: its rest is part of it, and takes the change-over. */
export const isInterval = ({ particulars }: Work): boolean => particulars.workSec !== undefined;

/** All its sets with the rests between them; of an interval each work has its rest. */
export function soloSec(w: Work): number {
	const { blockMin } = w.particulars;
	if (blockMin !== undefined) return blockMin * 60;
	const rests = isInterval(w) ? w.dose.sets : w.dose.sets - 1;
	return w.dose.sets * setSec(w) + rests * restSec(w);
}

const GET_UP = 15;
const ROLL_OVER = 5;
const TO_SEAT = 5;
const FETCH = 10;

/** Getting from one exercise to the next: the body placed anew, things fetched. */
export function changeSec(a: Work, b: Work): number {
	if (isInterval(a)) return 0;
	const [from, to] = [placeOf(a.step), placeOf(b.step)];
	const placed =
		from === to
			? lieOf(a.step) === lieOf(b.step)
				? 0
				: ROLL_OVER
			: from === 'floor' || to === 'floor'
				? GET_UP
				: TO_SEAT;
	const has = kitOf(a.step);
	return placed + FETCH * kitOf(b.step).filter((k) => !has.includes(k)).length;
}

/** Between two exercises: the change-over, or the rest that the same muscles want, whichever is longer. */
export const gapSec = (a: Work, b: Work): number =>
	isInterval(a) ? 0 : Math.max(changeSec(a, b), share(a.muscles, b.muscles) ? restSec(a) : 0);

/** Two in turn, set by set: each rests while the other works. */
export function pairSec(a: Work, b: Work): number {
	const [there, back] = [changeSec(a, b), changeSec(b, a)];
	const inTurn = Math.min(a.dose.sets, b.dose.sets);
	const [wa, wb] = [setSec(a), setSec(b)];
	const round = wa + there + wb;
	const between = Math.max(back, restSec(a) - (there + wb), restSec(b) - (back + wa));
	const longer = a.dose.sets > b.dose.sets ? a : b;
	const left = longer.dose.sets - inTurn;
	return inTurn * round + (inTurn - 1) * between + left * (restSec(longer) + setSec(longer));
}
