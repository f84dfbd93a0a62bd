/** What stands is broken: its reasons, and the mend as the change to sign where the own ladder has one. */
import type { StandingVerdict } from '../../../safety/standing.ts';
import { mendAsChange } from '../../mend-change.ts';
import type { Reason } from '../../trace.ts';
import { no, PS, type Finding, type Judged } from '../finding.ts';

export function broken(j: Judged, verdict: StandingVerdict): Finding {
	const { standing } = j.input.exercise;
	if (standing === undefined) return no({ code: 'standing.unknown', met: false, source: PS });
	if (standing.verdict !== verdict)
		return no({ code: 'standing.holds', met: false, value: standing.verdict, source: PS });
	const why = standing.breaks.map((b): Reason => ({
		code: `break.${b.by}`,
		met: true,
		value: b.demandDeg ?? b.tag ?? b.clearance ?? b.position ?? b.equipment ?? null,
		threshold: b.limitDeg ?? b.flag ?? null,
		source: b.by === 'protocol' ? 'local-protocol' : PS,
		...(b.axis === undefined ? {} : { axis: b.axis }),
		...(b.side === undefined ? {} : { side: b.side })
	}));
	const { change, alternatives } = mendAsChange(j, standing.mend);
	return { fired: true, why, change, alternatives };
}
