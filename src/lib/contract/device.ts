/**
 * The open device protocol, version 1: JSON lines. First a hello, then samples `{n, t, v}` and marks, last an end. See
 * docs/device-protocol.md. A line that is not understood is refused by name; a stream without its end is incomplete.
 */
import { z } from 'zod';
import type { Mark, Sample, Stream } from '#lib/core/measure/stream.ts';

export const PROTOCOL = 'bolster-device/1';
export const QUANTITIES = ['angle', 'force', 'press'] as const;
export type Quantity = (typeof QUANTITIES)[number];
export const UNIT: Readonly<Record<Quantity, string>> = { angle: 'deg', force: 'N', press: '' };

const hello = z.strictObject({
	hello: z.strictObject({
		protocol: z.literal(PROTOCOL),
		device: z.string().max(60),
		quantity: z.enum(QUANTITIES),
		unit: z.string().max(8),
		hz: z.number().min(1).max(1000)
	})
});
const sample = z.strictObject({
	n: z.number().int().min(0),
	t: z.number().min(0),
	v: z.number().min(-10_000).max(10_000)
});
const mark = z.strictObject({ mark: z.enum(['pain', 'press']), t: z.number().min(0) });
const end = z.strictObject({ end: z.strictObject({ samples: z.number().int().min(0) }) });
export const deviceLine = z.union([hello, sample, mark, end]);
export type DeviceLine = z.infer<typeof deviceLine>;

/** Gathers lines into a stream. `take` answers what was wrong with a line, or nothing. */
export function gather(): {
	readonly take: (line: string) => string | undefined;
	readonly stream: () => Stream;
	readonly quantity: () => Quantity | undefined;
	readonly last: () => number | undefined;
} {
	let head: z.infer<typeof hello>['hello'] | undefined;
	const samples: Sample[] = [];
	const marks: Mark[] = [];
	let complete = false;
	return {
		take: (line) => {
			let value: unknown;
			try {
				value = JSON.parse(line);
			} catch {
				return 'The device sent a line that is not JSON.';
			}
			const parsed = deviceLine.safeParse(value);
			if (!parsed.success) return `The device sent a line that protocol ${PROTOCOL} does not know.`;
			const l = parsed.data;
			if ('hello' in l) head = l.hello;
			else if (head === undefined) return 'The device sent values before saying what it is.';
			else if ('n' in l) {
				if ((samples[samples.length - 1]?.n ?? -1) >= l.n) return undefined; // A repeated or late packet: the first one stands.
				samples.push({ n: l.n, tMs: l.t, value: l.v });
			} else if ('mark' in l) marks.push({ tMs: l.t, kind: l.mark });
			else complete = true;
			return undefined;
		},
		stream: () => ({ hz: head?.hz ?? 50, samples, marks, complete }),
		quantity: () => head?.quantity,
		last: () => samples[samples.length - 1]?.value
	};
}

/** What a simulated device is asked to act out; bounded, since it comes in a URL. */
export const simulationQuery = z.object({
	about: z.coerce.number().min(-60).max(700).default(90),
	seed: z.coerce.number().int().min(0).max(4_294_967_295).default(1),
	pace: z.coerce.number().min(1).max(50).default(1),
	breaks: z.enum(['', 'middle', 'noise']).default('')
});
export type Simulation = z.infer<typeof simulationQuery>;
