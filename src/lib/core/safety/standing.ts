/**
 * Standing work refitted: does what was prescribed still hold against what is known now?
 *
 * Asked every time it is read, by every page and command alike. A protocol limit, a tag withheld by a flag or a protocol, or a clearance
 * that is gone suspends the work: it is not in the day's list, runner and log do not offer it. A newer measurement that is short by more than
 * its method's real change is shown with its mend; less is watch. A position that is now not tolerated, or equipment that is gone, asks for a
 * swap. What a licensed user passed over with a reason stays passed over; a protocol limit is never passed over.
 *
 * The mend is the gentlest change that fits: the same step set up anew, a gentler notch of its ladder, a substitute of the same purpose, or
 * none.
 */
import type { Day } from '../base/calendar-day.ts';
import type { Axis, Side } from '../body/axis.ts';
import { asChosen, asHardChosen, asWritten, fartherChoice } from '../exercise/choice.ts';
import type { Clearance, ExerciseFamily, Position, Step, Tag } from '../exercise/family.ts';
import { lengthIn, type FitContext, type SolvedSetup } from '../movement/context.ts';
import { fitStep, shortAt, type StepFit } from '../fit/fit.ts';
import { type Limiting } from '../fit/shortages.ts';
import { setupFor } from '../fit/gentler.ts';
import { passes } from '../fit/open.ts';
import { usualSetup } from '../movement/of-step.ts';

export const BREAK_BY = ['protocol', 'flag', 'clearance', 'tolerated', 'position', 'equipment'] as const;
export type BreakBy = (typeof BREAK_BY)[number];

export interface Break {
	readonly by: BreakBy;
	readonly axis?: Axis;
	readonly side?: Side;
	readonly demandDeg?: number;
	readonly limitDeg?: number;
	/** What of the step is withheld. */
	readonly tag?: Tag | 'over-load';
	/** The flag that withholds it. */
	readonly flag?: string;
	readonly clearance?: Clearance;
	readonly position?: Position;
	readonly equipment?: string;
}

/** What the gentlest change that fits would prescribe. */
export interface Mend {
	readonly kind: 'set-up' | 'notch' | 'substitute';
	readonly family: string;
	readonly step: string;
	readonly setup: SolvedSetup;
	/** For a weight above what is allowed: the heaviest that is. */
	readonly loadKg?: number;
}

export const STANDING_VERDICTS = ['stands', 'watch', 'suspended', 'short', 'swap'] as const;
/**
 * stands; watch: closer than it was, inside what a method can tell; suspended: a protocol, a flag or a clearance holds it; short: a newer
 * measurement does; swap: a position or the room does.
 */
export type StandingVerdict = (typeof STANDING_VERDICTS)[number];

export interface Standing {
	readonly verdict: StandingVerdict;
	readonly breaks: readonly Break[];
	readonly mend: Mend | null;
}

/** What is prescribed, as far as it can break. */
export interface Prescribed {
	readonly family: ExerciseFamily;
	readonly step: Step;
	readonly setup: SolvedSetup | null;
	readonly loadKg: number;
	readonly since: Day;
	/** What a licensed user passed over with a reason when it was prescribed: keys of breaks (`breakKey`). */
	readonly passedOver?: readonly string[];
}

/** What standing is judged in, beside the fit: what the client is cleared for, and other ways of the same purpose, best first. */
export interface StandingFacts {
	readonly ctx: FitContext;
	readonly clearances: readonly Clearance[];
	/** Asked only where nothing of the own ladder mends it. */
	readonly substitutes: () => readonly {
		readonly family: string;
		readonly step: Step;
		readonly fit: StepFit;
	}[];
}

/** A break by what it is of, so that passing it over holds for this one and no other. */
export function breakKey(b: Break): string {
	switch (b.by) {
		case 'protocol':
			return `protocol:${b.tag ?? `${b.axis ?? ''}-${b.side ?? ''}`}`;
		case 'flag':
			return `flag:${b.flag ?? ''}:${b.tag ?? ''}`;
		case 'clearance':
			return `clearance:${b.clearance ?? ''}`;
		case 'tolerated':
			return 'tolerated';
		case 'position':
			return `position:${b.position ?? ''}`;
		case 'equipment':
			return `equipment:${b.equipment ?? ''}`;
	}
}

