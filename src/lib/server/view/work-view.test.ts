/** The work on a client in its order: what each place says of itself, and the one thing that is next. Common practice: what holds back comes first. */
import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { SCREENING } from '#lib/catalogue/screening.ts';
import { clientOf, PLAIN, TODAY } from '../../../../tests/clients.ts';
import { hashOf } from '../record/slip-of.ts';
import type { ClientRecord } from '../record/load.ts';
import { heldWork } from './held-work.ts';
import { slipsByNeed } from './slips-by-need.ts';
import { workView } from './work-view.ts';

const answers = Object.fromEntries(SCREENING.map((c) => [c.id, 'no' as const]));
const whole = (): ClientRecord => {
	const r = clientOf(PLAIN);
	return { ...r, head: { ...r.head, screening: { date: '2026-03-01', complete: true, answers } } };
};
const view = (r: ClientRecord) => workView(r, TODAY, heldWork(r, TODAY), slipsByNeed(r, TODAY));
const state = (r: ClientRecord, to: string) => {
	const e = view(r).entries.find((x) => x.to === to);
	return [e?.state, e?.tone];
};
const withHead = (patch: Partial<ClientRecord['head']>): ClientRecord => ({
	...whole(),
	head: { ...whole().head, ...patch }
});
const flag = (severity: 'red' | 'caution') => ({
	id: '1',
	code: 'night-pain',
	region: null,
	severity,
	urgency: severity === 'red' ? ('urgent' as const) : ('caution' as const),
	day: TODAY,
	open: true,
	closedOn: null,
	closing: null
});

describe('each place says where it stands', () => {
	it('screening: not yet, how much is open, a flag, a missing protocol, when it is due, when it was done', () => {
		expect(state(withHead({ screening: null }), 'screen')).toEqual(['not yet', 'due']);
		const { 'night-pain': _, ...left } = answers;
		expect(
			state(withHead({ screening: { date: '2026-03-01', complete: false, answers: left } }), 'screen')
		).toEqual(['1 unanswered', 'due']);
		expect(state(withHead({ flags: [flag('red')] }), 'screen')).toEqual(['1 flag', 'stop']);
		expect(state(withHead({ flags: [flag('caution')] }), 'screen')).toEqual(['done Sun 1 Mar', 'plain']);
		expect(
			state(
				withHead({
					surgery: [
						{
							id: '1',
							region: 'knee-left',
							date: TODAY,
							operation: null,
							limitsEntered: false,
							noLimits: null,
							enteredOn: TODAY,
							protocol: null
						}
					]
				}),
				'screen'
			)
		).toEqual(['no protocol', 'stop']);
		expect(state(withHead({ screening: { date: '2025-04-01', complete: true, answers } }), 'screen')[1]).toBe(
			'due'
		);
	});
	it('ranges that are too old are counted, each axis and side', () => {
		const old = {
			...whole(),
			measurements: whole().measurements.map((m) =>
				m.axis === 'kneeFlexion' ? { ...m, day: '2025-12-01' } : m
			)
		};
		expect(state(old, 'measure')).toEqual(['2 due', 'due']);
		expect(state({ ...whole(), measurements: [] }, 'measure')).toEqual(['not yet', 'due']);
	});
	it('a morning is missing only after a session of the day before', () => {
		const mornings = whole().mornings.filter((m) => m.date !== TODAY);
		expect(state({ ...whole(), mornings }, 'morning')).toEqual(['', 'plain']);
		const logs = whole().logs.map((l) => ({ ...l, session: { ...l.session, date: '2026-03-19' } }));
		expect(state({ ...whole(), mornings, logs }, 'morning')).toEqual(['1 missing', 'due']);
		expect(state({ ...whole(), logs }, 'morning')).toEqual(['in', 'plain']);
	});
	it('a slip waits to be signed until it is answered', () => {
		const [slip] = slipsByNeed(whole(), TODAY);
		expect(['advance', 'hold', 'regress']).toContain(slip?.trace.decision);
		expect(state(whole(), 'decide')).toEqual(['1 to sign', 'act']);
		const answered = {
			...whole(),
			exercises: whole().exercises.map((e) => ({ ...e, answered: slip === undefined ? '' : hashOf(slip) }))
		};
		expect(state(answered, 'decide')).toEqual(['', 'plain']);
		expect(view(answered).next?.to ?? '').not.toMatch(/^decide/);
	});
	it('a slip that only waits, for a morning, is nobody’s to sign', () => {
		const mornings = whole().mornings.filter((m) => m.date !== TODAY);
		const logs = whole().logs.map((l, i) =>
			i < 2 ? l : { ...l, session: { ...l.session, date: '2026-03-19' } }
		);
		const r = { ...whole(), mornings, logs };
		expect(slipsByNeed(r, TODAY)[0]?.trace.decision).toBe('wait');
		expect(state(r, 'decide')).toEqual(['', 'plain']);
		expect(view(r).next?.to).toBe('morning');
	});
	it('held work is said where it is planned', () => {
		const held = withHead({
			limits: [
				{
					id: '1',
					axis: 'kneeFlexion',
					side: PLAIN.side,
					maxDeg: 30,
					when: 'always',
					source: 'letter',
					reviewOn: null,
					since: TODAY
				}
			]
		});
		expect(state(held, 'plan')).toEqual(['1 held', 'stop']);
		expect(view(held).next).toMatchObject({
			to: expect.stringMatching(/^decide\?exercise=/) as string,
			text: expect.stringMatching(/^Sign the mend for /) as string
		});
	});
});

