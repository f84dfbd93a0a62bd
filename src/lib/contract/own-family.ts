/**
 * A practice's own family as data: the same shape the catalogue is written in, strict, so that a misspelt key is named. JSON in, JSON out;
 * a file holds one family or a list of them, all or nothing.
 */
import { z } from 'zod';
import { AXES } from '#lib/core/body/axis.ts';
import { MUSCLES } from '#lib/core/body/muscle.ts';
import { DIALS, type Dial } from '#lib/core/exercise/dial.ts';
import {
	CAUSES,
	CLEARANCES,
	COUNTS,
	EQUIPMENT,
	PURPOSES,
	TAGS,
	type ExerciseFamily
} from '#lib/core/exercise/family.ts';
import { otherEndOf } from '#lib/core/exercise/family.ts';
import { LOAD_PLACES, STANCES, TECHNIQUES } from '#lib/core/posture/problem.ts';
import { type Length, lengthKind } from '#lib/core/movement/set-up-length.ts';
import { placeIn, readList, type ReadFault } from './read-list.ts';
import { asks, choice, dials, line, n, ownId, pose, stepId, usually } from './own-parts.ts';

const length = (of: Length) => n(...lengthKind(of).possible);
const load = z.strictObject({ kg: n(0, 300), at: z.enum(LOAD_PLACES) }).exactOptional();
const technique = z.enum(TECHNIQUES).exactOptional();
const legs = z.union([z.literal(1), z.literal(2)]);

const depth = z.union([
	z.strictObject({ thighDeg: length('thighDeg') }),
	z.strictObject({ seatCm: length('seatCm') }),
	z.strictObject({ kneeFlexionDeg: n(5, 150) })
]);
const posture = z.discriminatedUnion('movement', [
	z.strictObject({
		movement: z.enum(['squat', 'sit-to-stand']),
		stance: z.enum(STANCES),
		depth,
		adjust: z.enum(['seat', 'depth']),
		heelWedgeCm: n(0, 10).exactOptional(),
		toeOutDeg: n(0, 45).exactOptional(),
		load,
		technique,
		everyday: z.boolean().exactOptional(),
		momentum: z.literal('swing').exactOptional()
	}),
	z.strictObject({ movement: z.literal('step-up'), stepCm: length('stepCm'), load }),
	z.strictObject({
		movement: z.literal('step-down'),
		stepCm: length('stepCm'),
		freeLegDeg: n(0, 45),
		heelWedgeCm: n(0, 10).exactOptional(),
		load
	}),
	z.strictObject({
		movement: z.literal('lateral-step-up'),
		stepCm: length('stepCm'),
		heelWedgeCm: n(0, 10).exactOptional(),
		load
	}),
	z.strictObject({
		movement: z.literal('split-squat'),
		thighDeg: length('thighDeg').exactOptional(),
		stride: n(0.2, 0.7).exactOptional(),
		frontElevationCm: n(0, 30).exactOptional(),
		load,
		technique
	}),
	z.strictObject({
		movement: z.literal('hinge'),
		handleCm: length('handleCm'),
		scales: z.literal(true).exactOptional(),
		close: z.union([
			z.strictObject({ kneeDeg: n(0, 120) }),
			z.strictObject({ shankDeg: n(-20, 45) }),
			z.strictObject({ leanDeg: n(0, 100) })
		]),
		bar: z.enum(['hang', 'midfoot']).exactOptional(),
		oneLeg: z.literal(true).exactOptional(),
		load
	}),
	z.strictObject({
		movement: z.literal('bridge'),
		kneeDeg: n(10, 130),
		legs,
		shoulderCm: n(20, 60).exactOptional(),
		scales: z.literal(true).exactOptional(),
		footCm: n(0, 60).exactOptional(),
		load
	}),
	z.strictObject({
		movement: z.literal('knee-extension'),
		fromDeg: n(0, 120),
		toDeg: n(0, 120),
		by: z.enum(['limb', 'cuff', 'machine']),
		load
	}),
	z.strictObject({
		movement: z.literal('leg-press'),
		sledCm: length('sledCm'),
		railDeg: n(0, 60),
		backDeg: n(-10, 80),
		legs,
		load
	}),
	z.strictObject({
		movement: z.literal('heel-raise'),
		pitchDeg: n(0, 60),
		legs,
		kneeDeg: n(0, 90).exactOptional(),
		dropDeg: n(0, 40).exactOptional(),
		load
	}),
	z.strictObject({
		movement: z.literal('pose'),
		from: pose,
		to: pose,
		oneSided: z.literal(true).exactOptional(),
		load,
		asks: asks.optional()
	})
]);

