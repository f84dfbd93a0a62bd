/** Random whole clients for properties: body, ranges, protocols, flags, positions, an exercise of any ladder with a history. No database. */
import fc from 'fast-check';
import { FAMILIES } from '#lib/catalogue/families.ts';
import { POLICIES } from '#lib/catalogue/policies.ts';
import { SCREENING } from '#lib/catalogue/screening.ts';
import { addDays } from '#lib/core/base/calendar-day.ts';
import { bodyOf } from '#lib/core/body/body.ts';
import { SIDES, type Side } from '#lib/core/body/axis.ts';
import type { ProtocolWhen } from '#lib/core/client/envelope.ts';
import type { Phase } from '#lib/core/client/protocol.ts';
import { EQUIPMENT, POSITIONS, type Clearance, type Position } from '#lib/core/exercise/family.ts';
import { setupFor } from '#lib/core/fit/gentler.ts';
import { fitStep } from '#lib/core/fit/fit.ts';
import { lengthIn } from '#lib/core/movement/context.ts';
import type { LimitAxis } from '#lib/core/client/protocol.ts';
import type { RangeId } from '#lib/core/measure/range-kind.ts';
import type { Session } from '#lib/core/session/record.ts';
import type { ClientRecord } from '#lib/server/record/load.ts';
import { fitContextOf } from '#lib/server/record/fit-of.ts';
import type { Limit } from '#lib/server/repo/client-repo.ts';
import type { Exercise, Prescription } from '#lib/server/repo/exercise-repo.ts';
import type { Measurement } from '#lib/server/repo/sheet-repo.ts';

export const TODAY = '2026-03-20';
const START = '2026-02-20';
const ID = (n: number): string => `0190b6c5-7a60-7000-8000-${String(n).padStart(12, '0')}`;

const STEPS = Object.values(FAMILIES).flatMap((f) => f.steps.map((s) => ({ family: f, step: s })));

export interface Spec {
	readonly step: number;
	readonly side: Side;
	readonly heightCm: number;
	readonly ranges: Readonly<
		Record<'knee' | 'fold' | 'ankle' | 'raise' | 'back' | 'toe' | 'turn' | 'bow', number>
	>;
	readonly measured: readonly boolean[];
	readonly limits: readonly {
		readonly axis: LimitAxis;
		readonly side: Side;
		readonly maxDeg?: number;
		readonly minDeg?: number;
		readonly when: ProtocolWhen;
		readonly day: number;
	}[];
	readonly phase: { readonly weightBearing: Phase['weightBearing']; readonly highestLoadKg: number } | null;
	readonly cautions: readonly string[];
	readonly positions: Readonly<Partial<Record<Position, 'yes' | 'no' | 'unknown'>>>;
	readonly clearances: readonly Clearance[];
	readonly lacks: readonly (typeof EQUIPMENT)[number][];
	/** How much harder or gentler than solved the set-up stands, in notches. */
	readonly off: number;
	readonly loadKg: number;
	readonly complete: boolean;
	readonly bad: 'none' | 'pain' | 'morning' | 'fault';
	readonly faults: readonly string[];
}

const AXIS: Readonly<Record<keyof Spec['ranges'], RangeId>> = {
	knee: 'kneeFlexion',
	fold: 'thighTrunkFlexion',
	ankle: 'weightBearingDorsiflexion',
	raise: 'straightLegRaise',
	back: 'hipExtension',
	toe: 'bigToeExtension',
	turn: 'hipExternalRotation',
	bow: 'forwardBow'
};
const LIMITED: readonly LimitAxis[] = [
	'kneeFlexion',
	'kneeExtension',
	'thighTrunkFlexion',
	'hipFlexion',
	'hipExtension',
	'hipAdduction',
	'hipInternalRotation',
	'hipExternalRotation',
	'forwardBow',
	'spineFlexion',
	'weightBearingDorsiflexion',
	'bigToeExtension',
	'straightLegRaise'
];
const CAUTIONS = SCREENING.filter(
	(c) =>
		c.withhold !== undefined ||
		c.cap !== undefined ||
		c.support !== undefined ||
		c.noWeight === true ||
		c.withholdUntil !== undefined
).map((c) => c.id);

export const limitSpec: fc.Arbitrary<Spec['limits'][number]> = fc
	.record({
		axis: fc.constantFrom(...LIMITED),
		side: fc.constantFrom(...SIDES),
		deg: fc.integer({ min: 0, max: 130 }),
		when: fc.constantFrom<ProtocolWhen>('always', 'always', 'loaded', 'open-chain', 'weight-bearing'),
		day: fc.integer({ min: 0, max: 20 })
	})
	.map(({ deg, ...l }) => ({
		...l,
		...(l.axis === 'kneeExtension' ? { maxDeg: -Math.round(deg / 8) } : { maxDeg: deg })
	}));

