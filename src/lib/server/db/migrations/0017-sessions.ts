/**
 * Who wrote a row is who is signed in: the transaction names the session, which the application's role cannot look up, and the row's writer has to be its holder. A
 * client's own page goes by its link, as before; a demo's days are made up, and its writers with them.
 */
export const TABLES = [] as const;

export const name = '0017-sessions';

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
	if not exists (select 1 from member m join auth."session" s on s."userId" = m.user_id
		where m.practice_id = new.practice_id and m.id = who and s.token = current_setting('bolster.session', true) and s."expiresAt" > now())
		then raise exception 'written by somebody who is not signed in' using errcode = '42501'; end if;
	new.recorded_at := now();
	return new;
end $$;`;

export const up = WRITTEN;
