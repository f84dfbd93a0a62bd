/** Screening with its flags, what closes them, what hurts, goals, the sheet as one write, the arrival card: kept whole or not at all. */
import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { as, client, cloneOf, reloaded, value, type TestDatabase } from '../../../../tests/database.ts';
import { SCREENING } from '#lib/catalogue/screening.ts';
import type { ScreenAnswers } from '#lib/core/client/screening.ts';
import { intakeOf } from '../repo/intake-repo.ts';
import { measurements, testResults, totals } from '../repo/sheet-repo.ts';
import type { Context } from './actor.ts';
import { dropGoal, saveComplaint, saveGoal, type NewComplaint, type NewGoal } from './ask.ts';
import { fitContextOf } from '../record/fit-of.ts';
import { usualNow } from '../record/facts-of.ts';
import type { ClientRecord } from '../record/load.ts';
import { registerClient, type Registration } from './register-client.ts';
import { closeFlag } from './flags.ts';
import {
	confirmPhase,
	enterProtocol,
	liftLimit,
	recordNoLimits,
	recordSurgery,
	setLimit,
	withdrawSurgery
} from './protocols.ts';
import { arrive } from './arrive.ts';
import { screenClient } from './screen-client.ts';
import { saveSheet, type NewSheet } from './save-sheet.ts';
import { prescribe } from './prescribe.ts';
import { FAMILIES } from '#lib/catalogue/families.ts';

let d: TestDatabase;
let physio: Context;
let trainer: Context;
beforeAll(async () => {
	d = await cloneOf('template_demo');
	[physio, trainer] = [await as(d, 'physiotherapist'), await as(d, 'trainer')];
});
afterAll(() => d.close());

const TODAY = '2026-03-12';
const ALL_NO: ScreenAnswers = Object.fromEntries(SCREENING.map((c) => [c.id, 'no']));
const registration = (patch: Partial<Registration> = {}): Registration => ({
	id: randomUUID(),
	personId: randomUUID(),
	settingId: randomUUID(),
	name: 'Perrin Oakshott',
	born: '1953-03-12',
	sex: 'female',
	heightCm: 165,
	massKg: 68,
	technique: null,
	policyId: 'pain-monitored',
	frontOfKnee: false,
	usual: {},
	units: 'imperial',
	language: 'en',
	homeKit: ['chair'],
	days: [1, 4],
	minutes: 15,
	consents: [
		{ id: randomUUID(), purpose: 'keep-record', given: true },
		{ id: randomUUID(), purpose: 'letters', given: false }
	],
	...patch
});
const newcomer = async (): Promise<string> => value(await registerClient(physio, registration()));
const reload = (id: string): Promise<ClientRecord> => reloaded(physio, id);
const screen = (id: string, answers: ScreenAnswers, ctx = trainer, sid: string = randomUUID()) =>
	screenClient(ctx, { id: sid, clientId: id, day: TODAY, answers });

describe('registering', () => {
	it('keeps person, consent by purpose with its day, home kit, days and units', async () => {
		const id = await newcomer();
		const { head } = await reload(id);
		expect(head).toMatchObject({
			sex: 'female',
			setting: { units: 'imperial', homeKit: ['chair'], days: [1, 4], minutes: 15, language: 'en' }
		});
		const { consents } = await physio.inPractice((t) => intakeOf(t, id));
		expect(consents.map((c) => [c.purpose, c.given, c.day])).toEqual(
			expect.arrayContaining([
				['keep-record', true, TODAY],
				['letters', false, TODAY]
			])
		);
	});
	it('without consent to keep a record nothing is kept', async () => {
		const r = registration({ consents: [{ id: randomUUID(), purpose: 'letters', given: true }] });
		expect(await registerClient(physio, r)).toMatchObject({
			ok: false,
			refusal: { field: 'consent.keep-record' }
		});
		expect((await d.owner.query('select 1 from client where id = $1', [r.id])).rowCount).toBe(0);
	});
	it('a birth date of the wrong century is asked about', async () =>
		expect(await registerClient(physio, registration({ born: '1853-03-12' }))).toMatchObject({
			ok: false,
			refusal: { field: 'born' }
		}));
});

