/**
 * A client's archive, against things outside: the bundle is accepted by an independent FHIR R4 validator (package `fhir`, profiles of HL7 4.0.1) and by the
 * rules it does not check, written from the specification: references that resolve, one value each, dateTimes with a zone, nothing empty; LOINC codes end in
 * their Luhn digit (LOINC Users' Guide); CSV is read by a strict RFC 4180 reader (package `csv-parse`).
 */
import { parse } from 'csv-parse/sync';
import { Fhir } from 'fhir';
import { strFromU8, unzipSync } from 'fflate';
import type { Bundle, Observation } from 'fhir/r4';
import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { CLIENTS } from '../../../../demo/people.ts';
import { readPdf, textOf } from '../../../../tests/pdf-text.ts';
import { as, client, cloneOf, value, type TestDatabase } from '../../../../tests/database.ts';
import { cellOf, csvOf, readCell } from '#lib/exchange/csv.ts';
import { LOINC_CODES } from '#lib/exchange/fhir/resource.ts';
import { loadRecords } from '../record/load.ts';
import type { Context } from './actor.ts';
import { endEpisode } from './end-episode.ts';
import { exportClient } from './export-client.ts';
import { looks } from '../repo/access-repo.ts';
import { tellEvening } from './tell-evening.ts';
import { writeNote } from './write-note.ts';

let d: TestDatabase;
let physio: Context;
beforeAll(async () => {
	d = await cloneOf('template_demo');
	physio = await as(d, 'physiotherapist');
});
afterAll(() => d.close());

const filesOf = async (id: string, ctx = physio) => unzipSync(value(await exportClient(ctx, id)).bytes);
const bundleIn = (files: Record<string, Uint8Array>): Bundle =>
	JSON.parse(strFromU8(files['record.fhir.json']!)) as Bundle;

/** Every value of a JSON tree with its path. */
function* walk(value: unknown, path = ''): Generator<readonly [string, unknown]> {
	yield [path, value];
	if (typeof value === 'object' && value !== null)
		for (const [k, v] of Object.entries(value)) yield* walk(v, `${path}.${k}`);
}

