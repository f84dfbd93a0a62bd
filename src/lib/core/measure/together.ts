/**
 * What several tests say together: the falls screen, the short battery, the balance of trunk and of hip strength. Each is worked out
 * only from what was taken; a part that is missing is named, never assumed.
 */
import { balancePoints, chairPoints, gaitPoints } from './function-test.ts';

export interface FallsScreen {
	/** Of the parts that were taken, those at risk. */
	readonly positive: readonly ('chair-stand' | 'up-and-go' | 'tandem')[];
	readonly taken: number;
	readonly answer: 'falls-pathway' | 'no-sign' | 'not-taken';
}

/** Any part at risk sends to the falls pathway. Classes as read off their norms. @source cdc-steadi (from memory) */
export function fallsScreen(classes: {
	readonly chairStand?: string;
	readonly upAndGo?: string;
	readonly tandem?: string;
}): FallsScreen {
	const parts = [
		['chair-stand', classes.chairStand, 'below-average'],
		['up-and-go', classes.upAndGo, 'at-risk'],
		['tandem', classes.tandem, 'at-risk']
	] as const;
	const taken = parts.filter(([, c]) => c !== undefined && c !== 'no-norm');
	const positive = taken.filter(([, c, risk]) => c === risk).map(([name]) => name);
	return {
		positive,
		taken: taken.length,
		answer: taken.length === 0 ? 'not-taken' : positive.length > 0 ? 'falls-pathway' : 'no-sign'
	};
}

export interface BatteryParts {
	readonly sideBySideSec?: number;
	readonly semiTandemSec?: number;
	readonly tandemSec?: number;
	readonly gaitSec?: number;
	readonly chairSec?: number;
}

/** Points 0–12; undefined until all three parts are there. 8 or less is poor by the European consensus. @source guralnik-1994; ewgsop2-2019 */
export function shortBattery(
	p: BatteryParts
): { readonly total: number; readonly poor: boolean } | undefined {
	const { sideBySideSec, semiTandemSec, tandemSec, gaitSec, chairSec } = p;
	if (
		sideBySideSec === undefined ||
		semiTandemSec === undefined ||
		tandemSec === undefined ||
		gaitSec === undefined ||
		chairSec === undefined
	)
		return undefined;
	const total =
		balancePoints(sideBySideSec, semiTandemSec, tandemSec) + gaitPoints(gaitSec) + chairPoints(chairSec);
	return { total, poor: total <= 8 };
}

export interface TrunkBalance {
	readonly sign: 'flexion-over-extension' | 'sides-differ' | 'side-over-extension';
	readonly ratio: number;
}

/** Ratios of endurance that speak for an imbalance: over 1.0, sides apart by more than 0.05, over 0.75. @source mcgill-low-back (suggestion, from memory) */
export function trunkImbalance(t: {
	readonly backSec?: number;
	readonly frontSec?: number;
	readonly leftSec?: number;
	readonly rightSec?: number;
}): readonly TrunkBalance[] {
	const ratio = (a: number | undefined, b: number | undefined): number | undefined =>
		a === undefined || b === undefined || b === 0 ? undefined : a / b;
	const front = ratio(t.frontSec, t.backSec);
	const sides = ratio(t.leftSec, t.rightSec);
	const most =
		t.leftSec === undefined || t.rightSec === undefined
			? undefined
			: ratio(Math.max(t.leftSec, t.rightSec), t.backSec);
	return [
		...(front !== undefined && front > 1 ? [{ sign: 'flexion-over-extension' as const, ratio: front }] : []),
		// Rounded to a thousandth, so that 0.95 and 1.05 are inside as they are written.
		...(sides !== undefined && Math.abs(Math.round(1000 * (sides - 1)) / 1000) > 0.05
			? [{ sign: 'sides-differ' as const, ratio: sides }]
			: []),
		...(most !== undefined && most > 0.75 ? [{ sign: 'side-over-extension' as const, ratio: most }] : [])
	];
}

/** Hip adduction over abduction, per cent; under 80 goes with groin strains in ice hockey. @source tyler-2001 (from memory) */
export function adductorShare(
	adductionN: number,
	abductionN: number
): { readonly percent: number; readonly low: boolean } | undefined {
	if (!(adductionN > 0 && abductionN > 0)) return undefined;
	const percent = (100 * adductionN) / abductionN;
	return { percent, low: percent < 80 };
}
