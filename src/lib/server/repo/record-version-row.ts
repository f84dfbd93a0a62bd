/** The state of a client's record as the database says it: the numbers of what is theirs, and of what is the practice's. */

/** Another number after each change; `parts` has, for each table that was ever written, the number of its last change. */
interface Numbered {
	readonly version: number;
	readonly parts: Readonly<Record<string, number>>;
}

export interface RecordVersion {
	readonly version: string;
	/** Of what is the client's own, and of what is the practice's. */
	readonly own: Numbered['parts'];
	readonly shared: Numbered['parts'];
}

/** `own` is null where the client is not to be seen. */
export interface NumberedRow {
	readonly own: Numbered | null;
	readonly shared: Numbered | null;
}

export const versionOf = ([row]: readonly NumberedRow[]): RecordVersion | undefined =>
	row?.own == null
		? undefined
		: {
				version: `${row.own.version} ${row.shared?.version}`,
				own: row.own.parts,
				shared: row.shared?.parts ?? {}
			};
