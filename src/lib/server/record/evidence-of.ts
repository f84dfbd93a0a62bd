/** What was logged, as evidence of range; and the envelope with it. */
import { methodOf } from '#lib/catalogue/ranges.ts';
import type { Day } from '#lib/core/base/calendar-day.ts';
import { type Envelope, envelopeWith, type RangeEvidence } from '#lib/core/client/envelope.ts';
import { type LogFacts, type LoggedWork, rangeEvidence } from '#lib/core/decision/range-evidence.ts';
import { stepOf } from '#lib/core/exercise/family.ts';
import { measuredEnvelope } from '../repo/sheet-repo.ts';
import { contextOf } from './context-of.ts';
import { givenUnder, oncePerDay, oncePerRecord } from './found-once.ts';
import type { ClientRecord } from './load.ts';

/** The logged sessions with step and set-up, as the core reads them; a step no longer known says nothing. */
export const workOf = oncePerRecord((r): readonly LoggedWork[] =>
	r.logs.flatMap((l): LoggedWork[] => {
		const found = givenUnder(r, l);
		const family = found === undefined ? undefined : r.families[found.exercise.family];
		const step =
			family === undefined || found === undefined ? undefined : stepOf(family, found.prescription.step);
		return found === undefined || step === undefined
			? []
			: [{ session: l.session, region: found.exercise.region, step, setup: found.prescription.setup }];
	})
);

export const factsOf = (r: ClientRecord, today: Day): LogFacts => ({
	policy: r.policy,
	mornings: r.mornings,
	intake: r.head.setting.usual,
	today,
	ctx: contextOf(r, {}, today, r.head.setting.technique)
});

export const evidenceOf = oncePerDay((r, today): readonly RangeEvidence[] =>
	rangeEvidence(workOf(r), factsOf(r, today))
);

/** Worked out once a record and day: a page asks for it several times. */
export const envelopeOf = oncePerDay((r, today): Envelope =>
	envelopeWith(
		measuredEnvelope(r.measurements, (method) => methodOf(method).realChangeDeg),
		evidenceOf(r, today),
		r.policy.marginDeg
	)
);
