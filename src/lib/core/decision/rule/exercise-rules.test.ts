/**
 * Each rule of an exercise by itself: its whole answer, at both sides of each boundary. Lines and counts are practice settings, or stand with their source
 * beside the rule.
 */
import { describe, expect, it } from 'vitest';
import { edge, KNEE, record, session } from '../../../../../tests/records.ts';
import { POLICIES } from '../../../catalogue/policies.ts';
import { dayNumber } from '../../base/calendar-day.ts';
import type { PainEntry, Session } from '../../session/record.ts';
import type { Break } from '../../safety/standing.ts';
import { factsOf } from '../facts.ts';
import type { DecideInput } from '../input.ts';
import type { ExerciseRuleId } from '../rule-id.ts';
import { EXERCISE_RULES } from './exercise-rules.ts';
import type { Judged } from './finding.ts';
import { judgedOf } from './judged.ts';

const PS = 'practice-setting';
type Patch = Omit<Partial<DecideInput>, 'exercise'> & {
	readonly exercise?: Partial<DecideInput['exercise']>;
};
const judged = ({ exercise, ...patch }: Patch = {}): Judged => {
	const r = record(patch);
	return judgedOf(factsOf({ ...r, exercise: { ...r.exercise, ...exercise } }));
};
const rule = (id: ExerciseRuleId) => EXERCISE_RULES.find((r) => r.rule === id)!.judge;
/** Of a record as patched, then of what was found in it as patched. Today is 20 March; both sessions are since the start. */
const says = (id: ExerciseRuleId, patch: Patch = {}, found: object = {}) =>
	rule(id)({ ...judged(patch), ...found });
const two = (first: Partial<Session>, second: Partial<Session> = first) => ({
	sessions: [session('2026-03-16', first), session('2026-03-18', second)]
});
const no = (...why: object[]) => ({ fired: false, why });
const reason = (code: string, more: object) => ({ code, met: true, source: PS, ...more });

describe('what stands is broken', () => {
	const broken = (...breaks: Break[]) =>
		says('stop.limit', { exercise: { standing: { verdict: 'suspended', breaks, mend: null, retry: true } } });
	it('says of each break what it asks, against what, and whose word it is', () => {
		expect(
			broken(
				{ by: 'protocol', axis: 'kneeFlexion', side: 'right', demandDeg: 95, limitDeg: 90 },
				{ by: 'flag', tag: 'impact', flag: 'fragile' },
				{ by: 'clearance', clearance: 'impact' },
				{ by: 'position', position: 'kneeling' },
				{ by: 'equipment', equipment: 'chair/bench' },
				{ by: 'tolerated' }
			).why
		).toEqual([
			{
				...reason('break.protocol', { value: 95, threshold: 90, axis: 'kneeFlexion', side: 'right' }),
				source: 'local-protocol'
			},
			reason('break.flag', { value: 'impact', threshold: 'fragile' }),
			reason('break.clearance', { value: 'impact', threshold: null }),
			reason('break.position', { value: 'kneeling', threshold: null }),
			reason('break.equipment', { value: 'chair/bench', threshold: null }),
			reason('break.tolerated', { value: null, threshold: null })
		]);
		expect(broken({ by: 'tolerated' }).fired).toBe(true);
		// As keys: what has no joint names none.
		expect(Object.keys(broken({ by: 'tolerated' }).why[0]!)).not.toContain('axis');
		expect(Object.keys(broken({ by: 'tolerated' }).why[0]!)).not.toContain('side');
	});
	it('what holds, or was never asked, is said and fires nothing', () => {
		const { standing: _, ...rest } = record().exercise;
		const unasked = judgedOf(factsOf({ ...record(), exercise: rest as DecideInput['exercise'] }));
		expect(rule('stop.limit')(unasked)).toEqual(no({ ...reason('standing.unknown', {}), met: false }));
		expect(says('stop.limit')).toEqual(no({ ...reason('standing.holds', { value: 'stands' }), met: false }));
	});
});

