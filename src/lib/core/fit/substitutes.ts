/**
 * Another way of the same purpose: steps ranked by what they serve, then by what they load on the sore place, then by how close they are
 * to today's step. And a plan: for each purpose the hardest step that is open now.
 */
import type { Equipment, Purpose, Step, Tag } from '../exercise/family.ts';
import { servesOf } from '../exercise/family.ts';
import { DIALS, notchIndex, DIAL_NOTCHES } from '../exercise/dial.ts';
import { type BackWay, goesWith } from '../client/repeated.ts';
import { askedBy } from '../movement/of-step.ts';
import type { FitContext } from '../movement/context.ts';
import { setupFor } from './gentler.ts';
import { isOpen, type Candidate } from './open.ts';

/** What must be left alone today. */
export interface Avoid {
	readonly tags?: readonly Tag[];
	/** Taken by somebody else. */
	readonly busy?: readonly Equipment[];
	/** Sore place whose load is to stay low; knee, hip, back or ankle. */
	readonly sore?: 'knee' | 'hip' | 'back' | 'ankle';
	/** The way of bending that does a back good: steps that go it stand before their like, those that go the other way behind. */
	readonly prefers?: BackWay | null;
}

/** How hard a step's dials stand, 0 gentlest; a rough order for closeness, not a measure. @source practice-setting */
export const hardness = (step: Step): number =>
	DIALS.filter((d) => d !== 'position').reduce(
		(sum, d) => sum + notchIndex(step.dials, d) / (DIAL_NOTCHES[d].length - 1),
		0
	);

/** Relative moment on the sore place in N·m; null where the pose is not solved. */
export function loadOn(
	sore: NonNullable<Avoid['sore']>,
	{ step, fit }: Pick<Candidate, 'step' | 'fit'>,
	ctx: FitContext
): number | null {
	const value = askedBy(step, ctx, setupFor(step, fit, ctx.body)).moments[sore];
	return value === undefined ? null : Math.abs(value);
}

const needs = (step: Step, busy: readonly Equipment[]): boolean =>
	(step.equipment ?? []).some((any) =>
		(typeof any === 'string' ? [any] : any).every((e) => busy.includes(e))
	);

/** Free to be given today: fits, its gates are met, and nothing that is avoided is in it. */
export const isFree = (c: Candidate, avoid: Avoid): boolean =>
	isOpen(c) &&
	!c.step.tags.some((t) => avoid.tags?.includes(t) && !(t === 'floor-transfer' && c.fit.onBed)) &&
	!needs(c.step, avoid.busy ?? []);

export interface Substitute extends Candidate {
	/** Share of today's purposes that it serves. */
	readonly serves: number;
	readonly load: number | null;
	readonly distance: number;
}

/** Share of the wanted purposes that are served; the first, what the exercise is mainly for, counts twice. @source practice-setting */
function shareServed(wanted: readonly Purpose[], serves: readonly Purpose[]): number {
	const weight = (p: Purpose): number => (p === wanted[0] ? 2 : 1);
	return (
		wanted.filter((p) => serves.includes(p)).reduce((sum, p) => sum + weight(p), 0) / (wanted.length + 1)
	);
}

/** The nearest ways of the same purpose, best first; the step itself left out. */
export function substitutes(
	today: Candidate,
	all: readonly Candidate[],
	ctx: FitContext,
	avoid: Avoid = {},
	most = 5
): readonly Substitute[] {
	const wanted = servesOf(today.family, today.step);
	const level = hardness(today.step);
	const goes = (c: Candidate): number => goesWith(c.step.tags, avoid.prefers ?? null);
	const found = all
		.filter((c) => c.step.id !== today.step.id && isFree(c, avoid))
		.map((c): Substitute => {
			const serves = servesOf(c.family, c.step);
			return {
				...c,
				serves: shareServed(wanted, serves),
				load: avoid.sore === undefined ? null : loadOn(avoid.sore, c, ctx),
				distance: Math.abs(hardness(c.step) - level)
			};
		})
		.filter((s) => s.serves > 0);
	return found
		.sort(
			(a, b) =>
				Math.round((b.serves - a.serves) * 4) ||
				loadClass(a.load) - loadClass(b.load) ||
				goes(b) - goes(a) ||
				a.distance - b.distance
		)
		.slice(0, most);
}

/** Loads within 20 N·m are alike; a pose that is not solved counts as light. */
const loadClass = (load: number | null): number => (load === null ? 0 : Math.floor(load / 20));

export interface Planned {
	readonly purpose: Purpose;
	readonly pick: Candidate | null;
}

/** Where a client begins on a ladder: the step they are on, else the first free one in its order; never the hardest that fits. */
function startsFor(
	purpose: Purpose,
	free: readonly Candidate[],
	now: ReadonlySet<string>
): readonly Candidate[] {
	const first = new Map<string, Candidate>();
	for (const c of free) {
		if (!servesOf(c.family, c.step).includes(purpose)) continue;
		if (now.has(c.step.id) || !first.has(c.family.id)) first.set(c.family.id, c);
	}
	return [...first.values()];
}

/**
 * A plan to begin with: for each purpose the entry of a ladder that has it first, else of any that serves it; each step at most once. `now` are the
 * steps that are prescribed: where the client already is, the plan stays.
 */
export function planFor(
	purposes: readonly Purpose[],
	all: readonly Candidate[],
	avoid: Avoid = {},
	now: ReadonlySet<string> = new Set()
): readonly Planned[] {
	const used = new Set<string>();
	const free = all.filter((c) => isFree(c, avoid));
	const goes = (c: Candidate): number => goesWith(c.step.tags, avoid.prefers ?? null);
	return purposes.map((purpose): Planned => {
		const rank = (c: Candidate): number => Math.min(servesOf(c.family, c.step).indexOf(purpose), 2);
		const starts = startsFor(
			purpose,
			free.filter((c) => !used.has(c.step.id)),
			now
		);
		const pick =
			[...starts].sort(
				(a, b) =>
					rank(a) - rank(b) ||
					Number(now.has(b.step.id)) - Number(now.has(a.step.id)) ||
					goes(b) - goes(a) ||
					hardness(a.step) - hardness(b.step)
			)[0] ?? null;
		if (pick !== null) used.add(pick.step.id);
		return { purpose, pick };
	});
}
