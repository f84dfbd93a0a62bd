/**
 * Work that is done aside and survives a restart: reminders wait in a queue of package `pg-boss` (10.4.2, its tables as it plans them, version 24), in a schema of its
 * own. A job holds ids and a day, nothing of a person; who is written to is asked when it is sent, so that what was withdrawn meanwhile counts.
 */
import type { Table } from './table.ts';

export const TABLES: readonly Table[] = [];

export const name = '0016-jobs';

const PLAN = `CREATE SCHEMA IF NOT EXISTS job
  ;

    CREATE TYPE job.job_state AS ENUM (
      'created',
      'retry',
      'active',
      'completed',
      'cancelled',
      'failed'
    )
  ;

    CREATE TABLE job.version (
      version int primary key,
      maintained_on timestamp with time zone,
      cron_on timestamp with time zone,
      monitored_on timestamp with time zone
    )
  ;

    CREATE TABLE job.queue (
      name text,
      policy text,
      retry_limit int,
      retry_delay int,
      retry_backoff bool,
      expire_seconds int,
      retention_minutes int,
      dead_letter text REFERENCES job.queue (name),
      partition_name text,
      created_on timestamp with time zone not null default now(),
      updated_on timestamp with time zone not null default now(),
      PRIMARY KEY (name)
    )
  ;

    CREATE TABLE job.schedule (
      name text REFERENCES job.queue ON DELETE CASCADE,
      cron text not null,
      timezone text,
      data jsonb,
      options jsonb,
      created_on timestamp with time zone not null default now(),
      updated_on timestamp with time zone not null default now(),
      PRIMARY KEY (name)
    )
  ;

    CREATE TABLE job.subscription (
      event text not null,
      name text not null REFERENCES job.queue ON DELETE CASCADE,
      created_on timestamp with time zone not null default now(),
      updated_on timestamp with time zone not null default now(),
      PRIMARY KEY(event, name)
    )
  ;

    CREATE TABLE job.job (
      id uuid not null default gen_random_uuid(),
      name text not null,
      priority integer not null default(0),
      data jsonb,
      state job.job_state not null default('created'),
      retry_limit integer not null default(2),
      retry_count integer not null default(0),
      retry_delay integer not null default(0),
      retry_backoff boolean not null default false,
      start_after timestamp with time zone not null default now(),
      started_on timestamp with time zone,
      singleton_key text,
      singleton_on timestamp without time zone,
      expire_in interval not null default interval '15 minutes',
      created_on timestamp with time zone not null default now(),
      completed_on timestamp with time zone,
      keep_until timestamp with time zone NOT NULL default now() + interval '14 days',
      output jsonb,
      dead_letter text,
      policy text
    ) PARTITION BY LIST (name)
  ;
ALTER TABLE job.job ADD PRIMARY KEY (name, id);
CREATE TABLE job.archive (LIKE job.job);
ALTER TABLE job.archive ADD PRIMARY KEY (name, id);
ALTER TABLE job.archive ADD archived_on timestamptz NOT NULL DEFAULT now();
CREATE INDEX archive_i1 ON job.archive(archived_on);

    CREATE FUNCTION job.create_queue(queue_name text, options json)
    RETURNS VOID AS
    $$
    DECLARE
      table_name varchar := 'j' || encode(sha224(queue_name::bytea), 'hex');
      queue_created_on timestamptz;
    BEGIN

      WITH q as (
      INSERT INTO job.queue (
        name,
        policy,
        retry_limit,
        retry_delay,
        retry_backoff,
        expire_seconds,
        retention_minutes,
        dead_letter,
        partition_name
      )
      VALUES (
        queue_name,
        options->>'policy',
        (options->>'retryLimit')::int,
        (options->>'retryDelay')::int,
        (options->>'retryBackoff')::bool,
        (options->>'expireInSeconds')::int,
        (options->>'retentionMinutes')::int,
        options->>'deadLetter',
        table_name
      )
      ON CONFLICT DO NOTHING
      RETURNING created_on
      )
      SELECT created_on into queue_created_on from q;

      IF queue_created_on IS NULL THEN
        RETURN;
      END IF;

      EXECUTE format('CREATE TABLE job.%I (LIKE job.job INCLUDING DEFAULTS)', table_name);

      EXECUTE format('ALTER TABLE job.%1$I ADD PRIMARY KEY (name, id)', table_name);
      EXECUTE format('ALTER TABLE job.%1$I ADD CONSTRAINT q_fkey FOREIGN KEY (name) REFERENCES job.queue (name) ON DELETE RESTRICT DEFERRABLE INITIALLY DEFERRED', table_name);
      EXECUTE format('ALTER TABLE job.%1$I ADD CONSTRAINT dlq_fkey FOREIGN KEY (dead_letter) REFERENCES job.queue (name) ON DELETE RESTRICT DEFERRABLE INITIALLY DEFERRED', table_name);
      EXECUTE format('CREATE UNIQUE INDEX %1$s_i1 ON job.%1$I (name, COALESCE(singleton_key, '''')) WHERE state = ''created'' AND policy = ''short''', table_name);
      EXECUTE format('CREATE UNIQUE INDEX %1$s_i2 ON job.%1$I (name, COALESCE(singleton_key, '''')) WHERE state = ''active'' AND policy = ''singleton''', table_name);
      EXECUTE format('CREATE UNIQUE INDEX %1$s_i3 ON job.%1$I (name, state, COALESCE(singleton_key, '''')) WHERE state <= ''active'' AND policy = ''stately''', table_name);
      EXECUTE format('CREATE UNIQUE INDEX %1$s_i4 ON job.%1$I (name, singleton_on, COALESCE(singleton_key, '''')) WHERE state <> ''cancelled'' AND singleton_on IS NOT NULL', table_name);
      EXECUTE format('CREATE INDEX %1$s_i5 ON job.%1$I (name, start_after) INCLUDE (priority, created_on, id) WHERE state < ''active''', table_name);

      EXECUTE format('ALTER TABLE job.%I ADD CONSTRAINT cjc CHECK (name=%L)', table_name, queue_name);
      EXECUTE format('ALTER TABLE job.job ATTACH PARTITION job.%I FOR VALUES IN (%L)', table_name, queue_name);
    END;
    $$
    LANGUAGE plpgsql;
  ;

    CREATE FUNCTION job.delete_queue(queue_name text)
    RETURNS VOID AS
    $$
    DECLARE
      table_name varchar;
    BEGIN
      WITH deleted as (
        DELETE FROM job.queue
        WHERE name = queue_name
        RETURNING partition_name
      )
      SELECT partition_name from deleted INTO table_name;

      EXECUTE format('DROP TABLE IF EXISTS job.%I', table_name);
    END;
    $$
    LANGUAGE plpgsql;
  ;
INSERT INTO job.version(version) VALUES ('24');`;

