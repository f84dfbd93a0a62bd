/** Titles of catalogue steps; an id that is no longer known is shown as it is. */
import { FAMILIES } from '#lib/catalogue/families.ts';
import type { Back, Cause } from '#lib/core/exercise/family.ts';
import { TECHNIQUE_NAME } from './names.ts';

const TITLES: ReadonlyMap<string, string> = new Map(
	Object.values(FAMILIES).flatMap((f) => f.steps.map((s) => [s.id, s.title] as const))
);

export const stepTitle = (id: string): string =>
	TITLES.get(id) ??
	(id.startsWith('own-')
		? id
				.slice(4)
				.replaceAll('-', ' ')
				.replace(/^./, (c) => c.toUpperCase())
		: id);

/** From where a group of faults is seen: "seen from the side", "by asking". */
const VIEW: Readonly<Record<string, string>> = {
	front: 'Seen from the front',
	side: 'Seen from the side',
	'any side': 'Seen from any side',
	asking: 'Asked',
	'by the sound': 'Heard',
	listening: 'Heard',
	'listening and watching': 'Heard and seen',
	watching: 'Seen',
	'watching face and shoulders': 'Seen on face and shoulders'
};
export const viewText = (from: string): string => VIEW[from] ?? from.replace(/^./, (c) => c.toUpperCase());

export const CAUSE_NAME: Readonly<Record<Cause, string>> = {
	'pain-late': 'pain late in it',
	'pain-early': 'pain early in it',
	'pain-loaded': 'pain only with load',
	pain: 'pain',
	morning: 'the morning after',
	leakage: 'leakage',
	form: 'form',
	tired: 'tiring',
	guarding: 'guarding',
	wobble: 'a wobble',
	'knee-drift': 'a knee that drifts',
	heel: 'a heel that lifts',
	back: 'a back that gives',
	arching: 'arching',
	trunk: 'the trunk',
	landing: 'the landing',
	joint: 'the joint',
	away: 'a pause',
	'away-long': 'a long pause'
};

/** "for a wobble: One-leg stance", "with a sore front of the knee: Mid arc". */
export function backText({ to, for: causes, technique, frontOfKnee }: Back): string {
	const when = [
		...(causes === undefined ? [] : [`for ${causes.map((c) => CAUSE_NAME[c]).join(', ')}`]),
		...(technique === undefined ? [] : [`where ${TECHNIQUE_NAME[technique].toLowerCase()} is taught`]),
		...(frontOfKnee === undefined ? [] : [`the front of the knee ${frontOfKnee ? 'sore' : 'not sore'}`])
	].join(', ');
	return when === '' ? stepTitle(to) : `${when}: ${stepTitle(to)}`;
}
