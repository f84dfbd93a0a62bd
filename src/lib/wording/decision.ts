/**
 * A trace in sentences: "Hold: right knee was 3 this morning, above its usual 2. It would advance at 2."
 */
import { placeTitle } from '#lib/catalogue/choices.ts';
import type { Flip, ProposedChange, Reason, Trace } from '#lib/core/decision/trace.ts';
import type { OwnCode, ReasonCode } from '#lib/core/decision/reason-code.ts';
import type { Day } from '#lib/core/base/calendar-day.ts';
import { doseText, keptDose } from './dose.ts';
import { inProse, inUnits, kgText } from './units.ts';
import { lengthIn } from '#lib/core/movement/context.ts';
import { LENGTH_NAME, lengthValue, setupText } from './setup.ts';
import { stepTitle } from './steps.ts';
import { flagName } from './screening.ts';
import { shortDay, whenDay, whenMorning } from './days.ts';
import {
	AXIS_NAME,
	rangeIn,
	DECISION_WORD,
	PURPOSE_NAME,
	regionName,
	SYMPTOM_NAME,
	TECHNIQUE_NAME,
	VERDICT_WORD
} from './names.ts';

/** A day by its name alone: "Tuesday", "yesterday". */
const dayNamed = (day: Day, today: Day): string => whenDay(day, today).replace(/^on /, '');

type Say = (r: Reason, today: Day) => string;

const region = (r: Reason): string => (r.region === undefined ? 'the sore place' : regionName(r.region));
const day = (r: Reason, today: Day): string => (r.day === undefined ? '' : ` ${whenDay(r.day, today)}`);

const axis = (r: Reason): string => (r.axis === undefined ? 'range' : rangeIn(r.axis));

const morning: Say = (r, today) => {
	const when = r.day === undefined ? '' : ` ${whenMorning(r.day, today)}`;
	if (r.value === null || r.value === undefined) return `${region(r)}: no morning yet`;
	const above = Number(r.value) > Number(r.threshold);
	return above
		? `${region(r)} was ${r.value}${when}, above its usual ${r.threshold}`
		: `${region(r)} was ${r.value}${when}, its usual is ${r.threshold}`;
};

