/**
 * Each rule of a client by itself: what it says and of which day, at both sides of each boundary. The days and lines are practice settings; what is an
 * emergency and what is seen the same day is common guidance (red flags, from memory).
 */
import { describe, expect, it } from 'vitest';
import { KNEE, morning, record, session } from '../../../../../tests/records.ts';
import type { Morning } from '../../session/record.ts';
import { factsOf } from '../facts.ts';
import type { DecideInput } from '../input.ts';
import type { ClientRuleId } from '../rule-id.ts';
import { CLIENT_RULES } from './client-rules.ts';

const PS = 'practice-setting';
const RED = 'red-flags-common';
type ClientPatch = Partial<DecideInput['client']>;
const input = ({ client, ...patch }: Partial<Omit<DecideInput, 'client'>> & { client?: ClientPatch }) => {
	const r = record(patch);
	return { ...r, client: { ...r.client, ...client } };
};
/** The whole answer of one rule. Today is 20 March. */
const says = (rule: ClientRuleId, patch: Parameters<typeof input>[0] = {}) =>
	CLIENT_RULES.find((r) => r.rule === rule)!.judge(factsOf(input(patch)));
const arrival = (date: string, more: object = {}) => ({
	...{ date, clean: false, unwell: false, fell: false, closed: [] },
	...more
});
const clean = (date: string) => arrival(date, { clean: true });
const flag = (id: string, more: object = {}) => ({ id, severity: 'red' as const, open: true, ...more });
const knee = (more: Partial<Morning>, date = '2026-03-18') => [morning(date, 2, more)];

describe('fever and illness', () => {
	const of = (day: string) => [{ code: 'arrival.unwell', met: true, source: PS, day }];
	it('told at the door, in a morning, or of today, until the next clean arrival', () => {
		expect(says('wait.unwell')).toEqual([]);
		const sick = arrival('2026-03-17', { unwell: true });
		expect(says('wait.unwell', { client: { arrivals: [sick, arrival('2026-03-19')] } })).toEqual(
			of('2026-03-17')
		);
		expect(says('wait.unwell', { mornings: [...knee({ fever: true }), morning('2026-03-19', 2)] })).toEqual(
			of('2026-03-18')
		);
		const both = { client: { arrivals: [sick] }, mornings: knee({ fever: true }, '2026-03-15') };
		expect(says('wait.unwell', both)).toEqual(of('2026-03-17'));
		// The same day does not clear it, the day after does; a day that has not come clears nothing.
		const cleared = (day: string) => says('wait.unwell', { client: { arrivals: [sick, clean(day)] } });
		expect([cleared('2026-03-17'), cleared('2026-03-18'), cleared('2026-03-21')]).toEqual([
			of('2026-03-17'),
			[],
			of('2026-03-17')
		]);
		expect(cleared('2026-03-20')).toEqual([]);
	});
	it('an illness noted holds on its day alone, and nothing that is still to come holds', () => {
		const event = (kind: 'illness' | 'injection', date: string) =>
			says('wait.unwell', { events: [{ kind, date }] });
		expect(event('illness', '2026-03-20')).toEqual(of('2026-03-20'));
		expect([event('illness', '2026-03-19'), event('injection', '2026-03-20')]).toEqual([[], []]);
		expect(says('wait.unwell', { mornings: knee({ fever: true }, '2026-03-21') })).toEqual([]);
	});
});

describe('a fall', () => {
	it('holds from the last one until the next clean arrival', () => {
		const fell = (day: string) => arrival(day, { fell: true });
		const of = (day: string) => [{ code: 'arrival.fall', met: true, source: PS, day }];
		const fall = (...arrivals: ReturnType<typeof arrival>[]) => says('wait.fall', { client: { arrivals } });
		expect([says('wait.fall'), fall(arrival('2026-03-19'))]).toEqual([[], []]);
		expect(fall(fell('2026-03-12'), fell('2026-03-16'), fell('2026-03-14'))).toEqual(of('2026-03-16'));
		expect(fall(fell('2026-03-12'), clean('2026-03-14'), fell('2026-03-16'))).toEqual(of('2026-03-16'));
		expect(fall(fell('2026-03-12'), clean('2026-03-14'))).toEqual([]);
		expect(fall(fell('2026-03-12'), clean('2026-03-12'))).toEqual(of('2026-03-12'));
	});
});

