/**
 * Totals of questionnaires: arithmetic on totals only, no items. A falling total can be good or bad news; the direction comes with
 * the questionnaire.
 */
import { refuse, ok, type Refusal, type Result } from '../base/result.ts';
import { changeOf, type Change, type ChangeRule } from './change.ts';
import type { Better } from './symmetry.ts';

export interface TotalSpec {
	readonly id: string;
	readonly name: string;
	readonly range: readonly [number, number];
	readonly better: Better;
	readonly error: number | null;
	readonly matters: number | null;
}

export function acceptTotal(spec: TotalSpec, total: number): Result<number, Refusal> {
	const [low, high] = spec.range;
	if (!(total >= low && total <= high))
		return refuse({
			reason: 'outside-range',
			field: 'total',
			message: `${spec.name} runs from ${low} to ${high}; ${total} cannot be a total.`
		});
	return ok(total);
}

/** Per cent of the sections that were answered: raw over five a section. Refuses more than five a section. */
export function percentOfAnswered(raw: number, answered: number): Result<number, Refusal> {
	if (!(Number.isInteger(answered) && answered >= 1 && answered <= 10))
		return refuse({ reason: 'sections', field: 'answered', message: 'Between 1 and 10 answered sections.' });
	if (!(raw >= 0 && raw <= 5 * answered))
		return refuse({
			reason: 'raw',
			field: 'raw',
			message: `With ${answered} sections the raw total is at most ${5 * answered}.`
		});
	return ok((100 * raw) / (5 * answered));
}

/** A mean of 0–4 options turned to 0–100 where 100 is best. */
export const hundredIsBest = (meanItem: number): number => 100 - 25 * meanItem;

export function totalChange(spec: TotalSpec, from: number, to: number): Change {
	const rules: ChangeRule[] = [];
	if (spec.error !== null)
		rules.push({
			id: `${spec.id}-error`,
			kind: 'error',
			amount: spec.error,
			of: 'points',
			populations: ['any'],
			source: 'questionnaire-appendix'
		});
	if (spec.matters !== null)
		rules.push({
			id: `${spec.id}-matters`,
			kind: 'matters',
			amount: spec.matters,
			of: 'points',
			populations: ['any'],
			source: 'questionnaire-appendix'
		});
	return changeOf({ from, to, better: spec.better }, rules);
}
