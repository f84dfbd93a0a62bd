/** Does the database answer? */
import { database } from '../db/connect.ts';

export async function isReady(): Promise<boolean> {
	try {
		await database().pool.query('select 1');
		return true;
	} catch {
		return false;
	}
}
