/**
 * What stands after undoing: a chain of prescriptions in which an undo takes its successors away and puts the restored one back on
 * top, under a new id. Sessions logged under either id belong to the same prescription.
 */
import type { Change } from '#lib/core/decision/input.ts';
import type { Prescription } from '../repo/exercise-repo.ts';

export interface Effective {
	readonly head: Prescription;
	/** Ids under which the standing prescription was in force. */
	readonly currentIds: ReadonlySet<string>;
	readonly changes: readonly Change[];
}

interface Standing {
	readonly ids: Set<string>;
	readonly first: Prescription;
}

/** Prescriptions root first, at least one. */
export function effectiveChain(prescriptions: readonly Prescription[]): Effective {
	const stack: Standing[] = [];
	for (const p of prescriptions) {
		const restored = p.restores === null ? -1 : stack.findIndex((s) => s.ids.has(p.restores as string));
		if (p.kind === 'undo' && restored >= 0) {
			stack.length = restored + 1;
			stack[restored]?.ids.add(p.id);
		} else stack.push({ ids: new Set([p.id]), first: p });
	}
	const top = stack[stack.length - 1] as Standing;
	return {
		head: prescriptions[prescriptions.length - 1] as Prescription,
		currentIds: top.ids,
		changes: stack.map((s, i) => changeOf(s.first, stack[i - 1]?.first))
	};
}

/** To the rules only a change by hand. */
const BY_HAND: ReadonlySet<Prescription['kind']> = new Set(['stop', 'resume', 'undo', 'end']);

function changeOf(p: Prescription, before: Prescription | undefined): Change {
	const kind = BY_HAND.has(p.kind) ? 'alter' : (p.kind as Change['kind']);
	if (before === undefined) return { date: p.day, kind };
	return {
		date: p.day,
		kind,
		from: { step: before.step, dose: before.dose, ...(before.setup === null ? {} : { setup: before.setup }) }
	};
}
