/**
 * Alarms, row by row. What is an emergency and what is seen the same day follows common guidance (red flags, from memory); what keeps each quiet is a
 * practice setting. The rows are written out by hand, apart from the code's own table.
 */
import { describe, expect, it } from 'vitest';
import { SYMPTOMS, type Morning, type Session, type Symptom } from '../session/record.ts';
import {
	alarmAfterFall,
	alarmsInMorning,
	alarmsInSession,
	ALARMS,
	ASKS_SADDLE,
	flagReaches,
	unique,
	type AfterFall
} from './alarm.ts';

const session = (symptoms: readonly Symptom[], patch: Partial<Session> = {}): Session => ({
	date: '2026-03-10',
	observed: true,
	prescribed: { sets: 1, reps: 10 },
	sets: [{ reps: 10 }],
	pains: [],
	symptoms,
	...patch
});
const ids = (s: Session, region = 'knee-right', back = false) =>
	alarmsInSession(s, region, back).map((a) => a.alarm);

describe('told in a session', () => {
	it.each([
		['chest-pain', 'emergency-chest-pain'],
		['faintness', 'emergency-faintness'],
		['breathless', 'emergency-breathless'],
		['face-arm-speech', 'emergency-face-arm-speech'],
		['cold-limb', 'emergency-cold-limb'],
		['pregnancy-stop', 'emergency-pregnancy']
	] as const)('%s is an emergency, and never as usual', (symptom, alarm) => {
		expect(alarmsInSession(session([symptom], { asUsual: [symptom] }), 'knee-right', false)).toMatchObject([
			{ alarm, now: 'emergency' }
		]);
		expect(ALARMS[alarm].opens).toEqual({ severity: 'red', urgency: 'emergency' });
	});
	it.each(['pop-and-swelling', 'no-straight-raise', 'wound'] as const)(
		'%s: nothing on that limb, the same day, always',
		(symptom) =>
			expect(alarmsInSession(session([symptom], { asUsual: [symptom] }), 'knee-right', false)).toMatchObject([
				{ now: 'stop-limb' }
			])
	);
	it('one calf newly swollen stops everything', () =>
		expect(alarmsInSession(session(['calf-swelling']), 'knee-right', false)).toMatchObject([
			{ alarm: 'calf-swelling', now: 'stop-all' }
		]));
	it.each(['locking', 'giving-way', 'sharp-with-loss'] as const)(
		'%s is a flag when new and none when as usual',
		(symptom) => {
			expect(ids(session([symptom]))).toEqual(['joint-symptom']);
			expect(ids(session([symptom], { asUsual: [symptom] }))).toEqual([]);
		}
	);
	it('the saddle area: yes is an emergency whatever the region; unknown beside new numbness or weakness too; beside old leakage a same-day call', () => {
		expect(ids(session([], { caudaEquina: 'yes' }))).toEqual(['emergency-saddle-area']);
		for (const x of ['numbness', 'weakness'] as const) {
			expect(ids(session([x]))).toEqual(['emergency-saddle-area', 'new-numbness']);
			expect(ids(session([x], { caudaEquina: 'unknown' }))).toContain('emergency-saddle-area');
			expect(ids(session([x], { caudaEquina: 'no' }))).toEqual(['new-numbness']);
			expect(ids(session([x], { caudaEquina: 'no', asUsual: [x] }))).toEqual([]);
			// Known and as usual, the four questions left open: no emergency.
			expect(ids(session([x], { asUsual: [x] }))).toEqual([]);
		}
		expect(ids(session(['leakage'], { caudaEquina: 'unknown' }), 'back', true)).toEqual([
			'emergency-saddle-area'
		]);
		expect(ids(session(['leakage'], { caudaEquina: 'unknown', asUsual: ['leakage'] }), 'back', true)).toEqual(
			['saddle-area-unknown']
		);
		expect(ids(session(['leakage'], { caudaEquina: 'unknown' }))).toEqual(['saddle-area-unknown']);
		expect(ids(session(['leakage']))).toEqual([]);
		// A sore back is treated, or trained in this very exercise: either asks it.
		expect(ids(session(['leakage']), 'back')).toEqual(['emergency-saddle-area']);
		expect(ids(session(['leakage']), 'knee-right', true)).toEqual(['emergency-saddle-area']);
	});
	it('a sore back of which nothing was told raises nothing, the four questions open or not known', () => {
		const { symptoms: _, ...untold } = session([]);
		for (const s of [session([]), untold, session([], { caudaEquina: 'unknown' }), session(['catching'])])
			expect(ids(s, 'back', true)).toEqual([]);
	});
	it('numbness, weakness and leakage ask the four questions of the saddle area, and nothing else does', () =>
		expect([...ASKS_SADDLE].sort()).toEqual(['leakage', 'numbness', 'weakness']));
	it('quiet: catching, spreading pain, tingling that went, light-headedness alone stop nothing', () => {
		expect(ids(session(['catching', 'radiating']))).toEqual([]);
		for (const x of ['tingling', 'dizziness'] as const)
			expect(alarmsInSession(session([x]), 'knee-right', false).every((a) => a.now === 'note')).toBe(true);
	});
	it('every symptom of the list is in one of these rows', () => {
		const spoken = new Set<Symptom>([
			'chest-pain',
			'faintness',
			'breathless',
			'face-arm-speech',
			'cold-limb',
			'pregnancy-stop',
			'pop-and-swelling',
			'no-straight-raise',
			'wound',
			'calf-swelling',
			'locking',
			'giving-way',
			'sharp-with-loss',
			'numbness',
			'weakness',
			'leakage',
			'catching',
			'radiating',
			'tingling',
			'dizziness'
		]);
		expect(SYMPTOMS.filter((s) => !spoken.has(s))).toEqual([]);
	});
	it('the gravest is first, each alarm once', () =>
		expect(
			unique([
				...alarmsInSession(session(['tingling', 'locking', 'chest-pain']), 'knee-right', false),
				...alarmsInSession(session(['locking']), 'knee-right', false)
			]).map((a) => a.now)
		).toEqual(['emergency', 'stop-limb', 'note']));
	it('one alarm of two knees is two: each is said of its own', () =>
		expect(
			unique([
				...alarmsInSession(session(['locking']), 'knee-right', false),
				...alarmsInSession(session(['locking']), 'knee-left', false)
			]).map((a) => a.region)
		).toEqual(['knee-right', 'knee-left']));
});

