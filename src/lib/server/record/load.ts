/** A client's whole record as the core reads it: one query a table, for one client or for all of a practice. Everything after that is pure. */
import { usable } from '#lib/catalogue/check-own.ts';
import { FAMILIES } from '#lib/catalogue/families.ts';
import { tableOf } from '#lib/core/base/table.ts';
import { onceFor } from '#lib/core/base/once-for.ts';
import { POLICIES, type PolicyId } from '#lib/catalogue/policies.ts';
import { type Body, bodyOf } from '#lib/core/body/body.ts';
import { type Policy, policyHere } from '#lib/core/decision/policy.ts';
import type { ExerciseFamily } from '#lib/core/exercise/family.ts';
import { laddersWithout } from '#lib/core/exercise/left-out.ts';
import type { Morning, RecordedEvent } from '#lib/core/session/record.ts';
import type { Told } from '#lib/core/session/told.ts';
import { type Whose, withoutNulls } from '../db/heads.ts';
import type { PracticeTransaction } from '../db/in-practice.ts';
import type { ClientHead } from '../repo/client-repo.ts';
import type { Room } from '../repo/equipment-repo.ts';
import type { Exercise } from '../repo/exercise-repo.ts';
import type { DayRecord } from '../repo/day-repo.ts';
import type { Logged } from '../repo/log-repo.ts';
import { recordVersion } from '../repo/record-version-repo.ts';
import type { RecordVersion } from '../repo/record-version-row.ts';
import type { Measurement, TestResult } from '../repo/sheet-repo.ts';
import { partsAt, readParts, type Parts, type ReadAt } from './parts.ts';

export interface ClientRecord {
	readonly head: ClientHead;
	readonly body: Body;
	readonly policy: Policy;
	readonly measurements: readonly Measurement[];
	/** What is in the plan: in use, stopped or set aside. */
	readonly exercises: readonly Exercise[];
	/** With what has ended. */
	readonly everGiven: readonly Exercise[];
	readonly logs: readonly Logged[];
	readonly tests: readonly TestResult[];
	readonly mornings: readonly Morning[];
	/** Evenings, and what mornings said of the session before. */
	readonly told: readonly Told[];
	readonly checkins: ReadonlyMap<string, string>;
	readonly events: readonly RecordedEvent[];
	readonly room: Room;
	/** The catalogue's families and the practice's own, without what is left out for this client. */
	readonly families: Readonly<Record<string, ExerciseFamily>>;
}

/**
 * The records of a practice, of some or of one of its clients; those put away only where they are asked for. What one client's record was read as is kept
 * by its version, which the database sets anew with whatever is written of them: read again it is one query, and all that was worked out of it is there.
 */
export async function loadRecords(
	t: PracticeTransaction,
	whose?: Whose,
	putAway = false
): Promise<readonly ClientRecord[]> {
	if (typeof whose !== 'string' || putAway) return recordsOf(await readParts(t, whose, putAway));
	return recordAt(t, whose, await recordVersion(t, whose));
}

/** One client's record by the version that was just asked for; none where the client is not to be seen, or was put away. */
export async function recordAt(
	t: PracticeTransaction,
	clientId: string,
	version: RecordVersion | undefined
): Promise<readonly ClientRecord[]> {
	if (version === undefined) return recordsOf(await readParts(t, clientId), true);
	const kept = t.shelf.find(clientId) as Kept | undefined;
	if (kept?.version.version === version.version) return [kept.record];
	const parts = await partsAt(t, clientId, version, kept);
	const [record] = recordsOf(parts, true);
	if (parts === undefined || record === undefined) return [];
	t.shelf.put(clientId, { parts, version, record: untouched(record) } satisfies Kept);
	return [record];
}

/** One client's record, with what it was put together from. */
interface Kept extends ReadAt {
	readonly record: ClientRecord;
}

/** A kept record is everybody's: where tests run, whoever would change it is told. */
const untouched: <T>(record: T) => T = process.env.VITEST === undefined ? (record) => record : frozen;

function frozen<T>(value: T): T {
	if (typeof value !== 'object' || value === null || Object.isFrozen(value)) return value;
	Object.freeze(value);
	for (const inner of Object.values(value)) frozen(inner);
	return value;
}

/** What belongs to days, each kind by itself; of one client the same until another day is written. */
const sorted = onceFor((ownDays: readonly DayRecord[]) => ({
	mornings: ownDays.flatMap((d) => (d.morning === null ? [] : [d.morning])),
	told: ownDays.flatMap((d) => (d.told === null ? [] : [d.told])),
	checkins: new Map(
		ownDays.flatMap((d) =>
			d.morning === null || d.checkinId === null
				? []
				: [[`${d.morning.date}|${d.morning.region}`, d.checkinId] as const]
		)
	),
	events: ownDays.flatMap((d) => (d.event === null ? [] : [d.event]))
}));

/** What a client's settings and the practice's make of them: the same until one of the two is written. */
const whoIn = onceFor((here: Room) => {
	const own = usable(here.own);
	const families =
		own.length === 0
			? FAMILIES
			: tableOf([...Object.entries(FAMILIES), ...own.map((f) => [f.id, f] as const)]);
	const policyOf = inPracticeOnce(here.practice);
	return onceFor((head: ClientHead) => ({
		body: bodyFor(head),
		policy: policyOf(head.setting.policyId),
		families: laddersWithout(
			families,
			head.leftOut.map((x) => x.step)
		)
	}));
});

/** Records put together from what was read; `ofOne` where all of it is one client's. */
function recordsOf(parts: Parts | undefined, ofOne = false): readonly ClientRecord[] {
	if (parts === undefined) return [];
	const { heads, measured, room: here } = parts;
	const by = ofOne ? all : byClient;
	const prescribed = by(parts.prescribed);
	const logged = by(parts.logged);
	const dayRecords = by(parts.days);
	const who = whoIn(here);
	const ranges = by(measured.ranges);
	const tests = by(measured.tests);
	return heads.map((head): ClientRecord => {
		const given = prescribed(head.id).filter((e) => e.prescriptions.length > 0);
		return {
			head,
			...who(head),
			measurements: ranges(head.id),
			exercises: given.filter((e) => e.prescriptions.at(-1)?.state !== 'ended'),
			everGiven: given,
			logs: logged(head.id),
			tests: tests(head.id),
			...sorted(dayRecords(head.id)),
			room: here
		};
	});
}

/** Each policy as the practice runs it, made once: clients of one policy share it. */
function inPracticeOnce(practice: Room['practice']): (id: PolicyId) => Policy {
	const made = new Map<PolicyId, Policy>();
	return (id) => {
		const policy = made.get(id) ?? policyHere(POLICIES[id], practice);
		made.set(id, policy);
		return policy;
	};
}

const all =
	<T>(rows: readonly T[]) =>
	(): readonly T[] =>
		rows;

/** Rows by the client they are of, in the order they came. */
function byClient<T extends { readonly clientId: string }>(rows: readonly T[]): (id: string) => readonly T[] {
	const known = new Map<string, T[]>();
	for (const row of rows) {
		const own = known.get(row.clientId);
		if (own === undefined) known.set(row.clientId, [row]);
		else own.push(row);
	}
	return (id) => known.get(id) ?? [];
}

function bodyFor(head: ClientHead): Body {
	const { heightCm, massKg, shankCm, thighCm, trunkCm, footCm } = head.setting;
	const body = bodyOf({ heightCm, massKg, segments: withoutNulls({ shankCm, thighCm, trunkCm, footCm }) });
	if (!body.ok) throw new Error(`stored body refused: ${body.refusal.message}`);
	return body.value;
}
