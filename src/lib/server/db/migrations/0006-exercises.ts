/**
 * Exercises in their own right: several on one ladder for one region, each with its particulars, each ended with a reason; and in which group of
 * a session each one stands. An episode that ends: its outcome and why, and the client put away and taken back.
 * Dated notes, and whom to call.
 */
import { createTable, type Table } from './table.ts';

const CLIENT = 'foreign key (practice_id, client_id) references client (practice_id, id)';

export const TABLES: readonly Table[] = [
	{
		name: 'plan_order',
		appended: true,
		columns: 'client_id uuid not null, groups jsonb not null',
		keys: CLIENT
	},
	{
		name: 'note',
		appended: true,
		columns:
			'client_id uuid not null, region text, exercise_id uuid, local_day date not null, body text not null',
		keys: `${CLIENT}, foreign key (practice_id, exercise_id) references exercise (practice_id, id)`
	},
	{
		name: 'contact',
		appended: true,
		columns:
			"client_id uuid not null, role text not null check (role in ('own','emergency','referrer','doctor')), name text not null, phone text not null, local_day date not null",
		keys: CLIENT
	},
	{
		name: 'client_status',
		appended: true,
		columns:
			"client_id uuid not null, status text not null check (status in ('active','archived')), local_day date not null, outcome jsonb not null",
		keys: CLIENT
	}
];

export const name = '0006-exercises';

export const up = [
	...TABLES.map(createTable),
	`create index on plan_order (practice_id, client_id);
create index on client_status (practice_id, client_id);
create index on note (practice_id, client_id);
create index on contact (practice_id, client_id);
alter table prescription drop constraint prescription_state_check;
alter table prescription add constraint prescription_state_check check (state in ('active','stopped','set-aside','ended'));
alter table prescription add column particulars jsonb not null default '{}';`
].join('\n');
