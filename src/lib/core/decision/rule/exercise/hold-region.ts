/** The region is up, or unsettled by another exercise. */
import { no, yes, type ExerciseRule, type Finding, type Judged } from '../finding.ts';
import { regionReason, suspectReason } from './reasons.ts';

function holdRegion(j: Judged): Finding {
	const other = (j.state.kind === 'unsettled' || j.state.kind === 'rising') && !j.suspect;
	return j.state.kind === 'up' || other
		? yes(undefined, regionReason(j), ...(other ? [suspectReason(j)] : []))
		: no(regionReason(j));
}

export const holdRegionRule: ExerciseRule = { rule: 'hold.region', decision: 'hold', judge: holdRegion };