/** A change of a goniometer that is more than error. @source boone-1978 (from memory) */
const REAL_CHANGE = 6;
const HOLDS: ReadonlySet<BreakBy> = new Set<BreakBy>(['protocol', 'flag', 'clearance']);

/** Ranges that the set-up goes past, of a protocol or of a newer measurement. */
function rangeBreaks(
	p: Prescribed,
	ctx: FitContext
): { readonly breaks: readonly Break[]; readonly close: boolean } {
	const breaks: Break[] = [];
	let close = false;
	for (const l of shortAt(p.step, ctx, p.setup)) {
		if (l.by === 'protocol') breaks.push(breakOf(l));
		else if (newerAndShort(l, p, ctx)) breaks.push(breakOf(l));
		else close = true;
	}
	return { breaks, close };
}

const breakOf = (l: Limiting): Break => ({
	by: l.by,
	axis: l.axis,
	side: l.side,
	demandDeg: Math.round(l.demand),
	limitDeg: Math.round(l.limit)
});

/** Measured on the day it was given or later, not seen done since, and short by more than the method's real change. */
function newerAndShort(l: Limiting, p: Prescribed, ctx: FitContext): boolean {
	const known = ctx.envelope[l.axis]?.[l.side];
	if (known === undefined || known.date < p.since || (known.from ?? 'measured') !== 'measured') return false;
	const seen = (ctx.observed ?? []).some(
		(o) => o.step === p.step.id && o.date > known.date && asHard(o.setup, p, ctx)
	);
	return !seen && l.short > (known.realChangeDeg ?? REAL_CHANGE);
}

/** Was what was seen at least as hard as what is prescribed? A length of another kind says nothing of it. */
function asHard(seen: SolvedSetup, p: Prescribed, ctx: FitContext): boolean {
	if (!asHardChosen(asWritten(p.step), seen.chosen, p.step.chosen)) return false;
	const done = lengthIn(seen);
	const asked = lengthIn(p.setup) ?? lengthIn(usualSetup(p.step, ctx.body));
	if (done === null || asked === null) return true;
	return done.of === asked.of && (done.value - asked.value) * done.harder >= 0;
}

function otherBreaks(p: Prescribed, fit: StepFit, facts: StandingFacts): readonly Break[] {
	const out: Break[] = fit.withheld.map((w) =>
		w.because === 'protocol' ? { by: 'protocol', tag: w.tag } : { by: 'flag', tag: w.tag, flag: w.because }
	);
	const highest = facts.ctx.highestLoadKg;
	if (highest !== undefined && p.loadKg > highest && !out.some((b) => b.tag === 'over-load'))
		out.push({ by: 'protocol', tag: 'over-load', limitDeg: highest });
	for (const g of p.step.gates)
		if (g.kind === 'clearance' && !facts.clearances.includes(g.what))
			out.push({ by: 'clearance', clearance: g.what });
	for (const x of fit.positions) if (x.answer === 'no') out.push({ by: 'position', position: x.position });
	for (const any of fit.missing) out.push({ by: 'equipment', equipment: any.join('/') });
	return out;
}

/** With the step as its set-up chooses it. */
const asGiven = (p: Prescribed): Prescribed => ({ ...p, step: asChosen(p.step, p.setup?.chosen) });

/** The breaks of a prescription now, worst kind first; what was passed over is left out, but for a protocol. */
export function breaksOf(
	given: Prescribed,
	facts: StandingFacts
): { readonly breaks: readonly Break[]; readonly close: boolean } {
	const p = asGiven(given);
	const ranges = rangeBreaks(p, facts.ctx);
	const all = [...ranges.breaks, ...otherBreaks(p, fitStep(p.step, facts.ctx), facts)];
	const breaks = all
		.filter((b) => b.by === 'protocol' || p.passedOver?.includes(breakKey(b)) !== true)
		.sort((a, b) => BREAK_BY.indexOf(a.by) - BREAK_BY.indexOf(b.by));
	return { breaks, close: ranges.close };
}

