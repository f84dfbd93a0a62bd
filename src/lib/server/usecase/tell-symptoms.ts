/** What a client tells of themselves outside an exercise: the same words are the same alarms as anywhere, answered at once, with their flags. */
import { ok } from '#lib/core/base/result.ts';
import { alarmsInSession, type Raised } from '#lib/core/safety/alarm.ts';
import type { Session, Symptom, YesNoUnknown } from '#lib/core/session/record.ts';
import { treatsBack } from '../record/facts-of.ts';
import { invalid, notFound } from './actor.ts';
import { command } from './command.ts';
import { openAlarms } from './open-alarms.ts';

export interface Told {
	readonly id: string;
	readonly clientId: string;
	readonly day: string;
	readonly region: string;
	readonly symptoms: readonly Symptom[];
	readonly caudaEquina?: YesNoUnknown;
}

export const tellSymptoms = command<Told, readonly Raised[]>({
	verb: 'check in',
	id: (x) => x.id,
	client: (x) => x.clientId,
	run: async ({ clientId, day, region, symptoms, caudaEquina }, { t, ctx, recordedAt, record }) => {
		const r = await record();
		if (r === undefined) return notFound;
		if (day > ctx.today) return invalid('day', `The day ${day} has not come yet; today is ${ctx.today}.`);
		if (r.head.setting.usual[region] === undefined)
			return invalid('region', `${region} is not under treatment for this client.`);
		const said: Session = {
			...{ date: day, observed: false, prescribed: { sets: 0, reps: 0 }, sets: [], pains: [], symptoms },
			...(caudaEquina === undefined ? {} : { caudaEquina })
		};
		const raised = alarmsInSession(said, region, treatsBack(r));
		await openAlarms(t, ctx, { clientId, day, flags: r.head.flags }, raised, recordedAt);
		return ok(raised);
	}
});
