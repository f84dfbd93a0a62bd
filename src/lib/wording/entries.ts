/** What was entered of a client, each entry in one line, from its row. */
import { testSpec } from '#lib/catalogue/function-tests.ts';
import { questionnaire } from '#lib/catalogue/questionnaires.ts';
import { methodOf, RANGES } from '#lib/catalogue/ranges.ts';
import type { EntryKind } from '#lib/core/client/entry-kind.ts';
import type { Side } from '#lib/core/body/axis.ts';
import type { LimitAxis } from '#lib/core/client/protocol.ts';
import type { ProtocolWhen } from '#lib/core/client/envelope.ts';
import type { RangeId } from '#lib/core/measure/range-kind.ts';
import type { Story } from '#lib/core/client/story.ts';
import type { BackWay, LegAnswer } from '#lib/core/client/repeated.ts';
import { shortDay } from './days.ts';
import { flagName } from './screening.ts';
import { repeatedText, storyText } from './history.ts';
import { regionName, sideWord } from './names.ts';
import { limitText } from './protocol.ts';

export const ENTRY_NAME: Readonly<Record<EntryKind, string>> = {
	range: 'range',
	test: 'test',
	total: 'questionnaire',
	session: 'session',
	morning: 'morning',
	event: 'day',
	complaint: 'sore place',
	goal: 'goal',
	operation: 'operation',
	limit: 'limit',
	arrival: 'arrival',
	note: 'note',
	contact: 'contact',
	story: 'story',
	repeated: 'repeated movement',
	attachment: 'attachment'
};

export const CONTACT_NAME = {
	own: 'The client',
	emergency: 'In an emergency',
	referrer: 'Referred by',
	doctor: 'Doctor'
} as const;

const MEDIA_NAME: Readonly<Record<string, string>> = {
	'application/pdf': 'PDF',
	'image/jpeg': 'JPEG',
	'image/png': 'PNG'
};
const sizeText = (bytes: number): string =>
	bytes < 1_000_000 ? `${Math.max(1, Math.round(bytes / 1000))} kB` : `${(bytes / 1_000_000).toFixed(1)} MB`;

type Row = Readonly<Record<string, unknown>>;
const text = (v: unknown): string => (v === null || v === undefined ? '' : String(v));
const tenths = (v: unknown): number => Number(v) / 10;
const capital = (s: string): string => s.replace(/^./, (c) => c.toUpperCase());
const sided = (side: unknown, name: string): string =>
	side === null || side === undefined ? name : `${sideWord(side as Side)} ${name.toLowerCase()}`;

interface Pain {
	readonly region: string;
	readonly peak?: number;
	readonly now?: number;
}

/** What a note is about, before its words. */
function aboutText(r: Row): string {
	const about = [
		r.region === null ? '' : capital(regionName(text(r.region))),
		text(r.title),
		text(r.visit_day) === '' ? '' : `Session of ${shortDay(text(r.visit_day))}`,
		text(r.flag) === '' ? '' : capital(flagName(text(r.flag)))
	].filter((x) => x !== '');
	return about.map((x) => `${x}: `).join('');
}

const TEXT: Readonly<Record<EntryKind, (r: Row) => string>> = {
	range: (r) =>
		`${sided(RANGES[r.axis as RangeId].midline === true ? null : r.side, RANGES[r.axis as RangeId].name)}: ${[
			`pain from ${tenths(r.onset_tenths)}°`,
			`tolerable ${tenths(r.tolerable_tenths)}°`,
			`end ${tenths(r.end_tenths)}°${text(r.limited_by) === '' ? '' : `, stopped by ${text(r.limited_by)}`} (${methodOf(text(r.method)).name})`
		].join(', ')}`,
	test: (r) => {
		const spec = testSpec(text(r.test));
		return `${sided(r.side, spec?.title ?? text(r.test))}: ${Number(r.value_hundredths) / 100} ${spec?.unit ?? ''}`.trim();
	},
	total: (r) =>
		`${questionnaire(text(r.instrument))?.name ?? text(r.instrument)}: ${Number(r.total_hundredths) / 100}`,
	session: (r) => {
		const sets = (r.sets as readonly { readonly reps: number }[] | null) ?? [];
		const pains = ((r.pains as readonly Pain[] | null) ?? [])
			.map((p) => `${regionName(p.region)} worst ${p.peak ?? '–'}`)
			.join(', ');
		return `${text(r.title) || 'A session'}: ${sets.map((s) => s.reps).join(' + ') || 'nothing'}${pains === '' ? '' : `; ${pains}`}`;
	},
	morning: (r) =>
		`${capital(regionName(text(r.region)))}: ${[
			`${r.moment === 'evening' ? 'that evening, ' : ''}pain ${text(r.pain) || '–'}`,
			...(r.swelling === null || r.swelling === 'none'
				? []
				: [`swelling ${text(r.swelling).replaceAll('-', ' ')}`]),
			...(r.stiffness_min === null ? [] : [`stiff ${text(r.stiffness_min)} min`]),
			...(r.soreness === null ? [] : [`muscles sore ${text(r.soreness)}`])
		].join(', ')}`,
	event: (r) => capital(text(r.kind).replaceAll('-', ' ')),
	complaint: (r) =>
		`${capital(regionName(text(r.region)))}: ${[
			`usual morning ${text(r.usual_morning)}`,
			`worst ${text(r.worst)}`,
			...(text(r.easing) === '' ? [] : [`eased by ${text(r.easing)}`])
		].join(', ')}`,
	goal: (r) => `${text(r.label) || text(r.activity)}: ${text(r.score)} of 10`,
	operation: (r) =>
		`${capital(regionName(text(r.region)))}${text(r.operation) === '' ? '' : `, ${text(r.operation)}`}`,
	limit: (r) =>
		`${limitText({
			axis: r.axis as LimitAxis,
			side: r.side as Side,
			when: r.applies as ProtocolWhen,
			...(r.min_tenths === null ? {} : { minDeg: tenths(r.min_tenths) }),
			...(r.max_tenths === null ? {} : { maxDeg: tenths(r.max_tenths) })
		})}${r.lifted === true ? ', lifted' : ''} (${text(r.source)})`,
	note: (r) => `${aboutText(r)}${text(r.body)}`,
	contact: (r) => `${CONTACT_NAME[r.role as keyof typeof CONTACT_NAME]}: ${text(r.name)}, ${text(r.phone)}`,
	story: (r) => `${capital(regionName(text(r.region)))}: ${storyText(r.body as Story)}`,
	repeated: (r) =>
		repeatedText({
			way: r.way as BackWay,
			leg: r.leg as LegAnswer,
			repetitions: Number(r.repetitions),
			day: text(r.local_day)
		}),
	attachment: (r) =>
		`${text(r.title)} (${text(r.kind)}, ${MEDIA_NAME[text(r.media)] ?? ''}, ${sizeText(Number(r.size))})`,
	arrival: (r) =>
		[
			capital(text(r.answer).replaceAll('-', ' ')),
			...((r.pains as readonly Pain[] | null) ?? []).map((p) => `${regionName(p.region)} ${p.now ?? '–'}`)
		].join(', ')
};

export const entryText = (kind: EntryKind, row: Row): string => TEXT[kind](row);