describe('symptoms', () => {
	const with_ = (symptoms: readonly string[], more: object = {}) =>
		two({}, { symptoms: symptoms as never, ...more });
	it('that are as usual hold with a hand for support; what never stops is not among them', () => {
		expect(says('hold.as-usual', with_(['locking', 'catching', 'weakness']))).toEqual({
			fired: true,
			why: [
				reason('symptom.as-usual', { value: 'locking', day: '2026-03-18' }),
				reason('symptom.as-usual', { value: 'weakness', day: '2026-03-18' })
			],
			alternatives: [{ code: 'support' }]
		});
		expect([says('hold.as-usual', with_(['catching'])), says('hold.as-usual', { sessions: [] })]).toEqual([
			no(),
			no()
		]);
		const { symptoms: _, ...untold } = session('2026-03-18');
		expect(says('hold.as-usual', { sessions: [untold] })).toEqual(no());
	});
	it('that are new stop, of any session since; pain further down unless it was said not to be', () => {
		const of = (symptom: string, day: string) => ({
			...reason(`symptom.${symptom}`, { value: symptom, day }),
			source: 'red-flags-common'
		});
		expect(says('stop.symptom', two({ symptoms: ['giving-way'] }, { symptoms: ['numbness'] })).why).toEqual([
			of('giving-way', '2026-03-16'),
			of('numbness', '2026-03-18')
		]);
		const none = no({ ...reason('symptoms.none', {}), met: false });
		expect(says('stop.symptom', with_(['locking'], { asUsual: ['locking'] }))).toEqual(none);
		expect(says('stop.symptom', with_(['catching']))).toEqual(none);
		expect(says('stop.symptom', with_(['radiating'])).why).toEqual([of('radiating', '2026-03-18')]);
		expect(says('stop.symptom', with_(['radiating'], { radiatingLower: false }))).toEqual(none);
		const { symptoms: _, ...untold } = session('2026-03-18');
		expect(says('stop.symptom', { sessions: [untold] })).toEqual(none);
		expect(says('stop.symptom', { exercise: { state: 'stopped' } })).toEqual({
			fired: true,
			why: [reason('state.stopped', {})]
		});
	});
});

describe('ready, and yet', () => {
	it('there is nowhere to go', () => {
		expect(says('hold.complete', {}, { ready: true })).toEqual({
			fired: true,
			why: [reason('ladder.complete', {})]
		});
		expect(says('hold.complete', {}, { ready: false })).toEqual(no());
	});
	it('every way on is closed by a gate or a range, unless the goal is only kept', () => {
		const ways = {
			...{ open: null, unknown: false },
			edges: [edge({ gateOpen: false, gate: 'two clean' }), edge({ step: 'far', verdict: 'blocked' })]
		};
		const why = [
			{ ...reason('edge.gate', { value: 'counter-squat', threshold: 'two clean' }), met: false },
			{ ...reason('edge.blocked', { value: 'far', threshold: null }), met: false }
		];
		expect(says('hold.gate', {}, { ready: true, ways })).toEqual({ fired: true, why });
		expect(says('hold.gate', {}, { ready: false, ways })).toEqual(no(...why));
		expect(says('hold.gate', {}, { ready: true, ways: { ...ways, edges: [] } })).toEqual(no());
		expect(says('hold.gate', { exercise: { goalKept: true } }, { ready: true, ways })).toEqual(no(...why));
		expect(says('hold.gate', { exercise: { goalKept: false } }, { ready: true, ways }).fired).toBe(true);
	});
	it('so many advances were made, or the last too near, unless what was left is only tried again', () => {
		const paced = reason('pace.days', { value: 1, threshold: 5 });
		const open = (kind: string | null) => ({
			edges: [],
			unknown: false,
			open: kind === null ? null : { kind }
		});
		expect(says('hold.pace', {}, { ready: true, paced, ways: open('dose') })).toEqual({
			fired: true,
			why: [paced]
		});
		expect(says('hold.pace', {}, { ready: true, paced, ways: open(null) }).fired).toBe(true);
		expect(says('hold.pace', {}, { ready: true, paced, ways: open('retry') })).toEqual(no(paced));
		expect(says('hold.pace', {}, { ready: false, paced, ways: open('dose') })).toEqual(no(paced));
		expect(says('hold.pace', {}, { ready: true, paced: undefined, ways: open('dose') })).toEqual(no());
	});
	it('what comes next asks a range that nobody measured', () => {
		const ways = (...edges: ReturnType<typeof edge>[]) => ({ open: null, edges, unknown: false });
		const un = edge({ verdict: 'unmeasured', measure: ['kneeFlexion', 'hipExtension'] as never });
		const bare = edge({ step: 'bare', verdict: 'unmeasured' });
		const why = [
			reason('edge.unmeasured', { value: 'counter-squat', threshold: 'kneeFlexion,hipExtension' }),
			reason('edge.unmeasured', { value: 'bare', threshold: '' })
		];
		expect(says('wait.measure', {}, { ready: true, ways: ways(edge(), un, bare) })).toEqual({
			fired: true,
			why
		});
		expect(says('wait.measure', {}, { ready: false, ways: ways(un, bare) })).toEqual(no(...why));
		expect(says('wait.measure', {}, { ready: true, ways: ways(edge()) })).toEqual(no());
		expect(says('wait.measure', {}, { ready: true, ways: { ...ways(), unknown: true } })).toEqual({
			fired: true,
			why: [reason('edges.unknown', {})]
		});
		expect(says('wait.measure', {}, { ready: false, ways: { ...ways(), unknown: true } })).toEqual(no());
	});
});