describe('screening', () => {
	it('each yes is one flag with its urgency, emergency first; the same form twice, and the next screening, open no second one', async () => {
		const id = await newcomer();
		const answers = {
			...ALL_NO,
			'calf-swelling': 'yes',
			'hot-swollen-joint': 'yes',
			'pelvic-floor': 'yes',
			'recent-surgery': 'yes'
		} as const;
		const sid = randomUUID();
		expect(value(await screen(id, answers, trainer, sid)).raised.map((f) => [f.code, f.severity])).toEqual([
			['hot-swollen-joint', 'red'],
			['calf-swelling', 'red'],
			['pelvic-floor', 'caution']
		]);
		expect(value(await screen(id, answers, trainer, sid)).raised).toHaveLength(3);
		expect(await screen(id, { ...answers, 'calf-swelling': 'no' }, trainer, sid)).toMatchObject({
			ok: false,
			refusal: { why: 'conflict' }
		});
		expect(value(await screen(id, answers)).raised).toEqual([]);
		expect((await reload(id)).head.flags.map((f) => f.urgency).sort()).toEqual([
			'caution',
			'emergency',
			'urgent'
		]);
	});
	it('answering no later does not close a flag', async () => {
		const id = await newcomer();
		value(await screen(id, { ...ALL_NO, 'locked-knee': 'yes' }));
		value(await screen(id, ALL_NO));
		expect((await reload(id)).head.flags).toMatchObject([{ code: 'locked-knee', open: true }]);
	});
	it('an unanswered category makes it incomplete, a made-up one is refused', async () => {
		const id = await newcomer();
		const { 'night-pain': _, ...rest } = ALL_NO;
		expect(value(await screen(id, rest)).complete).toBe(false);
		expect(await screen(id, { ...ALL_NO, planted: 'yes' })).toMatchObject({
			ok: false,
			refusal: { field: 'planted' }
		});
	});
});

