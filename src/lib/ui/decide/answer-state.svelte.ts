/** What is being signed instead of what Bolster proposes, and of which slip: another slip on the table closes it. */
import type { Chosen } from '#lib/core/exercise/family.ts';
import type { SlipView } from '#lib/contract/slip-view.ts';
import { gentlerDose } from '#lib/core/dose/dose.ts';
import { lengthIn } from '#lib/core/movement/context.ts';
import type { Length } from '#lib/core/movement/set-up-length.ts';

export type AnswerKind = 'altered' | 'overridden';

export class AnswerState {
	private opened = $state<{ readonly kind: AnswerKind; readonly of: string } | null>(null);
	/** What is typed. */
	instead = $state({ step: '', sets: '', reps: '', loadKg: '', length: '', reason: '' });
	/** What is set inside the step otherwise than usual. */
	chosen = $state<Chosen>({});
	/** Which length of a set-up is typed; null where the step has none. */
	lengthOf = $state<Length | null>(null);

	kindFor(slip: SlipView | undefined): AnswerKind | null {
		return this.opened !== null && this.opened.of === slip?.exerciseId ? this.opened.kind : null;
	}

	/** Opens for a slip, from what is proposed or from what stands; closes what was open of the same kind. */
	begin(slip: SlipView, kind: AnswerKind): void {
		const from = kind === 'altered' && slip.next !== null ? slip.next : slip.now;
		const dose = kind === 'altered' ? (gentlerDose(from.dose) ?? from.dose) : from.dose;
		const length = lengthIn(from.setup);
		this.instead = {
			step: from.step,
			sets: String(dose.sets),
			reps: String(dose.reps),
			loadKg: String(dose.loadKg),
			length: String(length?.value ?? ''),
			reason: ''
		};
		this.lengthOf = length?.of ?? null;
		this.chosen = from.setup?.chosen ?? {};
		this.opened = this.kindFor(slip) === kind ? null : { kind, of: slip.exerciseId };
	}

	close(): void {
		this.opened = null;
	}
}
