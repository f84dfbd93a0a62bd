/**
 * Each logged session carries the number of the change that wrote it, from the one sequence that numbers a record's state. Whoever kept a client's
 * sessions at a number reads those written after it and no others; and sessions of one day stand in the order in which they were written.
 */
export const TABLES = [] as const;

export const name = '0025-logs-in-order';

/** What there is already, in the order of its recording; the record's own number is set after each row, and is the higher one. */
const NUMBERED = `alter table exercise_log add column change bigint;
update exercise_log l set change = o.change
	from (select x.practice_id, x.id, nextval('record_change') as change
		from (select practice_id, id from exercise_log order by recorded_at, id) x) o
	where o.practice_id = l.practice_id and o.id = l.id;
alter table exercise_log alter column change set not null, alter column change set default nextval('record_change');
grant usage on sequence record_change to bolster_app;`;

const FOUND = `create index on exercise_log (practice_id, client_id, change);
drop index exercise_log_practice_id_client_id_idx;`;

export const up = [NUMBERED, FOUND].join('\n');