/** One reminder a client and day waits at a time; a mail server that is down is tried again for half a day. */
const QUEUE = `select job.create_queue('reminder', '{"policy": "short", "retryLimit": 7, "retryDelay": 300, "retryBackoff": true}');
grant usage on schema job to bolster_app;
grant select, insert, update, delete on all tables in schema job to bolster_app;
revoke insert, update, delete on job.queue, job.schedule from bolster_app;`;

/** A number that texts go to, beside the address or in its place. */
const PHONE = `alter table client_link add column phone text not null default '';`;

/** Whose morning is missing, as before, by address or number; and who is written to, asked again when it is sent. */
const NUDGES = `drop function nudges_due(date);
create function wants_reminder(l client_link, day date) returns boolean language sql stable security definer set search_path = public as
$$ select (l.email <> '' or l.phone <> '') and good_link(l)
	and coalesce((select k.given from consent k where k.practice_id = l.practice_id and k.client_id = l.client_id and k.purpose = 'letters' order by k.recorded_at desc limit 1), false)
	and exists (select 1 from visit v where v.practice_id = l.practice_id and v.client_id = l.client_id and v.local_day = day - 1 and not v.voided)
	and not exists (select 1 from checkin m where m.practice_id = l.practice_id and m.client_id = l.client_id and m.moment = 'morning' and m.local_day = day and not m.voided) $$;
create function nudges_due(fixed date) returns table (practice_id uuid, client_id uuid, tz text, quiet_from smallint, quiet_to smallint, local_day date)
language sql stable security definer set search_path = public as
$$ select x.practice_id, x.client_id, c.tz, p.quiet_from, p.quiet_to, d.day
from client_link x join client c on c.practice_id = x.practice_id and c.id = x.client_id join practice p on p.id = x.practice_id
cross join lateral (select coalesce(fixed, ((now() at time zone c.tz) - interval '3 hours')::date) as day) d
where wants_reminder(x, d.day)
	and not exists (select 1 from nudge g where g.practice_id = x.practice_id and g.client_id = x.client_id and g.local_day = d.day) $$;
create function reminder_to(pid uuid, cid uuid, day date) returns table (email text, phone text, name text, practice text, tz text, language text, quiet_from smallint, quiet_to smallint)
language sql stable security definer set search_path = public as
$$ select x.email, x.phone, n.name, p.name, c.tz,
	(select s.language from client_setting s where s.practice_id = x.practice_id and s.client_id = x.client_id order by s.recorded_at desc limit 1), p.quiet_from, p.quiet_to
from client_link x join client c on c.practice_id = x.practice_id and c.id = x.client_id join practice p on p.id = x.practice_id
join person n on n.practice_id = x.practice_id and n.client_id = x.client_id
where x.practice_id = pid and x.client_id = cid and wants_reminder(x, day) limit 1 $$;
revoke all on function wants_reminder(client_link, date), nudges_due(date), reminder_to(uuid, uuid, date) from public;
grant execute on function nudges_due(date), reminder_to(uuid, uuid, date) to bolster_app;`;

export const up = [PLAN, QUEUE, PHONE, NUDGES].join('\n');
