/**
 * What posed steps need, held by the trade's own checks (common practice): ordinary and older bodies are not blocked, a protocol closes just what goes
 * past it, and a degree less than a need refuses the step that needs it.
 */
import { describe, expect, it } from 'vitest';
import { bodyOf } from '../core/body/body.ts';
import type { Axis } from '../core/body/axis.ts';
import type { Envelope, ProtocolLimit } from '../core/client/envelope.ts';
import { PURPOSES, servesOf, type Step } from '../core/exercise/family.ts';
import type { FitContext } from '../core/movement/context.ts';
import { fitStep } from '../core/fit/fit.ts';
import { FAMILIES } from './families.ts';
import { NEEDED_STEPS } from './needs.ts';

const STEPS = Object.values(FAMILIES).flatMap((f) => f.steps);
const stepBy = (id: string): Step => STEPS.find((s) => s.id === id) as Step;
const AXES: readonly Axis[] = [
	'kneeFlexion',
	'thighTrunkFlexion',
	'weightBearingDorsiflexion',
	'straightLegRaise',
	'hipExtension',
	'bigToeExtension',
	'hipAbduction',
	'hipInternalRotation',
	'hipExternalRotation',
	'forwardBow'
];
const TEXTBOOK = [138, 140, 38, 80, 15, 65, 39, 32, 32, 100] as const;
const OLDER = [130, 120, 32, 70, 5, 50, 28, 22, 25, 90] as const;

const envelopeOf = (values: readonly number[]): Envelope =>
	Object.fromEntries(
		AXES.map((a, i) => {
			const v = values[i] as number;
			const t = { painFree: v, tolerable: v, end: v, date: '2026-03-10', loaded: true };
			return [a, { left: t, right: t }];
		})
	);
function context(values: readonly number[], heightCm = 170, patch: Partial<FitContext> = {}): FitContext {
	const body = bodyOf({ heightCm, massKg: 70 });
	if (!body.ok) throw new Error('body');
	return {
		body: body.value,
		rules: { base: 'tolerable', marginDeg: 5, loadedMarginDeg: 10, staleDays: 28 },
		today: '2026-03-12',
		envelope: envelopeOf(values),
		...patch
	};
}
const blocked = (steps: readonly Step[], ctx: FitContext): string[] =>
	steps.filter((s) => fitStep(s, ctx).verdict === 'blocked').map((s) => s.id);
const limited = (limits: readonly ProtocolLimit[]): FitContext =>
	context(TEXTBOOK, 170, { protocolLimits: limits, side: 'right' });
const closes = (limits: readonly ProtocolLimit[]): Set<string> =>
	new Set(blocked(NEEDED_STEPS.map(stepBy), limited(limits)));

describe('a healthy body passes', () => {
	it.each([150, 160, 170, 180, 195])('textbook ranges, %i cm: no posed step is blocked', (height) =>
		expect(blocked(NEEDED_STEPS.map(stepBy), context(TEXTBOOK, height))).toEqual([])
	);
	it.each([150, 170, 195])('an older body, %i cm: no posed step is blocked', (height) =>
		expect(blocked(NEEDED_STEPS.map(stepBy), context(OLDER, height))).toEqual([])
	);
	it.each([150, 160, 170, 180, 195])(
		'textbook ranges, %i cm: no step of any ladder below impact is blocked by range',
		(height) => {
			const below = STEPS.filter((s) => !s.tags.includes('impact'));
			expect(blocked(below, context(TEXTBOOK, height))).toEqual([]);
		}
	);
	it.each([150, 170, 195])('the ordinary chair fits as it stands, %i cm', (height) =>
		expect(['fits', 'watch']).toContain(fitStep(stepBy('standard-seat'), context(TEXTBOOK, height)).verdict)
	);
});

describe('a stiff joint keeps a way', () => {
	// What is for landing and speed waits for the ankle; all else has a way.
	const purposes = PURPOSES.filter((p) => p !== 'power' && p !== 'running');
	const ways = (ctx: FitContext): Record<string, number> =>
		Object.fromEntries(
			purposes.map((p) => [
				p,
				Object.values(FAMILIES).flatMap((f) =>
					f.steps.filter(
						(s) =>
							servesOf(f, s).includes(p) &&
							!s.tags.includes('impact') &&
							fitStep(s, ctx).verdict !== 'blocked'
					)
				).length
			])
		);
	const only = (axis: Axis, deg: number): readonly number[] =>
		TEXTBOOK.map((v, i) => (AXES[i] === axis ? deg : v));
	it.each([
		['an ankle of 15°', 'weightBearingDorsiflexion', 15],
		['an ankle of 10°', 'weightBearingDorsiflexion', 10],
		['a knee of 70°', 'kneeFlexion', 70],
		['a fold of 90°', 'thighTrunkFlexion', 90]
	] as const)('%s: for each purpose below landing something is open', (_, axis, deg) => {
		for (const height of [150, 170, 195])
			expect(
				Object.entries(ways(context(only(axis, deg), height)))
					.filter(([, n]) => n === 0)
					.map(([p]) => p),
				`${height} cm`
			).toEqual([]);
	});
	it('a textbook body enters every ladder', () => {
		for (const height of [150, 170, 195])
			for (const f of Object.values(FAMILIES))
				expect(
					f.steps.some(
						(s) =>
							s.gates.length === 0 &&
							['fits', 'watch', 'set-up'].includes(fitStep(s, context(TEXTBOOK, height)).verdict)
					),
					`${f.id} ${height}`
				).toBe(true);
	});
});

