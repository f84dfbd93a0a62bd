/** A practice's own courses: the standing version of each, and how many are on it. */
import { sql } from 'kysely';
import type { OwnCourse } from '#lib/core/fit/course.ts';
import type { PracticeTransaction } from '../db/in-practice.ts';
import { isHead } from '../db/heads.ts';

export interface OwnCourseRow {
	readonly rowId: string;
	readonly course: OwnCourse;
	/** Clients who are on it now. */
	readonly clients: number;
}

export async function ownCourseRows(t: PracticeTransaction): Promise<readonly OwnCourseRow[]> {
	const { rows } = await sql<{ id: string; content: OwnCourse; clients: number }>`
		select c.id, c.content, (select count(*)::int from client_course x where x.practice_id = ${t.practiceId} and x.course = c.course and ${isHead('client_course', 'x')}) as clients
		from own_course c where c.practice_id = ${t.practiceId} and ${isHead('own_course', 'c')} order by c.course`.execute(
		t.trx
	);
	return rows.map((r) => ({ rowId: r.id, course: r.content, clients: r.clients }));
}
