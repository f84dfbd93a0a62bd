/**
 * The whole catalogue fitted to a client: what a practitioner counts on, and what holds for any body and envelope. Facts of the trade,
 * common practice unless a source is named.
 */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { FAMILIES, findStep } from '../../catalogue/families.ts';
import { POLICIES } from '../../catalogue/policies.ts';
import { AXES, type Axis } from '../body/axis.ts';
import { bodyOf, type Body } from '../body/body.ts';
import type { Envelope, Tolerated } from '../client/envelope.ts';
import { fitRulesOf } from '../decision/policy.ts';
import type { Purpose, Step, Tag } from '../exercise/family.ts';
import { EQUIPMENT, servesOf } from '../exercise/family.ts';
import { asksOfPoses, pointsOfPose } from '../figure/key-pose.ts';
import { askedBy } from '../movement/of-step.ts';
import { PELVIS_GIVES } from '../movement/split-squat/movement.ts';
import { setupBand, wedgeOption } from './compare-techniques.ts';
import { lengthIn, type FitContext } from '../movement/context.ts';
import { fitFamily, fitStep, fitSteps, shortAt, type StepFit } from './fit.ts';
import { gateState, type Shown } from './gate.ts';
import { gentlerNotches, setupFor } from './gentler.ts';
import { pictureOf } from './picture.ts';
import { candidatesOf, isOpen, type Candidate } from './open.ts';
import { isFree, planFor, substitutes, type Avoid } from './substitutes.ts';

const TODAY = '2026-03-06';
const ALL = Object.values(FAMILIES);
const STEPS = ALL.flatMap((f) => f.steps);

function body(heightCm = 170, massKg = 70): Body {
	const b = bodyOf({ heightCm, massKg });
	if (!b.ok) throw new Error(b.refusal.message);
	return b.value;
}
const range = (deg: number): Tolerated => ({
	painFree: deg,
	tolerable: deg,
	end: deg + 10,
	date: '2026-03-01',
	loaded: false
});
const FREE = {
	kneeFlexion: 145,
	thighTrunkFlexion: 150,
	weightBearingDorsiflexion: 45,
	straightLegRaise: 95,
	hipExtension: 40,
	bigToeExtension: 90,
	hipAbduction: 50,
	hipInternalRotation: 45,
	hipExternalRotation: 50,
	forwardBow: 115
};
const envelope = (o: Partial<Record<Axis, number>> = {}): Envelope =>
	Object.fromEntries(AXES.map((a) => [a, { left: range(o[a] ?? FREE[a]), right: range(o[a] ?? FREE[a]) }]));
const context = (o: Partial<Record<Axis, number>> = {}, extra: Partial<FitContext> = {}): FitContext => ({
	body: body(),
	rules: fitRulesOf(POLICIES['pain-monitored']),
	today: TODAY,
	envelope: envelope(o),
	...extra
});
const step = (id: string): Step => {
	const found = findStep(id);
	if (found === undefined) throw new Error(id);
	return found.step;
};
const withheld = (...tags: Tag[]) => ({ withheld: tags.map((tag) => ({ tag, because: 'test' })) });

/** Everything, with gates met by decree: what the body and the room allow. */
const candidatesIn = (ctx: FitContext): readonly Candidate[] =>
	ALL.flatMap((family) => candidatesOf(family, fitFamily(family, ctx), undefined, () => true));
const freeIn = (ctx: FitContext, avoid: Avoid = {}): readonly string[] =>
	candidatesIn(ctx)
		.filter((c) => isFree(c, avoid))
		.map((c) => c.step.id);

