/**
 * Speed of the core and of the client page, printed with the machine's name. Rates are medians of several rounds; the general
 * minimiser beside it solves the same posture problem in the same run, so that the ratio travels from machine to machine.
 */
import { cpus, hostname } from 'node:os';

import { FUNCTION_TESTS } from '#lib/catalogue/function-tests.ts';
import { POLICIES } from '#lib/catalogue/policies.ts';
import { FAMILIES } from '#lib/catalogue/families.ts';
import { addDays } from '#lib/core/base/calendar-day.ts';
import { bodyOf } from '#lib/core/body/body.ts';
import { decide } from '#lib/core/decision/decide.ts';
import { judge } from '#lib/core/decision/judge.ts';
import { fitRulesOf } from '#lib/core/decision/policy.ts';
import type { ExerciseFamily } from '#lib/core/exercise/family.ts';
import type { FitContext } from '#lib/core/movement/context.ts';
import { fitFamily } from '#lib/core/fit/fit.ts';
import { EQUIPMENT, type Step } from '#lib/core/exercise/family.ts';
import { search, searchIndex } from '#lib/core/exercise/search.ts';
import { fitStep, fitSteps, shortAt } from '#lib/core/fit/fit.ts';
import { setupFor } from '#lib/core/fit/gentler.ts';
import { pictureOf } from '#lib/core/fit/picture.ts';
import { placesThatFit } from '#lib/core/fit/places.ts';
import { bridge } from '#lib/core/posture/bridge.ts';
import { heelRaise } from '#lib/core/posture/heel-raise.ts';
import { hinge } from '#lib/core/posture/hinge.ts';
import {
	bridgeFeet,
	deepestSled,
	highestStep,
	highestStepDown,
	lowestHandle,
	lowestSplitSquat
} from '#lib/core/posture/inverse-movements.ts';
import { legPress } from '#lib/core/posture/leg-press.ts';
import { splitSquat } from '#lib/core/posture/split-squat.ts';
import { stepDown } from '#lib/core/posture/step-down.ts';
import { stepUp } from '#lib/core/posture/step-up.ts';
import { samePurpose } from '#lib/core/safety/same-purpose.ts';
import { standing } from '#lib/core/safety/standing.ts';
import { judgeTest } from '#lib/core/measure/function-test.ts';
import { repetitionsIn } from '#lib/core/measure/repetitions.ts';
import { angleStream } from '#lib/core/measure/simulated-device.ts';
import { bandOf } from '#lib/core/posture/band.ts';
import { chainOf } from '#lib/core/posture/chain.ts';
import { lowestSeat } from '#lib/core/posture/inverse.ts';
import { lowestSeatInBand } from '#lib/core/posture/inverse-in-band.ts';
import { newPose, solvePose } from '#lib/core/posture/pose.ts';
import { posture } from '#lib/core/posture/posture.ts';
import { TECHNIQUES, type Stand } from '#lib/core/posture/problem.ts';
import { minimise } from '../tests/minimiser.ts';
import { mornings, record, session } from '../tests/records.ts';

const b = bodyOf({ heightCm: 168, massKg: 70 });
if (!b.ok) throw new Error('body');
const body = b.value;
const limits = { kneeFlexionDeg: 80, weightBearingDorsiflexionDeg: 22, thighTrunkFlexionDeg: 95 };

/** Median seconds a call over rounds of at least 150 ms. */
function seconds(work: (i: number) => unknown): number {
	const rounds: number[] = [];
	let sink = 0;
	for (let r = 0; r < 7; r++) {
		const start = performance.now();
		let n = 0;
		while (performance.now() - start < 150) for (let k = 0; k < 20; k++) if (work(n++) === null) sink++;
		rounds.push((performance.now() - start) / 1000 / n);
	}
	if (sink > 1e12) console.log(sink);
	return rounds.sort((x, y) => x - y)[3] as number;
}

