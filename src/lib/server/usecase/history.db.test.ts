/** The story of a sore place, fears that bind, repeated movement that closes a way, and files. Common practice; centralisation as in `repeated.ts`. */
import { randomUUID } from 'node:crypto';
import { beforeEach, describe, expect, it } from 'vitest';
import { client, demoForEach, reloaded, value } from '../../../../tests/database.ts';
import type { Story } from '#lib/core/client/story.ts';
import type { SolvedSetup } from '#lib/core/movement/context.ts';
import { fitContextOf } from '../record/fit-of.ts';
import type { ClientRecord } from '../record/load.ts';
import { slipOf } from '../record/slip-of.ts';
import type { Context } from './actor.ts';
import { attach, MOST_BYTES, readAttachment, type NewAttachment } from './attach.ts';
import { prescribe } from './prescribe.ts';
import { saveSheet } from './save-sheet.ts';
import { entryViews } from './show-entries.ts';
import { takeOutEntry } from './take-out.ts';
import { keepRepeated, tellStory } from './tell-story.ts';

const TODAY = '2026-03-12';
let physio: Context;
let trainer: Context;
demoForEach((made) => ({ physio, trainer } = made));
let nerys: ClientRecord;
beforeEach(async () => {
	nerys = await client(physio, 'Nerys');
});

const NOT_ALLOWED = { ok: false, refusal: { why: 'not-allowed' } };
const story = (patch: Partial<Story> = {}): Story => ({
	since: '2025-11-01',
	began: 'slowly',
	how: '',
	course: 'same',
	said: [],
	medicines: '',
	earlierCare: '',
	demands: '',
	feared: [],
	...patch
});
const tell = (patch: Partial<Story> = {}, region = 'back', id = randomUUID()) =>
	tellStory(physio, { id, clientId: nerys.head.id, region, story: story(patch) });
const linesOf = async (kind: string) =>
	(await physio.inPractice((t) => entryViews(t, nerys.head.id, physio.actor, { from: 0, only: kind })))
		.entries;

describe('the story', () => {
	it('told again takes the place of the one before, which stays to be read', async () => {
		value(await tell({ how: 'lifting a crate', feared: [{ family: 'step', confidence: 2 }] }));
		const after = await reloaded(physio, nerys.head.id);
		expect(after.head.stories).toHaveLength(1);
		expect(after.head.stories[0]).toMatchObject({ region: 'back', how: 'lifting a crate' });
		expect((await linesOf('story')).map((e) => e.state).sort()).toEqual(['replaced', 'stands']);
	});
	it('not of a place that was never asked about, not of tomorrow, not of a movement there is none of', async () => {
		expect(await tell({}, 'hip-left')).toMatchObject({ ok: false, refusal: { field: 'region' } });
		expect(await tell({ since: '2026-03-13' })).toMatchObject({ ok: false, refusal: { field: 'since' } });
		const said = { kind: 'imaging' as const, text: 'a picture', by: '', on: '2026-03-13' };
		expect(await tell({ said: [{ ...said, on: TODAY }, said] })).toMatchObject({
			ok: false,
			refusal: { field: 'saidOn1' }
		});
		expect(await tell({ feared: [{ family: 'constructor', confidence: 2 }] })).toMatchObject({
			ok: false,
			refusal: { field: 'feared0' }
		});
	});
	it('a second told meanwhile is a conflict, the same sent twice is one', async () => {
		const id = randomUUID();
		value(await tell({}, 'back', id));
		value(await tell({}, 'back', id));
		expect(await tell({ how: 'other words' }, 'back', id)).toMatchObject({
			ok: false,
			refusal: { why: 'conflict' }
		});
	});
});

describe('what is feared', () => {
	const give = (ctx: Context, step: string, reason?: string) =>
		prescribe(ctx, {
			id: randomUUID(),
			exerciseId: randomUUID(),
			clientId: nerys.head.id,
			family: 'lunge',
			step,
			region: 'knee-left',
			sets: 1,
			reps: 5,
			loadKg: 0,
			...(reason === undefined ? {} : { reason })
		});
	it('begins at its smallest step: farther only by a licensed user, with a reason', async () => {
		const said = await give(physio, 'split-squat');
		expect(said).toMatchObject({ ok: false, refusal: { field: 'reason' } });
		expect(said.ok ? '' : said.refusal.message).toContain('it is feared: begin with');
		const entry = await give(physio, 'held-split-squat', 'seen to hold it well');
		expect(entry).toMatchObject({ ok: true });
	});
	it('and its slip asks for confidence, whatever the policy', async () => {
		const feared = (r: ClientRecord) => {
			const e = r.exercises.find((x) => x.family === 'hinge')!;
			return slipOf(r, e, TODAY, 0).input.exercise.feared;
		};
		expect(feared(nerys)).toBe(true);
		value(await tell());
		expect(feared(await reloaded(physio, nerys.head.id))).toBeUndefined();
	});
});

it('a step is set up by its own length and no other', async () => {
	const give = (setup: SolvedSetup) =>
		prescribe(physio, {
			id: randomUUID(),
			exerciseId: randomUUID(),
			clientId: nerys.head.id,
			family: 'hinge',
			step: 'hands-on-thighs-hinge',
			region: 'back',
			sets: 1,
			reps: 5,
			loadKg: 0,
			setup,
			reason: 'seen to bow well'
		});
	const refused = await give({ handleCm: 60 });
	expect(refused).toMatchObject({ ok: false, refusal: { why: 'invalid', field: 'handleCm' } });
	expect(refused.ok ? '' : refused.refusal.message).toContain('is not set up by its handle');
	expect(await give({ bowDeg: 20 })).toMatchObject({ ok: true });
});

