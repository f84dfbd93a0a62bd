/** A sentence of parts, some of which are not there. */

/** What is said of a value that was given; nothing of one that was not. */
export const given = <T>(value: T | undefined, say: (value: T) => string): string =>
	value === undefined ? '' : say(value);

/** Said where something is so. */
export const where = (so: boolean | undefined, text: string): string => (so === true ? text : '');

/** The parts that say something. */
export const parts = (...all: readonly string[]): readonly string[] => all.filter((x) => x !== '');
