/** Forms: what bad input gets. Every refusal names its field and what would be right. */
import { describe, expect, it } from 'vitest';
import { bodyOf } from '../core/body/body.ts';
import { parseLog } from './log-form.ts';
import { parseSheet } from './measure-form.ts';
import { parseMorning } from './morning-form.ts';
import { prescribeForm } from './setup-form.ts';
import { FUNCTION_TESTS } from '../catalogue/function-tests.ts';
import { RANGES } from '../catalogue/ranges.ts';
import { SCREENING } from '../catalogue/screening.ts';
import { complaintForm, goalForm } from './ask-form.ts';
import { text, typed } from './basics.ts';
import { deviceLine, gather } from './device.ts';
import { parseBuild, registerForm } from './register-form.ts';
import { parsePhases } from './protocol-form.ts';
import { parseAnswers } from './screen-form.ts';

const ID = '0190b6c5-7a60-7000-8000-00000000000';
const b = bodyOf({ heightCm: 168, massKg: 70 });
if (!b.ok) throw new Error('body');
const form = (o: Record<string, string | readonly string[]>): FormData => {
	const f = new FormData();
	for (const [k, v] of Object.entries(o)) for (const x of typeof v === 'string' ? [v] : v) f.append(k, x);
	return f;
};

describe('typed numbers', () => {
	it('take a comma, refuse words, wrong units and the absurd', () => {
		const knee = typed('Knee', 0, 165, 'degrees');
		expect(knee.parse('97,5')).toBe(97.5);
		expect(knee.parse(' ')).toBeUndefined();
		for (const bad of ['ninety', '1e3', '97°', '0x10', '--5', '1 2', 'NaN', 'Infinity'])
			expect(knee.safeParse(bad).success, bad).toBe(false);
		expect(knee.safeParse('170').error?.issues[0]?.message).toBe('Knee: 170 is outside 0 to 165 degrees.');
		expect(knee.safeParse('abc').error?.issues[0]?.message).toContain('give 0 to 165 degrees');
	});
	it('text holds no NUL', () => {
		expect(text(10).safeParse('a\0b').success).toBe(false);
	});
});

