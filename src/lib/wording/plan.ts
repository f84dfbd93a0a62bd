/** How what was given before came to its end. */
import type { Change } from '#lib/core/decision/input.ts';

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