describe('repeated movement', () => {
	const bend = (
		leg: 'better' | 'same' | 'further-down',
		ctx = physio,
		way: 'forward' | 'backward' = 'forward',
		day = TODAY
	) => keepRepeated(ctx, { id: randomUUID(), clientId: nerys.head.id, way, leg, repetitions: 10, day });
	const because = async () =>
		fitContextOf(await reloaded(physio, nerys.head.id), TODAY).withheld?.map((w) => w.because) ?? [];
	it('further down the leg closes that way, on every screen, until a licensed user tries it again', async () => {
		expect(await because()).not.toContain('further-down-forward');
		value(await bend('further-down', trainer));
		expect(await because()).toContain('further-down-forward');
		expect(await bend('same', trainer)).toMatchObject(NOT_ALLOWED);
		expect(await because()).toContain('further-down-forward');
		value(await bend('same'));
		expect(await because()).not.toContain('further-down-forward');
	});
	it('a trainer takes no such answer out, their own or not; they may say it again', async () => {
		value(await bend('further-down', trainer));
		value(await bend('further-down', trainer));
		const e = (await linesOf('repeated'))[0]!;
		const out = {
			id: randomUUID(),
			clientId: nerys.head.id,
			kind: e.kind,
			entryId: e.id,
			reason: 'typed wrong'
		};
		expect(await takeOutEntry(trainer, out)).toMatchObject(NOT_ALLOWED);
		expect(await takeOutEntry(physio, out)).toMatchObject({ ok: true });
	});
	it('only of a back under treatment, and not of tomorrow', async () => {
		expect(await bend('same', physio, 'backward', '2026-03-13')).toMatchObject({
			ok: false,
			refusal: { field: 'day' }
		});
		const wren = await client(physio, 'Wren');
		const of = { id: randomUUID(), clientId: wren.head.id, way: 'forward' as const, leg: 'same' as const };
		expect(await keepRepeated(physio, { ...of, repetitions: 10, day: TODAY })).toMatchObject({
			ok: false,
			refusal: { field: 'way' }
		});
	});
});

describe('a range of the back', () => {
	const bow = (side: 'left' | 'right', id = randomUUID()) =>
		saveSheet(physio, nerys.head.id, {
			day: TODAY,
			ranges: [
				{
					id,
					axis: 'forwardBow',
					side,
					range: { tolerable: 50, end: 60 },
					method: 'inclinometer',
					loaded: false,
					stop: 'stretch'
				}
			],
			tests: [],
			totals: []
		});
	it('there is one of it: not one a side; it holds for both, with what stopped it', async () => {
		expect(await bow('right')).toMatchObject({ ok: false, refusal: { field: 'forwardBow.right.end' } });
		value(await bow('left'));
		const r = await reloaded(physio, nerys.head.id);
		expect(r.measurements.filter((m) => m.axis === 'forwardBow').at(-1)?.stop).toBe('stretch');
		const { envelope } = fitContextOf(r, TODAY);
		expect(envelope.forwardBow?.right).toEqual(envelope.forwardBow?.left);
		expect(envelope.forwardBow?.left?.tolerable).toBe(50);
	});
});

describe('files', () => {
	const file = (patch: Partial<NewAttachment> = {}): NewAttachment => ({
		id: randomUUID(),
		clientId: nerys.head.id,
		day: TODAY,
		kind: 'letter',
		title: 'A letter',
		media: 'application/pdf',
		bytes: Buffer.from('%PDF-1.4 made up'),
		...patch
	});
	const kept = async () => (await linesOf('attachment')).filter((e) => e.text.startsWith('A letter'));
	it('comes back as it was kept, and once taken out no more; to a colleague, not to another practice’s client', async () => {
		const sent = file();
		value(await attach(physio, sent));
		value(await attach(physio, sent));
		expect(await kept()).toHaveLength(1);
		expect(value(await readAttachment(trainer, nerys.head.id, sent.id)).bytes.equals(sent.bytes)).toBe(true);
		const wren = await client(physio, 'Wren');
		expect(await readAttachment(physio, wren.head.id, sent.id)).toMatchObject({ ok: false });
		const out = { id: randomUUID(), clientId: nerys.head.id, kind: 'attachment' as const, entryId: sent.id };
		value(await takeOutEntry(physio, { ...out, reason: 'of another client' }));
		expect(await readAttachment(physio, nerys.head.id, sent.id)).toMatchObject({ ok: false });
		expect(await readAttachment(physio, nerys.head.id, out.id)).toMatchObject({ ok: false });
	});
	it('of no other type, whatever it is called; not empty, not above 10 MB; the same id with another file is told', async () => {
		for (const [patch, said] of [
			[{ media: 'application/zip' }, 'application/zip'],
			[{ media: undefined }, 'no PDF, JPEG or PNG'],
			[{ bytes: Buffer.alloc(0) }, 'empty'],
			[{ bytes: Buffer.alloc(MOST_BYTES + 1) }, '10 MB'],
			[{ day: '2026-03-13' }, 'future']
		] as const) {
			const answer = await attach(physio, file(patch));
			expect(answer.ok ? '' : answer.refusal.message).toContain(said);
		}
		value(await attach(physio, file({ bytes: Buffer.alloc(MOST_BYTES, 1) })));
		const sent = file();
		value(await attach(physio, sent));
		expect(await attach(physio, { ...sent, bytes: Buffer.from('%PDF-1.4 other') })).toMatchObject({
			ok: false,
			refusal: { why: 'conflict' }
		});
	});
});