export const specs: fc.Arbitrary<Spec> = fc.record({
	step: fc.integer({ min: 0, max: STEPS.length - 1 }),
	side: fc.constantFrom(...SIDES),
	heightCm: fc.integer({ min: 150, max: 195 }),
	ranges: fc.record({
		knee: fc.integer({ min: 60, max: 145 }),
		fold: fc.integer({ min: 70, max: 145 }),
		ankle: fc.integer({ min: 8, max: 42 }),
		raise: fc.integer({ min: 40, max: 90 }),
		back: fc.integer({ min: -5, max: 20 }),
		toe: fc.integer({ min: 20, max: 75 }),
		turn: fc.integer({ min: 0, max: 50 }),
		bow: fc.integer({ min: 5, max: 110 })
	}),
	measured: fc.array(fc.boolean(), { minLength: 8, maxLength: 8 }).map((m) => m.map((x, i) => x || i < 2)),
	limits: fc.array(limitSpec, { maxLength: 2 }),
	phase: fc.option(
		fc.record({
			weightBearing: fc.constantFrom<Phase['weightBearing']>('none', 'partial', 'full', 'full'),
			highestLoadKg: fc.constantFrom(2, 5, 20)
		}),
		{ nil: null, freq: 3 }
	),
	cautions: fc.subarray(CAUTIONS, { maxLength: 2 }),
	positions: fc.record(
		Object.fromEntries(
			POSITIONS.map((p) => [p, fc.constantFrom('yes', 'yes', 'yes', 'no', 'unknown' as const)])
		)
	) as fc.Arbitrary<Spec['positions']>,
	clearances: fc.subarray(['impact', 'machine-extension', 'loaded-spine'] as Clearance[]),
	lacks: fc.subarray([...EQUIPMENT], { maxLength: 3 }),
	off: fc.integer({ min: -2, max: 3 }),
	loadKg: fc.constantFrom(0, 4, 8, 16),
	complete: fc.boolean(),
	bad: fc.constantFrom('none', 'none', 'pain', 'morning', 'fault'),
	faults: fc.constant([])
});

const NOTCH: Readonly<Record<string, number>> = { cm: 4, deg: 8 };