function verdictOf(breaks: readonly Break[], close: boolean): StandingVerdict {
	if (breaks.some((b) => HOLDS.has(b.by))) return 'suspended';
	if (breaks.some((b) => b.by === 'tolerated')) return 'short';
	if (breaks.length > 0) return 'swap';
	return close ? 'watch' : 'stands';
}

/** Fits with nothing in its way, gates for a clearance included. */
export function fitsNow(step: Step, fit: StepFit, clearances: readonly Clearance[]): boolean {
	return passes(fit) && step.gates.every((g) => g.kind !== 'clearance' || clearances.includes(g.what));
}

/** Nothing of a target may break: neither the step nor the set-up it is given in. */
function targetFits(step: Step, setup: SolvedSetup, fit: StepFit, facts: StandingFacts): boolean {
	return fitsNow(step, fit, facts.clearances) && shortAt(step, facts.ctx, setup).length === 0;
}

/** The gentler steps of a ladder below one, nearest first. */
function below(family: ExerciseFamily, step: Step): readonly Step[] {
	const out: Step[] = [];
	for (let at: Step | undefined = step; at?.easier != null;) {
		const easier: Step | undefined = family.steps.find((s) => s.id === at?.easier);
		if (easier === undefined || out.includes(easier)) break;
		out.push(easier);
		at = easier;
	}
	return out;
}

export function mendOf(given: Prescribed, facts: StandingFacts): Mend | null {
	const p = asGiven(given);
	const over =
		facts.ctx.highestLoadKg !== undefined && p.loadKg > facts.ctx.highestLoadKg
			? { loadKg: facts.ctx.highestLoadKg }
			: {};
	// As it is chosen, else as it is usually given where that is no harder: what breaks may be only a place of a choice.
	const usual = asWritten(p.step);
	const ways = fartherChoice(usual, undefined, p.step.chosen) === undefined ? [p.step, usual] : [p.step];
	for (const step of new Set(ways)) {
		const same = fitStep(step, facts.ctx);
		const anew = setupFor(step, same, facts.ctx.body);
		const kept = step === p.step ? p.setup : unchosen(p.setup);
		const gentler = noHarder(anew, kept) ? anew : (kept ?? anew);
		if (targetFits(step, gentler, same, facts))
			return { kind: 'set-up', family: p.family.id, step: step.id, setup: gentler, ...over };
	}
	for (const step of below(p.family, p.step)) {
		const fit = fitStep(step, facts.ctx);
		const setup = setupFor(step, fit, facts.ctx.body);
		if (targetFits(step, setup, fit, facts))
			return { kind: 'notch', family: p.family.id, step: step.id, setup, ...over };
	}
	const givenIn = (s: { readonly step: Step; readonly fit: StepFit }): SolvedSetup =>
		setupFor(s.step, s.fit, facts.ctx.body);
	const other = facts.substitutes().find((s) => targetFits(s.step, givenIn(s), s.fit, facts));
	return other === undefined
		? null
		: { kind: 'substitute', family: other.family, step: other.step.id, setup: givenIn(other) };
}

/** The set-up without what was chosen, its wedge included: the step's own stands then. */
function unchosen(setup: SolvedSetup | null): SolvedSetup | null {
	const { chosen: _, heelWedgeCm: __, ...rest } = setup ?? {};
	return setup === null ? null : rest;
}

/** A mend never asks more than what stood. */
function noHarder(a: SolvedSetup, b: SolvedSetup | null): boolean {
	const [x, y] = [lengthIn(a), lengthIn(b)];
	return x === null || y === null || x.of !== y.of || (x.value - y.value) * x.harder <= 0;
}

export function standing(p: Prescribed, facts: StandingFacts): Standing {
	const { breaks, close } = breaksOf(p, facts);
	const verdict = verdictOf(breaks, close);
	return { verdict, breaks, mend: breaks.length === 0 ? null : mendOf(p, facts) };
}
