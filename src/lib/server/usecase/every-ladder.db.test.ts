/** Every ladder with a record behind it: other families prescribed and decided, positions and clearances, a practice's own steps. */
import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { as, client, cloneOf, reloaded, value, type TestDatabase } from '../../../../tests/database.ts';
import { FAMILIES, findStep } from '#lib/catalogue/families.ts';
import type { ExerciseFamily, Step } from '#lib/core/exercise/family.ts';
import { fitFamily, fitStep } from '#lib/core/fit/fit.ts';
import { candidatesOf, isOpen } from '#lib/core/fit/open.ts';
import { gatesOf } from '../record/gates-of.ts';
import { atHand } from '../record/context-of.ts';
import { decideInputOf, flipped, slipOf } from '../record/slip-of.ts';
import { fitContextOf } from '../record/fit-of.ts';
import type { ClientRecord } from '../record/load.ts';
import type { Context } from './actor.ts';
import { changeSetting } from './change-setting.ts';
import { envelopeView } from './envelope-view.ts';
import { firstUnmet, laddersView } from './ladders-view.ts';
import { logVisit } from './log-visit.ts';
import { judgedBy } from './judge-anew.ts';
import { ownFamilies, saveFamilies } from './own-families.ts';
import { showToday } from './show-today.ts';
import { unjudged } from '../repo/standing-repo.ts';
import { prescribe, type NewPrescription } from './prescribe.ts';

let d: TestDatabase;
let physio: Context;
let trainer: Context;
beforeAll(async () => {
	d = await cloneOf('template_demo');
	[physio, trainer] = [await as(d, 'physiotherapist'), await as(d, 'trainer')];
});
afterAll(() => d.close());

const TODAY = '2026-03-12';
const reload = (id: string): Promise<ClientRecord> => reloaded(physio, id);
const give = (r: ClientRecord, family: string, step: string, patch: Partial<NewPrescription> = {}) =>
	prescribe(physio, {
		id: randomUUID(),
		exerciseId: randomUUID(),
		clientId: r.head.id,
		family,
		step,
		region: Object.keys(r.head.setting.usual)[0] as string,
		sets: 1,
		reps: 5,
		loadKg: 0,
		...patch
	});

describe('prescribing on other ladders', () => {
	it('a step-up is given at the height that was solved, a hold counts seconds, and both come to a slip', async () => {
		const r = await client(physio, 'Tamsin');
		value(await give(r, 'step', 'low-step-up'));
		value(await give(r, 'isometrics', 'wall-slide-hold', { sets: 3, reps: 30 }));
		const after = await reload(r.head.id);
		const [step, hold] = [
			after.exercises.find((e) => e.family === 'step'),
			after.exercises.find((e) => e.family === 'isometrics')
		];
		expect(step?.prescriptions[0]).toMatchObject({ step: 'low-step-up', setup: { stepCm: 8 } });
		expect(step?.purpose).toBe('stairs');
		expect(hold?.prescriptions[0]?.dose).toMatchObject({
			sets: 3,
			reps: 30,
			unit: 'sec',
			target: { sets: 5, reps: 45 }
		});
		for (const e of [step, hold])
			if (e !== undefined)
				expect(['hold', 'wait', 'advance', 'regress'], e.family).toContain(
					slipOf(after, e, TODAY, 0).trace.decision
				);
		// Two exercises of one region: each knows of the other.
		if (step !== undefined)
			expect(decideInputOf(after, step, TODAY, 0).input.others.length).toBeGreaterThanOrEqual(2);
	});
	it('a step with a set-up past a limit is refused with the joint that stops it; inside, the set-up is kept', async () => {
		const r = await client(physio, 'Wren');
		expect(await give(r, 'leg-press', 'leg-press', { setup: { sledCm: 40 } })).toMatchObject({
			ok: false,
			refusal: { field: 'reason' }
		});
		value(await give(r, 'leg-press', 'leg-press', { setup: { sledCm: 74 } }));
		expect(
			(await reload(r.head.id)).exercises.find((e) => e.family === 'leg-press')?.prescriptions[0]?.setup
		).toEqual({ sledCm: 74 });
	});
	it('what was seen and logged on a step opens the gate that asked for it', async () => {
		const r = await reload((await client(physio, 'Tamsin')).head.id);
		const step = r.exercises.find((e) => e.family === 'step');
		const head = step?.prescriptions[0];
		if (step === undefined || head === undefined) throw new Error('no step');
		const session = {
			date: TODAY,
			observed: true,
			prescribed: { sets: 1, reps: 8 },
			sets: [{ reps: 8, effort: 4, cleanReps: 8 }],
			pains: [{ region: step.region, before: 1, peak: 1, after: 1 }],
			symptoms: [],
			faults: {}
		};
		value(
			await logVisit(physio, {
				id: randomUUID(),
				visitId: randomUUID(),
				clientId: r.head.id,
				exerciseId: step.id,
				prescriptionId: head.id,
				session
			})
		);
		const after = await reload(r.head.id);
		// Eight clean open what asked for eight clean.
		const gates = gatesOf(after, findStep('lateral-step-up')?.step as Step, TODAY);
		expect(gates).toMatchObject([{ met: true, shown: '1×8 (best set 8)' }]);
	});
	it('both legs of one session open a gate that compares them, and only their own', async () => {
		const r = await client(physio, 'Saskia');
		value(
			await give(r, 'squat', 'toe-touch-squat', {
				exerciseId: r.exercises[0]?.id as string,
				reason: 'one leg at a time from here'
			})
		);
		const given = await reload(r.head.id);
		const e = given.exercises[0];
		const head = e?.prescriptions.at(-1);
		if (e === undefined || head === undefined) throw new Error('not given');
		const sidesGate = async () =>
			gatesOf(await reload(r.head.id), findStep('single-leg-to-seat')?.step as Step, TODAY);
		expect(await sidesGate()).toMatchObject([{ met: false }, { met: false, shown: '0 % (left 0, right 0)' }]);
		const set = { reps: 10, effort: 5, cleanReps: 8, otherClean: 10 };
		const session = {
			date: TODAY,
			observed: true,
			prescribed: { sets: 3, reps: 10 },
			sets: [set, set, set],
			pains: [{ region: e.region, before: 1, peak: 1, after: 1 }],
			symptoms: [],
			faults: {}
		};
		value(
			await logVisit(physio, {
				id: randomUUID(),
				visitId: randomUUID(),
				clientId: r.head.id,
				exerciseId: e.id,
				prescriptionId: head.id,
				session
			})
		);
		// 24 of 30 are four fifths; the thirty of the sound leg are not three clean tens of the sore one.
		expect(await sidesGate()).toMatchObject([
			{ met: false, shown: '0×10 (best set 8)' },
			{ met: true, shown: '80 % (left 24, right 30)' }
		]);
	});
});

