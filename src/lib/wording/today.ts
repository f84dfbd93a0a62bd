/** What Today says of a client's other exercises. */
import type { Decision } from '#lib/core/decision/trace.ts';
import { DECISION_WORD } from './names.ts';

interface Other {
	readonly step: string;
	readonly decision: Decision;
}

const NAMED = 3;
const say = (d: Decision): string => DECISION_WORD[d].toLowerCase();

/** A few by name; many by how many say what. */
export function othersText(others: readonly Other[]): string {
	if (others.length <= NAMED) return others.map((o) => `${o.step}: ${say(o.decision)}`).join(' · ');
	const count = new Map<Decision, number>();
	for (const { decision } of others) count.set(decision, (count.get(decision) ?? 0) + 1);
	return [...count].map(([d, n]) => `${n === 1 ? 'one other' : `${n} others`}: ${say(d)}`).join(' · ');
}
