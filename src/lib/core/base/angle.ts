/** Degrees outside, radians only inside one function. */
export const RAD = Math.PI / 180;
export const DEG = 180 / Math.PI;

/** Clamps x into [low, high]. */
export const clamp = (x: number, low: number, high: number): number => (x < low ? low : x > high ? high : x);
