/**
 * Safe, acceptable and stop lines for pain during and after work. Long-standing pain, confirmed by a licensed user and not
 * rising, lifts safe to usual and acceptable to one above it.
 * @source thomee-1997 zones 0–2 and to 5 (from memory)
 */
import type { Region } from '../session/record.ts';
import type { Facts } from './facts.ts';

export interface Zones {
	readonly safe: number;
	readonly acceptable: number;
	readonly stop: number;
}

/** Above usual by this much, and above acceptable, pain closes its region for the day. @source practice-setting */
const CLOSING_RISE = 3;

/** Does pain at rest, in the morning or at arrival, close its region for the day? */
export const closesRegion = (
	now: number | undefined,
	usual: number,
	{ acceptable, stop }: Pick<Zones, 'acceptable' | 'stop'>
): boolean => now !== undefined && (now >= stop || (now >= usual + CLOSING_RISE && now > acceptable));

export function zonesOf(f: Facts, region: Region): Zones {
	const { policy, input } = f;
	const own = region === f.region;
	const usual = own ? f.usual.value : (input.client.usual[region]?.intake ?? 0);
	const safe = policy.safeWithinUsual ? Math.min(policy.safeMax, usual) : policy.safeMax;
	const lifted = own && f.longStanding && usual >= 3 && usual <= 5;
	return {
		safe: lifted ? Math.max(safe, usual) : safe,
		acceptable: lifted ? Math.max(5, usual + 1, policy.acceptableMax) : policy.acceptableMax,
		stop: policy.stopAt
	};
}
