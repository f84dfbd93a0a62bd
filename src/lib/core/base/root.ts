/**
 * One root of a continuous function inside a bracket, by regula falsi with the Illinois step (Dowell & Jarratt 1971): no derivative,
 * never leaves the bracket. Where both ends have one sign there is no root in it; the end nearer to zero is answered and `found` is
 * false. @source dowell-jarratt-1971
 */
export interface Root {
	readonly x: number;
	readonly found: boolean;
}

/** Enough halvings for the flattest root; a steep one takes about eight steps. */
const MOST = 200;

/** @example rootIn((x) => x * x - 2, 0, 2).x → 1.41421356… */
export function rootIn(f: (x: number) => number, low: number, high: number, precision = 1e-10): Root {
	let a = low;
	let b = high;
	let fa = f(a);
	let fb = f(b);
	if (fa === 0) return { x: a, found: true };
	if (fb === 0) return { x: b, found: true };
	if (!(fa * fb < 0)) return { x: Math.abs(fa) <= Math.abs(fb) ? a : b, found: false };
	let side = 0;
	for (let i = 0; i < MOST && Math.abs(b - a) > precision; i++) {
		const guess = (fa * b - fb * a) / (fa - fb);
		// A step that hardly moves the bracket is replaced by halving it.
		const x = i % 8 === 7 || !(guess > Math.min(a, b) && guess < Math.max(a, b)) ? 0.5 * (a + b) : guess;
		const fx = f(x);
		if (Math.abs(fx) < 1e-13) return { x, found: true };
		if (fx * fb < 0) {
			a = b;
			fa = fb;
			side = 0;
		} else if (side === 1) fa *= 0.5;
		else side = 1;
		b = x;
		fb = fx;
	}
	return { x: b, found: true };
}

/** The same root, looked for from a guess by secants; falls back to the bracket when they stray. For walks over neighbouring problems. */
export function rootNear(
	f: (x: number) => number,
	guess: number,
	low: number,
	high: number,
	precision = 1e-7
): Root {
	let x0 = guess;
	let x1 = guess + (guess + 1e-3 < high ? 1e-3 : -1e-3);
	let f0 = f(x0);
	for (let i = 0; i < 8; i++) {
		const f1 = f(x1);
		if (f1 === f0) break;
		const x2 = x1 - (f1 * (x1 - x0)) / (f1 - f0);
		if (!(x2 >= low && x2 <= high)) break;
		if (Math.abs(x2 - x1) < precision) return { x: x2, found: true };
		x0 = x1;
		f0 = f1;
		x1 = x2;
	}
	return rootIn(f, low, high, precision);
}
