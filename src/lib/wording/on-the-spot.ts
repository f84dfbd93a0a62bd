/** Answers in the middle of a session, in words. */
import type { OnTheSpot, TooEasy } from '#lib/core/decision/on-the-spot.ts';
import { changeText, decisionSentence, reasonText } from './decision.ts';

const NEEDS_SHOWN = 3;

/** What to do now: stop, make it gentler, go on. */
export function hurtsText(
	{ answer, change, trace, acceptable, endsAbove }: OnTheSpot,
	pain: number,
	today: string
): string {
	if (answer === 'stop' && endsAbove !== undefined)
		return `Leave this exercise for today: it is one that ${endsAbove === 0 ? 'any pain' : `pain above ${endsAbove}`} ends.`;
	if (answer === 'stop') return `Stop this exercise for today. ${decisionSentence(trace, today)}`;
	if (answer === 'gentler')
		return change === null
			? 'Make it gentler: no notch of this step is solved, so leave it for today.'
			: `Make it gentler now: ${changeText(change)}.`;
	return `Go on, and watch it: ${pain} is within what the policy accepts (${acceptable}).`;
}

/** What a position that is lost means for the set. */
export const LOST_TEXT = {
	anew: 'Stop there, set the position anew, and go on with the set.',
	'end-set': 'That ends the set. Count only what was clean; fewer at a time and a set more is the way on.'
} as const;

/** What a harder dose would take. */
export function easyText({ change, needs }: TooEasy, today: string): string {
	if (change !== null) return `An advance is open: ${changeText(change)}. Sign it, then do it.`;
	const why = [...new Set(needs.map((n) => reasonText(n, today)))].slice(0, NEEDS_SHOWN).join('; ');
	return why === '' ? 'Nothing harder is open now: its slip says why.' : `Not yet. It still needs: ${why}.`;
}