describe('told in the morning', () => {
	const morning = (patch: Partial<Morning>): Morning => ({
		date: '2026-03-10',
		region: 'knee-right',
		pain: 1,
		...patch
	});
	it('hot, or clearly more with fever, is seen the same day; if it cannot be stood on, now', () => {
		expect(alarmsInMorning(morning({ swelling: 'hot' }))).toMatchObject([
			{ alarm: 'hot-joint', now: 'stop-limb' }
		]);
		expect(alarmsInMorning(morning({ swelling: 'clearly-more', fever: true }))).toMatchObject([
			{ alarm: 'hot-joint' }
		]);
		expect(alarmsInMorning(morning({ swelling: 'hot', cannotStand: true }))).toMatchObject([
			{ alarm: 'emergency-hot-joint', now: 'emergency' }
		]);
		for (const quiet of [
			{ swelling: 'clearly-more' as const },
			{ swelling: 'a-little' as const, fever: true },
			{ pain: 9 }
		])
			expect(alarmsInMorning(morning(quiet))).toEqual([]);
	});
	it('one calf stops all', () =>
		expect(alarmsInMorning(morning({ calf: true }))).toMatchObject([
			{ alarm: 'calf-swelling', now: 'stop-all' }
		]));
});

describe('after a fall', () => {
	const no: AfterFall = {
		hipOrNoWeight: 'no',
		legShorterOrTurned: 'no',
		headOnThinners: 'no',
		drowsyOrVomiting: 'no',
		otherPain: 'no'
	};
	it('all no is a caution, other pain is urgent, unknown counts as yes', () => {
		expect(alarmAfterFall(no).alarm).toBe('fell');
		expect(alarmAfterFall({ ...no, otherPain: 'unknown' }).alarm).toBe('pain-after-fall');
		expect(alarmAfterFall({ ...no, headOnThinners: 'unknown' }).alarm).toBe('emergency-after-fall');
	});
});

describe('how far a flag reaches', () => {
	it('emergency, calf and a flag without region reach everything', () => {
		for (const flag of [
			{ id: 'x', urgency: 'emergency' as const, region: 'knee-right' },
			{ id: 'calf-swelling', region: 'knee-right' },
			{ id: 'night-pain' }
		])
			for (const r of ['hip-left', 'back', 'knee-right'])
				expect(flagReaches(flag, r), `${flag.id} ${r}`).toBe(true);
	});
	it('a hot knee reaches its limb, not the other leg, not the back; new numbness reaches the back as well', () => {
		const reach = (id: string) =>
			['knee-right', 'hip-right', 'knee-left', 'back'].map((r) =>
				flagReaches({ id, region: 'knee-right' }, r)
			);
		expect(reach('hot-joint')).toEqual([true, true, false, false]);
		expect(reach('new-numbness')).toEqual([true, true, false, true]);
		expect(reach('joint-symptom')).toEqual([true, false, false, false]);
		// What has no side has no limb: a wound of the neck leaves the back alone.
		expect([flagReaches({ id: 'wound', region: 'neck' }, 'back'), reach('wound')]).toEqual([
			false,
			[true, true, false, false]
		]);
	});
});
