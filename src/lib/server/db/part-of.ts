/** A search finds a part of a name as it is typed: no wildcards of its own. For `ilike`. */
export const partOf = (text: string): string => `%${text.replace(/[\\%_]/g, '\\$&')}%`;