describe('an operation', () => {
	it('waits for its limits, or for being recorded', () => {
		const done = (limitsEntered: boolean) => ({ region: KNEE, date: '2026-02-01', limitsEntered });
		const surgery = [done(true), done(false)] as unknown as DecideInput['client']['surgery'];
		expect(says('wait.protocol', { client: { surgery } })).toEqual([
			{ code: 'surgery.no-limits', met: true, source: 'local-protocol', day: '2026-02-01', region: KNEE }
		]);
		const unrecorded = (operationUnrecorded: boolean) =>
			says('wait.protocol', { client: { operationUnrecorded } }).map((r) => r.code);
		expect([unrecorded(true), unrecorded(false), says('wait.protocol')]).toEqual([
			['surgery.unrecorded'],
			[],
			[]
		]);
	});
});

describe('what is looked at first', () => {
	const codes = (patch: Parameters<typeof says>[1]) => says('wait.review', patch);
	it('a usual of six of the region or of another, not of five', () => {
		const usual = (own: number, other: number) =>
			codes({ client: { usual: { [KNEE]: { intake: own }, back: { intake: other } } }, mornings: [] });
		const of = (region: string) => [
			{ code: 'usual.high', met: true, source: PS, value: 6, threshold: 6, region }
		];
		expect([usual(5, 5), usual(6, 5), usual(5, 6)]).toEqual([[], of(KNEE), of('back')]);
		const unasked = { [KNEE]: { intake: 2 }, back: {} };
		expect(codes({ client: { usual: unasked as DecideInput['client']['usual'] } })).toEqual([]);
	});
	it('swelling clearly more on two mornings running, the later of them within a week', () => {
		const swollen = (...days: string[]) =>
			codes({ mornings: days.map((d) => morning(d, 2, { swelling: 'clearly-more' })) }).filter(
				(r) => r.code === 'swelling.twice'
			);
		const of = (day: string) => [{ code: 'swelling.twice', met: true, source: PS, region: KNEE, day }];
		expect(swollen('2026-03-18', '2026-03-19')).toEqual(of('2026-03-19'));
		expect(swollen('2026-03-13', '2026-03-14')).toEqual(of('2026-03-14'));
		// Both are looked for within the week: the fourteenth is its first day but one.
		expect([swollen('2026-03-12', '2026-03-13'), swollen('2026-03-17', '2026-03-19')]).toEqual([[], []]);
		expect(
			codes({
				mornings: [
					morning('2026-03-18', 2, { swelling: 'a-little' }),
					morning('2026-03-19', 2, { swelling: 'clearly-more' })
				]
			})
		).toEqual([]);
	});
	it('pain that closed the region on two mornings running, told of the last', () => {
		const pained = (...of: (readonly [string, number])[]) =>
			codes({ mornings: of.map(([d, n]) => morning(d, n)) }).filter((r) => r.code === 'pain.closed-twice');
		expect(pained(['2026-03-17', 9], ['2026-03-18', 8], ['2026-03-19', 9])).toEqual([
			{ code: 'pain.closed-twice', met: true, source: PS, region: KNEE, day: '2026-03-19', value: 9 }
		]);
		expect(pained(['2026-03-17', 9], ['2026-03-18', 1], ['2026-03-19', 9])).toEqual([]);
		expect(pained(['2026-03-12', 9], ['2026-03-13', 9])).toHaveLength(1);
		expect(pained(['2026-03-11', 9], ['2026-03-12', 9])).toEqual([]);
	});
	it('a third setting aside, not a second; advances are none', () => {
		const aside = (n: number) =>
			codes({
				changes: [
					{ date: '2026-03-10', kind: 'start' },
					{ date: '2026-03-11', kind: 'advance' },
					...Array.from({ length: n }, () => ({ date: '2026-03-12', kind: 'set-aside' as const }))
				]
			});
		expect([aside(2), aside(3)]).toEqual([
			[],
			[{ code: 'set-aside.third', met: true, source: PS, value: 3, threshold: 3 }]
		]);
	});
	it('a flare of more than a week', () => {
		const flare = (flareDays: number) => {
			const f = factsOf(input({}));
			const { judge } = CLIENT_RULES.find((r) => r.rule === 'wait.review')!;
			return judge({ ...f, state: { ...f.state, flareDays } });
		};
		expect([flare(7), flare(8)]).toEqual([
			[],
			[{ code: 'flare.long', met: true, source: PS, value: 8, threshold: 7 }]
		]);
	});
	it('a flag for review that reaches the region, while it is open', () => {
		const review = (more: object) =>
			codes({ client: { flags: [flag('night', { severity: 'review', ...more })] } });
		expect(review({})).toEqual([{ code: 'flag.review', met: true, source: PS, value: 'night' }]);
		expect([
			review({ open: false }),
			review({ severity: 'caution' }),
			review({ region: 'knee-left' })
		]).toEqual([[], [], []]);
	});
});

