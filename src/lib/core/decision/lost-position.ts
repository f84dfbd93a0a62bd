/** A position that is lost within a set: set anew once, then the set is over; next time shorter sets, and more of them. @source common-practice */

/** The fault that says so. */
export const LOSES_POSITION = 'position-lost-midset';

/** The position was lost so many times in one set: the first time it is set anew, then the set ends. */
export const whenPositionLost = (times: number): 'anew' | 'end-set' => (times < 2 ? 'anew' : 'end-set');
