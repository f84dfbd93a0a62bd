/** A practice's own families: the standing version of each. */
import { sql } from 'kysely';
import type { ExerciseFamily } from '#lib/core/exercise/family.ts';
import type { PracticeTransaction } from '../db/in-practice.ts';
import { isHead } from '../db/heads.ts';

export interface OwnFamily {
	readonly rowId: string;
	readonly family: ExerciseFamily;
}

export async function ownFamilyRows(t: PracticeTransaction): Promise<readonly OwnFamily[]> {
	const { rows } = await sql<{
		id: string;
		content: ExerciseFamily;
	}>`select f.id, f.content from own_family f where f.practice_id = ${t.practiceId} and ${isHead('own_family', 'f')} order by f.family`.execute(
		t.trx
	);
	return rows.map((r) => ({ rowId: r.id, family: r.content }));
}
