/**
 * Step-up: two moments of it. Contact, when the leading foot is placed and the trailing leg still carries; transfer, when the
 * leading leg has taken all of the weight and the trailing foot is on its ball.
 *
 * Frame: x from the trailing heel, the step's edge at the leading heel, 5 cm before it the trailing toes. The leading leg carrying
 * everything, with no push from the other, is an upper bound on its moment.
 * @source common-practice trailing knee 10°, line of the trailing leg 5° forward, foot pivoted 40°; winter-2009 masses
 */
import { DEG, RAD } from '../base/angle.ts';
import { rootIn, rootNear } from '../base/root.ts';
import { point } from '../base/vector.ts';
import { CENTRE, MASS, type Body } from '../body/body.ts';
import { FOOT, GRAVITY } from './constants.ts';
import {
	flatFoot,
	footAt,
	hipOf,
	kneeOf,
	legBetween,
	legLength,
	onTrunk,
	type Foot,
	type Leg
} from './leg.ts';
import type { Limits, Load } from './problem.ts';
import { legPoints, type Stick } from './stick.ts';
import { upperBody, type UpperBody } from './upper-body.ts';
import { atMost, holds, rangeChecks, room, type Demand, type MovementCheck } from './verdict.ts';

export interface StepUpProblem {
	readonly body: Body;
	readonly stepCm: number;
	readonly load?: Load;
	readonly limits?: Limits;
	readonly marginDeg?: number;
	/** Extra knee bend asked while the foot swings over the edge, degrees; 20 is usual when prescribing, 0 asks the contact alone. */
	readonly swingClearanceDeg?: number;
}

export interface LegAngles {
	readonly kneeFlexion: number;
	readonly thighTrunkFlexion: number;
	readonly weightBearingDorsiflexion: number;
	readonly trunkLean: number;
}

export interface StepUp {
	readonly feasible: boolean;
	readonly contact: LegAngles;
	readonly transfer: LegAngles;
	/** Knee bend while the foot swings over the edge. */
	readonly swingKnee: number;
	readonly demand: Demand;
	readonly moments: { readonly kneePerLeg: number; readonly hipPerLeg: number; readonly lumbosacral: number };
	readonly checks: readonly MovementCheck[];
	readonly sticks: readonly [contact: Stick, transfer: Stick];
}

const GAP_M = 0.05;
const TRAIL_KNEE = 10 * RAD;
const TRAIL_LINE = 5 * RAD;
const CONTACT_LEAN = 10 * RAD;
const PIVOT = 40 * RAD;
const MOST_LEAN = 60 * RAD;
/** The leading leg is never asked straighter than this. */
const STRAIGHTEST = 5 * RAD;

interface Frame {
	readonly body: Body;
	readonly upper: UpperBody;
	readonly totalKg: number;
	readonly trail: Foot;
	readonly lead: Foot;
	readonly trailLine: number;
}

function frameOf({ body, stepCm, load }: StepUpProblem, pitch: number): Frame {
	const arms =
		load === undefined || load.at === 'sides' || load.at === 'hands' || load.at === 'none' ? 'hang' : 'chest';
	return {
		body,
		upper: upperBody(body, arms, load),
		totalKg: body.massKg + (load === undefined || load.at === 'none' ? 0 : load.kg),
		trail: footAt(body, FOOT.ball * body.footM, 0, pitch),
		lead: flatFoot(body, body.footM + GAP_M, stepCm / 100),
		trailLine: legLength(body, TRAIL_KNEE)
	};
}

interface Transfer {
	readonly lead: Leg;
	readonly trunk: number;
	readonly hipX: number;
	readonly hipY: number;
	/** First moment of trunk, arms, load and trailing leg, kg·m. */
	readonly carried: number;
	/** Of trunk, arms and load alone about the hip. */
	readonly trunkAhead: number;
	readonly trailing: number;
}