describe('positions, clearances, equipment', () => {
	it('a position that is not tolerated closes its steps; a trainer may enter it', async () => {
		const r = await client(physio, 'Lotte');
		value(
			await changeSetting(trainer, r.head.id, randomUUID(), { positions: { kneeling: 'no', prone: 'yes' } })
		);
		const after = await reload(r.head.id);
		const ctx = fitContextOf(after, TODAY);
		expect(fitStep(findStep('kneeling-hinge')?.step as Step, ctx)).toMatchObject({
			verdict: 'blocked',
			positions: [
				{ position: 'kneeling', answer: 'no' },
				{ position: 'floor-transfer', answer: 'unknown' }
			]
		});
		expect(await give(after, 'hinge', 'kneeling-hinge')).toMatchObject({
			ok: false,
			refusal: { message: expect.stringContaining('kneeling') as string }
		});
	});
	it('impact is cleared by a licensed user only, and opens its gate', async () => {
		const r = await client(physio, 'Odile');
		expect(await changeSetting(trainer, r.head.id, randomUUID(), { clearances: ['impact'] })).toMatchObject({
			ok: false,
			refusal: { why: 'not-allowed' }
		});
		const gate = async () =>
			gatesOf(await reload(r.head.id), findStep('squat-jump')?.step as Step, TODAY).find(
				(g) => g.gate.kind === 'clearance'
			)?.met;
		expect(await gate()).toBe(false);
		value(await changeSetting(physio, r.head.id, randomUUID(), { clearances: ['impact'] }));
		expect(await gate()).toBe(true);
	});
	it('at home there is what the home kit says, in the practice what its list says', async () => {
		const r = await client(physio, 'Lotte');
		expect(atHand(r, 'home')).toEqual(['wall', 'chair']);
		expect(atHand(r, 'practice')).toEqual(expect.arrayContaining(['leg-press', 'step', 'wedge']));
		const view = laddersView(r, TODAY);
		const blocked = (place: 'home' | 'both') =>
			Object.values(FAMILIES)
				.flatMap((f) => fitFamily(f, { ...view.ctx, equipment: view.kit[place] }))
				.filter((x) => x.missing.length > 0).length;
		expect(blocked('home')).toBeGreaterThan(20);
		expect(blocked('both')).toBe(0);
	});
	it('the envelope counts as open what the ladders do: what waits for a gate is allowed, and not open', async () => {
		const r = await client(physio, 'Wren');
		const { open, allowed, steps } = envelopeView(r, TODAY);
		const { ctx, now, gates } = laddersView(r, TODAY);
		const used = [...new Set(r.exercises.map((e) => r.families[e.family]!))];
		const counted = used.flatMap((f) =>
			candidatesOf(f, fitFamily(f, ctx), now[f.id]?.step, (id) => gates[id]?.every((g) => g.met) !== false)
		);
		expect([steps, open]).toEqual([counted.length, counted.filter(isOpen).length]);
		expect([open < allowed, allowed <= steps, open > 0]).toEqual([true, true, true]);
	});
	it('a row of the ladders says the first gate that is not met, and nothing of a step whose gates are', async () => {
		const { gates } = laddersView(await client(physio, 'Wren'), TODAY);
		const waits = firstUnmet(gates);
		for (const [step, of] of Object.entries(gates)) {
			const [first] = of.filter((g) => !g.met);
			expect(waits[step], step).toEqual(first && { asks: first.asks, text: first.text });
		}
		expect(Object.keys(waits).length).toBeGreaterThan(50);
		expect(Object.keys(waits).length).toBeLessThan(Object.keys(gates).length);
		// A step of several gates, the first of them met: it waits for the other.
		const two = { step: [{ met: true }, { met: false, asks: 'b', text: 'b so far' }] };
		expect(firstUnmet(two as never)).toEqual({ step: { asks: 'b', text: 'b so far' } });
	});
	it('the balance that was tested counts for its gate, side by side', async () => {
		const r = await client(physio, 'Wren');
		const gates = gatesOf(r, findStep('single-leg-head-turns')?.step as Step, TODAY);
		expect(gates[0]?.shown).toMatch(/left \d+ s, right \d+ s/);
	});
});

