/**
 * What is told of a session once it is over, at home: pain that evening, and how sore the muscles were that evening or the next morning. Put to the
 * sessions of its day before they are judged, so that what came late counts as if it had been said at once.
 */
import { addDays, type Day } from '../base/calendar-day.ts';
import type { PainEntry, Region, Session } from './record.ts';

export interface Told {
	readonly date: Day;
	readonly moment: 'evening' | 'morning';
	readonly region: Region;
	readonly pain?: number;
	/** Of the muscles, 0–10: not the pain of a joint. */
	readonly soreness?: number;
}

/** The worst that was said of a region during a session, after it, and that evening; undefined where nothing was. */
export function worstOf({ peak, after, evening }: PainEntry): number | undefined {
	const said = [peak, after, evening].filter((x): x is number => x !== undefined);
	return said.length === 0 ? undefined : Math.max(...said);
}

/** The day of the session of which something was told. */
const ofDay = (t: Told): Day => (t.moment === 'evening' ? t.date : addDays(t.date, -1));

/** What was told, put to the sessions of its days: looked through once for them all. A session of which nothing was told is itself. */
export function puttingTold(told: readonly Told[]): (s: Session) => Session {
	const byDay = new Map<Day, Told[]>();
	for (const t of told) {
		const known = byDay.get(ofDay(t));
		if (known === undefined) byDay.set(ofDay(t), [t]);
		else known.push(t);
	}
	return (s) => {
		const ofIt = byDay.get(s.date);
		return ofIt === undefined ? s : joined(s, ofIt);
	};
}

/** The session with what was told of its evening and its next morning. */
function joined(s: Session, ofIt: readonly Told[]): Session {
	const evenings = new Map(
		ofIt.flatMap((t) => (t.moment === 'evening' && t.pain !== undefined ? [[t.region, t.pain] as const] : []))
	);
	const sore = [s.soreness, ...ofIt.map((t) => t.soreness)].filter((x): x is number => x !== undefined);
	const known = s.pains.map((p) => {
		const evening = evenings.get(p.region);
		evenings.delete(p.region);
		return evening === undefined ? p : { ...p, evening };
	});
	return {
		...s,
		pains: [...known, ...[...evenings].map(([region, evening]) => ({ region, evening }))],
		...(sore.length === 0 ? {} : { soreness: Math.max(...sore) })
	};
}
