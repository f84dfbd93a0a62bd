/** The bridge of a posture for a body: feet where they were solved, or where they give the knee bend. */
import type { Body } from '../../body/body.ts';
import type { BridgePosture } from '../../exercise/step-posture.ts';
import type { SolvedSetup } from '../context.ts';
import { heightFor } from '../place-on-body.ts';

/** The bench of a bridge: its edge under the shoulder blades, whatever the body. Nothing where the back lies on the floor. */
export const benchFor = ({ shoulderCm, scales }: BridgePosture, body: Body): { shoulderCm?: number } =>
	shoulderCm === undefined ? {} : { shoulderCm: heightFor(shoulderCm, scales, body) };

/** Legs, bench and what the feet stand on. */
export const bridgeOf = (p: BridgePosture, body: Body) => ({
	body,
	legs: p.legs,
	...benchFor(p, body),
	...(p.footCm === undefined ? {} : { footCm: p.footCm })
});

export const bridgeAt = (p: BridgePosture, body: Body, setup: SolvedSetup | null) => ({
	...bridgeOf(p, body),
	loadKg: p.load?.kg ?? 0,
	...(setup?.feetCm === undefined ? { kneeDeg: p.kneeDeg } : { footDistCm: setup.feetCm })
});