describe('closing a flag', () => {
	const flagged = async (): Promise<{ id: string; flagId: string }> => {
		const id = await newcomer();
		value(await screen(id, { ...ALL_NO, 'calf-swelling': 'yes' }));
		return { id, flagId: (await reload(id)).head.flags[0]?.id as string };
	};
	const clearance = { by: 'Dr A. Example, vascular clinic', on: TODAY, document: 'letter 12/3' };
	it('by a licensed user with a note; by an external clearance with name, date and document; both are logged', async () => {
		const [a, b] = [await flagged(), await flagged()];
		value(
			await closeFlag(physio, {
				id: randomUUID(),
				clientId: a.id,
				flagId: a.flagId,
				note: 'seen and ruled out'
			})
		);
		value(
			await closeFlag(physio, { id: randomUUID(), clientId: b.id, flagId: b.flagId, note: '', clearance })
		);
		expect((await reload(a.id)).head.flags[0]).toMatchObject({
			open: false,
			closing: { by: 'licensed', note: 'seen and ruled out' }
		});
		expect((await reload(b.id)).head.flags[0]).toMatchObject({
			open: false,
			closing: { by: 'external', clearedBy: clearance.by, clearedOn: TODAY, document: 'letter 12/3' }
		});
		const { rows } = await d.owner.query('select what from access_log where client_id = $1 order by what', [
			b.id
		]);
		expect(rows).toEqual([{ what: 'flag closed by external clearance' }]);
	});
	it('a trainer closes none where there is a licensed user, and with a document where there is none', async () => {
		const { id, flagId } = await flagged();
		const asTrainer = (c?: typeof clearance) =>
			closeFlag(trainer, {
				id: randomUUID(),
				clientId: id,
				flagId,
				note: 'fine',
				...(c === undefined ? {} : { clearance: c })
			});
		expect(await asTrainer()).toMatchObject({ ok: false, refusal: { why: 'not-allowed' } });
		expect(await asTrainer(clearance)).toMatchObject({ ok: false, refusal: { why: 'not-allowed' } });
		await d.owner.query(
			`update member set licensed_until = '2020-01-01' where 'physiotherapist' = any(roles)`
		);
		expect(await asTrainer()).toMatchObject({ ok: false, refusal: { why: 'not-allowed' } });
		// A document clears; that it was a mistake is a licensed user's to say, even so.
		expect(
			await closeFlag(trainer, {
				id: randomUUID(),
				clientId: id,
				flagId,
				note: 'fine',
				clearance,
				mistaken: true
			})
		).toMatchObject({ ok: false, refusal: { why: 'not-allowed' } });
		expect(await asTrainer(clearance)).toMatchObject({ ok: true });
		await d.owner.query(
			`update member set licensed_until = '2099-12-31' where 'physiotherapist' = any(roles)`
		);
	});
	it('names what is missing: who, when, which document, a day before the flag, the future', async () => {
		const { id, flagId } = await flagged();
		const tried = async (patch: Partial<typeof clearance>) => {
			const r = await closeFlag(physio, {
				id: randomUUID(),
				clientId: id,
				flagId,
				note: '',
				clearance: { ...clearance, ...patch }
			});
			return r.ok ? 'closed' : r.refusal.field;
		};
		expect([
			await tried({ by: ' ' }),
			await tried({ on: 'soon' }),
			await tried({ on: '2026-03-13' }),
			await tried({ on: '2026-03-01' }),
			await tried({ document: '' })
		]).toEqual(['clearedBy', 'clearedOn', 'clearedOn', 'clearedOn', 'document']);
		expect((await reload(id)).head.flags[0]?.open).toBe(true);
	});
	it('the database itself refuses an external closing without its document', async () => {
		const { flagId } = await flagged();
		await expect(
			d.owner.query(
				`insert into flag_closing (practice_id, id, flag_id, local_day, note, closed_by, written_by, content_hash) select practice_id, gen_random_uuid(), id, local_day, '', 'external', written_by, 'x' from flag where id = $1`,
				[flagId]
			)
		).rejects.toThrow(/external_is_named/);
	});
});

