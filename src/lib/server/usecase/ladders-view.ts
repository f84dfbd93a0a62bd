/** What the ladders of a client are drawn from: fit context, gates in words, what is prescribed where, what is at hand. */
import { stageBefore } from '../record/course-of.ts';
import type { Day } from '#lib/core/base/calendar-day.ts';
import type { Brace, Clearance, Equipment, ExerciseFamily, Gate } from '#lib/core/exercise/family.ts';
import { type Feared, fearedLadders } from '#lib/core/client/story.ts';
import { type BackPreference, preferenceOf } from '#lib/core/client/repeated.ts';
import type { FitContext } from '#lib/core/movement/context.ts';
import { gateAsks, gateText } from '#lib/wording/gates.ts';
import type { NowView } from '#lib/contract/plan-view.ts';
import { effectiveChain } from '../record/effective-chain.ts';
import { atHand, PLACES, type Place } from '../record/context-of.ts';
import { standingSentence } from '#lib/wording/safety.ts';
import type { Exercise } from '../repo/exercise-repo.ts';
import { fitContextOf, standingOf } from '../record/fit-of.ts';
import { gatesOf } from '../record/gates-of.ts';
import { shownOf } from '../record/shown-of.ts';
import { ownLaddersOf, regionsOf, treatsBack } from '../record/facts-of.ts';
import { oncePerDay } from '../record/found-once.ts';
import { heldBy } from '../record/held-by.ts';
import type { ClientRecord } from '../record/load.ts';

/** A gate in words: what it asks, and the same with what was shown so far. */
export interface GateView {
	readonly met: boolean;
	readonly gate: Gate;
	readonly asks: string;
	readonly text: string;
}

export interface LaddersView {
	readonly ctx: FitContext;
	readonly regions: readonly string[];
	readonly gates: Readonly<Record<string, readonly GateView[]>>;
	/** What is in the plan, in the order it was given. */
	readonly inPlan: readonly NowView[];
	/** What is prescribed, by family: the sorest region's, and of several of a region the farthest. */
	readonly now: Readonly<Record<string, NowView>>;
	readonly kit: Readonly<Record<Place, readonly Equipment[]>>;
	readonly frontOfKnee: boolean;
	readonly brace: Brace;
	/** The practice's own families, beside the catalogue's. */
	readonly own: readonly ExerciseFamily[];
	readonly clearances: readonly Clearance[];
	readonly treatsBack: boolean;
	/** Ladders that are feared, the least sure first. */
	readonly feared: readonly Feared[];
	/** Which way of bending does the leg good, and which sent pain further down. */
	readonly way: BackPreference;
	/** What holds prescribing for a region before any step is looked at. */
	readonly holds: Readonly<Record<string, string | null>>;
}

/** Made once a record and day: a page draws from it what it draws. */
export const laddersView = oncePerDay(laddersMade);

function laddersMade(r: ClientRecord, today: Day): LaddersView {
	const shown = shownOf(r);
	const inPlan = r.exercises.map((e): NowView => {
		const { head } = effectiveChain(e.prescriptions);
		return {
			exerciseId: e.id,
			family: e.family,
			title: head.snapshot.title,
			particulars: head.particulars,
			step: head.step,
			region: e.region,
			dose: head.dose,
			setup: head.setup,
			state: head.state,
			held: heldText(r, e, today)
		};
	});
	return {
		ctx: fitContextOf(r, today),
		regions: regionsOf(r),
		gates: Object.fromEntries(
			Object.values(r.families).flatMap((f) =>
				f.steps
					.filter((s) => s.gates.length > 0 || stageBefore(r, today, s.id) !== undefined)
					.map((s) => [
						s.id,
						gatesOf(r, s, today, shown).map((g) => ({
							met: g.met,
							gate: g.gate,
							asks: gateAsks(g.gate),
							text: gateText(g)
						}))
					])
			)
		),
		inPlan,
		now: farthestByFamily(r, inPlan),
		kit: Object.fromEntries(PLACES.map((p) => [p, atHand(r, p)])) as unknown as LaddersView['kit'],
		frontOfKnee: r.head.setting.frontOfKnee,
		brace: r.head.setting.brace,
		own: ownLaddersOf(r),
		clearances: r.head.setting.clearances,
		treatsBack: treatsBack(r),
		feared: fearedLadders(r.head.stories),
		way: preferenceOf(r.head.repeated, today),
		holds: Object.fromEntries(regionsOf(r).map((region) => [region, heldBy(r, region) ?? null]))
	};
}

/** What each step waits for first, in words: all that a row of a ladder says of its gates. */
export const firstUnmet = (
	gates: LaddersView['gates']
): Readonly<Record<string, Pick<GateView, 'asks' | 'text'>>> =>
	Object.fromEntries(
		Object.entries(gates).flatMap(([step, of]) => {
			const first = of.find((g) => !g.met);
			return first === undefined ? [] : [[step, { asks: first.asks, text: first.text }] as const];
		})
	);

/** One a family: of the sorest region, the farthest on the ladder. */
function farthestByFamily(r: ClientRecord, inPlan: readonly NowView[]): LaddersView['now'] {
	const regions = regionsOf(r);
	const out: Record<string, NowView> = {};
	for (const { id, steps } of Object.values(r.families)) {
		const at = (n: NowView): number => steps.findIndex((s) => s.id === n.step);
		const [first] = inPlan
			.filter((n) => n.family === id)
			.sort((a, b) => regions.indexOf(a.region) - regions.indexOf(b.region) || at(b) - at(a));
		if (first !== undefined) out[id] = first;
	}
	return out;
}

function heldText(r: ClientRecord, e: Exercise, today: Day): string | null {
	const stands = standingOf(r, e, today);
	return stands === null || stands.breaks.length === 0 ? null : standingSentence(stands);
}
