/** Who acts, in which practice, on which day; and what each role may do. Read per request, never from a session or a form. */
import type { FieldIssue } from '#lib/contract/basics.ts';
import type { Day } from '#lib/core/base/calendar-day.ts';
import { ok, refuse, type Result } from '#lib/core/base/result.ts';
import type { InPractice } from '../db/in-practice.ts';

export interface Actor {
	readonly memberId: string;
	readonly practiceId: string;
	readonly name: string;
	readonly practice: string;
	readonly licensed: boolean;
	readonly trainer: boolean;
	readonly owner: boolean;
	/** Of a client's own page: the client, who is all that is seen. */
	readonly client?: string;
}

export interface Context {
	readonly actor: Actor;
	readonly inPractice: InPractice;
	/** The day of the record in the zone of this context, which turns at 03:00. */
	readonly today: Day;
	readonly now: Date;
	readonly tz: string;
	/** The same day elsewhere; left out, it is one day everywhere. */
	readonly dayIn?: (tz: string) => Day;
	readonly units: string;
}

/** The same actor where a client lives: their day counts, not the practice's. */
export const inZone = (ctx: Context, tz: string): Context =>
	tz === ctx.tz ? ctx : { ...ctx, tz, today: ctx.dayIn?.(tz) ?? ctx.today };

export type Why = 'unreadable' | 'invalid' | 'not-allowed' | 'not-found' | 'conflict';

/** A refusal a page can show: which field, what is wrong, what would be right. */
export interface Refused {
	readonly why: Why;
	readonly message: string;
	readonly field?: string;
	/** Everything that is wrong with a form, the first of it above. */
	readonly all?: readonly FieldIssue[];
}

export type Outcome<T> = Result<T, Refused>;

export const notFound = refuse<Refused>({
	why: 'not-found',
	message: 'There is no such client in this practice.'
});
export const invalid = (field: string, message: string) =>
	refuse<Refused>({ why: 'invalid', field, message });
/** A form that cannot be read as what it is for. */
export const unreadable = (all: readonly FieldIssue[]) =>
	refuse<Refused>({
		...{ why: 'unreadable', message: all[0]?.message ?? 'Check the form.', field: all[0]?.field ?? '' },
		all
	});
export const conflict = (message: string) => refuse<Refused>({ why: 'conflict', message });

/** Refused for want of a role, a delegation or a licence. */
export const refuseFor = (message: string, field?: string) =>
	refuse<Refused>({ why: 'not-allowed', message, ...(field === undefined ? {} : { field }) });

/** Each verb with who may do it. */
const MAY = {
	'show today': ['trainer', 'licensed'],
	'show client': ['trainer', 'licensed'],
	'register client': ['trainer', 'licensed'],
	screen: ['trainer', 'licensed'],
	ask: ['trainer', 'licensed'],
	'set goal': ['trainer', 'licensed'],
	measure: ['trainer', 'licensed'],
	'open flag': ['trainer', 'licensed'],
	'close flag': ['licensed'],
	'record a clearance': ['trainer', 'licensed'],
	'set limit': ['licensed'],
	'agree a known symptom': ['licensed'],
	'open a closed day': ['licensed'],
	'choose policy': ['licensed'],
	'write own steps': ['licensed'],
	prescribe: ['trainer', 'licensed'],
	'log visit': ['trainer', 'licensed', 'client'],
	'check in': ['trainer', 'licensed', 'client'],
	'show own page': ['client'],
	'give a link': ['trainer', 'licensed'],
	'write a letter': ['licensed'],
	'put right': ['trainer', 'licensed'],
	'end an episode': ['licensed'],
	sign: ['trainer', 'licensed'],
	override: ['licensed'],
	'replay decision': ['licensed', 'owner'],
	'leave a step out': ['licensed'],
	'choose a course': ['licensed'],
	'export client': ['licensed', 'owner'],
	'erase client': ['licensed', 'owner'],
	'read the access log': ['licensed', 'owner'],
	delegate: ['licensed'],
	'manage people': ['owner'],
	'change the rooms': ['owner'],
	'change the practice': ['owner']
} as const satisfies Record<string, readonly ('trainer' | 'licensed' | 'owner' | 'client')[]>;

export type Verb = keyof typeof MAY;

/** A client's own page is of its client and nobody else. */
export const ofOthers = (actor: Actor, clientId: string | undefined): boolean =>
	actor.client !== undefined && actor.client !== clientId;

/** Refuses what the actor's roles do not hold. Owner is not licensed by being owner. */
export function allow(actor: Actor, verb: Verb): Outcome<true> {
	if ((MAY[verb] as readonly string[]).some((role) => Boolean(actor[role as 'trainer']))) return ok(true);
	const who = (MAY[verb] as readonly string[]).filter((role) => role !== 'client').join(' or ');
	return refuse({
		why: 'not-allowed',
		message: `To ${verb} takes a ${who.replace('licensed', 'licensed user')}; you are signed in as ${roleText(actor)}.`
	});
}

export const roleText = (a: Actor): string =>
	[
		a.client === undefined ? '' : 'the client',
		a.licensed ? 'licensed physiotherapist' : '',
		a.trainer ? 'trainer' : '',
		a.owner ? 'owner' : ''
	]
		.filter((x) => x !== '')
		.join(', ') || 'a member without a role';
