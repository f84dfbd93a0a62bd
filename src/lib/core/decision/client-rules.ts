/**
 * Client level: may anything be decided at all? First that fires wins over every exercise.
 * @source practice-setting except red flags: red-flags-common
 */
import { dayNumber, dayOf } from '../base/calendar-day.ts';
import { alarmsInMorning, alarmsInSession, flagReaches, type AlarmId } from '../safety/alarm.ts';
import type { Session } from '../session/record.ts';
import type { Facts } from './facts.ts';
import type { OpenFlag } from './input.ts';
import { closesRegion, zonesOf } from './pain-zones.ts';
import { swellingRank } from './usual.ts';
import type { Decision, Reason } from './trace.ts';

export interface ClientRule {
	readonly rule: string;
	readonly decision: Decision;
	readonly judge: (f: Facts) => readonly Reason[];
}

const REVIEW_USUAL = 6;
const FLARE_REVIEW_DAYS = 7;
const SET_ASIDE_REVIEW = 3;
const NEW_REGION_PAIN = 3;
/** Away for this long, a client is screened again. @source practice-setting */
const SCREEN_AGAIN_DAYS = 56;
const RECENT_DAYS = 7;

const fact = (code: string, source: string, extra: Partial<Reason> = {}): Reason => ({ code, met: true, source, ...extra });

const openRed = (f: Facts): readonly OpenFlag[] => f.input.client.flags.filter((x) => x.open && x.severity === 'red' && flagReaches(x, f.region));
const flagFact = (x: OpenFlag): Reason => fact('flag.open', 'red-flags-common', { value: x.id, ...(x.region ? { region: x.region } : {}) });

/** Reasons, or an empty list when the rule does not fire. */
export const CLIENT_RULES: readonly ClientRule[] = [
	{
		rule: 'refer.emergency',
		decision: 'refer',
		judge: (f) => {
			const cleared = f.input.client.clearedOn === undefined ? -Infinity : dayNumber(f.input.client.clearedOn);
			const told = f.sessions.filter((s) => dayNumber(s.date) > cleared).flatMap((s) => emergencyIn(f, s));
			return [...told, ...hotMornings(f, 'emergency-hot-joint'), ...openRed(f).filter((x) => x.urgency === 'emergency').map(flagFact)];
		}
	},
	{
		rule: 'refer.hot-joint',
		decision: 'refer',
		judge: (f) => [...hotMornings(f, 'hot-joint'), ...openRed(f).filter((x) => x.id === 'hot-joint').map(flagFact)]
	},
	{
		rule: 'refer.calf',
		decision: 'refer',
		judge: (f) => {
			const told = f.sessions.filter((s) => s.symptoms?.includes('calf-swelling') === true && !closedSince(f, 'calf-swelling', s.date));
			return [...told.map((s) => fact('symptom.calf-swelling', 'wells-2003', { day: s.date })), ...hotMornings(f, 'calf-swelling'), ...openRed(f).filter((x) => x.id === 'calf-swelling').map(flagFact)];
		}
	},
	{
		rule: 'refer.red-flag',
		decision: 'refer',
		judge: (f) => openRed(f).map(flagFact)
	},
	{
		rule: 'wait.screen',
		decision: 'wait',
		judge: (f) => {
			const screening = f.input.client.screening;
			if (screening === undefined) return [fact('screening.missing', 'practice-setting')];
			if (!screening.complete) return [fact('screening.incomplete', 'practice-setting', { day: screening.date })];
			const age = f.todayN - dayNumber(screening.date);
			const away = longAway(f, screening.date);
			if (away !== undefined) return [fact('away.long', 'practice-setting', { value: away, threshold: SCREEN_AGAIN_DAYS })];
			const old = !(age >= 0 && age <= f.policy.screeningDays);
			return old ? [fact('screening.old', 'practice-setting', { value: age, threshold: f.policy.screeningDays, day: screening.date })] : [];
		}
	},
	{
		rule: 'wait.protocol',
		decision: 'wait',
		judge: (f) => [
			...f.input.client.surgery.filter((s) => !s.limitsEntered).map((s) => fact('surgery.no-limits', 'local-protocol', { day: s.date, region: s.region })),
			...(f.input.client.operationUnrecorded === true ? [fact('surgery.unrecorded', 'local-protocol')] : [])
		]
	},
	{
		rule: 'wait.unwell',
		decision: 'wait',
		judge: (f) => unwell(f)
	},
	{
		rule: 'wait.fall',
		decision: 'wait',
		judge: (f) => {
			const last = f.input.client.arrivals?.filter((a) => a.fell).reduce<string | undefined>((m, a) => (m === undefined || a.date > m ? a.date : m), undefined);
			return last === undefined || cleanAfter(f, last) ? [] : [fact('arrival.fall', 'practice-setting', { day: last })];
		}
	},
	{
		rule: 'wait.review',
		decision: 'wait',
		judge: (f) => {
			const out: Reason[] = [];
			if (f.usual.value >= REVIEW_USUAL) out.push(fact('usual.high', 'practice-setting', { value: f.usual.value, threshold: REVIEW_USUAL, region: f.region }));
			for (const [region, u] of Object.entries(f.input.client.usual))
				if (region !== f.region && (u.intake ?? 0) >= REVIEW_USUAL)
					out.push(fact('usual.high', 'practice-setting', { value: u.intake ?? null, threshold: REVIEW_USUAL, region }));
			if (f.state.flareDays > FLARE_REVIEW_DAYS) out.push(fact('flare.long', 'practice-setting', { value: f.state.flareDays, threshold: FLARE_REVIEW_DAYS }));
			const aside = f.input.changes.filter((c) => c.kind === 'set-aside').length;
			if (aside >= SET_ASIDE_REVIEW) out.push(fact('set-aside.third', 'practice-setting', { value: aside, threshold: SET_ASIDE_REVIEW }));
			out.push(...swollenTwice(f), ...closedTwice(f));
			for (const x of f.input.client.flags) if (x.open && x.severity === 'review' && flagReaches(x, f.region)) out.push(fact('flag.review', 'practice-setting', { value: x.id }));
			return out;
		}
	},
	{
		rule: 'hold.new-region',
		decision: 'hold',
		judge: (f) => newRegion(f)
	}
];

