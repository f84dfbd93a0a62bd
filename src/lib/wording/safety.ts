/** What holds work, what closes a step and what was reported, in the same words on every page. */
import type { Arrival } from '../core/decision/arrival.ts';
import type { BesideAnswer } from '#lib/core/safety/beside.ts';
import type { AlarmId, Raised } from '../core/safety/alarm.ts';
import type { Closed } from '../core/safety/closed.ts';
import type { Break, Mend, Standing } from '../core/safety/standing.ts';
import { CLEARANCE_NAME } from './gates.ts';
import { rangeIn, regionName, sideBefore } from './names.ts';
import { flagName } from './screening.ts';
import { setupText } from './setup.ts';
import { stepTitle } from './steps.ts';
import { kgText } from './units.ts';

const sideAxis = (b: Break): string =>
	b.axis === undefined
		? `${b.side === undefined ? '' : `${b.side} `}range`
		: `${sideBefore(b.axis, b.side)}${rangeIn(b.axis)}`;
const tagWord = (tag: string | undefined): string =>
	tag === 'no-weight'
		? 'takes weight on a leg that may not'
		: tag === 'over-load'
			? 'weighs more than is allowed'
			: `is ${(tag ?? '').replaceAll('-', ' ')}`;

/** "right knee bend asks 117°, the protocol allows 70°" */
export function breakText(b: Break): string {
	switch (b.by) {
		case 'protocol':
			return b.axis === undefined
				? `by protocol: it ${tagWord(b.tag)}`
				: `${sideAxis(b)} asks ${b.demandDeg}°, the protocol ${(b.demandDeg ?? 0) < (b.limitDeg ?? 0) ? 'asks at least' : 'allows'} ${b.limitDeg}°`;
		case 'flag':
			return `withheld: it ${tagWord(b.tag)}, and ${flagName(b.flag ?? '')} is open`;
		case 'clearance':
			return b.clearance === undefined ? 'not cleared' : `not cleared for ${CLEARANCE_NAME[b.clearance]}`;
		case 'tolerated':
			return `${sideAxis(b)} asks ${b.demandDeg}°, measured at ${b.limitDeg}°`;
		case 'position':
			return `${(b.position ?? '').replaceAll('-', ' ')} is not tolerated`;
		case 'equipment':
			return `not at hand: ${(b.equipment ?? '').replaceAll('-', ' ')}`;
	}
}

/** "raised seat 57 cm" */
export function mendText(m: Mend): string {
	const where = setupText(m.setup);
	return `${stepTitle(m.step)}${where === '' ? '' : `, ${where}`}${m.loadKg === undefined ? '' : `, at most ${kgText(m.loadKg)}`}`;
}

const VERDICT: Readonly<Record<Standing['verdict'], string>> = {
	stands: 'Stands',
	watch: 'Stands, close to its limit',
	suspended: 'Suspended',
	short: 'Range short',
	swap: 'Needs a swap'
};

/** "Suspended: right knee bend asks 117°, the protocol allows 70°. Mend: raised seat 57 cm." */
export function standingSentence(s: Standing): string {
	const why = [...new Set(s.breaks.map(breakText))].join('; ');
	const mend =
		s.mend === null
			? s.breaks.length === 0
				? ''
				: ' Nothing gentler fits: another purpose, or wait.'
			: ` Mend: ${mendText(s.mend)}.`;
	return why === '' ? `${VERDICT[s.verdict]}.` : `${VERDICT[s.verdict]}: ${why}.${mend}`;
}

/** Why a step is closed, as a clause. */
export function closedText(c: Closed): string {
	if (c.found !== undefined) return breakText(c.found);
	switch (c.by) {
		case 'gate':
			return `its gate is not met: ${c.text ?? ''}`;
		case 'unmeasured':
			return 'it needs a measurement first';
		case 'feared':
			return `it is feared: begin with ${c.text ?? 'its smallest step'}`;
		case 'loaded-spine':
			return 'it loads the spine, and a back is under treatment: cleared by a licensed user first';
		default:
			return 'it asks for more range than is tolerated now';
	}
}

/** What is said of an alarm at once, on every screen alike. */
const ALARM: Readonly<Record<AlarmId, string>> = {
	'emergency-chest-pain': 'Chest pain: stop now and get emergency help.',
	'emergency-faintness': 'Faintness: stop now and get emergency help.',
	'emergency-breathless': 'New breathlessness: stop now and get emergency help.',
	'emergency-face-arm-speech': 'Face, arm or speech suddenly changed: stop now and get emergency help.',
	'emergency-cold-limb':
		'A cold, pale foot or tense lower leg: stop now and get emergency help. Minutes matter.',
	'emergency-pregnancy': 'A stop sign in pregnancy: stop now and call the maternity unit.',
	'emergency-saddle-area':
		'Saddle area, bladder, bowel or both legs, or not ruled out: stop now and get emergency help.',
	'emergency-hot-joint': 'A hot joint that can hardly be moved or stood on: stop now and get emergency help.',
	'emergency-after-fall': 'After this fall: stop now and get emergency help; no weight on the leg.',
	'saddle-area-unknown':
		'Leakage, and the saddle area is not ruled out: a doctor is called today; no work until then.',
	'new-numbness':
		'New numbness or weakness: stop. That limb and the back do no loaded work until a licensed user has looked; seen the same day.',
	'joint-symptom':
		'Locking, giving way or sharp pain with loss, new or worse: stop. Loaded work of that region waits for a licensed user.',
	'calf-swelling':
		'One calf newly swollen, tender or warm: stop all exercise. Seen the same day, however well the leg feels.',
	'hot-joint': 'A hot or much more swollen joint: nothing on that limb today. Seen by a doctor the same day.',
	'acute-knee':
		'A pop with swelling, or a leg that cannot be lifted straight: nothing on that limb today. Seen the same day.',
	wound:
		'A wound that is red, leaking or opening: nothing on that limb today. The operating team is called today.',
	'pain-after-fall': 'New pain after a fall: not today. Seen before anything else.',
	fell: 'A fall, and nothing new hurts: go on with a firm support in reach.',
	tingling: 'Tingling that went within minutes: noted. A second time, the region is looked at.',
	'light-headed': 'Light-headed on rising: sit until it has gone, take the blood pressure.'
};

export const alarmText = (r: Raised): string =>
	`${ALARM[r.alarm]}${r.region === undefined || r.now === 'emergency' || r.now === 'stop-all' ? '' : ` (${regionName(r.region)})`}`;

/** How grave what was reported is, for the strength of the box it stands in. */
export const isGrave = (raised: readonly Raised[]): boolean => raised.some((r) => r.now !== 'note');

/** "Not today for right knee" */
export const closesText = (closes: Arrival['closes']): string =>
	closes === 'day'
		? 'The day is closed'
		: closes.length === 0
			? ''
			: `Not today: ${closes.map(regionName).join(', ')}`;

const BESIDE_TEXT: Readonly<Record<BesideAnswer, (title: string) => string>> = {
	given: (t) => `${t} is given for this region already: prescribe it in place of what stands.`,
	stopped: (t) => `${t} on the same ladder is stopped.`,
	'set-aside': (t) => `A signed slip set ${t} on the same ladder aside.`,
	'goes-back': (t) => `The slip of ${t} on the same ladder goes back, and this is no gentler.`
};

/** Why a further exercise is not simply given beside one that stands, of which the title is. */
export const besideText = (answer: BesideAnswer, title: string): string => BESIDE_TEXT[answer](title);
