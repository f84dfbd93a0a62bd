/**
 * Keeps what was typed: each form's values are kept in this tab as they are typed, so that another tab of the client, a key, Back, a reload or a
 * session that expired mid-form loses nothing. Coming back fills them in again. They go when the form was accepted; hidden ids are always the page's.
 */
type Values = readonly (readonly [string, string])[];
interface Draft {
	readonly typed: Values;
	/** Boxes that stood without their tick, by name and value: the page may tick them for a start. */
	readonly off: Values;
}

/** Told by a field that was filled in again, to whatever it is folded into. */
export const FILLED = 'filled';

const PREFIX = 'bolster-draft:';
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

const isTick = (f: HTMLInputElement): boolean => f.type === 'radio' || f.type === 'checkbox';

function typedIn(form: HTMLFormElement): Draft {
	const kept = keptFields(form);
	return {
		typed: [...new FormData(form).entries()].flatMap(([k, v]) =>
			typeof v === 'string' && kept.has(k) ? [[k, v] as const] : []
		),
		off: [...kept].flatMap(([name, same]) =>
			same.filter((f) => f.type === 'checkbox' && !f.checked).map((f) => [name, f.value] as const)
		)
	};
}

export interface KeptAs {
	/** Tells several forms of a page apart. */
	readonly name: string;
	/** Another where the form shows more fields: they are filled in too. */
	readonly shows?: unknown;
}

/** Svelte action for a form, by its name among the forms of the page. */
export function keepForm(
	form: HTMLFormElement,
	as: string | KeptAs
): { update: (as: string | KeptAs) => void; destroy: () => void } {
	let name = typeof as === 'string' ? as : as.name;
	restore(form, name);
	const keep = (): void => sessionStorage.setItem(keyOf(name), JSON.stringify(typedIn(form)));
	for (const event of ['input', 'change', 'submit'] as const)
		form.addEventListener(event, keep, { capture: event === 'submit' });
	return {
		update: (to) => {
			name = typeof to === 'string' ? to : to.name;
			if (typeof to !== 'string') restore(form, name);
		},
		destroy: () => {
			for (const event of ['input', 'change', 'submit'] as const)
				form.removeEventListener(event, keep, { capture: event === 'submit' });
		}
	};
}

function draftOf(name: string): Draft | undefined {
	const text = sessionStorage.getItem(keyOf(name));
	return text === null ? undefined : (JSON.parse(text) as Draft);
}

/** Names of the fields that are kept of a form of this page. */
export const keptNames = (name: string): readonly string[] => (draftOf(name)?.typed ?? []).map(([k]) => k);

const forget = (from: string): void => {
	for (const key of Object.keys(sessionStorage)) if (key.startsWith(from)) sessionStorage.removeItem(key);
};

/** To be called when a form of this page was accepted: what was typed on it is kept no longer. */
export const forgetForm = (): void => forget(PREFIX + location.pathname);

/** Whoever signs out takes along what they typed and did not keep: the next in this tab begins with the page's own. */
export const forgetTyped = (): void => forget(PREFIX);

function restore(form: HTMLFormElement, name: string): void {
	const draft = draftOf(name);
	if (draft === undefined) return;
	const kept = keptFields(form);
	const put = ([k, v]: Values[number], on: boolean): void => {
		for (const field of kept.get(k) ?? []) {
			if (isTick(field) && field.value !== v) continue;
			const anew = isTick(field) ? field.checked !== on : field.value !== v;
			if (isTick(field)) field.checked = on;
			else field.value = v;
			if (anew) {
				field.dataset.filled = '';
				field.dispatchEvent(new Event(FILLED, { bubbles: true }));
			}
			field.dispatchEvent(new Event(isTick(field) ? 'change' : 'input', { bubbles: true }));
		}
	};
	for (const one of draft.typed) put(one, true);
	for (const one of draft.off) put(one, false);
}
