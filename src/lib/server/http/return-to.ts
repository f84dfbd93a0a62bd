/** Where somebody goes on after signing in: only a path of our own. */
export const ownPath = (to: string | null): string =>
	to !== null && /^\/(?!\/)[\w\-/.]*$/.test(to) ? to : '/';

/** The page that was asked for, saying that what was typed is kept where it is. */
export const returnTo = ({ searchParams }: URL): string =>
	ownPath(searchParams.get('to')) + (searchParams.has('kept') ? '?kept=1' : '');
