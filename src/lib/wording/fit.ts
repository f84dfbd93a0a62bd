/** What stands in the way of a step, in few words; empty when nothing does. */
import type { StepFit } from '#lib/core/fit/fit.ts';
import { EQUIPMENT_NAME, POSITION_NAME, rangeIn, sideBefore } from './names.ts';

export const missingText = (fit: StepFit): string =>
	fit.missing.map((any) => any.map((e) => EQUIPMENT_NAME[e]).join(' or ')).join(', ');
export const positionsText = (fit: StepFit, answer: 'no' | 'unknown'): string =>
	fit.positions
		.filter((p) => p.answer === answer)
		.map((p) => POSITION_NAME[p.position])
		.join(', ');

export function inTheWay(fit: StepFit): string {
	if (fit.withheld.length > 0) return 'withheld while a caution is open';
	const not = positionsText(fit, 'no');
	if (not !== '') return `${not} is not tolerated`;
	if (fit.missing.length > 0) return `no ${missingText(fit)} at hand`;
	if (fit.verdict === 'unmeasured')
		return `measure ${[...new Set(fit.unmeasured.map((u) => rangeIn(u.axis)))].join(', ')}`;
	const short = fit.limiting.find((l) => l.short > 0);
	return short === undefined
		? ''
		: `${sideBefore(short.axis, short.side)}${rangeIn(short.axis)} ${Math.ceil(short.short)}° short`;
}
