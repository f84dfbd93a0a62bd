/** The SQL of one table of a practice: keys that lead with practice_id, row security, and for appended tables no update or delete. */

/** Columns every appended row has. */
const APPENDED = `
	written_by uuid not null,
	recorded_at timestamptz not null default now(),
	content_hash text not null,
	replaces_id uuid,
	voided boolean not null default false,
	reason text`;

export interface Table {
	readonly name: string;
	readonly columns: string;
	readonly appended?: boolean;
	/** More constraints, comma-separated. */
	readonly keys?: string;
}

export const PRACTICE = `(select nullif(current_setting('bolster.practice', true), '')::uuid)`;

export function createTable({ name, columns, appended = false, keys }: Table): string {
	const parts = [
		'practice_id uuid not null references practice (id)',
		'id uuid not null',
		columns,
		...(appended ? [APPENDED] : []),
		'primary key (practice_id, id)'
	];
	if (appended)
		parts.push(
			'unique (practice_id, replaces_id)',
			`foreign key (practice_id, replaces_id) references ${name} (practice_id, id)`
		);
	if (keys !== undefined) parts.push(keys);
	return `create table ${name} (${parts.join(',\n')});
alter table ${name} enable row level security;
create policy ${name}_practice on ${name} using (practice_id = ${PRACTICE}) with check (practice_id = ${PRACTICE});
grant select${name === 'member' ? '' : ', insert'}${appended || name === 'member' ? '' : ', update'} on ${name} to bolster_app;`;
}
