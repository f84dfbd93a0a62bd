/** Printed sheets, read back by an independent reader (package `pdfjs-dist`): words with accents and in other scripts, structure, language, pages. */
import { describe, expect, it } from 'vitest';
import { bodyOf } from '#lib/core/body/body.ts';
import { FAMILIES } from '#lib/catalogue/families.ts';
import { stepOf } from '#lib/core/exercise/family.ts';
import { pictureOf } from '#lib/core/fit/picture.ts';
import { nobody } from '#lib/core/fit/stands.ts';
import { handoutPdf, type Handout } from './handout.ts';
import { letterPdf, type Letter } from './letter.ts';
import { readPdf as read, textOf } from '../../../../tests/pdf-text.ts';

const figure = (family: string, step: string) => {
	const found = stepOf(FAMILIES[family]!, step);
	if (found === undefined || !bodyOf({ heightCm: 170, massKg: 70 }).ok) throw new Error(step);
	return pictureOf(found, nobody(), null).at(1);
};
const handout = (more: Partial<Handout> = {}): Handout => ({
	...{
		title: 'Exercises',
		client: 'Zoë Żółć-Ångström',
		practice: 'Ρυθμός Rooms',
		date: 'Thu 12 Mar',
		language: 'en'
	},
	stop: ['Stop for chest pain.', 'Call 112.'],
	exercises: [
		{
			...{ title: 'Standard seat', dose: '2×10', lines: ['seat 47 cm'], cues: ['Push the floor away'] },
			...{ cautions: ['The chair stands against a wall.'], figure: figure('squat', 'standard-seat') },
			alt: 'Standing up from a seat of 47 cm'
		}
	],
	week: {
		title: 'The week',
		rows: [
			['Monday', 'Standard seat'],
			['Вторник', 'off']
		]
	},
	...more
});

describe('a handout', () => {
	it('says what it was given, in any of the scripts its font holds', async () => {
		const pdf = await read(await handoutPdf(handout()));
		const text = await textOf(pdf);
		for (const words of [
			'Zoë Żółć-Ångström',
			'Ρυθμός Rooms',
			'Вторник',
			'Standard seat: 2×10',
			'seat 47 cm',
			'Call 112.'
		])
			expect(text).toContain(words);
		expect(text).toContain('1/1');
	});
	it('is tagged, has a language and a title, and its figure says what it shows', async () => {
		const pdf = await read(await handoutPdf(handout({ language: 'de' })));
		const { info } = await pdf.getMetadata();
		expect((info as { Title: string; Language: string }).Title).toBe('Exercises, Zoë Żółć-Ångström');
		expect((info as { Language: string }).Language).toBe('de');
		expect(await pdf.getMarkInfo()).toMatchObject({ Marked: true });
		const tree = JSON.stringify(await (await pdf.getPage(1)).getStructTree());
		for (const role of ['H1', 'H2', '"P"', 'Figure']) expect(tree).toContain(role);
		expect(tree).toContain('Standing up from a seat of 47 cm');
	});
	it('goes on to further pages: nothing is lost, an exercise stays with its figure', async () => {
		const [one] = handout().exercises;
		const many = Array.from({ length: 14 }, (_, i) => ({ ...one!, title: `Number ${i}` }));
		const pdf = await read(await handoutPdf(handout({ exercises: many })));
		expect(pdf.numPages).toBeGreaterThan(1);
		const text = await textOf(pdf);
		for (const { title } of many) expect(text).toContain(`${title}: 2×10`);
		expect(text).toContain(`${pdf.numPages}/${pdf.numPages}`);
		const figures = await Promise.all(
			Array.from(
				{ length: pdf.numPages },
				async (_, i) =>
					(JSON.stringify(await (await pdf.getPage(i + 1)).getStructTree()).match(/Figure/g) ?? []).length
			)
		);
		expect(figures.reduce((a, b) => a + b, 0)).toBe(14);
	});
	it('of nothing is a sheet all the same', async () => {
		expect((await read(await handoutPdf(handout({ exercises: [], week: null, stop: [] })))).numPages).toBe(1);
	});
});

describe('a letter', () => {
	const letter = (more: Partial<Letter> = {}): Letter => ({
		...{
			client: 'Wren Hollis',
			born: '1967-05-02',
			practice: 'Tidewater',
			date: '12 Mar 2026',
			signedBy: 'I. Quarrel, PT 123'
		},
		...{
			regions: ['right knee'],
			since: 'Thu 18 Dec',
			flags: ['Night pain (back)'],
			goals: [],
			words: [],
			pains: []
		},
		measured: [['Knee bend, right', '92°', '99°', 'better by 7°, beyond error']],
		exercises: ['Standard seat, 1×8, seat 52 cm'],
		...more
	});
	it('is one page with what was measured, what stands, and who signs; it says that it diagnoses nothing', async () => {
		const pdf = await read(await letterPdf(letter()));
		expect(pdf.numPages).toBe(1);
		const text = await textOf(pdf);
		for (const words of [
			'Wren Hollis',
			'better by 7°, beyond error',
			'Night pain (back)',
			'I. Quarrel, PT 123',
			'no diagnosis'
		])
			expect(text).toContain(words);
	});
	it('says none where there is none', async () => {
		const text = await textOf(
			await read(await letterPdf(letter({ flags: [], measured: [], exercises: [] })))
		);
		expect(text.match(/none/g)).toHaveLength(3);
	});
});
