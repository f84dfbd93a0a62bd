/**
 * The picture of any step for a body, in a set-up: points, furniture and labels at every moment between the easy end (t = 0) and the
 * hard point (t = 1), by solving the in-between set-ups where the movement is solved and by turning limbs where it is posed. The same
 * figure on the ladder, the card, the library and the print.
 */
import { RAD } from '../base/angle.ts';
import { point, type Point } from '../base/vector.ts';
import { unreachable } from '../base/result.ts';
import type { Axis } from '../body/axis.ts';
import type { Body } from '../body/body.ts';
import type { Step } from '../exercise/family.ts';
import { isSquat, type StepPosture } from '../exercise/step-posture.ts';
import { bodyShapes } from '../figure/body-shapes.ts';
import { figureOf, type Scene } from '../figure/figure.ts';
import { betweenPoses, pointsOfPose, type KeyPose, type PosedPoints } from '../figure/key-pose.ts';
import { screen } from '../figure/limb.ts';
import { chair, propShape, propsOfPose, weightRadius, type Prop } from '../figure/prop.ts';
import type { Figure, Joint, Label } from '../figure/shape.ts';
import { middleJoint } from '../figure/two-link.ts';
import { bridge } from '../posture/bridge.ts';
import { heelRaiseStick } from '../posture/heel-raise.ts';
import { hangingHandCm, hinge } from '../posture/hinge.ts';
import { seatedStick } from '../posture/knee-extension.ts';
import { onTrunk } from '../posture/leg.ts';
import { legPress } from '../posture/leg-press.ts';
import { postureInBand } from '../posture/inverse-in-band.ts';
import type { LoadPlace } from '../posture/problem.ts';
import { splitSquat } from '../posture/split-squat.ts';
import { asSquat } from '../posture/step-down.ts';
import { standingOnTop, stepUp } from '../posture/step-up.ts';
import type { Stick } from '../posture/stick.ts';
import { defaultArms, loadPlace } from '../posture/upper-body.ts';
import { splitOf, stepDownOf } from './asked.ts';
import type { FitContext, SolvedSetup } from './context.ts';
import { boundsOf } from './fit.ts';
import { handleFor } from './usual-setup.ts';
import { ankleCap, depthFor, isSquatStep, standAt, type SquatStep } from './squat-stand.ts';

export interface Picture {
	/** The figure at a moment, 0 easy to 1 hard. */
	readonly at: (t: number) => Figure;
}

const mix = (a: number, b: number, t: number): number => a + (b - a) * t;
/** Upright enough to start from, degrees of thigh. */
const UPRIGHT = 8;

/** What a frame is made of before it is drawn. */
interface Frame {
	readonly points: PosedPoints;
	readonly props: readonly Prop[];
	readonly labels: readonly Label[];
}

export function pictureOf(step: Step, ctx: FitContext, setup: SolvedSetup | null, limiting: readonly Axis[] = []): Picture {
	const { body } = ctx;
	if (step.drawn !== undefined) return posed(body, step.drawn.from, step.drawn.to, step.posture, limiting);
	if (isSquatStep(step)) return squatPicture(step, ctx, setup, limiting);
	if (step.posture.movement === 'pose') return posed(body, step.posture.from, step.posture.to, step.posture, limiting);
	const frameAt = frames(step, ctx, setup);
	const viewBox = viewOf(body, [frameAt(0), frameAt(0.5), frameAt(1)]);
	return { at: (t) => drawn(body, frameAt(t), viewBox, limiting) };
}

function squatPicture(step: SquatStep, ctx: FitContext, setup: SolvedSetup | null, limiting: readonly Axis[]): Picture {
	const { body } = ctx;
	const stand = standAt(step, ctx, setup);
	const bounds = boundsOf(step, ctx);
	const depth = depthFor(step, setup);
	const bottom = postureInBand({ ...stand, depth }, bounds);
	const { load, stance, movement } = step.posture;
	const held = step.dials.support === 'two-hands';
	const arms = defaultArms(movement, 'seatCm' in depth, load);
	const scene: Omit<Scene, 'posture'> = {
		body,
		arms: arms === 'hang' && !held && load === undefined ? 'forward' : arms,
		stance,
		held,
		limiting,
		...('seatCm' in depth ? { seatCm: depth.seatCm } : {}),
		...(load === undefined ? {} : { load })
	};
	const seatAt = bottom.points.hip.x;
	return {
		at: (t) => {
			if (t >= 1) return figureOf({ ...scene, posture: bottom });
			const p = postureInBand({ ...stand, depth: { thighDeg: mix(UPRIGHT, bottom.angles.thigh, t) } }, bounds);
			return figureOf({ ...scene, posture: p, seatAtM: seatAt });
		}
	};
}

