/**
 * Single-key actions of a screen: ignored while typing, with a modifier held, behind an open dialog, or on a control that uses the key itself (Enter
 * and the space bar on a button, link or fold).
 */
export type Keys = Readonly<Record<string, () => void>>;

const OFF = 'bolster-keys-off';

/** Single keys can be switched off on a device, for whoever types by voice or with a screen reader. `?` always answers. */
export const keysAreOn = (): boolean => localStorage.getItem(OFF) === null;
export function turnKeys(on: boolean): void {
	if (on) localStorage.removeItem(OFF);
	else localStorage.setItem(OFF, 'yes');
}

export function onKeys(keys: Keys): (event: KeyboardEvent) => void {
	return (event) => {
		if (event.ctrlKey || event.metaKey || event.altKey) return;
		const target = event.target as HTMLElement | null;
		if (target !== null && /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName)) return;
		if (document.querySelector('dialog[open]') !== null || !keysAreOn()) return;
		if (
			(event.key === 'Enter' || event.key === ' ') &&
			target?.closest('a, button, summary, label, [role=button]')
		)
			return;
		const run = keys[event.key];
		if (run === undefined) return;
		event.preventDefault();
		run();
	};
}
