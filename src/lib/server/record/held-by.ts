/** What holds prescribing for a region before any step is looked at. */
import { flagName } from '#lib/wording/screening.ts';
import { operationUnrecorded, reaches } from './facts-of.ts';
import type { ClientRecord } from './load.ts';

/** What holds everything behind it for a region: no screening, an open red flag that reaches it, an operation without its protocol. */
export function heldBy(r: ClientRecord, region: string): string | undefined {
	const { screening, flags, surgery } = r.head;
	const flag = flags.find((f) => f.open && f.severity === 'red' && reaches(f, region));
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