const rows: [what: string, value: string, target: string, good: boolean][] = [];
const rate = (what: string, s: number, least: number): void =>
	void rows.push([
		what,
		`${Math.round(1 / s).toLocaleString('en')} /s`,
		`≥ ${least.toLocaleString('en')} /s`,
		1 / s >= least
	]);
const time = (what: string, s: number, most: number): void =>
	void rows.push([what, `${(1000 * s).toFixed(3)} ms`, `≤ ${most} ms`, 1000 * s <= most]);

const seats = Array.from({ length: 64 }, (_, i) => 38 + (i * 30) / 64);
rate(
	'squat forward, written out',
	seconds((i) =>
		posture({
			body,
			movement: 'squat',
			technique: TECHNIQUES[i & 3] ?? 'parallel',
			depth: { thighDeg: 40 + (i % 60) },
			limits
		})
	),
	200_000
);
rate(
	'sit-to-stand forward, written out',
	seconds((i) => posture({ body, movement: 'sit-to-stand', depth: { seatCm: seats[i & 63] ?? 46 }, limits })),
	200_000
);
const chain = chainOf({ body, movement: 'squat', technique: 'parallel', limits }, false);
const pose = newPose();
rate(
	'squat pose only (inside a walk)',
	seconds((i) => solvePose(chain, pose, 'thigh', 0.6 + (i % 60) / 60)),
	200_000
);
const stands: Stand[] = [
	...TECHNIQUES.map((technique): Stand => ({
		body,
		movement: 'sit-to-stand',
		technique,
		limits,
		marginDeg: 5
	})),
	{ body, movement: 'sit-to-stand', limits: { kneeFlexionDeg: 80, thighTrunkFlexionDeg: 100 } }
];
rate(
	'lowest seat',
	seconds((i) => lowestSeat(stands[i % 5] as Stand)),
	5000
);
time(
	'band of 200 samples, lowest seat',
	seconds(() => bandOf(stands[1] as Stand, (s) => lowestSeatInBand(s))),
	50
);

const side = (deg: number) => ({
	painFree: deg - 10,
	tolerable: deg,
	end: deg + 10,
	date: '2026-03-01',
	loaded: false
});
const pair = (deg: number) => ({ left: side(deg), right: side(deg) });
const contexts = [95, 105, 120].map((knee): FitContext => ({
	body,
	rules: fitRulesOf(POLICIES['pain-monitored']),
	today: '2026-03-06',
	envelope: { kneeFlexion: pair(knee), thighTrunkFlexion: pair(120), weightBearingDorsiflexion: pair(34) },
	furniture: {
		seats: [40, 45, 52],
		pads: [
			{ cm: 3, count: 3 },
			{ cm: 5, count: 2 }
		]
	}
}));
time(
	'the squat ladder’s fit for a client',
	seconds((i) => fitFamily(FAMILIES.squat as ExerciseFamily, { ...(contexts[i % 3] as FitContext) })),
	1
);

