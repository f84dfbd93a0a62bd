/**
 * A client's history: the story of each sore place with what is feared, repeated movements of a back with what they do to the leg, attachments, and
 * what limited a range.
 */
import { createTable, type Table } from './table.ts';

const CLIENT = 'foreign key (practice_id, client_id) references client (practice_id, id)';

export const TABLES: readonly Table[] = [
	{
		name: 'story',
		appended: true,
		columns: 'client_id uuid not null, region text not null, local_day date not null, body jsonb not null',
		keys: CLIENT
	},
	{
		name: 'repeated_movement',
		appended: true,
		columns:
			"client_id uuid not null, local_day date not null, way text not null check (way in ('forward','backward','side-left','side-right')), leg text not null check (leg in ('better','same','further-down')), repetitions smallint not null check (repetitions between 1 and 100)",
		keys: CLIENT
	},
	{
		name: 'attachment',
		appended: true,
		columns:
			"client_id uuid not null, local_day date not null, kind text not null check (kind in ('letter','protocol','imaging','photo')), title text not null, media text not null check (media in ('application/pdf','image/jpeg','image/png')), size int not null check (size between 1 and 10485760), sha256 text not null, bytes bytea not null",
		keys: CLIENT
	}
];

export const name = '0007-history';

export const up = [
	...TABLES.map(createTable),
	`create index on story (practice_id, client_id);
create index on repeated_movement (practice_id, client_id);
create index on attachment (practice_id, client_id, id);
alter table measurement add column limited_by text;`
].join('\n');