describe('every step', () => {
	it('fits a free body, or is set up for it: none is impossible', () => {
		for (const heightCm of [152, 170, 192]) {
			const fits = fitSteps(STEPS, context({}, { body: body(heightCm) }));
			expect(fits).toHaveLength(STEPS.length);
			for (const f of fits)
				expect(['fits', 'watch', 'set-up'], `${f.step} at ${heightCm} cm`).toContain(f.verdict);
		}
	});
	it('has a picture at both ends and on the way, for any body, without a gap in it', () => {
		for (const heightCm of [150, 170, 195]) {
			const ctx = context({}, { body: body(heightCm) });
			for (const s of STEPS) {
				const picture = pictureOf(s, ctx, null);
				for (const t of [0, 0.37, 1]) {
					const f = picture.at(t);
					expect(
						f.shapes.map((x) => x.id),
						s.id
					).toEqual(expect.arrayContaining(['head', 'trunk', 'thigh', 'shank', 'shoe', 'forearm']));
					for (const x of f.shapes) expect(x.d, `${s.id} ${x.id}`).not.toMatch(/NaN|Infinity|undefined/);
					for (const v of f.viewBox) expect(Number.isFinite(v)).toBe(true);
				}
				expect(picture.at(0).viewBox).toEqual(picture.at(1).viewBox);
			}
		}
	});
	it('what poses ask is what they show: kneeling rests on the knee, lying lies, and no limb is stretched', () => {
		for (const s of STEPS) {
			const p = s.posture;
			if (p.movement !== 'pose') continue;
			const b = body();
			for (const pose of [p.from, p.to]) {
				const q = pointsOfPose(b, pose);
				expect(
					Math.min(
						...[q.near, q.far ?? q.near].flatMap((l) => [l.heel.y, l.toe.y, l.knee.y]),
						q.hip.y,
						q.shoulder.y,
						(q.hand ?? q.hip).y
					),
					s.id
				).toBeGreaterThan(-0.02);
				if (pose.view === 'front') continue;
				for (const l of [q.near, q.far ?? q.near]) {
					if (pose.near.short !== undefined || pose.far?.short !== undefined) continue;
					expect(Math.hypot(l.knee.x - q.hip.x, l.knee.y - q.hip.y), s.id).toBeCloseTo(b.thighM, 6);
					expect(Math.hypot(l.knee.x - l.ankle.x, l.knee.y - l.ankle.y), s.id).toBeCloseTo(b.shankM, 6);
				}
			}
			if (s.tags.includes('prone')) expect(Math.max(p.from.trunk, p.to.trunk), s.id).toBeGreaterThan(60);
			if (s.tags.includes('kneeling'))
				expect(
					[p.from, p.to].some((pose) =>
						[pose.near, pose.far ?? pose.near].some((l) => l.shank < -70 && l.shank > -110)
					),
					s.id
				).toBe(true);
			if ((asksOfPoses(p).kneeFlexion ?? 0) > 0) expect(asksOfPoses(p).kneeFlexion).toBeLessThanOrEqual(165);
		}
	});
	it('tags and asks agree: what bends the toes is tagged, and asks them', () => {
		const ctx = context();
		for (const s of STEPS) {
			const asked = askedBy(s, ctx, setupFor(s, fitStep(s, ctx), ctx.body));
			const toes = Math.max(asked.demand.bigToeExtension ?? 0, asked.other?.bigToeExtension ?? 0);
			expect(s.tags.includes('toes-bent'), s.id).toBe(toes > 15);
		}
	});
});

