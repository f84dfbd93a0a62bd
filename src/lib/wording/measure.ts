/** Readings, changes, symmetry and streams in words. */
import { METHODS } from '../catalogue/ranges.ts';
import type { Change } from '../core/measure/change.ts';
import type { Judged, TestSpec } from '../core/measure/function-test.ts';
import { adductorShare, fallsScreen, shortBattery, trunkImbalance } from '../core/measure/together.ts';
import { NO_NORM, type Reading } from '../core/measure/norm.ts';
import type { AngleAnswer } from '../core/measure/repetitions.ts';
import type { ForceAnswer } from '../core/measure/force-curve.ts';
import { sourceName } from './sources.ts';
import type { UsualValue } from '../core/measure/range-kind.ts';

const CLASS: Readonly<Record<string, string>> = {
	'below-average': 'below average',
	'not-below-average': 'not below average',
	average: 'average',
	'above-average': 'above average',
	'at-risk': 'at risk',
	'not-at-risk': 'not at risk',
	'worse-than-average': 'worse than average',
	'not-worse-than-average': 'not worse than average',
	'further-assessment': 'falls assessment advised',
	low: 'low',
	'not-low': 'not low',
	'not-good': 'not good',
	'better-than-the-mean': 'better than the mean',
	'worse-than-the-mean': 'worse than the mean',
	'at-the-mean': 'at the mean',
	'freely-mobile': 'freely mobile',
	'mostly-independent': 'mostly independent',
	'needs-help': 'needs help',
	'not-certain': 'not certainly safe',
	[NO_NORM]: 'no norm'
};
const WHY: Readonly<Record<string, string>> = {
	age: 'for this age',
	'sex-unknown': 'without the sex',
	'not-derived': 'until all its numbers are there'
};

export const classWord = (c: string): string => CLASS[c] ?? c.replaceAll('-', ' ');

/** `below average: against 10 (CDC STEADI; community, 60–94)`. */
export function readingText(r: Reading): string {
	if (r.class === NO_NORM) return `no norm ${WHY[r.why ?? ''] ?? ''} (${sourceName(r.source)})`;
	const against =
		r.against === null
			? ''
			: `, against ${typeof r.against === 'number' ? round(r.against) : `${r.against[0]}–${r.against[1]}`}`;
	return `${classWord(r.class)}${against} (${sourceName(r.source)}; ${r.population})${r.note === undefined ? '' : `; ${r.note}`}`;
}

/** The first source that speaks of this person; else why none does. */
export const firstReading = (readings: readonly Reading[]): Reading | undefined =>
	readings.find((r) => r.class !== NO_NORM) ?? readings[0];

const DERIVED: Readonly<Record<string, readonly [label: string, unit: string, digits: number]>> = {
	speed: ['speed', 'm/s', 2],
	points: ['points', 'of 4', 0],
	power: ['power up', 'W', 0],
	predicted: ['predicted', 'm', 0],
	percentOfPredicted: ['of predicted', '%', 0],
	torque: ['torque', 'N·m', 0],
	torquePerKg: ['', 'N·m/kg', 2],
	bodyWeightPercent: ['of body weight', '%', 0],
	composite: ['composite', '% of limb', 1]
};
export const derivedText = (d: Readonly<Record<string, number>>): string =>
	Object.entries(d)
		.flatMap(([k, v]) => {
			const shown = DERIVED[k];
			return shown === undefined ? [] : [`${shown[0]} ${v.toFixed(shown[2])} ${shown[1]}`.trim()];
		})
		.join(' · ');

const round = (n: number): number => Math.round(n * 100) / 100;
const SHARE = { all: 'yes', some: 'by some sources', none: 'no', 'no-rule': 'no published value' } as const;

/** `+3 since 11: beyond error yes; matters by some sources`. */
export function changeText(c: Change, from: number, unit: string): string {
	if (c.direction === 'same') return `same as ${round(from)}`;
	const counts =
		c.rules.length === 0
			? 'no published change value'
			: `beyond error ${SHARE[c.beyondError]}, matters ${SHARE[c.matters]}`;
	return `${c.direction} by ${round(Math.abs(c.gain))} ${unit} since ${round(from)}: ${counts}`;
}

export const usualText = (values: readonly UsualValue[]): string =>
	values
		.map(
			(u) =>
				`${u.value}° ${sourceName(u.source)}${u.sex === undefined ? '' : `, ${u.sex}`}${u.ages === undefined ? '' : ` ${u.ages[0]}–${u.ages[1]}`}`
		)
		.join('; ');

const CANNOT: Readonly<Record<string, (value: number, limit: number) => string>> = {
	'too-short': (v, l) => `only ${v.toFixed(1)} s of stream; at least ${l} s are needed`,
	'broken-off': (v) => `the stream broke off after ${v.toFixed(1)} s, before a movement was finished`,
	'lost-packets': (v, l) =>
		`${Math.round(100 * v)} % of the packets were lost; up to ${Math.round(100 * l)} % can be bridged`,
	gap: (v, l) => `a gap of ${v.toFixed(2)} s; up to ${l} s can be bridged`,
	'too-noisy': (v, l) => `noise of ${v.toFixed(1)} against at most ${l.toFixed(1)} for this movement`,
	'no-movement': (v, l) => `nothing moved by ${l}° and back (it moved ${v.toFixed(1)}°)`,
	'no-push': (v, l) => `no push: ${v.toFixed(0)} N, at least ${l} N`
};

