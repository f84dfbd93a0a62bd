/** The backups of a practice, as far as its server knows of them: an owner sees when the last good one was made. */
import { ok } from '#lib/core/base/result.ts';
import { backupsIn } from '../keep/backup.ts';
import { BACKUP_HOURS, hoursSinceBackup } from '../keep/doctor.ts';
import { allow, type Context, type Outcome } from './actor.ts';

export interface BackupsShown {
	/** Where they are; null where the database is backed up by whoever runs it. */
	readonly folder: string | null;
	readonly backups: readonly {
		readonly name: string;
		readonly madeAt: string;
		readonly bytes: number;
		readonly rows: number;
	}[];
	/** What the owner should know; null where all is well. */
	readonly warning: string | null;
}

const nameOf = (file: string): string => file.split('/').at(-1) ?? file;

function warningOf(folder: string, now: Date): string | null {
	const hours = hoursSinceBackup(folder, now);
	if (hours === undefined)
		return 'There is no backup yet. The first is made within an hour of the start; npm run backup makes one at once.';
	return hours > BACKUP_HOURS
		? `The last good backup is ${Math.floor(hours)} hours old. Something keeps it from being made: npm run doctor says what.`
		: null;
}

export function showBackups(
	ctx: Context,
	folder: string | undefined = process.env.BOLSTER_BACKUPS
): Outcome<BackupsShown> {
	const may = allow(ctx.actor, 'change the practice');
	if (!may.ok) return may;
	if (folder === undefined) return ok({ folder: null, backups: [], warning: null });
	return ok({
		folder,
		backups: backupsIn(folder).map(({ file, madeAt, bytes, tables }) => ({
			name: nameOf(file),
			madeAt,
			bytes,
			rows: Object.values(tables).reduce((sum, t) => sum + t.rows, 0)
		})),
		warning: warningOf(folder, ctx.now)
	});
}
