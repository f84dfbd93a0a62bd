/** Band and techniques of one step, away from the page: a thin shell over the core. */
import { FAMILIES } from '../catalogue/families.ts';
import { stepOf } from '../core/exercise/family.ts';
import { compareTechniques, setupBand, wedgeOption, type TechniqueRow, type WedgeOption } from '../core/fit/compare-techniques.ts';
import type { FitContext } from '../core/fit/fit.ts';
import type { Band } from '../core/posture/band.ts';
import type { Depth } from '../core/posture/problem.ts';

export interface SetupQuestion {
	readonly ask: number;
	readonly family: string;
	readonly step: string;
	readonly ctx: FitContext;
	readonly depth: Depth;
}

export interface SetupAnswer {
	readonly ask: number;
	readonly step: string;
	readonly band: Band;
	readonly techniques: readonly TechniqueRow[];
	readonly wedge: WedgeOption | null;
}

self.onmessage = (event: MessageEvent<SetupQuestion>) => {
	const { ask, family, step: id, ctx, depth } = event.data;
	const ladder = FAMILIES[family];
	const step = ladder === undefined ? undefined : stepOf(ladder, id);
	if (step === undefined) return;
	self.postMessage({ ask, step: id, band: setupBand(step, ctx), techniques: compareTechniques(step, ctx, depth), wedge: wedgeOption(step, ctx) } satisfies SetupAnswer);
};
