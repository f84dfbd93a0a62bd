/** Changes what is set for a client: technique and policy (licensed), body (anyone who measures). Appended, never overwritten. */
import { POLICIES, type PolicyId } from '#lib/catalogue/policies.ts';
import { ok } from '#lib/core/base/result.ts';
import { bodyOf } from '#lib/core/body/body.ts';
import type { Technique } from '#lib/core/posture/problem.ts';
import { append } from '../db/append.ts';
import { clientHeads, lockClient } from '../repo/client-repo.ts';
import { allow, conflict, invalid, notFound, type Context, type Outcome } from './actor.ts';

export interface SettingChange {
	readonly technique?: Technique | null;
	readonly policyId?: PolicyId;
	readonly heightCm?: number;
	readonly massKg?: number;
	readonly shankCm?: number | null;
	readonly thighCm?: number | null;
}

export async function changeSetting(ctx: Context, clientId: string, id: string, change: SettingChange): Promise<Outcome<true>> {
	const rules = change.technique !== undefined || change.policyId !== undefined;
	const may = allow(ctx.actor, rules ? 'choose policy' : 'measure');
	if (!may.ok) return may;
	return ctx.inPractice(async (t) => {
		if (!(await lockClient(t, clientId))) return notFound;
		const [head] = await clientHeads(t, clientId);
		if (head === undefined) return notFound;
		const s = { ...head.setting, ...change };
		const body = bodyOf({ heightCm: s.heightCm, massKg: s.massKg, segments: { ...(s.shankCm === null ? {} : { shankCm: s.shankCm }), ...(s.thighCm === null ? {} : { thighCm: s.thighCm }) } });
		if (!body.ok) return invalid(body.refusal.field?.replace('segments.', '') ?? 'heightCm', body.refusal.message);
		const policy = POLICIES[s.policyId];
		const usual = Object.values(s.usual).reduce((m, u) => Math.max(m, u.intake ?? 0), 0);
		if (policy.id === 'pain-free' && usual > 1) return invalid('policyId', `The pain-free policy is not offered with a usual morning of ${usual}; it needs 1 or less.`);
		const row = {
			id,
			client_id: clientId,
			technique: s.technique,
			policy_id: s.policyId,
			policy_version: policy.version,
			height_mm: Math.round(s.heightCm * 10),
			mass_g: Math.round(s.massKg * 1000),
			shank_mm: s.shankCm === null ? null : Math.round(s.shankCm * 10),
			thigh_mm: s.thighCm === null ? null : Math.round(s.thighCm * 10),
			front_of_knee: s.frontOfKnee,
			goal: s.goal,
			usual: JSON.stringify(s.usual),
			replaces_id: head.setting.id
		};
		if (head.setting.id === id) return ok(true);
		return (await append(t, 'client_setting', row)) === 'conflict' ? conflict('Somebody changed these settings meanwhile; reload to see them.') : ok(true);
	});
}