describe('an operation', () => {
	it('waits for its protocol, takes the limits as given, and a hip limit caps the sitting fold', async () => {
		const id = await newcomer();
		expect(
			await recordSurgery(trainer, {
				id: randomUUID(),
				clientId: id,
				region: 'hip-left',
				operatedOn: 'last spring'
			})
		).toMatchObject({ ok: false, refusal: { field: 'operatedOn' } });
		value(
			await recordSurgery(trainer, {
				id: randomUUID(),
				clientId: id,
				region: 'hip-left',
				operatedOn: '2026-02-01'
			})
		);
		const surgeryId = (await reload(id)).head.surgery[0]?.id as string;
		const phase = {
			fromWeek: 0,
			toWeek: 6,
			weightBearing: 'full' as const,
			windows: [{ axis: 'hipFlexion' as const, side: 'left' as const, maxDeg: 90 }],
			forbidden: []
		};
		const protocol = {
			id: randomUUID(),
			clientId: id,
			surgeryId,
			source: 'St Example, sheet of 3 Feb',
			reviewOn: '2026-04-01',
			phases: [phase, { ...phase, fromWeek: 6, toWeek: null, windows: [] }]
		};
		expect(await enterProtocol(trainer, protocol)).toMatchObject({
			ok: false,
			refusal: { why: 'not-allowed' }
		});
		expect(await enterProtocol(physio, { ...protocol, source: '' })).toMatchObject({
			ok: false,
			refusal: { field: 'source' }
		});
		expect(await enterProtocol(physio, { ...protocol, phases: [] })).toMatchObject({
			ok: false,
			refusal: { why: 'invalid' }
		});
		expect(await enterProtocol(physio, { ...protocol, phases: [{ ...phase, toWeek: 0 }] })).toMatchObject({
			ok: false,
			refusal: { field: 'phase.0.fromWeek' }
		});
		value(await enterProtocol(physio, protocol));
		const r = await reload(id);
		expect(r.head.surgery).toMatchObject([
			{ region: 'hip-left', limitsEntered: true, protocol: { phases: [{ confirmedOn: TODAY }, {}] } }
		]);
		expect(fitContextOf(r, TODAY).protocolLimits).toEqual([
			{ axis: 'thighTrunkFlexion', side: 'left', maxDeg: 90 }
		]);
		expect(await confirmPhase(physio, { id: randomUUID(), clientId: id, surgeryId, phase: 2 })).toMatchObject(
			{ ok: false, refusal: { field: 'phase', message: 'Phase 2 begins in week 7; this is week 6.' } }
		);
		const later = { ...physio, today: '2026-03-16' };
		expect(fitContextOf(await reload(id), '2026-03-16').protocolLimits).toHaveLength(1);
		value(await confirmPhase(later, { id: randomUUID(), clientId: id, surgeryId, phase: 2 }));
		expect(fitContextOf(await reload(id), '2026-03-16').protocolLimits).toEqual([]);
		expect(await confirmPhase(later, { id: randomUUID(), clientId: id, surgeryId, phase: 2 })).toMatchObject({
			ok: false,
			refusal: { why: 'conflict' }
		});
		expect(
			await withdrawSurgery(trainer, { id: randomUUID(), clientId: id, surgeryId, reason: 'wrong client' })
		).toMatchObject({ ok: false, refusal: { why: 'not-allowed' } });
		value(
			await withdrawSurgery(physio, { id: randomUUID(), clientId: id, surgeryId, reason: 'wrong client' })
		);
		expect((await reload(id)).head.surgery).toEqual([]);
	});
	it('a limit without an operation binds, is lifted on somebody’s word, and the same one twice is one', async () => {
		const id = await newcomer();
		const limit = {
			id: randomUUID(),
			clientId: id,
			axis: 'kneeFlexion' as const,
			side: 'right' as const,
			maxDeg: 70,
			source: 'letter of today'
		};
		expect(await setLimit(trainer, limit)).toMatchObject({ ok: false, refusal: { why: 'not-allowed' } });
		expect(await setLimit(physio, { ...limit, minDeg: 80 })).toMatchObject({
			ok: false,
			refusal: { field: 'minDeg' }
		});
		value(await setLimit(physio, limit));
		value(await setLimit(physio, limit));
		const { limits } = (await reload(id)).head;
		expect(limits).toMatchObject([{ axis: 'kneeFlexion', maxDeg: 70, since: TODAY }]);
		value(
			await liftLimit(physio, {
				id: randomUUID(),
				clientId: id,
				limitId: limits[0]?.id as string,
				reason: 'surgeon’s letter of today'
			})
		);
		expect((await reload(id)).head.limits).toEqual([]);
	});
	it('no limits means none, never typical ones', async () => {
		const id = await newcomer();
		value(
			await recordSurgery(trainer, {
				id: randomUUID(),
				clientId: id,
				region: 'knee-right',
				operatedOn: '2026-02-01'
			})
		);
		const surgeryId = (await reload(id)).head.surgery[0]?.id as string;
		expect(
			await recordNoLimits(physio, {
				id: randomUUID(),
				clientId: id,
				surgeryId,
				by: 'Dr Example, surgeon',
				on: '2026-01-31'
			})
		).toMatchObject({ ok: false, refusal: { field: 'on' } });
		// Said on the day of the operation itself, as surgeons do.
		value(
			await recordNoLimits(physio, {
				id: randomUUID(),
				clientId: id,
				surgeryId,
				by: 'Dr Example, surgeon',
				on: '2026-02-01'
			})
		);
		const r = await reload(id);
		expect(r.head.surgery).toMatchObject([
			{ limitsEntered: true, noLimits: 'Dr Example, surgeon, 2026-02-01', protocol: null }
		]);
		expect(fitContextOf(r, TODAY).protocolLimits).toEqual([]);
	});
});

