/** Judges clients whose kept row on Today is old, and keeps the answers. Whoever changes a record meanwhile wins: that answer is dropped. */
import { CATALOGUE_VERSION } from '#lib/catalogue/families.ts';
import type { Day } from '#lib/core/base/calendar-day.ts';
import { ENGINE_VERSION } from '#lib/core/decision/trace.ts';
import { written } from '#lib/wording/written-as.ts';
import type { InPractice } from '../db/in-practice.ts';
import { loadRecords } from '../record/load.ts';
import { practiceSettings } from '../repo/practice-repo.ts';
import { keepJudged, takeOld, type Unjudged } from '../repo/standing-repo.ts';
import { judgedRow } from '../view/today-row.ts';
import { writing, writtenAs } from './writing.ts';

/** How rows are made; another shape of the row counts up. */
const ROW = 3;
/** Rows of another engine, catalogue or shape are judged anew, and those written in units or an order of days that the practice has left. */
export function judgedBy(): string {
	const { units, dateOrder } = written();
	return `${ENGINE_VERSION}|${CATALOGUE_VERSION}|${ROW}|${units}|${dateOrder}`;
}

/** Clients read and kept together. */
const AT_ONCE = 20;

/**
 * Judges whatever is old in a practice and nobody else is judging, in the words in which it writes now and not when this was asked for: rows in the words of
 * an earlier setting would stand over those that a reading has judged meanwhile. Answers how many were.
 *
 * @param few ends with those that were old when it began, as far as they fill no batch: whoever changes another meanwhile asks anew
 */
export async function judgeOld(inPractice: InPractice, today: Day, few = false): Promise<number> {
	const { units, dateOrder } = await inPractice(practiceSettings);
	return writing(writtenAs(units, dateOrder), async () => {
		for (let judged = 0; ;) {
			const some = await inPractice((t) => takeOld(t, today, judgedBy(), AT_ONCE));
			if (some.length === 0) return judged;
			await judgeAnew(inPractice, some, today);
			judged += some.length;
			if (few && some.length < AT_ONCE) return judged;
		}
	});
}

/**
 * Judges and keeps; `pause` is waited for between batches. What takes time is done between the two transactions, while no row is held: whoever writes of a
 * client meanwhile waits for nobody.
 */
export async function judgeAnew(
	inPractice: InPractice,
	clients: readonly Unjudged[],
	today: Day,
	pause: () => Promise<void> = async () => undefined
): Promise<void> {
	for (let i = 0; i < clients.length; i += AT_ONCE) {
		const some = new Map(clients.slice(i, i + AT_ONCE).map((c) => [c.clientId, c]));
		const records = await inPractice((t) => loadRecords(t, [...some.keys()]));
		const judged = records.flatMap((r) => {
			const of = some.get(r.head.id);
			return of === undefined ? [] : [{ ...of, ...judgedRow(r, today) }];
		});
		await inPractice((t) => keepJudged(t, judged, today, judgedBy()));
		await pause();
	}
}
