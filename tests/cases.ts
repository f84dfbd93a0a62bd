/** How often a case must have been reached for a property to mean something; asked only of a whole run, not of the short ones that mutants get. */
const SHORT = process.env.FC_RUNS !== undefined;

export const reached = (times: number): number => (SHORT ? -1 : times);
export const WHOLE_RUN = !SHORT;
