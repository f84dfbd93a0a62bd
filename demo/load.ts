/**
 * Loads the demo practice: twelve weeks of records made from a fixed seed, day by day, through the same use-cases the pages use,
 * with gaps, corrections and late mornings; every client ends where another kind of decision is due.
 */
import pg from 'pg';
import { addDays, dayNumber, type Day } from '#lib/core/base/calendar-day.ts';
import { hash32, seeded } from '#lib/core/base/random.ts';
import { uuid7 } from '#lib/core/base/uuid.ts';
import { makeAuth } from '#lib/server/auth/auth.ts';
import { open } from '#lib/server/db/connect.ts';
import { inPracticeOf } from '#lib/server/db/in-practice.ts';
import type { Context } from '#lib/server/usecase/actor.ts';
import { CLIENTS, EQUIPMENT, PRACTICE, STAFF } from './people.ts';
import { hearBack } from './heard-back.ts';
import { Life } from './life.ts';
import type { World } from './world.ts';
import { signWeeks } from './weeks.ts';
import { ROSTER, ROSTER_DAYS } from './roster.ts';

export interface DemoOptions {
	readonly ownerUrl: string;
	readonly appUrl: string;
	/** Of the role that signs people in. */
	readonly signInUrl: string;
	readonly secret: string;
	readonly origin: string;
	readonly today: Day;
	/** Fewer weeks make a faster fixture. */
	readonly weeks?: number;
	readonly only?: readonly string[];
	/** With the rest of the practice's list, for looking at. */
	readonly roster?: boolean;
}

/** Is the demo there already? */
export async function demoDay(ownerUrl: string): Promise<Day | undefined> {
	const client = new pg.Client({ connectionString: ownerUrl });
	await client.connect();
	try {
		const { rows } = await client.query<{ day: string | null }>(
			`select max(local_day)::text as day from screening`
		);
		return rows[0]?.day ?? undefined;
	} finally {
		await client.end();
	}
}

const FIRST_KINDS: readonly string[] = ['seat', 'pad', 'wedge', 'weight'];

export async function loadDemo(o: DemoOptions): Promise<void> {
	const random = seeded(hash32('tidewater'));
	const idFrom =
		(r: () => number) =>
		(day: Day): string =>
			uuid7(
				dayNumber(day) * 86_400_000 + 43_200_000,
				Uint8Array.from({ length: 10 }, () => Math.floor(r() * 256))
			);
	const id = idFrom(random);
	const intakeId = idFrom(seeded(hash32('tidewater intake')));
	/** What came later draws from its own seed, so that the clients' weeks stay as they were. */
	const laterId = idFrom(seeded(hash32('tidewater equipment')));
	const lateId = idFrom(seeded(hash32('tidewater mornings')));
	const start = addDays(o.today, -7 * (o.weeks ?? 12));
	const practiceId = id(start);
	const members = await staff(o, practiceId, () => id(start));
	const { db, pool } = open(o.appUrl);
	try {
		const as = (key: 'physio' | 'trainer', today: Day): Context => {
			const m = STAFF.find((s) => s.key === key);
			const memberId = members.get(key) as string;
			return {
				actor: {
					memberId,
					practiceId,
					name: m?.name ?? key,
					practice: PRACTICE.name,
					licensed: key === 'physio',
					trainer: key === 'trainer',
					owner: false
				},
				inPractice: inPracticeOf(db, practiceId, memberId),
				today,
				now: new Date(dayNumber(today) * 86_400_000 + 46_800_000),
				tz: PRACTICE.tz,
				units: PRACTICE.units
			};
		};
		await as('physio', start).inPractice(async (t) => {
			for (const e of EQUIPMENT)
				await t.trx
					.insertInto('equipment')
					.values({
						practice_id: practiceId,
						id: FIRST_KINDS.includes(e.kind) ? id(start) : laterId(start),
						kind: e.kind,
						label: e.label,
						value: e.value,
						unit: e.unit,
						mm: e.unit === 'cm' ? Math.round(e.value * 10) : null,
						g: e.unit === 'kg' ? Math.round(e.value * 1000) : null,
						count: e.count
					})
					.execute();
		});
		const world = {
			as,
			id,
			intakeId,
			lateId,
			random,
			start,
			today: o.today,
			trainerId: members.get('trainer') as string
		};
		await lives(o, world, (day) => as('physio', day), idFrom(seeded(hash32('tidewater weeks'))));
	} finally {
		await pool.end();
	}
	await analyse(o.ownerUrl);
}

/** The clients one after another, and with them the rest of the practice's list where it is wanted. */
async function lives(
	o: DemoOptions,
	world: World,
	physio: (day: Day) => Context,
	weekId: (day: Day) => string
): Promise<void> {
	for (const client of CLIENTS)
		if (o.only === undefined || o.only.includes(client.key)) await new Life(client, world).run();
	if (o.roster !== true) return;
	for (const client of ROSTER)
		await new Life(client, { ...world, start: addDays(o.today, -ROSTER_DAYS) }).run();
	await signWeeks(physio, o.today, ['Nerys', 'Bertil'], weekId);
	await hearBack(physio, o.today, weekId);
}

/** Fresh tables have no statistics yet, and autovacuum comes too late for the first minute. */
async function analyse(ownerUrl: string): Promise<void> {
	const owner = new pg.Client({ connectionString: ownerUrl });
	await owner.connect();
	await owner.query('analyze').finally(() => owner.end());
}

async function staff(o: DemoOptions, practiceId: string, id: () => string): Promise<Map<string, string>> {
	const { auth, pool } = makeAuth({
		url: o.signInUrl,
		secret: o.secret,
		origin: o.origin,
		signUp: true
	});
	const owner = new pg.Client({ connectionString: o.ownerUrl });
	await owner.connect();
	const members = new Map<string, string>();
	try {
		await owner.query('insert into practice (id, name, tz, units, is_demo) values ($1, $2, $3, $4, true)', [
			practiceId,
			PRACTICE.name,
			PRACTICE.tz,
			PRACTICE.units
		]);
		for (const s of STAFF) {
			const { user } = await auth.api.signUpEmail({
				body: { name: s.name, email: s.email, password: s.password }
			});
			const memberId = id();
			members.set(s.key, memberId);
			await owner.query(
				'insert into member (practice_id, id, user_id, name, roles, licence_no, licensed_until) values ($1, $2, $3, $4, $5, $6, $7)',
				[practiceId, memberId, user.id, s.name, s.roles, s.licence, s.licence === null ? null : '2099-12-31']
			);
		}
	} finally {
		await owner.end();
		await pool.end();
	}
	return members;
}