const ALL_STEPS = Object.values(FAMILIES).flatMap((f) => f.steps);
const wide = [80, 100, 140].map((knee): FitContext => ({
	...(contexts[0] as FitContext),
	equipment: EQUIPMENT,
	positions: {},
	envelope: {
		kneeFlexion: pair(knee),
		thighTrunkFlexion: pair(118),
		weightBearingDorsiflexion: pair(30),
		straightLegRaise: pair(70),
		hipExtension: pair(15),
		bigToeExtension: pair(60)
	}
}));
time(
	`the whole catalogue’s fit, ${ALL_STEPS.length} steps`,
	seconds((i) => fitSteps(ALL_STEPS, { ...(wide[i % 3] as FitContext) })),
	5
);
const CHOOSING = ALL_STEPS.filter((s) => s.choices?.some((c) => c.ranked) === true);
time(
	`the places of ${CHOOSING.length} steps that fit, and the best of each`,
	seconds((i) => CHOOSING.map((s) => placesThatFit(s, { ...(wide[i % 3] as FitContext) }))),
	20
);
rate(
	'step-up forward',
	seconds((i) => stepUp({ body, stepCm: 8 + (i % 24), limits })),
	50_000
);
rate(
	'step-down forward',
	seconds((i) => stepDown({ body, stepCm: 6 + (i % 20), limits })),
	50_000
);
rate(
	'split squat forward',
	seconds((i) => splitSquat({ body, strideCm: 60 + (i % 20), limits })),
	50_000
);
rate(
	'hinge forward',
	seconds((i) => hinge({ body, handleCm: 35 + (i % 25), close: { kneeDeg: 20 }, limits })),
	50_000
);
rate(
	'bridge forward, feet for a knee',
	seconds((i) => bridge({ body, kneeDeg: 60 + (i % 50) })),
	50_000
);
rate(
	'leg press forward',
	seconds((i) => legPress({ body, sledCm: 50 + (i % 28), loadKg: 60, limits })),
	50_000
);
rate(
	'heel raise forward',
	seconds((i) => heelRaise({ body, pitchDeg: i % 40 })),
	50_000
);
const bounds = [
	{ ...limits, straightLegRaiseDeg: 60 },
	{
		kneeFlexionDeg: 110,
		weightBearingDorsiflexionDeg: 34,
		thighTrunkFlexionDeg: 115,
		straightLegRaiseDeg: 75
	}
] as const;
const bound = (i: number) => bounds[i & 1] ?? bounds[0];
rate(
	'highest step',
	seconds((i) => highestStep({ body, limits: bound(i) })),
	5000
);
rate(
	'highest step-down',
	seconds((i) => highestStepDown({ body, limits: bound(i) })),
	5000
);
rate(
	'lowest handle',
	seconds((i) => lowestHandle({ body, limits: bound(i) })),
	5000
);
rate(
	'deepest sled',
	seconds((i) => deepestSled({ body, limits: bound(i) })),
	5000
);
rate(
	'lowest split squat',
	seconds((i) => lowestSplitSquat({ body, limits: bound(i) })),
	5000
);
rate(
	'feet of a bridge',
	seconds((i) => bridgeFeet({ body, limits: bound(i) })),
	5000
);
time(
	'from a dial to a picture: verdict, demand, figure',
	seconds((i) => {
		const s = ALL_STEPS[i % ALL_STEPS.length] as Step;
		const ctx = { ...(wide[2] as FitContext) };
		const setup = setupFor(s, fitStep(s, ctx), ctx.body);
		return [shortAt(s, ctx, setup), pictureOf(s, ctx, setup).at(1)];
	}),
	50
);
const many = searchIndex(
	Array.from({ length: Math.ceil(1000 / ALL_STEPS.length) }, () => Object.values(FAMILIES)).flat()
);
time(
	`search in ${many.length} steps`,
	seconds((i) => search(many, ['one leg', 'stairs band', 'hinge', 'z', 'buttock'][i % 5] as string)),
	50
);

// A client of three prescriptions; one client in ten has a window that breaks the seat, and its mend is looked for.
const seatOf = {
	family: FAMILIES.squat as ExerciseFamily,
	step: (FAMILIES.squat as ExerciseFamily).steps.find((s) => s.id === 'standard-seat') as Step,
	setup: { seatCm: 52 },
	loadKg: 0,
	since: '2026-03-02'
};
const others = (['bridge', 'step'] as const).map((id) => ({
	family: FAMILIES[id] as ExerciseFamily,
	step: (FAMILIES[id] as ExerciseFamily).steps[0] as Step,
	setup: null,
	loadKg: 0,
	since: '2026-03-02'
}));
rate(
	'standing of a client’s three exercises, one in ten broken',
	seconds((i) => {
		const ctx: FitContext = {
			...(wide[1 + (i % 2)] as FitContext),
			protocolLimits: i % 10 === 0 ? [{ axis: 'kneeFlexion', side: 'right', maxDeg: 80 }] : []
		};
		return [seatOf, ...others].map((p) =>
			standing(p, {
				ctx,
				clearances: [],
				substitutes: () => samePurpose(p.family, p.step, Object.values(FAMILIES), ctx)
			})
		);
	}),
	2000
);

