/**
 * Keeps what was typed: while a form is being sent its values are kept in this tab, so that a session that expired mid-form loses
 * nothing. After signing in again the page fills them back in. Values go when the form succeeds.
 */
interface Kept {
	readonly at: string;
	readonly form: string;
	readonly values: readonly (readonly [string, string])[];
}

const KEY = 'bolster-kept-form';

/** Svelte action for a form; `name` tells several forms of a page apart. */
export function keepForm(form: HTMLFormElement, name: string): { destroy: () => void } {
	restore(form, name);
	const keep = (): void => {
		const values = [...new FormData(form).entries()].flatMap(([k, v]) => (typeof v === 'string' ? [[k, v] as const] : []));
		sessionStorage.setItem(KEY, JSON.stringify({ at: location.pathname, form: name, values } satisfies Kept));
	};
	form.addEventListener('submit', keep, { capture: true });
	return { destroy: () => form.removeEventListener('submit', keep, { capture: true }) };
}

/** To be called when the form was accepted. */
export const forgetForm = (): void => sessionStorage.removeItem(KEY);

function restore(form: HTMLFormElement, name: string): void {
	const text = sessionStorage.getItem(KEY);
	if (text === null || !new URL(location.href).searchParams.has('kept')) return;
	const kept = JSON.parse(text) as Kept;
	if (kept.at !== location.pathname || kept.form !== name) return;
	for (const [k, v] of kept.values) {
		const fields = [...form.elements].filter((e): e is HTMLInputElement => 'name' in e && e.name === k);
		for (const field of fields) {
			if (field.type === 'radio' || field.type === 'checkbox') field.checked = field.value === v;
			else field.value = v;
			field.dispatchEvent(new Event(field.type === 'radio' || field.type === 'checkbox' ? 'change' : 'input', { bubbles: true }));
		}
	}
	forgetForm();
}
