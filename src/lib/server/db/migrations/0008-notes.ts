/** What a note is about may be a visit or a flag. */
import type { Table } from './table.ts';

export const TABLES: readonly Table[] = [];

export const name = '0008-notes';

export const up = `alter table note add column visit_id uuid, add column flag_id uuid,
	add foreign key (practice_id, visit_id) references visit (practice_id, id),
	add foreign key (practice_id, flag_id) references flag (practice_id, id);`;
