/**
 * The signed week of a client, and the client's own page: a link whose token only its holder has, and the devices it was opened on. A transaction of that page
 * sees its client and nobody else, and writes only what a client tells: the database sees to it, whatever the program says.
 */
import { createTable, type Table } from './table.ts';

export const TABLES: readonly Table[] = [
	{
		name: 'client_week',
		appended: true,
		columns: 'client_id uuid not null, local_day date not null, content jsonb not null',
		keys: 'foreign key (practice_id, client_id) references client (practice_id, id)'
	},
	{
		name: 'client_link',
		appended: true,
		columns: `client_id uuid not null, local_day date not null, token_hash text not null, expires_at timestamptz not null, email text not null default ''`,
		keys: 'foreign key (practice_id, client_id) references client (practice_id, id)'
	},
	{
		// One reminder a day, whoever sends it.
		name: 'nudge',
		columns:
			'client_id uuid not null, local_day date not null, at timestamptz not null default now(), unique (practice_id, client_id, local_day)',
		keys: 'foreign key (practice_id, client_id) references client (practice_id, id)'
	},
	{
		// A device the link was opened on; it ends with its link.
		name: 'client_device',
		columns:
			'client_id uuid not null, link_id uuid not null, token_hash text not null unique, opened_at timestamptz not null default now()',
		keys: 'foreign key (practice_id, link_id) references client_link (practice_id, id)'
	}
];

export const name = '0014-week-and-link';

const CLIENT = `(select nullif(current_setting('bolster.client', true), '')::uuid)`;

/** What a client's page reads that is nobody's record: the practice, what stands in its rooms, its own ladders. */
const COMMON = ['practice', 'equipment', 'own_family'];
/** What a client tells, with what the telling leaves behind. */
const TOLD = ['checkin', 'day_event', 'arrival', 'visit', 'exercise_log', 'flag', 'receipt', 'access_log'];

const quoted = (names: readonly string[]): string => names.map((n) => `'${n}'`).join(', ');

/** Every table of a practice is narrowed to the client where one is set; what has none of theirs is empty then. */
const NARROWED = `do $$ declare t record; mine text; begin
	for t in select c.relname as name,
			exists (select 1 from pg_attribute a where a.attrelid = c.oid and a.attname = 'client_id' and not a.attisdropped) as has_client
		from pg_class c join pg_namespace n on n.oid = c.relnamespace and n.nspname = 'public'
		where c.relkind = 'r' and c.relrowsecurity and c.relname not in (${quoted(COMMON)})
	loop
		mine := case when t.has_client then $q$client_id = ${CLIENT}$q$
			when t.name in ('client', 'standing') then $q$id = ${CLIENT}$q$
			when t.name = 'flag_closing' then $q$exists (select 1 from flag f where f.id = flag_id and f.client_id = ${CLIENT})$q$
			else 'false' end;
		execute format($q$create policy %I on %I as restrictive using (${CLIENT} is null or %s)$q$, t.name || '_client', t.name, mine);
		if t.name not in (${quoted([...TOLD, 'standing'])}) then
			execute format($q$create policy %I on %I as restrictive for insert with check (${CLIENT} is null)$q$, t.name || '_not_told', t.name);
		end if;
	end loop;
	foreach mine in array array[${quoted(COMMON)}] loop
		execute format($q$create policy %I on %I as restrictive for insert with check (${CLIENT} is null)$q$, mine || '_not_told', mine);
		execute format($q$create policy %I on %I as restrictive for update using (${CLIENT} is null)$q$, mine || '_not_changed', mine);
	end loop;
end $$;`;

/** A link is good until its day, unless it was taken back or another took its place, and while the client agrees to it. */
const GOOD = `create function good_link(l client_link) returns boolean language sql stable security definer set search_path = public as
$$ select not l.voided and l.expires_at > now()
	and not exists (select 1 from client_link s where s.practice_id = l.practice_id and s.replaces_id = l.id)
	and exists (select 1 from client c where c.practice_id = l.practice_id and c.id = l.client_id and c.status = 'active')
	and coalesce((select k.given from consent k where k.practice_id = l.practice_id and k.client_id = l.client_id and k.purpose = 'phone-link' order by k.recorded_at desc limit 1), false) $$;`;

/** The doors of the client's page: a device made of a link's token, and whose page a device shows. Neither tells a wrong token from an old one. */
const DOORS = `create function open_device(h text, device text, new_id uuid) returns boolean language plpgsql security definer set search_path = public as $$
declare l client_link;
begin
	select * into l from client_link x where x.token_hash = h and good_link(x);
	if not found then return false; end if;
	insert into client_device (practice_id, id, client_id, link_id, token_hash) values (l.practice_id, new_id, l.client_id, l.id, device);
	return true;
end $$;
create function client_at(device text) returns table (practice_id uuid, client_id uuid, link_id uuid, name text, client_tz text, practice text, tz text, units text,
	emergency text, emergency_words text, week_start smallint, date_order text)
language sql stable security definer set search_path = public as
$$ select d.practice_id, d.client_id, d.link_id, n.name, c.tz, p.name, p.tz, p.units, p.emergency, p.emergency_words, p.week_start, p.date_order
from client_device d join client_link l on l.practice_id = d.practice_id and l.id = d.link_id
join client c on c.practice_id = d.practice_id and c.id = d.client_id join person n on n.practice_id = d.practice_id and n.client_id = d.client_id
join practice p on p.id = d.practice_id where d.token_hash = device and good_link(l) $$;`;

