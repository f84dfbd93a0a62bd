/**
 * Puts a client on a course for a region, in the place of one they are on, and takes them off it. The course prescribes nothing by itself: its stage is
 * given by hand, and what comes later waits for it as for any gate.
 */
import { courseAmong, isBegun } from '#lib/catalogue/courses.ts';
import { ok } from '#lib/core/base/result.ts';
import { append } from '../db/append.ts';
import { conflict, invalid, notFound } from './actor.ts';
import { command } from './command.ts';

interface Begun {
	readonly id: string;
	readonly clientId: string;
	readonly course: string;
	readonly region: string;
	/** The one that the page showed, which it takes the place of; null where it showed none. */
	readonly basedOn: string | null;
}

const CHANGED = 'Somebody changed the course meanwhile; reload to see it.';

export const startCourse = command<Begun, { readonly title: string }>({
	verb: 'choose a course',
	id: (x) => x.id,
	client: (x) => x.clientId,
	run: async ({ id, clientId, course, region, basedOn }, { t, ctx, recordedAt, record }) => {
		const r = await record();
		if (r === undefined) return notFound;
		const known = courseAmong(r.room.courses, course);
		if (known === undefined || !isBegun(known))
			return invalid('course', 'There is no such course; choose one from the list.');
		if (r.head.setting.usual[region] === undefined)
			return invalid('region', 'Choose a region that is under treatment.');
		if ((r.head.course?.id ?? null) !== basedOn) return conflict(CHANGED);
		const row = {
			...{ id, client_id: clientId, course, region, local_day: ctx.today },
			...(basedOn === null ? {} : { replaces_id: basedOn, reason: 'another course' })
		};
		return (await append(t, 'client_course', row, recordedAt)) === 'conflict'
			? conflict(CHANGED)
			: ok({ title: known.title });
	}
});

export const leaveCourse = command<
	{ readonly id: string; readonly clientId: string; readonly basedOn: string },
	true
>({
	verb: 'choose a course',
	id: (x) => x.id,
	client: (x) => x.clientId,
	run: async ({ id, clientId, basedOn }, { t, ctx, recordedAt, record }) => {
		const r = await record();
		const on = r?.head.course;
		if (on === undefined || on === null || on.id !== basedOn) return conflict(CHANGED);
		const row = {
			...{ id, client_id: clientId, course: on.course, region: on.region, local_day: ctx.today },
			...{ replaces_id: basedOn, voided: true, reason: 'left' }
		};
		return (await append(t, 'client_course', row, recordedAt)) === 'conflict' ? conflict(CHANGED) : ok(true);
	}
});
