/** Which day it is for a client, without a network: the device's clock, held against the server's when the page was made. */
import { addDays, type Day } from '#lib/core/base/calendar-day.ts';
import { uuid7 } from '#lib/core/base/uuid.ts';
import { recordDay } from '#lib/core/base/zone-day.ts';
import type { MineView } from '#lib/contract/mine.ts';

/** How far the device's clock is behind the server's, ms: measured where a page came from the server just now, remembered for when it does not. */
const KEY = 'bolster-clock';

export function measureClock(serverNow: number, deviceNow: number, fresh: boolean): number {
	if (fresh) localStorage.setItem(KEY, String(serverNow - deviceNow));
	const kept = Number(localStorage.getItem(KEY));
	return Number.isFinite(kept) ? kept : 0;
}

export const dayHere = (m: Pick<MineView, 'tz' | 'dayShift'>, behindMs: number, deviceNow: number): Day =>
	addDays(recordDay(m.tz, new Date(deviceNow + behindMs)), m.dayShift);

/** A page that was made longer ago than a slow network takes: it came out of the cache. */
const STALE_MS = 10_000;
export const isStale = (madeAt: number, behindMs: number, deviceNow: number): boolean =>
	Math.abs(deviceNow + behindMs - madeAt) > STALE_MS;

export const freshId = (): string => uuid7(Date.now(), crypto.getRandomValues(new Uint8Array(10)));