/** "From 0° to 35° off upright: 35° between the two holds, ± 5° by this method." */
export const holdsText = (r: {
	readonly startDeg: number;
	readonly endDeg: number;
	readonly apartDeg: number;
}): string =>
	[
		`From ${Math.round(r.startDeg)}° to ${Math.round(r.endDeg)}° off upright:`,
		`${Math.round(r.apartDeg)}° between the two holds, ± ${METHODS.phone.errorDeg}° by this method.`
	].join(' ');

export const cannotText = (a: Extract<AngleAnswer | ForceAnswer, { kind: 'cannot-tell' }>): string =>
	`Cannot tell: ${CANNOT[a.why]?.(a.value, a.limit) ?? a.why}.`;

export function movementText(a: Extract<AngleAnswer, { kind: 'movement' }>): string {
	const m = a.movement;
	const n = m.repetitions.length;
	return `${n} ${n === 1 ? 'repetition' : 'repetitions'} to ${Math.round(m.peakDeg)}° ± 2; down ${m.downSec.toFixed(1)} s, pause ${m.pauseSec.toFixed(1)}, up ${m.upSec.toFixed(1)}; alike within ${m.consistencyDeg.toFixed(1)}°${n >= 3 ? `, drop-off ${Math.round(m.dropOffPercent)} %` : ''}.${a.cutShort ? ' The stream ended in the middle of a movement, which is not counted.' : ''}`;
}

export const forceText = (a: Extract<ForceAnswer, { kind: 'force' }>): string =>
	`peak ${Math.round(a.peakN)} N; ${a.steadyN === null ? 'no steady part of two seconds' : `steady ${Math.round(a.steadyN)} N`}`;

const SIGN = {
	'flexion-over-extension': 'front holds longer than back',
	'sides-differ': 'sides more than 5 % apart',
	'side-over-extension': 'side over three quarters of back'
} as const;

/** What the tests on a sheet say together, by id and side (`side-bridge.left`). */
export function togetherText(
	value: (id: string, side?: 'left' | 'right') => number | undefined,
	extra: (id: string, extra: string) => number | undefined,
	classOf: (id: string, norm: string) => string | undefined
): readonly string[] {
	const out: string[] = [];
	const of = <K extends string>(o: Readonly<Record<K, number | string | undefined>>) =>
		Object.fromEntries(Object.entries(o).filter(([, v]) => v !== undefined));
	const falls = fallsScreen(
		of({
			chairStand: classOf('chair-stand-30s', 'chair-stand-cut'),
			upAndGo: classOf('timed-up-and-go', 'up-and-go-12'),
			tandem: classOf('four-stage-balance', 'tandem-10')
		})
	);
	if (falls.answer === 'falls-pathway')
		out.push(
			`Falls screen: ${falls.positive.length} of ${falls.taken} at risk (${falls.positive.join(', ').replaceAll('-', ' ')}). Falls pathway by local policy; support in reach (${sourceName('cdc-steadi')}).`
		);
	const battery = shortBattery(
		of({
			sideBySideSec: extra('four-stage-balance', 'sideBySide'),
			semiTandemSec: extra('four-stage-balance', 'semiTandem'),
			tandemSec: value('four-stage-balance'),
			gaitSec: value('gait-4m'),
			chairSec: value('sit-to-stand-5x')
		})
	);
	if (battery !== undefined)
		out.push(
			`Short battery: ${battery.total} of 12${battery.poor ? ', poor' : ''} (guralnik-1994, ewgsop2-2019).`
		);
	const trunk = trunkImbalance(
		of({
			backSec: value('trunk-back'),
			frontSec: value('trunk-front'),
			leftSec: value('side-bridge', 'left'),
			rightSec: value('side-bridge', 'right')
		})
	);
	for (const t of trunk)
		out.push(`Trunk: ${SIGN[t.sign]}, ${t.ratio.toFixed(2)} (mcgill-low-back, a suggestion).`);
	for (const side of ['left', 'right'] as const) {
		const share = adductorShare(
			value('strength-hip-adduction', side) ?? 0,
			value('strength-hip-abduction', side) ?? 0
		);
		if (share !== undefined)
			out.push(
				`Hip ${side}: in ${Math.round(share.percent)} % of out${share.low ? ', under 80' : ''} (tyler-2001).`
			);
	}
	return out;
}

/** The line under a test's fields. */
export function judgedText(spec: TestSpec, j: Judged): string {
	const first = firstReading(j.readings);
	const more = derivedText(j.derived);
	return [
		...(first === undefined
			? spec.norms.length === 0 && more === ''
				? ['no norm; compare over time']
				: []
			: [readingText(first)]),
		...(more === '' ? [] : [more])
	].join(' · ');
}
