/** Every request: who, in which practice, on which day. The only place that reads a clock. */
import {
	error,
	isHttpError,
	json,
	redirect,
	type Handle,
	type HandleServerError,
	type RequestEvent,
	type ServerInit
} from '@sveltejs/kit';
import { randomUUID } from 'node:crypto';
import errorPage from './error.html?raw';
import type { Day } from '#lib/core/base/calendar-day.ts';
import { calendarDay, recordDay } from '#lib/core/base/zone-day.ts';
import { ADDRESS_HEADER, authService } from '#lib/server/auth/auth.ts';
import { sessionOf } from '#lib/server/auth/session.ts';
import { database, refusePowerfulRole } from '#lib/server/db/connect.ts';
import { inPracticeOf } from '#lib/server/db/in-practice.ts';
import { demoDay } from '#lib/server/http/demo-day.ts';
import { log } from '#lib/server/http/log.ts';
import { notNow, orNotNow, SILENT } from '#lib/server/http/not-now.ts';
import { remindsHere, startReminders, type Reminders } from '#lib/server/jobs/reminders.ts';
import { isMine, mineAt } from '#lib/server/http/mine.ts';
import type { Actor, Context } from '#lib/server/usecase/actor.ts';
import { hasRoom, isReady } from '#lib/server/usecase/is-ready.ts';
import { writing, writtenAs } from '#lib/server/usecase/writing.ts';
import { noteRefusedLook } from '#lib/server/usecase/show-access.ts';
import { membershipsOf, type Membership } from '#lib/server/usecase/memberships.ts';

/** Pages for nobody in particular; those that end in a slash hold a one-time address. */
const OPEN = [
	...['/sign-in', '/sign-in/second', '/sign-in/passkey', '/sign-out', '/healthz', '/readyz'],
	...['/setup/', '/join/', '/reset', '/reset/']
];

export const init: ServerInit = async () => {
	const { pool } = database();
	secretOrEnd();
	void checked(pool);
	const nudging = setInterval(() => void nudge(), NUDGE_EVERY_MS).unref();
	process.on('sveltekit:shutdown', async () => {
		clearInterval(nudging);
		const stopped = reminders?.then((r) => r.stop());
		await Promise.allSettled([stopped, pool.end(), authService().pool.end()]);
		// One of several is held by the line to whoever started it.
		if (process.connected) process.disconnect();
	});
};

const NUDGE_EVERY_MS = 300_000;
let reminders: Promise<Reminders> | undefined;

/** Reminders leave by themselves, of several processes from the first; what goes wrong is logged and tried at the next turn. */
async function nudge(): Promise<void> {
	if (!roleChecked || !remindsHere()) return;
	try {
		reminders ??= startReminders({
			url: process.env.DATABASE_URL ?? '',
			now: () => new Date(),
			fixed: () => demoDay.today(),
			origin: process.env.ORIGIN ?? '',
			said: (what) => log.info(what)
		}).catch((e: unknown) => {
			// Not started: the next turn tries again. One that runs stays, whatever a turn of it meets.
			reminders = undefined;
			throw e;
		});
		const queued = await (await reminders).tick();
		if (queued > 0) log.info({ reminders: queued });
	} catch (e) {
		log.error({ reminders: (e as { code?: string }).code ?? 'failed' });
	}
}

/** Without a secret of its own nothing is served: better no server than one that looks ready and signs nobody in. */
function secretOrEnd(): void {
	try {
		authService();
	} catch (e) {
		log.fatal({ error: (e as Error).message });
		process.exit(1);
	}
}

/** Set once the database answered and its role is a plain one; until then pages say that the database is silent. */
let roleChecked = false;
const RETRY_MS = 1000;

/** Waits for a database that is not up yet; a role that is too powerful ends the process. */
async function checked(pool: ReturnType<typeof database>['pool']): Promise<void> {
	while (!(await isReady())) await new Promise((r) => setTimeout(r, RETRY_MS));
	try {
		await refusePowerfulRole(pool);
		roleChecked = true;
	} catch (e) {
		if (!(await isReady())) return checked(pool);
		log.fatal({ error: (e as Error).message });
		process.exit(1);
	}
}

/** The cookie that keeps which of their practices somebody is in. */
const PRACTICE_COOKIE = 'practice';

/** The demo stands still at one day, everywhere. */
const dayAt =
	(now: Date) =>
	(tz: string): Day =>
		demoDay.today() ?? recordDay(tz, now);

