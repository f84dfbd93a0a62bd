/**
 * A form of plain fields, on the forms library: every refusal beside its field and gone as soon as that field is typed in again; whoever leaves with something
 * typed and not kept is asked first; Back and forward bring back what was typed. Fields are text and nothing else, since the library fills what is absent
 * with what it takes for empty: what a field means is for the contract to say, on the server.
 */
import { superForm } from 'sveltekit-superforms/client';
import { get } from 'svelte/store';
import { leaving } from './leaving.svelte.ts';
import { LOST } from './sending.ts';
import type { Answered, Refusals } from './wrong.ts';

type Texts = Record<string, string>;
type Errors<T extends Texts> = { [K in keyof T]?: string[] };

interface Begun<T extends Texts> {
	/** Tells the forms of a page apart. */
	readonly name: string;
	readonly fields: T;
	/** What the page was given back, where the form was sent without its script. */
	readonly answered?: Answered;
	/** What to say where nothing answers; empty where something did. */
	readonly say: (lost: string) => void;
	readonly done?: () => void;
}

/** Refusals of fields that this form has. */
export function errorsIn<T extends Texts>(answered: Answered, fields: T): Errors<T> {
	const all = (answered as Refusals | null | undefined)?.all ?? {};
	return Object.fromEntries(
		Object.entries(all).flatMap(([field, message]) => (field in fields ? [[field, [message]]] : []))
	) as Errors<T>;
}

/** The values to begin with: what was typed and refused, else what stands. */
export const typedOver = <T extends Texts>(answered: Answered, fields: T): T => {
	const typed = ((answered as { typed?: Texts } | null | undefined)?.typed ?? {}) as Texts;
	return Object.fromEntries(Object.entries(fields).map(([k, v]) => [k, typed[k] ?? v])) as T;
};

export function typedForm<T extends Texts>({ name, fields, answered, say, done }: Begun<T>) {
	const data = typedOver(answered, fields);
	const shape = { id: name, posted: false, valid: false };
	const form = superForm<T>({ ...shape, data, errors: errorsIn(answered, fields) } as never, {
		id: name,
		dataType: 'form',
		validators: 'clear',
		resetForm: false,
		scrollToError: 'auto',
		taintedMessage: () => leaving.ask(),
		onResult: ({ result }) => {
			say('');
			if (result.type !== 'success' && result.type !== 'failure') return;
			// The actions of all forms answer in one shape; the library asks for its own.
			const errors = errorsIn(result.data, fields);
			const valid = result.type === 'success';
			result.data = { ...result.data, form: { ...shape, posted: true, valid, data: get(form.form), errors } };
			if (valid) done?.();
		},
		onError: ({ result }) => {
			const { error, status } = result as { error: { message?: string }; status?: number };
			say(status === 503 ? (error.message ?? LOST) : LOST);
		}
	});
	return form;
}
