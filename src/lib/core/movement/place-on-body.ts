/** Heights that are a place on the body, whole cm: they grow with it; a weight on blocks does not. */
import type { Body } from '../body/body.ts';

/** Stature for which places on the body are written down, m. */
const WRITTEN_FOR = 1.7;

export const heightFor = (cm: number, scales: true | undefined, body: Body): number =>
	scales === true ? Math.round((cm * body.heightM) / WRITTEN_FOR) : cm;
