/**
 * Change that matters: a change can be more than error and not matter, or matter and be inside the error. Every published rule is
 * given by name with whether it is met; none is picked silently. A change is only computed between like anchors, which the caller
 * keeps apart.
 */
export interface ChangeRule {
	readonly id: string;
	/** `error`: more than measurement error; `matters`: important to the client. */
	readonly kind: 'error' | 'matters';
	/** The size of change that counts; reached is met, unless `strict`. */
	readonly amount: number;
	readonly of: 'points' | 'percent';
	readonly strict?: true;
	readonly tier?: string;
	readonly populations: readonly string[];
	readonly source: string;
}

export interface ChangeInput {
	readonly from: number;
	readonly to: number;
	readonly better: 'higher' | 'lower';
}

export interface RuleMet {
	readonly rule: string;
	readonly kind: ChangeRule['kind'];
	readonly tier: string | null;
	readonly needed: number;
	readonly of: ChangeRule['of'];
	readonly met: boolean;
	readonly source: string;
	readonly populations: readonly string[];
}

export interface Change {
	/** Signed so that plus is better; same unit as the values. */
	readonly gain: number;
	/** Of the first value; null when it is zero. */
	readonly percent: number | null;
	readonly direction: 'better' | 'worse' | 'same';
	readonly rules: readonly RuleMet[];
	/** Beyond error, and important: by every rule, by some, by none. */
	readonly beyondError: 'all' | 'some' | 'none' | 'no-rule';
	readonly matters: 'all' | 'some' | 'none' | 'no-rule';
}

/** Floats of the sheet carry two decimals; anything closer than this is the same number. */
const SAME = 1e-9;

export function changeOf(
	{ from, to, better }: ChangeInput,
	rules: readonly ChangeRule[],
	population?: string
): Change {
	const gain = better === 'higher' ? to - from : from - to;
	const percent = from === 0 ? null : (100 * gain) / Math.abs(from);
	const held = rules.filter(
		(r) => population === undefined || r.populations.includes(population) || r.populations.includes('any')
	);
	const judged = held.map((r): RuleMet => {
		const size = r.of === 'points' ? Math.abs(gain) : percent === null ? NaN : Math.abs(percent);
		const met = r.strict === true ? size > r.amount + SAME : size >= r.amount - SAME;
		return {
			rule: r.id,
			kind: r.kind,
			tier: r.tier ?? null,
			needed: r.amount,
			of: r.of,
			met,
			source: r.source,
			populations: r.populations
		};
	});
	const share = (kind: ChangeRule['kind']): Change['matters'] => {
		const own = judged.filter((j) => j.kind === kind);
		if (own.length === 0) return 'no-rule';
		const met = own.filter((j) => j.met).length;
		return met === own.length ? 'all' : met === 0 ? 'none' : 'some';
	};
	return {
		gain,
		percent,
		direction: Math.abs(gain) <= SAME ? 'same' : gain > 0 ? 'better' : 'worse',
		rules: judged,
		beyondError: share('error'),
		matters: share('matters')
	};
}

/** Standard error of measurement from spread and reliability, and the change beyond it. Textbook formulas, from memory. */
export const standardError = (sd: number, icc: number): number => sd * Math.sqrt(1 - icc);
export const detectable90 = (sem: number): number => 1.645 * Math.SQRT2 * sem;
export const detectable95 = (sem: number): number => 1.96 * Math.SQRT2 * sem;
