/**
 * What is known binds: a receipt for every command that was kept; protocols in phases, and windows with both ends; what a licensed user
 * passed over; symptoms that are known; what else a session, a morning and an arrival say.
 */
import { createTable, type Table } from './table.ts';

const CLIENT = 'foreign key (practice_id, client_id) references client (practice_id, id)';

export const TABLES: readonly Table[] = [
	{
		name: 'receipt',
		appended: true,
		columns: 'verb text not null, client_id uuid, outcome jsonb not null',
		keys: CLIENT
	},
	{
		name: 'protocol',
		appended: true,
		columns:
			'client_id uuid not null, surgery_id uuid not null, source text not null, review_on date, phases jsonb not null',
		keys: `${CLIENT}, foreign key (practice_id, surgery_id) references surgery (practice_id, id)`
	},
	{
		name: 'known_symptom',
		appended: true,
		columns:
			'client_id uuid not null, region text not null, symptom text not null, until date not null, local_day date not null',
		keys: CLIENT
	}
];

export const name = '0004-binding';

export const up = [
	...TABLES.map(createTable),
	`create index on protocol (practice_id, client_id);
create index on known_symptom (practice_id, client_id);
create index on exercise_log (practice_id, exercise_id);
create index on exercise_log (practice_id, replaces_id);
alter table equipment drop constraint equipment_kind_check;
alter table equipment add constraint equipment_kind_check check (kind in ('seat','pad','wedge','weight','chair','counter','wall','step','band','household-weight','pillow','towel','stick','bench','bolster','ball','roller','bar','cuff','extension-machine','curl-machine','leg-press','bed'));
alter table surgery add column operation text, add column no_limits_by text, add column entered_on date;
alter table protocol_limit alter column max_tenths drop not null;
alter table protocol_limit add column min_tenths int, add column applies text not null default 'always', add column local_day date,
	add constraint protocol_limit_window check (min_tenths is not null or max_tenths is not null);
alter table flag_closing add column mistaken boolean not null default false;
alter table prescription add column passed_over jsonb not null default '[]';
alter table exercise_log add column felt jsonb, add column as_usual jsonb, add column soreness_over_72h boolean, add column against_advice boolean not null default false, add column lighter boolean not null default false;
alter table checkin add column fever boolean, add column calf boolean, add column cannot_stand boolean;
alter table arrival add column said jsonb not null default '{}', add column opened_by text;`
].join('\n');
