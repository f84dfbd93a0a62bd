/**
 * Screening: categories asked in neutral words, answered yes, no or unknown. A yes becomes a flag with an urgency and an action,
 * never a diagnosis. Unknown is not no: a screening with an unanswered or unknown category is incomplete.
 */
import { addDays, type Day } from '../base/calendar-day.ts';
import type { Side } from '../body/axis.ts';
import type { Clearance, Tag } from '../exercise/family.ts';

/** Emergency outranks urgent, urgent outranks caution. */
export const URGENCIES = ['emergency', 'urgent', 'caution'] as const;
export type Urgency = (typeof URGENCIES)[number];

export const ANSWERS = ['yes', 'no', 'unknown'] as const;
export type ScreenAnswer = (typeof ANSWERS)[number];
export type ScreenAnswers = Readonly<Record<string, ScreenAnswer>>;

export interface ScreenCategory {
	readonly id: string;
	readonly urgency: Urgency;
	/** What the flag is called: what was reported, not what it may be. */
	readonly name: string;
	readonly ask: string;
	/** What to do and how soon, in one sentence. */
	readonly action: string;
	/** A caution that holds everything until somebody has looked at it. */
	readonly review?: true;
	/** Steps with these tags are withheld while the flag is open. */
	readonly withhold?: readonly Tag[];
	/** The same, until a licensed user clears the client for it. */
	readonly withholdUntil?: { readonly tags: readonly Tag[]; readonly clearance: Clearance };
	/** Kept, no heavier than today, with a cue. */
	readonly cap?: { readonly tags: readonly Tag[]; readonly cue: string };
	/** Kept, with a hand on something firm or what the cue says. */
	readonly support?: { readonly tags: readonly Tag[]; readonly cue: string };
	/** Nothing that takes weight on a leg, until its protocol says how much. */
	readonly noWeight?: true;
	/** It is about a side: what lies on, or crosses over, that side. */
	readonly sided?: true;
	/** Asks for the operation's own protocol instead of opening a flag. */
	readonly asksProtocol?: true;
	readonly sources: readonly string[];
}

export type Severity = 'red' | 'review' | 'caution';

export interface RaisedFlag {
	readonly code: string;
	readonly urgency: Urgency;
	readonly severity: Severity;
}

export const severityOf = (c: ScreenCategory): Severity =>
	c.urgency !== 'caution' ? 'red' : c.review === true ? 'review' : 'caution';

/** Flags of the categories answered yes, most urgent first. */
export function raisedFlags(
	categories: readonly ScreenCategory[],
	answers: ScreenAnswers
): readonly RaisedFlag[] {
	return categories
		.filter((c) => answers[c.id] === 'yes' && c.asksProtocol !== true)
		.map((c) => ({ code: c.id, urgency: c.urgency, severity: severityOf(c) }))
		.sort((a, b) => URGENCIES.indexOf(a.urgency) - URGENCIES.indexOf(b.urgency));
}

/** Categories still to be asked: not answered, or answered unknown. Most urgent first. */
export function unanswered(
	categories: readonly ScreenCategory[],
	answers: ScreenAnswers
): readonly ScreenCategory[] {
	return categories
		.filter((c) => answers[c.id] !== 'yes' && answers[c.id] !== 'no')
		.sort((a, b) => URGENCIES.indexOf(a.urgency) - URGENCIES.indexOf(b.urgency));
}

export const isComplete = (categories: readonly ScreenCategory[], answers: ScreenAnswers): boolean =>
	unanswered(categories, answers).length === 0;

/** The last day a screening counts. */
export const screenDue = (screened: Day, validDays: number): Day => addDays(screened, validDays);

export interface Withheld {
	/** `over-load` is a weight above what a protocol allows. */
	readonly tag: Tag | 'over-load';
	/** A category of the screening, or the protocol. */
	readonly because: string;
	/** Only where it is about this side; left out, whichever. */
	readonly side?: Side;
}

/** An open flag as far as steps are concerned. */
export interface Caution {
	readonly code: string;
	/** The sore side of a sided one; left out, both. */
	readonly side?: Side;
}

/** Tags withheld by the flags that are open, and not yet cleared for. */
export function withheldTags(
	categories: readonly ScreenCategory[],
	open: readonly Caution[],
	clearances: readonly Clearance[] = []
): readonly Withheld[] {
	return categories.flatMap((c): readonly Withheld[] => {
		const flag = open.find((o) => o.code === c.id);
		if (flag === undefined) return [];
		const until =
			c.withholdUntil === undefined || clearances.includes(c.withholdUntil.clearance)
				? []
				: c.withholdUntil.tags;
		const side = c.sided === true && flag.side !== undefined ? { side: flag.side } : {};
		return [...(c.withhold ?? []), ...until].map((tag) => ({ tag, because: c.id, ...side }));
	});
}

/** Legs on which nothing takes weight, by the flags that are open. */
export function withoutWeight(
	categories: readonly ScreenCategory[],
	open: readonly Caution[]
): readonly Side[] {
	const flags = open.filter((o) => categories.some((c) => c.id === o.code && c.noWeight === true));
	return [
		...new Set(flags.flatMap((f): readonly Side[] => (f.side === undefined ? ['left', 'right'] : [f.side])))
	];
}

/** What a caution asks of a step that it lets pass. */
export interface Eased {
	readonly tag: Tag;
	readonly effect: 'cap' | 'support';
	readonly because: string;
	readonly cue: string;
}

/** What open flags ask of the steps that they let pass: no heavier than today, or a hand on something firm. */
export const easedTags = (
	categories: readonly ScreenCategory[],
	open: readonly Caution[]
): readonly Eased[] =>
	categories
		.filter((c) => open.some((o) => o.code === c.id))
		.flatMap((c) => [
			...(c.cap?.tags ?? []).map((tag): Eased => ({
				tag,
				effect: 'cap',
				because: c.id,
				cue: c.cap?.cue ?? ''
			})),
			...(c.support?.tags ?? []).map((tag): Eased => ({
				tag,
				effect: 'support',
				because: c.id,
				cue: c.support?.cue ?? ''
			}))
		]);
