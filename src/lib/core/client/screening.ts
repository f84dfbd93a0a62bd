/**
 * Screening: categories asked in neutral words, answered yes, no or unknown. A yes becomes a flag with an urgency and an action,
 * never a diagnosis. Unknown is not no: a screening with an unanswered or unknown category is incomplete.
 */
import { addDays, type Day } from '../base/calendar-day.ts';
import type { Tag } from '../exercise/family.ts';

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

export const severityOf = (c: ScreenCategory): Severity => (c.urgency !== 'caution' ? 'red' : c.review === true ? 'review' : 'caution');

/** Flags of the categories answered yes, most urgent first. */
export function raisedFlags(categories: readonly ScreenCategory[], answers: ScreenAnswers): readonly RaisedFlag[] {
	return categories
		.filter((c) => answers[c.id] === 'yes' && c.asksProtocol !== true)
		.map((c) => ({ code: c.id, urgency: c.urgency, severity: severityOf(c) }))
		.sort((a, b) => URGENCIES.indexOf(a.urgency) - URGENCIES.indexOf(b.urgency));
}

/** Categories still to be asked: not answered, or answered unknown. Most urgent first. */
export function unanswered(categories: readonly ScreenCategory[], answers: ScreenAnswers): readonly ScreenCategory[] {
	return categories.filter((c) => answers[c.id] !== 'yes' && answers[c.id] !== 'no').sort((a, b) => URGENCIES.indexOf(a.urgency) - URGENCIES.indexOf(b.urgency));
}

export const isComplete = (categories: readonly ScreenCategory[], answers: ScreenAnswers): boolean => unanswered(categories, answers).length === 0;

/** The last day a screening counts. */
export const screenDue = (screened: Day, validDays: number): Day => addDays(screened, validDays);

export interface Withheld {
	readonly tag: Tag;
	readonly because: string;
}

/** Tags withheld by the flags that are open. */
export function withheldTags(categories: readonly ScreenCategory[], openCodes: readonly string[]): readonly Withheld[] {
	return categories.filter((c) => openCodes.includes(c.id)).flatMap((c) => (c.withhold ?? []).map((tag) => ({ tag, because: c.id })));
}
