/** Changes what is set for a client: technique and policy (licensed), body, units and time (anyone who measures). Appended, never overwritten. */
import { POLICIES, type PolicyId } from '#lib/catalogue/policies.ts';
import { ok } from '#lib/core/base/result.ts';
import { bodyOf } from '#lib/core/body/body.ts';
import type { Technique } from '#lib/core/posture/problem.ts';
import { append } from '../db/append.ts';
import { withoutNulls } from '../db/heads.ts';
import type { PracticeTransaction } from '../db/in-practice.ts';
import { clientHeads, type ClientHead } from '../repo/client-repo.ts';
import { settingColumns, type Setting, type Units } from '../repo/setting-row.ts';
import { conflict, invalid, notFound, type Context, type Outcome } from './actor.ts';
import { command } from './command.ts';

export interface SettingChange {
	readonly technique?: Technique | null;
	readonly policyId?: PolicyId;
	readonly heightCm?: number;
	readonly massKg?: number;
	readonly shankCm?: number | null;
	readonly thighCm?: number | null;
	readonly trunkCm?: number | null;
	readonly footCm?: number | null;
	readonly shoeHeelCm?: number | null;
	readonly units?: Units;
	readonly homeKit?: readonly string[];
	readonly days?: readonly number[];
	readonly minutes?: number | null;
	readonly positions?: Setting['positions'];
	readonly brace?: Setting['brace'];
	/** Licensed. */
	readonly clearances?: Setting['clearances'];
}

export const changeSetting = (
	ctx: Context,
	clientId: string,
	id: string,
	change: SettingChange
): Promise<Outcome<true>> => changed(ctx, { id, clientId, change });

const changed = command<
	{ readonly id: string; readonly clientId: string; readonly change: SettingChange },
	true
>({
	verb: ({ change: c }) =>
		c.technique !== undefined ||
		c.policyId !== undefined ||
		c.clearances !== undefined ||
		c.brace !== undefined
			? 'choose policy'
			: 'measure',
	id: (c) => c.id,
	client: (c) => c.clientId,
	run: async ({ id, clientId, change }, { t }) => {
		const [head] = await clientHeads(t, clientId);
		if (head === undefined) return notFound;
		const s: Setting = { ...head.setting, ...change };
		const { heightCm, massKg, shankCm, thighCm, trunkCm, footCm } = s;
		const body = bodyOf({ heightCm, massKg, segments: withoutNulls({ shankCm, thighCm, trunkCm, footCm }) });
		if (!body.ok)
			return invalid(body.refusal.field?.replace('segments.', '') ?? 'heightCm', body.refusal.message);
		const policy = POLICIES[s.policyId];
		const usual = Object.values(s.usual).reduce((m, u) => Math.max(m, u.intake ?? 0), 0);
		if (policy.id === 'pain-free' && usual > 1)
			return invalid(
				'policyId',
				`The pain-free policy is not offered with a usual morning of ${usual}; it needs 1 or less.`
			);
		return (await replaceSetting(t, head, id, { ...s, policyVersion: policy.version })) === 'conflict'
			? conflict('Somebody changed these settings meanwhile; reload to see them.')
			: ok(true);
	}
});

/** Appends a setting after the one that stands; the same id again writes nothing. */
export async function replaceSetting(
	t: PracticeTransaction,
	head: ClientHead,
	id: string,
	next: Omit<Setting, 'id'>,
	recordedAt?: Date
) {
	if (head.setting.id === id) return 'already' as const;
	return append(
		t,
		'client_setting',
		{ id, client_id: head.id, ...settingColumns(next), replaces_id: head.setting.id },
		recordedAt
	);
}
