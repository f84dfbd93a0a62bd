/** What a log may say of range. Settled is judged against usual as it was that day. Common practice. */
import { describe, expect, it } from 'vitest';
import { POLICIES } from '../../catalogue/policies.ts';
import { FAMILIES } from '../../catalogue/families.ts';
import type { ExerciseFamily } from '../exercise/family.ts';
import { KNEE, morning, mornings, session, TODAY } from '../../../../tests/records.ts';
import { bodyOf } from '../body/body.ts';
import { stepOf } from '../exercise/family.ts';
import { fitRulesOf } from './policy.ts';
import {
	axisOfRegion,
	demandOn,
	evidenceBy,
	seenBy,
	type LogFacts,
	type LoggedWork
} from './range-evidence.ts';

const b = bodyOf({ heightCm: 168, massKg: 70 });
const step = stepOf(FAMILIES.squat as ExerciseFamily, 'standard-seat');
if (!b.ok || step === undefined) throw new Error('fixture');
const facts = (patch: Partial<LogFacts> = {}): LogFacts => ({
	policy: POLICIES['pain-monitored'],
	mornings: mornings('2026-03-08', 12, 2),
	intake: { [KNEE]: { intake: 2 } },
	today: TODAY,
	ctx: { body: b.value, rules: fitRulesOf(POLICIES['pain-monitored']), today: TODAY, envelope: {} },
	...patch
});
const work = (patch: Partial<LoggedWork> = {}, s = session('2026-03-18')): LoggedWork => ({
	session: s,
	region: KNEE,
	step,
	setup: { seatCm: 46 },
	...patch
});

const evidenceOf = (w: LoggedWork, by: LogFacts) => evidenceBy(by)(w);
const seen = (w: LoggedWork, by: LogFacts) => seenBy(by)(w);

describe('evidence of range', () => {
	it('is the demand of the set-up on the sore region’s axis and side', () => {
		expect(evidenceOf(work(), facts())).toMatchObject([
			{ axis: 'kneeFlexion', side: 'right', settled: true, observed: true, painful: false, band: 3 }
		]);
		expect(evidenceOf(work({ region: 'back' }), facts()).map((e) => [e.axis, e.side])).toEqual([
			['thighTrunkFlexion', 'left'],
			['thighTrunkFlexion', 'right']
		]);
		expect(demandOn(KNEE, step, { seatCm: 46 }, facts().ctx)).toBeGreaterThan(
			demandOn(KNEE, step, { seatCm: 52 }, facts().ctx) as number
		);
		expect(['hip-left', 'ankle-right', 'elbow-left'].map(axisOfRegion)).toEqual([
			'thighTrunkFlexion',
			'weightBearingDorsiflexion',
			'kneeFlexion'
		]);
	});
	it('credits a rise no more than its most sparing way: nobody saw how far forward the shins stood', () => {
		const taught = demandOn(KNEE, step, { seatCm: 46 }, facts().ctx) as number;
		expect(evidenceOf(work(), facts())[0]?.demand).toBeLessThan(taught - 8);
	});
	it('is of its like: movement, the technique it is done in, with a load or free', () => {
		const like = (id: string, setup: LoggedWork['setup'], ctx: Partial<LogFacts['ctx']> = {}) => {
			const of = stepOf(FAMILIES.squat as ExerciseFamily, id);
			if (of === undefined) throw new Error(id);
			const by = facts({ ctx: { ...facts().ctx, ...ctx } });
			return evidenceOf(work({ step: of, setup }), by)[0]?.like;
		};
		expect([
			like('standard-seat', { seatCm: 46 }),
			like('goblet-squat', null),
			like('free-squat', null),
			like('free-squat', null, { technique: 'stacked' })
		]).toEqual([
			'sit-to-stand|ordinary|free',
			'squat|parallel|loaded',
			'squat|parallel|free',
			'squat|stacked|free'
		]);
	});
	it('is none on an axis that the step asks nothing of', () => {
		const bridge = stepOf(FAMILIES.bridge as ExerciseFamily, 'bridge');
		if (bridge === undefined) throw new Error('bridge');
		const of = (region: string) => evidenceOf(work({ region, step: bridge, setup: null }), facts());
		expect(of('hip-left')).toEqual([]);
		expect(of(KNEE)).toHaveLength(1);
		// Seen all the same: in no set-up.
		expect(seen(work({ step: bridge, setup: null }), facts())).toStrictEqual([
			{ step: 'bridge', date: '2026-03-18', setup: {} }
		]);
	});
	it('a morning at the intake’s 2 is not settled once usual has fallen to 1', () => {
		const better = [...mornings('2026-03-08', 11, 1), morning('2026-03-19', 2)];
		expect(evidenceOf(work(), facts({ mornings: better }))[0]?.settled).toBe(false);
		expect(seen(work(), facts({ mornings: better }))).toEqual([]);
	});
	it('swelling not asked, or no morning at all, is not settled', () => {
		const { swelling: _, ...m } = morning('2026-03-19', 2);
		for (const next of [[m], []])
			expect(
				evidenceOf(work(), facts({ mornings: [...mornings('2026-03-08', 11, 2), ...next] }))[0]?.settled
			).toBe(false);
	});
	it('hurts only past the acceptable line and late in the movement', () => {
		const at = (peak: number, painAt: 'late' | 'early') =>
			evidenceOf(work({}, session('2026-03-18', { painAt }, { peak })), facts())[0]?.painful;
		expect([at(5, 'late'), at(6, 'late'), at(6, 'early')]).toEqual([false, true, false]);
	});
	it('seen doing it needs eyes, a safe peak and a settled morning; pain-free asks for usual or less', () => {
		expect(seen(work(), facts())).toEqual([
			{ step: 'standard-seat', date: '2026-03-18', setup: { seatCm: 46 } }
		]);
		expect(seen(work({}, session('2026-03-18', { observed: false })), facts())).toEqual([]);
		expect(seen(work({}, session('2026-03-18', {}, { peak: 3 })), facts())).toEqual([]);
		expect(seen(work({}, session('2026-03-18', { pains: [] })), facts())).toEqual([]);
		expect(seen(work(), facts({ policy: POLICIES['pain-free'] }))).toEqual([]);
	});
});