const SAY = {
	'flag.open': (r) => `an open red flag${r.value === undefined ? '' : `: ${flagName(String(r.value))}`}`,
	'flag.review': (r) => `a flag waits for review: ${flagName(String(r.value))}`,
	'screening.missing': () => 'the client is not screened yet',
	'screening.incomplete': () => 'the screening has unanswered questions; unknown is not no',
	'screening.old': (r) => `the screening is ${r.value} days old; it is good for ${r.threshold}`,
	'surgery.no-limits': (r) => `surgery on the ${region(r)} is recorded, its protocol limits are not entered`,
	'usual.high': (r) =>
		`${region(r)}'s usual morning is ${r.value}; from ${r.threshold} a licensed user reviews first`,
	'flare.long': (r) => `the flare has lasted ${r.value} days; over ${r.threshold} a licensed user reviews`,
	'surgery.unrecorded': () => 'the screening says there was an operation, and none is recorded',
	'away.long': (r) => `${r.value} days without a session; after ${r.threshold} the client is screened again`,
	'arrival.unwell': (r, t) => `fever or illness${day(r, t)}; it ends at the next clean arrival`,
	'arrival.fall': (r, t) => `a fall${day(r, t)}; it ends at the next clean arrival`,
	'swelling.twice': (r, t) =>
		`${region(r)} clearly more swollen on two mornings running, the last${day(r, t)}`,
	'pain.closed-twice': (r, t) =>
		`${region(r)} was ${r.value}${day(r, t)}, too much for work on two mornings running`,
	'morning.hot-joint': (r, t) => `${region(r)} was hot${day(r, t)}`,
	'morning.emergency-hot-joint': (r, t) =>
		`${region(r)} was hot and could hardly be moved or stood on${day(r, t)}`,
	'morning.calf-swelling': (r, t) => `one calf newly swollen, tender or warm${day(r, t)}`,
	'region.symptom-stop': (r) =>
		r.met
			? `another exercise of the ${region(r)} is stopped for a symptom`
			: 'no other exercise of the region is stopped for a symptom',
	'standing.unknown': () => 'whether what stands still fits is not known',
	'standing.known': (r) => (r.met ? 'what stands still fits' : 'whether what stands still fits is not known'),
	'standing.holds': () => 'what stands still holds there',
	'break.protocol': (r) =>
		r.axis === undefined
			? `by protocol: ${String(r.value).replaceAll('-', ' ')}`
			: `${r.side ?? ''} ${axis(r)} asks ${r.value}°, the protocol allows ${r.threshold}°`,
	'break.flag': (r) =>
		`withheld: ${String(r.value).replaceAll('-', ' ')}, while ${flagName(String(r.threshold))} is open`,
	'break.clearance': (r) => `not cleared for ${String(r.value).replaceAll('-', ' ')}`,
	'break.tolerated': (r) => `${r.side ?? ''} ${axis(r)} asks ${r.value}°, measured at ${r.threshold}°`,
	'break.position': (r) => `${String(r.value).replaceAll('-', ' ')} is not tolerated`,
	'break.equipment': (r) => `not at hand: ${String(r.value).replaceAll('-', ' ')}`,
	away: (r) => `${r.value} days since the last session`,
	'felt.joint': (r, t) =>
		r.met && r.value !== null && r.value !== 'none'
			? `felt in the ${r.value}, not the muscle${day(r, t)}`
			: r.value === null
				? 'where it was felt was not asked'
				: r.met
					? 'not felt in a joint'
					: `felt in the ${r.value}${day(r, t)}`,
	'symptom.as-usual': (r, t) =>
		`${SYMPTOM_NAME[String(r.value)] ?? r.value}${day(r, t)}, as usual: agreed by a licensed user`,
	'as-advised': (r, t) => (r.met ? 'done as advised' : `done against advice${day(r, t)}`),
	'streak.away': (r) => `${r.value} days without a session; a streak does not span ${r.threshold}`,
	'morning.recalled': (r) => `${r.value} mornings given from memory; ${r.threshold} may count`,
	'set-aside.third': (r) => `set aside ${r.value} times; a licensed user reviews`,
	'pain.new-region': (r, t) => `${region(r)} hurt ${r.value}${day(r, t)} and is not under treatment`,
	'symptom.cauda-equina': (r) => `numbness or leakage with a sore back, saddle area answered ${r.value}`,
	'state.stopped': () => 'stopped until a licensed user clears it',
	'symptoms.none': (r) =>
		r.value === null
			? 'symptoms were not asked'
			: r.met
				? 'no symptoms beyond ordinary pain'
				: r.value === undefined || r.value === 'none'
					? 'no stopping symptom'
					: `symptom: ${SYMPTOM_NAME[String(r.value)] ?? r.value}`,
	'pain.stop': (r, t) =>
		r.met
			? `${region(r)} peaked at ${r.value}${day(r, t)}; the stop line is ${r.threshold}`
			: `worst pain ${r.value}, below the stop line ${r.threshold}`,
	'pain.acceptable': (r, t) =>
		r.met
			? `${region(r)} was ${r.value}${day(r, t)}, over the acceptable ${r.threshold}`
			: `worst pain ${r.value}, within the acceptable ${r.threshold}`,
	'pain.evening': (r, t) =>
		r.met
			? `${region(r)} was ${r.value} on the evening${day(r, t)}, over the acceptable ${r.threshold}`
			: `worst pain ${r.value}, that evening; within the acceptable ${r.threshold}`,
	'region.settled': morning,
	'region.up': morning,
	'region.unsettled': morning,
	'region.unknown': (r) => `${region(r)}: no morning to judge by`,
	'region.rising': (r) =>
		r.met
			? `${region(r)}'s mornings rise week on week, now ${r.value ?? '–'}`
			: `${region(r)}'s mornings are not rising week on week`,
	'region.flare': (r, t) => `${morning(r, t)}; a flare`,
	suspect: (r) =>
		r.value === 'this'
			? 'this exercise is the likeliest cause in its region'
			: 'another exercise is the likelier cause',
	'work.incomplete': (r, t) => `${r.value} % of the work done${day(r, t)}`,
	'fault.repeated': (r) =>
		r.met
			? `the same fault twice running: ${String(r.value).replaceAll('-', ' ')}`
			: 'no fault in half the sets of both last observed sessions',
	'confidence.low': (r, t) => `confidence ${r.value ?? 'not given'}${day(r, t)}`,
	'morning.missing': (r) =>
		r.met
			? `the morning after ${r.day === undefined ? 'the last session' : shortDay(r.day)} is not in yet`
			: 'the morning after the last session is in',
	soreness: (r) =>
		r.value === null ? 'muscle soreness not given' : `muscle soreness ${r.value}; ${r.threshold} holds`,
	'symptom.leakage': (r) => (r.met ? 'leakage in the last session' : 'no leakage'),
	'pace.review': (r) => `${r.value} advances already in this review; the policy allows ${r.threshold}`,
	'pace.days': (r) => `${r.value} days since the last advance; the policy keeps ${r.threshold} between`,
	'sessions.none': (r) =>
		r.met ? 'no session since the last change' : `${r.value} sessions since the last change`,
	'work.done': (r, t) => (r.met ? `all work done${day(r, t)}` : `${r.value} % of the work done${day(r, t)}`),
	ease: (r, t) =>
		r.value === null
			? `effort not given${day(r, t)}`
			: `effort ${r.value}${day(r, t)}; easy is ${r.threshold} or less`,
	'pain.safe': (r, t) =>
		r.value === null
			? `pain not given${day(r, t)}`
			: `pain ${r.value}${day(r, t)}; safe is ${r.threshold} or less`,
	'pain.elsewhere': (r, t) =>
		r.met
			? 'no other region over its safe line'
			: `${region(r)} was ${r.value}${day(r, t)}; safe is ${r.threshold} or less`,
	'morning.settled': (r, t) =>
		r.value === null
			? `next morning not given after ${dayNamed(r.day ?? t, t)}`
			: `next morning ${r.value} after ${dayNamed(r.day ?? t, t)}; usual is ${r.threshold}`,
	clean: (r, t) =>
		r.value === null
			? r.met
				? `form not seen${day(r, t)}`
				: `clean repetitions not given${day(r, t)}`
			: `${r.value} % clean${day(r, t)}; needed ${r.threshold} %`,
	confidence: (r, t) =>
		r.value === null
			? `confidence not given${day(r, t)}`
			: `confidence ${r.value}${day(r, t)}; needed ${r.threshold}`,
	'soreness.known': (r, t) =>
		r.value === null ? `soreness not given${day(r, t)}` : `soreness ${r.value}${day(r, t)}`,
	'streak.days': (r) => `${r.value} of ${r.threshold} sessions in a row`,
	'streak.recent': (r) => `the streak spans ${r.value} days; it may span ${r.threshold}`,
	observed: (r) => `${r.value} seen by a practitioner; needed ${r.threshold}`,
	'event.injection': (r) => `an injection ${r.value} days ago; no advance for ${r.threshold}`,
	'event.painkiller': (r) => `an extra painkiller ${r.value} days ago; no advance for ${r.threshold}`,
	'edge.gate': (r) => `${stepTitle(String(r.value))}: ${r.threshold ?? 'its gate is not met'}`,
	'edge.unmeasured': (r) =>
		`${stepTitle(String(r.value))} needs a fresh measurement${
			r.threshold
				? `: ${String(r.threshold)
						.split(',')
						.map((a) => (AXIS_NAME as Record<string, string>)[a] ?? a)
						.join(', ')
						.toLowerCase()}`
				: ''
		}`,
	'edge.blocked': (r) => `${stepTitle(String(r.value))} asks for more range than there is`,
	'edges.unknown': () => 'the next steps of the ladder are not fitted yet',
	'ladder.complete': () => 'the dose is complete and no harder step is left'
} as const satisfies Readonly<Record<OwnCode, Say>> & Readonly<Partial<Record<ReasonCode, Say>>>;

