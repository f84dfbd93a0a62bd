/** The pages of a practitioner that work without a network once they were put aside on this device: a client's session, and the floor. */
const SESSION = /^\/clients\/[0-9a-f-]{36}\/session$/;

export const isAwayPage = (pathname: string): boolean => pathname === '/floor' || SESSION.test(pathname);

/** Records are in it: it goes when somebody signs out, and when it is old. */
export const AWAY_CACHE = 'away-pages';
/** A page that was put aside longer ago is of another day. */
export const MOST_AGE_MS = 18 * 3_600_000;
/** This device was asked to put them aside. */
export const WANTED = 'bolster-away';

/** Was a page put aside too long ago to be shown as today's? One that does not say when is. */
export const isOld = (date: string | null, now: number): boolean => {
	const at = date === null ? NaN : Date.parse(date);
	return !(now - at <= MOST_AGE_MS);
};
