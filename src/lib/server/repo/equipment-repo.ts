/** What the practice owns: seats, pads, wedges, weights; with who was given what to do for the clients that are read, and the practice's own families, in one query. */
import { sql } from 'kysely';
import type { Day } from '#lib/core/base/calendar-day.ts';
import type { PracticeIntervals } from '#lib/core/decision/policy.ts';
import type { TrainerSigns } from '#lib/core/decision/trainer-signs.ts';
import { bandOf, type BandItem } from '#lib/core/dose/band.ts';
import type { RackItem } from '#lib/core/dose/racks.ts';
import type { OwnCourse } from '#lib/core/fit/course.ts';
import type { Furniture } from '#lib/core/movement/furniture.ts';
import { EQUIPMENT, type Equipment, type ExerciseFamily } from '#lib/core/exercise/family.ts';
import { isHead, ofClient, type Whose } from '../db/heads.ts';
import type { PracticeTransaction } from '../db/in-practice.ts';

export interface Room {
	readonly furniture: Furniture;
	readonly weightsKg: readonly number[];
	readonly weights: readonly RackItem[];
	/** Bands by the practice's own names and ranks; those nobody ranked are not here. */
	readonly bands: readonly BandItem[];
	/** What is in the practice, by kind. */
	readonly equipment: readonly Equipment[];
	readonly delegations: readonly Delegation[];
	readonly practice: PracticeIntervals & { readonly trainerSigns: TrainerSigns };
	/** The practice's own families, the standing version of each. */
	readonly own: readonly ExerciseFamily[];
	/** Its own courses, the standing version of each. */
	readonly courses: readonly OwnCourse[];
}

export interface Delegation {
	readonly memberId: string;
	readonly clientId: string;
	readonly families: readonly string[];
	readonly expires: Day;
}

interface Row {
	practice: { screening_weeks: number | null; retest_weeks: number | null; trainer_signs: TrainerSigns };
	equipment: {
		kind: string;
		label: string;
		value: number;
		unit: string;
		mm: number | null;
		g: number | null;
		count: number;
	}[];
	delegations: { member_id: string; client_id: string; families: string[]; expires: string }[];
	own: ExerciseFamily[];
	courses: OwnCourse[];
}

/** The same for whoever reads it: a record that is kept is read by all. */
export async function room(t: PracticeTransaction, whose?: Whose): Promise<Room> {
	const { rows } = await sql<Row>`select
		(select jsonb_build_object('screening_weeks', p.screening_weeks, 'retest_weeks', p.retest_weeks, 'trainer_signs', p.trainer_signs)
			from practice p where p.id = ${t.practiceId}) as practice,
		coalesce((select jsonb_agg(to_jsonb(e)) from equipment e where e.count > 0 and not e.out_of_order), '[]') as equipment,
		coalesce((select jsonb_agg(to_jsonb(d)) from delegation d where d.practice_id = ${t.practiceId} and ${ofClient('d', whose)} and ${isHead('delegation', 'd')}), '[]') as delegations,
		coalesce((select jsonb_agg(f.content order by f.family) from own_family f where ${isHead('own_family', 'f')}), '[]') as own,
		coalesce((select jsonb_agg(c.content order by c.course) from own_course c where ${isHead('own_course', 'c')}), '[]') as courses`.execute(
		t.trx
	);
	const { equipment = [], delegations = [], own = [], courses = [], practice } = rows[0] ?? {};
	const cm = (kind: string): number[] =>
		equipment
			.filter((e) => e.kind === kind)
			.map((e) => (e.mm ?? 0) / 10)
			.sort((a, b) => a - b);
	const weights = equipment
		.filter((e) => e.kind === 'weight')
		.map((e) => ({ kg: (e.g ?? 0) / 1000, count: e.count }))
		.sort((a, b) => a.kg - b.kg);
	const bands = equipment.flatMap((e): BandItem[] => {
		const rank = e.kind === 'band' && e.unit === 'rank' ? bandOf(Number(e.value)) : undefined;
		return rank === undefined ? [] : [{ name: e.label, rank }];
	});
	return {
		bands,
		furniture: {
			seats: cm('seat'),
			pads: equipment
				.filter((e) => e.kind === 'pad')
				.map((e) => ({ cm: (e.mm ?? 0) / 10, count: e.count }))
				.sort((a, b) => a.cm - b.cm),
			wedges: cm('wedge'),
			steps: cm('step')
		},
		weights,
		weightsKg: weights.map((w) => w.kg),
		equipment: equipmentOf(equipment.map((e) => e.kind)),
		delegations: delegations.map((d) => ({
			memberId: d.member_id,
			clientId: d.client_id,
			families: d.families,
			expires: d.expires
		})),
		practice: {
			screeningWeeks: practice?.screening_weeks ?? null,
			retestWeeks: practice?.retest_weeks ?? null,
			trainerSigns: practice?.trainer_signs ?? 'delegated'
		},
		own,
		courses
	};
}

/** Every practice has walls, something firm to hold, and linen; the rest is what its list says. */
const ALWAYS: readonly Equipment[] = ['wall', 'counter', 'pillow', 'towel'];
const equipmentOf = (kinds: readonly string[]): readonly Equipment[] => [
	...new Set<Equipment>([
		...ALWAYS,
		...(kinds.includes('seat') ? (['chair'] as const) : []),
		...EQUIPMENT.filter((e) => kinds.includes(e))
	])
];
