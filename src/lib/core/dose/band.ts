/**
 * A band by its rank, not by a colour: colours differ from maker to maker. The rank is the practice's own order, lightest first.
 * @source common-practice
 */
export const BANDS = ['extra-light', 'light', 'medium', 'heavy', 'extra-heavy'] as const;
export type Band = (typeof BANDS)[number];