describe('the bundle', () => {
	it('of every client of the demo is accepted by the validator, and by the rules that it does not check', async () => {
		const validator = new Fhir();
		const all = await physio.inPractice((t) => loadRecords(t));
		expect(all).toHaveLength(CLIENTS.length);
		const kinds = new Set<string>();
		for (const r of all) {
			const bundle = bundleIn(await filesOf(r.head.id));
			const { valid, messages } = validator.validate(bundle as never, { errorOnUnexpected: true });
			expect(
				messages.filter((m) => m.severity === 'error' || m.severity === 'fatal'),
				r.head.name
			).toEqual([]);
			expect(valid).toBe(true);
			const urls = bundle.entry!.map((e) => e.fullUrl);
			expect(new Set(urls).size).toBe(urls.length);
			const there = new Set(bundle.entry!.map((e) => `${e.resource!.resourceType}/${e.resource!.id}`));
			for (const { resource } of bundle.entry!) {
				kinds.add(resource!.resourceType);
				expect(resource!.id).toMatch(/^[A-Za-z0-9.-]{1,64}$/);
				expect(Object.keys(resource!).filter((k) => k.startsWith('value')).length).toBeLessThanOrEqual(1);
			}
			for (const [path, v] of walk(bundle)) {
				expect(v === null || v === '' || (typeof v === 'object' && Object.keys(v).length === 0), path).toBe(
					false
				);
				if (path.endsWith('.reference') && typeof v === 'string') expect(there, path).toContain(v);
				if (/\.(dateTime|effectiveDateTime|performedDateTime|authoredOn|authored|date|timestamp)$/.test(path))
					expect(v, path).toMatch(/^\d{4}-\d{2}-\d{2}(T\d{2}:\d{2}:\d{2}(\.\d+)?(Z|[+-]\d{2}:\d{2}))?$/);
			}
		}
		expect([...kinds].sort()).toEqual(
			expect.arrayContaining([
				'CarePlan',
				'ClinicalImpression',
				'Consent',
				'Flag',
				'Goal',
				'Observation',
				'Organization',
				'Patient',
				'Procedure',
				'QuestionnaireResponse',
				'ServiceRequest'
			])
		);
	});
	it('the validator would refuse what is wrong: a status of another release, a missing code, a field of no release', () => {
		const validator = new Fhir();
		const wrong = (resource: object) =>
			validator.validate({ resourceType: 'Bundle', type: 'collection', entry: [{ resource }] } as never, {
				errorOnUnexpected: true
			}).valid;
		const plan = { resourceType: 'CarePlan', intent: 'plan', subject: { reference: 'Patient/x' } };
		expect([
			wrong({ ...plan, status: 'active' }),
			wrong({ ...plan, status: 'suspended' }),
			wrong({ resourceType: 'Observation', status: 'final' }),
			wrong({ ...plan, status: 'active', mood: 'fine' })
		]).toEqual([true, false, false, false]);
	});
	it('says what was measured and done, pain by when it was', async () => {
		const amos = await client(physio, 'Amos');
		const bundle = bundleIn(await filesOf(amos.head.id));
		const of = (type: string) => bundle.entry!.filter((e) => e.resource!.resourceType === type);
		expect(of('ServiceRequest')).toHaveLength(amos.everGiven.reduce((n, e) => n + e.prescriptions.length, 0));
		expect(of('Procedure').length).toBe(amos.logs.length + amos.head.surgery.length);
		const codes = of('Observation').flatMap((e) =>
			((e.resource as Observation).code.coding ?? []).map((c) => c.code)
		);
		expect(codes.filter((c) => c === 'pain-next-morning')).toHaveLength(amos.mornings.length);
		expect(codes).toEqual(expect.arrayContaining(['pain-in-session-peak', '8302-2', '29463-7']));

		// Measured when it was set, not when the record was opened.
		await d.owner.query(
			`update client_setting set recorded_at = '2026-02-01T23:30:00Z' where client_id = $1`,
			[amos.head.id]
		);
		const anew = bundleIn(await filesOf(amos.head.id));
		const height = anew.entry!.find((e) => e.resource!.id === `${amos.head.setting.id}-h`)!;
		expect((height.resource as Observation).effectiveDateTime).toBe('2026-02-01');
	});
	it('says the pain of an evening with the session of its day', async () => {
		const amos = await client(physio, 'Amos');
		const day = amos.logs
			.map((l) => l.session.date)
			.sort()
			.at(-1)!;
		const regions = Object.keys(amos.head.setting.usual).map((region) => ({
			id: randomUUID(),
			region,
			pain: 4
		}));
		const evening = { id: randomUUID(), clientId: amos.head.id, day, soreness: 3, regions };
		value(await tellEvening(physio, evening, new Date(`${day}T20:00:00Z`)));
		const found = bundleIn(await filesOf(amos.head.id)).entry!.map((e) => e.resource as Observation);
		const said = found.filter((o) => o.code?.coding?.some((c) => c.code === 'pain-in-session-evening'));
		expect(said.map((o) => [o.effectiveDateTime, o.valueInteger])).toContainEqual([day, 4]);
	});
	it('its LOINC codes carry their check digit', () => {
		const luhn = (digits: string): number =>
			[...digits].reverse().reduce((sum, c, i) => {
				const n = Number(c) * (i % 2 === 0 ? 2 : 1);
				return sum + (n > 9 ? n - 9 : n);
			}, 0);
		for (const [code] of Object.values(LOINC_CODES)) {
			const [body, check] = code.split('-') as [string, string];
			expect((10 - (luhn(body) % 10)) % 10, code).toBe(Number(check));
		}
	});
});

describe('the sheet', () => {
	it('of what is done now goes along, each exercise on it', async () => {
		const amos = await client(physio, 'Amos');
		const pdf = (await filesOf(amos.head.id))['exercises.pdf']!;
		const text = await textOf(await readPdf(pdf));
		const now = amos.exercises.flatMap((e) => e.prescriptions.slice(-1).map((p) => p.snapshot.title));
		expect(now.length).toBeGreaterThan(0);
		for (const title of now) expect(text).toContain(title);
	});
});