function transferAt(f: Frame, psi: number): Transfer {
	const { body, upper, trail, lead: foot } = f;
	const hipX = trail.ankle.x + f.trailLine * Math.sin(psi);
	const hipY = trail.ankle.y + f.trailLine * Math.cos(psi);
	const lead = legBetween(body, hipX - foot.ankle.x, hipY - foot.ankle.y);
	const trunk = Math.max(0, Math.min(MOST_LEAN, lead.shank));
	const back = legBetween(body, hipX - trail.ankle.x, hipY - trail.ankle.y);
	const trailKnee = trail.ankle.x + body.shankM * Math.sin(back.shank);
	const M = body.massKg;
	const trailing =
		M *
		(MASS.foot * trail.centre.x +
			MASS.shank * (trailKnee + CENTRE.shank * (trail.ankle.x - trailKnee)) +
			MASS.thigh * (hipX + CENTRE.thigh * (trailKnee - hipX)));
	const trunkAhead = upper.alongKgM * Math.sin(trunk) + upper.aheadKgM * Math.cos(trunk) + upper.offsetKgM;
	return {
		lead,
		trunk,
		hipX,
		hipY,
		carried: trailing + upper.massKg * hipX + trunkAhead,
		trunkAhead,
		trailing
	};
}

function comX(f: Frame, t: Transfer): number {
	const { body, lead: foot } = f;
	const kneeX = foot.ankle.x + body.shankM * Math.sin(t.lead.shank);
	const own =
		body.massKg *
		(MASS.foot * foot.centre.x +
			MASS.shank * (kneeX + CENTRE.shank * (foot.ankle.x - kneeX)) +
			MASS.thigh * (t.hipX + CENTRE.thigh * (kneeX - t.hipX)));
	return (own + t.carried) / f.totalKg;
}

/**
 * Solves a step-up onto a step of `stepCm` (2–60).
 * @example 180 cm, 80 kg, 20 cm: knee 70.7° at contact, 68.6° at transfer (golden table G24)
 */
export function stepUp(problem: StepUpProblem): StepUp {
	const { body, limits = {}, marginDeg = 0, swingClearanceDeg = 0 } = problem;
	const touch = contactOf(frameOf(problem, 0));
	const f = frameOf(problem, PIVOT);
	const targetX = f.lead.heel.x + FOOT.target * body.footM;
	const { x: psi, found } = rootIn((p) => comX(f, transferAt(f, p)) - targetX, 0, 60 * RAD, 1e-9);
	const t = transferAt(f, psi);
	const contact: LegAngles = {
		kneeFlexion: touch.leg.knee * DEG,
		thighTrunkFlexion: (touch.leg.thigh + CONTACT_LEAN) * DEG,
		weightBearingDorsiflexion: touch.leg.shank * DEG,
		trunkLean: CONTACT_LEAN * DEG
	};
	const transfer: LegAngles = {
		kneeFlexion: t.lead.knee * DEG,
		thighTrunkFlexion: (t.lead.thigh + t.trunk) * DEG,
		weightBearingDorsiflexion: t.lead.shank * DEG,
		trunkLean: t.trunk * DEG
	};
	const swingKnee = contact.kneeFlexion + swingClearanceDeg;
	const demand: Demand = {
		kneeFlexion: Math.max(swingKnee, transfer.kneeFlexion),
		thighTrunkFlexion: Math.max(contact.thighTrunkFlexion, transfer.thighTrunkFlexion),
		weightBearingDorsiflexion: Math.max(contact.weightBearingDorsiflexion, transfer.weightBearingDorsiflexion)
	};
	const checks = [
		...rangeChecks(demand, limits, marginDeg),
		atMost('reach', 100 * Math.max(touch.leg.beyondM, t.lead.beyondM), 0, 'cm'),
		...(found
			? []
			: [
					{
						id: 'comBehindToeLimit' as const,
						value: 100 * comX(f, t),
						limit: 100 * targetX,
						slack: -100 * Math.abs(comX(f, t) - targetX),
						unit: 'cm' as const
					}
				])
	];
	return {
		feasible: holds(checks),
		contact,
		transfer,
		swingKnee,
		demand,
		moments: momentsOf(f, t),
		checks,
		sticks: [
			stickOf(touch.frame, touch.hipX, touch.hipY, touch.leg, CONTACT_LEAN),
			stickOf(f, t.hipX, t.hipY, t.lead, t.trunk)
		]
	};
}

/**
 * Worst slack (degrees) of a step-up as a function of the step's height, for walks: neighbouring heights start from each other's answer.
 */
