/** Data of one's own as it was sent: typed, or a file that is small enough to be that; and the answer it gets. */
import { fail } from '@sveltejs/kit';
import type { ReadFault } from '#lib/contract/read-list.ts';
import type { Outcome } from '../usecase/actor.ts';
import { formOf } from './form-of.ts';
import { refusal } from './respond.ts';

/** Such a file is text; larger than this it is something else. */
const MOST_BYTES = 1_000_000;

type Saved = { readonly saved: readonly string[] } | { readonly faults: readonly ReadFault[] };

/** @param what the file is of, as one says it */
export async function saveSent(
	request: Request,
	what: string,
	save: (content: string) => Promise<Outcome<Saved>>
) {
	const form = await formOf(request);
	const upload = form.get('file');
	const file = upload instanceof File && upload.size > 0 ? upload : null;
	if (file !== null && file.size > MOST_BYTES) {
		const message = `This file is larger than one megabyte; it is not a file of ${what}.`;
		return fail(422, { faults: [{ line: null, place: file.name, message }], content: '' });
	}
	const content = file === null ? String(form.get('content') ?? '') : await file.text();
	const done = await save(content);
	if (!done.ok) return refusal(form, done.refusal);
	return 'faults' in done.value
		? fail(422, { faults: done.value.faults, content })
		: { done: `Saved: ${done.value.saved.join(', ')}.` };
}
