/** What steps are narrowed to besides words: a position, what is at hand, a region spared. */
import type { Step, Tag } from './family.ts';

/** A posture of the body that a step is done in, by its tags; standing and sitting are what carries none of them. */
export const POSTURES = ['supine', 'prone', 'side-lying', 'kneeling', 'upright'] as const;
const LYING: readonly Tag[] = ['supine', 'prone', 'side-lying', 'kneeling', 'floor-transfer'];

/** Regions that can be spared, with what spares them. @source common-practice */
export const SPARED = {
	back: ['spine-load', 'loaded-spine-bending', 'loaded-twist', 'spine-end-bend'],
	toes: ['toes-bent'],
	wrists: ['weight-on-hands'],
	knees: ['kneeling', 'open-chain-knee', 'knee-over-toe', 'impact'],
	shoulders: ['arms-overhead', 'weight-on-hands'],
	'pelvic floor': ['impact', 'breath-holding', 'trunk-strain']
} as const satisfies Readonly<Record<string, readonly Tag[]>>;

export interface Asked {
	readonly position: string;
	/** `none`: nothing is needed; else this is among what one can do it with. */
	readonly kit: string;
	readonly spares: string;
}

export function suits(step: Step, { position, kit, spares }: Asked): boolean {
	const posture =
		position === '' ||
		(position === 'upright'
			? !step.tags.some((t) => LYING.includes(t))
			: (step.tags as readonly string[]).includes(position));
	const needs = (step.equipment ?? []).map((e): readonly string[] => (typeof e === 'string' ? [e] : e));
	const hand =
		kit === '' ||
		(kit === 'none' ? needs.length === 0 : needs.length > 0 && needs.every((any) => any.includes(kit)));
	const tags: readonly Tag[] = (SPARED as Readonly<Record<string, readonly Tag[]>>)[spares] ?? [];
	return posture && hand && !step.tags.some((t) => tags.includes(t));
}
