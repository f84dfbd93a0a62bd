/** What was logged, as evidence of range; and the envelope with it. */
import { methodOf } from '#lib/catalogue/ranges.ts';
import type { Day } from '#lib/core/base/calendar-day.ts';
import { onceFor } from '#lib/core/base/once-for.ts';
import { type Envelope, envelopeWith, type RangeEvidence } from '#lib/core/client/envelope.ts';
import { evidenceBy, seenBy, type LogFacts, type LoggedWork } from '#lib/core/decision/range-evidence.ts';
import { stepOf } from '#lib/core/exercise/family.ts';
import type { Observed } from '#lib/core/movement/context.ts';
import type { Logged } from '../repo/log-repo.ts';
import { measuredEnvelope } from '../repo/sheet-repo.ts';
import { contextOf } from './context-of.ts';
import { givenUnder, oncePerDay, oncePerGround, oncePerRecord, type Ground } from './found-once.ts';
import type { ClientRecord } from './load.ts';

const works = new WeakMap<Logged, LoggedWork>();

/** A logged session with step and set-up: the same until its ladder is another. What it was done under never changes. */
function workIn(l: Logged, work: LoggedWork): LoggedWork {
	const known = works.get(l);
	if (known?.step === work.step) return known;
	works.set(l, work);
	return work;
}

/** The logged sessions with step and set-up, as the core reads them; a step no longer known says nothing. */
const workOf = oncePerRecord((r): readonly LoggedWork[] =>
	r.logs.flatMap((l): LoggedWork[] => {
		const found = givenUnder(r, l);
		const family = found === undefined ? undefined : r.families[found.exercise.family];
		const step =
			family === undefined || found === undefined ? undefined : stepOf(family, found.prescription.step);
		if (found === undefined || step === undefined) return [];
		const { exercise, prescription } = found;
		return [workIn(l, { session: l.session, region: exercise.region, step, setup: prescription.setup })];
	})
);

const factsOf = (r: Ground, today: Day): LogFacts => ({
	policy: r.policy,
	mornings: r.mornings,
	intake: r.head.setting.usual,
	today,
	ctx: contextOf(r, {}, today, r.head.setting.technique)
});

/** Each session is looked at once: one more logged leaves what the others say as it is. */
const said = oncePerGround((r, today) => {
	const facts = factsOf(r, today);
	return { evidence: onceFor(evidenceBy(facts)), seen: onceFor(seenBy(facts)) };
});

export const evidenceOf = oncePerDay((r, today): readonly RangeEvidence[] =>
	workOf(r).flatMap(said(r, today).evidence)
);

/** What was seen done, safe and settled. */
export const seenOf = (r: ClientRecord, today: Day): readonly Observed[] =>
	workOf(r).flatMap(said(r, today).seen);

/** Worked out once a record and day: a page asks for it several times. */
export const envelopeOf = oncePerDay((r, today): Envelope =>
	envelopeWith(
		measuredEnvelope(r.measurements, (method) => methodOf(method).realChangeDeg),
		evidenceOf(r, today),
		r.policy.marginDeg
	)
);
