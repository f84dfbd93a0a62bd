/** The particulars of a prescription as form fields; empty is not said. */
import { z } from 'zod';
import { BANDS } from '#lib/core/dose/band.ts';
import { WHERE, type Particulars } from '#lib/core/dose/particulars.ts';
import { present, text, typed, typedWhole } from './basics.ts';

const TEMPO = /^\d{1,2}-\d{1,2}-\d{1,2}-\d{1,2}$/;
const absent = <T extends z.ZodType<unknown, string>>(field: T) => z.string().default('').pipe(field);
const choice = <T extends string>(of: readonly T[], message: string) =>
	absent(z.string().refine((s) => s === '' || (of as readonly string[]).includes(s), message)).transform(
		(s) => (s === '' ? undefined : (s as T))
	);

export const particularFields = {
	holdSec: absent(typedWhole('Hold', 0, 300)),
	tempo: absent(
		text(20).refine(
			(s) => s === '' || TEMPO.test(s),
			'Tempo is four counts of seconds: down, pause, up, pause, such as 3-1-2-0.'
		)
	),
	restSec: absent(typedWhole('Rest', 0, 600)),
	workSec: absent(typedWhole('Work', 5, 600)),
	effortPct: absent(typedWhole('Push', 5, 100)),
	blockMin: absent(typedWhole('Block', 1, 60)),
	asNeeded: choice(['on'], 'Done as needed, or by the week.'),
	effort: absent(typed('Effort', 0, 10)),
	daysPerWeek: absent(typedWhole('Days a week', 1, 7)),
	band: choice(BANDS, 'Choose a band from the list.'),
	where: choice(WHERE, 'Choose where it is done.'),
	painPerSide: choice(['on'], 'Pain on each side is asked, or not.'),
	note: absent(text(300))
};

type Typed = { readonly [K in keyof typeof particularFields]: z.output<(typeof particularFields)[K]> };

/** What was said of them. */
export function particularsOf({ painPerSide, asNeeded, tempo, note, ...v }: Typed): Particulars {
	return present({
		...v,
		tempo: tempo || undefined,
		note: note || undefined,
		painPerSide: painPerSide === 'on' ? (true as const) : undefined,
		asNeeded: asNeeded === 'on' ? (true as const) : undefined
	});
}
