/**
 * Who was erased, kept outside the database by id alone: a backup from before still holds them, and what is restored from it erases them again. One line of
 * JSON each; written beside and put in place in one step.
 */
import { existsSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import pg from 'pg';

export interface ErasedId {
	readonly practice: string;
	readonly client: string;
	readonly at: string;
}

/** Lines that were cut short by a full disk are passed over; the database still knows them. */
export function erasuresIn(file: string): readonly ErasedId[] {
	if (!existsSync(file)) return [];
	return readFileSync(file, 'utf8')
		.split('\n')
		.flatMap((line): ErasedId[] => {
			try {
				const e = JSON.parse(line) as Partial<ErasedId>;
				return e.practice && e.client ? [{ practice: e.practice, client: e.client, at: e.at ?? '' }] : [];
			} catch {
				return [];
			}
		});
}

const keyOf = (e: ErasedId): string => `${e.practice}|${e.client}`;

/** Adds those that are not there yet. */
export function keepErasures(file: string, gone: readonly ErasedId[]): void {
	const known = new Map(erasuresIn(file).map((e) => [keyOf(e), e]));
	const before = known.size;
	for (const e of gone) if (!known.has(keyOf(e))) known.set(keyOf(e), e);
	if (known.size === before) return;
	writeFileSync(`${file}.part`, [...known.values()].map((e) => `${JSON.stringify(e)}\n`).join(''), {
		mode: 0o600
	});
	renameSync(`${file}.part`, file);
}

/** Brings file and database together, as owner: what either knows as erased is erased in both. Answers how many were erased anew. */
export async function replayErasures(ownerUrl: string, file: string): Promise<number> {
	const client = new pg.Client({ connectionString: ownerUrl });
	await client.connect();
	try {
		await client.query('begin');
		let anew = 0;
		for (const e of erasuresIn(file)) {
			const { rowCount } = await client.query(
				'select 1 from client where practice_id = $1 and id = $2 for update',
				[e.practice, e.client]
			);
			if (rowCount === 0) continue;
			const { rows } = await client.query<{ gone: number }>('select take_apart($1, $2) as gone', [
				e.practice,
				e.client
			]);
			const owner = await client.query<{ id: string }>(
				`select id from member where practice_id = $1 order by ('owner' = any(roles)) desc, id limit 1`,
				[e.practice]
			);
			const by = owner.rows[0]?.id;
			await client.query(
				`insert into erasure (practice_id, id, because, asked_by, agreed_by, rows) values ($1, $2, 'erased before the restore', $3, $3, $4) on conflict do nothing`,
				[e.practice, e.client, by, rows[0]?.gone ?? 0]
			);
			anew += 1;
		}
		const { rows } = await client.query<{ practice: string; client: string; at: Date }>(
			'select practice_id as practice, id as client, erased_at as at from erasure'
		);
		await client.query('commit');
		keepErasures(
			file,
			rows.map((r) => ({ practice: r.practice, client: r.client, at: r.at.toISOString() }))
		);
		return anew;
	} finally {
		await client.end();
	}
}
