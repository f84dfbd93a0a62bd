/** What a client has shown of each step, in sessions that were seen and in tests, and what gates are judged in. */
import { TEST_SHOWS } from '#lib/catalogue/test-shows.ts';
import { stepAnywhere } from '#lib/core/exercise/family.ts';
import type { GateFacts, Shown } from '#lib/core/fit/gate.ts';
import { shownIn } from '#lib/core/session/shown.ts';
import { usualNow } from './facts-of.ts';
import { givenUnder, oncePerRecord } from './found-once.ts';
import type { ClientRecord } from './load.ts';

/** What the function tests show of steps: seconds of a stance. */
const shownByTests = (r: ClientRecord): readonly Shown[] =>
	r.tests.flatMap((x) =>
		TEST_SHOWS.filter((s) => s.test === x.test).flatMap((s): Shown[] => {
			const seconds = s.from === 'value' ? x.value : x.extras[s.from];
			return seconds === undefined
				? []
				: [{ step: s.step, side: x.side ?? 'both', cleanReps: [seconds], effortMax: undefined }];
		})
	);

/** What has been shown on each step, for gates: in sessions that were seen, and in tests. */
export const shownOf = oncePerRecord((r): readonly Shown[] => shownByTests(r).concat(shownInSessions(r)));

const shownInSessions = (r: ClientRecord): readonly Shown[] =>
	r.logs.flatMap((l) => {
		const found = givenUnder(r, l);
		if (found === undefined) return [];
		const { region, side } = found.exercise;
		const most = Math.max(usualNow(r, region, l.session.date), r.policy.safeMax);
		return shownIn(found.prescription.step, side, l.session, { region, most });
	});

/** What gates are judged in: technique, clearances, doses of the catalogue. */
export const gateFactsOf = (r: ClientRecord): GateFacts => ({
	...(r.head.setting.technique === null ? {} : { technique: r.head.setting.technique }),
	clearances: r.head.setting.clearances,
	targetOf: (step) => stepAnywhere(r.families, step)?.usualDose.target
});