describe('what hurts', () => {
	const complaint = (clientId: string, patch: Partial<NewComplaint> = {}): NewComplaint => ({
		id: randomUUID(),
		settingId: randomUUID(),
		clientId,
		region: 'knee-right',
		spot: 'front',
		usualMorning: 2,
		worst: 6,
		loaded: 'yes',
		painAt: 'late',
		position: 'stairs',
		...patch
	});
	it('sets the usual that decisions begin from, and the front of the knee', async () => {
		const id = await newcomer();
		value(await saveComplaint(trainer, complaint(id)));
		value(await saveComplaint(trainer, complaint(id, { region: 'back', spot: 'low', usualMorning: 3 })));
		const r = await reload(id);
		expect(r.head.setting).toMatchObject({
			frontOfKnee: true,
			usual: { 'knee-right': { intake: 2 }, back: { intake: 3 } }
		});
		expect(usualNow(r, 'back', TODAY)).toBe(3);
		const again = complaint(id, { usualMorning: 1, spot: 'inner' });
		value(await saveComplaint(trainer, again));
		value(await saveComplaint(trainer, again));
		expect((await reload(id)).head.setting).toMatchObject({
			frontOfKnee: false,
			usual: { 'knee-right': { intake: 1 } }
		});
		expect((await physio.inPractice((t) => intakeOf(t, id))).complaints.map((c) => c.region).sort()).toEqual([
			'back',
			'knee-right'
		]);
	});
	it('a usual above the worst is asked about, and nothing is kept', async () => {
		const id = await newcomer();
		expect(await saveComplaint(trainer, complaint(id, { usualMorning: 7, worst: 3 }))).toMatchObject({
			ok: false,
			refusal: { field: 'usualMorning' }
		});
		expect((await reload(id)).head.setting.usual).toEqual({});
	});
});

describe('goals', () => {
	const goal = (clientId: string, patch: Partial<NewGoal> = {}): NewGoal => ({
		id: randomUUID(),
		clientId,
		activity: 'low-chair',
		label: 'Sofa',
		score: 4,
		confidence: 5,
		point: { family: 'squat', step: 'standard-seat', heightCm: 42 },
		...patch
	});
	it('are scored again without losing the first score, dropped without leaving the record, five at most', async () => {
		const id = await newcomer();
		const first = goal(id);
		value(await saveGoal(trainer, first));
		value(await saveGoal(trainer, goal(id, { score: 7, replaces: first.id })));
		const { goals } = await physio.inPractice((t) => intakeOf(t, id));
		expect(goals).toMatchObject([
			{ score: 7, point: { heightCm: 42 }, scores: [{ score: 4 }, { score: 7 }] }
		]);
		expect(await saveGoal(trainer, goal(id, { replaces: first.id }))).toMatchObject({
			ok: false,
			refusal: { why: 'conflict' }
		});
		value(await dropGoal(trainer, { id: randomUUID(), clientId: id, goalId: goals[0]?.id as string }));
		expect((await physio.inPractice((t) => intakeOf(t, id))).goals).toEqual([]);
		for (let i = 0; i < 5; i++) value(await saveGoal(trainer, goal(id)));
		expect(await saveGoal(trainer, goal(id))).toMatchObject({ ok: false, refusal: { field: 'activity' } });
	});
	it('a step that is not on the ladder, a height no chair has, an activity nobody listed: refused', async () => {
		const id = await newcomer();
		expect(await saveGoal(trainer, goal(id, { point: { family: 'squat', step: 'no-such' } }))).toMatchObject({
			ok: false
		});
		expect(
			await saveGoal(trainer, goal(id, { point: { family: 'squat', step: 'standard-seat', heightCm: 420 } }))
		).toMatchObject({ ok: false, refusal: { field: 'height' } });
		expect(await saveGoal(trainer, goal(id, { activity: 'flying' }))).toMatchObject({
			ok: false,
			refusal: { field: 'activity' }
		});
	});
});

