/** Band and techniques of one step, away from the page: a thin shell over the core. */
import type { Step } from '../core/exercise/family.ts';
import {
	compareTechniques,
	reachOf,
	setupBand,
	wedgeOption,
	type TechniqueRow,
	type WedgeOption
} from '../core/fit/compare-techniques.ts';
import type { FitContext, SolvedSetup } from '../core/movement/context.ts';
import type { Band } from '../core/posture/band.ts';

export interface SetupQuestion {
	readonly ask: number;
	readonly step: Step;
	readonly ctx: FitContext;
	readonly setup: SolvedSetup | null;
}

export interface SetupAnswer {
	readonly ask: number;
	readonly step: string;
	readonly band: Band | null;
	readonly reach: { readonly value: number; readonly unit: 'cm' | 'deg' } | null;
	readonly techniques: readonly TechniqueRow[];
	readonly wedge: WedgeOption | null;
}

self.onmessage = (event: MessageEvent<SetupQuestion>) => {
	const { ask, step, ctx, setup } = event.data;
	self.postMessage({
		ask,
		step: step.id,
		band: setupBand(step, ctx),
		reach: reachOf(step, ctx),
		techniques: compareTechniques(step, ctx, setup),
		wedge: wedgeOption(step, ctx)
	} satisfies SetupAnswer);
};