describe('the measure sheet', () => {
	/** What the sheet answers, a refusal with its first issue. */
	const sheet = (o: Record<string, string>) => {
		const r = whole(o);
		return r.ok ? r : { ok: false as const, refusal: r.issues[0] as (typeof r.issues)[number] };
	};
	it('says everything that is wrong, each at its field', () => {
		const r = whole({ day: 'soon', 'kneeFlexion.right.end': 'stiff', 'test.chair-stand-30s.value': 'many' });
		expect(r.ok ? [] : r.issues.map((i) => i.field)).toEqual([
			'day',
			'kneeFlexion.right.end',
			'test.chair-stand-30s.value'
		]);
	});
	const whole = (o: Record<string, string>) =>
		parseSheet(
			new Map(
				Object.entries({
					day: '2026-03-12',
					'kneeFlexion.right.id': `${ID}1`,
					'weightBearingDorsiflexion.left.id': `${ID}2`,
					...o
				})
			),
			b.value,
			RANGES,
			FUNCTION_TESTS
		);
	it('reads what was entered and turns knee-to-wall centimetres into degrees', () => {
		const got = sheet({ 'kneeFlexion.right.tolerable': '95', 'weightBearingDorsiflexion.left.end': '10' });
		if (!got.ok) throw new Error(got.refusal.message);
		expect(got.value.ranges).toMatchObject([
			{ axis: 'kneeFlexion', side: 'right', range: { tolerable: 95 } },
			{ axis: 'weightBearingDorsiflexion', side: 'left', rawCm: 10, loaded: true }
		]);
		expect(got.value.ranges[1]?.range.end).toBeGreaterThan(34);
		expect(got.value.ranges[1]?.range.end).toBeLessThan(39);
	});
	it('names the field of text, a day that does not exist, and pain without a range', () => {
		expect(sheet({ 'kneeFlexion.right.end': 'stiff' })).toMatchObject({
			refusal: { field: 'kneeFlexion.right.end' }
		});
		expect(sheet({ day: '2026-02-30' })).toMatchObject({ refusal: { field: 'day' } });
		expect(sheet({ 'kneeFlexion.right.pain': '4' })).toMatchObject({
			refusal: { field: 'kneeFlexion.right.end' }
		});
	});
	it('a straight knee says whether it lacks or goes beyond; a bare number is asked about', () => {
		const straight = (text: string) =>
			sheet({ 'kneeExtension.left.id': `${ID}3`, 'kneeExtension.left.end': text });
		expect(straight('10')).toMatchObject({
			ok: false,
			refusal: { field: 'kneeExtension.left.end', message: expect.stringContaining('lacks 10') as string }
		});
		for (const [text, end] of [
			['-10', -10],
			['−10', -10],
			['+5', 5],
			['0', 0]
		] as const)
			expect(straight(text), text).toMatchObject({
				ok: true,
				value: { ranges: [{ axis: 'kneeExtension', range: { end } }] }
			});
	});
	it('115 for the wall is asked about as millimetres; the method travels with the value, an unfit one does not', () => {
		expect(sheet({ 'weightBearingDorsiflexion.left.end': '115' })).toMatchObject({
			ok: false,
			refusal: { message: expect.stringContaining('11.5 cm') as string }
		});
		const method = (m: string) => sheet({ 'kneeFlexion.right.end': '120', 'kneeFlexion.method': m });
		expect(method('by-eye')).toMatchObject({ value: { ranges: [{ method: 'by-eye' }] } });
		expect(method('knee-to-wall')).toMatchObject({ value: { ranges: [{ method: 'goniometer' }] } });
	});
	it('tests by side with their extra numbers; an extra without its result is asked about', () => {
		const got = sheet({
			'test.strength-knee-extension.left.id': `${ID}4`,
			'test.strength-knee-extension.left.value': '310',
			'test.strength-knee-extension.left.leverCm': '34',
			'test.chair-stand-30s.id': `${ID}5`,
			'test.chair-stand-30s.value': '12',
			'test.chair-stand-30s.hands': 'on'
		});
		expect(got).toMatchObject({
			ok: true,
			value: {
				tests: expect.arrayContaining([
					expect.objectContaining({
						test: 'strength-knee-extension',
						side: 'left',
						value: 310,
						extras: { leverCm: 34 }
					}),
					expect.objectContaining({ test: 'chair-stand-30s', side: null, extras: { hands: 1 } })
				]) as unknown[]
			}
		});
		expect(sheet({ 'test.stair-climb.steps': '9' })).toMatchObject({
			ok: false,
			refusal: { field: 'test.stair-climb.value' }
		});
		expect(sheet({ 'test.timed-up-and-go.value': 'fast' })).toMatchObject({
			ok: false,
			refusal: { field: 'test.timed-up-and-go.value' }
		});
	});
	it('a total needs its questionnaire, its version and itself', () => {
		const total = (o: Record<string, string>) => sheet({ 'total.id': `${ID}6`, ...o });
		expect(total({ 'total.value': '40' })).toMatchObject({ refusal: { field: 'total.instrument' } });
		expect(total({ 'total.instrument': 'lefs' })).toMatchObject({ refusal: { field: 'total.value' } });
		expect(total({ 'total.instrument': 'lefs', 'total.value': '40' })).toMatchObject({
			refusal: { field: 'total.version' }
		});
		expect(total({ 'total.instrument': 'lefs', 'total.value': '40', 'total.version': 'en' })).toMatchObject({
			ok: true,
			value: { totals: [{ total: 40 }] }
		});
	});
});

