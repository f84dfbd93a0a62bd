/** Registers a client: adults only, with consent to keep a record, who they are, their body, and what they have at home. */
import { present } from '#lib/contract/basics.ts';
import { POLICIES, type PolicyId } from '#lib/catalogue/policies.ts';
import { ageOn, type Day } from '#lib/core/base/calendar-day.ts';
import { ok } from '#lib/core/base/result.ts';
import { bodyOf } from '#lib/core/body/body.ts';
import type { Brace } from '#lib/core/exercise/family.ts';
import type { HomeHeights } from '#lib/core/movement/furniture.ts';
import type { ConsentPurpose } from '#lib/core/client/consent.ts';
import type { Sex } from '#lib/core/measure/range-kind.ts';
import type { Technique } from '#lib/core/posture/problem.ts';
import { append } from '../db/append.ts';
import type { PracticeTransaction } from '../db/in-practice.ts';
import { settingColumns, type Units } from '../repo/setting-row.ts';
import { conflict, invalid, type Context, type Outcome } from './actor.ts';
import { command } from './command.ts';

export interface Registration {
	readonly id: string;
	readonly personId: string;
	readonly settingId: string;
	readonly name: string;
	readonly born: Day;
	readonly sex?: Sex;
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
	readonly units?: Units;
	readonly language?: string;
	readonly homeKit?: readonly string[];
	readonly homeHeights?: HomeHeights;
	/** Where they live, where that is not the practice's zone. */
	readonly tz?: string;
	readonly brace?: Brace;
	readonly days?: readonly number[];
	readonly minutes?: number;
	readonly consents: readonly {
		readonly id: string;
		readonly purpose: ConsentPurpose;
		readonly given: boolean;
	}[];
}

const ADULT = 18;
const OLDEST = 120;

export const registerClient = command<Registration, string>({
	verb: 'register client',
	id: (r) => r.id,
	check: registrationTrouble,
	run: async (r, { t, ctx, recordedAt }) =>
		(await write(t, ctx, r, recordedAt)) ? ok(r.id) : conflict('This client is registered already.')
});

/** What is wrong with a day of birth. */
export function ageTrouble(born: Day, today: Day): Outcome<never> | undefined {
	const age = ageOn(born, today);
	if (!(age >= ADULT))
		return invalid('born', 'Bolster is for adults: the birth date must be 18 years ago or more.');
	return age > OLDEST ? invalid('born', `A birth date ${age} years ago looks mistyped.`) : undefined;
}

function registrationTrouble(r: Registration, ctx: Context): Outcome<never> | undefined {
	const tooYoung = ageTrouble(r.born, ctx.today);
	if (tooYoung !== undefined) return tooYoung;
	const body = bodyOf({ heightCm: r.heightCm, massKg: r.massKg });
	if (!body.ok) return invalid(body.refusal.field ?? 'heightCm', body.refusal.message);
	if (!r.consents.some((c) => c.purpose === 'keep-record' && c.given))
		return invalid(
			'consent.keep-record',
			'Without the client’s consent to keep a health record nothing can be kept.'
		);
	return undefined;
}

async function write(
	t: PracticeTransaction,
	ctx: Context,
	r: Registration,
	recordedAt?: Date
): Promise<boolean> {
	await t.trx
		.insertInto('client')
		.values({ practice_id: t.practiceId, id: r.id, tz: r.tz ?? ctx.tz, opened_on: ctx.today })
		.execute();
	await t.trx
		.insertInto('person')
		.values({
			practice_id: t.practiceId,
			id: r.personId,
			client_id: r.id,
			name: r.name,
			born: r.born,
			occupation: r.occupation ?? null,
			sex: r.sex ?? null
		})
		.execute();
	for (const c of r.consents)
		if (
			(await append(
				t,
				'consent',
				{ id: c.id, client_id: r.id, purpose: c.purpose, given: c.given, local_day: ctx.today },
				recordedAt
			)) === 'conflict'
		)
			return false;
	const setting = { id: r.settingId, client_id: r.id, ...firstSetting(r) };
	return (await append(t, 'client_setting', setting, recordedAt)) !== 'conflict';
}

/** What is set at the beginning; what was not said is as usual, or not known. */
const firstSetting = (r: Registration) =>
	settingColumns({
		...NOT_SAID,
		...present(r),
		policyVersion: POLICIES[r.policyId].version
	});

const NOT_SAID = {
	shankCm: null,
	thighCm: null,
	trunkCm: null,
	footCm: null,
	shoeHeelCm: null,
	goal: null,
	units: 'metric',
	language: 'en',
	homeKit: [],
	homeHeights: { seats: [], steps: [] },
	days: [],
	minutes: null,
	positions: {},
	clearances: [],
	brace: 'tuned'
} as const;
