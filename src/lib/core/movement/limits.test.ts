/** The limit on one axis of one side, at both sides of each line. Margins and days are a policy's; here the test's own. Common practice. */
import { describe, expect, it } from 'vitest';
import type { Envelope, ProtocolLimit, Tolerated } from '../client/envelope.ts';
import { allowedOn, axisLimit, usableOf, type WorkKind } from './limits.ts';

const free: WorkKind = { loaded: false, openChain: false, weightBearing: false };
const knee = (more: Partial<ProtocolLimit>): ProtocolLimit => ({
	axis: 'kneeFlexion',
	side: 'right',
	...more
});
const allowed = (limits: readonly ProtocolLimit[], work = free) =>
	allowedOn('kneeFlexion', 'right', limits, work);

describe('what a protocol allows', () => {
	it('is the strictest of its windows on that axis and that side; open at an end where none says', () => {
		expect([allowed([]), allowed([knee({})])]).toEqual([undefined, undefined]);
		expect(allowed([knee({ maxDeg: 90 })])).toEqual({ minDeg: -Infinity, maxDeg: 90 });
		expect(allowed([knee({ minDeg: 10 })])).toEqual({ minDeg: 10, maxDeg: Infinity });
		const several = [
			knee({ minDeg: 5, maxDeg: 80 }),
			knee({ minDeg: 20, maxDeg: 100 }),
			knee({ maxDeg: 70 })
		];
		expect(allowed(several)).toEqual({ minDeg: 20, maxDeg: 70 });
		expect(
			allowed([knee({ side: 'left', maxDeg: 30 }), knee({ axis: 'hipAbduction', maxDeg: 30 })])
		).toBeUndefined();
	});
	it('holds in the work it names, and in all where it names none', () => {
		const kinds = [
			['loaded', { loaded: true }],
			['open-chain', { openChain: true }],
			['weight-bearing', { weightBearing: true }]
		] as const;
		for (const [when, own] of kinds) {
			const limit = [knee({ when, maxDeg: 60 })];
			const holding = kinds.filter(([, kind]) => allowed(limit, { ...free, ...kind }) !== undefined);
			expect(holding.map(([of]) => of)).toEqual([when]);
			expect(allowed(limit)).toBeUndefined();
			expect(allowed([knee({ maxDeg: 60 })], { ...free, ...own })?.maxDeg).toBe(60);
		}
	});
});

describe('the limit of a range', () => {
	const rules = { base: 'tolerable', marginDeg: 5, loadedMarginDeg: 10, staleDays: 28 } as const;
	const tolerated = (more: Partial<Tolerated> = {}): Tolerated => ({
		...{ painFree: 90, tolerable: 100, end: 110, date: '2026-03-01', loaded: false },
		...more
	});
	const limit = (
		known: Tolerated | undefined,
		{ work = free, today = '2026-03-12', protocol = [] as readonly ProtocolLimit[], more = {} } = {}
	) => {
		const envelope: Envelope = known === undefined ? {} : { kneeFlexion: { right: known } };
		return axisLimit('kneeFlexion', 'right', envelope, protocol, { ...rules, ...more }, today, work);
	};
	const margin = (known: Tolerated, work = free) => {
		const l = limit(known, { work });
		return l.kind === 'known' ? l.margin : l.reason;
	};
	it('is not known without a measurement of that side, or with one that is too old', () => {
		expect(limit(undefined)).toEqual({
			...{ kind: 'unknown', axis: 'kneeFlexion', side: 'right', reason: 'missing' },
			allowed: undefined
		});
		expect(limit(tolerated(), { today: '2026-03-29' }).kind).toBe('known');
		expect(limit(tolerated(), { today: '2026-03-30' })).toMatchObject({
			reason: 'stale',
			date: '2026-03-01'
		});
		const left: Envelope = { kneeFlexion: { left: tolerated() } };
		expect(axisLimit('kneeFlexion', 'right', left, [], rules, '2026-03-12', free).kind).toBe('unknown');
	});
	it('says beside it what a protocol allows, known or not', () => {
		const protocol = [knee({ maxDeg: 70 })];
		for (const known of [undefined, tolerated(), tolerated({ date: '2025-01-01' })])
			expect(limit(known, { protocol }).allowed).toEqual({ minDeg: -Infinity, maxDeg: 70 });
		expect(limit(tolerated()).allowed).toBeUndefined();
	});
	it('is what the policy starts from, less its margin where pain limits', () => {
		expect(limit(tolerated())).toMatchObject({ limit: 100, margin: 5 });
		expect(limit(tolerated(), { more: { base: 'painFree' } })).toMatchObject({ limit: 90 });
		const free110 = { painFree: 110, tolerable: 110 };
		expect([margin(tolerated(free110)), margin(tolerated({ ...free110, painFree: 109.9 }))]).toEqual([0, 5]);
		// Free all the way, and the end itself hurts: a margin is kept.
		expect(margin(tolerated({ ...free110, endHurts: true }))).toBe(5);
		expect(margin(tolerated({ ...free110, endHurts: false }))).toBe(0);
	});
	it('keeps the wider margin under load against a range that was measured without', () => {
		const loaded = { ...free, loaded: true };
		expect(margin(tolerated(), loaded)).toBe(10);
		expect(margin(tolerated({ painFree: 110, tolerable: 110 }), loaded)).toBe(10);
		expect(margin(tolerated({ loaded: true }), loaded)).toBe(5);
		const ankle: Envelope = { weightBearingDorsiflexion: { right: tolerated() } };
		const l = axisLimit('weightBearingDorsiflexion', 'right', ankle, [], rules, '2026-03-12', loaded);
		expect(l).toMatchObject({ margin: 5 });
	});
	it('what may be used is the lesser of both; equal, it is what is tolerated; the model’s error comes off a protocol alone', () => {
		const use = (known: Tolerated | undefined, maxDeg?: number) =>
			usableOf(limit(known, { protocol: maxDeg === undefined ? [] : [knee({ maxDeg })] }), 3);
		expect(use(undefined)).toBeNull();
		expect(use(tolerated())).toEqual({ deg: 95, by: 'tolerated' });
		expect(use(undefined, 70)).toEqual({ deg: 67, by: 'protocol' });
		expect([use(tolerated(), 97), use(tolerated(), 98), use(tolerated(), 120)]).toEqual([
			{ deg: 94, by: 'protocol' },
			{ deg: 95, by: 'tolerated' },
			{ deg: 95, by: 'tolerated' }
		]);
		// A window that is open above says nothing of how far.
		expect(usableOf(limit(undefined, { protocol: [knee({ minDeg: 10 })] }), 3)).toBeNull();
	});
});
