/**
 * Client level: may anything be decided at all? First that fires wins over every exercise.
 * @source practice-setting except red flags: red-flags-common
 */
import { dayNumber } from '../base/calendar-day.ts';
import type { Session } from '../session/record.ts';
import type { Facts } from './facts.ts';
import type { OpenFlag } from './input.ts';
import type { Decision, Reason } from './trace.ts';

export interface ClientRule {
	readonly rule: string;
	readonly decision: Decision;
	readonly judge: (f: Facts) => readonly Reason[];
}

const EMERGENCY = ['chest-pain', 'faintness', 'breathless'] as const;
const CAUDA = ['numbness', 'leakage'] as const;
const REVIEW_USUAL = 6;
const FLARE_REVIEW_DAYS = 7;
const SET_ASIDE_REVIEW = 3;
const NEW_REGION_PAIN = 3;

const fact = (code: string, source: string, extra: Partial<Reason> = {}): Reason => ({ code, met: true, source, ...extra });

const openRed = (f: Facts): readonly OpenFlag[] => f.input.client.flags.filter((x) => x.open && x.severity === 'red');
const flagFact = (x: OpenFlag): Reason => fact('flag.open', 'red-flags-common', { value: x.id, ...(x.region ? { region: x.region } : {}) });

/** Reasons, or an empty list when the rule does not fire. */
export const CLIENT_RULES: readonly ClientRule[] = [
	{
		rule: 'refer.emergency',
		decision: 'refer',
		judge: (f) => {
			const cleared = f.input.client.clearedOn === undefined ? -Infinity : dayNumber(f.input.client.clearedOn);
			const told = f.sessions.filter((s) => dayNumber(s.date) > cleared).flatMap((s) => emergencyIn(f, s));
			return [...told, ...openRed(f).filter((x) => x.urgency === 'emergency').map(flagFact)];
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
			const old = !(age >= 0 && age <= f.policy.screeningDays);
			return old ? [fact('screening.old', 'practice-setting', { value: age, threshold: f.policy.screeningDays, day: screening.date })] : [];
		}
	},
	{
		rule: 'wait.protocol',
		decision: 'wait',
		judge: (f) =>
			f.input.client.surgery.filter((s) => !s.limitsEntered).map((s) => fact('surgery.no-limits', 'local-protocol', { day: s.date, region: s.region }))
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
			for (const x of f.input.client.flags) if (x.open && x.severity === 'review') out.push(fact('flag.review', 'practice-setting', { value: x.id }));
			return out;
		}
	},
	{
		rule: 'hold.new-region',
		decision: 'hold',
		judge: (f) => newRegion(f)
	}
];

function emergencyIn(f: Facts, s: Session): Reason[] {
	const out: Reason[] = [];
	for (const x of s.symptoms ?? []) {
		if ((EMERGENCY as readonly string[]).includes(x)) out.push(fact(`symptom.${x}`, 'red-flags-common', { day: s.date, value: x }));
		const back = f.region.startsWith('back') || Object.keys(f.input.client.usual).some((r) => r.startsWith('back'));
		// Unknown is not no: an unanswered question counts as yes.
		if (back && (CAUDA as readonly string[]).includes(x) && s.caudaEquina !== 'no')
			out.push(fact('symptom.cauda-equina', 'red-flags-common', { day: s.date, value: s.caudaEquina ?? 'unknown' }));
	}
	return out;
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