describe('screening', () => {
	const screened = (date: string, complete = true) =>
		says('wait.screen', { client: { screening: { date, complete } } });
	it('is there, complete, and as old as the policy allows; one of tomorrow is none', () => {
		const { screeningDays } = record().policy;
		expect(says('wait.screen', { client: { screening: undefined } as never })).toEqual([
			{ code: 'screening.missing', met: true, source: PS }
		]);
		expect(screened('2026-03-01', false)).toEqual([
			{ code: 'screening.incomplete', met: true, source: PS, day: '2026-03-01' }
		]);
		expect([screened('2026-03-20'), screened('2026-03-21').map((r) => r.code)]).toEqual([
			[],
			['screening.old']
		]);
		const back = (n: number) => new Date(Date.UTC(2026, 2, 20 - n)).toISOString().slice(0, 10);
		expect([
			screened(back(screeningDays)),
			screened(back(screeningDays + 1)).map((r) => [r.value, r.threshold])
		]).toEqual([[], [[screeningDays + 1, screeningDays]]]);
	});
	it('is asked again after eight weeks away, unless it was asked since they were over', () => {
		// The last session was on 23 January: 56 days before today.
		const away = (last: string, date: string) =>
			says('wait.screen', { sessions: [session(last)], client: { screening: { date, complete: true } } }).map(
				(r) => [r.code, r.value]
			);
		expect(away('2026-01-23', '2026-03-01')).toEqual([['away.long', 56]]);
		expect(away('2026-01-24', '2026-03-01')).toEqual([]);
		expect(away('2026-01-20', '2026-03-16')).toEqual([['away.long', 59]]);
		expect(away('2026-01-20', '2026-03-17')).toEqual([]);
	});
});

