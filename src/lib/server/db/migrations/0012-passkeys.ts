/** Passkeys, in the table of the sign-in library. */
import type { Table } from './table.ts';

export const TABLES: readonly Table[] = [];

export const name = '0012-passkeys';

export const up = `create table auth.passkey (id text primary key, name text, "publicKey" text not null, "userId" text not null references auth."user" (id) on delete cascade,
	"credentialID" text not null unique, counter bigint not null, "deviceType" text not null, "backedUp" boolean not null, transports text, "createdAt" timestamptz, aaguid text);
create index on auth.passkey ("userId");
grant select, insert, update, delete on auth.passkey to bolster_app;`;
