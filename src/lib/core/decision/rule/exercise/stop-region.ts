/** Another exercise of the region is stopped for a symptom: loaded work here stops too, relief goes on. */
import type { Reason } from '../../trace.ts';
import { no, PS, yes, type ExerciseRule, type Finding, type Judged } from '../finding.ts';

function regionStop(j: Judged): Finding {
	const stopped = j.input.others.some((o) => o.symptomStop === true);
	const why: Reason = { code: 'region.symptom-stop', met: stopped, source: PS, region: j.region };
	return stopped && j.input.exercise.relief !== true ? yes(undefined, why) : no(why);
}

export const stopRegionRule: ExerciseRule = { rule: 'stop.region', decision: 'stop', judge: regionStop };
