/** A set-up's own length in words: "seat 52 cm", "step 12 cm", "thigh 70°". */
import { placeTitle } from '#lib/catalogue/choices.ts';
import type { Chosen } from '#lib/core/exercise/family.ts';
import { lengthIn, type SolvedSetup } from '#lib/core/movement/context.ts';
import type { AtHome } from '#lib/core/movement/furniture.ts';
import { type Length, lengthKind } from '#lib/core/movement/set-up-length.ts';
import { aboutText, cmText, inProse, inUnits } from './units.ts';

export const LENGTH_NAME: Readonly<Record<Length, string>> = {
	seatCm: 'seat',
	thighDeg: 'thigh',
	stepCm: 'step',
	bowDeg: 'bow',
	handleCm: 'handle',
	sledCm: 'sled',
	feetCm: 'feet'
};

/** "47 cm", "70°". */
const measured = (value: number, unit: 'cm' | 'deg'): string =>
	unit === 'deg' ? `${Math.round(value * 10) / 10}°` : cmText(value);

/** Only the number: "52 cm". */
export const lengthValue = (setup: SolvedSetup | null | undefined): string => {
	const l = lengthIn(setup);
	return l === null ? '' : measured(l.value, lengthKind(l.of).unit);
};

/** What is set otherwise than usual, as one says it: "pause 2 s, feet wide". */
export const chosenText = (chosen: Chosen | undefined): string =>
	Object.entries(chosen ?? {})
		.map(([choice, place]) => inProse(placeTitle(choice, place)))
		.join(', ');

/** The length and what was chosen: "seat 52 cm, pause 2 s"; empty where there is neither. */
export const setupText = (setup: SolvedSetup | null | undefined): string => {
	const l = lengthIn(setup);
	const length = l === null ? '' : `${LENGTH_NAME[l.of]} ${lengthValue(setup)}`;
	return [length, chosenText(setup?.chosen)].filter((x) => x !== '').join(', ');
};

/** Harder and gentler of a length, as one says it. */
export const HARDER_WORD: Readonly<Record<Length, string>> = {
	seatCm: 'lowest',
	thighDeg: 'deepest',
	stepCm: 'highest',
	bowDeg: 'deepest',
	handleCm: 'lowest',
	sledCm: 'nearest',
	feetCm: 'nearest'
};
/** What to do where it hurts; a seat by how much is said apart. */
export const SOFTEN: Readonly<Record<Exclude<Length, 'seatCm'>, string>> = {
	thighDeg: 'go shallower if it hurts',
	stepCm: 'take a lower one if it hurts',
	bowDeg: 'bow less if the back rounds or it hurts',
	handleCm: 'raise it if the back rounds or it hurts',
	sledCm: 'stop the sled earlier if the pelvis lifts or it hurts',
	feetCm: 'move the feet farther away if the knee hurts'
};

/** "raise it 2–3 cm if it hurts" */
export const softenText = (length: Length): string =>
	length === 'seatCm' ? `raise it ${aboutText(2, 3)} if it hurts` : SOFTEN[length];

/** How far a length goes, with its error: "lowest inside the limits 47 cm ± 2 · "; empty before it is worked out. */
export function reachText(
	length: ReturnType<typeof lengthIn>,
	reach: { readonly value: number; readonly unit: 'cm' | 'deg' } | null,
	band: { readonly low: number; readonly high: number } | null,
	within: 'inside the limits' | 'for this body'
): string {
	if (length === null || reach === null || band === null || !Number.isFinite(band.low)) return '';
	const spread = Math.max(1, Math.round((band.high - band.low) / 2));
	const value = length.harder > 0 ? Math.floor(reach.value) : Math.ceil(reach.value);
	const error = reach.unit === 'deg' ? spread : inUnits(spread, 'cm');
	return `${HARDER_WORD[length.of]} ${within} ${measured(value, reach.unit)} ± ${error} · `;
}

/** How the shins stand, where knee or ankle is spared by it: part of the set-up, for whoever does it. */
export const uprightText = (deg: number): string =>
	deg > 1 ? `feet under the knees, shins ${deg}° more upright than taught` : '';

/** How a prescribed seat or step is met at home. */
export function atHomeText(what: 'seat' | 'step', { cm, serves, by }: AtHome): string {
	const own = `their ${cmText(cm)} ${what === 'seat' ? 'chair' : 'step'}`;
	if (by === 0) return `${own}, as given`;
	if (serves) return `${own}, ${cmText(by)} ${what === 'seat' ? 'higher' : 'lower'}: easier`;
	return what === 'seat'
		? `${own} is ${cmText(by)} too low: raise it ${cmText(by)} with something firm`
		: `${own} is ${cmText(by)} too high: not on it`;
}
