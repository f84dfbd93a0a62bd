/**
 * A practice of one's own: founding it by a one-time address, inviting people by link, its settings and its racks. What must be asked before anybody is
 * of a practice goes through narrow doors of the owner role; the application role sees no token, only what it hashes to.
 */
import { createTable, PRACTICE, type Table } from './table.ts';

export const TABLES: readonly Table[] = [
	{
		name: 'invitation',
		columns: `email text not null, name text not null, roles text[] not null, licence_no text, licensed_until date, token_hash text not null unique,
			expires_at timestamptz not null, invited_by uuid not null, used_at timestamptz, revoked_at timestamptz`
	},
	{
		name: 'practice_change',
		appended: true,
		columns: 'what text not null'
	}
];

export const name = '0009-practice';

/** Owner only: the application role can neither read nor write it. */
const FOUNDING = `create table founding (token_hash text primary key, expires_at timestamptz not null, used_at timestamptz);
create function may_found(h text) returns boolean language sql stable security definer set search_path = public as
$$ select not exists (select 1 from practice) and exists (select 1 from founding f where f.token_hash = h and f.used_at is null and f.expires_at > now()) $$;
create function found_practice(h text, pid uuid, pname text, ptz text, punits text, mid uuid, uid text, mname text, mroles text[], licence text, until date)
returns boolean language plpgsql security definer set search_path = public as $$
begin
	lock table practice in exclusive mode;
	if exists (select 1 from practice) then return false; end if;
	update founding set used_at = now() where token_hash = h and used_at is null and expires_at > now();
	if not found then return false; end if;
	insert into practice (id, name, tz, units) values (pid, pname, ptz, punits);
	insert into member (practice_id, id, user_id, name, roles, licence_no, licensed_until) values (pid, mid, uid, mname, mroles, licence, until);
	return true;
end $$;`;

/** An invitation is good once, for its days, unless it was taken back. A former member comes back under the same membership. */
const JOINING = `create function invitation_of(h text) returns table (practice text, email text, name text, roles text[])
language sql stable security definer set search_path = public as
$$ select p.name, i.email, i.name, i.roles from invitation i join practice p on p.id = i.practice_id
where i.token_hash = h and i.used_at is null and i.revoked_at is null and i.expires_at > now() $$;
create function accept_invitation(h text, mid uuid, uid text) returns uuid language plpgsql security definer set search_path = public as $$
declare i invitation;
begin
	-- Who is of the practice already stays what they are: an owner does not become a trainer by a link.
	if exists (select 1 from member m join invitation v on v.practice_id = m.practice_id
		where v.token_hash = h and m.user_id = uid and (m.ended_at is null or m.ended_at > current_date)) then return null; end if;
	update invitation set used_at = now()
	where token_hash = h and used_at is null and revoked_at is null and expires_at > now() returning * into i;
	if not found then return null; end if;
	insert into member (practice_id, id, user_id, name, roles, licence_no, licensed_until)
	values (i.practice_id, mid, uid, i.name, i.roles, i.licence_no, i.licensed_until)
	on conflict (practice_id, user_id) do update set name = excluded.name, roles = excluded.roles, licence_no = excluded.licence_no,
		licensed_until = excluded.licensed_until, ended_at = null;
	return i.practice_id;
end $$;
create function memberships_of(uid text) returns table (practice_id uuid, member_id uuid, name text, roles text[], licensed_until date, tz text, units text, practice text, emergency text)
language sql stable security definer set search_path = public as
$$ select m.practice_id, m.id, m.name, m.roles, case when m.licence_no is null then null else m.licensed_until end, p.tz, p.units, p.name, p.emergency
from member m join practice p on p.id = m.practice_id where m.user_id = uid and (m.ended_at is null or m.ended_at > current_date) order by p.name, m.practice_id $$;`;

/** Memberships are changed by an owner of the practice, never one's own; so somebody who owns it always remains. Answers what stood in the way. */
const CHANGING = `create function change_member(by_id uuid, mid uuid, mname text, mroles text[], licence text, until date, ended date)
returns text language plpgsql security definer set search_path = public as $$
declare pid uuid := ${PRACTICE};
begin
	perform 1 from practice where id = pid for update;
	if not exists (select 1 from member where practice_id = pid and id = by_id and 'owner' = any(roles) and (ended_at is null or ended_at > current_date))
		then return 'not-owner'; end if;
	if by_id = mid then return 'own'; end if;
	update member set name = mname, roles = mroles, licence_no = licence, licensed_until = until, ended_at = ended where practice_id = pid and id = mid;
	if not found then return 'unknown'; end if;
	return 'changed';
end $$;`;

const DOORS = [
	'may_found(text)',
	'found_practice(text, uuid, text, text, text, uuid, text, text, text[], text, date)',
	'invitation_of(text)',
	'accept_invitation(text, uuid, text)',
	'memberships_of(text)',
	'change_member(uuid, uuid, text, text[], text, date, date)'
];

export const up = [
	...TABLES.map(createTable),
	`alter table practice add column emergency text not null default '', add column default_policy text not null default 'pain-monitored',
	add column default_technique text;
create policy practice_change_own on practice for update using (id = ${PRACTICE}) with check (id = ${PRACTICE});
grant update (name, tz, units, emergency, default_policy, default_technique) on practice to bolster_app;
alter table equipment add column room text not null default '', add column out_of_order boolean not null default false;
grant update (used_at, revoked_at) on invitation to bolster_app;
grant select on migration to bolster_app;
alter table delegation add column call_when text not null default '';`,
	FOUNDING,
	JOINING,
	CHANGING,
	...DOORS.map(
		(f) =>
			`revoke all on function ${f} from public;
grant execute on function ${f} to bolster_app;`
	)
].join('\n');
