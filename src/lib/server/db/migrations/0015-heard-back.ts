/** What is heard back: muscle soreness with a check-in, and a link that is opened is seen on Today at once. */
import type { Table } from './table.ts';

export const TABLES: readonly Table[] = [];

export const name = '0015-heard-back';

/** As before, and what Today keeps of the client is old from then on. */
const OPENED = `create or replace function open_device(h text, device text, new_id uuid) returns boolean language plpgsql security definer set search_path = public as $$
declare l client_link;
begin
	select * into l from client_link x where x.token_hash = h and good_link(x);
	if not found then return false; end if;
	insert into client_device (practice_id, id, client_id, link_id, token_hash) values (l.practice_id, new_id, l.client_id, l.id, device);
	update standing s set version = s.version + 1, valid_until = null where s.practice_id = l.practice_id and s.id = l.client_id;
	return true;
end $$;`;

const SORENESS = 'alter table checkin add column soreness smallint;';

export const up = [SORENESS, OPENED].join('\n');
