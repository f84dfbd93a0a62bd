/**
 * What a practice sets for itself and for its clients; who signed in and who was refused; and the end of a record. A row of the record says who wrote it
 * and when: the database sees to it, whatever the program says. Erasing goes through one door of the owner role, by two people.
 */
import { createTable, PRACTICE, type Table } from './table.ts';

export const TABLES: readonly Table[] = [
	{
		name: 'erasure_request',
		appended: true,
		columns: 'client_id uuid not null, local_day date not null, because text not null, why text not null',
		keys: 'foreign key (practice_id, client_id) references client (practice_id, id)'
	},
	{
		// Of whom was erased nothing stays but this row.
		name: 'erasure',
		columns:
			'because text not null, asked_by uuid not null, agreed_by uuid not null, erased_at timestamptz not null default now(), rows int not null'
	},
	{
		name: 'sign_in',
		columns:
			'member_id uuid not null, what text not null, address text not null, at timestamptz not null default now()'
	},
	{
		name: 'refused_look',
		columns:
			'member_id uuid not null, asked text not null, why text not null, at timestamptz not null default now()'
	}
];

export const name = '0010-rights';

const SETTINGS = `alter table practice
	add column emergency_words text not null default '',
	add column week_start smallint not null default 1 check (week_start in (0, 1)),
	add column date_order text not null default 'day-month' check (date_order in ('day-month', 'month-day')),
	add column screening_weeks smallint,
	add column retest_weeks smallint,
	add column default_brace text not null default 'tuned',
	add column trainer_signs text not null default 'delegated' check (trainer_signs in ('delegated', 'gentler', 'nothing')),
	add column retention_years smallint not null default 8;
grant update (emergency_words, week_start, date_order, screening_weeks, retest_weeks, default_brace, trainer_signs, retention_years) on practice to bolster_app;
alter table client_setting add column home_heights jsonb not null default '{"seats": [], "steps": []}';`;

/**
 * Who wrote a row is who the transaction is of, a member of the practice today; and when is now. Only a demo has a past that was written at once. What the
 * owner role brings back from a backup keeps what it says.
 */
const WRITTEN = `create function as_written() returns trigger language plpgsql security definer set search_path = public as $$
declare who uuid := nullif(current_setting('bolster.member', true), '')::uuid;
begin
	if session_user <> 'bolster_app' then return new; end if;
	if who is null or new.written_by is distinct from who
		then raise exception 'written by another than whose transaction it is' using errcode = '42501'; end if;
	if (select p.is_demo from practice p where p.id = new.practice_id) then return new; end if;
	if not exists (select 1 from member m where m.practice_id = new.practice_id and m.id = who and (m.ended_at is null or m.ended_at > current_date))
		then raise exception 'written by nobody of the practice' using errcode = '42501'; end if;
	new.recorded_at := now();
	return new;
end $$;
do $$ declare t text; begin
	for t in select c.relname from pg_class c join pg_namespace n on n.oid = c.relnamespace and n.nspname = 'public'
		join pg_attribute a on a.attrelid = c.oid and a.attname = 'written_by' where c.relkind = 'r'
	loop execute format('create trigger as_written before insert on %I for each row execute function as_written()', t); end loop;
end $$;`;

/**
 * Takes everything of a client, for good. Two people: whoever asked, and another; between them an owner and a physiotherapist of today. Where one person is
 * all there is of the practice and both, they agree to their own asking a day later. Answers what stood in the way, or how many rows went.
 */
const ERASING = `create function take_apart(pid uuid, cid uuid) returns int language plpgsql set search_path = public as $$
declare
	t record;
	n int;
	gone int := 0;
	waiting boolean;
begin
	delete from flag_closing k using flag f where k.practice_id = pid and f.practice_id = pid and f.id = k.flag_id and f.client_id = cid;
	get diagnostics n = row_count; gone := gone + n;
	delete from standing where practice_id = pid and id = cid;
	-- What points to what is found by trying: a table whose rows are still pointed at waits for the next round.
	for round in 1..20 loop
		waiting := false;
		for t in select c.relname as name from pg_class c join pg_namespace s on s.oid = c.relnamespace and s.nspname = 'public'
			join pg_attribute a on a.attrelid = c.oid and a.attname = 'client_id' and not a.attisdropped where c.relkind = 'r' loop
			begin
				execute format('delete from %I where practice_id = $1 and client_id = $2', t.name) using pid, cid;
				get diagnostics n = row_count; gone := gone + n;
			exception when foreign_key_violation then waiting := true;
			end;
		end loop;
		exit when not waiting;
	end loop;
	if waiting then raise exception 'what points to this client could not be taken apart'; end if;
	delete from client where practice_id = pid and id = cid;
	return gone;
end $$;
revoke all on function take_apart(uuid, uuid) from public;
create function erase_client(request uuid, by_id uuid) returns text language plpgsql security definer set search_path = public as $$
declare
	pid uuid := ${PRACTICE};
	asked erasure_request;
	roles text[];
	alone boolean;
	gone int;
begin
	if by_id is distinct from nullif(current_setting('bolster.member', true), '')::uuid then return 'not-you'; end if;
	select * into asked from erasure_request r where r.practice_id = pid and r.id = request and not r.voided
		and not exists (select 1 from erasure_request l where l.practice_id = pid and l.replaces_id = r.id);
	if not found then return 'unknown'; end if;
	perform 1 from client c where c.practice_id = pid and c.id = asked.client_id for update;
	if asked.written_by = by_id then
		select count(*) = 1 into alone from member m where m.practice_id = pid and (m.ended_at is null or m.ended_at > current_date)
			and ('owner' = any(m.roles) or 'physiotherapist' = any(m.roles));
		if not alone then return 'same-person'; end if;
		if asked.recorded_at > now() - interval '1 day' then return 'too-soon'; end if;
	end if;
	-- Both are of the practice still: a request of somebody who left is asked anew.
	if (select count(*) from member m where m.practice_id = pid and m.id in (asked.written_by, by_id) and (m.ended_at is null or m.ended_at > current_date))
		< (case when asked.written_by = by_id then 1 else 2 end) then return 'not-both'; end if;
	select array_agg(x) into roles from (select unnest(m.roles) as x from member m where m.practice_id = pid and m.id in (asked.written_by, by_id)) y;
	if not coalesce('owner' = any(roles) and exists (select 1 from member m where m.practice_id = pid and m.id in (asked.written_by, by_id)
		and 'physiotherapist' = any(m.roles) and m.licence_no is not null and m.licensed_until >= current_date), false) then return 'not-both'; end if;
	gone := take_apart(pid, asked.client_id);
	insert into erasure (practice_id, id, because, asked_by, agreed_by, rows) values (pid, asked.client_id, asked.because, asked.written_by, by_id, gone);
	return 'erased:' || gone;
end $$;`;

