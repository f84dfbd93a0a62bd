/**
 * Which part of a record was changed: under the record's number stands, for each table, the number at which it was written last. A reader who has the record
 * as it was reads again only what it keeps from a table whose number is another one. A table without a number has not changed since there are numbers.
 */
export const TABLES = [] as const;

export const name = '0022-record-parts';

const PARTS = `alter table record_version add column parts jsonb not null default '{}';`;

const CHANGED = `create or replace function record_changed() returns trigger language plpgsql security definer set search_path = public as $$
declare pid uuid; whose uuid; n bigint := nextval('record_change');
begin
	if tg_table_name = 'practice' then pid := new.id; whose := new.id;
	elsif tg_table_name = 'client' then pid := new.practice_id; whose := new.id;
	elsif tg_table_name = 'flag_closing' then
		pid := new.practice_id;
		select f.client_id into whose from flag f where f.practice_id = new.practice_id and f.id = new.flag_id;
	elsif tg_argv[0] = 'shared' then pid := new.practice_id; whose := new.practice_id;
	else pid := new.practice_id; whose := new.client_id;
	end if;
	insert into record_version (practice_id, id, version, parts) values (pid, whose, n, jsonb_build_object(tg_table_name, n))
	on conflict (practice_id, id) do update set version = excluded.version, parts = record_version.parts || excluded.parts;
	return null;
end $$;
create or replace function record_taken() returns trigger language plpgsql security definer set search_path = public as $$
declare whose uuid; n bigint := nextval('record_change');
begin
	if tg_table_name = 'client' then
		delete from record_version where practice_id = old.practice_id and id = old.id;
		return null;
	elsif tg_argv[0] = 'shared' then whose := old.practice_id;
	else whose := old.client_id;
	end if;
	update record_version set version = n, parts = parts || jsonb_build_object(tg_table_name, n) where practice_id = old.practice_id and id = whose;
	return null;
end $$;`;

export const up = [PARTS, CHANGED].join('\n');
