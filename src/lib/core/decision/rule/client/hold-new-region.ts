/** Pain somewhere that is not under treatment. */
import type { Session } from '../../../session/record.ts';
import { worstOf } from '../../../session/told.ts';
import type { Facts } from '../../facts.ts';
import type { Reason } from '../../trace.ts';
import type { ClientRule } from '../finding.ts';
import { fact } from './reasons.ts';

const NEW_REGION_PAIN = 3;

function newRegion(f: Facts): Reason[] {
	if (f.last === undefined) return [];
	const treated = new Set([...Object.keys(f.input.client.usual), f.region]);
	return f.last.pains
		.filter((p) => !treated.has(p.region) && Math.max(p.before ?? 0, worstOf(p) ?? 0) >= NEW_REGION_PAIN)
		.map((p) =>
			fact('pain.new-region', 'practice-setting', {
				region: p.region,
				value: Math.max(p.before ?? 0, worstOf(p) ?? 0),
				threshold: NEW_REGION_PAIN,
				day: (f.last as Session).date
			})
		);
}

export const holdNewRegionRule: ClientRule = {
	rule: 'hold.new-region',
	decision: 'hold',
	judge: (f) => newRegion(f)
};