describe('the measure sheet', () => {
	const range = (axis: 'kneeFlexion' | 'hipFlexion', side: 'left' | 'right', end: number) => ({
		id: randomUUID(),
		axis,
		side,
		range: { end },
		method: 'goniometer',
		loaded: false
	});
	const sheet = (patch: Partial<NewSheet> = {}): NewSheet => ({
		day: TODAY,
		ranges: [range('kneeFlexion', 'left', 132), range('kneeFlexion', 'right', 96)],
		tests: [
			{ id: randomUUID(), test: 'chair-stand-30s', side: null, value: 9, extras: {}, method: 'by hand' }
		],
		totals: [{ id: randomUUID(), instrument: 'lefs', version: 'en 1999', total: 41 }],
		...patch
	});
	const kept = async (id: string): Promise<number[]> =>
		physio.inPractice(async (t) => [
			(await measurements(t, id)).length,
			(await testResults(t, id)).length,
			(await totals(t, id)).length
		]);
	it('keeps ranges, tests and totals in one write, and the same sheet twice is one', async () => {
		const id = await newcomer();
		const s = sheet();
		expect([value(await saveSheet(trainer, id, s)), value(await saveSheet(trainer, id, s))]).toEqual([4, 4]);
		expect(await kept(id)).toEqual([2, 1, 1]);
		const [[test], [total]] = await physio.inPractice(
			async (t) => [await testResults(t, id), await totals(t, id)] as const
		);
		expect([test?.value, total?.total]).toEqual([9, 41]);
	});
	it.each([
		['an impossible knee', { ranges: [range('kneeFlexion', 'left', 190)] }, 'kneeFlexion.left.end'],
		['a knee in radians', { ranges: [range('kneeFlexion', 'left', 1.2)] }, 'kneeFlexion.left.end'],
		[
			'half a rise',
			{
				tests: [
					{ id: randomUUID(), test: 'chair-stand-30s', side: null, value: 9.5, extras: {}, method: 'x' }
				]
			},
			'test.chair-stand-30s.value'
		],
		[
			'stairs without their steps',
			{
				tests: [
					{
						id: randomUUID(),
						test: 'stair-climb',
						side: null,
						value: 20,
						extras: { riseCm: 18 },
						method: 'x'
					}
				]
			},
			'test.stair-climb.steps'
		],
		[
			'a force without its lever',
			{
				tests: [
					{
						id: randomUUID(),
						test: 'strength-knee-extension',
						side: 'left' as const,
						value: 300,
						extras: {},
						method: 'x'
					}
				]
			},
			'test.strength-knee-extension.left.leverCm'
		],
		[
			'a walk with a resting pulse of 130',
			{
				tests: [
					{
						id: randomUUID(),
						test: 'six-minute-walk',
						side: null,
						value: 400,
						extras: { restingPulse: 130 },
						method: 'x'
					}
				]
			},
			'test.six-minute-walk.value'
		],
		[
			'a total past its range',
			{ totals: [{ id: randomUUID(), instrument: 'oks', version: '', total: 60 }] },
			'total.value'
		],
		['a day to come', { day: '2026-03-13' }, 'day']
	])('%s is refused by name and nothing of the sheet is kept', async (_, patch, field) => {
		const id = await newcomer();
		expect(await saveSheet(trainer, id, sheet(patch))).toMatchObject({ ok: false, refusal: { field } });
		expect(await kept(id)).toEqual([0, 0, 0]);
	});
	it('a conflict in the last row rolls the first ones back', async () => {
		const id = await newcomer();
		const taken = { id: randomUUID(), instrument: 'lefs', version: 'en', total: 40 };
		value(await saveSheet(trainer, id, sheet({ ranges: [], tests: [], totals: [taken] })));
		expect(await saveSheet(trainer, id, sheet({ totals: [{ ...taken, total: 50 }] }))).toMatchObject({
			ok: false,
			refusal: { why: 'conflict' }
		});
		expect(await kept(id)).toEqual([0, 0, 1]);
	});
	it('a range far from all others of its movement is asked about by its number, and kept when confirmed; the first ever is not', async () => {
		const id = await newcomer();
		const only = (side: 'left' | 'right', deg: number) =>
			sheet({ ranges: [range('kneeFlexion', side, deg)], tests: [], totals: [] });
		value(await saveSheet(trainer, id, only('left', 135)));
		const mistyped = only('left', 14);
		const asked = await saveSheet(trainer, id, mistyped);
		expect(asked).toMatchObject({ ok: false, refusal: { field: 'kneeFlexion.far' } });
		expect(asked.ok ? '' : asked.refusal.message).toContain('Sure? 14°');
		expect(value(await saveSheet(trainer, id, { ...mistyped, confirmed: ['kneeFlexion'] }))).toBe(1);
		// Confirmed once, it is one of the others.
		expect(value(await saveSheet(trainer, id, only('left', 20)))).toBe(1);
		// The other side's reading of the same sheet is one of the others too.
		const fresh = await newcomer();
		expect(
			await saveSheet(
				trainer,
				fresh,
				sheet({
					ranges: [range('kneeFlexion', 'left', 130), range('kneeFlexion', 'right', 13)],
					tests: [],
					totals: []
				})
			)
		).toMatchObject({ ok: false, refusal: { field: 'kneeFlexion.far' } });
	});
	it('sides swapped against the last sheet are asked about, and kept when confirmed', async () => {
		const id = await newcomer();
		value(await saveSheet(trainer, id, sheet()));
		const swapped = sheet({
			ranges: [range('kneeFlexion', 'left', 97), range('kneeFlexion', 'right', 131)],
			tests: [],
			totals: []
		});
		expect(await saveSheet(trainer, id, swapped)).toMatchObject({
			ok: false,
			refusal: { field: 'kneeFlexion.swap' }
		});
		expect(value(await saveSheet(trainer, id, { ...swapped, confirmed: ['kneeFlexion'] }))).toBe(2);
		expect(value(await saveSheet(trainer, id, { ...swapped, confirmed: ['kneeFlexion'] }))).toBe(2);
	});
});

