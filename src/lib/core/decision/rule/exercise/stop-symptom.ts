/** Locking, giving way, sharp with loss, new numbness or weakness, pain further down: stop, unless agreed as usual. */
import { isUsual } from '../../../safety/alarm.ts';
import type { Reason } from '../../trace.ts';
import { no, PS, yes, type ExerciseRule, type Finding, type Judged } from '../finding.ts';
import { STOP_SYMPTOMS } from './reasons.ts';

function stopSymptom(j: Judged): Finding {
	const found = j.since.flatMap((s) =>
		(s.symptoms ?? [])
			.filter(
				(x) =>
					((STOP_SYMPTOMS as readonly string[]).includes(x) && !isUsual(s, x)) ||
					(x === 'radiating' && s.radiatingLower !== false)
			)
			.map((x): Reason => ({
				code: `symptom.${x}`,
				met: true,
				value: x,
				source: 'red-flags-common',
				day: s.date
			}))
	);
	const stopped = j.input.exercise.state === 'stopped';
	if (stopped) found.push({ code: 'state.stopped', met: true, source: PS });
	return found.length > 0 ? yes(undefined, ...found) : no({ code: 'symptoms.none', met: false, source: PS });
}

export const stopSymptomRule: ExerciseRule = { rule: 'stop.symptom', decision: 'stop', judge: stopSymptom };