describe('the tables', () => {
	it('are read by a strict reader, row for row as they are kept, and run nothing in a spreadsheet', async () => {
		const wren = await client(physio, 'Wren');
		const body = '=HYPERLINK("http://x","y"), "quoted"\r\nsecond line';
		value(
			await writeNote(physio, {
				...{ id: randomUUID(), clientId: wren.head.id, day: '2026-03-12', body, about: {} }
			})
		);
		const files = await filesOf(wren.head.id);
		for (const name of Object.keys(files).filter((f) => f.startsWith('tables/'))) {
			const table = name.slice(7, -4);
			const rows = parse(strFromU8(files[name]!), { columns: true }) as Record<string, string>[];
			const of =
				table === 'flag_closing' ? 'flag_id in (select id from flag where client_id = $1)' : 'client_id = $1';
			const { rows: kept } = await d.owner.query<{ n: number }>(
				`select count(*)::int as n from ${table} where ${of}`,
				[wren.head.id]
			);
			// The reading that this archive is enters the log in the same moment.
			expect(rows.length, table).toBe(kept[0]!.n);
			for (const cell of rows.flatMap((r) => Object.values(r)))
				expect(/^[=+@\t]|^-(?!\d)/.test(cell), cell).toBe(false);
		}
		// No hash of what opens their page, or opened it.
		for (const [name, bytes] of Object.entries(files))
			if (name.startsWith('tables/'))
				expect(strFromU8(bytes).split('\n')[0], name).not.toContain('token_hash');
		const notes = parse(strFromU8(files['tables/note.csv']!), { columns: true }) as Record<string, string>[];
		expect(notes.map((n) => readCell(n.body!))).toContain(body);
		expect(notes[0]).not.toHaveProperty('content_hash');
		expect(notes.map((n) => n.written_by)).toContain(physio.actor.name);
	});
	it('a number keeps its sign; a text that looks like a formula does not run', () => {
		expect(
			csvOf(
				['a', 'b'],
				[
					[-2.5, '-2.5'],
					[0, cellOf(null)]
				]
			)
		).toBe("a,b\r\n-2.5,'-2.5\r\n0,\r\n");
		expect([cellOf(new Date(0)), cellOf({ a: [1] }), cellOf(true), cellOf(7)]).toEqual([
			'1970-01-01T00:00:00.000Z',
			'{"a":[1]}',
			'true',
			7
		]);
	});
});

describe('taking it along', () => {
	it('needs nobody to be taken back: the record of a client who was put away goes along as it stands', async () => {
		const ending = await cloneOf('template_demo');
		const ctx = await as(ending, 'physiotherapist');
		const r = await client(ctx, 'Bertil');
		value(
			await endEpisode(ctx, { id: randomUUID(), clientId: r.head.id, reason: 'has moved to another town' })
		);
		expect(await ctx.inPractice((t) => loadRecords(t, r.head.id))).toEqual([]);
		const files = await filesOf(r.head.id, ctx);
		expect(strFromU8(files['tables/client_status.csv']!)).toContain('has moved to another town');
		expect(new Fhir().validate(bundleIn(files) as never).valid).toBe(true);
		await ending.close();
	});
	it('is for a licensed user and the owner, is of one’s own practice, and enters the access log', async () => {
		const wren = await client(physio, 'Wren');
		expect(await exportClient(await as(d, 'trainer'), wren.head.id)).toMatchObject({
			refusal: { why: 'not-allowed' }
		});
		const owner = await as(d, 'owner');
		expect(value(await exportClient(owner, wren.head.id)).name).toMatch(/^Wren-[A-Za-z-]+-2026-03-12\.zip$/);
		expect(await exportClient(owner, randomUUID())).toMatchObject({ refusal: { why: 'not-found' } });
		const [last] = await physio.inPractice((t) => looks(t, { clientId: wren.head.id, most: 1 }));
		expect(last).toMatchObject({ by: owner.actor.name, what: 'the whole record, to take along' });
	});
});
