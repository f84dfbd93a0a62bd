/** Protocols in words: where in its weeks a client is, what a phase allows, a limit. */
import { RANGES } from '../catalogue/ranges.ts';
import type { ProtocolWhen } from '../core/client/envelope.ts';
import type { EnteredLimit, Phase, PhaseNow, WeightBearing } from '../core/client/protocol.ts';
import { shortDay } from './days.ts';
import { sideWord } from './names.ts';
import { kgText } from './units.ts';

export const WEIGHT_NAME: Readonly<Record<WeightBearing, string>> = {
	none: 'none',
	touch: 'touching only',
	partial: 'part of it',
	'as-tolerated': 'as tolerated',
	full: 'full'
};
export const WHEN_NAME: Readonly<Record<ProtocolWhen, string>> = {
	always: 'always',
	loaded: 'loaded work',
	'open-chain': 'with the foot free',
	'weight-bearing': 'with weight on'
};

/** "week 5 of 12, phase 2, until 3 April" */
export function phaseText(n: PhaseNow): string {
	const of = n.lastWeek === null ? '' : ` of ${n.lastWeek}`;
	const phase = n.phase === null ? 'before its first phase' : `phase ${n.phase}`;
	const until =
		n.until === null ? '' : `, ${n.overdue === null ? 'until' : 'was until'} ${shortDay(n.until)}`;
	return `week ${n.week}${of}, ${phase}${until}${n.overdue === null ? '' : `; phase ${n.overdue} waits to be confirmed`}`;
}

/** "right knee bend 0° to 70°, loaded work" */
export function limitText({ axis, side, minDeg, maxDeg, when = 'always' }: EnteredLimit): string {
	const range =
		minDeg === undefined
			? `to ${maxDeg}°`
			: maxDeg === undefined
				? `from ${minDeg}°`
				: `${minDeg}° to ${maxDeg}°`;
	return `${RANGES[axis].midline === true ? RANGES[axis].name : `${sideWord(side)} ${RANGES[axis].name.toLowerCase()}`} ${range}${when === 'always' ? '' : `, ${WHEN_NAME[when]}`}`;
}

/** Windows on the same movement of the same leg as the strictest of them. */
function strictest(windows: readonly EnteredLimit[]): readonly EnteredLimit[] {
	const out = new Map<string, EnteredLimit>();
	for (const w of windows) {
		const key = `${w.axis} ${w.side} ${w.when ?? 'always'}`;
		const so = out.get(key);
		const min = Math.max(so?.minDeg ?? -Infinity, w.minDeg ?? -Infinity);
		const max = Math.min(so?.maxDeg ?? Infinity, w.maxDeg ?? Infinity);
		out.set(key, {
			...w,
			...(min === -Infinity ? {} : { minDeg: min }),
			...(max === Infinity ? {} : { maxDeg: max })
		});
	}
	return [...out.values()];
}

/** ". Holds: right knee bend to 100°; weight none": what keeps a client from moving as they please; empty where nothing does. */
export function holdsText(phases: readonly Phase[]): string {
	const windows = strictest(phases.flatMap((p) => p.windows)).map((w) => limitText(w).toLowerCase());
	const said = phases.flatMap((p) => [
		...(p.weightBearing === 'none' || p.weightBearing === 'touch' || p.weightBearing === 'partial'
			? [`weight ${WEIGHT_NAME[p.weightBearing]}`]
			: []),
		...(p.highestLoadKg === undefined ? [] : [`at most ${kgText(p.highestLoadKg)}`])
	]);
	return windows.length + said.length === 0 ? '' : `. Holds: ${[...windows, ...new Set(said)].join('; ')}`;
}

/** A phase in one line. */
export function phaseWords(p: Phase): string {
	return [
		`weeks ${p.fromWeek + 1}${p.toWeek === null ? ' on' : ` to ${p.toWeek}`}`,
		`weight ${WEIGHT_NAME[p.weightBearing]}${p.partialKg === undefined ? '' : ` (${kgText(p.partialKg)})`}`,
		...p.windows.map((w) => limitText(w).toLowerCase()),
		...(p.highestLoadKg === undefined ? [] : [`at most ${kgText(p.highestLoadKg)}`]),
		...(p.brace === undefined ? [] : [`brace: ${p.brace}`]),
		...(p.forbidden.length === 0 ? [] : [`not: ${p.forbidden.map((t) => t.replaceAll('-', ' ')).join(', ')}`])
	].join('; ');
}