function posed(body: Body, from: KeyPose, to: KeyPose, p: StepPosture, limiting: readonly Axis[]): Picture {
	const kg = p.load?.kg ?? 4;
	const frameAt = (t: number): Frame => {
		const pose = betweenPoses(from, to, t);
		const points = pointsOfPose(body, pose);
		return { points, props: propsOfPose(body, points, pose.props ?? [], kg), labels: [] };
	};
	const viewBox = viewOf(body, [frameAt(0), frameAt(1)]);
	return { at: (t) => drawn(body, frameAt(t), viewBox, limiting) };
}

/** A stick with head and hands, as points. */
function withArms(body: Body, s: Stick, hand?: Point): PosedPoints {
	const lean = Math.atan2(s.shoulder.x - s.hip.x, s.shoulder.y - s.hip.y);
	const H = body.heightM;
	const h = s.hand ?? hand ?? point(s.shoulder.x + 0.01 * H, s.shoulder.y - 0.325 * H);
	return { near: s.near, ...(s.far === undefined ? {} : { far: s.far }), hip: s.hip, shoulder: s.shoulder, elbow: middleJoint(s.shoulder, h, 0.186 * H, 0.2 * H, -1), hand: h, headDeg: (0.7 * lean) / RAD };
}

const block = (x0: number, x1: number, y1: number, y0 = 0): Prop => ({ kind: 'block', role: 'furniture', x0, x1, y0, y1 });
const label = (x: number, y: number, cm: number, of: Label['of']): Label => ({ x: 100 * x, y: -100 * y - 3, cm, of });

/** The load where it is carried, drawn on the body's points. */
function carried(body: Body, points: PosedPoints, load: { readonly kg: number; readonly at: LoadPlace } | undefined): readonly Prop[] {
	if (load === undefined || load.at === 'none' || load.kg <= 0) return [];
	const r = weightRadius(load.kg);
	if (load.at === 'sides' || load.at === 'hands') return [{ kind: 'disc', role: 'load', at: points.hand ?? points.shoulder, r }];
	const [u, v] = loadPlace(load.at);
	const lean = Math.atan2(points.shoulder.x - points.hip.x, points.shoulder.y - points.hip.y);
	return [{ kind: 'disc', role: 'load', at: onTrunk(points.hip, lean, u * body.trunkM, v * body.heightM), r }];
}

/** The hands are where the load is held in front. */
function handOnLoad(body: Body, s: Stick, load: { readonly kg: number; readonly at: LoadPlace } | undefined): Point | undefined {
	if (load === undefined || load.at === 'none' || load.at === 'sides' || load.at === 'hands') return undefined;
	const [u, v] = loadPlace(load.at);
	return onTrunk(s.hip, Math.atan2(s.shoulder.x - s.hip.x, s.shoulder.y - s.hip.y), u * body.trunkM, v * body.heightM);
}

/** A hand on something firm in front. */
function heldBy(body: Body, step: Step, s: Stick): { readonly hand?: Point; readonly props: readonly Prop[] } {
	if (step.dials.support === undefined || step.dials.support === 'none') return { props: [] };
	const H = body.heightM;
	const floor = Math.min(s.near.heel.y, s.far?.ball.y ?? s.near.heel.y);
	const hand = point(s.shoulder.x + 0.24 * H, Math.min(s.shoulder.y - 0.08 * H, floor + 0.6 * H));
	return { hand, props: [{ kind: 'rod', role: 'support', a: point(hand.x + 0.015, floor), b: point(hand.x + 0.015, hand.y + 0.02), r: 0.016 }] };
}

