/** What a prescription asked for on a day: less where the arrival card made the day lighter. */
import type { Day } from '#lib/core/base/calendar-day.ts';
import { mirrored } from '#lib/core/body/region-side.ts';
import { lighterDose } from '#lib/core/decision/arrival.ts';
import type { PrescribedDose } from '#lib/core/dose/dose.ts';
import { stepAnywhere } from '#lib/core/exercise/family.ts';
import type { ClientRecord } from './load.ts';
import { workOn } from './work-on.ts';

export interface GivenOn extends PrescribedDose {
	readonly region: string;
	readonly perSide: boolean;
}

/** Undefined where the prescription is not this client's. */
export function givenOn(r: ClientRecord, prescriptionId: string, day: Day): GivenOn | undefined {
	const exercise = r.everGiven.find((e) => e.prescriptions.some((p) => p.id === prescriptionId));
	const given = exercise?.prescriptions.find((p) => p.id === prescriptionId);
	if (exercise === undefined || given === undefined) return undefined;
	const { region } = exercise;
	const tags = stepAnywhere(r.families, given.step)?.tags ?? [];
	const { share } = workOn(r, { region, tags }, day);
	const perSide = given.particulars.painPerSide === true && mirrored(region) !== undefined;
	return { ...lighterDose(given.dose, share), region, perSide };
}