/** One reason as a clause, without capital or full stop. */
export function reasonText(r: Reason, today: Day): string {
	const say = (SAY as Readonly<Partial<Record<string, Say>>>)[r.code];
	if (say !== undefined) return say(r, today);
	if (r.code.startsWith('symptom.'))
		return `${SYMPTOM_NAME[r.code.slice(8)] ?? r.code.slice(8)}${day(r, today)}`;
	if (r.code.startsWith('edge.'))
		return `${stepTitle(String(r.value))}: ${VERDICT_WORD[r.code.slice(5) as 'fits'] ?? r.code.slice(5)}`;
	return r.code;
}

const capital = (s: string): string => s.charAt(0).toUpperCase() + s.slice(1);

/** "Hold: right knee was 3 this morning, above its usual 2." */
export function decisionSentence(trace: Trace, today: Day): string {
	const reasons = trace.decision === 'advance' ? [] : trace.reasons.slice(0, 2);
	const why = reasons.map((r) => reasonText(r, today)).join('; ');
	const word = DECISION_WORD[trace.decision];
	if (trace.decision === 'advance')
		return `${word}: ${trace.change === null ? 'the next step is open' : changeText(trace.change)}.`;
	return why === '' ? `${word}.` : `${word}: ${why}.`;
}

/** "1×10 to 2×10", "seat 48 to 51 cm", "to Standard seat". */
export function changeText(change: ProposedChange): string {
	switch (change.kind) {
		case 'dose':
			return change.dial === 'load' && typeof change.to === 'number'
				? `load ${inUnits(Number(change.from), 'kg')} to ${kgText(change.to)}`
				: `${keptDose(String(change.from))} to ${keptDose(String(change.to))}`;
		case 'step':
			return `from ${stepTitle(String(change.from))} to ${stepTitle(String(change.to))}, ${doseText({ ...change.result.dose, loadKg: 0 })}`;
		case 'retry':
			return `try ${stepTitle(String(change.to))} again at ${change.result.dose.sets}×${change.result.dose.reps}`;
		case 'choice':
			return `${inProse(placeTitle(change.dial, String(change.to)))}, ${doseText(change.result.dose)}`;
		case 'set-aside':
			if (change.dial === 'way-back') return `set aside; ${stepTitle(String(change.to))} instead`;
			return `set aside; another way of ${PURPOSE_NAME[String(change.to)] ?? String(change.to)}`;
		case 'technique':
			return `${TECHNIQUE_NAME[change.to as 'stacked'] ?? change.to} technique`;
		case 'frequency':
			return 'one day fewer a week';
		case 'mend': {
			const where = setupText(change.result.setup);
			return `${stepTitle(change.result.step)}${where === '' ? '' : `, ${where}`}, ${doseText(change.result.dose)}`;
		}
		case 'dial':
			return dialText(change);
	}
}