/** Emergencies told in a session. Unknown is not no: an unanswered question of the saddle area counts as yes. */
function emergencyIn(f: Facts, s: Session): Reason[] {
	const back = f.region.startsWith('back') || Object.keys(f.input.client.usual).some((r) => r.startsWith('back'));
	return alarmsInSession(s, f.region, back)
		.filter((a) => a.now === 'emergency')
		.map((a) =>
			a.alarm === 'emergency-saddle-area'
				? fact('symptom.cauda-equina', 'red-flags-common', { day: s.date, value: s.caudaEquina ?? 'unknown' })
				: fact(`symptom.${a.alarm.replace('emergency-', '').replace('pregnancy', 'pregnancy-stop')}`, 'red-flags-common', { day: s.date, value: a.alarm })
		);
}

/** Was a flag of this code closed on or after a day? */
const closedSince = (f: Facts, id: string, day: string): boolean => f.input.client.flags.some((x) => x.id === id && !x.open && x.closedOn !== undefined && x.closedOn >= day);

/** Mornings that raised an alarm which nobody has closed since. */
const hotMornings = (f: Facts, alarm: AlarmId): Reason[] =>
	f.input.mornings
		.filter((m) => m.region === f.region && dayNumber(m.date) <= f.todayN && !closedSince(f, alarm, m.date) && alarmsInMorning(m).some((a) => a.alarm === alarm))
		.map((m) => fact(`morning.${alarm}`, 'red-flags-common', { day: m.date, region: m.region }));

const cleanAfter = (f: Facts, day: string): boolean => f.input.client.arrivals?.some((a) => a.clean && a.date > day && dayNumber(a.date) <= f.todayN) === true;

/** Fever or illness, until the next clean arrival; an illness noted for a day, on that day. */
function unwell(f: Facts): Reason[] {
	const arrived = (f.input.client.arrivals ?? []).filter((a) => a.unwell).map((a) => a.date);
	const mornings = f.input.mornings.filter((m) => m.fever === true).map((m) => m.date);
	const ill = (f.input.events ?? []).filter((e) => e.kind === 'illness' && dayNumber(e.date) === f.todayN).map((e) => e.date);
	const days = [...arrived, ...mornings, ...ill].filter((d) => dayNumber(d) <= f.todayN).sort();
	const last = days[days.length - 1];
	return last === undefined || cleanAfter(f, last) ? [] : [fact('arrival.unwell', 'practice-setting', { day: last })];
}

/** Clearly more swelling on two mornings running, the later within a week. */
function swollenTwice(f: Facts): Reason[] {
	const swollen = f.series.days.filter((n) => f.todayN - n <= RECENT_DAYS && swellingRank(f.series.at.get(n) as never) >= 2);
	const twice = swollen.find((n) => swollen.includes(n - 1));
	return twice === undefined ? [] : [fact('swelling.twice', 'practice-setting', { region: f.region, day: dayOf(twice) })];
}

/** Pain that closed the region on two mornings running: at the stop line, or usual + 3 and above acceptable. */
function closedTwice(f: Facts): Reason[] {
	const zones = zonesOf(f, f.region);
	const closes = (n: number): boolean => closesRegion(f.series.at.get(n)?.pain, f.series.usualOn(n).value, zones);
	const days = f.series.days.filter((n) => f.todayN - n <= RECENT_DAYS && closes(n) && closes(n - 1));
	const last = days[days.length - 1];
	return last === undefined ? [] : [fact('pain.closed-twice', 'practice-setting', { region: f.region, day: dayOf(last), value: f.series.at.get(last)?.pain ?? null })];
}

/** Days away after which the client is screened again, where they were not since. */
function longAway(f: Facts, screened: string): number | undefined {
	const last = f.sessions[f.sessions.length - 1];
	if (last === undefined) return undefined;
	const away = f.todayN - dayNumber(last.date);
	return away >= SCREEN_AGAIN_DAYS && dayNumber(screened) < dayNumber(last.date) + SCREEN_AGAIN_DAYS ? away : undefined;
}

function newRegion(f: Facts): Reason[] {
	if (f.last === undefined) return [];
	const treated = new Set([...Object.keys(f.input.client.usual), f.region]);
	return f.last.pains
		.filter((p) => !treated.has(p.region) && Math.max(p.before ?? 0, p.peak ?? 0, p.after ?? 0) >= NEW_REGION_PAIN)
		.map((p) =>
			fact('pain.new-region', 'practice-setting', {
				region: p.region,
				value: Math.max(p.before ?? 0, p.peak ?? 0, p.after ?? 0),
				threshold: NEW_REGION_PAIN,
				day: (f.last as Session).date
			})
		);
}
