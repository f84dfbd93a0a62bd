/** What is due with a client. Common practice: a session is asked for its next morning; a link nobody opened was perhaps never found. */
import { describe, expect, it } from 'vitest';
import { eveningsSpokenOf, linkDue, withoutMorning } from './due.ts';

const TODAY = '2026-03-12';

describe('mornings missing', () => {
	it('a session of today has no next morning yet; one of yesterday has', () => {
		expect(withoutMorning([TODAY], [], TODAY)).toEqual([]);
		expect(withoutMorning(['2026-03-11'], [], TODAY)).toEqual(['2026-03-11']);
	});
	it('the morning that counts is the one after, not the one of the day', () => {
		expect(withoutMorning(['2026-03-10'], ['2026-03-10', '2026-03-12'], TODAY)).toEqual(['2026-03-10']);
		expect(withoutMorning(['2026-03-10'], ['2026-03-11'], TODAY)).toEqual([]);
	});
	it('seven days back, each day once, the oldest first', () => {
		expect(withoutMorning(['2026-03-09', '2026-03-05', '2026-03-04', '2026-03-09'], [], TODAY)).toEqual([
			'2026-03-05',
			'2026-03-09'
		]);
	});
	it('over a change of month', () =>
		expect(withoutMorning(['2026-02-28'], ['2026-03-01'], '2026-03-02')).toEqual([]));
});

describe('evenings spoken of', () => {
	it('are those of today and yesterday, no morning and none to come', () => {
		const at = (date: string, moment: 'evening' | 'morning' = 'evening') => ({ date, moment });
		const told = [at('2026-03-10'), at('2026-03-11'), at(TODAY), at('2026-03-13'), at(TODAY, 'morning')];
		expect(eveningsSpokenOf(told, TODAY)).toEqual([at('2026-03-11'), at(TODAY)]);
	});
});

describe('a link', () => {
	const link = { day: '2026-03-10', until: '2026-04-09', opened: false };
	it('given two days ago is left alone; three days ago and never opened it is asked for', () => {
		expect(linkDue(link, TODAY)).toBeNull();
		expect(linkDue(link, '2026-03-13')).toBe('unopened');
		expect(linkDue({ ...link, opened: true }, '2026-03-13')).toBeNull();
	});
	it('says a week before that it ends, on its last day still, and after it that it has', () => {
		const opened = { ...link, opened: true };
		expect(linkDue(opened, '2026-04-02')).toBeNull();
		expect(linkDue(opened, '2026-04-03')).toBe('ends');
		expect(linkDue(opened, '2026-04-09')).toBe('ends');
		expect(linkDue(opened, '2026-04-10')).toBe('ended');
	});
	it('that ended is not also unopened', () => expect(linkDue(link, '2026-04-10')).toBe('ended'));
});