describe('the region', () => {
	const state = (kind: string, more: object = {}) => ({
		state: {
			kind,
			usual: 2,
			medians: [],
			flareDays: 0,
			morning: { value: 4, day: dayNumber('2026-03-18') },
			...more
		}
	});
	const region = (kind: string, met = true, more: object = {}) => ({
		...reason(`region.${kind}`, { value: 4, threshold: 2, region: KNEE, day: '2026-03-18', ...more }),
		...{ met, source: 'ageberg-2010' }
	});
	const suspect = (met: boolean) => ({ ...reason('suspect', { value: met ? 'this' : 'other' }), met });
	it('holds by itself where it is up; where it rises or is unsettled, only by another exercise', () => {
		const at = (kind: string, mine: boolean) => says('hold.region', {}, { ...state(kind), suspect: mine });
		expect([at('up', true), at('up', false)].map((f) => f.why)).toEqual([[region('up')], [region('up')]]);
		for (const kind of ['unsettled', 'rising']) {
			expect(at(kind, false)).toEqual({ fired: true, why: [region(kind), suspect(false)] });
			expect(at(kind, true)).toEqual(no(region(kind)));
		}
		expect([at('settled', false), at('unknown', false), at('flare', false)]).toEqual([
			no(region('settled', false)),
			no(region('unknown', false)),
			no(region('flare'))
		]);
		const dayless = Object.fromEntries(
			Object.entries(region('up', true, { value: null })).filter(([k]) => k !== 'day')
		);
		expect(says('hold.region', {}, state('up', { morning: undefined })).why).toEqual([dayless]);
	});
	it('flares with a plan for it', () => {
		expect(says('hold.flare', {}, state('flare'))).toEqual({
			...{ fired: true, why: [region('flare')] },
			alternatives: [{ code: 'flare-plan' }]
		});
		expect(says('hold.flare', {}, state('settled'))).toEqual(no(region('settled', false)));
	});
	it('rises from week to week: what is the suspect goes back, with both medians told', () => {
		const rising = (kind: string, mine: boolean, medians: readonly number[]) =>
			says('regress.trend', {}, { ...state(kind, { medians }), suspect: mine });
		const why = (met: boolean, mine: boolean, value: number | null, threshold: number | null) => [
			{ ...reason('region.rising', { value, threshold, region: KNEE }), met, source: 'silbernagel-2007' },
			suspect(mine)
		];
		expect(rising('rising', true, [4, 2])).toEqual({
			fired: true,
			cause: 'morning',
			why: why(true, true, 4, 2)
		});
		expect(rising('rising', false, [4, 2])).toEqual(no(...why(true, false, 4, 2)));
		expect(rising('settled', true, [])).toEqual(no(...why(false, true, null, null)));
	});
	it('is too sore, from the policy’s line on or after three days', () => {
		const sore = (patch: Partial<Session>) => says('hold.soreness', two({}, patch));
		const of = (value: number | null, met: boolean) => ({
			...reason('soreness', { value, threshold: 7 }),
			...{ met, source: 'cheung-2003' }
		});
		expect([sore({ soreness: 7 }), sore({ soreness: 6 })]).toEqual([
			{ fired: true, why: [of(7, true)] },
			no(of(6, false))
		]);
		expect(sore({ soreness: 1, sorenessOver72h: true })).toEqual({ fired: true, why: [of(1, true)] });
		expect(sore({ soreness: 1, sorenessOver72h: false })).toEqual(no(of(1, false)));
		const { soreness: _, ...untold } = session('2026-03-18');
		expect(says('hold.soreness', { sessions: [untold] })).toEqual(no(of(null, false)));
		expect(says('hold.soreness', { sessions: [] })).toEqual(no(of(null, false)));
	});
});

