/**
 * Alarms: what was reported, wherever it was reported, and what it means at once. One table for log, arrival, morning and screening, so that the
 * same words are the same alarm on every screen.
 *
 * An alarm that cries often is switched off in the head, so what keeps each quiet is here too: a symptom that a licensed user agreed is as
 * usual, tingling that is gone within minutes, light-headedness on rising, a question that was answered no.
 * @source red-flags-common what is an emergency and what is seen the same day (from memory); practice-setting the rest
 */
import { sideOf } from '../body/region-side.ts';
import type { Severity, Urgency } from '../client/screening.ts';
import type { Morning, Region, Session, Symptom, YesNoUnknown } from '../session/record.ts';

export const ALARM_IDS = [
	'emergency-chest-pain',
	'emergency-faintness',
	'emergency-breathless',
	'emergency-face-arm-speech',
	'emergency-cold-limb',
	'emergency-pregnancy',
	'emergency-saddle-area',
	'emergency-hot-joint',
	'emergency-after-fall',
	'saddle-area-unknown',
	'new-numbness',
	'joint-symptom',
	'calf-swelling',
	'hot-joint',
	'acute-knee',
	'wound',
	'pain-after-fall',
	'fell',
	'tingling',
	'light-headed'
] as const;
export type AlarmId = (typeof ALARM_IDS)[number];

/** What is done at once: stop all and get help; stop all; nothing on that limb; noted. */
export type AlarmNow = 'emergency' | 'stop-all' | 'stop-limb' | 'note';

/** How far a flag reaches. */
export type Scope = 'plan' | 'limb' | 'limb-and-back' | 'region' | 'tags';

interface AlarmKind {
	readonly now: AlarmNow;
	readonly scope: Scope;
	/** The flag it opens; null opens none. */
	readonly opens: { readonly severity: Severity; readonly urgency: Urgency } | null;
}

const EMERGENCY: AlarmKind = {
	now: 'emergency',
	scope: 'plan',
	opens: { severity: 'red', urgency: 'emergency' }
};
const URGENT_LIMB: AlarmKind = {
	now: 'stop-limb',
	scope: 'limb',
	opens: { severity: 'red', urgency: 'urgent' }
};
const CAUTION: AlarmKind = { now: 'note', scope: 'tags', opens: { severity: 'caution', urgency: 'caution' } };

export const ALARMS: Readonly<Record<AlarmId, AlarmKind>> = {
	'emergency-chest-pain': EMERGENCY,
	'emergency-faintness': EMERGENCY,
	'emergency-breathless': EMERGENCY,
	'emergency-face-arm-speech': EMERGENCY,
	'emergency-cold-limb': EMERGENCY,
	'emergency-pregnancy': EMERGENCY,
	'emergency-saddle-area': EMERGENCY,
	'emergency-hot-joint': EMERGENCY,
	'emergency-after-fall': EMERGENCY,
	'saddle-area-unknown': { now: 'stop-all', scope: 'plan', opens: { severity: 'red', urgency: 'urgent' } },
	'new-numbness': { ...URGENT_LIMB, scope: 'limb-and-back' },
	'joint-symptom': { now: 'stop-limb', scope: 'region', opens: { severity: 'review', urgency: 'urgent' } },
	'calf-swelling': { now: 'stop-all', scope: 'plan', opens: { severity: 'red', urgency: 'urgent' } },
	'hot-joint': URGENT_LIMB,
	'acute-knee': URGENT_LIMB,
	wound: URGENT_LIMB,
	'pain-after-fall': { ...URGENT_LIMB, scope: 'plan' },
	fell: CAUTION,
	tingling: { now: 'note', scope: 'region', opens: null },
	'light-headed': CAUTION
};

export interface Raised {
	readonly alarm: AlarmId;
	readonly now: AlarmNow;
	/** The region that was spoken of, where it was of one. */
	readonly region?: Region;
}

const raised = (alarm: AlarmId, region?: Region): Raised => ({
	alarm,
	now: ALARMS[alarm].now,
	...(region === undefined ? {} : { region })
});

/** Always, whatever else is said of them: never "as usual". */
const AT_ONCE: Readonly<Partial<Record<Symptom, AlarmId>>> = {
	'chest-pain': 'emergency-chest-pain',
	faintness: 'emergency-faintness',
	breathless: 'emergency-breathless',
	'face-arm-speech': 'emergency-face-arm-speech',
	'cold-limb': 'emergency-cold-limb',
	'pregnancy-stop': 'emergency-pregnancy',
	'calf-swelling': 'calf-swelling',
	'pop-and-swelling': 'acute-knee',
	'no-straight-raise': 'acute-knee',
	wound: 'wound'
};