describe('the arrival card', () => {
	const card = (clientId: string, now: number | undefined, patch = {}) =>
		arrive(trainer, {
			id: randomUUID(),
			clientId,
			day: TODAY,
			pains: { 'knee-right': now },
			fever: 'no',
			fall: 'no',
			newSwelling: 'no',
			calf: 'no',
			...patch
		});
	it('reads usual from the record, keeps the last card of the day, and keeps nothing while a question is open', async () => {
		const wren = (await client(physio, 'Wren')).head.id;
		expect(value(await card(wren, undefined)).answer).toBe('ask');
		expect((await client(physio, 'Wren')).head.arrivals).toEqual([]);
		expect(value(await card(wren, 4)).answer).toBe('lighter');
		expect(value(await card(wren, 2, { fall: 'yes' })).answer).toBe('ask');
		expect(value(await card(wren, 2, { fever: 'yes' })).answer).toBe('not-today');
		expect((await client(physio, 'Wren')).head.arrivals.map((a) => a.answer)).toEqual(['not-today']);
	});
});

describe('a caution withholds steps by their tags', () => {
	it('a trainer cannot prescribe one, a licensed user only with a reason', async () => {
		const tagged = FAMILIES.squat?.steps.find((s) => s.tags.includes('breath-holding'));
		if (tagged === undefined) throw new Error('no step of the family tempts to hold the breath');
		const tamsin = await client(physio, 'Tamsin');
		value(await screen(tamsin.head.id, { ...ALL_NO, 'high-blood-pressure': 'yes' }));
		const p = {
			id: randomUUID(),
			exerciseId: randomUUID(),
			clientId: tamsin.head.id,
			family: 'squat',
			step: tagged.id,
			region: 'hip-left',
			sets: 1,
			reps: 5,
			loadKg: 0
		};
		expect(await prescribe(physio, p)).toMatchObject({
			ok: false,
			refusal: { field: 'reason', message: expect.stringContaining('withheld') as string }
		});
	});
});
