/**
 * Bands: how far a solved number moves when what was assumed moves. Segments that were not measured vary ± 5 %, measured ones
 * ± 1 cm, the balance target over the range quiet standing shows; 5th to 95th percentile of seeded samples. Model error and the
 * day's form are not in it: say so beside the number.
 * @source common-practice the spread; winter-2009 the nominal lengths (from memory)
 */
import { canonical } from '../base/canonical.ts';
import { hash32, seeded } from '../base/random.ts';
import { quantile } from '../base/statistics.ts';
import type { Body, Segments } from '../body/body.ts';
import { balanceTargetOf } from './balance.ts';
import type { Stand } from './problem.ts';

export interface Band {
	readonly low: number;
	readonly high: number;
	/** Samples that could be solved, of those drawn. */
	readonly samples: number;
	readonly drawn: number;
}

/** Balance target varies from 0.38 to 0.55 of the foot around its nominal 0.45. */
const TARGET_SPREAD = [-0.07, 0.1] as const;
const RELATIVE = 0.05;
const MEASURED_CM = 1;

/** The seed of a stand: a hash of all that went in, so the same question always shows the same band. */
export const seedOf = (stand: Stand): number => hash32(canonical(stand));

/** A body whose lengths are drawn around the nominal ones. */
export function variedBody(body: Body, random: () => number): Body {
	const vary = (key: keyof Segments, metres: number): number => {
		const spread = body.measured.includes(key) ? MEASURED_CM / 100 / metres : RELATIVE;
		return metres * (1 + spread * (2 * random() - 1));
	};
	return {
		...body,
		shankM: vary('shankCm', body.shankM),
		thighM: vary('thighCm', body.thighM),
		trunkM: vary('trunkCm', body.trunkM),
		footM: vary('footCm', body.footM)
	};
}

const banded = (values: number[], drawn: number): Band => {
	values.sort((a, b) => a - b);
	if (values.length === 0) return { low: NaN, high: NaN, samples: 0, drawn };
	return { low: quantile(values, 0.05), high: quantile(values, 0.95), samples: values.length, drawn };
};

/** 5–95 % band of any number solved from a body alone; `of` names the question, so that the same one is always drawn the same. */
export function bandOfBody(body: Body, of: unknown, solve: (varied: Body) => number, drawn = 200): Band {
	const random = seeded(hash32(canonical({ body, of })));
	const values: number[] = [];
	for (let i = 0; i < drawn; i++) {
		const value = solve(variedBody(body, random));
		if (Number.isFinite(value)) values.push(value);
	}
	return banded(values, drawn);
}

/** 5–95 % band of any number solved from a stand; samples without a solution are counted out. */
export function bandOf(stand: Stand, solve: (varied: Stand) => number, drawn = 200): Band {
	const random = seeded(seedOf(stand));
	const nominal = balanceTargetOf(stand);
	const values: number[] = [];
	for (let i = 0; i < drawn; i++) {
		const body = variedBody(stand.body, random);
		const [less, more] = TARGET_SPREAD;
		const value = solve({ ...stand, body, balanceTarget: nominal + less + (more - less) * random() });
		if (Number.isFinite(value)) values.push(value);
	}
	return banded(values, drawn);
}
