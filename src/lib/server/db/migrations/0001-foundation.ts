/**
 * The first schema: practices, people, the clinical record, decisions. Every table of a practice carries practice_id, leads its
 * keys with it and is under row security. Appended tables can be inserted and read by the application role, nothing else.
 */

import { createTable, PRACTICE, type Table } from './table.ts';

const CLIENT = 'foreign key (practice_id, client_id) references client (practice_id, id)';
const EXERCISE = 'foreign key (practice_id, exercise_id) references exercise (practice_id, id)';

export const TABLES: readonly Table[] = [
	{
		name: 'member',
		columns: `user_id text not null, name text not null, roles text[] not null, licence_no text, licensed_until date, ended_at date`,
		keys: 'unique (practice_id, user_id)'
	},
	{
		name: 'client',
		columns: `tz text not null, status text not null default 'active', opened_on date not null`
	},
	{
		name: 'person',
		columns: `client_id uuid not null, name text not null, born date not null, occupation text`,
		keys: CLIENT
	},
	{
		name: 'client_setting',
		appended: true,
		columns: `client_id uuid not null, technique text, policy_id text not null, policy_version text not null, height_mm int not null, mass_g int not null,
			shank_mm int, thigh_mm int, front_of_knee boolean not null default false, goal text, usual jsonb not null`,
		keys: CLIENT
	},
	{
		name: 'screening',
		appended: true,
		columns: `client_id uuid not null, local_day date not null, complete boolean not null, answers jsonb not null`,
		keys: CLIENT
	},
	{
		name: 'flag',
		appended: true,
		columns: `client_id uuid not null, local_day date not null, code text not null, region text, severity text not null check (severity in ('red','review'))`,
		keys: CLIENT
	},
	{
		name: 'flag_closing',
		appended: true,
		columns: `flag_id uuid not null, local_day date not null, note text not null`,
		keys: 'foreign key (practice_id, flag_id) references flag (practice_id, id), unique (practice_id, flag_id)'
	},
	{
		name: 'surgery',
		appended: true,
		columns: `client_id uuid not null, region text not null, local_day date not null, limits_entered boolean not null`,
		keys: CLIENT
	},
	{
		name: 'protocol_limit',
		appended: true,
		columns: `client_id uuid not null, axis text not null, side text not null, max_tenths int not null, source text not null, review_on date, lifted boolean not null default false`,
		keys: CLIENT
	},
	{
		name: 'measurement',
		appended: true,
		columns: `client_id uuid not null, axis text not null, side text not null, onset_tenths int not null, tolerable_tenths int not null, end_tenths int not null,
			pain smallint not null, local_day date not null, method text not null, raw_value int, loaded boolean not null`,
		keys: CLIENT
	},
	{
		name: 'equipment',
		columns: `kind text not null check (kind in ('seat','pad','wedge','weight')), label text not null, value numeric not null, unit text not null, mm int, g int, count int not null`
	},
	{
		name: 'exercise',
		columns: `client_id uuid not null, family text not null, region text not null, side text, purpose text not null`,
		keys: CLIENT
	},
	{
		name: 'decision',
		appended: true,
		columns: `exercise_id uuid not null, client_id uuid not null, local_day date not null, based_on uuid not null, inputs jsonb not null, inputs_hash text not null,
			versions jsonb not null, proposal jsonb not null, answer text not null check (answer in ('accepted','altered','overridden','undone')), outcome jsonb not null`,
		keys: `${CLIENT}, ${EXERCISE}`
	},
	{
		name: 'prescription',
		appended: true,
		columns: `exercise_id uuid not null, client_id uuid not null, local_day date not null, step text not null, dose jsonb not null, setup jsonb, snapshot jsonb not null,
			state text not null check (state in ('active','stopped','set-aside')), kind text not null, restores_id uuid, decision_id uuid`,
		keys: `${CLIENT}, ${EXERCISE}, foreign key (practice_id, decision_id) references decision (practice_id, id)`
	},
	{
		name: 'visit',
		appended: true,
		columns: `client_id uuid not null, local_day date not null, tz text not null, started_at timestamptz not null, observed boolean not null`,
		keys: CLIENT
	},
	{
		name: 'exercise_log',
		appended: true,
		columns: `visit_id uuid not null, client_id uuid not null, exercise_id uuid not null, prescription_id uuid not null, prescribed jsonb not null, sets jsonb not null, pains jsonb not null,
			pain_at text, pain_only_loaded boolean, symptoms jsonb, radiating_lower boolean, cauda_equina text, faults jsonb, incomplete_because text, soreness smallint, confidence smallint`,
		keys: `${CLIENT}, foreign key (practice_id, visit_id) references visit (practice_id, id), foreign key (practice_id, prescription_id) references prescription (practice_id, id)`
	},
	{
		name: 'checkin',
		appended: true,
		columns: `client_id uuid not null, local_day date not null, moment text not null check (moment in ('morning','evening')), region text not null, pain smallint, stiffness_min smallint, swelling text,
			provocation smallint, recalled boolean not null default false`,
		keys: CLIENT
	},
	{
		name: 'day_event',
		appended: true,
		columns: `client_id uuid not null, local_day date not null, kind text not null`,
		keys: CLIENT
	},
	{
		name: 'delegation',
		appended: true,
		columns: `client_id uuid not null, member_id uuid not null, families text[] not null, expires date not null`,
		keys: CLIENT
	},
	{ name: 'access_log', appended: true, columns: `client_id uuid not null, what text not null`, keys: CLIENT }
];

