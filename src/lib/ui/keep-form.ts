/**
 * Keeps what was typed: each form's values are kept in this tab as they are typed, so that another tab of the client, a key, Back, a reload or a
 * session that expired mid-form loses nothing. Coming back fills them in again. They go when the form was accepted; hidden ids are always the page's.
 */
type Values = readonly (readonly [string, string])[];

const PREFIX = 'bolster-form:';
const keyOf = (name: string): string =>
	`${PREFIX}${location.pathname}${new URLSearchParams(location.search).get('exercise') ?? ''}|${name}`;

/** The fields that keep what is typed, by name: gathered in one pass, for a screening has hundreds. A password is never kept. */
function keptFields(form: HTMLFormElement): ReadonlyMap<string, readonly HTMLInputElement[]> {
	const byName = new Map<string, HTMLInputElement[]>();
	for (const field of form.elements)
		if ('name' in field) {
			const named = field as HTMLInputElement;
			byName.set(named.name, [...(byName.get(named.name) ?? []), named]);
		}
	const isHidden = (f: HTMLInputElement): boolean =>
		f.type === 'password' || (f.type === 'hidden' && f.dataset.kept === undefined);
	return new Map([...byName].filter(([, same]) => !same.every(isHidden)));
}

function typedIn(form: HTMLFormElement): Values {
	const kept = keptFields(form);
	return [...new FormData(form).entries()].flatMap(([k, v]) =>
		typeof v === 'string' && kept.has(k) ? [[k, v] as const] : []
	);
}

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
	const kept = keptFields(form);
	for (const [k, v] of JSON.parse(text) as Values) {
		for (const field of kept.get(k) ?? []) {
			const ticked = field.type === 'radio' || field.type === 'checkbox';
			if (ticked && field.value !== v) continue;
			if (ticked) field.checked = true;
			else field.value = v;
			field.dispatchEvent(new Event(ticked ? 'change' : 'input', { bubbles: true }));
		}
	}
}