describe('what refers', () => {
	const told = (...symptoms: string[]) => [
		session('2026-03-16'),
		session('2026-03-18', { symptoms: symptoms as never })
	];
	it('an emergency told in a session, of its day, until it was cleared that day or later', () => {
		expect(says('refer.emergency', { sessions: told('chest-pain') })).toEqual([
			{ code: 'symptom.chest-pain', met: true, source: RED, day: '2026-03-18', value: 'emergency-chest-pain' }
		]);
		expect(says('refer.emergency', { sessions: told('pregnancy-stop') }).map((r) => r.code)).toEqual([
			'symptom.pregnancy-stop'
		]);
		const cleared = (clearedOn: string) =>
			says('refer.emergency', { sessions: told('chest-pain'), client: { clearedOn } });
		expect([cleared('2026-03-17').length, cleared('2026-03-18')]).toEqual([1, []]);
	});
	it('the saddle area, with what was answered; a back that is treated counts whatever is trained', () => {
		expect(says('refer.emergency', { sessions: told('numbness') })).toEqual([
			{ code: 'symptom.cauda-equina', met: true, source: RED, day: '2026-03-18', value: 'unknown' }
		]);
		const yes = [session('2026-03-18', { caudaEquina: 'yes' })];
		expect(says('refer.emergency', { sessions: yes }).map((r) => r.value)).toEqual(['yes']);
		const leaks = (region: string) =>
			says('refer.emergency', {
				sessions: told('leakage'),
				client: { usual: { [KNEE]: { intake: 2 }, [region]: { intake: 2 } } }
			}).length;
		expect([leaks('back'), leaks('hip-left')]).toEqual([1, 0]);
	});
	it('a joint that is hot, of its own region and not of a day to come, until the flag is closed on that day or later', () => {
		const hot = knee({ swelling: 'hot' });
		const of = [{ code: 'morning.hot-joint', met: true, source: RED, day: '2026-03-18', region: KNEE }];
		expect(says('refer.hot-joint', { mornings: hot })).toEqual(of);
		expect(says('refer.hot-joint', { mornings: [...hot, morning('2026-03-19', 1)] })).toEqual(of);
		// A calf is another alarm of the same morning.
		expect(says('refer.hot-joint', { mornings: knee({ calf: true }) })).toEqual([]);
		expect(says('refer.hot-joint', { mornings: knee({ swelling: 'hot', region: 'knee-left' }) })).toEqual([]);
		expect(says('refer.hot-joint', { mornings: knee({ swelling: 'hot' }, '2026-03-20') })).toHaveLength(1);
		expect(says('refer.hot-joint', { mornings: knee({ swelling: 'hot' }, '2026-03-21') })).toEqual([]);
		expect(says('refer.emergency', { mornings: knee({ swelling: 'hot', cannotStand: true }) })).toEqual([
			{ ...of[0]!, code: 'morning.emergency-hot-joint' }
		]);
		const closed = (...flags: object[]) =>
			says('refer.hot-joint', { mornings: hot, client: { flags: flags as never } });
		expect(closed(flag('hot-joint', { open: false, closedOn: '2026-03-18' }))).toEqual([]);
		expect(closed(flag('hot-joint', { open: false, closedOn: '2026-03-17' }))).toEqual(of);
		expect(closed(flag('hot-joint', { open: false }))).toEqual(of);
		expect(closed(flag('wound', { open: false, closedOn: '2026-03-19' }))).toEqual(of);
		expect(closed(flag('hot-joint', { open: true, closedOn: '2026-03-19' }))).toHaveLength(2);
	});
	it('a calf, told in a session or a morning, or as a flag', () => {
		expect(says('refer.calf', { sessions: told('calf-swelling') })).toEqual([
			{ code: 'symptom.calf-swelling', met: true, source: 'wells-2003', day: '2026-03-18' }
		]);
		expect(says('refer.calf', { sessions: told('locking') })).toEqual([]);
		expect(says('refer.calf', { mornings: knee({ calf: true }) }).map((r) => r.code)).toEqual([
			'morning.calf-swelling'
		]);
		const closed = flag('calf-swelling', { open: false, closedOn: '2026-03-18' });
		expect(says('refer.calf', { sessions: told('calf-swelling'), client: { flags: [closed] } })).toEqual([]);
		const open = (id: string) => says('refer.calf', { client: { flags: [flag(id)] } }).map((r) => r.value);
		expect([open('calf-swelling'), open('night')]).toEqual([['calf-swelling'], []]);
	});
	it('a red flag by its name and region, where it reaches; an emergency by its urgency', () => {
		const red = (more: object) => says('refer.red-flag', { client: { flags: [flag('night', more)] } });
		expect(red({ region: KNEE })).toEqual([
			{ code: 'flag.open', met: true, source: RED, value: 'night', region: KNEE }
		]);
		expect(red({})).toEqual([{ code: 'flag.open', met: true, source: RED, value: 'night' }]);
		expect([red({ open: false }), red({ severity: 'caution' }), red({ region: 'hip-left' })]).toEqual([
			[],
			[],
			[]
		]);
		const urgent = (urgency: string) =>
			says('refer.emergency', { client: { flags: [flag('x', { urgency }) as never] } });
		expect([urgent('emergency').length, urgent('urgent').length]).toEqual([1, 0]);
		const hot = (id: string) =>
			says('refer.hot-joint', { client: { flags: [flag(id)] } }).map((r) => r.value);
		expect([hot('hot-joint'), hot('night')]).toEqual([['hot-joint'], []]);
	});
});

describe('pain somewhere new', () => {
	it('of three in the last session, before or at its worst, where nothing is treated', () => {
		const hurt = (region: string, pain: object) => {
			const s = session('2026-03-18');
			return says('hold.new-region', {
				sessions: [session('2026-03-16'), { ...s, pains: [...s.pains, { region, ...pain }] }]
			});
		};
		const of = (value: number) => [
			{
				code: 'pain.new-region',
				met: true,
				source: PS,
				region: 'ankle-left',
				value,
				threshold: 3,
				day: '2026-03-18'
			}
		];
		expect([hurt('ankle-left', { before: 3 }), hurt('ankle-left', { before: 2, peak: 4 })]).toEqual([
			of(3),
			of(4)
		]);
		expect([
			hurt('ankle-left', { before: 2, peak: 2 }),
			hurt('ankle-left', {}),
			hurt(KNEE, { before: 9 })
		]).toEqual([[], [], []]);
		expect(says('hold.new-region', { sessions: [] })).toEqual([]);
	});
});
