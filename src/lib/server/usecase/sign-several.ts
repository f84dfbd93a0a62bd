/**
 * Agrees to several slips of one client in one sitting: each as if alone, all of them or none. What was shown is what is signed: where signing one moves
 * another to a different proposal, that one is left for its own look and named. Stops, referrals and mends are looked at one at a time.
 */
import { ok, refuse } from '#lib/core/base/result.ts';
import { canonical } from '#lib/core/base/canonical.ts';
import { agreedTogether } from '#lib/core/decision/together.ts';
import { advancesToday } from '../record/facts-of.ts';
import type { ClientRecord } from '../record/load.ts';
import { hashOf, slipOf, type Slip } from '../record/slip-of.ts';
import { invalid, notFound, type Context, type Outcome } from './actor.ts';
import { command } from './command.ts';
import { signIn, staleness, type Answer } from './sign-decision.ts';

export interface SlipsAgreed {
	readonly id: string;
	readonly clientId: string;
	readonly slips: readonly Pick<Answer, 'id' | 'prescriptionId' | 'exerciseId' | 'hash' | 'basedOn'>[];
}

export interface SlipsSigned {
	readonly signed: readonly string[];
	/** Not signed: signing another changed what is proposed. */
	readonly left: readonly string[];
}

function slipIn(r: ClientRecord | undefined, exerciseId: string, { today }: Context): Slip | undefined {
	const exercise = r?.exercises.find((e) => e.id === exerciseId);
	return r === undefined || exercise === undefined
		? undefined
		: slipOf(r, exercise, today, advancesToday(r, today));
}

/** What is put before the practitioner: the same answer for the same reason. */
const proposalOf = ({ trace: { decision, rule, change } }: Slip): string =>
	canonical({ decision, rule, change });
const titleOf = (slip: Slip): string => slip.chain.head.snapshot.title;

export const signSeveral = command<SlipsAgreed, SlipsSigned>({
	verb: 'sign',
	id: (s) => s.id,
	client: (s) => s.clientId,
	run: async ({ clientId, slips }, run) => {
		const { t, ctx } = run;
		const r = await run.record();
		const shown = slips.map((s) => ({ ...s, clientId, answer: 'accepted' as const }));
		const before = new Map<string, Slip>();
		for (const a of shown) {
			const slip = slipIn(r, a.exerciseId, ctx);
			if (slip === undefined) return notFound;
			const stale = await staleness(t, a, slip);
			if (stale !== undefined) return named(slip, stale);
			if (!agreedTogether(slip.trace))
				return named(slip, invalid('', 'This slip is looked at and answered by itself.'));
			before.set(a.exerciseId, slip);
		}
		const signed: string[] = [];
		const left: string[] = [];
		for (const a of shown) {
			const now = await run.record();
			const slip = slipIn(now, a.exerciseId, ctx);
			const seen = before.get(a.exerciseId);
			if (slip === undefined || seen === undefined) return notFound;
			if (proposalOf(slip) !== proposalOf(seen)) {
				left.push(titleOf(slip));
				continue;
			}
			const one = await signIn(run, { ...a, hash: hashOf(slip) });
			if (!one.ok) return named(slip, one);
			signed.push(titleOf(slip));
		}
		return ok({ signed, left });
	}
});

/** A refusal that names the slip; what is refused is refused whole. */
const named = (slip: Slip, refused: Outcome<unknown>): Outcome<never> =>
	refused.ok
		? notFound
		: refuse({
				...refused.refusal,
				message: `${titleOf(slip)}: ${refused.refusal.message} Nothing was signed.`
			});
