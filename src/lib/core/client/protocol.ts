/**
 * Protocol limits: a surgeon's or local protocol's maximum on a movement and side. They come before everything and are never filled
 * in from what is typical. A limit of hip bending also caps the sitting fold, which is never less than the bend of the hip in it.
 */
import type { RangeId } from '../measure/range-kind.ts';
import type { ProtocolLimit } from './envelope.ts';
import type { Axis, Side } from '../body/axis.ts';

export const LIMIT_AXES = ['kneeFlexion', 'thighTrunkFlexion', 'weightBearingDorsiflexion', 'hipFlexion'] as const satisfies readonly RangeId[];
export type LimitAxis = (typeof LIMIT_AXES)[number];

export interface EnteredLimit {
	readonly axis: LimitAxis;
	readonly side: Side;
	readonly maxDeg: number;
}

const SOLVED_AS: Readonly<Record<LimitAxis, Axis>> = { kneeFlexion: 'kneeFlexion', thighTrunkFlexion: 'thighTrunkFlexion', weightBearingDorsiflexion: 'weightBearingDorsiflexion', hipFlexion: 'thighTrunkFlexion' };

/** The limits as the axes that set-ups are solved on. */
export const solvedLimits = (limits: readonly EnteredLimit[]): readonly ProtocolLimit[] => limits.map((l) => ({ axis: SOLVED_AS[l.axis], side: l.side, maxDeg: l.maxDeg }));
