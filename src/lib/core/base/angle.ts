/** Degrees outside, radians only inside one function. */
export const RAD = Math.PI / 180;
export const DEG = 180 / Math.PI;

/** A cosine that rounding, or a reach too far, has carried past ±1. */
export const cosine = (c: number): number => (c > 1 ? 1 : c < -1 ? -1 : c);

/** Clamps x into [low, high]. */
export const clamp = (x: number, low: number, high: number): number => (x < low ? low : x > high ? high : x);
