/** Is a prescription bolder than another? By step, by dose, by load, by the length it is set up to. */
import { fartherChoice } from '#lib/core/exercise/choice.ts';
import type { Step } from '#lib/core/exercise/family.ts';
import { doseVolume } from '#lib/core/dose/dose.ts';
import { lengthIn } from '#lib/core/movement/context.ts';
import type { Prescribed } from '#lib/core/decision/trace.ts';
import { setupText } from '#lib/wording/setup.ts';
import { stepTitle } from '#lib/wording/steps.ts';
import { cmText, kgText } from '#lib/wording/units.ts';

/** Why something is bolder than what was proposed; undefined when it is gentler or equal. `step` is the one that is wanted, as its ladder has it. */
export function bolderThan(
	p: Prescribed,
	proposal: Prescribed,
	steps: readonly string[],
	step: Step
): string | undefined {
	if (!steps.includes(p.step))
		return `${stepTitle(p.step)} is another step; gentler stays with ${[...new Set(steps)].map(stepTitle).join(' or ')}.`;
	if (doseVolume(p.dose) > doseVolume(proposal.dose))
		return `${p.dose.sets}×${p.dose.reps} is more than the proposed ${proposal.dose.sets}×${proposal.dose.reps}; gentler is less or equal. Bolder takes an override.`;
	if (p.dose.loadKg > proposal.dose.loadKg)
		return `${kgText(p.dose.loadKg)} is more than the proposed ${kgText(proposal.dose.loadKg)}.`;
	const farther =
		p.step === proposal.step ? fartherChoice(step, p.setup?.chosen, proposal.setup?.chosen) : undefined;
	if (farther !== undefined)
		return `${farther.map((x) => x.title).join(' ')} is harder than what is proposed.`;
	const [own, proposed] = [lengthIn(p.setup), lengthIn(proposal.setup)];
	if (
		p.step === proposal.step &&
		own !== null &&
		proposed !== null &&
		own.of === proposed.of &&
		(own.value - proposed.value) * own.harder > 0
	)
		return own.of === 'seatCm'
			? `A ${cmText(own.value)} seat is lower than the proposed ${cmText(proposed.value)}; gentler is higher or equal.`
			: own.of === 'thighDeg'
				? `A depth of ${own.value}° is deeper than the proposed ${proposed.value}°.`
				: `${setupText(p.setup)} is harder than the proposed ${setupText(proposal.setup)}.`;
	return undefined;
}