const weeks = record({
	sessions: Array.from({ length: 36 }, (_, i) =>
		session(addDays('2026-03-18', -84 + Math.round((i * 84) / 36)))
	).concat(session('2026-03-18')),
	mornings: mornings(addDays('2026-03-20', -84), 85, 2),
	changes: [{ date: '2026-03-10', kind: 'start' }]
});
const tenMinutes = angleStream(
	{ reps: 110, startDeg: 5, peakDeg: 95, downSec: 2, pauseSec: 0.5, upSec: 2, restSec: 0.95 },
	{ noise: 0.5, driftPerMin: 1, lostShare: 0.02 },
	1
);
time(
	'ten minutes of angle at 50 Hz analysed',
	seconds(() => repetitionsIn(tenMinutes)),
	200
);
const who = { age: 72, sex: 'female' as const, heightCm: 165, massKg: 68 };
time(
	'every function test against its norms',
	seconds((i) => FUNCTION_TESTS.map((t) => judgeTest(t, t.possible[0] + (i % 7), {}, who))),
	1
);

time(
	'judge, 12 weeks of history',
	seconds(() => judge(weeks)),
	1
);
time(
	'decide with nearest flip, 12 weeks',
	seconds(() => decide(weeks)),
	10
);

/** The same problem for a general minimiser: shank and trunk of a parallel squat to a given thigh, by penalties. */
function byMinimiser(thighDeg: number): number {
	const theta = (thighDeg * Math.PI) / 180;
	const c = chain;
	const u = c.upper;
	const com = (shank: number, trunk: number): number => {
		const knee = c.ankleX + body.shankM * Math.sin(shank);
		const thigh = body.thighM * Math.sin(theta);
		const lower =
			c.footKg * c.footX +
			c.shankKg * (c.ankleX + 0.567 * body.shankM * Math.sin(shank)) +
			c.thighKg * (knee - 0.567 * thigh) +
			u.massKg * (knee - thigh) +
			u.offsetKgM;
		return (lower + u.alongKgM * Math.sin(trunk) + u.aheadKgM * Math.cos(trunk)) / c.totalKg;
	};
	const f = ([shank = 0, trunk = 0]: number[]): number =>
		1e4 * (com(shank, trunk) - c.targetX) ** 2 + (shank - trunk) ** 2;
	return (minimise(f, [0.4, 0.4], 1, 1e-7)[0] ?? NaN) * (180 / Math.PI);
}
const own = posture({ body, movement: 'squat', technique: 'parallel', depth: { thighDeg: 80 } }).angles.shank;
const other = byMinimiser(80);
const mine = seconds((i) =>
	posture({ body, movement: 'squat', technique: 'parallel', depth: { thighDeg: 60 + (i % 40) } })
);
const general = seconds((i) => byMinimiser(60 + (i % 40)));
rows.push([
	'the same squat by the general minimiser',
	`${Math.round(1 / general).toLocaleString('en')} /s`,
	`ours is ${(general / mine).toFixed(0)}× as fast; shank ${own.toFixed(2)}° against ${other.toFixed(2)}°`,
	Math.abs(own - other) < 0.1
]);

console.log(
	`\n${hostname()} · ${cpus()[0]?.model.trim()} · ${cpus().length} cores · Node ${process.version}\n`
);
for (const [what, value, target, good] of rows)
	console.log(`${good ? 'ok  ' : 'MISS'} ${what.padEnd(42)} ${value.padStart(14)}   ${target}`);
