/** How the usual morning pain of each region has changed since the intake, by every published rule that holds for this client. */
import { painChangesFor, painPopulations } from '#lib/catalogue/change-rules.ts';
import type { Day } from '#lib/core/base/calendar-day.ts';
import { changeOf, type Change } from '#lib/core/measure/change.ts';
import { regionsOf, usualNow } from '../record/facts-of.ts';
import type { ClientRecord } from '../record/load.ts';

export interface MorningChange {
	readonly region: string;
	readonly intake: number;
	readonly now: number;
	readonly populations: readonly string[];
	readonly change: Change;
}

export const morningChanges = (r: ClientRecord, today: Day): readonly MorningChange[] =>
	regionsOf(r).flatMap((region) => {
		const { intake, longStanding = false } = r.head.setting.usual[region] ?? {};
		if (intake === undefined) return [];
		const now = usualNow(r, region, today);
		const populations = painPopulations(region, { frontOfKnee: r.head.setting.frontOfKnee, longStanding });
		return [
			{
				region,
				intake,
				now,
				populations,
				change: changeOf({ from: intake, to: now, better: 'lower' }, painChangesFor(populations))
			}
		];
	});