function frames(step: Step, ctx: FitContext, setup: SolvedSetup | null): (t: number) => Frame {
	const { body } = ctx;
	const p = step.posture;
	if (isSquat(p) || p.movement === 'pose') throw new Error('unreachable: drawn elsewhere');
	const bounds = boundsOf(step, ctx);
	const load = p.load;
	switch (p.movement) {
		case 'step-up': {
			const stepCm = setup?.stepCm ?? p.stepCm;
			const up = stepUp({ body, stepCm, ...(load === undefined ? {} : { load }) });
			const top = standingOnTop(body, stepCm);
			const [touch, over] = up.sticks;
			return (t) => {
				const s = t >= 0.5 ? betweenSticks(body, over, touch, (t - 0.5) * 2) : betweenSticks(body, top, over, t * 2);
				const { hand, props } = heldBy(body, step, s);
				const points = withArms(body, s, hand);
				const x0 = touch.near.heel.x;
				return { points, props: [block(x0, x0 + 0.42, stepCm / 100), ...props, ...carried(body, points, load)], labels: [label(x0 + 0.33, 0.02, stepCm, 'step')] };
			};
		}
		case 'step-down': {
			const stepCm = setup?.stepCm ?? p.stepCm;
			const rise = stepCm / 100;
			const downFrom = (cm: number) => postureInBand(asSquat(stepDownOf(step, ctx, { stepCm: cm })), bounds);
			const bottom = downFrom(stepCm);
			return (t) => {
				const q = t >= 1 ? bottom : downFrom(mix(1.5, stepCm, t));
				const up = (a: Point): Point => point(a.x, a.y + rise);
				const P = q.points;
				const hip = up(P.hip);
				const reach = (body.thighM + body.shankM) * Math.min(1, 1 - 0.02 * (1 - t));
				const ahead = p.freeLegDeg * RAD;
				const ankle = point(hip.x + reach * Math.sin(ahead), Math.max(body.ankleHeightM, hip.y - reach * Math.cos(ahead)));
				const knee = middleJoint(hip, ankle, body.thighM, body.shankM, 1);
				const low = ankle.y - body.ankleHeightM;
				const s: Stick = {
					near: { heel: up(P.heel), ball: up(P.ball), toe: up(P.toe), ankle: up(P.ankle), knee: up(P.knee) },
					far: { knee, ankle, heel: point(ankle.x - 0.25 * body.footM, low), ball: point(ankle.x + 0.45 * body.footM, low + 0.03), toe: point(ankle.x + 0.75 * body.footM, low + 0.05) },
					hip,
					shoulder: up(P.shoulder)
				};
				const { hand, props } = heldBy(body, step, s);
				const points = withArms(body, s, hand ?? point(s.shoulder.x + 0.3 * body.heightM, s.shoulder.y - 0.08 * body.heightM));
				const wedge: readonly Prop[] = q.heelWedgeCm > 0.1 ? [{ kind: 'wedge', role: 'wedge', heel: up(P.heel), ball: up(P.ball) }] : [];
				return { points, props: [block(P.heel.x - 0.3, P.toe.x + 0.01, rise), ...wedge, ...props, ...carried(body, points, load)], labels: [label(P.heel.x - 0.2, 0.02, stepCm, 'step')] };
			};
		}
		case 'split-squat': {
			const problem = splitOf(step, ctx, setup, ankleCap(bounds[0]));
			const bottom = splitSquat(problem);
			const start = Math.min(30, bottom.front.thigh);
			return (t) => {
				const s = t >= 1 ? bottom.stick : splitSquat({ ...problem, thighDeg: mix(start, bottom.front.thigh, t) }).stick;
				const { hand, props } = heldBy(body, step, s);
				const points = withArms(body, s, hand ?? handOnLoad(body, s, load));
				const riser = (p.frontElevationCm ?? 0) / 100;
				const under: readonly Prop[] = riser > 0 ? [block(s.near.heel.x - 0.05, s.near.toe.x + 0.06, riser)] : [];
				return { points, props: [...under, ...props, ...carried(body, points, load)], labels: riser > 0 ? [label(s.near.toe.x, 0.02, riser * 100, 'riser')] : [] };
			};
		}
		case 'hinge': {
			const handleCm = setup?.handleCm ?? handleFor(p, body);
			const top = hangingHandCm(body) - 4;
			const at = (cm: number) => hinge({ body, handleCm: cm, close: p.close, loadKg: load?.kg ?? 0, ...(p.bar === undefined ? {} : { bar: p.bar }), ...(p.oneLeg === true ? { oneLeg: true } : {}) });
			return (t) => {
				const s = at(mix(Math.max(top, handleCm), handleCm, t)).stick;
				const points = withArms(body, s);
				const hand = points.hand ?? points.shoulder;
				const r = weightRadius(load?.kg ?? 0);
				const bell: readonly Prop[] = load === undefined ? [] : [{ kind: 'disc', role: 'load', at: point(hand.x, hand.y - r), r }, { kind: 'rod', role: 'load', a: point(hand.x - 0.03, hand.y), b: point(hand.x + 0.03, hand.y), r: 0.012 }];
				const below = handleCm / 100 - 2 * r;
				const blocks: readonly Prop[] = load !== undefined && p.bar === 'midfoot' && below > 0.04 ? [block(hand.x - 0.13, hand.x + 0.13, below)] : [];
				const support: readonly Prop[] = step.dials.support === 'two-hands' ? [{ kind: 'rod', role: 'support', a: point(hand.x + 0.03, 0), b: point(hand.x + 0.03, hand.y + 0.03), r: 0.016 }] : [];
				return { points, props: [...blocks, ...support, ...bell], labels: [label(hand.x + 0.22, handleCm / 100 - 0.06, handleCm, 'handle')] };
			};
		}
		case 'bridge': {
			const q = bridge({ body, legs: p.legs, loadKg: load?.kg ?? 0, ...(setup?.feetCm === undefined ? { kneeDeg: p.kneeDeg } : { footDistCm: setup.feetCm }), ...(p.shoulderCm === undefined ? {} : { shoulderCm: p.shoulderCm }), ...(p.footCm === undefined ? {} : { footCm: p.footCm }) });
			const H = body.heightM;
			const low = point(q.stick.shoulder.x + Math.sqrt(Math.max(0, body.trunkM ** 2 - (q.stick.shoulder.y - 0.05 * H) ** 2)), 0.05 * H);
			return (t) => {
				const up = mix(0, 1, t);
				const shoulder = q.stick.shoulder;
				const raw = point(mix(low.x, q.stick.hip.x, up), mix(low.y, q.stick.hip.y, up));
				const d = Math.hypot(raw.x - shoulder.x, raw.y - shoulder.y);
				const hip = point(shoulder.x + ((raw.x - shoulder.x) * body.trunkM) / d, shoulder.y + ((raw.y - shoulder.y) * body.trunkM) / d);
				const near = { ...q.stick.near, knee: middleJoint(hip, q.stick.near.ankle, body.thighM, body.shankM, 1) };
				const dx = hip.x - q.stick.hip.x;
				const dy = hip.y - q.stick.hip.y;
				const far = q.stick.far;
				const moved = (a: Point): Point => point(a.x + dx, a.y + dy);
				const arm = point(shoulder.x + 0.3 * H, p.shoulderCm === undefined ? 0.02 * H : shoulder.y - 0.02);
				const points: PosedPoints = { near, ...(far === undefined ? {} : { far: { knee: moved(far.knee), ankle: moved(far.ankle), heel: moved(far.heel), ball: moved(far.ball), toe: moved(far.toe) } }), hip, shoulder, elbow: middleJoint(shoulder, arm, 0.186 * H, 0.15 * H, 1), hand: arm, headDeg: -90 + (p.shoulderCm === undefined ? 0 : 12) };
				const bench: readonly Prop[] = p.shoulderCm === undefined ? [] : [block(shoulder.x - 0.22, shoulder.x + 0.12, p.shoulderCm / 100 - 0.04)];
				const feet: readonly Prop[] = p.footCm === undefined ? [] : [block(near.heel.x - 0.08, near.toe.x + 0.06, p.footCm / 100)];
				const weight: readonly Prop[] = load === undefined ? [] : [{ kind: 'disc', role: 'load', at: point(hip.x, hip.y + 0.05 * H + weightRadius(load.kg) * 0.8), r: weightRadius(load.kg) }];
				const band: readonly Prop[] = step.dials.lever === 'band' ? [{ kind: 'rod', role: 'band', a: near.knee, b: point(near.knee.x + 0.004, near.knee.y), r: 0.052 }] : [];
				return { points, props: [...bench, ...feet, ...weight, ...band], labels: [...(p.shoulderCm === undefined ? [] : [label(shoulder.x - 0.05, 0.02, p.shoulderCm, 'bench')]), { x: 50 * near.ankle.x, y: 9, cm: q.footDistCm, of: 'feet' }] };
			};
		}
		case 'knee-extension': {
			const seatCm = 46;
			return (t) => {
				const points = withArms(body, seatedStick(body, seatCm, mix(p.fromDeg, p.toDeg, t)));
				const seat = chair(points.hip.x - 0.26, points.hip.x + 0.3, seatCm / 100);
				const near = points.near;
				const shin = point(mix(near.knee.x, near.ankle.x, 0.9), mix(near.knee.y, near.ankle.y, 0.9));
				const cuff: readonly Prop[] = p.by === 'limb' ? [] : [{ kind: 'disc', role: p.by === 'machine' ? 'furniture' : 'load', at: p.by === 'machine' ? point(shin.x + 0.05, shin.y + 0.04) : shin, r: 0.055 }];
				const back: readonly Prop[] = p.by === 'machine' ? [{ kind: 'rod', role: 'furniture', a: point(points.hip.x - 0.13, points.hip.y), b: point(points.shoulder.x - 0.12, points.shoulder.y - 0.05), r: 0.03 }] : [];
				return { points, props: [...seat, ...back, ...cuff], labels: [] };
			};
		}
		case 'leg-press': {
			const sledCm = setup?.sledCm ?? p.sledCm;
			const far = 96 * (body.shankM + body.thighM);
			return (t) => {
				const pressed = legPress({ body, sledCm: mix(Math.max(far, sledCm), sledCm, t), railDeg: p.railDeg, backDeg: p.backDeg, legs: p.legs }).stick;
				const points = withArms(body, p.legs === 2 ? pressed : { ...pressed, far: waitingLeg(body, pressed.hip) });
				const { hip, shoulder, near } = points;
				const rest: Prop = { kind: 'rod', role: 'furniture', a: point(hip.x - 0.02, hip.y - 0.11), b: point(shoulder.x - 0.1, shoulder.y - 0.09), r: 0.03 };
				const plate: Prop = { kind: 'rod', role: 'furniture', a: point(near.heel.x + 0.03, near.heel.y), b: point(near.toe.x + 0.03, near.toe.y + 0.03), r: 0.022 };
				const foot: Prop = block(hip.x - 0.18, hip.x + 0.16, hip.y - 0.15);
				return { points, props: [foot, rest, plate], labels: [] };
			};
		}
		case 'heel-raise': {
			const edge = p.dropDeg === undefined ? 0 : 15;
			return (t) => {
				const s = heelRaiseStick(body, mix(-(p.dropDeg ?? 0), p.pitchDeg, t), p.legs, p.kneeDeg ?? 0, edge);
				const { hand, props } = heldBy(body, step, { ...s, near: { ...s.near, heel: point(s.near.heel.x, 0) } });
				const points = withArms(body, s, hand);
				const under: readonly Prop[] = edge > 0 ? [block(s.near.ball.x - 0.03, s.near.toe.x + 0.2, edge / 100)] : [];
				return { points, props: [...under, ...props, ...carried(body, points, load)], labels: edge > 0 ? [label(s.near.toe.x + 0.12, 0.02, edge, 'step')] : [] };
			};
		}
		default:
			return unreachable(p);
	}
}