function contextOf(m: Membership, session: string): Context {
	const now = new Date();
	const dayIn = dayAt(now);
	// A licence ends at midnight, whatever the evening's work belongs to.
	const licenceDay = demoDay.today() ?? calendarDay(m.tz, now);
	const actor: Actor = {
		memberId: m.memberId,
		practiceId: m.practiceId,
		name: m.name,
		practice: m.practice,
		licensed:
			m.roles.includes('physiotherapist') && m.licensedUntil !== null && m.licensedUntil >= licenceDay,
		trainer: m.roles.includes('trainer'),
		owner: m.roles.includes('owner')
	};
	return {
		actor,
		inPractice: orNotNow(inPracticeOf(database().db, m.practiceId, m.memberId, { session })),
		today: dayIn(m.tz),
		dayIn,
		now,
		tz: m.tz,
		units: m.units
	};
}

/** A database that cannot answer is told from a fault of ours, if need be by asking it. */
async function sayWhy(e: unknown): Promise<never> {
	const why = notNow(e) ?? ((await isReady()) ? undefined : SILENT);
	if (why !== undefined) error(503, why);
	throw e;
}

/** Who is signed in, in which of their practices; a database that does not answer is named, not taken for nobody. */
async function whoIs(event: RequestEvent, headers: Headers): Promise<readonly string[]> {
	try {
		const { userId, token = '', cookies } = await sessionOf(headers);
		if (userId === undefined) return cookies;
		const practices = await membershipsOf(userId);
		const chosen = event.cookies.get(PRACTICE_COOKIE);
		const membership = practices.find((m) => m.practiceId === chosen) ?? practices[0];
		event.locals.userId = userId;
		if (membership === undefined) return cookies;
		event.locals.context = contextOf(membership, token);
		event.locals.practices = practices.map((m) => ({ id: m.practiceId, name: m.practice }));
		const { emergency, emergencyWords, weekStart, dateOrder } = membership;
		event.locals.house = { emergency, emergencyWords, weekStart, dateOrder };
		return cookies;
	} catch (e) {
		return sayWhy(e);
	}
}

/** A client's own page knows its device and nobody's session; a device that opens nothing is told so by the page. */
async function whoseIs(event: RequestEvent): Promise<void> {
	try {
		const now = new Date();
		const mine = await mineAt(event.cookies, now, dayAt(now));
		if (mine === undefined) return;
		event.locals.context = mine.context;
		event.locals.house = mine.house;
	} catch (e) {
		return sayWhy(e);
	}
}

const NO_PRACTICE =
	'You are signed in, and of no practice just now. Whoever owns the practice invites you, or your membership has ended.';

const HEADERS: Readonly<Record<string, string>> = {
	'x-content-type-options': 'nosniff',
	// Nothing to other sites; to our own the origin, without which a form sent before the scripts arrived counts as a stranger's.
	'referrer-policy': 'same-origin',
	'x-frame-options': 'DENY',
	'permissions-policy': 'camera=(), microphone=(), geolocation=()',
	'cross-origin-opener-policy': 'same-origin',
	'cross-origin-resource-policy': 'same-origin'
};

/** A form is small; only an attachment is as large as the server takes at all (BODY_SIZE_LIMIT). */
const FORM_BYTES = 512 * 1024;
const mostBytes = ({ pathname, search }: URL): number =>
	pathname.endsWith('/record') && search.startsWith('?/attach') ? Infinity : FORM_BYTES;
const TOO_MUCH = 'That was too much at once: a form is at most 512 kB, an attachment 10 MB.';

/** Refused before anything of it is written: what is taken is kept, whole. */
const FULL_DISK =
	'The disk of the server is nearly full: nothing is taken until there is room, so that nothing is kept by half. What you typed is still here. Whoever runs the server: npm run doctor.';

const isUnsafe = ({ method }: Request): boolean => !['GET', 'HEAD', 'OPTIONS'].includes(method);

/** What is refused whoever asks: another site's, what is too much, and writing where there is no room. */
async function refusedUnasked({ request, url }: RequestEvent): Promise<Response | undefined> {
	// Form posts are checked by the framework; JSON and the rest here.
	if (isUnsafe(request) && request.headers.get('origin') !== url.origin)
		return json({ message: 'This request came from another site.' }, { status: 403 });
	if (Number(request.headers.get('content-length') ?? 0) > mostBytes(url)) {
		// Read to its end, or the next request on this line would meet the rest of it; past what the server takes at all it throws.
		await request.arrayBuffer();
		return json({ message: TOO_MUCH }, { status: 413 });
	}
	// Whoever only reads signs in all the same.
	if (isUnsafe(request) && !url.pathname.startsWith('/sign-') && !(await hasRoom())) error(503, FULL_DISK);
	return undefined;
}

/** Finds out who asks; answers the session cookies that were renewed. */
async function known(event: RequestEvent): Promise<readonly string[]> {
	const { pathname } = event.url;
	if (pathname === '/healthz' || pathname === '/readyz') return [];
	if (!roleChecked) error(503, SILENT);
	const headers = new Headers(event.request.headers);
	headers.set(ADDRESS_HEADER, event.getClientAddress());
	if (!isMine(pathname)) return whoIs(event, headers);
	await whoseIs(event);
	return [];
}