describe('the log', () => {
	const good = {
		id: `${ID}1`,
		visitId: `${ID}2`,
		exerciseId: `${ID}3`,
		prescriptionId: `${ID}4`,
		day: '2026-03-12',
		observed: 'on',
		cleanThroughout: 'on',
		region: 'knee-right',
		effort: '5',
		before: '1',
		peak: '2',
		after: '1',
		confidence: '8',
		soreness: '2'
	};
	const log = (o: Record<string, string | readonly string[]> = {}) =>
		parseLog(form({ ...good, ...o }), { sets: 2, reps: 10, loadKg: 0 });
	it('as prescribed fills every set, clean when seen', () => {
		expect(log()).toMatchObject({
			ok: true,
			value: {
				session: {
					observed: true,
					sets: [
						{ reps: 10, effort: 5, cleanReps: 10 },
						{ reps: 10, effort: 5, cleanReps: 10 }
					],
					symptoms: [],
					faults: {}
				}
			}
		});
		const { observed: _, ...unseen } = good;
		const got = parseLog(form(unseen), { sets: 1, reps: 10, loadKg: 0 });
		expect(got.ok && got.value.session.sets[0]).toEqual({ reps: 10, effort: 5 });
	});
	it('per set, faults, symptoms and pain elsewhere are by exception', () => {
		const got = log({
			'set.1.reps': '6',
			'set.1.effort': '8',
			'set.1.clean': '4',
			symptoms: ['catching', 'weakness'],
			'fault.heel-lifts': '0.5',
			'fault.rushed': '',
			elseRegion: 'hip-left',
			elsePeak: '3',
			incompleteBecause: 'tired',
			painAt: 'late'
		});
		expect(got).toMatchObject({
			ok: true,
			value: {
				session: {
					sets: [{ reps: 10 }, { reps: 6, effort: 8, cleanReps: 4 }],
					symptoms: ['catching', 'weakness'],
					faults: { 'heel-lifts': 0.5 },
					incompleteBecause: 'tired',
					pains: [{ region: 'knee-right' }, { region: 'hip-left', peak: 3 }]
				}
			}
		});
	});
	it('the other leg: the same by one tick, or set by set; only when it was seen', () => {
		expect(log({ otherSame: 'on' })).toMatchObject({
			ok: true,
			value: { session: { sets: [{ cleanReps: 10, otherClean: 10 }, { otherClean: 10 }] } }
		});
		expect(log({ otherSame: 'on', 'set.1.other': '7' })).toMatchObject({
			ok: true,
			value: { session: { sets: [{ otherClean: 10 }, { cleanReps: 10, otherClean: 7 }] } }
		});
		const told = log();
		expect(told.ok && told.value.session.sets.every((s) => !('otherClean' in s))).toBe(true);
		const { observed: _, ...unseen } = { ...good, otherSame: 'on' };
		const alone = parseLog(form(unseen), { sets: 1, reps: 10, loadKg: 0 });
		expect(alone.ok && alone.value.session.sets[0]).toEqual({ reps: 10, effort: 5 });
		expect(parseLog(form({ ...unseen, 'set.0.other': '8' }), { sets: 1, reps: 10, loadKg: 0 })).toMatchObject(
			{ ok: false, field: 'set.0.other' }
		);
		expect(log({ 'set.0.other': '-2' })).toMatchObject({ ok: false, field: 'set.0.other' });
	});
	it('the muscles it was felt in are kept beside what was said of muscle and joint; one that is none is named', () => {
		const felt = (o: Record<string, string | readonly string[]>): unknown => {
			const told = log(o);
			return told.ok && told.value.session.felt;
		};
		expect(felt({ feltIn: ['buttock', 'thigh-front'], feltJoint: 'none' })).toEqual({
			joint: 'none',
			in: ['thigh-front', 'buttock']
		});
		expect(felt({ feltMuscle: 'yes' })).toEqual({ muscle: true });
		expect(felt({})).toBeUndefined();
		expect(log({ feltIn: ['elbow'] })).toMatchObject({ ok: false, field: 'feltIn' });
	});
	it('of a stretch the tighter side and what stops it', () => {
		expect(log({ tighter: 'left', stoppedBy: 'hip' })).toMatchObject({
			ok: true,
			value: { session: { tighter: 'left', stoppedBy: 'hip' } }
		});
		expect(log({ tighter: 'both' })).toMatchObject({ ok: false, field: 'tighter' });
	});
	it('a hold may take ten minutes, a set of repetitions a hundred', () => {
		const hold = (seconds: string) =>
			parseLog(form({ ...good, 'set.0.reps': seconds }), { sets: 1, reps: 30, loadKg: 0, unit: 'sec' });
		expect(hold('145')).toMatchObject({
			ok: true,
			value: { session: { sets: [{ reps: 145, cleanReps: 145 }] } }
		});
		expect(hold('601')).toMatchObject({
			ok: false,
			field: 'set.0.reps',
			message: expect.stringContaining('Set 1 sec') as string
		});
		expect(hold('12.5')).toMatchObject({ ok: false, message: 'Set 1: whole seconds only.' });
		expect(log({ 'set.0.reps': '145' })).toMatchObject({ ok: false, field: 'set.0.reps' });
	});
	it('names what is missing or impossible', () => {
		const { effort: _, ...lacking } = good;
		expect(parseLog(form(lacking), { sets: 1, reps: 10, loadKg: 0 })).toMatchObject({
			ok: false,
			field: 'effort',
			message: 'Effort: choose 0 to 10.'
		});
		expect(log({ 'set.0.reps': '4', 'set.0.clean': '9' })).toMatchObject({ ok: false, field: 'set.0.clean' });
		expect(log({ 'set.0.reps': '4.5' })).toMatchObject({ ok: false, field: 'set.0.reps' });
		expect(log({ symptoms: 'sneezing' })).toMatchObject({ ok: false, field: 'symptoms' });
		expect(log({ before: '5', peak: '2', after: '5' })).toMatchObject({ ok: false, field: 'peak' });
		expect(log({ elseRegion: 'hip-left' })).toMatchObject({ ok: false, field: 'elsePeak' });
		expect(log({ region: 'soul' })).toMatchObject({ ok: false, field: 'region' });
		expect(log({ id: 'x' })).toMatchObject({ ok: false, field: 'id' });
	});
});

