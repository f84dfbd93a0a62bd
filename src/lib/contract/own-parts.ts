/** Parts that own families are written of: figures, dials, and what can be set inside a step. */
import { z } from 'zod';
import { AXES, type Axis } from '#lib/core/body/axis.ts';
import { DIAL_NOTCHES, DIALS, type Dial } from '#lib/core/exercise/dial.ts';
import { EQUIPMENT, TAGS } from '#lib/core/exercise/family.ts';
import { LOAD_PLACES } from '#lib/core/posture/problem.ts';
import { POSE_PROPS } from '#lib/core/figure/key-pose.ts';
import { text } from './basics.ts';

export const line = (max: number) => text(max).refine((s) => s !== '', 'Something is needed here.');
export const n = (low: number, high: number) => z.number().min(low).max(high);
/** Own ids never meet a catalogue id, today's or tomorrow's. */
export const ownId = z
	.string()
	.regex(
		/^own-[a-z0-9]+(-[a-z0-9]+)*$/,
		'An id of your own begins with “own-”, then small letters, digits and hyphens: own-sofa-rise.'
	)
	.max(60);
export const stepId = z
	.string()
	.regex(/^[a-z0-9]+(-[a-z0-9]+)*$/, 'A step id is small letters, digits and hyphens.')
	.max(60);
export const direction = n(-360, 360);
const leg = z.strictObject({
	thigh: direction,
	shank: direction,
	foot: direction.exactOptional(),
	short: z.tuple([n(0.1, 1), n(0.1, 1)]).exactOptional()
});
export const pose = z.strictObject({
	view: z.literal('front').exactOptional(),
	trunk: direction,
	near: leg,
	far: leg.exactOptional(),
	arm: direction.exactOptional(),
	forearm: direction.exactOptional(),
	head: direction.exactOptional(),
	seatCm: n(20, 90).exactOptional(),
	raisedCm: n(0, 60).exactOptional(),
	props: z.array(z.enum(POSE_PROPS)).max(6).exactOptional()
});

export const asks = z.partialRecord(z.enum(AXES), n(-30, 165)) as unknown as z.ZodType<
	Partial<Record<Axis, number>>
>;
export const dials = z.strictObject(
	Object.fromEntries(
		DIALS.map((d) => [
			d,
			z.enum(DIAL_NOTCHES[d] as unknown as readonly [string, ...string[]]).exactOptional()
		])
	)
);
const choiceId = z
	.string()
	.regex(/^[a-z0-9]+([.-][a-z0-9]+)*$/, 'Small letters, digits, points and hyphens.')
	.max(30);
const limbs = pose.pick({ arm: true, forearm: true, trunk: true, props: true }).partial();
const place = z.strictObject({
	id: choiceId,
	title: line(40),
	posture: z.record(z.string().max(30), n(-360, 360)).exactOptional(),
	pose: limbs
		.extend({
			trunk: direction.exactOptional(),
			thigh: direction.exactOptional(),
			shank: direction.exactOptional()
		})
		.exactOptional(),
	dials: dials.exactOptional(),
	tags: z.array(z.enum(TAGS)).max(8).exactOptional(),
	without: z.array(z.enum(TAGS)).max(8).exactOptional(),
	kit: z
		.array(z.union([z.enum(EQUIPMENT), z.array(z.enum(EQUIPMENT)).min(1)]))
		.max(4)
		.exactOptional(),
	needs: asks.exactOptional(),
	loadAt: z.enum(LOAD_PLACES).exactOptional(),
	pauseSec: n(0, 60).exactOptional(),
	seat: z
		.strictObject({ below: n(0, 10).exactOptional(), behind: n(-20, 20).exactOptional() })
		.exactOptional(),
	feet: z
		.strictObject({ widths: n(0, 4).exactOptional(), outDeg: n(-30, 60).exactOptional() })
		.exactOptional()
});
export const choice = z.strictObject({
	id: choiceId,
	title: line(30),
	dial: z.enum(DIALS as readonly [Dial, ...Dial[]]),
	ranked: z.boolean(),
	of: z.array(place).min(1).max(8),
	usual: choiceId,
	before: z.enum(DIALS as readonly [Dial, ...Dial[]]).exactOptional()
});

/** How a dose is done besides sets and repetitions. */
export const usually = z.strictObject({
	holdSec: n(0, 300).exactOptional(),
	tempo: z
		.string()
		.regex(/^\d{1,2}-\d{1,2}-\d{1,2}-\d{1,2}$/, 'Tempo is four counts of seconds, such as 3-1-2-0.')
		.exactOptional(),
	restSec: n(0, 600).exactOptional(),
	workSec: n(5, 600).exactOptional(),
	effortPct: n(5, 100).exactOptional(),
	blockMin: n(1, 60).exactOptional(),
	daysPerWeek: z.int().min(1).max(7).exactOptional()
});