/** The whole record of a spec; `sign`: the region's side. */
export function clientOf(s: Spec): ClientRecord {
	const { family, step } = STEPS[s.step] as (typeof STEPS)[number];
	const body = bodyOf({ heightCm: s.heightCm, massKg: 70 });
	if (!body.ok) throw new Error('body');
	const region = `knee-${s.side}`;
	const measurements = (Object.keys(s.ranges) as (keyof Spec['ranges'])[]).flatMap(
		(key, i): Measurement[] => {
			if (s.measured[i] !== true) return [];
			const value = s.ranges[key];
			return SIDES.map((side) => ({
				id: ID(900 + i),
				clientId: ID(1),
				axis: AXIS[key],
				side,
				onset: value - 5,
				tolerable: value,
				end: value + 5,
				pain: 3,
				day: '2026-03-10',
				method: 'goniometer',
				rawCm: null,
				loaded: false,
				stop: null
			}));
		}
	);
	const limits = s.limits.map(({ day, ...l }, i): Limit => ({
		...l,
		id: ID(800 + i),
		source: 'letter',
		reviewOn: null,
		since: addDays(TODAY, -day)
	}));
	const phases: readonly Phase[] =
		s.phase === null ? [] : [{ fromWeek: 0, toWeek: null, windows: [], forbidden: [], ...s.phase }];
	const base: ClientRecord = {
		head: {
			id: ID(1),
			tz: 'UTC',
			course: null,
			link: null,
			openedOn: START,
			name: 'Random Client',
			born: '1970-01-01',
			occupation: null,
			sex: null,
			setting: {
				id: ID(2),
				technique: null,
				policyId: 'pain-monitored',
				policyVersion: '1',
				heightCm: s.heightCm,
				massKg: 70,
				shankCm: null,
				thighCm: null,
				homeHeights: { seats: [], steps: [] },
				trunkCm: null,
				footCm: null,
				shoeHeelCm: null,
				frontOfKnee: false,
				goal: null,
				usual: { [region]: { intake: 1 } },
				units: 'metric',
				language: 'en',
				homeKit: [],
				days: [],
				minutes: null,
				positions: s.positions,
				clearances: s.clearances,
				brace: 'tuned'
			},
			screening: { date: '2026-03-01', complete: true, answers: {} },
			flags: s.cautions.map((code, i) => ({
				id: ID(700 + i),
				code,
				region: null,
				severity: 'caution',
				urgency: 'caution',
				day: START,
				open: true,
				closedOn: null,
				closing: null
			})),
			surgery:
				s.phase === null
					? []
					: [
							{
								id: ID(600),
								region,
								date: START,
								operation: null,
								limitsEntered: true,
								noLimits: null,
								enteredOn: START,
								protocol: { id: ID(601), source: 'letter', reviewOn: null, phases }
							}
						],
			known: [],
			stories: [],
			repeated: [],
			leftOut: [],
			planOrder: null,
			week: null,
			arrivals: [],
			limits
		},
		body: body.value,
		policy: POLICIES['pain-monitored'],
		measurements,
		exercises: [],
		everGiven: [],
		logs: [],
		tests: [],
		told: [],
		mornings: Array.from({ length: 14 }, (_, i) => ({
			date: addDays(TODAY, i - 13),
			region,
			pain: i === 13 && s.bad === 'morning' ? 4 : 1,
			swelling: 'none' as const
		})),
		checkins: new Map(),
		events: [],
		room: {
			furniture: { seats: [40, 45, 50], pads: [{ cm: 3, count: 2 }], wedges: [2, 4] },
			weights: [2, 4, 8, 16].map((kg) => ({ kg, count: 1 })),
			weightsKg: [2, 4, 8, 16],
			equipment: EQUIPMENT.filter((e) => !s.lacks.includes(e)),
			delegations: [],
			practice: { screeningWeeks: null, retestWeeks: null, trainerSigns: 'delegated' },
			own: [],
			courses: [],
			bands: []
		},
		families: FAMILIES
	};
	const ctx = fitContextOf(base, TODAY, s.side);
	const solved = setupFor(step, fitStep(step, ctx), ctx.body);
	const length = lengthIn(solved);
	const setup =
		length === null
			? solved
			: {
					...solved,
					[length.of]: Math.max(2, length.value + s.off * length.harder * (NOTCH[length.unit] ?? 4))
				};
	const { target, start } = step.usualDose;
	const dose = {
		school: 'sets-first' as const,
		...(s.complete ? target : start),
		target,
		loadKg: step.posture.load === undefined ? 0 : s.loadKg
	};
	const prescription: Prescription = {
		id: ID(400),
		day: '2026-03-08',
		step: step.id,
		dose,
		setup,
		snapshot: { title: step.title, what: '', cues: [], cautions: [], faults: [], catalogue: '' },
		state: 'active',
		kind: 'start',
		replaces: null,
		restores: null,
		decisionId: null,
		passedOver: [],
		reason: null,
		particulars: {}
	};
	const exercise: Exercise = {
		id: ID(300),
		clientId: ID(1),
		family: family.id,
		region,
		side: s.side,
		purpose: family.purposes[0] ?? 'thigh-front',
		prescriptions: [prescription]
	};
	const fault = step.faults[0];
	const session = (date: string): Session => ({
		date,
		observed: true,
		prescribed: { sets: dose.sets, reps: dose.reps, loadKg: dose.loadKg },
		sets: Array.from({ length: dose.sets }, () => ({ reps: dose.reps, effort: 5, cleanReps: dose.reps })),
		pains: [{ region, before: 1, peak: s.bad === 'pain' ? 6 : 1, after: 1 }],
		...(s.bad === 'pain' ? { painAt: 'late' as const } : {}),
		symptoms: [],
		faults: s.bad === 'fault' && fault !== undefined ? { [fault]: 0.6 } : {},
		soreness: 1,
		confidence: 8
	});
	return {
		...base,
		exercises: [exercise],
		everGiven: [exercise],
		logs: ['2026-03-14', '2026-03-16', '2026-03-18'].map((day, i) => ({
			id: ID(200 + i),
			clientId: ID(1),
			exerciseId: exercise.id,
			prescriptionId: prescription.id,
			visitId: ID(100 + i),
			writtenBy: ID(9),
			session: session(day)
		}))
	};
}

/** A client with nothing in the way: free ranges, no limit, no caution, no bad day. */
export const PLAIN: Spec = {
	...(fc.sample(specs, { seed: 3, numRuns: 1 })[0] as Spec),
	step: 0,
	limits: [],
	phase: null,
	cautions: [],
	lacks: [],
	off: 0,
	bad: 'none',
	measured: [true, true, true, true, true, true, true, true],
	ranges: { knee: 140, fold: 140, ankle: 40, raise: 80, back: 15, toe: 65, turn: 40, bow: 110 }
};
