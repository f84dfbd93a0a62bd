/** Reading appended tables: only heads, that is rows nobody replaced, and not voided ones. */
import { sql, type RawBuilder } from 'kysely';

/** `where` text for the heads of an appended table under an alias. */
export const isHead = (table: string, alias: string): RawBuilder<boolean> =>
	sql<boolean>`not ${sql.ref(`${alias}.voided`)} and not exists (select 1 from ${sql.table(table)} later where later.practice_id = ${sql.ref(`${alias}.practice_id`)} and later.replaces_id = ${sql.ref(`${alias}.id`)})`;

/** Whose record is read: one client's, several, or all of the practice when none is named. */
export type Whose = string | readonly string[] | undefined;

export function ofClient(alias: string, whose: Whose, column = 'client_id'): RawBuilder<boolean> {
	if (whose === undefined) return sql<boolean>`true`;
	const at = sql.ref(`${alias}.${column}`);
	return typeof whose === 'string'
		? sql<boolean>`${at} = ${whose}`
		: sql<boolean>`${at} = any(${whose as string[]}::uuid[])`;
}

/** Drops nulls, so that absent stays absent in the core. */
export function withoutNulls<T extends object>(o: T): { [K in keyof T]?: Exclude<T[K], null> } {
	return Object.fromEntries(Object.entries(o).filter(([, v]) => v !== null && v !== undefined)) as {
		[K in keyof T]?: Exclude<T[K], null>;
	};
}