function dialText(change: ProposedChange): string {
	const length = lengthIn(change.result.setup);
	if (length === null) return `${change.dial} to ${change.to}`;
	const deg = length.unit === 'deg';
	const from = change.from === null ? '' : `${deg ? `${change.from}°` : inUnits(Number(change.from), 'cm')} `;
	return length.of === 'thighDeg'
		? `depth ${from}to ${length.value}° thigh`
		: `${LENGTH_NAME[length.of]} ${from}to ${lengthValue(change.result.setup)}`;
}

const INPUT_NAME: Readonly<Record<string, string>> = {
	morning: 'next morning',
	peak: 'peak pain',
	after: 'pain after',
	evening: 'pain that evening',
	effort: 'effort',
	confidence: 'confidence',
	soreness: 'soreness'
};

/** "It would advance at a next morning of 2." */
export const flipText = (flip: Flip): string =>
	flip.input === 'morning'
		? `It would ${DECISION_WORD[flip.decision].toLowerCase()} at ${flip.to}.`
		: `It would ${DECISION_WORD[flip.decision].toLowerCase()} with ${INPUT_NAME[flip.input] ?? flip.input} ${flip.to} instead of ${flip.from}.`;

/** "it would advance at 0–2, hold at 3" for a morning that is not in yet. */
export function outlookText(trace: Trace): string {
	const parts: string[] = [];
	for (let i = 0; i < trace.outlook.length;) {
		const first = trace.outlook[i] as Trace['outlook'][number];
		let j = i;
		while (trace.outlook[j + 1]?.decision === first.decision) j++;
		const last = trace.outlook[j] as Trace['outlook'][number];
		parts.push(
			`${DECISION_WORD[first.decision].toLowerCase()} at ${first.morning}${last.morning === first.morning ? '' : `–${last.morning}`}`
		);
		i = j + 1;
	}
	return parts.length === 0 ? '' : `${capital(parts.join(', '))}.`;
}

const ALTERNATIVE: Readonly<Record<string, (v: string | number | undefined) => string>> = {
	'substitute-step': (v) =>
		`Nothing gentler of this ladder fits. Offer ${stepTitle(String(v))} for the same purpose.`,
	support: () => 'With a hand on something firm.',
	retest: () => 'Measure the limiting range again first.',
	'wait.unwell': () => 'Unwell: nothing is done until the next clean arrival.',
	'wait.fall': () => 'A fall: it is gone through at the next arrival.',
	substitute: (v) => `Offer another way of ${PURPOSE_NAME[String(v)] ?? String(v)}.`,
	'flare-plan': () => 'Follow the flare plan agreed beforehand.',
	'region-sets': () => 'Second unsettled morning in a week: the region’s sets × 0.6.',
	'pelvic-health-review': () => 'Suggest a pelvic-health review.',
	technique: () => 'Teach the stacked position, breathe out on effort.',
	'reopen-screening': () => 'Reopen the screening for the new region.',
	'hold.new-region': () => 'Pain in a new region: reopen the screening.',
	'wait.review': () => 'A licensed review is due.'
};

export const alternativeText = (a: Trace['alternatives'][number]): string =>
	ALTERNATIVE[a.code]?.(a.value) ?? a.code;

/** What was signed in one go, and what was left because signing another moved it. */
export const severalText = (of: {
	readonly signed: readonly string[];
	readonly left: readonly string[];
}): string =>
	[
		of.signed.length === 0 ? 'Nothing was signed.' : `Signed ${of.signed.length}: ${of.signed.join(', ')}.`,
		...(of.left.length === 0
			? []
			: [`Left for a look of its own, for signing the others moved it: ${of.left.join(', ')}.`])
	].join(' ');
