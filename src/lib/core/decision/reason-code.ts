/**
 * What a reason says, as a code: what of the record, and what it was held against. `wording` has a sentence for each; a code without one does not
 * compile.
 */
import type { AlarmId } from '../safety/alarm.ts';
import type { BreakBy } from '../safety/standing.ts';
import type { Symptom } from '../session/record.ts';

/** Told symptoms and emergencies are named as themselves. */
export type SymptomCode =
	`symptom.${Symptom | AlarmId | 'cauda-equina' | 'pregnancy-stop' | 'as-usual'}` | `symptom.${string}`;
/** Ways on that are not open, by their verdict or their gate. */
export type EdgeCode = `edge.${string}`;

/** Codes with a sentence of their own. */
export const OWN_CODES = [
	'flag.open',
	'flag.review',
	'screening.missing',
	'screening.incomplete',
	'screening.old',
	'surgery.no-limits',
	'surgery.unrecorded',
	'usual.high',
	'flare.long',
	'away.long',
	'arrival.unwell',
	'arrival.fall',
	'swelling.twice',
	'pain.closed-twice',
	'pain.new-region',
	'pain.stop',
	'pain.acceptable',
	'pain.evening',
	'pain.safe',
	'pain.elsewhere',
	'morning.hot-joint',
	'morning.emergency-hot-joint',
	'morning.calf-swelling',
	'morning.missing',
	'morning.settled',
	'morning.recalled',
	'region.settled',
	'region.up',
	'region.unsettled',
	'region.unknown',
	'region.rising',
	'region.flare',
	'region.symptom-stop',
	'standing.unknown',
	'standing.known',
	'standing.holds',
	'away',
	'felt.joint',
	'as-advised',
	'streak.away',
	'streak.days',
	'streak.recent',
	'set-aside.third',
	'state.stopped',
	'symptoms.none',
	'suspect',
	'work.incomplete',
	'work.done',
	'fault.repeated',
	'confidence.low',
	'confidence',
	'soreness',
	'soreness.known',
	'pace.review',
	'pace.days',
	'sessions.none',
	'ease',
	'clean',
	'observed',
	'event.injection',
	'event.painkiller',
	'edges.unknown',
	'ladder.complete'
] as const;
export type OwnCode = (typeof OWN_CODES)[number] | `break.${BreakBy}`;

export type ReasonCode = OwnCode | SymptomCode | EdgeCode;
