/**
 * Repeated movement of a back: bent one way ten times or so, and what that does to the pain in the leg. Pain that draws up towards the back or is less
 * is a good sign for that way; pain that goes further down the leg ends it, until it is tried again.
 * @source werneke-1999; may-2012 centralisation favourable, further down: stop that way and look again (direction, from memory)
 */
import { dayNumber, daysBetween, type Day } from '../base/calendar-day.ts';
import type { Withheld } from './screening.ts';
import type { Tag } from '../exercise/family.ts';

export const BACK_WAYS = ['forward', 'backward', 'side-left', 'side-right'] as const;
export type BackWay = (typeof BACK_WAYS)[number];

export const LEG_ANSWERS = ['better', 'same', 'further-down'] as const;
export type LegAnswer = (typeof LEG_ANSWERS)[number];

export interface Repeated {
	readonly way: BackWay;
	readonly leg: LegAnswer;
	readonly repetitions: number;
	readonly day: Day;
}

export interface BackPreference {
	/** The way that does the leg good, where one does and its opposite does not. */
	readonly prefers: BackWay | null;
	/** Ways that sent pain further down when they were last tried; however long ago. */
	readonly avoids: readonly BackWay[];
	/** The answers it rests on: the latest of each way. */
	readonly latest: readonly Repeated[];
}

const OPPOSITE: Readonly<Record<BackWay, BackWay>> = {
	forward: 'backward',
	backward: 'forward',
	'side-left': 'side-right',
	'side-right': 'side-left'
};

/** A good answer is good for so long; a bad one binds until that way is tried again, days. @source practice-setting */
export const PREFERENCE_DAYS = 28;

/** What the latest tries say; of one day the last entered counts. */
export function preferenceOf(tried: readonly Repeated[], today: Day): BackPreference {
	const latest = BACK_WAYS.flatMap((way) => {
		const of = tried.filter((t) => t.way === way);
		const last = of.reduce<Repeated | undefined>(
			(m, t) => (m === undefined || dayNumber(t.day) >= dayNumber(m.day) ? t : m),
			undefined
		);
		return last === undefined ? [] : [last];
	});
	const answer = (way: BackWay): LegAnswer | undefined => latest.find((t) => t.way === way)?.leg;
	const good = latest.filter(
		(t) =>
			t.leg === 'better' &&
			answer(OPPOSITE[t.way]) !== 'better' &&
			daysBetween(t.day, today) <= PREFERENCE_DAYS
	);
	return {
		// Forward and backward say more than sideways, and two good ways say nothing.
		prefers: good.length === 1 ? (good[0] as Repeated).way : null,
		avoids: latest.filter((t) => t.leg === 'further-down').map((t) => t.way),
		latest
	};
}

/** The steps that go a way, by their tags. */
const TAGS_OF: Readonly<Record<BackWay, readonly Tag[]>> = {
	forward: ['spine-end-bend', 'loaded-spine-bending'],
	backward: ['spine-backward'],
	'side-left': [],
	'side-right': []
};
export const tagsOfWay = (way: BackWay): readonly Tag[] => TAGS_OF[way];

/** What is withheld because it sent pain further down. */
export const withheldByWay = ({ avoids }: BackPreference): readonly Withheld[] =>
	avoids.flatMap((way) => TAGS_OF[way].map((tag) => ({ tag, because: `further-down-${way}` })));

/** How well a step goes with the preferred way: 1 that way, −1 the other, 0 neither. For ranking only. */
export function goesWith(tags: readonly Tag[], prefers: BackWay | null): -1 | 0 | 1 {
	if (prefers === null) return 0;
	if (tags.some((t) => TAGS_OF[prefers].includes(t))) return 1;
	return tags.some((t) => TAGS_OF[OPPOSITE[prefers]].includes(t)) ? -1 : 0;
}