/**
 * Signing in comes before any practice is known; whoever has an account is written down in every practice they are of. Wrong tries are counted by what was
 * typed as the address, whether there is an account or not, so that counting tells nobody which there are.
 */
const SIGN_INS = `create table auth.wrong_try (key text not null, address text not null, at timestamptz not null default now());
create index on auth.wrong_try (key, at);
create function key_of(email text) returns text language sql immutable as $$ select encode(sha256(convert_to(lower(email), 'UTF8')), 'hex') $$;
create function note_sign_in(email text, address text, what text) returns void language plpgsql security definer set search_path = public as $$
begin
	if what = 'wrong' then
		delete from auth.wrong_try t where t.at < now() - interval '1 day';
		insert into auth.wrong_try (key, address) values (key_of(email), note_sign_in.address);
	elsif what in ('in', 'reset') then
		delete from auth.wrong_try t where t.key = key_of(email) and (what = 'reset' or t.address = note_sign_in.address);
	end if;
	insert into sign_in (practice_id, id, member_id, what, address)
	select m.practice_id, gen_random_uuid(), m.id, note_sign_in.what, note_sign_in.address from member m join auth."user" u on u.id = m.user_id
	where lower(u.email) = lower(note_sign_in.email) and (m.ended_at is null or m.ended_at > current_date);
end $$;
create function wrong_tries(email text, address text) returns table (here int, everywhere int, last_at timestamptz)
language sql stable security definer set search_path = public as
$$ select count(*) filter (where t.address = wrong_tries.address)::int, count(*)::int, max(t.at) filter (where t.address = wrong_tries.address)
from auth.wrong_try t where t.key = key_of(wrong_tries.email) and t.at > now() - interval '15 minutes' $$;`;

/** A second factor, in the tables of the sign-in library. */
const SECOND_FACTOR = `alter table auth."user" add column "twoFactorEnabled" boolean;
create table auth."twoFactor" (id text primary key, secret text not null, "backupCodes" text not null, "userId" text not null references auth."user" (id) on delete cascade, verified boolean,
	"failedVerificationCount" int, "lockedUntil" timestamptz);
create index on auth."twoFactor" ("userId");
create index on auth."twoFactor" (secret);
grant select, insert, update, delete on auth."twoFactor" to bolster_app;`;

/** Who somebody is, with what their practice's pages are made by. */
const MEMBERSHIPS = `drop function memberships_of(text);
create function memberships_of(uid text) returns table (practice_id uuid, member_id uuid, name text, roles text[], licensed_until date, tz text, units text,
	practice text, emergency text, emergency_words text, week_start smallint, date_order text)
language sql stable security definer set search_path = public as
$$ select m.practice_id, m.id, m.name, m.roles, case when m.licence_no is null then null else m.licensed_until end, p.tz, p.units, p.name, p.emergency,
	p.emergency_words, p.week_start, p.date_order
from member m join practice p on p.id = m.practice_id where m.user_id = uid and (m.ended_at is null or m.ended_at > current_date) order by p.name, m.practice_id $$;`;

const DOORS = [
	'memberships_of(text)',
	'erase_client(uuid, uuid)',
	'note_sign_in(text, text, text)',
	'wrong_tries(text, text)'
];

export const up = [
	...TABLES.map(createTable),
	// Nothing of these is ever changed, and of those who were erased nothing is written but through the door.
	`revoke update on erasure, sign_in, refused_look from bolster_app;
revoke insert on erasure, sign_in from bolster_app;
create index on sign_in (practice_id, at);
create index on refused_look (practice_id, at);
create index on erasure_request (practice_id, client_id);`,
	SETTINGS,
	WRITTEN,
	ERASING,
	SIGN_INS,
	MEMBERSHIPS,
	SECOND_FACTOR,
	...DOORS.map(
		(f) =>
			`revoke all on function ${f} from public;
grant execute on function ${f} to bolster_app;`
	)
].join('\n');
