/** How far the choices of a step go for a client: every place is judged as the step it makes, and the best is the hardest that fits. Common practice. */
import { describe, expect, it } from 'vitest';
import { asChosen } from '../core/exercise/choice.ts';
import { fitStep } from '../core/fit/fit.ts';
import { passes } from '../core/fit/open.ts';
import { placesThatFit } from '../core/fit/places.ts';
import { unlimited } from '../core/fit/stands.ts';
import type { FitContext } from '../core/movement/context.ts';
import { FAMILIES } from './families.ts';

const FREE = unlimited();
const limited = (axis: keyof FitContext['envelope'], deg: number): FitContext => {
	const side = { painFree: deg, tolerable: deg, end: deg, date: '2000-01-01', loaded: true };
	return { ...FREE, envelope: { ...FREE.envelope, [axis]: { left: side, right: side } } };
};
const STEPS = Object.values(FAMILIES)
	.flatMap((f) => f.steps)
	.filter((s) => (s.choices ?? []).length > 0);
const CLIENTS = [
	FREE,
	limited('weightBearingDorsiflexion', 12),
	limited('kneeFlexion', 80),
	{ ...FREE, equipment: ['chair'] as const }
];

describe('places that fit', () => {
	it('are those whose step fits, of every choice of the catalogue, whoever it is', () => {
		let some = 0;
		let less = 0;
		for (const ctx of CLIENTS)
			for (const step of STEPS)
				for (const { choice, fits, best, farther } of placesThatFit(step, ctx)) {
					const judged = choice.of.filter((p) => passes(fitStep(asChosen(step, { [choice.id]: p.id }), ctx)));
					expect([...fits], `${step.id} ${choice.id}`).toEqual(judged.map((p) => p.id));
					expect(best).toBe(choice.ranked ? judged.at(-1)?.id : undefined);
					const ids = choice.of.map((p) => p.id);
					const beyond = best !== undefined && ids.indexOf(best) > ids.indexOf(choice.usual);
					expect(farther?.id).toBe(beyond ? best : undefined);
					some++;
					if (judged.length < choice.of.length) less++;
				}
		expect(some).toBeGreaterThan(300);
		// Or nothing of it would be tried.
		expect(less).toBeGreaterThan(10);
	});
	it('the others stand as they are chosen: what needs a thing that is not there does not fit with it', () => {
		const none: FitContext = { ...FREE, equipment: [] };
		const kit = STEPS.find((s) => s.choices!.some((c) => c.of.some((p) => p.kit !== undefined)))!;
		const c = kit.choices!.find((x) => x.of.some((p) => p.kit !== undefined))!;
		const needing = c.of.find((p) => p.kit !== undefined)!;
		const chosen = asChosen(kit, { [c.id]: needing.id });
		for (const other of placesThatFit(chosen, none).filter((p) => p.choice.id !== c.id))
			expect(other.fits.size).toBe(0);
	});
});
