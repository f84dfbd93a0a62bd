/**
 * How a command about a client begins: the client is locked, and only then is looked up what a command of this id was answered and which state the record is in, each
 * by a statement of its own that sees what was written while the lock was waited for. One question instead of three.
 */
export const TABLES = [] as const;

export const name = '0024-command-begins';

export const up = `create function command_begins(p_practice uuid, p_client uuid, p_id uuid) returns jsonb language plpgsql volatile set search_path = public as $$
declare zone text; receipt_of jsonb; own_version jsonb; shared_version jsonb;
begin
	select c.tz into zone from client c where c.practice_id = p_practice and c.id = p_client for update;
	if not found then return null; end if;
	select jsonb_build_object('hash', r.content_hash, 'by', r.written_by, 'clientId', r.client_id, 'outcome', r.outcome) into receipt_of
		from receipt r where r.practice_id = p_practice and r.id = p_id;
	select jsonb_build_object('version', v.version, 'parts', v.parts) into own_version
		from record_version v where v.practice_id = p_practice and v.id = p_client;
	select jsonb_build_object('version', v.version, 'parts', v.parts) into shared_version
		from record_version v where v.practice_id = p_practice and v.id = p_practice;
	return jsonb_build_object('tz', zone, 'before', receipt_of, 'own', own_version, 'shared', shared_version);
end $$;`;