/** Whoever is of no practice, or not signed in, gets no further than the pages that are open to all. */
function noFurther({ locals, url: { pathname }, request }: RequestEvent): void {
	const open =
		isMine(pathname) || OPEN.some((p) => pathname === p || (p.endsWith('/') && pathname.startsWith(p)));
	if (locals.context !== undefined || open) return;
	if (locals.userId !== undefined) error(403, NO_PRACTICE);
	const page = pathname.replace(/\/__data\.json$/, '') || '/';
	redirect(303, `/sign-in?to=${encodeURIComponent(page)}${isUnsafe(request) ? '&kept=1' : ''}`);
}

/** Who may, then the page; session cookies that were renewed go along. */
const answered: Handle = async ({ event, resolve }) => {
	const refused = await refusedUnasked(event);
	if (refused !== undefined) return refused;
	const renewed = await known(event);
	noFurther(event);
	const mine = isMine(event.url.pathname);
	const { context, house } = event.locals;
	const response = await writing(writtenAs(context?.units, house?.dateOrder), async () =>
		resolve(event, {
			// On a client's phone what makes the page answer comes before its letters.
			preload: ({ type, path }) =>
				type === 'js' || type === 'css' || (!mine && type === 'font' && path.includes('latin-wght'))
		})
	);
	if (context !== undefined || mine) response.headers.set('cache-control', 'private, no-store');
	// A session that is used goes on, in the browser too.
	for (const cookie of renewed) response.headers.append('set-cookie', cookie);
	return response;
};

/** What keeps somebody from a page before it is reached, as an answer like any other. */
function thrownAs(e: unknown, { request, url }: RequestEvent): Response {
	// A way elsewhere is made an answer by the framework, which knows who asks: a page, its data or a form.
	if (!isHttpError(e)) throw e;
	const { message } = e.body;
	// A form sent by the page's script takes its refusal in the framework's own shape.
	if (request.headers.has('x-sveltekit-action'))
		return json({ type: 'error', status: e.status, error: { message } }, { status: e.status });
	const wantsData =
		url.pathname.endsWith('.json') || (request.headers.get('accept') ?? '').includes('application/json');
	if (wantsData) return json({ message }, { status: e.status });
	const text = message.replaceAll('&', '&amp;').replaceAll('<', '&lt;');
	return new Response(
		errorPage
			.replaceAll('%sveltekit.status%', String(e.status))
			.replaceAll('%sveltekit.error.message%', text),
		{ status: e.status, headers: { 'content-type': 'text/html; charset=utf-8' } }
	);
}

const FORBIDDEN = 403;
const NOT_FOUND = 404;

/** Who asked for what they may not see, or for a client there is not: written down aside, never in the way of the answer. */
function noteRefusal({ locals, route, request, url }: RequestEvent, status: number): void {
	const { context } = locals;
	const guessed = status === NOT_FOUND && (route.id ?? '').startsWith('/clients/[id]');
	if (context === undefined || (status !== FORBIDDEN && !guessed)) return;
	const why = guessed ? 'no such client here' : 'not theirs to see or do';
	void noteRefusedLook(context, `${request.method} ${url.pathname}`, why).catch(() => undefined);
}

/** Every reply carries the headers and is logged, whoever was let in or not. */
export const handle: Handle = async ({ event, resolve }) => {
	const started = performance.now();
	event.locals.requestId = randomUUID();
	let response: Response;
	try {
		response = await answered({ event, resolve });
	} catch (e) {
		response = thrownAs(e, event);
	}
	noteRefusal(event, response.status);
	for (const [k, v] of Object.entries(HEADERS)) response.headers.set(k, v);
	response.headers.set('x-request-id', event.locals.requestId);
	log.info({
		id: event.locals.requestId,
		method: event.request.method,
		route: event.route.id,
		status: response.status,
		ms: Math.round(performance.now() - started)
	});
	return response;
};

/** Faults get an id that is logged and shown; what went wrong stays in the log. */
export const handleError: HandleServerError = ({ error, event, status, message }) => {
	const id = event.locals.requestId;
	if (status === 404) return { message: 'There is no such page.', id };
	if (status === 413) return { message: TOO_MUCH, id };
	if (status < 500) return { message, id };
	const e = error as { name?: string; code?: string; stack?: string };
	// Names and codes only: a database message can quote a value.
	log.error({ id, route: event.route.id, error: e.name, code: e.code, at: e.stack?.split('\n').slice(1, 6) });
	return {
		message: notNow(error) ?? 'Something went wrong here. Nothing was half-saved; try again.',
		id
	};
};
