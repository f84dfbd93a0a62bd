/**
 * Keeps what was typed: each form's values are kept in this tab as they are typed, so that another tab of the client, a key, Back, a reload or a
 * session that expired mid-form loses nothing. Coming back fills them in again. They go when the form was accepted; hidden ids are always the page's.
 */
type Values = readonly (readonly [string, string])[];

const PREFIX = 'bolster-form:';
const keyOf = (name: string): string =>
	`${PREFIX}${location.pathname}${new URLSearchParams(location.search).get('exercise') ?? ''}|${name}`;

const typedIn = (form: HTMLFormElement): Values =>
	[...new FormData(form).entries()].flatMap(([k, v]) =>
		typeof v === 'string' && !isHidden(form, k) ? [[k, v] as const] : []
	);

const fieldsOf = (form: HTMLFormElement, name: string): readonly HTMLInputElement[] =>
	[...form.elements].filter((e): e is HTMLInputElement => 'name' in e && e.name === name);
/** A password is never kept. */
const isHidden = (form: HTMLFormElement, name: string): boolean =>
	fieldsOf(form, name).every(
		(f) => f.type === 'password' || (f.type === 'hidden' && f.dataset.kept === undefined)
	);

/** Svelte action for a form; `name` tells several forms of a page apart. */
export function keepForm(form: HTMLFormElement, name: string): { destroy: () => void } {
	restore(form, name);
	const keep = (): void => sessionStorage.setItem(keyOf(name), JSON.stringify(typedIn(form)));
	for (const event of ['input', 'change', 'submit'] as const)
		form.addEventListener(event, keep, { capture: event === 'submit' });
	return {
		destroy: () => {
			for (const event of ['input', 'change', 'submit'] as const)
				form.removeEventListener(event, keep, { capture: event === 'submit' });
		}
	};
}

/** To be called when a form of this page was accepted: what was typed on it is kept no longer. */
export function forgetForm(): void {
	const here = `${PREFIX}${location.pathname}`;
	for (const key of Object.keys(sessionStorage)) if (key.startsWith(here)) sessionStorage.removeItem(key);
}

function restore(form: HTMLFormElement, name: string): void {
	const text = sessionStorage.getItem(keyOf(name));
	if (text === null) return;
	for (const [k, v] of JSON.parse(text) as Values) {
		for (const field of fieldsOf(form, k)) {
			const ticked = field.type === 'radio' || field.type === 'checkbox';
			if (isHidden(form, k) || (ticked && field.value !== v)) continue;
			if (ticked) field.checked = true;
			else field.value = v;
			field.dispatchEvent(new Event(ticked ? 'change' : 'input', { bubbles: true }));
		}
	}
}
