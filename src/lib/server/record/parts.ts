/**
 * What a record is put together from: six parts, one query each, for one client or for all of a practice. A part stays what it was while none of the
 * tables it is read from was written, which their numbers say; after a session was logged its logs are read again, and nothing else.
 */
import { isDeepStrictEqual } from 'node:util';
import type { Whose } from '../db/heads.ts';
import type { PracticeTransaction } from '../db/in-practice.ts';
import { type ClientHead, clientHeads } from '../repo/client-repo.ts';
import { type DayRecord, days } from '../repo/day-repo.ts';
import { type Room, room } from '../repo/equipment-repo.ts';
import { type Exercise, exercises } from '../repo/exercise-repo.ts';
import { logs, logsSince, type Placed } from '../repo/log-repo.ts';
import { recordVersion } from '../repo/record-version-repo.ts';
import type { RecordVersion } from '../repo/record-version-row.ts';
import { type Sheet, sheet } from '../repo/sheet-repo.ts';

export interface Parts {
	readonly heads: readonly ClientHead[];
	readonly measured: Sheet;
	readonly prescribed: readonly Exercise[];
	readonly logged: readonly Placed[];
	readonly days: readonly DayRecord[];
	readonly room: Room;
}

type Read<P> = (t: PracticeTransaction, whose: Whose, putAway: boolean) => Promise<P>;
/** How each part is read, in their order. */
const READ: { readonly [P in keyof Parts]: Read<Parts[P]> } = {
	heads: clientHeads,
	measured: sheet,
	prescribed: exercises,
	logged: logs,
	days,
	room
};

type ReadOn<P> = (t: PracticeTransaction, clientId: string, before: ReadAt) => Promise<P> | undefined;
/** Of what grows with every visit, what was written since is read, and put to what was known. */
const READ_ON: { readonly [P in keyof Parts]?: ReadOn<Parts[P]> } = {
	logged: (t, clientId, { parts, version }) => {
		const change = version.own.exercise_log;
		return change === undefined ? undefined : logsSince(t, clientId, parts.logged, change);
	}
};

/** The tables that each part is read from. A test holds the questions themselves to it. */
export const TABLES_OF: { readonly [P in keyof Parts]: readonly string[] } = {
	heads: [
		...['client', 'person', 'client_setting', 'screening', 'flag', 'flag_closing', 'surgery', 'protocol'],
		...['protocol_limit', 'arrival', 'plan_order', 'story', 'repeated_movement', 'client_course'],
		...['client_week', 'client_link', 'client_device', 'left_out', 'known_symptom']
	],
	measured: ['measurement', 'test_result'],
	prescribed: ['exercise', 'prescription', 'decision'],
	logged: ['exercise_log', 'visit'],
	days: ['checkin', 'day_event'],
	room: ['practice', 'equipment', 'delegation', 'own_family', 'own_course']
};
const NAMES = Object.keys(READ) as readonly (keyof Parts)[];

/** What was read of one client, and at which numbers. */
export interface ReadAt {
	readonly parts: Parts;
	readonly version: RecordVersion;
}

const sameNumbers = (tables: readonly string[], a: RecordVersion, b: RecordVersion): boolean =>
	tables.every((table) => a.own[table] === b.own[table] && a.shared[table] === b.shared[table]);

/** All parts; of nobody where there is nobody. */
export async function readParts(
	t: PracticeTransaction,
	whose: Whose,
	putAway = false
): Promise<Parts | undefined> {
	const heads = await READ.heads(t, whose, putAway);
	if (heads.length === 0) return undefined;
	const read: Partial<Record<keyof Parts, unknown>> = { heads };
	for (const part of NAMES) read[part] ??= await READ[part](t, whose, putAway);
	return read as unknown as Parts;
}

/** The parts of one client at a version, those that changed since they were read read again. */
export async function partsAt(
	t: PracticeTransaction,
	clientId: string,
	version: RecordVersion,
	before: ReadAt | undefined
): Promise<Parts | undefined> {
	if (before === undefined) return readParts(t, clientId);
	const read: Record<keyof Parts, unknown> = { ...before.parts };
	for (const part of NAMES)
		if (!sameNumbers(TABLES_OF[part], version, before.version))
			read[part] = await (READ_ON[part]?.(t, clientId, before) ?? READ[part](t, clientId, false));
	const parts = read as unknown as Parts;
	if (parts.heads.length === 0) return undefined;
	if (process.env.VITEST !== undefined) await heldAgainstWhole(t, clientId, version, parts);
	return parts;
}

/** Where tests run, what was put together is held against one that is read whole; unless somebody wrote meanwhile. */
async function heldAgainstWhole(
	t: PracticeTransaction,
	clientId: string,
	version: RecordVersion,
	parts: Parts
): Promise<void> {
	const whole = await readParts(t, clientId);
	const other = NAMES.find((part) => !isDeepStrictEqual(parts[part], whole?.[part]));
	if (other === undefined || (await recordVersion(t, clientId))?.version !== version.version) return;
	throw new Error(`a record was put together with another ${other} than stands`);
}
