/** What pages of a client share: the header's facts, already in the page's own terms. */
import type { Day } from '#lib/core/base/calendar-day.ts';

export interface HeadView {
	readonly id: string;
	readonly name: string;
	readonly age: number;
	readonly occupation: string;
	readonly regions: readonly string[];
	readonly heightCm: number;
	readonly massKg: number;
	readonly technique: string | null;
	readonly policy: string;
	readonly goal: string | null;
	readonly flags: readonly { readonly id: string; readonly code: string; readonly severity: 'red' | 'review'; readonly day: Day }[];
	readonly limits: readonly { readonly text: string; readonly review: string | null; readonly overdue: boolean }[];
	readonly limitingJoint: string | null;
	readonly screening: string | null;
	readonly licensed: boolean;
	readonly today: Day;
}
