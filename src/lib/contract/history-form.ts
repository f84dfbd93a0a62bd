/** The story of a sore place, a repeated movement of the back, and an attachment, as forms. */
import { z } from 'zod';
import {
	BEGINNINGS,
	COURSES,
	type Feared,
	type Said,
	SAID_KINDS,
	type Story
} from '#lib/core/client/story.ts';
import { BACK_WAYS, LEG_ANSWERS } from '#lib/core/client/repeated.ts';
import { day, region, text, typedWhole, uuid } from './basics.ts';

/** Rows of what others said, and of what is feared, that a form has. */
export const SAID_ROWS = [0, 1, 2] as const;
export const FEAR_ROWS = [0, 1, 2] as const;

const noDay = z.union([z.literal(''), day], 'A calendar day, YYYY-MM-DD, or leave it empty.').default('');
const line = (max: number) => text(max).default('');

const saidFields = Object.fromEntries(
	SAID_ROWS.flatMap((i) => [
		[`saidKind${i}`, z.enum(['', ...SAID_KINDS], 'Choose what it is.').default('')],
		[`saidText${i}`, line(300)],
		[`saidBy${i}`, line(80)],
		[`saidOn${i}`, noDay]
	])
);
const fearFields = Object.fromEntries(
	FEAR_ROWS.flatMap((i) => [
		[`feared${i}`, line(40)],
		[`sure${i}`, typedWhole('How sure', 0, 10).optional()]
	])
);

const storyFields = z.object({
	id: uuid,
	region,
	since: noDay,
	began: z.enum(['', ...BEGINNINGS], 'Choose how it began.').default(''),
	how: line(500),
	course: z.enum(['', ...COURSES], 'Choose how it goes.').default(''),
	medicines: line(300),
	earlierCare: line(300),
	demands: line(300)
});

/** The form's fields as the story they tell; what is half said is refused at its field. */
export const storyForm = storyFields
	.extend(saidFields)
	.extend(fearFields)
	.transform((all, ctx): { readonly id: string; readonly region: string; readonly story: Story } => {
		const f = all as unknown as z.infer<typeof storyFields>;
		const at = all as unknown as Readonly<Record<string, string | number | undefined>>;
		const wrong = (field: string, message: string): void =>
			ctx.addIssue({ code: 'custom', path: [field], message });
		const said = SAID_ROWS.flatMap((i): Said[] => {
			const [kind, what, by, on] = ['Kind', 'Text', 'By', 'On'].map((k) => String(at[`said${k}${i}`] ?? ''));
			if ([kind, what, by, on].every((x) => x === '')) return [];
			if (kind === '') wrong(`saidKind${i}`, 'A diagnosis, imaging or a referral?');
			if (what === '') wrong(`saidText${i}`, 'What was said?');
			return [
				{ kind: kind as Said['kind'], text: what ?? '', by: by ?? '', on: on === '' ? null : (on ?? null) }
			];
		});
		const feared = FEAR_ROWS.flatMap((i): Feared[] => {
			const [family, sure] = [String(at[`feared${i}`] ?? ''), at[`sure${i}`]];
			if (family === '' && sure === undefined) return [];
			if (family === '') wrong(`feared${i}`, 'Which movement is feared?');
			if (sure === undefined) wrong(`sure${i}`, 'How sure of it now, 0 to 10?');
			return [{ family, confidence: Number(sure ?? 0) }];
		});
		if (new Set(feared.map((x) => x.family)).size < feared.length)
			wrong('feared0', 'One movement is named twice.');
		return {
			id: f.id,
			region: f.region,
			story: {
				since: f.since === '' ? null : f.since,
				began: f.began === '' ? null : f.began,
				how: f.how,
				course: f.course === '' ? null : f.course,
				said,
				medicines: f.medicines,
				earlierCare: f.earlierCare,
				demands: f.demands,
				feared
			}
		};
	});

export const repeatedForm = z.object({
	id: uuid,
	day,
	way: z.enum(BACK_WAYS, 'Choose which way.'),
	leg: z.enum(LEG_ANSWERS, 'Choose what it did to the leg.'),
	repetitions: typedWhole('Repetitions', 1, 100).transform((v, ctx) => {
		if (v !== undefined) return v;
		ctx.addIssue({ code: 'custom', message: 'How many times: 1 to 100.' });
		return z.NEVER;
	})
});

export const ATTACHMENT_KINDS = ['letter', 'protocol', 'imaging', 'photo'] as const;
export const attachmentForm = z.object({
	id: uuid,
	day,
	kind: z.enum(ATTACHMENT_KINDS, 'Choose what it is.'),
	title: text(120).min(1, 'Give it a title.')
});
