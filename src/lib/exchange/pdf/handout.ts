/** What a client takes home on paper: each exercise as they do it, the week, when to stop and whom to call. */
import type { Figure } from '#lib/core/figure/shape.ts';
import { Sheet } from './sheet.ts';

export interface Handout {
	readonly title: string;
	readonly client: string;
	readonly practice: string;
	readonly date: string;
	readonly language: string;
	/** When to stop, whom to call: first, where it is seen. */
	readonly stop: readonly string[];
	readonly exercises: readonly {
		readonly title: string;
		readonly dose: string;
		readonly lines: readonly string[];
		readonly cues: readonly string[];
		readonly cautions: readonly string[];
		readonly figure: Figure | undefined;
		readonly alt: string;
	}[];
	readonly week: {
		readonly title: string;
		readonly rows: readonly (readonly [day: string, what: string])[];
	} | null;
}

const FIGURE = 96;
const BESIDE = 100;

export function handoutPdf(h: Handout): Promise<Uint8Array<ArrayBuffer>> {
	const sheet = new Sheet({
		title: `${h.title}, ${h.client}`,
		author: h.practice,
		language: h.language,
		foot: `${h.client} · ${h.practice} · ${h.date}`
	});
	sheet.heading(h.title);
	sheet.quiet(`${h.client} · ${h.practice} · ${h.date}`);
	sheet.caution(h.stop);
	for (const e of h.exercises) {
		sheet.rule();
		sheet.beside(e.figure, e.alt, FIGURE, () => {
			sheet.section(`${e.title}: ${e.dose}`, BESIDE);
			for (const l of e.lines) sheet.line(l, BESIDE);
			for (const c of e.cues) sheet.line(`· ${c}`, BESIDE);
			for (const c of e.cautions) sheet.quiet(c, BESIDE);
		});
	}
	if (h.week !== null) {
		sheet.rule();
		sheet.section(h.week.title);
		sheet.rows([90, 409], h.week.rows);
	}
	return sheet.done();
}
