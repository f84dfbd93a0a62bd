import { expect, it } from 'vitest';
import { canonicalOnce } from './canonical.ts';
import { onceFor } from './once-for.ts';

it('works out once for each thing, and for another that is alike once more', () => {
	let asked = 0;
	const count = onceFor((x: { readonly n: number }) => (asked++, x.n === 0 ? undefined : x.n));
	const [a, b, none] = [{ n: 1 }, { n: 1 }, { n: 0 }];
	expect([count(a), count(a), count(b), count(none), count(none)]).toEqual([1, 1, 1, undefined, undefined]);
	expect(asked).toBe(3);
});

it('canonical text made once is the canonical text', () =>
	expect(canonicalOnce({ b: [1, { d: 2, c: null }], a: 'x', gone: undefined })).toBe(
		'{"a":"x","b":[1,{"c":null,"d":2}]}'
	));
