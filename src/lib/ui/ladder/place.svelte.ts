/** What stands on a ladder for a region, and which of it a new step takes the place of; none of it: a further exercise. */
import type { NowView } from '#lib/contract/plan-view.ts';
import { chosenFor } from './chosen-for.svelte.ts';

interface Seen {
	readonly family: string;
	readonly region: string;
	readonly inPlan: readonly NowView[];
	/** The exercise the page was opened for. */
	readonly asked: string | null;
}

/** Starts at the exercise that was asked for, else at the only one that stands; what is chosen holds for its ladder and region. */
export function placeIn(seen: () => Seen) {
	const chosen = chosenFor<string>(() => `${seen().family}|${seen().region}`);
	const standing = $derived(
		seen().inPlan.filter((n) => n.family === seen().family && n.region === seen().region)
	);
	const first = $derived(
		standing.find((n) => n.exerciseId === seen().asked) ?? (standing.length === 1 ? standing[0] : undefined)
	);
	const id = $derived(chosen.current ?? first?.exerciseId ?? '');
	return {
		get standing() {
			return standing;
		},
		/** The exercise that is changed, where it is of this ladder. */
		get changing() {
			return standing.find((n) => n.exerciseId === id);
		},
		get id() {
			return id;
		},
		set id(value: string) {
			chosen.current = value;
		}
	};
}
