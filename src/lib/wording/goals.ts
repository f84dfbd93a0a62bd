/** How far a goal is, in one line. */
import type { LadderPoint, Availability, TaskRange } from '../core/client/goal.ts';
import type { GoalDistance } from '../core/fit/goal-distance.ts';
import { AVAILABILITY_WORD } from './intake.ts';
import { JOINT_NAME, rangeIn, sideBefore } from './names.ts';
import { parts, where } from './parts.ts';
import { stepTitle } from './steps.ts';
import { cmText } from './units.ts';

export function distanceText(g: {
	readonly point: LadderPoint | null;
	readonly distance: GoalDistance | null;
}): string {
	const { point, distance: d } = g;
	if (point === null) return '';
	const title = stepTitle(point.step)
		.replaceAll('-', ' ')
		.replace(/^./, (c) => c.toUpperCase());
	const wanted = point.reps === undefined ? '' : `, ${point.sets ?? 1}×${point.reps}`;
	const what = `${title}${point.heightCm === undefined ? '' : `, ${cmText(point.heightCm)}`}${wanted}`;
	if (d === null) return `${what}: that ladder is not solved here yet; by range:`;
	if (d.reached) return `${what}: reached. Keep it.`;
	const left = parts(
		stepsText(d.edges),
		doseToGo(d),
		heightToGo(d),
		d.short === null
			? ''
			: `${sideBefore(d.short.axis, d.short.side)}${rangeIn(d.short.axis)} ${Math.ceil(d.short.degrees)}° short`,
		where(d.verdict === 'unmeasured', 'a range is not measured'),
		where(d.verdict === 'fits', 'range and room are there')
	);
	return `${what}: ${left.join('; ')}.`;
}

function stepsText(edges: number | null): string {
	if (edges === null) return 'nothing prescribed on the way yet';
	return edges === 0 ? 'on its step' : `${edges} ${edges === 1 ? 'step' : 'steps'} up`;
}

const doseToGo = ({ dose }: GoalDistance): string =>
	dose === null || dose.now === null || dose.met ? '' : `now ${dose.now.sets}×${dose.now.reps}`;

function heightToGo({ cmToGo, heightNow, height }: GoalDistance): string {
	if (cmToGo === null || cmToGo <= 0 || heightNow === null) return '';
	const now = `${height === 'step' ? 'highest step' : 'lowest seat'} now ${cmText(heightNow)}`;
	return `${cmText(cmToGo)} to go: ${now}`;
}

export function taskText(r: {
	readonly source: string;
	readonly answer: Availability;
	readonly worst: TaskRange | null;
}): string {
	const w = r.worst;
	const number =
		w === null || w.answer === 'not-measured'
			? ''
			: `, ${sideBefore(w.axis, w.side)}${JOINT_NAME[w.axis]} ${Math.round(w.tolerated ?? 0)}° of ${w.demand}°`;
	// Published demands are of the hip joint; the fold, which includes pelvis and back, is only a hint of it.
	const hint = w?.axis === 'thighTrunkFlexion' && number !== '' ? ', by the sitting fold: a hint' : '';
	return `daily life: ${AVAILABILITY_WORD[r.answer]}${number}${hint} (${r.source})`;
}
