/**
 * The whole catalogue: positions a client tolerates, what they are cleared for and how they brace, more kinds of equipment, and a practice's own
 * families as data.
 */
import { createTable, type Table } from './table.ts';

export const TABLES: readonly Table[] = [
	{
		name: 'own_family',
		appended: true,
		columns: `family text not null, content jsonb not null, local_day date not null`
	}
];

/** Written out: a migration that was applied never changes. */
const KINDS = `'seat','pad','wedge','weight','chair','counter','wall','step','band','household-weight','pillow','towel','stick','bench','bolster','ball','roller','bar','cuff','extension-machine','curl-machine','leg-press'`;

export const name = '0003-catalogue';

export const up = [
	`alter table client_setting add column positions jsonb not null default '{}', add column clearances jsonb not null default '[]', add column brace text not null default 'tuned' check (brace in ('tuned','hug','hard'));
alter table equipment drop constraint equipment_kind_check;
alter table equipment add constraint equipment_kind_check check (kind in (${KINDS}));`,
	...TABLES.map(createTable),
	'create index on own_family (practice_id, family);'
].join('\n');
