/** The form that signs a week, and what an address asks of a proposal. */
import { MOST_IN_CIRCUIT } from '#lib/core/plan/circuit.ts';
import { z } from 'zod';
import { ORDER_SCHOOLS, type OrderSchool } from '#lib/core/plan/session-order.ts';
import type { WeekContent } from '#lib/core/plan/signed-week.ts';
import { text, uuid } from './basics.ts';

export const MOST_MINUTES = 180;
const LEAST_MINUTES = 5;
/** Exercises of one day at most. */
const MOST_A_DAY = 24;

export interface WeekAskedFor {
	readonly school: OrderSchool;
	readonly inTurn: boolean;
	readonly learning: boolean;
	readonly minutes: number | null;
	/** 0 is Sunday; empty, nobody said. */
	readonly days: readonly number[];
	/** Something was asked of it: then it is proposed anew, whatever is signed. */
	readonly anew: boolean;
}

/** Reads an address; what is not known asks for what the client's record says. */
export function weekAsked(
	p: URLSearchParams,
	home: { readonly minutes: number | null; readonly days: readonly number[] }
): WeekAskedFor {
	const minutes = Number(p.get('minutes') ?? '');
	const days = p
		.getAll('days')
		.map(Number)
		.filter((d) => Number.isInteger(d) && d >= 0 && d <= 6);
	return {
		school: ORDER_SCHOOLS.find((s) => s === p.get('school')) ?? 'usual',
		inTurn: p.get('apart') !== 'on',
		learning: p.get('learning') === 'on',
		minutes:
			Number.isInteger(minutes) && minutes >= LEAST_MINUTES && minutes <= MOST_MINUTES
				? minutes
				: home.minutes,
		days: days.length > 0 ? [...new Set(days)] : home.days,
		anew: p.get('anew') === 'on'
	};
}

const item = z.union([
	z.strictObject({ exerciseId: uuid }),
	z.strictObject({ family: text(60).min(1), step: text(60).min(1) })
]);
const content = z.strictObject({
	school: z.enum(ORDER_SCHOOLS),
	inTurn: z.boolean(),
	learning: z.boolean(),
	minutes: z.number().int().min(LEAST_MINUTES).max(MOST_MINUTES).nullable(),
	days: z
		.array(
			z.strictObject({
				weekday: z.number().int().min(0).max(6),
				turns: z.array(z.array(item).min(1).max(MOST_IN_CIRCUIT)).max(MOST_A_DAY)
			})
		)
		.max(7)
});

export type WeekSigned = Omit<WeekContent, 'basedOn'>;

const json = z.string().transform((s, ctx): unknown => {
	try {
		return JSON.parse(s) as unknown;
	} catch {
		ctx.addIssue({ code: 'custom', message: 'The week was not sent whole; reload the page.' });
		return z.NEVER;
	}
});
export const weekForm = z.object({
	id: uuid,
	basedOn: z.union([z.literal(''), uuid]),
	week: json.pipe(content)
});
