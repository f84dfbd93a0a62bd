/** What is entered of a client, by kind; each can be taken out again with its reason. */
export const ENTRY_KINDS = [
	'range',
	'test',
	'total',
	'session',
	'morning',
	'event',
	'complaint',
	'goal',
	'operation',
	'limit',
	'arrival',
	'note',
	'contact',
	'story',
	'repeated',
	'attachment'
] as const;
export type EntryKind = (typeof ENTRY_KINDS)[number];
