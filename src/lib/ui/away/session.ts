/** A session that was written while nothing answered: read by the rules of its form, its alarms said at once, and kept on the device. */
import { mirrored } from '#lib/core/body/region-side.ts';
import { alarmsInSession, type Raised } from '#lib/core/safety/alarm.ts';
import { parseWholeSession, type GivenToday } from '#lib/contract/whole-session-form.ts';
import { doseToday, type ExerciseToLog } from '../log/exercise.ts';
import type { Waiting } from './box.ts';
import { NO_ROOM } from './context.ts';

export interface Whose {
	readonly member: string;
	readonly clientId: string;
	readonly client: string;
	/** As the practice knows it: of regions that are not trained today too. */
	readonly treatsBack: boolean;
}

export type KeptAway =
	{ readonly ok: true; readonly raised: readonly Raised[] } | { readonly ok: false; readonly text: string };

/** What was given today, by prescription, as the page has it. */
export const givenHere =
	(exercises: readonly ExerciseToLog[]) =>
	(prescriptionId: string): GivenToday | undefined => {
		const e = exercises.find((x) => x.head.id === prescriptionId);
		if (e === undefined) return undefined;
		const { sets, reps, unit } = doseToday(e);
		const perSide = e.head.particulars.painPerSide === true && mirrored(e.region) !== undefined;
		return {
			...{ sets, reps, loadKg: e.head.dose.loadKg, region: e.region, perSide },
			...(unit === undefined ? {} : { unit })
		};
	};

/** @param keep writes it down, durably; throws where there is no room */
export async function keepSession(
	form: FormData,
	{ treatsBack, ...whose }: Whose,
	exercises: readonly ExerciseToLog[],
	keep: (w: Omit<Waiting, 'parked'>) => Promise<void>
): Promise<KeptAway> {
	const parsed = parseWholeSession(form, givenHere(exercises));
	if (!parsed.ok) return { ok: false, text: `Nothing was kept. ${parsed.issues[0]?.message ?? ''}` };
	const fields = [...form].flatMap(([k, v]) => (typeof v === 'string' ? [[k, v] as const] : []));
	try {
		await keep({ ...whose, id: parsed.id, day: String(form.get('day') ?? ''), fields, at: Date.now() });
	} catch {
		return { ok: false, text: NO_ROOM };
	}
	const regions = new Map(exercises.map((e) => [e.id, e.region]));
	const raised = parsed.logs.flatMap((l) =>
		alarmsInSession(l.session, regions.get(l.exerciseId) ?? '', treatsBack)
	);
	return { ok: true, raised };
}