const shownGate = z.discriminatedUnion('kind', [
	z.strictObject({
		kind: z.literal('clean-reps'),
		step: stepId,
		sets: z.int().min(1).max(10),
		reps: z.int().min(1).max(100)
	}),
	z.strictObject({
		kind: z.literal('easy-reps'),
		step: stepId,
		reps: z.int().min(1).max(100),
		effortMax: n(0, 10)
	}),
	z.strictObject({ kind: z.literal('held'), step: stepId, sec: z.int().min(1).max(300) }),
	z.strictObject({ kind: z.literal('mastered'), step: stepId }),
	z.strictObject({ kind: z.literal('sides-within'), step: stepId, share: n(0.05, 1) }),
	z.strictObject({ kind: z.literal('fault-free'), step: stepId, fault: stepId }),
	z.strictObject({
		kind: z.literal('felt'),
		step: stepId,
		muscle: z.enum(MUSCLES).exactOptional(),
		jointFree: z.literal(true).exactOptional()
	}),
	z.strictObject({ kind: z.literal('pain-at-most'), step: stepId, most: n(0, 10).exactOptional() }),
	z.strictObject({ kind: z.literal('confidence'), step: stepId, least: n(0, 10) })
]);
const gate = z.union([
	shownGate,
	z.strictObject({ kind: z.literal('any-of'), gates: z.array(shownGate).min(2).max(6) }),
	z.strictObject({ kind: z.literal('clearance'), what: z.enum(CLEARANCES) }),
	z.strictObject({ kind: z.literal('technique'), technique: z.enum(TECHNIQUES) })
]);

const dose = z.strictObject({ sets: z.int().min(1).max(10), reps: z.int().min(1).max(180) });
const dial = z.enum(DIALS as readonly [Dial, ...Dial[]]);
const equipment = z.enum(EQUIPMENT);

const someAxes = z.array(z.enum(AXES)).max(AXES.length);
const needs = z
	.strictObject({
		working: asks,
		other: asks,
		end: someAxes,
		otherEnd: someAxes.exactOptional(),
		bothEnd: z.boolean().exactOptional(),
		scales: someAxes
	})
	.transform(({ bothEnd, otherEnd, ...n }) => ({
		...n,
		otherEnd: [...otherEndOf({ ...n, otherEnd, bothEnd })]
	}));

const step = z.strictObject({
	id: ownId,
	title: line(80),
	short: line(16),
	what: line(400),
	dials,
	posture,
	drawn: z.strictObject({ from: pose, to: pose }).exactOptional(),
	gates: z.array(gate).max(8),
	usualDose: z.strictObject({ start: dose, target: dose }),
	usually: usually.exactOptional(),
	counts: z.enum(COUNTS).exactOptional(),
	easier: ownId.nullable(),
	back: z
		.array(
			z.strictObject({
				to: stepId,
				for: z.array(z.enum(CAUSES)).min(1).exactOptional(),
				technique,
				frontOfKnee: z.boolean().exactOptional()
			})
		)
		.max(8)
		.exactOptional(),
	next: z.array(z.strictObject({ to: ownId, dial })).max(8),
	choices: z.array(choice).max(8).exactOptional(),
	tags: z.array(z.enum(TAGS)).max(16),
	equipment: z
		.array(z.union([equipment, z.array(equipment).min(1)]))
		.max(8)
		.exactOptional(),
	serves: z.array(z.enum(PURPOSES)).min(1).max(8).exactOptional(),
	cautions: z.array(line(300)).max(6),
	faults: z.array(stepId).min(1).max(16),
	faultsUntaught: z.array(stepId).max(16).exactOptional(),
	cues: z.array(line(120)).min(2).max(3).exactOptional(),
	tempo: z.tuple([n(0, 10), n(0, 60), n(0, 10)]).exactOptional(),
	sources: z.array(z.string().max(60)).min(1).max(6),
	endsAbove: n(0, 10).exactOptional(),
	liesOn: z.enum(['own', 'other']).exactOptional(),
	onBed: z.boolean().exactOptional(),
	needs: needs.exactOptional(),
	retired: z.strictObject({ replacedBy: stepId.nullable() }).exactOptional()
});

const fault = z.strictObject({
	id: stepId,
	title: line(60),
	seenFrom: line(120),
	dial: z.union([dial, z.enum(['cue', 'dose'])]),
	cause: z.enum(CAUSES).default('form'),
	techniques: z.array(z.enum([...TECHNIQUES, 'ordinary'])).exactOptional()
});
const cues = z.array(line(120)).min(2).max(3);

export const ownFamily = z.strictObject({
	id: ownId,
	title: line(60),
	purposes: z.array(z.enum(PURPOSES)).min(1).max(8),
	steps: z.array(step).min(1).max(60),
	faults: z.array(fault).max(40),
	cues: z.strictObject({
		ordinary: cues,
		...Object.fromEntries(TECHNIQUES.map((t) => [t, cues.exactOptional()]))
	}),
	cautions: z.array(line(300)).max(6)
});

export type Read =
	| { readonly ok: true; readonly families: readonly ExerciseFamily[] }
	| { readonly ok: false; readonly faults: readonly ReadFault[] };

/** Reads a file of one family or a list; every family must hold, or none is taken. */
export function readFamilies(file: string): Read {
	const read = readList<ExerciseFamily>(file, ownFamily, ['family', 'families'], placeIn('steps'));
	return read.ok ? { ok: true, families: read.list } : read;
}
