/** Registers a client: adults only, with setting and usual mornings. */
import { POLICIES, type PolicyId } from '#lib/catalogue/policies.ts';
import { dayNumber, type Day } from '#lib/core/base/calendar-day.ts';
import { ok } from '#lib/core/base/result.ts';
import { bodyOf } from '#lib/core/body/body.ts';
import type { Technique } from '#lib/core/posture/problem.ts';
import { append } from '../db/append.ts';
import { allow, conflict, invalid, type Context, type Outcome } from './actor.ts';

export interface Registration {
	readonly id: string;
	readonly personId: string;
	readonly settingId: string;
	readonly name: string;
	readonly born: Day;
	readonly occupation?: string;
	readonly heightCm: number;
	readonly massKg: number;
	readonly shankCm?: number;
	readonly thighCm?: number;
	readonly technique: Technique | null;
	readonly policyId: PolicyId;
	readonly frontOfKnee: boolean;
	readonly goal?: string;
	readonly usual: Readonly<Record<string, { readonly intake?: number; readonly longStanding?: boolean }>>;
}

const ADULT_DAYS = 6574;

export async function registerClient(ctx: Context, r: Registration, recordedAt?: Date): Promise<Outcome<string>> {
	const may = allow(ctx.actor, 'register client');
	if (!may.ok) return may;
	if (!(dayNumber(ctx.today) - dayNumber(r.born) >= ADULT_DAYS)) return invalid('born', 'Bolster is for adults: the birth date must be 18 years ago or more.');
	const body = bodyOf({ heightCm: r.heightCm, massKg: r.massKg });
	if (!body.ok) return invalid(body.refusal.field ?? 'heightCm', body.refusal.message);
	return ctx.inPractice(async (t) => {
		const known = await t.trx.selectFrom('client').select('id').where('practice_id', '=', t.practiceId).where('id', '=', r.id).executeTakeFirst();
		if (known !== undefined) return ok(r.id);
		await t.trx.insertInto('client').values({ practice_id: t.practiceId, id: r.id, tz: ctx.tz, opened_on: ctx.today }).execute();
		await t.trx.insertInto('person').values({ practice_id: t.practiceId, id: r.personId, client_id: r.id, name: r.name, born: r.born, occupation: r.occupation ?? null }).execute();
		const written = await append(
			t,
			'client_setting',
			{
				id: r.settingId,
				client_id: r.id,
				technique: r.technique,
				policy_id: r.policyId,
				policy_version: POLICIES[r.policyId].version,
				height_mm: Math.round(r.heightCm * 10),
				mass_g: Math.round(r.massKg * 1000),
				shank_mm: r.shankCm === undefined ? null : Math.round(r.shankCm * 10),
				thigh_mm: r.thighCm === undefined ? null : Math.round(r.thighCm * 10),
				front_of_knee: r.frontOfKnee,
				goal: r.goal ?? null,
				usual: JSON.stringify(r.usual)
			},
			recordedAt
		);
		return written === 'conflict' ? conflict('This client is registered already.') : ok(r.id);
	});
}