/** New or worse, unless it is known and as usual. */
const UNLESS_USUAL: Readonly<Partial<Record<Symptom, AlarmId>>> = {
	numbness: 'new-numbness',
	weakness: 'new-numbness',
	locking: 'joint-symptom',
	'giving-way': 'joint-symptom',
	'sharp-with-loss': 'joint-symptom',
	tingling: 'tingling',
	dizziness: 'light-headed'
};

/** Symptoms that ask the four questions of the saddle area. */
export const ASKS_SADDLE: readonly Symptom[] = ['numbness', 'weakness', 'leakage'];
const NERVE: ReadonlySet<Symptom> = new Set<Symptom>(['numbness', 'weakness']);

/** Said "as usual" of a symptom; one that is not said so is new. */
export const isUsual = (s: Pick<Session, 'asUsual'>, symptom: Symptom): boolean =>
	s.asUsual?.includes(symptom) === true;

/**
 * The saddle area: yes is an emergency whatever the region. Not answered counts as unknown: beside new numbness or weakness, or new leakage with
 * a sore back, it is an emergency; beside old leakage only, a same-day call.
 */
function saddleIn(s: Session, treatsBack: boolean): Raised[] {
	const symptoms = s.symptoms ?? [];
	if (s.caudaEquina === 'yes') return [raised('emergency-saddle-area')];
	if (s.caudaEquina === 'no') return [];
	if (symptoms.some((x) => NERVE.has(x) && !isUsual(s, x))) return [raised('emergency-saddle-area')];
	if (!symptoms.includes('leakage')) return [];
	if (treatsBack && !isUsual(s, 'leakage')) return [raised('emergency-saddle-area')];
	return treatsBack || s.caudaEquina === 'unknown' ? [raised('saddle-area-unknown')] : [];
}

/** The alarms of a logged session. `region` is the exercise's. */
export function alarmsInSession(s: Session, region: Region, treatsBack: boolean): readonly Raised[] {
	const out = saddleIn(s, treatsBack || region.startsWith('back'));
	for (const x of s.symptoms ?? []) {
		const always = AT_ONCE[x];
		const unless = UNLESS_USUAL[x];
		if (always !== undefined) out.push(raised(always, region));
		else if (unless !== undefined && !isUsual(s, x)) out.push(raised(unless, region));
	}
	return unique(out);
}

/** The alarms of a morning of one region. Hotter than the other side and than last week; or clearly more, with fever. */
export function alarmsInMorning(m: Morning): readonly Raised[] {
	const hot = m.swelling === 'hot' || (m.swelling === 'clearly-more' && m.fever === true);
	const out: Raised[] = [];
	if (hot) out.push(raised(m.cannotStand === true ? 'emergency-hot-joint' : 'hot-joint', m.region));
	if (m.calf === true) out.push(raised('calf-swelling', m.region));
	return out;
}

/** What is asked after a fall: any of the first is an emergency, other new pain is seen first, all no goes on with support. */
export interface AfterFall {
	readonly hipOrNoWeight: YesNoUnknown;
	readonly legShorterOrTurned: YesNoUnknown;
	readonly headOnThinners: YesNoUnknown;
	readonly drowsyOrVomiting: YesNoUnknown;
	readonly otherPain: YesNoUnknown;
}

/** Unknown is not no: it counts as yes. */
export function alarmAfterFall(f: AfterFall): Raised {
	const grave = [f.hipOrNoWeight, f.legShorterOrTurned, f.headOnThinners, f.drowsyOrVomiting];
	if (grave.some((a) => a !== 'no')) return raised('emergency-after-fall');
	return raised(f.otherPain === 'no' ? 'fell' : 'pain-after-fall');
}

const ORDER: readonly AlarmNow[] = ['emergency', 'stop-all', 'stop-limb', 'note'];

/** Each alarm once, the gravest first. */
export function unique(all: readonly Raised[]): Raised[] {
	const seen = new Map(all.map((r) => [`${r.alarm}|${r.region ?? ''}`, r]));
	return [...seen.values()].sort((a, b) => ORDER.indexOf(a.now) - ORDER.indexOf(b.now));
}

/** Alarms by their flag's code, and how far the flag reaches; a flag of another code reaches its region, or the plan where it has none. */
export function flagReaches(
	flag: { readonly id: string; readonly region?: Region; readonly urgency?: Urgency },
	region: Region
): boolean {
	const scope = scopeOf(flag);
	if (scope === 'plan' || flag.region === undefined || flag.region === region) return true;
	if (scope === 'region') return false;
	if (scope === 'limb-and-back' && region.startsWith('back')) return true;
	const side = sideOf(flag.region);
	return side !== undefined && side === sideOf(region);
}

function scopeOf(flag: { readonly id: string; readonly urgency?: Urgency }): Scope {
	if (flag.urgency === 'emergency') return 'plan';
	const known = ALARMS[flag.id as AlarmId] as AlarmKind | undefined;
	return known?.scope ?? 'limb';
}
