/** A plan in words: how what was given before came to its end, and how an exercise is done. */
import type { Change } from '#lib/core/decision/input.ts';
import type { Band } from '#lib/core/dose/band.ts';
import type { Group } from '#lib/core/exercise/plan-order.ts';
import type { Particulars } from '#lib/core/dose/particulars.ts';

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
	[
		p.band === undefined
			? ''
			: `${BAND_NAME[p.band]} band${p.bandName === undefined ? '' : ` (${p.bandName})`}`,
		p.holdSec === undefined ? '' : `hold ${p.holdSec} s`,
		p.tempo === undefined ? '' : `tempo ${p.tempo}`,
		p.effortPct === undefined ? '' : `push ${p.effortPct} %`,
		p.workSec === undefined ? '' : `work ${p.workSec} s`,
		p.restSec === undefined ? '' : `rest ${p.restSec} s`,
		p.effort === undefined ? '' : `effort ${p.effort} of 10`,
		p.blockMin === undefined ? '' : `for ${p.blockMin} min`,
		p.asNeeded === true ? 'when it is needed' : '',
		p.daysPerWeek === undefined || p.asNeeded === true
			? ''
			: `${p.daysPerWeek} ${p.daysPerWeek === 1 ? 'day' : 'days'} a week`,
		p.where === undefined ? '' : WHERE_NAME[p.where],
		p.painPerSide === true ? 'pain asked for each side' : ''
	].filter((x) => x !== '');

export const GROUP_NAME: Readonly<Record<Group, string>> = {
	warmUp: 'Warm-up',
	main: 'Main part',
	finish: 'Finish'
};
