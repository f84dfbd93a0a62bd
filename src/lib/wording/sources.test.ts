/** Sources are said by name and year; the keys are those of docs/sources.md. */
import { readFileSync } from 'node:fs';
import { expect, it } from 'vitest';
import { gradeText, sourceName } from './sources.ts';

it('a key reads as a name and a year, a body by its letters, a setting as itself', () => {
	expect(
		[
			'ageberg-2010',
			'acsm-2015',
			'biering-sorensen-1984',
			'nice-ng59',
			'practice-setting',
			'red-flags-common'
		].map(sourceName)
	).toEqual([
		'Ageberg 2010',
		'ACSM 2015',
		'Biering Sørensen 1984',
		'NICE NG59',
		'practice setting',
		'common red flags'
	]);
	const keys = [...readFileSync('docs/sources.md', 'utf8').matchAll(/^\| `([a-z0-9-]+)`/gm)].map(
		(m) => m[1] as string
	);
	expect(keys.length).toBeGreaterThan(80);
	expect(new Set(keys.map(sourceName)).size).toBe(keys.length);
});

it('says how sure a publication is remembered, and nothing of what is none', () => {
	expect([gradeText('fairly sure'), gradeText('–')]).toEqual(['from memory, graded fairly sure', '']);
});
