/** What is prescribed and is not here: a load that is on no rack, a band the practice does not own. Either takes a reason. */
import { LEAST_REASON } from '#lib/contract/basics.ts';
import { bandHere, isNotOwned, nearestBands } from '#lib/core/dose/band.ts';
import { firstParticulars, type Particulars } from '#lib/core/dose/particulars.ts';
import { loadsItself, nearestLoads, onTheRacks } from '#lib/core/dose/racks.ts';
import type { Step } from '#lib/core/exercise/family.ts';
import { isOneSided } from '#lib/core/movement/of-step.ts';
import { BAND_NAME } from '#lib/wording/plan.ts';
import { kgText } from '#lib/wording/units.ts';
import { racksOf } from '../record/facts-of.ts';
import type { ClientRecord } from '../record/load.ts';
import type { Exercise } from '../repo/exercise-repo.ts';
import { invalid, type Outcome } from './actor.ts';

interface Asked {
	readonly region: string;
	readonly loadKg: number;
	readonly reason?: string;
	readonly particulars?: Particulars;
}

const reason = (message: string): Outcome<never> =>
	invalid('reason', `${message} Choose one that is there, or give the reason.`);
const areNearest = (near: readonly string[]): string =>
	near.length === 0 ? '' : `; ${near.join(' and ')} ${near.length === 1 ? 'is' : 'are'} nearest`;

/** Undefined where all of it is here, or why it is given all the same is said. */
export function notHere(
	r: ClientRecord,
	p: Asked,
	step: Step,
	{ band, where }: Particulars
): Outcome<never> | undefined {
	if ((p.reason ?? '').trim().length >= LEAST_REASON) return undefined;
	if (!loadsItself(step.equipment) && !onTheRacks(p.loadKg, racksOf(r)))
		return reason(
			`There is no ${kgText(p.loadKg)} here${areNearest(nearestLoads(p.loadKg, racksOf(r).items).map(kgText))}.`
		);
	// At home there is what the client has.
	if (band === undefined || where === 'home' || !isNotOwned(r.room.bands, band)) return undefined;
	const near = nearestBands(r.room.bands, band).map((b) => `${BAND_NAME[b.rank]} (${b.name})`);
	return reason(`There is no ${BAND_NAME[band]} band here${areNearest(near)}.`);
}

/** What is said besides, or was said before, or is usual; a band by the name it has here now. */
export function particularsFor(
	r: ClientRecord,
	p: Asked,
	step: Step,
	existing: Exercise | undefined
): Particulars {
	const { bandName: _, ...said } =
		p.particulars ??
		existing?.prescriptions.at(-1)?.particulars ??
		firstParticulars(!isOneSided(step.posture), p.region, Object.keys(r.head.setting.usual), step.usually);
	const here = said.band === undefined ? undefined : bandHere(r.room.bands, said.band);
	return here === undefined ? said : { ...said, bandName: here.name };
}
