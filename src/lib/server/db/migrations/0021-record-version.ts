/**
 * Which state a record is in: a number that is never used twice, set anew by whatever is written of a client, whoever writes it. A reader who kept the
 * record of that number has what stands. A row of the practice's own id is what all records share: its rooms, its own ladders, its settings and people.
 */
import { createTable, type Table } from './table.ts';

export const TABLES: readonly Table[] = [{ name: 'record_version', columns: 'version bigint not null' }];

export const name = '0021-record-version';

/** Written with every reading or sending, and no part of a record. */
const NO_PART = ['access_log', 'receipt', 'nudge'];
/** What every record of the practice is read with. */
const SHARED = ['practice', 'member', 'equipment', 'own_family', 'own_course'];
const CLIENT = `(select nullif(current_setting('bolster.client', true), '')::uuid)`;

const quoted = (names: readonly string[]): string => names.map((n) => `'${n}'`).join(', ');

/** The numbers come from the database alone; of a row that goes no number stays behind. */
const CHANGED = `create sequence record_change;
create function record_changed() returns trigger language plpgsql security definer set search_path = public as $$
declare pid uuid; whose uuid;
begin
	if tg_table_name = 'practice' then pid := new.id; whose := new.id;
	elsif tg_table_name = 'client' then pid := new.practice_id; whose := new.id;
	elsif tg_table_name = 'flag_closing' then
		pid := new.practice_id;
		select f.client_id into whose from flag f where f.practice_id = new.practice_id and f.id = new.flag_id;
	elsif tg_argv[0] = 'shared' then pid := new.practice_id; whose := new.practice_id;
	else pid := new.practice_id; whose := new.client_id;
	end if;
	insert into record_version (practice_id, id, version) values (pid, whose, nextval('record_change'))
	on conflict (practice_id, id) do update set version = excluded.version;
	return null;
end $$;
create function record_taken() returns trigger language plpgsql security definer set search_path = public as $$
begin
	if tg_table_name = 'client' then delete from record_version where practice_id = old.practice_id and id = old.id;
	elsif tg_argv[0] = 'shared' then update record_version set version = nextval('record_change') where practice_id = old.practice_id and id = old.practice_id;
	else update record_version set version = nextval('record_change') where practice_id = old.practice_id and id = old.client_id;
	end if;
	return null;
end $$;`;

const WATCHED = `do $$ declare t record; begin
	for t in select c.relname as name,
			exists (select 1 from pg_attribute a where a.attrelid = c.oid and a.attname = 'client_id' and not a.attisdropped) as has_client
		from pg_class c join pg_namespace n on n.oid = c.relnamespace and n.nspname = 'public'
		where c.relkind = 'r' and c.relname not in (${quoted(NO_PART)})
	loop
		if t.name in (${quoted(SHARED)}) then
			execute format('create trigger record_changed after insert or update on %I for each row execute function record_changed(''shared'')', t.name);
			if t.name <> 'practice' then
				execute format('create trigger record_taken after delete on %I for each row execute function record_taken(''shared'')', t.name);
			end if;
		elsif t.has_client or t.name in ('client', 'flag_closing') then
			execute format('create trigger record_changed after insert or update on %I for each row execute function record_changed()', t.name);
			if t.name <> 'flag_closing' then
				execute format('create trigger record_taken after delete on %I for each row execute function record_taken()', t.name);
			end if;
		end if;
	end loop;
end $$;`;

/** Read by whoever reads the record, written by nobody but the triggers. */
const READ = `revoke insert, update on record_version from bolster_app;
create policy record_version_client on record_version as restrictive using (${CLIENT} is null or id = ${CLIENT} or id = practice_id);`;

/** Of what there is already. */
const FIRST = `insert into record_version (practice_id, id, version) select practice_id, id, nextval('record_change') from client;
insert into record_version (practice_id, id, version) select id, id, nextval('record_change') from practice;`;

export const up = [...TABLES.map(createTable), CHANGED, WATCHED, READ, FIRST].join('\n');
