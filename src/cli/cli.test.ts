/** The core from the command line: every topic, every kind of refusal, NDJSON in order. */
import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { z } from 'zod';
import { answer } from './answer.ts';
import { TOPICS } from './topics.ts';

type Json = Record<string, unknown>;
const one = (topic: string, input: unknown): Json => JSON.parse(answer(topic, JSON.stringify(input)).lines[0] ?? '') as Json;
const BODY = { heightCm: 168, massKg: 70 };

describe('posture', () => {
	it('answers the documented example: a 46 cm seat asks 106° of this knee, 21° more than 90° less 5° allows', () => {
		const got = one('posture', {
			body: { ...BODY, segments: { shankCm: 41.3 } },
			movement: 'squat',
			technique: 'parallel',
			setup: { seatCm: 46, heelWedgeCm: 0 },
			load: { kg: 0, at: 'none' },
			limits: { kneeFlexionDeg: 90, weightBearingDorsiflexionDeg: 30, thighTrunkFlexionDeg: 115 },
			marginDeg: 5
		});
		expect(got.feasible).toBe(false);
		expect(got.assumed).toEqual(['segments']);
		const knee = (got.checks as Json[]).find((c) => c.id === 'kneeFlexion');
		expect(Math.abs(Number(knee?.value) - 106)).toBeLessThan(0.1);
		expect(Math.abs(Number(knee?.slack) + 21)).toBeLessThan(0.1);
		expect((got.points as Json).hip).toHaveLength(2);
	});
	it('refuses a misspelt limit by name, two depths, and a movement it does not solve', () => {
		const base = { body: BODY, movement: 'squat', setup: { thighDeg: 90 } };
		expect(one('posture', { ...base, limits: { kneeFlexDeg: 80 } })).toMatchObject({ error: { code: 'unknown-key', path: 'limits.kneeFlexDeg' } });
		expect(one('posture', { ...base, limits: { hipFlexionDeg: 80 } })).toMatchObject({ error: { code: 'unknown-key' } });
		expect(one('posture', { ...base, setup: { thighDeg: 90, seatCm: 40 } })).toMatchObject({ error: { path: 'setup' } });
		expect(one('posture', { ...base, movement: 'hinge' })).toMatchObject({ error: { path: 'movement' } });
		expect(one('posture', { ...base, body: { heightCm: 1.7, massKg: 70 } })).toMatchObject({ error: { path: 'body.heightCm' } });
	});
});

describe('setup', () => {
	it('solves the documented lowest seat with techniques side by side, a band and a build', () => {
		const got = one('setup', { body: BODY, solve: 'lowest-seat', technique: 'sit-back', limits: { kneeFlexionDeg: 80, weightBearingDorsiflexionDeg: 22, thighTrunkFlexionDeg: 95 }, marginDeg: 5, band: true, furniture: { seats: [42, 46, 60], pads: [{ cm: 3, count: 3 }] } });
		expect(got).toMatchObject({ status: 'limited', unit: 'cm', band: { drawn: 200 }, build: { seat: 60, pads: [3, 3, 3], reaches: 69, short: 0 } });
		const t = got.techniques as Record<string, number>;
		for (const [k, v] of Object.entries({ 'sit-back': 67.7, parallel: 75.6, 'knee-forward': 67.7, stacked: 62.4 })) expect(Math.abs((t[k] ?? 0) - v), k).toBeLessThan(0.1);
	});
	it('never feasible says which check fails at the gentlest end, and by how much', () => {
		const got = one('setup', { body: BODY, solve: 'lowest-seat', technique: 'parallel', limits: { weightBearingDorsiflexionDeg: -8 } });
		expect(got).toMatchObject({ status: 'never-feasible', value: null, shortfall: { check: 'weightBearingDorsiflexion', unit: 'deg' } });
	});
	it('a heel wedge needs the depth it is to keep', () => {
		expect(one('setup', { body: BODY, solve: 'heel-wedge', technique: 'parallel', limits: { weightBearingDorsiflexionDeg: 28 } })).toMatchObject({ error: { code: 'depth-needed' } });
		expect(one('setup', { body: BODY, solve: 'heel-wedge', technique: 'parallel', limits: { weightBearingDorsiflexionDeg: 28 }, setup: { thighDeg: 90 } })).toMatchObject({ status: 'limited', unit: 'cm' });
	});
});

