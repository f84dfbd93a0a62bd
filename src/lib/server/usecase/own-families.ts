/** A practice's own ladders: read, saved and imported as data; all families of a file or none. Appended, never overwritten. */
import { checkOwn } from '#lib/catalogue/check-own.ts';
import { readFamilies } from '#lib/contract/own-family.ts';
import { lineOfPlace, MOST_FAULTS, type ReadFault } from '#lib/contract/read-list.ts';
import { ok } from '#lib/core/base/result.ts';
import type { ExerciseFamily } from '#lib/core/exercise/family.ts';
import { append } from '../db/append.ts';
import { ownFamilyRows } from '../repo/own-family-repo.ts';
import { allow, conflict, type Context, type Outcome } from './actor.ts';
import { command } from './command.ts';
import { newId } from './new-id.ts';

export async function ownFamilies(ctx: Context): Promise<Outcome<readonly ExerciseFamily[]>> {
	const may = allow(ctx.actor, 'show client');
	if (!may.ok) return may;
	return ctx.inPractice(async (t) => ok((await ownFamilyRows(t)).map((r) => r.family)));
}

export type Saved = { readonly saved: readonly string[] } | { readonly faults: readonly ReadFault[] };

/** Saves the families of a file. Faults are an answer, each with its line and mend; nothing is saved then. */
export const saveFamilies = (ctx: Context, file: string): Promise<Outcome<Saved>> =>
	saved(ctx, { id: newId(ctx.now), file });

const saved = command<{ readonly id: string; readonly file: string }, Saved>({
	verb: 'write own steps',
	id: (s) => s.id,
	keeps: (s) => 'saved' in s,
	everybody: true,
	run: async ({ file }, { t, ctx }) => {
		const read = readFamilies(file);
		if (!read.ok) return ok({ faults: read.faults });
		const standing = await ownFamilyRows(t);
		const faults = checkOwn(
			read.families,
			standing.map((s) => s.family)
		);
		if (faults.length > 0)
			return ok({
				faults: faults
					.slice(0, MOST_FAULTS)
					.map((f) => ({ ...f, line: lineOfPlace(file, read.families, 'steps', f.place) }))
			});
		for (const family of read.families) {
			const before = standing.find((s) => s.family.id === family.id);
			const written = await append(t, 'own_family', {
				id: newId(ctx.now),
				family: family.id,
				content: JSON.stringify(family),
				local_day: ctx.today,
				...(before === undefined ? {} : { replaces_id: before.rowId, reason: 'changed' })
			});
			if (written === 'conflict') return conflict('Somebody saved this family meanwhile; reload to see it.');
		}
		return ok({ saved: read.families.map((f) => f.title) });
	}
});
