/** What a client's page keeps and is answered, without what reads it: a phone does not need the readers. */
export const KINDS = ['session', 'morning', 'evening', 'symptoms', 'arrival'] as const;
export type Kind = (typeof KINDS)[number];

/** The contract of what is sent; older ones are still taken. */
export const OUTBOX_CONTRACT = 1;

/** What is answered at once. */
export interface Answered {
	readonly now: 'emergency' | 'stop-all' | 'stop-limb' | 'note' | null;
	readonly alarms: readonly string[];
	/** Regions that are closed today; `day` is all of it. */
	readonly closes: readonly string[] | 'day';
	readonly lighter: boolean;
}
export const NOTHING_SAID: Answered = { now: null, alarms: [], closes: [], lighter: false };
