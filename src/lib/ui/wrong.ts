/** What a refused form says of each of its fields; every refusal at once, each beside its field. */
/** What a page is given back of a form, whatever of its actions it was. */
export type Answered = Readonly<Record<string, unknown>> | null | undefined;

export interface Refusals {
	readonly all?: Readonly<Record<string, string>>;
	readonly message?: string;
}

/** A refusal as parts of a page take it: the first thing, and everything by its field. */
export interface Wrong {
	readonly field: string;
	readonly message: string;
	readonly all: Readonly<Record<string, string>>;
}

/** The refusal of a form, if it was refused. */
export function wrongOf(form: unknown): Wrong | undefined {
	const { field, message, all } = (form ?? {}) as Partial<Wrong>;
	return all === undefined ? undefined : { field: field ?? '', message: message ?? '', all };
}

/** What is wrong with the first field under a name: of a row that shows one refusal for all of its fields. */
export const wrongUnder = (wrong: Wrong | undefined, name: string): string | undefined =>
	Object.entries(wrong?.all ?? {}).find(([field]) => field.startsWith(name))?.[1];

/** Of a field, what is wrong with it. */
export const wrongAt =
	(form: unknown): ((name: string) => string | undefined) =>
	(name) =>
		(form as Refusals | null)?.all?.[name];

/** What the notice says of a refusal: the first thing that is wrong, and how many more there are, each beside its field. */
export function refusedText(form: unknown): string | undefined {
	const { all, message } = (form ?? {}) as Refusals;
	const more = Object.keys(all ?? {}).length - 1;
	return message === undefined || more < 1 ? message : `${message} And ${more} more, each beside its field.`;
}