describe('a protocol closes what goes past it', () => {
	it('knee 90: the thigh stretches and all kneeling; knee to chest held behind the thigh stays', () => {
		const shut = closes([{ axis: 'kneeFlexion', side: 'right', maxDeg: 90 }]);
		for (const id of [
			'quad-stretch',
			'quad-pull',
			'kneeling-quad-stretch',
			...STEPS.filter((s) => s.tags.includes('kneeling') && NEEDED_STEPS.includes(s.id)).map((s) => s.id)
		])
			expect(shut.has(id), id).toBe(true);
		for (const id of ['knee-to-chest', 'clamshell', 'brace-and-breath', 'tandem-stance'])
			expect(shut.has(id), id).toBe(false);
	});
	it('hip turned out 0, or in: what turns it, and the leg that lies turned in beside it', () => {
		const out = closes([{ axis: 'hipExternalRotation', side: 'right', maxDeg: 0 }]);
		for (const id of ['clamshell', 'banded-clamshell', 'figure-four', 'ninety-ninety', 'hip-axle'])
			expect(out.has(id), id).toBe(true);
		// The right leg works: it is the left that turns in.
		expect(closes([{ axis: 'hipInternalRotation', side: 'right', maxDeg: 10 }])).toEqual(new Set());
		expect(closes([{ axis: 'hipInternalRotation', side: 'left', maxDeg: 10 }])).toEqual(
			new Set(['ninety-ninety', 'hip-axle', 'ninety-switch'])
		);
		for (const id of ['side-lying-lift', 'straight-leg-lift', 'standing-abduction', 'groin-opener'])
			expect(closes([{ axis: 'hipAbduction', side: 'right', maxDeg: 10 }]).has(id), id).toBe(true);
		expect(closes([{ axis: 'hipAbduction', side: 'left', maxDeg: 10 }])).toEqual(new Set(['groin-opener']));
	});
	it('hip back 0: what takes the hip behind', () => {
		const shut = closes([
			{ axis: 'hipExtension', side: 'right', maxDeg: 0 },
			{ axis: 'hipExtension', side: 'left', maxDeg: 0 }
		]);
		for (const id of [
			'hip-flexor-stretch',
			'quad-stretch',
			'split-jump',
			'standing-hip-extension',
			'plank-hip-extension'
		])
			expect(shut.has(id), id).toBe(true);
		for (const id of ['plank', 'side-plank', 'bird-dog', 'calf-stretch'])
			expect(shut.has(id), id).toBe(false);
	});
	it('fold 90: the folding stretches; a hinge on a high seat stays', () => {
		const shut = closes([{ axis: 'thighTrunkFlexion', side: 'right', maxDeg: 90 }]);
		for (const id of ['knee-to-chest', 'figure-four', 'knee-hug']) expect(shut.has(id), id).toBe(true);
		expect(shut.has('seated-hinge')).toBe(false);
	});
	it('a stretch asks nothing of what is tolerated: a stiff knee still stretches', () =>
		expect(
			blocked([stepBy('quad-stretch'), stepBy('calf-stretch')], context([70, 140, 11, 80, 15, 65]))
		).toEqual([]));
});

describe('one degree less than a need refuses that step', () => {
	const rows = NEEDED_STEPS.flatMap((id) => {
		const { needs } = stepBy(id);
		return needs === undefined
			? []
			: AXES.flatMap((axis) =>
					needs.working[axis] === undefined ? [] : [[id, axis, needs.working[axis] as number] as const]
				);
	});
	it('on every axis of every posed step', () => {
		expect(rows.length).toBeGreaterThan(80);
		for (const [id, axis, need] of rows) {
			// The working leg alone: the other one keeps its ordinary range.
			const at = (deg: number) => {
				const [ordinary, short] = [
					envelopeOf(TEXTBOOK),
					envelopeOf(TEXTBOOK.map((v, i) => (AXES[i] === axis ? deg : v)))
				];
				const bothAsked = stepBy(id).needs?.working === stepBy(id).needs?.other;
				const envelope = {
					...ordinary,
					[axis]: { left: (bothAsked ? short : ordinary)[axis]?.left, right: short[axis]?.right }
				} as Envelope;
				return fitStep(stepBy(id), context(TEXTBOOK, 170, { envelope, side: 'right' })).verdict;
			};
			expect(at(need - 1), `${id} ${axis} ${need - 1}`).toBe('blocked');
			expect(at(need), `${id} ${axis} ${need}`).not.toBe('blocked');
		}
	});
});

describe('a margin is kept where pain limits', () => {
	const sore = (painFree: number, end: number, patch = {}): Envelope => ({
		...envelopeOf(TEXTBOOK),
		kneeFlexion: {
			left: { painFree, tolerable: end, end, date: '2026-03-10', loaded: true, ...patch },
			right: { painFree, tolerable: end, end, date: '2026-03-10', loaded: true, ...patch }
		}
	});
	const at = (envelope: Envelope) =>
		fitStep(stepBy('bird-dog'), context(TEXTBOOK, 170, { envelope })).verdict;
	it('free to its end, the end itself; pain before it, or at it, five degrees less', () => {
		expect(at(sore(90, 90))).toBe('watch');
		expect(at(sore(85, 90))).toBe('blocked');
		expect(at(sore(90, 90, { endHurts: true }))).toBe('blocked');
		expect(at(sore(85, 95))).toBe('watch');
	});
});
