/** What a session shows of a step, for gates: the treated leg's clean work, what was watched and felt, and the other leg apart. */
import { legsOf, type Side } from '../body/axis.ts';
import type { Shown } from '../fit/gate.ts';
import type { Session } from './record.ts';
import { hardestEffort } from './work.ts';

/** Work not felt in a quarter of the sets or more is not felt. @source practice-setting */
const NOT_FELT_SHARE = 0.25;

/** The region an exercise is for, and the pain that is calm there: the larger of usual and safe. */
export interface CalmIn {
	readonly region: string;
	readonly most: number;
}

/** Nothing, where nobody saw it. `treated` is the side the exercise is for; null where it is for none, or both. */
export function shownIn(
	step: string,
	treated: Side | null,
	session: Session,
	calm?: CalmIn
): readonly Shown[] {
	if (!session.observed) return [];
	const { faults = {}, confidence, sets } = session;
	const apart = sets.some((s) => s.otherClean !== undefined);
	const legs = legsOf(treated);
	const own: Shown = {
		step,
		side: apart || treated !== null ? legs.own : 'both',
		cleanReps: sets.map((s) => Math.min(s.cleanReps ?? 0, s.reps)),
		effortMax: hardestEffort(session),
		faults,
		...feltShown(session),
		...painShown(session, calm),
		...(confidence === undefined ? {} : { confidence })
	};
	if (!apart) return [own];
	return [
		{
			step,
			side: legs.other,
			cleanReps: sets.map((s) => s.otherClean ?? 0),
			effortMax: undefined,
			...(treated === null ? {} : { untreated: true })
		},
		own
	];
}

/** Where the work was felt: in the muscle, in no joint, and in most of the sets. */
function feltShown({ felt = {}, faults = {} }: Session): Pick<Shown, 'felt' | 'joint' | 'feltIn'> {
	const { muscle, joint } = felt;
	const inMost = (faults['work-not-felt'] ?? 0) < NOT_FELT_SHARE;
	return {
		...(muscle === undefined ? {} : { felt: muscle && (joint ?? 'none') === 'none' && inMost }),
		...(joint === undefined ? {} : { joint }),
		...(felt.in === undefined ? {} : { feltIn: felt.in })
	};
}

function painShown({ pains }: Session, calm: CalmIn | undefined): Pick<Shown, 'pain' | 'calm'> {
	const pain = pains.find((p) => p.region === calm?.region)?.peak;
	return pain === undefined || calm === undefined ? {} : { pain, calm: calm.most };
}