describe('the morning and the prescription', () => {
	it('needs pain and swelling of every region', () => {
		const at = (o: Record<string, string>) =>
			parseMorning(form({ id: `${ID}9`, day: '2026-03-12', 'back.id': `${ID}1`, ...o }), ['back'], (r) => r);
		expect(at({ 'back.pain': '2' })).toMatchObject({ ok: false, field: 'back.swelling' });
		expect(at({ 'back.swelling': 'none' })).toMatchObject({ ok: false, field: 'back.pain' });
		expect(at({ 'back.pain': '2', 'back.swelling': 'none', 'back.stiffness': '10' })).toMatchObject({
			ok: true,
			value: { regions: [{ pain: 2, stiffnessMin: 10 }] }
		});
		expect(at({ 'back.pain': '2', 'back.swelling': 'none', events: '' })).toMatchObject({
			ok: true,
			value: { events: [] }
		});
		expect(
			at({ 'back.pain': '2', 'back.swelling': 'none', events: 'sneeze', eventId: `${ID}2` })
		).toMatchObject({ ok: false, field: 'events' });
	});
	it('a dose is whole numbers inside its bounds', () => {
		const at = (sets: string, reps: string) =>
			prescribeForm.safeParse({
				id: `${ID}1`,
				exerciseId: `${ID}2`,
				family: 'squat',
				step: 'free-squat',
				region: 'knee-right',
				sets,
				reps
			});
		expect(at('2', '10').success).toBe(true);
		for (const [s, r] of [
			['0', '10'],
			['2', '31'],
			['1.5', '10'],
			['', '10'],
			['two', '10']
		] as const)
			expect(at(s, r).success, `${s}×${r}`).toBe(false);
		// A hold counts seconds: 45 of them are fine.
		expect(
			prescribeForm.safeParse({
				id: `${ID}1`,
				exerciseId: `${ID}2`,
				family: 'isometrics',
				step: 'wall-sit-hold',
				region: 'knee-right',
				sets: '5',
				reps: '45'
			}).success
		).toBe(true);
	});
});