describe('two sessions running', () => {
	it('one fault in half of what was seen of each: the commonest of the first, then by name', () => {
		const fault = (a: object, b: object, more: Patch = {}) =>
			says('regress.fault', {
				...two({ faults: a as never }, { faults: b as never }),
				...more
			});
		const of = (value: string) => [reason('fault.repeated', { value, threshold: 50, day: '2026-03-18' })];
		const none = no({ ...reason('fault.repeated', {}), met: false });
		expect(fault({ 'knee-in': 0.5 }, { 'knee-in': 0.5 }).why).toEqual(of('knee-in'));
		expect([
			fault({ 'knee-in': 0.49 }, { 'knee-in': 0.9 }),
			fault({ 'knee-in': 0.9 }, { 'knee-in': 0.49 })
		]).toEqual([none, none]);
		expect([fault({ 'knee-in': 0.9 }, {}), fault({ 'knee-in': 0.9 }, { 'heel-off': 0.9 })]).toEqual([
			none,
			none
		]);
		const both = { 'knee-in': 0.6, 'heel-off': 0.8 };
		expect(fault(both, { 'knee-in': 0.9, 'heel-off': 0.5 }).why).toEqual(of('heel-off'));
		const same = { 'knee-in': 0.6, 'heel-off': 0.6, zag: 0.6 };
		expect(fault(same, same).why).toEqual(of('heel-off'));
		const named = { faults: { 'knee-in': { cause: 'tired', dial: 'support' } } as never };
		expect(fault({ 'knee-in': 1 }, { 'knee-in': 1 }, { exercise: named })).toMatchObject({
			cause: 'tired',
			dial: 'support'
		});
		expect(fault({ 'knee-in': 1 }, { 'knee-in': 1 })).not.toHaveProperty('dial');
	});
	it('of those that were seen, the last two; one is none', () => {
		const at = (day: string, observed: boolean, share: number) =>
			session(day, { observed, faults: { 'knee-in': share } });
		const fault = (...sessions: Session[]) => says('regress.fault', { sessions }).fired;
		expect(fault(at('2026-03-14', true, 0.9), at('2026-03-16', false, 0), at('2026-03-18', true, 0.9))).toBe(
			true
		);
		expect(fault(at('2026-03-14', true, 0.9), at('2026-03-16', true, 0), at('2026-03-18', true, 0.9))).toBe(
			false
		);
		expect(fault(at('2026-03-12', true, 0), at('2026-03-16', true, 0.9), at('2026-03-18', true, 0.9))).toBe(
			true
		);
		expect(says('regress.fault', { sessions: [at('2026-03-18', true, 0.9)] })).toEqual(no());
		const { faults: _, ...untold } = session('2026-03-16');
		expect(fault(untold, at('2026-03-18', true, 0.9)), 'nothing told of the first').toBe(false);
		expect(fault(at('2026-03-16', true, 0.9), { ...untold, date: '2026-03-18' })).toBe(false);
	});
	it('felt in the joint, of the last two that said where', () => {
		const felt = (joint: string | undefined, date: string) =>
			session(date, joint === undefined ? {} : { felt: { joint } as never });
		const of = (value: string, day: string) => ({
			...reason('felt.joint', { value, day }),
			...{ met: value !== 'none', source: 'common-practice' }
		});
		const says2 = (...joints: (string | undefined)[]) =>
			says('regress.felt', { sessions: joints.map((x, i) => felt(x, `2026-03-${14 + i}`)) });
		expect(says2('knee', undefined, 'hip')).toEqual({
			...{ fired: true, cause: 'joint' },
			why: [of('knee', '2026-03-14'), of('hip', '2026-03-16')]
		});
		expect(says2('knee', 'none')).toEqual(no(of('knee', '2026-03-14'), of('none', '2026-03-15')));
		expect(says2('none', 'knee', 'knee').fired).toBe(true);
		expect(says2('knee')).toEqual(no(of('knee', '2026-03-14')));
	});
	it('guarding: confidence of four or less in both, where it is asked', () => {
		const sure = (a?: number, b?: number) => {
			const of = (n: number | undefined, day: string) => {
				const { confidence: _, ...s } = session(day);
				return n === undefined ? s : { ...s, confidence: n };
			};
			return says('regress.guarding', { sessions: [of(a, '2026-03-16'), of(b, '2026-03-18')] });
		};
		const of = (value: number | null, met: boolean, day: string) => ({
			...reason('confidence.low', { value, threshold: 4, day }),
			met
		});
		expect(sure(4, 4)).toEqual({
			...{ fired: true, cause: 'guarding' },
			why: [of(4, true, '2026-03-16'), of(4, true, '2026-03-18')]
		});
		expect(sure(4, 5)).toEqual(no(of(4, true, '2026-03-16'), of(5, false, '2026-03-18')));
		expect(sure(undefined, 4)).toEqual(no(of(null, false, '2026-03-16'), of(4, true, '2026-03-18')));
		expect(says('regress.guarding', { sessions: [session('2026-03-18', { confidence: 1 })] })).toEqual(no());
		const policy = Object.values(POLICIES).find((p) => p.confidenceMin === null)!;
		expect(says('regress.guarding', { policy, ...two({ confidence: 1 }) })).toEqual(no());
		const third = [session('2026-03-12', { confidence: 9 }), ...two({ confidence: 1 }).sessions];
		expect(says('regress.guarding', { sessions: third }).why).toHaveLength(2);
	});
	it('a third or more undone in both, for a reason of one’s own; the last says which', () => {
		const short = (reps: number, because: string) => ({
			sets: [{ reps }],
			incompleteBecause: because as never
		});
		const left = (a: readonly [number, string], b: readonly [number, string], more: Partial<Session> = {}) =>
			says('regress.incomplete', two(short(...a), { ...short(...b), ...more }));
		const of = (value: number, met: boolean, day: string) => ({
			...reason('work.incomplete', { value, threshold: 70, day }),
			met
		});
		// 20 asked: 13 are 65 %, 14 are 70 %.
		const tens = (n: number) => ({ sets: [{ reps: 10 }, { reps: n }], incompleteBecause: 'tired' as never });
		expect(says('regress.incomplete', two(tens(3), tens(3)))).toEqual({
			...{ fired: true, cause: 'tired' },
			why: [of(65, true, '2026-03-16'), of(65, true, '2026-03-18')]
		});
		expect(says('regress.incomplete', two(tens(3), tens(4)))).toEqual(
			no(of(65, true, '2026-03-16'), of(70, false, '2026-03-18'))
		);
		expect(left([5, 'tired'], [5, 'form']).cause).toBe('form');
		expect(left([5, 'tired'], [5, 'pain']).cause).toBe('pain');
		expect(left([5, 'tired'], [5, 'pain'], { painOnlyLoaded: true }).cause).toBe('pain-loaded');
		expect(left([5, 'tired'], [5, 'time']).fired).toBe(false);
		const { incompleteBecause: _, ...unsaid } = short(5, 'tired');
		expect(says('regress.incomplete', two(unsaid, unsaid)).fired).toBe(false);
		expect(says('regress.incomplete', { sessions: [session('2026-03-18', short(5, 'tired'))] })).toEqual(
			no()
		);
	});
});