export function stepUpSlack(problem: Omit<StepUpProblem, 'stepCm'>): (stepCm: number) => number {
	const { body, limits = {}, marginDeg = 0, swingClearanceDeg = 0 } = problem;
	const knee = room(limits.kneeFlexionDeg, marginDeg) * RAD;
	const fold = room(limits.thighTrunkFlexionDeg, marginDeg) * RAD;
	const ankle = room(limits.weightBearingDorsiflexionDeg, marginDeg) * RAD;
	const swing = swingClearanceDeg * RAD;
	const flat = frameOf({ ...problem, stepCm: 0 }, 0);
	const pivoted = frameOf({ ...problem, stepCm: 0 }, PIVOT);
	let psi = 0.3;
	return (stepCm) => {
		const lead = flatFoot(body, body.footM + GAP_M, stepCm / 100);
		const touch = contactOf({ ...flat, lead });
		const f = { ...pivoted, lead };
		const targetX = lead.heel.x + FOOT.target * body.footM;
		const at = rootNear((p) => comX(f, transferAt(f, p)) - targetX, psi, 0, 60 * RAD);
		if (!at.found) return -1;
		psi = at.x;
		const t = transferAt(f, psi);
		const beyond = Math.max(touch.leg.beyondM, t.lead.beyondM);
		if (beyond > 0) return -100 * beyond;
		return (
			DEG *
			Math.min(
				knee - touch.leg.knee - swing,
				knee - t.lead.knee,
				fold - touch.leg.thigh - CONTACT_LEAN,
				fold - t.lead.thigh - t.trunk,
				ankle - touch.leg.shank,
				ankle - t.lead.shank
			)
		);
	};
}

/** Contact: the pelvis is lowered until the leading leg reaches with at least 5° of bend. */
function contactOf(frame: Frame): {
	readonly frame: Frame;
	readonly leg: Leg;
	readonly hipX: number;
	readonly hipY: number;
} {
	const { body, trail, lead } = frame;
	const hipX = trail.ankle.x + frame.trailLine * Math.sin(TRAIL_LINE);
	const dx = hipX - lead.ankle.x;
	const reach = legLength(body, STRAIGHTEST);
	const highest = lead.ankle.y + Math.sqrt(Math.max(0, reach * reach - dx * dx));
	const hipY = Math.min(trail.ankle.y + frame.trailLine * Math.cos(TRAIL_LINE), highest);
	return { frame, leg: legBetween(body, dx, hipY - lead.ankle.y), hipX, hipY };
}

/** Everything but the leading shank and foot hangs on the leading knee; everything but the leading leg on its hip. */
function momentsOf(f: Frame, t: Transfer): StepUp['moments'] {
	const { body, upper, lead: foot } = f;
	const M = body.massKg;
	const kneeX = foot.ankle.x + body.shankM * Math.sin(t.lead.shank);
	const trailKg = M * (MASS.foot + MASS.shank + MASS.thigh);
	const thighX = t.hipX + CENTRE.thigh * (kneeX - t.hipX);
	return {
		kneePerLeg:
			GRAVITY * (kneeX * (upper.massKg + trailKg + M * MASS.thigh) - t.carried - M * MASS.thigh * thighX),
		hipPerLeg: GRAVITY * (t.carried - t.hipX * (upper.massKg + trailKg)),
		lumbosacral:
			GRAVITY *
			(upper.lumbarAlongKgM * Math.sin(t.trunk) + upper.lumbarAheadKgM * Math.cos(t.trunk) + upper.offsetKgM)
	};
}

function stickOf(f: Frame, hipX: number, hipY: number, lead: Leg, lean: number): Stick {
	const { body } = f;
	const hip = point(hipX, hipY);
	const back = legBetween(body, hipX - f.trail.ankle.x, hipY - f.trail.ankle.y);
	return {
		near: legPoints(body, f.lead, lead.shank),
		far: legPoints(body, f.trail, back.shank),
		hip,
		shoulder: onTrunk(hip, lean, body.trunkM)
	};
}

/** Standing on top, for drawing. */
export function standingOnTop(body: Body, stepCm: number): Stick {
	const foot = flatFoot(body, body.footM + GAP_M, stepCm / 100);
	const knee = kneeOf(body, foot.ankle, 0.05);
	const hip = hipOf(body, knee, 0.03);
	const near = legPoints(body, foot, 0.05);
	return { near, far: near, hip, shoulder: onTrunk(hip, 0.03, body.trunkM) };
}