describe('registering, screening, asking', () => {
	it('a height of 1.68 is not centimetres; feet and pounds become metric', () => {
		expect(parseBuild({ units: 'metric', heightCm: '1.68', massKg: '70' }).error?.issues[0]?.message).toBe(
			'Height: 1.68 is outside 120 to 230 cm.'
		);
		expect(parseBuild({ units: 'imperial', feet: '5', inches: '6', pounds: '154' }).data).toEqual({
			heightCm: 167.6,
			massKg: 69.9
		});
		expect(parseBuild({ units: 'imperial', feet: '5', inches: '', pounds: '' }).success).toBe(false);
		expect(
			registerForm
				.safeParse({
					id: `${ID}1`,
					personId: `${ID}2`,
					settingId: `${ID}3`,
					name: 'N',
					born: '1970-02-30',
					sex: '',
					occupation: '',
					units: 'metric',
					language: 'en',
					minutes: ''
				})
				.error?.issues.map((i) => i.path[0])
		).toEqual(['name', 'born']);
	});
	it('unanswered stays unanswered; another word for yes is refused', () => {
		expect(
			parseAnswers(
				new Map([
					['answer.night-pain', 'yes'],
					['answer.locked-knee', '']
				]),
				SCREENING
			)
		).toEqual({ ok: true, value: { 'night-pain': 'yes' } });
		expect(parseAnswers(new Map([['answer.night-pain', 'maybe']]), SCREENING)).toMatchObject({
			ok: false,
			refusal: { field: 'answer.night-pain' }
		});
		expect(parseAnswers(new Map(), SCREENING)).toMatchObject({ ok: false });
	});
	it('a window without its degrees is never filled in, a phase says its weeks and weight', () => {
		const phases = (o: Record<string, string>) => parsePhases(form(o));
		const one = {
			'phase.0.fromWeek': '1',
			'phase.0.toWeek': '6',
			'phase.0.weightBearing': 'partial',
			'phase.0.partialKg': '20'
		};
		expect(phases({ ...one, 'phase.0.window.0.axis': 'hipFlexion' })).toMatchObject({
			ok: false,
			refusal: { field: 'phase.0.window.0.maxDeg' }
		});
		expect(phases({ ...one, 'phase.0.window.0.maxDeg': '90' })).toMatchObject({
			ok: false,
			refusal: { field: 'phase.0.window.0.axis' }
		});
		expect(
			phases({
				...one,
				'phase.0.window.0.axis': 'hipFlexion',
				'phase.0.window.0.minDeg': '95',
				'phase.0.window.0.maxDeg': '90'
			})
		).toMatchObject({ ok: false, refusal: { field: 'phase.0.window.0.minDeg' } });
		expect(phases({ ...one, 'phase.0.weightBearing': '' })).toMatchObject({
			ok: false,
			refusal: { field: 'phase.0.weightBearing' }
		});
		expect(phases({ 'phase.0.weightBearing': 'full' })).toMatchObject({
			ok: false,
			refusal: { field: 'phase.0.fromWeek' }
		});
		expect(
			phases({
				...one,
				'phase.0.window.0.axis': 'kneeExtension',
				'phase.0.window.0.side': 'right',
				'phase.0.window.0.maxDeg': '-10',
				'phase.0.window.0.when': 'open-chain'
			})
		).toEqual({
			ok: true,
			value: [
				{
					fromWeek: 0,
					toWeek: 6,
					weightBearing: 'partial',
					partialKg: 20,
					forbidden: [],
					windows: [{ axis: 'kneeExtension', side: 'right', maxDeg: -10, when: 'open-chain' }]
				}
			]
		});
		expect(phases({})).toEqual({ ok: true, value: [] });
	});
	it('a spot that is not of the place, half a pain, a tie that is none: refused by field', () => {
		const complaint = {
			id: `${ID}1`,
			settingId: `${ID}2`,
			region: 'knee-right',
			spot: 'front',
			usualMorning: '2',
			worst: '5',
			easing: '',
			stiffnessMin: '',
			painAt: 'late',
			loaded: 'yes',
			position: ''
		};
		const fields = (o: object): unknown =>
			complaintForm.safeParse({ ...complaint, ...o }).error?.issues[0]?.path[0];
		expect([
			fields({}),
			fields({ spot: 'low' }),
			fields({ worst: '5.5' }),
			fields({ usualMorning: '' }),
			fields({ region: 'soul' }),
			fields({ loaded: 'maybe' })
		]).toEqual([undefined, 'spot', 'worst', 'usualMorning', 'region', 'loaded']);
		const goal = {
			id: `${ID}1`,
			replaces: '',
			activity: 'low-chair',
			label: '',
			score: '4',
			confidence: '',
			side: '',
			tie: 'squat:standard-seat',
			heightCm: '42',
			sets: '',
			reps: ''
		};
		expect(goalForm.safeParse(goal).data).toMatchObject({ score: 4, heightCm: 42 });
		expect(goalForm.safeParse({ ...goal, tie: 'squat' }).error?.issues[0]?.path[0]).toBe('tie');
	});
});