/** Who wrote a row: as before a member of today, or the client of the transaction by a link that is good. */
const WRITTEN = `create or replace function as_written() returns trigger language plpgsql security definer set search_path = public as $$
declare
	who uuid := nullif(current_setting('bolster.member', true), '')::uuid;
	whose uuid := nullif(current_setting('bolster.client', true), '')::uuid;
begin
	if session_user <> 'bolster_app' then return new; end if;
	if who is null or new.written_by is distinct from who
		then raise exception 'written by another than whose transaction it is' using errcode = '42501'; end if;
	if whose is not null then
		if not exists (select 1 from client_link l where l.practice_id = new.practice_id and l.id = who and l.client_id = whose and good_link(l))
			then raise exception 'written by a link that is none' using errcode = '42501'; end if;
		if not (select p.is_demo from practice p where p.id = new.practice_id) then new.recorded_at := now(); end if;
		return new;
	end if;
	if (select p.is_demo from practice p where p.id = new.practice_id) then return new; end if;
	if not exists (select 1 from member m where m.practice_id = new.practice_id and m.id = who and (m.ended_at is null or m.ended_at > current_date))
		then raise exception 'written by nobody of the practice' using errcode = '42501'; end if;
	new.recorded_at := now();
	return new;
end $$;`;

/** Hours in which nothing leaves for a client by itself. */
const QUIET = `alter table practice
	add column quiet_from smallint not null default 20 check (quiet_from between 0 and 23),
	add column quiet_to smallint not null default 9 check (quiet_to between 0 and 23);
grant update (quiet_from, quiet_to) on practice to bolster_app;`;

/**
 * Whose morning is missing after a session, over all practices: with a link that is good, an address, and letters agreed to; nobody was reminded today. Writing the
 * reminder down comes first, so that two servers send one. In a demo the day stands still.
 */
const NUDGES = `create function nudges_due(fixed date) returns table (practice_id uuid, client_id uuid, email text, name text, practice text, tz text, language text,
	quiet_from smallint, quiet_to smallint, local_day date)
language sql stable security definer set search_path = public as
$$ select x.practice_id, x.client_id, x.email, n.name, p.name, c.tz,
	(select s.language from client_setting s where s.practice_id = x.practice_id and s.client_id = x.client_id order by s.recorded_at desc limit 1), p.quiet_from, p.quiet_to, d.day
from client_link x join client c on c.practice_id = x.practice_id and c.id = x.client_id join practice p on p.id = x.practice_id
join person n on n.practice_id = x.practice_id and n.client_id = x.client_id
cross join lateral (select coalesce(fixed, ((now() at time zone c.tz) - interval '3 hours')::date) as day) d
where x.email <> '' and good_link(x)
	and coalesce((select k.given from consent k where k.practice_id = x.practice_id and k.client_id = x.client_id and k.purpose = 'letters' order by k.recorded_at desc limit 1), false)
	and exists (select 1 from visit v where v.practice_id = x.practice_id and v.client_id = x.client_id and v.local_day = d.day - 1 and not v.voided)
	and not exists (select 1 from checkin m where m.practice_id = x.practice_id and m.client_id = x.client_id and m.moment = 'morning' and m.local_day = d.day and not m.voided)
	and not exists (select 1 from nudge g where g.practice_id = x.practice_id and g.client_id = x.client_id and g.local_day = d.day) $$;
create function note_nudge(pid uuid, cid uuid, day date) returns boolean language sql security definer set search_path = public as
$$ with written as (insert into nudge (practice_id, id, client_id, local_day) values (pid, gen_random_uuid(), cid, day) on conflict do nothing returning 1)
select exists (select 1 from written) $$;`;

const OPENED = [
	'nudges_due(date)',
	'note_nudge(uuid, uuid, date)',
	'open_device(text, text, uuid)',
	'client_at(text)'
];

export const up = [
	...TABLES.map(createTable),
	// A device is made and ended through its link alone.
	`revoke insert, update on client_device, nudge from bolster_app;
create index on client_week (practice_id, client_id);
create index on client_link (practice_id, client_id);
create unique index on client_link (token_hash) where not voided;`,
	...['client_week', 'client_link'].map(
		(t) => `create trigger as_written before insert on ${t} for each row execute function as_written();`
	),
	GOOD,
	QUIET,
	NUDGES,
	WRITTEN,
	DOORS,
	NARROWED,
	`revoke all on function good_link(client_link) from public;`,
	...OPENED.map(
		(f) => `revoke all on function ${f} from public;
grant execute on function ${f} to bolster_app;`
	)
].join('\n');
