/** What a fit is judged in: body, technique, envelope, limits, the room and what was seen. And what a step is set up to. */
import type { Side } from '../body/axis.ts';
import type { Body } from '../body/body.ts';
import type { Day } from '../base/calendar-day.ts';
import type { Envelope, ProtocolLimit } from '../client/envelope.ts';
import type { Eased, Withheld } from '../client/screening.ts';
import type { Chosen } from '../exercise/family.ts';
import type { Equipment, Position } from '../exercise/family.ts';
import type { Technique } from '../posture/problem.ts';
import type { Build, Furniture, HomeHeights } from './furniture.ts';
import type { FitRules } from './rules.ts';
import { type Length, LENGTHS, SETUP_LENGTHS } from './set-up-length.ts';

/** The lengths of a set-up; a step has at most one of its own, and a wedge. */
export interface SolvedSetup {
	readonly seatCm?: number;
	readonly thighDeg?: number;
	readonly stepCm?: number;
	readonly bowDeg?: number;
	readonly handleCm?: number;
	readonly sledCm?: number;
	readonly feetCm?: number;
	readonly heelWedgeCm?: number;
	/** What is set otherwise than usual of the step's choices. */
	readonly chosen?: Chosen;
	readonly build?: Build;
}

export interface Observed {
	readonly step: string;
	readonly setup: SolvedSetup;
	readonly date: Day;
}

export type Tolerance = 'yes' | 'no' | 'unknown';

/** Heel height of the rear foot and lean of the front shank, degrees. */
export interface LungeWay {
	readonly rearPitchDeg: number;
	readonly frontShankDeg: number;
}

export interface FitContext {
	readonly body: Body;
	/** The technique being taught; undefined is the ordinary rise for seats and parallel for squats. */
	readonly technique?: Technique;
	readonly rules: FitRules;
	readonly today: Day;
	readonly envelope: Envelope;
	readonly protocolLimits?: readonly ProtocolLimit[];
	readonly furniture?: Furniture;
	/** Seats and steps at the client's home; they change no fit, and say how a prescribed height is met there. */
	readonly home?: HomeHeights;
	/** Steps that are never given to this client; ladders are without them. */
	readonly leftOut?: readonly string[];
	readonly observed?: readonly Observed[];
	/** Side that works in one-sided steps; left out, both are asked. */
	readonly side?: Side;
	/** Heel of the shoes that are worn, cm. */
	readonly shoeHeelCm?: number;
	/** Tags that open flags and protocols withhold: a step that carries one is blocked, whatever was seen. */
	readonly withheld?: readonly Withheld[];
	/** What open flags ask of the steps that they let pass. */
	readonly eased?: readonly Eased[];
	/** Legs that take no weight, and those that take part of it, by protocol. */
	readonly noWeight?: readonly Side[];
	readonly partialWeight?: readonly Side[];
	readonly highestLoadKg?: number;
	/** How a lunge is done; left out, whichever way toes and ankle allow serves best. */
	readonly lunge?: LungeWay;
	/** The technique is being taught, so that even daily seats are done in it. */
	readonly teach?: boolean;
	/** What is at hand; left out, equipment is not asked about. */
	readonly equipment?: readonly Equipment[];
	/** Positions the client can be in; what is not named is unknown. */
	readonly positions?: Readonly<Partial<Record<Position, Tolerance>>>;
}

/** The set-up's own length, whichever it is. */
export function lengthIn(setup: SolvedSetup | null | undefined): {
	readonly of: Length;
	readonly value: number;
	readonly unit: 'cm' | 'deg';
	readonly harder: 1 | -1;
} | null {
	if (setup === null || setup === undefined) return null;
	for (const of of LENGTHS) {
		const value = setup[of];
		if (value !== undefined)
			return { of, value, unit: SETUP_LENGTHS[of].unit, harder: SETUP_LENGTHS[of].harder };
	}
	return null;
}
