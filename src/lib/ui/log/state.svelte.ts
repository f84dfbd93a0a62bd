/** What is typed of a session before it is sent. Nothing is ticked beforehand: what was not seen is not said to be. */
import { SESSION_CHOICES, SESSION_SCORES } from '#lib/contract/session-fields.ts';

const FIELDS = [...Object.keys(SESSION_SCORES), ...Object.keys(SESSION_CHOICES), 'elseRegion'];
const empty = (): Record<string, string> => Object.fromEntries(FIELDS.map((f) => [f, '']));

export class SessionState {
	/** Scores and choices, by field. */
	v = $state(empty());
	observed = $state(false);
	clean = $state(false);
	otherSame = $state(false);
	symptoms: string[] = $state([]);
	/** Of the symptoms, those that are as usual. */
	usual: string[] = $state([]);
	/** The muscles it was felt in. */
	feltIn: string[] = $state([]);
	/** By set and column, and by fault. */
	sets: Record<string, string> = $state({});
	faults: Record<string, string> = $state({});
	/** The exceptions stand open because somebody opened or closed them; undefined where nobody did. */
	opened = $state<boolean>();

	constructor(typed: Readonly<Record<string, string>> = {}) {
		for (const f of FIELDS) this.v[f] = typed[f] ?? '';
	}

	/** Something was said of it. */
	get said(): boolean {
		const some = (xs: Readonly<Record<string, string>>): boolean => Object.values(xs).some((x) => x !== '');
		return (
			some(this.v) ||
			some(this.sets) ||
			some(this.faults) ||
			this.symptoms.length + this.feltIn.length > 0 ||
			this.clean ||
			this.otherSame
		);
	}

	/** What was typed belongs to the exercise it was typed for, and to one session of it; another one starts empty. Who saw it sees the next as well. */
	clear(): void {
		this.v = empty();
		[this.symptoms, this.usual, this.feltIn, this.sets, this.faults] = [[], [], [], {}, {}];
		[this.clean, this.otherSame] = [false, false];
		this.opened = undefined;
	}
}

/** Choices of a list that may be left empty. */
export const orNone = (values: readonly string[], none: string) => [
	{ value: '', name: none },
	...values.map((x) => ({ value: x, name: x }))
];