describe('the device protocol', () => {
	const HELLO =
		'{"hello":{"protocol":"bolster-device/1","device":"d","quantity":"angle","unit":"deg","hz":50}}';
	it('gathers samples and marks, keeps the first of a repeated packet, and knows whether it ended', () => {
		const g = gather();
		for (const line of [
			HELLO,
			'{"n":0,"t":0,"v":1}',
			'{"n":2,"t":40,"v":3}',
			'{"n":1,"t":20,"v":2}',
			'{"n":2,"t":40,"v":9}',
			'{"mark":"pain","t":30}'
		])
			expect(g.take(line)).toBeUndefined();
		expect(g.stream()).toMatchObject({
			complete: false,
			samples: [{ n: 0 }, { n: 2, value: 3 }],
			marks: [{ kind: 'pain', tMs: 30 }]
		});
		g.take('{"end":{"samples":3}}');
		expect(g.stream().complete).toBe(true);
	});
	it('names what is wrong with a line: no JSON, another protocol, a value too soon, a word', () => {
		const g = gather();
		expect(g.take('{"n":0,"t":0,"v":1}')).toContain('before saying what it is');
		expect(g.take('nonsense')).toContain('not JSON');
		expect(g.take(HELLO.replace('/1', '/9'))).toContain('does not know');
		g.take(HELLO);
		expect(g.take('{"n":0,"t":0,"v":"far"}')).toContain('does not know');
		expect(deviceLine.safeParse({ n: 0, t: 0, v: 1, extra: 1 }).success).toBe(false);
	});
});

describe('everything that is wrong is said at once, each at its field', () => {
	const fieldsOf = (r: {
		readonly ok: boolean;
		readonly issues?: readonly { readonly field: string }[];
	}): readonly string[] => (r.issues ?? []).map((i) => i.field);
	it('of a session: every score that is missing and every set that is no number', () => {
		const got = parseLog(
			form({
				id: `${ID}1`,
				visitId: `${ID}2`,
				exerciseId: `${ID}3`,
				prescriptionId: `${ID}4`,
				region: 'knee-left',
				day: 'soon',
				'set.0.reps': 'ten',
				'set.1.effort': '11'
			}),
			{ sets: 2, reps: 10, loadKg: 0 }
		);
		expect(fieldsOf(got)).toEqual(['day', 'effort', 'before', 'peak', 'after', 'set.0.reps', 'set.1.effort']);
		expect(got).toMatchObject({ field: 'day' });
	});
	it('of a morning: every region on its own', () => {
		const got = parseMorning(
			form({
				id: `${ID}9`,
				day: '2026-02-30',
				'back.id': `${ID}1`,
				'back.pain': '11',
				'back.stiffness': 'long',
				'knee-left.id': `${ID}2`,
				'knee-left.pain': '2'
			}),
			['back', 'knee-left'],
			(r) => r
		);
		expect(fieldsOf(got)).toEqual([
			'day',
			'back.pain',
			'back.swelling',
			'back.stiffness',
			'knee-left.swelling'
		]);
	});
});
