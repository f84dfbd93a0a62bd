/**
 * Where each client stands on Today, kept: how pressing, whether an answer is waited for, and the row as it is shown. Rebuildable from the record
 * at any time; `id` is the client's. A row whose `valid_until` is empty or reached, or that another engine judged, is judged anew before it is read.
 */
import { createTable, type Table } from './table.ts';

export const TABLES: readonly Table[] = [
	{
		name: 'standing',
		columns:
			'version int not null default 0, as_of date, valid_until date, judged_by text, rank double precision, waiting boolean, today_row jsonb',
		keys: 'foreign key (practice_id, id) references client (practice_id, id)'
	}
];

export const name = '0005-standing';

export const up = [
	...TABLES.map(createTable),
	'create index on standing (practice_id, rank);\ncreate index on standing (practice_id, valid_until);'
].join('\n');
