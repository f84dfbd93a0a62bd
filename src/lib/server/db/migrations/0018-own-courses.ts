/** A practice's own courses: the standing version of each; one that is no longer begun stays for whoever is on it. */
import { createTable, type Table } from './table.ts';

export const TABLES: readonly Table[] = [
	{
		name: 'own_course',
		appended: true,
		columns: 'course text not null, content jsonb not null, local_day date not null'
	}
];

export const name = '0018-own-courses';

/** A client's own page reads them, as it reads the practice's ladders, and writes none. */
const NOT_TOLD = `create policy own_course_not_told on own_course as restrictive for insert
	with check ((select nullif(current_setting('bolster.client', true), '')::uuid) is null);`;

export const up = [
	...TABLES.map(createTable),
	`create index on own_course (practice_id, course);
create trigger as_written before insert on own_course for each row execute function as_written();`,
	NOT_TOLD
].join('\n');