describe('days', () => {
	it('away from fourteen days on, a step back from twenty-eight; without a session it is not asked', () => {
		const away = (today: string) =>
			says('regress.away', {
				today,
				changes: [{ date: '2026-02-20', kind: 'start' }],
				sessions: [session('2026-03-01')]
			});
		const of = (value: number, met = true) => ({
			...reason('away', { value, threshold: 14, day: '2026-03-01' }),
			met
		});
		expect(away('2026-03-14')).toEqual(no(of(13, false)));
		expect(away('2026-03-15')).toEqual({ fired: true, cause: 'away', why: [of(14)] });
		expect(away('2026-03-28')).toMatchObject({ cause: 'away', why: [of(27)] });
		expect(away('2026-03-29')).toEqual({
			...{ fired: true, cause: 'away-long', why: [of(28)] },
			alternatives: [{ code: 'retest' }]
		});
		expect(says('regress.away', { sessions: [] })).toEqual(no());
	});
	it('nothing since the change waits, but for a late morning; a limit makes what was done history', () => {
		const none = (value: number, met: boolean) => ({
			...reason('sessions.none', { value, threshold: 1 }),
			met
		});
		expect(says('wait.no-sessions', { sessions: [] })).toEqual({ fired: true, why: [none(0, true)] });
		expect(says('wait.no-sessions')).toEqual(no(none(2, false)));
		expect(says('wait.no-sessions', {}, { fresh: [] })).toEqual({ fired: true, why: [none(0, true)] });
		const late = session('2026-03-09');
		const unsettled = (kind: string, l: Session | undefined) =>
			says('wait.no-sessions', { sessions: [] }, { late: l, state: { ...judged().state, kind } }).fired;
		expect([
			unsettled('unsettled', late),
			unsettled('settled', late),
			unsettled('unsettled', undefined)
		]).toEqual([false, true, true]);
		// What asks for less in them still asks for it.
		const guarded = two({ confidence: 1 });
		expect(says('wait.no-sessions', guarded, { fresh: [] }).fired).toBe(false);
	});
});

