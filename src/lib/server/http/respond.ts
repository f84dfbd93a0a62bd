/** Refusals of use-cases as answers of pages. */
import { error, fail, type ActionFailure } from '@sveltejs/kit';
import type { FieldIssue } from '#lib/contract/basics.ts';
import type { Outcome, Refused, Why } from '../usecase/actor.ts';

const STATUS: Readonly<Record<Why, number>> = {
	unreadable: 400,
	invalid: 422,
	'not-allowed': 403,
	'not-found': 404,
	conflict: 409
};

/** What a form shows again: the first thing that is wrong, everything else beside its field, and all that was typed. */
export interface FormRefusal extends FieldIssue {
	readonly all: Readonly<Record<string, string>>;
	readonly typed: Readonly<Record<string, string>>;
}

/** What was typed as a password does not come back with the page. */
const SECRET: ReadonlySet<string> = new Set(['password', 'again', 'current']);

export const typedIn = (form: FormData): Record<string, string> =>
	Object.fromEntries(
		[...form.entries()].filter((e): e is [string, string] => typeof e[1] === 'string' && !SECRET.has(e[0]))
	);

/** Refuses for everything that is wrong at once; of one field, its first. */
export function refuseAll(
	form: FormData,
	issues: readonly FieldIssue[],
	status = STATUS.unreadable
): ActionFailure<FormRefusal> {
	const all: Record<string, string> = {};
	for (const { field, message } of issues) all[field] ??= message;
	const [first] = issues;
	return fail(status, {
		field: first?.field ?? '',
		message: first?.message ?? '',
		all,
		typed: typedIn(form)
	});
}

export const refusal = (form: FormData, r: Refused): ActionFailure<FormRefusal> =>
	refuseAll(form, r.all ?? [{ field: r.field ?? '', message: r.message }], STATUS[r.why]);
export const refuseField = (form: FormData, field: string, message: string): ActionFailure<FormRefusal> =>
	refuseAll(form, [{ field, message }]);

/** Everything that a form's shape refuses, each at its field; `under` is put before the names. */
export const refuseShape = (
	form: FormData,
	error: { readonly issues: readonly { readonly path: readonly PropertyKey[]; readonly message: string }[] },
	under = ''
): ActionFailure<FormRefusal> =>
	refuseAll(
		form,
		error.issues.map((i) => ({ field: under + i.path.map(String).join('.'), message: i.message }))
	);

/** The value of a page's use-case, or the page that says why not. */
export function orError<T>(outcome: Outcome<T>): T {
	if (outcome.ok) return outcome.value;
	error(STATUS[outcome.refusal.why], outcome.refusal.message);
}