/** The leg that waits beside a press: bent, its foot on the floor. */
function waitingLeg(body: Body, hip: Point): Stick['near'] {
	const ankle = point(hip.x + 0.85 * body.thighM, body.ankleHeightM);
	const heel = point(ankle.x - 0.25 * body.footM, 0);
	return { heel, ball: point(heel.x + 0.7 * body.footM, 0), toe: point(heel.x + body.footM, 0), ankle, knee: middleJoint(hip, ankle, body.thighM, body.shankM, 1) };
}

/** A pose between two sticks: feet, hips and shoulders go straight, knees follow by their lengths. */
function betweenSticks(body: Body, a: Stick, b: Stick, t: number): Stick {
	const at = (p: Point, q: Point): Point => point(mix(p.x, q.x, t), mix(p.y, q.y, t));
	const hip = at(a.hip, b.hip);
	const leg = (p: Stick['near'], q: Stick['near']): Stick['near'] => {
		const ankle = at(p.ankle, q.ankle);
		return { heel: at(p.heel, q.heel), ball: at(p.ball, q.ball), toe: at(p.toe, q.toe), ankle, knee: middleJoint(hip, ankle, body.thighM, body.shankM, 1) };
	};
	const [fa, fb] = [a.far ?? a.near, b.far ?? b.near];
	const lean = mix(Math.atan2(a.shoulder.x - a.hip.x, a.shoulder.y - a.hip.y), Math.atan2(b.shoulder.x - b.hip.x, b.shoulder.y - b.hip.y), t);
	return { near: leg(a.near, b.near), far: leg(fa, fb), hip, shoulder: point(hip.x + body.trunkM * Math.sin(lean), hip.y + body.trunkM * Math.cos(lean)) };
}