describe('a practice’s own steps', () => {
	const seat = FAMILIES.squat?.steps.find((s) => s.id === 'standard-seat') as Step;
	const rise: Step = {
		...seat,
		id: 'own-punt-rise',
		title: 'Punt seat rise',
		short: 'Punt',
		gates: [],
		next: [],
		easier: null,
		sources: ['practice-setting']
	};
	const family = (steps: readonly Step[]): ExerciseFamily => ({
		id: 'own-punt',
		title: 'Punt ladder',
		purposes: ['sit-to-stand'],
		steps,
		faults: [],
		cues: { ordinary: ['Feet under you', 'Push the deck away'] },
		cautions: []
	});
	it('are written by a licensed user, all of a file or nothing, with the line of what is wrong', async () => {
		expect(await saveFamilies(trainer, JSON.stringify(family([rise])))).toMatchObject({
			ok: false,
			refusal: { why: 'not-allowed' }
		});
		const text = JSON.stringify(
			[
				family([rise]),
				{
					...family([{ ...rise, id: 'own-other', gates: [{ kind: 'mastered', step: 'nowhere' }] }]),
					id: 'own-second'
				}
			],
			null,
			1
		);
		const refused = value(await saveFamilies(physio, text));
		expect(refused).toMatchObject({
			faults: [{ place: 'own-second/own-other', message: expect.stringContaining('nowhere') as string }]
		});
		if ('faults' in refused)
			expect(
				text
					.split('\n')
					.slice((refused.faults[0]?.line as number) - 1, (refused.faults[0]?.line as number) + 2)
					.join()
			).toContain('own-other');
		expect(value(await ownFamilies(physio))).toEqual([]);
		value(await showToday(physio));
		expect(value(await saveFamilies(physio, JSON.stringify(family([rise]))))).toEqual({
			saved: ['Punt ladder']
		});
		expect(value(await ownFamilies(trainer))).toMatchObject([{ id: 'own-punt' }]);
		// A ladder is everybody's: what Today keeps is old for all of them.
		const old = await physio.inPractice((t) => unjudged(t, physio.today, judgedBy()));
		expect(old.length).toBeGreaterThan(1);
	});
	it('are prescribed, solved and decided like the rest', async () => {
		const r = await reload((await client(physio, 'Amos')).head.id);
		value(await give(r, 'own-punt', 'own-punt-rise'));
		const after = await reload(r.head.id);
		const e = after.exercises.find((x) => x.family === 'own-punt');
		expect(e?.prescriptions[0]).toMatchObject({
			step: 'own-punt-rise',
			snapshot: { title: 'Punt seat rise' }
		});
		expect(e?.prescriptions[0]?.setup?.seatCm).toBeGreaterThanOrEqual(46);
		if (e !== undefined) expect(slipOf(after, e, TODAY, 0).input.exercise.gentler?.length).toBeGreaterThan(0);
	});
	it('a retired one still renders in an old prescription, and is given to nobody new', async () => {
		const low: Step = {
			...rise,
			id: 'own-punt-low',
			title: 'Low punt',
			dials: { ...rise.dials, tempo: 'slow' }
		};
		expect(value(await saveFamilies(physio, JSON.stringify(family([low]))))).toMatchObject({
			faults: [{ message: expect.stringContaining('retired') as string }]
		});
		value(
			await saveFamilies(
				physio,
				JSON.stringify(family([{ ...rise, retired: { replacedBy: 'own-punt-low' } }, low]))
			)
		);
		const r = await reload((await client(physio, 'Amos')).head.id);
		const e = r.exercises.find((x) => x.family === 'own-punt');
		expect(e?.prescriptions[0]?.snapshot.title).toBe('Punt seat rise');
		if (e !== undefined) expect(flipped(slipOf(r, e, TODAY, 0)).trace.rule).not.toBe('');
		expect(
			await give(await reload((await client(physio, 'Wren')).head.id), 'own-punt', 'own-punt-rise')
		).toMatchObject({
			ok: false,
			refusal: { message: expect.stringContaining('no longer given') as string }
		});
		expect(
			fitFamily(r.families['own-punt'] as ExerciseFamily, fitContextOf(r, TODAY)).map((f) => f.step)
		).toEqual(['own-punt-low']);
	});
});
