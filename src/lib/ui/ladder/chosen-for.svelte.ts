/** Something chosen for what is open, a step or a ladder and its region: what is opened next begins without it. */
export interface ChosenFor<T> {
	current: T | null;
}

export function chosenFor<T>(open: () => string | undefined): ChosenFor<T> {
	let kept = $state<{ readonly at: string; readonly value: T } | null>(null);
	return {
		get current() {
			return kept !== null && kept.at === open() ? kept.value : null;
		},
		set current(value) {
			const at = open();
			kept = value === null || at === undefined ? null : { at, value };
		}
	};
}
