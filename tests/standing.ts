/** A client for tests of standing work: 168 cm, free but for what a test narrows, with an ordinary seat given on 5 March. */
import { FAMILIES } from '#lib/catalogue/families.ts';
import { bodyOf } from '#lib/core/body/body.ts';
import type { Envelope } from '#lib/core/client/envelope.ts';
import { stepOf, type ExerciseFamily } from '#lib/core/exercise/family.ts';
import type { FitContext } from '#lib/core/movement/context.ts';
import { samePurpose } from '#lib/core/safety/same-purpose.ts';
import type { Prescribed, StandingFacts } from '#lib/core/safety/standing.ts';

const body = bodyOf({ heightCm: 168, massKg: 70 });
if (!body.ok) throw new Error('body');
export const range = (tolerable: number, date = '2026-03-01') => ({
	painFree: tolerable - 5,
	tolerable,
	end: tolerable + 5,
	date,
	loaded: true
});
export const both = (v: ReturnType<typeof range>) => ({ left: v, right: v });
export const envelope = (knee = 140, date = '2026-03-01'): Envelope => ({
	kneeFlexion: both(range(knee, date)),
	thighTrunkFlexion: both(range(140)),
	weightBearingDorsiflexion: both(range(42))
});
export const context = (patch: Partial<FitContext> = {}): FitContext => ({
	body: body.value,
	rules: { base: 'tolerable', marginDeg: 5, loadedMarginDeg: 10, staleDays: 28 },
	today: '2026-03-12',
	envelope: envelope(),
	side: 'right',
	...patch
});

export const squat = FAMILIES.squat as ExerciseFamily;
export const seat = stepOf(squat, 'standard-seat')!;
export const given = (patch: Partial<Prescribed> = {}): Prescribed => ({
	family: squat,
	step: seat,
	setup: { seatCm: 46 },
	loadKg: 0,
	since: '2026-03-05',
	...patch
});
/** A press at a sled's place asks one angle of the knee, whatever the shank does. */
const pressFamily = FAMILIES['leg-press'] as ExerciseFamily;
export const press = (): Prescribed =>
	given({ family: pressFamily, step: stepOf(pressFamily, 'leg-press')!, setup: { sledCm: 60 } });
export const facts = (ctx: FitContext, clearances: StandingFacts['clearances'] = []): StandingFacts => ({
	ctx,
	clearances,
	substitutes: () => samePurpose(squat, seat, Object.values(FAMILIES), ctx)
});
export const limit = (maxDeg: number) => ({
	protocolLimits: [{ axis: 'kneeFlexion' as const, side: 'right' as const, maxDeg }]
});
