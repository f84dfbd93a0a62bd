/** Simulated devices as streams of JSON lines at their own pace: an inclinometer, a force gauge, a stopwatch pedal. */
import { PROTOCOL, UNIT, type DeviceLine, type Quantity, type Simulation } from '#lib/contract/device.ts';
import { seeded } from '#lib/core/base/random.ts';
import { angleStream, forceStream, pedalStream, type Faults } from '#lib/core/measure/simulated-device.ts';
import type { Stream } from '#lib/core/measure/stream.ts';

export const DEVICES = [
	{ id: 'sim-inclinometer', name: 'Digital inclinometer (simulated)', quantity: 'angle' },
	{ id: 'sim-gauge', name: 'Force gauge (simulated)', quantity: 'force' },
	{ id: 'sim-pedal', name: 'Stopwatch pedal (simulated)', quantity: 'press' }
] as const satisfies readonly { readonly id: string; readonly name: string; readonly quantity: Quantity }[];

export const deviceNamed = (id: string) => DEVICES.find((d) => d.id === id);

const ORDINARY: Faults = { noise: 0.4, driftPerMin: 1.5, lostShare: 0.02 };

/** What the device would measure: `about` degrees or newtons, or seconds between two presses. */
function acted(quantity: Quantity, s: Simulation): Stream {
	const random = seeded(s.seed);
	const faults = s.breaks === 'noise' ? { ...ORDINARY, noise: 9 } : ORDINARY;
	const near = s.about * (0.98 + 0.04 * random());
	if (quantity === 'angle')
		return angleStream(
			{
				reps: 3,
				startDeg: Math.min(3, near / 4),
				peakDeg: near,
				downSec: 1.8,
				pauseSec: 0.7,
				upSec: 1.5,
				restSec: 0.8,
				painAtDeg: 0.88 * near,
				profile: 'minimum-jerk'
			},
			faults,
			s.seed
		);
	if (quantity === 'force')
		return forceStream(
			{ peakN: near, steadyN: 0.93 * near, riseSec: 1.2, holdSec: 3.2 },
			{ ...faults, noise: near / 100 },
			s.seed
		);
	return pedalStream([1.2, 1.2 + near]);
}

function linesOf(
	device: (typeof DEVICES)[number],
	s: Simulation
): { readonly atMs: number; readonly line: DeviceLine }[] {
	const stream = acted(device.quantity, s);
	const all = [
		...stream.samples.map((x) => ({ atMs: x.tMs, line: { n: x.n, t: x.tMs, v: x.value } as DeviceLine })),
		...stream.marks.map((m) => ({ atMs: m.tMs, line: { mark: m.kind, t: m.tMs } as DeviceLine }))
	].sort((a, b) => a.atMs - b.atMs);
	const hello = {
		atMs: 0,
		line: {
			hello: {
				protocol: PROTOCOL,
				device: device.id,
				quantity: device.quantity,
				unit: UNIT[device.quantity],
				hz: stream.hz
			}
		} as DeviceLine
	};
	// A device that breaks off in the middle of its first movement says no end.
	if (s.breaks === 'middle') return [hello, ...all.filter((l) => l.atMs < 2400)];
	return [
		hello,
		...all,
		{ atMs: all[all.length - 1]?.atMs ?? 0, line: { end: { samples: stream.samples.length } } }
	];
}

const TICK_MS = 100;

/** Sends the lines at the pace asked for, a tenth of a second at a time; stops when nobody listens any more. */
export function deviceStream(device: (typeof DEVICES)[number], s: Simulation): ReadableStream<Uint8Array> {
	const lines = linesOf(device, s);
	const text = new TextEncoder();
	let at = 0;
	let clock = 0;
	let timer: ReturnType<typeof setInterval> | undefined;
	return new ReadableStream({
		start(controller) {
			timer = setInterval(() => {
				clock += TICK_MS * s.pace;
				let out = '';
				while (at < lines.length && (lines[at]?.atMs ?? 0) <= clock)
					out += `${JSON.stringify(lines[at++]?.line)}\n`;
				if (out !== '') controller.enqueue(text.encode(out));
				if (at < lines.length) return;
				clearInterval(timer);
				controller.close();
			}, TICK_MS);
		},
		cancel: () => clearInterval(timer)
	});
}