const PAD = 0.07;

/** One frame for all moments of a picture: a standing body's own scale, wider where the body lies. */
function viewOf(body: Body, all: readonly Frame[]): Figure['viewBox'] {
	const H = body.heightM;
	const xs: number[] = [];
	const ys: number[] = [];
	for (const { points: p, props } of all) {
		const head = point(p.shoulder.x + 0.19 * H * Math.sin(p.headDeg * RAD), p.shoulder.y + 0.19 * H * Math.cos(p.headDeg * RAD));
		for (const q of [p.hip, p.shoulder, head, p.hand ?? p.shoulder, ...[p.near, p.far ?? p.near].flatMap((l) => [l.knee, l.heel, l.toe, l.ankle])]) {
			xs.push(q.x);
			ys.push(q.y);
		}
		for (const q of props) if (q.kind === 'block') xs.push(q.x0, q.x1);
	}
	const [low, high] = [Math.min(...xs) - PAD, Math.max(...xs) + PAD];
	const width = Math.max(0.96 * H, high - low);
	const top = Math.max(...ys) + PAD;
	const height = top > 0.75 * H ? Math.max(1.04 * H, top) : Math.max(0.62 * H, top);
	return [100 * ((low + high) / 2 - width / 2), -100 * height, 100 * width, 100 * (height + 0.04 * H)];
}

