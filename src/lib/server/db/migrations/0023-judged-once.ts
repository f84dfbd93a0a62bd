/** Whoever judges a row of Today takes it first, for a while: of several processes one does it. What changes meanwhile is nobody's again. */
export const TABLES = [] as const;

export const name = '0023-judged-once';

export const up = `alter table standing add column judging_until timestamptz;`;
