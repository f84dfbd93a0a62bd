/** A week and its sessions in words. */
import { changePct, STRETCH_SEC, type Budget, type Load } from '#lib/core/plan/budget.ts';
import type { OrderSchool } from '#lib/core/plan/session-order.ts';
import type { Role, Stretched } from '#lib/core/plan/work.ts';
import { PURPOSE_NAME } from './names.ts';

export const SCHOOL_NAME: Readonly<Record<OrderSchool, string>> = {
	usual: 'balance, power, main work, accessory, stretches',
	'isolated-first': 'isolated work first',
	'rolling-first': 'rolling first, the big lift last',
	'standing-then-floor': 'standing, then sitting, then the floor',
	'as-given': 'as the plan is arranged'
};

export const ROLE_NAME: Readonly<Record<Role, string>> = {
	'warm-up': 'warm-up',
	balance: 'balance',
	power: 'power',
	main: 'main work',
	accessory: 'accessory',
	finisher: 'knees-forward finisher',
	stretch: 'stretch',
	relief: 'relief',
	rolling: 'rolling'
};

export const muscleName = (m: Stretched): string =>
	m === 'hip-front' ? 'front of hip' : (PURPOSE_NAME[m] ?? m);

/** "24 min", to the minute; what takes less says so. */
export const clockText = (seconds: number): string =>
	seconds < 60 ? `${Math.round(seconds)} s` : `${Math.round(seconds / 60)} min`;

/** Stretch of a muscle against its week: "240 of 300 s", a side for itself where they differ. */
export function stretchText({ seconds }: Budget['stretch'][number]): string {
	const { left, right } = seconds;
	if (left === right) return `${left} of ${STRETCH_SEC} s, each side`;
	return `left ${left}, right ${right} of ${STRETCH_SEC} s`;
}

/** What a joint is asked in a week, and how that has changed. kN·m. */
export function loadText(joint: keyof Load, now: Load, before: Load): string {
	const pct = changePct(now[joint], before[joint]);
	const much = `${(now[joint] / 1000).toFixed(1)} kN·m`;
	if (pct === null) return `${much}; nothing solved was done in the last seven days`;
	if (pct === 0) return `${much}, as in the last seven days`;
	return `${much}, ${Math.abs(pct)} % ${pct > 0 ? 'more' : 'less'} than in the last seven days`;
}

export const gaveWayText = ({
	title,
	wanted,
	kept
}: {
	readonly title: string;
	readonly wanted: number;
	readonly kept: number;
}): string =>
	kept === 0
		? `${title}: left out, the minutes do not hold it`
		: `${title}: ${kept === 1 ? 'once' : `${kept} times`} instead of ${wanted}, the minutes do not hold more`;
