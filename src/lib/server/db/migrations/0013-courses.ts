/** The course a client is on, for a region; another begins in its place, and it is left by a voided successor. */
import { createTable, type Table } from './table.ts';

export const TABLES: readonly Table[] = [
	{
		name: 'client_course',
		appended: true,
		columns: 'client_id uuid not null, course text not null, region text not null, local_day date not null',
		keys: 'foreign key (practice_id, client_id) references client (practice_id, id)'
	}
];

export const name = '0013-courses';

export const up = [
	...TABLES.map(createTable),
	`create index on client_course (practice_id, client_id);
create trigger as_written before insert on client_course for each row execute function as_written();`
].join('\n');
