/** What a prescription asked for on a day: less where the arrival card made the day lighter. */
import type { Day } from '#lib/core/base/calendar-day.ts';
import { mirrored } from '#lib/core/body/region-side.ts';
import { lighterDose } from '#lib/core/decision/arrival.ts';
import { closedToday } from '#lib/core/decision/closed-today.ts';
import type { PrescribedDose } from '#lib/core/dose/dose.ts';
import { stepAnywhere } from '#lib/core/exercise/family.ts';
import { boundOn } from './facts-of.ts';
import type { ClientRecord } from './load.ts';

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
	const bound = boundOn(r, day);
	const tags = stepAnywhere(r.families, given.step)?.tags ?? [];
	const share = closedToday(bound, { region, tags }).length > 0 ? 1 : (bound?.setsShare ?? 1);
	const perSide = given.particulars.painPerSide === true && mirrored(region) !== undefined;
	return { ...lighterDose(given.dose, share), region, perSide };
}