describe('pain', () => {
	const pained = (...pains: Partial<PainEntry>[][]) => ({
		sessions: pains.map((p, i) =>
			session(`2026-03-${16 + i}`, { pains: p.map((x) => ({ region: KNEE, ...x }) as PainEntry) })
		)
	});
	// Of this policy and a usual of 2.
	const [stop, acceptable] = [8, 5];
	it('at the stop line in any session since stops; its worst is told, with its day', () => {
		const at = (...p: Partial<PainEntry>[][]) => says('stop.pain', pained(...p));
		expect(at([{ peak: stop }], [{ peak: 1 }])).toMatchObject({
			fired: true,
			why: [
				{
					code: 'pain.stop',
					met: true,
					value: stop,
					threshold: stop,
					source: PS,
					day: '2026-03-16',
					region: KNEE
				}
			]
		});
		expect(at([{ peak: stop - 1 }], [{ peak: 1 }]).fired).toBe(false);
		// What came after the session is not what stops in it.
		expect(at([{ peak: 1, after: stop }]).fired).toBe(false);
		expect(at([{ peak: 1 }], [{ peak: 2 }, { peak: 3 }]).why[0]).toMatchObject({ value: 3, met: false });
	});
	it('above the acceptable in the last session goes back; of the evening, where it grew at home', () => {
		const at = (...p: Partial<PainEntry>[][]) => says('regress.pain', pained(...p));
		const over = acceptable + 1;
		expect(at([{ peak: 1 }], [{ peak: over }])).toMatchObject({
			fired: true,
			why: [
				{
					code: 'pain.acceptable',
					value: over,
					threshold: acceptable,
					source: 'thomee-1997',
					day: '2026-03-17'
				}
			]
		});
		expect([
			at([{ peak: 1 }], [{ peak: acceptable }]).fired,
			at([{ peak: over }], [{ peak: 1 }]).fired
		]).toEqual([false, false]);
		const code = (p: Partial<PainEntry>) => at([p]).why[0]?.code;
		expect([code({ peak: 1, after: 1, evening: over }), code({ evening: over })]).toEqual([
			'pain.evening',
			'pain.evening'
		]);
		expect([
			code({ peak: over, evening: over }),
			code({ after: over, evening: 2 }),
			code({ peak: over })
		]).toEqual(['pain.acceptable', 'pain.acceptable', 'pain.acceptable']);
		const cause = (p: Partial<PainEntry>) => at([p]).cause;
		expect([cause({ peak: 1, evening: over }), cause({ peak: over })]).toEqual(['morning', 'pain']);
		// Nought in the evening after nothing told is of the evening too.
		expect(code({ evening: 0 })).toBe('pain.evening');
	});
});