const INDEXES = [
	'create index on person (practice_id, client_id)',
	'create index on client_setting (practice_id, client_id)',
	'create index on screening (practice_id, client_id)',
	'create index on flag (practice_id, client_id)',
	'create index on protocol_limit (practice_id, client_id)',
	'create index on measurement (practice_id, client_id, axis, side, local_day)',
	'create index on exercise (practice_id, client_id)',
	'create index on prescription (practice_id, exercise_id)',
	'create index on prescription (practice_id, client_id)',
	'create index on visit (practice_id, client_id, local_day)',
	'create index on exercise_log (practice_id, prescription_id)',
	'create index on exercise_log (practice_id, client_id)',
	'create index on checkin (practice_id, client_id, local_day)',
	'create index on day_event (practice_id, client_id, local_day)',
	'create index on decision (practice_id, client_id)',
	'create index on access_log (practice_id, client_id, recorded_at)'
].join(';\n');

/** The auth library's own tables, in a schema of their own; written here since its runner takes no lock. */
const AUTH = `
create schema auth;
create table auth."user" (id text primary key, name text not null, email text not null unique, "emailVerified" boolean not null, image text, "createdAt" timestamptz not null default current_timestamp, "updatedAt" timestamptz not null default current_timestamp);
create table auth."session" (id text primary key, "expiresAt" timestamptz not null, token text not null unique, "createdAt" timestamptz not null default current_timestamp, "updatedAt" timestamptz not null, "ipAddress" text, "userAgent" text, "userId" text not null references auth."user" (id) on delete cascade);
create table auth."account" (id text primary key, "accountId" text not null, "providerId" text not null, "userId" text not null references auth."user" (id) on delete cascade, "accessToken" text, "refreshToken" text, "idToken" text, "accessTokenExpiresAt" timestamptz, "refreshTokenExpiresAt" timestamptz, scope text, password text, "createdAt" timestamptz not null default current_timestamp, "updatedAt" timestamptz not null);
create table auth."verification" (id text primary key, identifier text not null, value text not null, "expiresAt" timestamptz not null, "createdAt" timestamptz not null default current_timestamp, "updatedAt" timestamptz not null default current_timestamp);
create table auth."rateLimit" (id text primary key, key text not null unique, count integer not null, "lastRequest" bigint not null);
create index on auth."session" ("userId");
create index on auth."account" ("userId");
create index on auth."verification" (identifier);
grant usage on schema auth to bolster_app;
grant select, insert, update, delete on all tables in schema auth to bolster_app;`;

export const name = '0001-foundation';

export const up = [
	`create table practice (id uuid primary key, name text not null, tz text not null, units text not null, is_demo boolean not null default false);
alter table practice enable row level security;
create policy practice_own on practice using (id = ${PRACTICE}) with check (id = ${PRACTICE});
grant select on practice to bolster_app;`,
	...TABLES.map(createTable),
	`${INDEXES};`,
	// Who a signed-in user is must be asked before the practice is known: one narrow door through row security.
	`create function member_of(uid text) returns table (practice_id uuid, member_id uuid, name text, roles text[], licensed_until date, tz text, units text, practice text)
language sql stable security definer set search_path = public as
$$ select m.practice_id, m.id, m.name, m.roles, case when m.licence_no is null then null else m.licensed_until end, p.tz, p.units, p.name
from member m join practice p on p.id = m.practice_id where m.user_id = uid and (m.ended_at is null or m.ended_at > current_date) order by m.practice_id limit 1 $$;
revoke all on function member_of(text) from public;
grant execute on function member_of(text) to bolster_app;`,
	AUTH
].join('\n');
