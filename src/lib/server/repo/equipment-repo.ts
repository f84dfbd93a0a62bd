/** What the practice owns: seats, pads, wedges, weights; with this member's delegations, in one query. */
import { sql } from 'kysely';
import type { Day } from '#lib/core/base/calendar-day.ts';
import type { Furniture } from '#lib/core/fit/furniture.ts';
import type { PracticeTransaction } from '../db/in-practice.ts';

export interface Room {
	readonly furniture: Furniture;
	readonly weightsKg: readonly number[];
	readonly delegations: readonly Delegation[];
}

export interface Delegation {
	readonly clientId: string;
	readonly families: readonly string[];
	readonly expires: Day;
}

interface Row {
	equipment: { kind: string; mm: number | null; g: number | null; count: number }[];
	delegations: { client_id: string; families: string[]; expires: string }[];
}

export async function room(t: PracticeTransaction): Promise<Room> {
	const { rows } = await sql<Row>`select
		coalesce((select jsonb_agg(to_jsonb(e)) from equipment e where e.count > 0), '[]') as equipment,
		coalesce((select jsonb_agg(to_jsonb(d)) from delegation d where d.member_id = ${t.memberId} and not d.voided), '[]') as delegations`.execute(t.trx);
	const { equipment = [], delegations = [] } = rows[0] ?? {};
	const cm = (kind: string): number[] => equipment.filter((e) => e.kind === kind).map((e) => (e.mm ?? 0) / 10).sort((a, b) => a - b);
	return {
		furniture: {
			seats: cm('seat'),
			pads: equipment.filter((e) => e.kind === 'pad').map((e) => ({ cm: (e.mm ?? 0) / 10, count: e.count })).sort((a, b) => a.cm - b.cm),
			wedges: cm('wedge')
		},
		weightsKg: equipment.filter((e) => e.kind === 'weight').map((e) => (e.g ?? 0) / 1000).sort((a, b) => a - b),
		delegations: delegations.map((d) => ({ clientId: d.client_id, families: d.families, expires: d.expires }))
	};
}
