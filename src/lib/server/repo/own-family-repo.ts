/** A practice's own families: the standing version of each. */
import { sql } from 'kysely';
import { type ExerciseFamily, type Needs, otherEndOf } from '#lib/core/exercise/family.ts';
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
	return rows.map((r) => ({ rowId: r.id, family: asWrittenNow(r.content) }));
}

/** A ladder that was kept before each leg had an end of its own says whether both go to the same one. */
export function asWrittenNow(family: ExerciseFamily): ExerciseFamily {
	const legs = (needs: Needs & { readonly bothEnd?: boolean }): Needs => ({
		...needs,
		otherEnd: otherEndOf(needs)
	});
	return {
		...family,
		steps: family.steps.map((s) => (s.needs === undefined ? s : { ...s, needs: legs(s.needs) }))
	};
}
