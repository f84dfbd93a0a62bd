/**
 * A command that is told in one of two ways: outright, or by a form that only the record can read, because it says what was asked for, or of which regions. The form
 * is read where it is done, after what was sent before was answered: sent again when the record has changed, it is still the same form.
 */
import type { FieldIssue } from '#lib/contract/basics.ts';
import type { ClientRecord } from '../record/load.ts';
import { notFound, unreadable, type Context, type Outcome, type Verb } from './actor.ts';
import { command, type Handler, type Run } from './command.ts';

interface OfClient {
	readonly clientId: string;
}

/** What was typed, field by field, in their order; files stay out. */
export interface TypedForm extends OfClient {
	readonly id: string;
	readonly fields: readonly (readonly [name: string, value: string])[];
}

/** What a form says, or everything that is wrong with it. */
type Read<I> =
	| { readonly ok: true; readonly value: Omit<I, 'clientId'> }
	| { readonly ok: false; readonly issues: readonly FieldIssue[] };

interface ToldCommand<I extends OfClient, T> {
	readonly verb: Verb;
	readonly id: (input: I) => string;
	/** Refusals that need no record. */
	readonly check: (input: I, ctx: Context) => Outcome<never> | undefined;
	readonly read: (form: FormData, r: ClientRecord) => Read<I>;
	readonly run: (input: I, run: Run, r: ClientRecord) => Promise<Outcome<T>>;
}

export const typedForm = (clientId: string, form: FormData): TypedForm => ({
	id: String(form.get('id') ?? ''),
	clientId,
	fields: [...form].flatMap(([name, value]) => (typeof value === 'string' ? [[name, value] as const] : []))
});

function formOf({ fields }: TypedForm): FormData {
	const form = new FormData();
	for (const [name, value] of fields) form.append(name, value);
	return form;
}

/**
 * What is wrong in the order of the form: what is said first is where the keyboard goes. What was not answered has no place in it, and stays behind
 * what is said before it.
 */
function asOnPage(issues: readonly FieldIssue[], { fields }: TypedForm): readonly FieldIssue[] {
	const at = new Map(fields.map(([name], i) => [name, i]));
	let place = -1;
	return issues
		.map((issue) => ({ issue, place: (place = at.get(issue.field) ?? place) }))
		.sort((a, b) => a.place - b.place)
		.map(({ issue }) => issue);
}

/** The two handlers of a command: `told` outright, and `typed`. */
export function toldCommand<I extends OfClient, T>(
	c: ToldCommand<I, T>
): { readonly told: Handler<I, T>; readonly typed: Handler<TypedForm, T> } {
	const withRecord = async (
		run: Run,
		work: (r: ClientRecord) => Promise<Outcome<T>>
	): Promise<Outcome<T>> => {
		const r = await run.record();
		return r === undefined ? notFound : work(r);
	};
	return {
		told: command<I, T>({
			verb: c.verb,
			id: c.id,
			client: (input) => input.clientId,
			check: c.check,
			run: (input, run) => withRecord(run, (r) => c.run(input, run, r))
		}),
		typed: command<TypedForm, T>({
			verb: c.verb,
			id: (form) => form.id,
			client: (form) => form.clientId,
			run: (form, run) =>
				withRecord(run, async (r) => {
					const read = c.read(formOf(form), r);
					if (!read.ok) return unreadable(asOnPage(read.issues, form));
					const input = { ...read.value, clientId: form.clientId } as I;
					return c.check(input, run.ctx) ?? c.run(input, run, r);
				})
		})
	};
}