describe('for any client', () => {
	const anyone = fc.record({
		kneeFlexion: fc.integer({ min: 40, max: 150 }),
		thighTrunkFlexion: fc.integer({ min: 60, max: 155 }),
		weightBearingDorsiflexion: fc.integer({ min: 5, max: 45 }),
		straightLegRaise: fc.integer({ min: 30, max: 100 }),
		hipExtension: fc.integer({ min: -10, max: 40 }),
		bigToeExtension: fc.integer({ min: 10, max: 90 }),
		hipAbduction: fc.integer({ min: 0, max: 50 }),
		hipInternalRotation: fc.integer({ min: 0, max: 45 }),
		hipExternalRotation: fc.integer({ min: 0, max: 50 }),
		forwardBow: fc.integer({ min: 5, max: 115 })
	});
	it('a set-up that is solved stays inside every limit less its margin, on every ladder', () => {
		fc.assert(
			fc.property(anyone, fc.integer({ min: 150, max: 195 }), (o, heightCm) => {
				const ctx = context(o, { body: body(heightCm) });
				for (const f of fitSteps(STEPS, ctx))
					if (f.setup !== null) expect(shortAt(step(f.step), ctx, f.setup), f.step).toEqual([]);
			}),
			{ seed: 81, numRuns: 40 }
		);
	});
	it('what fits never asks more than is usable; more range never closes a step', () => {
		const rank = { blocked: 0, unmeasured: 0, 'set-up': 1, watch: 2, fits: 3 } as const;
		fc.assert(
			fc.property(anyone, fc.constantFrom(...AXES), fc.integer({ min: 3, max: 25 }), (o, axis, more) => {
				const before = fitSteps(STEPS, context(o));
				// Techniques that spend the ankle lean on it: more of it may ask more of the knee, so the ankle is left out here.
				if (axis === 'weightBearingDorsiflexion') return;
				const after = fitSteps(STEPS, context({ ...o, [axis]: o[axis] + more }));
				before.forEach((b, i) => {
					if (b.verdict === 'fits')
						for (const [a, deg] of Object.entries(b.demand) as [Axis, number][])
							expect(deg, `${b.step} ${a}`).toBeLessThanOrEqual(
								o[a] -
									5 +
									(a === 'hipExtension' && (STEPS[i] as Step).posture.movement === 'split-squat'
										? PELVIS_GIVES
										: 0) +
									1e-6
							);
					expect(
						rank[(after[i] as StepFit).verdict],
						`${b.step}: ${b.verdict} with more ${axis}`
					).toBeGreaterThanOrEqual(rank[b.verdict]);
				});
			}),
			{ seed: 82, numRuns: 40 }
		);
	});
	it('one notch gentler asks no more of the joint it is meant for', () => {
		const ctx = context({}, { furniture: { seats: [42, 46, 52], pads: [{ cm: 3, count: 3 }] } });
		for (const s of STEPS) {
			const setup = setupFor(s, fitStep(s, ctx), ctx.body);
			const length = lengthIn(setup);
			if (length === null) continue;
			const notch = gentlerNotches(s, setup, undefined, ctx).find((n) => n.choice === undefined);
			if (notch === undefined) continue;
			const knee = (x: typeof setup) => askedBy(s, ctx, x).demand;
			const axis: Axis = s.posture.movement === 'hinge' ? 'thighTrunkFlexion' : 'kneeFlexion';
			expect(knee(notch.setup)[axis], s.id).toBeLessThanOrEqual((knee(setup)[axis] as number) + 0.5);
		}
	});
	it('a solved length has a band that holds it, and the same question the same band', () => {
		const ctx = context({ kneeFlexion: 85, straightLegRaise: 60 });
		for (const id of ['step-up', 'step-down-tap', 'free-hinge', 'leg-press', 'standard-seat']) {
			const band = setupBand(step(id), ctx, 60);
			expect(band, id).not.toBeNull();
			expect((band?.high ?? 0) - (band?.low ?? 0), id).toBeGreaterThan(0.2);
			expect(setupBand(step(id), ctx, 60)).toEqual(band);
		}
		// A knee's limit sets the thigh of a split squat whatever the lengths: a band of nothing is right there.
		const split = setupBand(step('split-squat'), ctx, 60);
		expect((split?.high ?? NaN) - (split?.low ?? NaN)).toBeLessThan(0.01);
		expect(setupBand(step('clamshell'), ctx)).toBeNull();
	});
	it('missing equipment and a position that is not tolerated close a step by name; not asked only asks', () => {
		const bare = context({}, { equipment: ['wall', 'chair'] });
		expect(fitStep(step('monster-walk'), bare)).toMatchObject({ verdict: 'blocked', missing: [['band']] });
		expect(fitStep(step('wall-press'), bare).missing).toEqual([]);
		// A hand on something firm: counter, chair or wall will do.
		expect(fitStep(step('held-split-squat'), bare).missing).toEqual([]);
		const asked = context({}, { positions: { kneeling: 'no', prone: 'yes' } });
		expect(fitStep(step('kneeling-hinge'), asked)).toMatchObject({
			verdict: 'blocked',
			positions: [
				{ position: 'kneeling', answer: 'no' },
				{ position: 'floor-transfer', answer: 'unknown' }
			]
		});
		expect(fitStep(step('prone-curl'), asked).verdict).toBe('fits');
		expect(fitStep(step('seated-hinge'), asked).verdict).toBe('fits');
	});
	it('who cannot get down to the floor does the lying work on a bed, where there is one; planks and rollers stay closed', () => {
		const positions = {
			'floor-transfer': 'no',
			'side-lying': 'yes',
			prone: 'yes',
			'weight-on-hands': 'yes'
		} as const;
		const floor = context({}, { positions, equipment: EQUIPMENT.filter((e) => e !== 'bed') });
		const bed = { ...floor, equipment: EQUIPMENT };
		for (const id of ['bridge', 'clamshell', 'prone-curl', 'quad-set']) {
			expect(fitStep(step(id), floor), id).toMatchObject({
				verdict: 'blocked',
				positions: [{ position: 'floor-transfer', answer: 'no' }],
				onBed: false
			});
			expect(fitStep(step(id), bed), id).toMatchObject({ positions: [], onBed: true });
			expect(fitStep(step(id), bed).verdict, id).not.toBe('blocked');
		}
		for (const id of ['plank', 'roll-outer-thigh', 'bench-bridge'])
			expect(fitStep(step(id), bed).verdict, id).toBe('blocked');
		// The same of a caution that closes the floor, of the way down that has to be taught, and of a plan without it.
		expect(
			[floor, bed].map(
				(ctx) =>
					fitStep(step('bridge'), { ...ctx, positions: {}, ...withheld('floor-transfer') }).withheld.length
			)
		).toEqual([1, 0]);
		const eased = [{ tag: 'floor-transfer' as const, effect: 'support' as const, because: 'falls', cue: '' }];
		expect([floor, bed].map((ctx) => fitStep(step('bridge'), { ...ctx, eased }).eased.length)).toEqual([
			1, 0
		]);
		const without = { tags: ['floor-transfer' as const] };
		expect(
			[floor, bed].map((ctx) =>
				freeIn({ ...ctx, positions: { ...positions, 'floor-transfer': 'yes' } }, without).includes(
					'clamshell'
				)
			)
		).toEqual([false, true]);
		// Where nobody said what is at hand, no bed is assumed.
		expect(fitStep(step('bridge'), context({}, { positions })).verdict).toBe('blocked');
	});
	it('a hip or toe that was not measured is taken as usual, and named; a knee is not', () => {
		const { hipExtension: _, bigToeExtension: __, ...some } = envelope();
		const f = fitStep(step('split-squat'), { ...context(), envelope: some });
		expect(f).toMatchObject({ verdict: 'fits', assumed: ['hipExtension', 'bigToeExtension'] });
		const { kneeFlexion: ___, ...others } = envelope();
		expect(fitStep(step('split-squat'), { ...context(), envelope: others }).verdict).toBe('unmeasured');
	});
	it('with a side that works, the rear leg is asked on the other side', () => {
		const stiff: Envelope = { ...envelope(), bigToeExtension: { left: range(20), right: range(80) } };
		const at = (side: 'left' | 'right') =>
			fitStep(step('reverse-lunge'), { ...context(), envelope: stiff, side });
		expect(at('right')).toMatchObject({
			verdict: 'blocked',
			limiting: [{ axis: 'bigToeExtension', side: 'left' }]
		});
		expect(at('left').verdict).toBe('fits');
	});
});

