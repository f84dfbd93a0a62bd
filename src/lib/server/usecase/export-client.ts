/**
 * Everything about a client as one archive to take along: a FHIR bundle, every table as CSV, the sheet of what they do now, the attachments, and what is what in plain words. Taking it
 * enters the access log.
 */
import { strToU8, zipSync, type Zippable } from 'fflate';
import type { Day } from '#lib/core/base/calendar-day.ts';
import { calendarDay } from '#lib/core/base/zone-day.ts';
import { ok } from '#lib/core/base/result.ts';
import { cellOf, csvOf } from '#lib/exchange/csv.ts';
import { bundleOf } from '#lib/exchange/fhir/bundle.ts';
import { handoutPdf } from '#lib/exchange/pdf/handout.ts';
import { archiveText } from '#lib/wording/archive.ts';
import type { PracticeTransaction } from '../db/in-practice.ts';
import { decisions } from '../repo/decision-repo.ts';
import { filesOfClient, rowsOfClient, type FileOf, type TableRows } from '../repo/export-repo.ts';
import { intakeOf } from '../repo/intake-repo.ts';
import { totals } from '../repo/sheet-repo.ts';
import type { ClientRecord } from '../record/load.ts';
import { fhirSourceOf } from '../view/fhir-source.ts';
import { handoutOf } from '../view/hand-out.ts';
import { inZone, type Context, type Outcome } from './actor.ts';
import { endingOf } from './attach.ts';
import { showClient } from './show-client.ts';
import { contactsOf } from './show-entries.ts';

export interface Archive {
	readonly name: string;
	readonly bytes: Uint8Array;
}

/** A name that every file system takes. */
const plain = (s: string): string =>
	s
		.normalize('NFKD')
		.replace(/[^A-Za-z0-9 _-]/g, '')
		.trim()
		.replace(/\s+/g, '-')
		.slice(0, 60);

const attached = (files: readonly FileOf[]): Zippable =>
	Object.fromEntries(
		files.map((f, i) => [
			`attachments/${f.day}-${i + 1}-${plain(f.title) || 'file'}.${endingOf(f.media)}`,
			// Pictures and PDFs are packed already.
			[new Uint8Array(f.bytes), { level: 0 as const }]
		])
	);

const tableFiles = (tables: readonly TableRows[]): Zippable =>
	Object.fromEntries(
		tables.map((t) => [
			`tables/${t.table}.csv`,
			strToU8(
				csvOf(
					t.columns,
					t.rows.map((r) => t.columns.map((c) => cellOf(r[c])))
				)
			)
		])
	);

/** The day the standing setting was written, where the client lives. */
function setOn(tables: readonly TableRows[], { head }: ClientRecord): Day | undefined {
	const row = tables.find((x) => x.table === 'client_setting')?.rows.find((s) => s.id === head.setting.id);
	return row?.recorded_at instanceof Date ? calendarDay(head.tz, row.recorded_at) : undefined;
}

async function packed(t: PracticeTransaction, r: ClientRecord, ctx: Context): Promise<Archive> {
	const tables = await rowsOfClient(t, r.head.id);
	const files = await filesOfClient(t, r.head.id);
	const madeAt = ctx.now.toISOString();
	const consents = tables.find((x) => x.table === 'consent')?.rows ?? [];
	const source = fhirSourceOf(r, {
		practice: { id: ctx.actor.practiceId, name: ctx.actor.practice },
		madeAt,
		intake: await intakeOf(t, r.head.id),
		consents: consents.map((c) => ({
			id: String(c.id),
			purpose: String(c.purpose),
			given: c.given === true,
			day: String(c.local_day)
		})),
		builtOn: setOn(tables, r) ?? r.head.openedOn,
		totals: await totals(t, r.head.id),
		decisions: await decisions(t, r.head.id),
		contacts: await contactsOf(t, r.head.id)
	});
	const text = archiveText({
		name: r.head.name,
		practice: ctx.actor.practice,
		madeAt,
		tables: tables.map((x) => ({ table: x.table, rows: x.rows.length })),
		files: files.length
	});
	const sheet = await handoutPdf(handoutOf(r, inZone(ctx, r.head.tz).today, ctx.actor.practice));
	const bytes = zipSync(
		{
			'README.txt': strToU8(text),
			'record.fhir.json': strToU8(`${JSON.stringify(bundleOf(source), null, 1)}\n`),
			'exercises.pdf': [sheet, { level: 0 }],
			...tableFiles(tables),
			...attached(files)
		},
		{ mtime: ctx.now }
	);
	return { name: `${plain(r.head.name) || 'client'}-${ctx.today}.zip`, bytes };
}

export async function exportClient(ctx: Context, clientId: string): Promise<Outcome<Archive>> {
	const shown = await showClient(
		ctx,
		clientId,
		'the whole record, to take along',
		(t, r) => packed(t, r, ctx),
		'export client'
	);
	return shown.ok ? ok(shown.value.more) : shown;
}
