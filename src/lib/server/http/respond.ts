/** Refusals of use-cases as answers of pages. */
import { error, fail, type ActionFailure } from '@sveltejs/kit';
import type { Outcome, Refused, Why } from '../usecase/actor.ts';

const STATUS: Readonly<Record<Why, number>> = {
	invalid: 422,
	'not-allowed': 403,
	'not-found': 404,
	conflict: 409
};

/** What a form shows again: which field, what is wrong, and everything that was typed. */
export interface FormRefusal {
	readonly field: string;
	readonly message: string;
	readonly typed: Readonly<Record<string, string>>;
}

export const typedIn = (form: FormData): Record<string, string> =>
	Object.fromEntries([...form.entries()].filter((e): e is [string, string] => typeof e[1] === 'string'));

export const refusal = (form: FormData, r: Refused): ActionFailure<FormRefusal> =>
	fail(STATUS[r.why], { field: r.field ?? '', message: r.message, typed: typedIn(form) });
export const refuseField = (form: FormData, field: string, message: string): ActionFailure<FormRefusal> =>
	fail(422, { field, message, typed: typedIn(form) });

/** The first thing that a form's shape refuses, at its field. */
export const refuseFirst = (
	form: FormData,
	error: { readonly issues: readonly { readonly path: readonly PropertyKey[]; readonly message: string }[] }
): ActionFailure<FormRefusal> =>
	refuseField(form, String(error.issues[0]?.path[0] ?? ''), error.issues[0]?.message ?? '');

/** The value of a page's use-case, or the page that says why not. */
export function orError<T>(outcome: Outcome<T>): T {
	if (outcome.ok) return outcome.value;
	error(STATUS[outcome.refusal.why], outcome.refusal.message);
}
