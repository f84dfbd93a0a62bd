/** Steps that are left out for one client, with the reason; taken back by a voided successor. */
import { createTable, type Table } from './table.ts';

export const TABLES: readonly Table[] = [
	{
		name: 'left_out',
		appended: true,
		columns: 'client_id uuid not null, step text not null, because text not null, local_day date not null',
		keys: 'foreign key (practice_id, client_id) references client (practice_id, id)'
	}
];

export const name = '0011-left-out';

export const up = [
	...TABLES.map(createTable),
	`create index on left_out (practice_id, client_id);
create trigger as_written before insert on left_out for each row execute function as_written();`
].join('\n');