describe('fit, decide, catalogue', () => {
	const side = { painFree: 80, tolerable: 95, end: 120, date: '2026-03-01', loaded: false };
	const ankle = { painFree: 36, tolerable: 38, end: 40, date: '2026-03-01', loaded: true };
	const fit = { body: BODY, technique: 'parallel', policy: 'pain-monitored', family: 'squat', today: '2026-03-06', envelope: { kneeFlexion: { left: side, right: side }, thighTrunkFlexion: { left: { ...side, painFree: 120, tolerable: 125, end: 130 }, right: { ...side, painFree: 120, tolerable: 125, end: 130 } }, weightBearingDorsiflexion: { left: ankle, right: ankle }, positions: { kneeling: 'no' } } };
	it('fits a family, one answer a step, with what would unlock it', () => {
		const got = one('fit', fit) as unknown as Json[];
		expect(got).toHaveLength(16);
		expect(got.find((s) => s.step === 'standard-seat')).toMatchObject({ verdict: 'set-up', limiting: [{ axis: 'kneeFlexion' }, { axis: 'kneeFlexion' }] });
	});
	it('refuses an unordered range and an unknown family', () => {
		expect(one('fit', { ...fit, envelope: { kneeFlexion: { left: { ...side, painFree: 100 } } } })).toMatchObject({ error: { path: 'envelope.kneeFlexion.left' } });
		expect(one('fit', { ...fit, family: 'juggling' })).toMatchObject({ error: { code: 'unknown-family' } });
	});
	const decide = {
		policy: { base: 'pain-monitored', acceptableMax: 4 },
		client: { screening: { date: '2026-02-20', complete: true }, flags: [], surgery: [], usual: { 'knee-right': { intake: 1, longStanding: false } } },
		exercise: { id: 'e1', family: 'squat', step: 'standard-seat', region: 'knee-right', purpose: 'sit-to-stand', dose: { school: 'sets-first', sets: 2, reps: 10, loadKg: 0, target: { sets: 3, reps: 10 } }, state: 'active' },
		changes: [{ date: '2026-03-01', kind: 'start' }],
		sessions: [{ date: '2026-03-02', observed: true, prescribed: { sets: 2, reps: 10, loadKg: 0 }, sets: [{ reps: 10, effort: 5, cleanReps: 10 }], pains: [{ region: 'knee-right', before: 2, peak: 5, after: 2 }], faults: {}, symptoms: [], soreness: 3, confidence: 8 }],
		mornings: [{ date: '2026-03-01', region: 'knee-right', pain: 2, swelling: 'none' }],
		others: [],
		nextSteps: [],
		advancesUsed: 0,
		today: '2026-03-06'
	};
	it('decides by a changed policy, with every sentence', () => {
		expect(one('decide', decide)).toMatchObject({ decision: 'regress', rule: 'regress.pain', title: 'Regress: right knee was 5 on Monday, over the acceptable 4.', provisional: true, policy: { id: 'pain-monitored', version: '1+changed' } });
	});
	it('refuses a policy that does not hold together, a day that does not exist, a pain of 11', () => {
		expect(one('decide', { ...decide, policy: { base: 'pain-monitored', acceptableMax: 9 } })).toMatchObject({ error: { message: 'acceptableMax 9 is not below stopAt 8' } });
		expect(one('decide', { ...decide, today: '2026-02-30' })).toMatchObject({ error: { path: 'today' } });
		expect(one('decide', { ...decide, mornings: [{ date: '2026-03-01', region: 'knee-right', pain: 11 }] })).toMatchObject({ error: { path: 'mornings.0.pain' } });
		expect(one('decide', { ...decide, sessions: [{ ...decide.sessions[0], pian: 1 }] })).toMatchObject({ error: { code: 'unknown-key', path: 'sessions.0.pian' } });
	});
	it('prints the catalogue, whole or one family', () => {
		expect(one('catalogue', { family: 'squat' })).toMatchObject({ id: 'squat' });
		expect(Object.keys((one('catalogue', {}) as { families: Json }).families)).toEqual(['squat']);
	});
});

describe('lines', () => {
	it('answer one a line, in order, the bad ones by themselves, and the exit says so', () => {
		const lines = [{ family: 'squat' }, 'not json', { family: 'nope' }, {}].map((x) => (typeof x === 'string' ? x : JSON.stringify(x))).join('\n');
		const got = answer('catalogue', lines);
		expect(got.exit).toBe(1);
		expect(got.lines.map((l) => Object.keys(JSON.parse(l) as Json)[0])).toEqual(['id', 'error', 'error', 'version']);
	});
	it('every topic prints its JSON Schema', () => {
		for (const [name, topic] of Object.entries(TOPICS)) expect(z.toJSONSchema(topic.schema, { io: 'input', unrepresentable: 'any' }), name).toHaveProperty('$schema');
	});
	it('an unknown topic lists the topics on standard error, exit 2', () => {
		const root = join(import.meta.dirname, '../..');
		const r = spawnSync(process.execPath, ['--import', 'tsx', join(root, 'src/cli/bolster.ts'), 'nonsense'], { cwd: root, encoding: 'utf8', input: '' });
		expect(r.status).toBe(2);
		expect(r.stderr).toContain('Topics: posture, setup, fit, decide, catalogue');
		const good = spawnSync(process.execPath, ['--import', 'tsx', join(root, 'src/cli/bolster.ts'), 'catalogue'], { cwd: root, encoding: 'utf8', input: '{"family":"squat"}' });
		expect(good.status).toBe(0);
		expect(JSON.parse(good.stdout)).toMatchObject({ id: 'squat' });
	});
});