describe('when one way is closed', () => {
	const LEG_DAY: readonly Purpose[] = [
		'balance',
		'thigh-front',
		'buttock',
		'thigh-back',
		'hip-side',
		'calf',
		'trunk'
	];
	it('a sore back has a whole leg day without load on the spine', () => {
		const plan = planFor(LEG_DAY, candidatesIn(context({}, withheld('spine-load', 'loaded-spine-bending'))));
		for (const { purpose, pick } of plan) {
			expect(pick, purpose).not.toBeNull();
			expect(pick?.step.tags, purpose).not.toContain('spine-load');
			expect(pick?.step.posture.load?.at ?? 'none', purpose).not.toMatch(/goblet|back|front-rack/);
		}
		expect(new Set(plan.map((p) => p.pick?.step.id)).size).toBe(LEG_DAY.length);
	});
	it('toes that cannot bend get the side lunge, and never a flat rear foot', () => {
		for (const ctx of [context({ bigToeExtension: 15 }), context({}, withheld('toes-bent'))]) {
			const free = freeIn(ctx);
			expect(free).toContain('side-lunge');
			for (const id of [
				'split-squat',
				'reverse-lunge',
				'forward-lunge',
				'walking-lunge',
				'plank',
				'heel-raise'
			])
				expect(free, id).not.toContain(id);
			const lunge = {
				family: FAMILIES.lunge as (typeof ALL)[number],
				step: step('reverse-lunge'),
				fit: fitStep(step('reverse-lunge'), ctx),
				open: true
			};
			const instead = substitutes(lunge, candidatesIn(ctx), ctx);
			// The gentler of the two first, a counter ahead.
			expect(instead.slice(0, 2).map((s) => s.step.id)).toEqual(['held-side-lunge', 'side-lunge']);
			expect(instead.every((s) => !s.step.tags.includes('toes-bent'))).toBe(true);
		}
		expect(STEPS.filter((s) => /flat rear foot|rear foot flat/i.test(s.what))).toEqual([]);
	});
	it('a knee that cannot bend past 60° has a full plan of the same purposes, every set-up inside 60°', () => {
		const ctx = context({ kneeFlexion: 60 });
		for (const { purpose, pick } of planFor(LEG_DAY, candidatesIn(ctx))) {
			expect(pick, purpose).not.toBeNull();
			if (pick === null) continue;
			const asked = askedBy(pick.step, ctx, pick.fit.setup);
			expect(asked.demand.kneeFlexion ?? 0, pick.step.id).toBeLessThanOrEqual(60);
		}
		// The bridge with its feet farther away, solved.
		const bridge = fitStep(step('bridge'), ctx);
		expect(bridge.verdict).toBe('set-up');
		expect(bridge.demandSetUp?.kneeFlexion).toBeLessThanOrEqual(55.5);
		expect(bridge.setup?.feetCm).toBeGreaterThan(100);
	});
	it('a stiff ankle gets a solved wedge with its band', () => {
		const ctx = context(
			{ weightBearingDorsiflexion: 20 },
			{ furniture: { seats: [46], pads: [], wedges: [3, 4.5, 6] } }
		);
		const wedge = wedgeOption(step('free-squat'), ctx);
		expect(wedge?.neededCm).toBeGreaterThan(2);
		expect(
			shortAt(step('free-squat'), ctx, { thighDeg: 70, heelWedgeCm: wedge?.neededCm as number })
		).toEqual([]);
		expect(wedgeOption(step('split-squat'), ctx)).toBeNull();
	});
	it('a fearful back starts seated or kneeling: the free hinge waits for confidence, those two wait for nothing', () => {
		for (const id of ['seated-hinge', 'kneeling-hinge']) expect(step(id).gates).toEqual([]);
		const afraid: Shown[] = [
			{ step: 'seated-hinge', side: 'both', cleanReps: [10], effortMax: 3, confidence: 3 }
		];
		const waits = step('hands-on-thighs-hinge')
			.gates.map((g) => gateState(g, afraid))
			.filter((g) => !g.met);
		expect(waits).toMatchObject([{ gate: { kind: 'any-of' }, shown: '3 of 10 · not asked yet' }]);
		const surer: Shown[] = [{ ...(afraid[0] as Shown), confidence: 6 }];
		expect(step('hands-on-thighs-hinge').gates.every((g) => gateState(g, surer).met)).toBe(true);
	});
	it('a busy gym: with the leg press taken, the nearest way of the same purpose is something else that is free', () => {
		const ctx = context({}, { equipment: ['chair', 'counter', 'wall', 'leg-press', 'weight', 'step'] });
		const press = {
			family: FAMILIES['leg-press'] as (typeof ALL)[number],
			step: step('leg-press'),
			fit: fitStep(step('leg-press'), ctx),
			open: true
		};
		const swaps = substitutes(press, candidatesIn(ctx), ctx, { busy: ['leg-press'], sore: 'knee' });
		expect(swaps.length).toBeGreaterThan(2);
		for (const s of swaps) {
			expect(s.step.equipment ?? []).not.toContain('leg-press');
			expect(s.serves).toBeGreaterThan(0);
		}
		expect(servesOf(swaps[0]?.family as (typeof ALL)[number], swaps[0]?.step as Step)).toContain(
			'thigh-front'
		);
		for (let i = 1; i < swaps.length; i++)
			expect((swaps[i - 1] as (typeof swaps)[number]).serves).toBeGreaterThanOrEqual(
				(swaps[i] as (typeof swaps)[number]).serves - 0.13
			);
	});
});

