/** What holds prescribing for a region before any step is looked at. */
import { flagName } from '#lib/wording/screening.ts';
import type { Flag } from '../repo/client-repo.ts';
import { operationUnrecorded, reaches } from './facts-of.ts';
import type { ClientRecord } from './load.ts';

/** An open red flag that reaches a region: no work of it goes on until it is closed. */
export const redFlagOn = (r: ClientRecord, region: string): Flag | undefined =>
	r.head.flags.find((f) => f.open && f.severity === 'red' && reaches(f, region));

/** What holds everything behind it for a region: no screening, an open red flag that reaches it, an operation without its protocol. */
export function heldBy(r: ClientRecord, region: string): string | undefined {
	const { screening, surgery } = r.head;
	const flag = redFlagOn(r, region);
	if (flag !== undefined)
		return `A flag is open: ${flagName(flag.code)}. Nothing is prescribed until it is closed.`;
	if (screening === null || !screening.complete)
		return 'Screen first: nothing is prescribed before every question of the screening is answered.';
	if (surgery.some((s) => !s.limitsEntered))
		return 'An operation waits for its protocol; nothing is prescribed before its limits are entered.';
	if (operationUnrecorded(r))
		return 'The screening says there was an operation: record it with its protocol first, or that no limits hold.';
	return undefined;
}