const RING: Readonly<Record<Axis, Joint['id']>> = { kneeFlexion: 'knee', thighTrunkFlexion: 'hip', weightBearingDorsiflexion: 'ankle', straightLegRaise: 'hip', hipExtension: 'hip', bigToeExtension: 'far-toe' };

function drawn(body: Body, { points, props, labels }: Frame, viewBox: Figure['viewBox'], limiting: readonly Axis[]): Figure {
	const shapes = bodyShapes(body, points);
	const ringed = new Set(limiting.map((a) => RING[a]));
	const at: readonly (readonly [Joint['id'], Point])[] = [
		['hip', points.hip],
		['knee', points.near.knee],
		['ankle', points.near.ankle],
		['shoulder', points.shoulder],
		...(ringed.has('far-toe') ? ([['far-toe', (points.far ?? points.near).ball]] as const) : [])
	];
	const held = (p: Prop): boolean => p.role === 'load' || p.role === 'band' || (p.kind === 'disc' && p.over === true);
	const solid = (p: Prop, i: number) => propShape(p, `prop-${i}`);
	return {
		viewBox,
		top: viewBox[1],
		shapes: [...props.filter((p) => !held(p)).map(solid), ...shapes.behind, ...shapes.middle, ...props.filter(held).map((p, i) => propShape(p, `held-${i}`)), ...shapes.front],
		joints: at.map(([id, p]) => ({ id, x: screen(p).x, y: screen(p).y, ringed: ringed.has(id) })),
		labels
	};
}
