/** A plan in words: how what was given before came to its end, and how an exercise is done. */
import type { Change } from '#lib/core/decision/input.ts';
import type { Band } from '#lib/core/dose/band.ts';
import type { Group } from '#lib/core/exercise/plan-order.ts';
import type { Particulars } from '#lib/core/dose/particulars.ts';
import { given, parts, where } from './parts.ts';

export const ENDED_BY: Readonly<Record<Change['kind'], string>> = {
	start: 'given anew',
	advance: 'went on from it',
	regress: 'stepped back from it',
	retry: 'gone back to what was left',
	'set-aside': 'set aside',
	alter: 'changed by hand',
	limit: 'a limit came',
	operation: 'an operation came',
	injection: 'an injection came',
	'flag-closed': 'a flag was closed'
};

export const BAND_NAME: Readonly<Record<Band, string>> = {
	'extra-light': 'extra light',
	light: 'light',
	medium: 'medium',
	heavy: 'heavy',
	'extra-heavy': 'extra heavy'
};

export const WHERE_NAME: Readonly<Record<NonNullable<Particulars['where']>, string>> = {
	practice: 'here',
	home: 'at home',
	both: 'here and at home'
};

/** "hold 5 s", "tempo 3-1-2-0", … in the order in which it is read out; the note apart. */
export const particularsText = (p: Particulars): readonly string[] =>
	parts(
		given(p.band, (band) => `${BAND_NAME[band]} band${given(p.bandName, (name) => ` (${name})`)}`),
		given(p.holdSec, (s) => `hold ${s} s`),
		given(p.tempo, (tempo) => `tempo ${tempo}`),
		given(p.effortPct, (pct) => `push ${pct} %`),
		given(p.workSec, (s) => `work ${s} s`),
		given(p.restSec, (s) => `rest ${s} s`),
		given(p.effort, (effort) => `effort ${effort} of 10`),
		given(p.blockMin, (min) => `for ${min} min`),
		where(p.asNeeded, 'when it is needed'),
		given(daysOf(p), (days) => `${days} ${days === 1 ? 'day' : 'days'} a week`),
		given(p.where, (place) => WHERE_NAME[place]),
		where(p.painPerSide, 'pain asked for each side')
	);

/** Days a week; none of what is done when it is needed. */
export const daysOf = (p: Particulars): number | undefined =>
	p.asNeeded === true ? undefined : p.daysPerWeek;

export const GROUP_NAME: Readonly<Record<Group, string>> = {
	warmUp: 'Warm-up',
	main: 'Main part',
	finish: 'Finish'
};