describe('what is open', () => {
	const lunge = FAMILIES.lunge as (typeof ALL)[number];
	const open = (reached: string | undefined, met: readonly string[], ctx = context()) =>
		candidatesOf(lunge, fitFamily(lunge, ctx), reached, (id) => met.includes(id))
			.filter(isOpen)
			.map((c) => c.step.id);
	it('a step opens when its gates are met; what was passed or started from needs none', () => {
		expect(open(undefined, ['stick-lunge-1'])).toEqual(['stick-lunge-1']);
		expect(open('split-squat', [])).toEqual(['held-split-squat', 'split-squat']);
		expect(open('split-squat', ['reverse-lunge-held'])).toContain('reverse-lunge-held');
	});
	it('gates that are met open nothing that the body does not allow', () => {
		const all = lunge.steps.map((s) => s.id);
		expect(open(undefined, all)).toEqual(all);
		expect(open('walking-lunge', all, context({ bigToeExtension: 15 }))).toEqual([
			'held-side-lunge',
			'side-lunge',
			'goblet-side-lunge',
			'wide-shift-lunge'
		]);
	});
});

describe('gates', () => {
	it('split jumps stay locked until squat jump and walking lunge are both mastered, and a licensed user has cleared impact', () => {
		const gates = step('split-jump').gates;
		const targetOf = (id: string) => findStep(id)?.step.usualDose.target;
		const did = (id: string, sets: number, reps: number): Shown => ({
			step: id,
			side: 'both',
			cleanReps: Array.from({ length: sets }, () => reps),
			effortMax: 5
		});
		const jump = did('squat-jump', 3, 8);
		const walk = did('walking-lunge', 2, 10);
		const open = (shown: Shown[], clearances: readonly ['impact'] | readonly []) =>
			gates.every((g) => gateState(g, shown, { targetOf, clearances }).met);
		expect(open([jump], ['impact'])).toBe(false);
		expect(open([walk], ['impact'])).toBe(false);
		expect(open([jump, walk], [])).toBe(false);
		expect(open([did('squat-jump', 3, 7), walk], ['impact'])).toBe(false);
		expect(open([jump, walk], ['impact'])).toBe(true);
	});
	it('a hold is asked of both sides: tandem ten seconds, left ten, right six', () => {
		const shown: Shown[] = [
			{ step: 'tandem-stance', side: 'left', cleanReps: [8, 10], effortMax: undefined },
			{ step: 'tandem-stance', side: 'right', cleanReps: [6, 5], effortMax: undefined }
		];
		const gate = { kind: 'held', step: 'tandem-stance', sec: 10 } as const;
		expect(gateState(gate, shown)).toMatchObject({ met: false, shown: 'left 10 s, right 6 s' });
		expect(gateState(gate, [...shown, { ...(shown[1] as Shown), cleanReps: [10] }]).met).toBe(true);
	});
	it('work that is not felt and a fault that is still seen keep their gates shut; unseen is not free', () => {
		const felt = { kind: 'felt', step: 'clamshell' } as const;
		const free = { kind: 'fault-free', step: 'clamshell', fault: 'pelvis-rolls' } as const;
		expect(gateState(felt, []).met).toBe(false);
		expect(gateState(free, []).met).toBe(false);
		const seen = (share: number, isFelt: boolean): Shown[] => [
			{
				step: 'clamshell',
				side: 'both',
				cleanReps: [10],
				effortMax: 4,
				faults: { 'pelvis-rolls': share },
				felt: isFelt
			}
		];
		expect([gateState(felt, seen(0.5, false)).met, gateState(free, seen(0.5, false)).met]).toEqual([
			false,
			false
		]);
		expect([gateState(felt, seen(0, true)).met, gateState(free, seen(0, true)).met]).toEqual([true, true]);
	});
	it('a hip ladder from isometric to rise and press: each next step waits for what is below it, and opens when that is shown', () => {
		const path = ['raised-seat-hands', 'raised-seat', 'standard-seat', 'rise-and-press'];
		const shown: Shown[] = [];
		for (const id of path) {
			const s = step(id);
			if (id !== path[0])
				expect(
					s.gates.every((g) => gateState(g, shown).met),
					id
				).toBe(true);
			const above = path[path.indexOf(id) + 1];
			if (above !== undefined)
				expect(
					step(above).gates.every((g) => gateState(g, shown).met),
					above
				).toBe(false);
			// Easy, and as calm as it has to be.
			shown.push({ step: id, side: 'both', cleanReps: [10, 10, 10], effortMax: 5, pain: 2, calm: 2 });
		}
		const sore = shown.map((s) => ({ ...s, pain: 3 }));
		expect(step('rise-and-press').gates.every((g) => gateState(g, sore).met)).toBe(false);
		expect(step('wall-press').gates).toEqual([]);
		expect(step('standing-abduction').gates.every((g) => gateState(g, shown).met)).toBe(false);
	});
});