describe('one thing is next', () => {
	it('in the order in which one holds back the other', () => {
		const bare = { ...whole(), exercises: [], logs: [] };
		const next = (r: ClientRecord) => view(r).next?.to;
		expect(next(withHead({ screening: null, flags: [flag('red')] }))).toBe('screen');
		expect(next(withHead({ screening: null }))).toBe('screen');
		expect(next({ ...bare, head: { ...bare.head, setting: { ...bare.head.setting, usual: {} } } })).toBe(
			'ask'
		);
		expect(next({ ...bare, measurements: [] })).toBe('measure');
		expect(next(bare)).toBe('ladders');
	});
	it('the way of a first visit, one part after the other, until an exercise was given', () => {
		const { setting: known, screening } = whole().head;
		const bare = (patch: Partial<ClientRecord>, head: Partial<ClientRecord['head']> = {}) => {
			const r = { ...whole(), exercises: [], everGiven: [], logs: [], measurements: [], ...patch };
			const setting = { ...r.head.setting, usual: {} };
			return view({ ...r, head: { ...r.head, screening: null, setting, ...head } }).first?.map(
				({ to, status }) => `${to} ${status}`
			);
		};
		const asked = { setting: known };
		expect(bare({})).toEqual(['screen current', 'ask pending', 'measure pending', 'ladders pending']);
		expect(bare({}, { screening: { ...screening!, complete: false } })?.[0]).toBe('screen current');
		expect(bare({}, { screening })).toEqual([
			...['screen completed', 'ask current', 'measure pending', 'ladders pending']
		]);
		// Asked before it was screened: what is first stays next.
		expect(bare({}, asked)?.slice(0, 2)).toEqual(['screen current', 'ask completed']);
		const { measurements } = whole();
		expect(bare({ measurements }, { screening, ...asked })).toEqual([
			...['screen completed', 'ask completed', 'measure completed', 'ladders current']
		]);
		// One that has ended was given all the same.
		expect(bare({ everGiven: whole().everGiven })).toBeUndefined();
	});
	it('every place is named once, in four groups that follow each other, with a key of its own', () => {
		const { entries } = view(whole());
		expect(new Set(entries.map((e) => e.to)).size).toBe(15);
		expect(new Set(entries.map((e) => e.key)).size).toBe(15);
		// Nor is it a key of one of their own pages: it would lead away from it.
		const pages = readdirSync('src/routes/clients/[id]', { recursive: true, encoding: 'utf8' }).filter((f) =>
			f.endsWith('+page.svelte')
		);
		const own = pages.flatMap((f) =>
			[...readFileSync(`src/routes/clients/[id]/${f}`, 'utf8').matchAll(/\['([a-z])', '/g)].map((m) => m[1])
		);
		expect(own).toContain('g');
		expect(own.filter((key) => entries.some((e) => e.key === key))).toEqual([]);
		expect([...new Set(entries.map((e) => e.group))]).toEqual(['know', 'plan', 'do', 'judge']);
	});
});
