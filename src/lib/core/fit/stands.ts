/**
 * Does every step of a family stand? Asked on a body of ordinary build without limits: balance and reach hold, every number is finite,
 * and some body could tolerate the ranges. For families that somebody writes.
 */
import { AXES, POSSIBLE_RANGE, type Axis } from '../body/axis.ts';
import { bodyOf } from '../body/body.ts';
import type { ExerciseFamily } from '../exercise/family.ts';
import type { CatalogueFault } from '../movement/validate-family.ts';
import { askedBy } from '../movement/of-step.ts';
import type { FitContext } from '../movement/context.ts';

const ORDINARY = { heightCm: 170, massKg: 70 } as const;

/** A context without a client: an ordinary body, nothing measured. */
export function nobody(): FitContext {
	const body = bodyOf(ORDINARY);
	if (!body.ok) throw new Error('the ordinary body was refused');
	return {
		body: body.value,
		rules: { base: 'tolerable', marginDeg: 5, loadedMarginDeg: 10, staleDays: 42 },
		today: '2000-01-01',
		envelope: {}
	};
}

/** An ordinary body that reaches the end of every joint, without a limit of any kind and with everything at hand: what it cannot do, nobody can. */
export function unlimited(): FitContext {
	const ends = AXES.map((axis) => {
		const end = POSSIBLE_RANGE[axis][1];
		const side = { painFree: end, tolerable: end, end, date: '2000-01-01', loaded: true };
		return [axis, { left: side, right: side }] as const;
	});
	return { ...nobody(), envelope: Object.fromEntries(ends) };
}

const MEND: Readonly<Record<string, string>> = {
	comAheadOfHeelLimit: 'it falls back: less depth, or arms and load further forward',
	comBehindToeLimit: 'it falls forward: less load in front, or a lower handle',
	reach: 'a limb does not reach: change the height or the stride',
	anatomicalKnee: 'the knee folds past its own end: a higher seat or step',
	trunkLean: 'the trunk leans further than it can'
};

export function standFaults(family: ExerciseFamily): readonly CatalogueFault[] {
	const ctx = nobody();
	return family.steps.flatMap((step): CatalogueFault[] => {
		const place = `${family.id}/${step.id}`;
		const asked = askedBy(step, ctx, null);
		const numbers = [
			...Object.values(asked.demand),
			...Object.values(asked.other ?? {}),
			...Object.values(asked.moments)
		];
		if (!numbers.every((n) => n === undefined || Number.isFinite(n)))
			return [{ place, message: 'the figure has no numbers; check its lengths and directions' }];
		const beyond = AXES.filter(
			(a: Axis) =>
				Math.max(asked.demand[a] ?? -Infinity, asked.other?.[a] ?? -Infinity) > POSSIBLE_RANGE[a][1]
		);
		return [
			...asked.failing.map((f) => ({ place, message: `the figure cannot stand: ${MEND[f] ?? f}` })),
			...beyond.map((a) => ({
				place,
				message: `it asks ${Math.round(Math.max(asked.demand[a] ?? 0, asked.other?.[a] ?? 0))}° of ${a}, more than any joint gives (${POSSIBLE_RANGE[a][1]}°)`
			}))
		];
	});
}
