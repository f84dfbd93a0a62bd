/**
 * Dials: the twelve ways an exercise is made gentler or harder. Notches run from gentle to hard; a step sets some of them, the rest
 * stay at their gentlest. Lengths (seat, wedge) live in the step's posture; here `surface` and `depth` only say how demanding. Positions are
 * not ordered for everyone (kneeling, prone, hands each need tolerance): their order only makes an edge that changes position name it.
 */
export const DIAL_NOTCHES = {
	support: ['two-hands', 'one-hand', 'fingertips', 'none'],
	depth: ['quarter', 'half', 'level', 'as-controlled'],
	base: ['both', 'narrow', 'staggered', 'split', 'toe-touch', 'one'],
	surface: [
		'raised-seat',
		'standard-seat',
		'no-seat',
		'flat',
		'heel-wedge',
		'low-step',
		'step',
		'high-step',
		'high-handle',
		'low-handle',
		'feet-far',
		'feet-raised',
		'feet-hung',
		'back-raised',
		'edge'
	],
	load: ['none', 'household', 'light', 'goblet', 'moderate', 'overhead', 'heavy'],
	tempo: ['normal', 'slow', 'hold', 'pause'],
	impact: ['none', 'march', 'jog', 'landing', 'hop-touch', 'hop', 'switch'],
	attention: ['still', 'arms-move', 'pass', 'weight-passed', 'head-turns'],
	position: [
		'supine',
		'prone',
		'side-lying',
		'seated',
		'tall-kneeling',
		'hands-and-knees',
		'plank',
		'standing-held',
		'standing'
	],
	lever: ['none', 'bent', 'band', 'straight', 'band-shin', 'band-ankle'],
	direction: ['on-the-spot', 'rearward', 'forward', 'sideways', 'crossed'],
	rhythm: ['alternate', 'one-side']
} as const;

export type Dial = keyof typeof DIAL_NOTCHES;
export const DIALS = Object.keys(DIAL_NOTCHES) as readonly Dial[];
export type Notch<D extends Dial = Dial> = (typeof DIAL_NOTCHES)[D][number];
export type Dials = { readonly [D in Dial]?: Notch<D> };

/** How far along its dial a setting is; a dial that is not set stands at its gentlest, 0. */
export const notchIndex = (dials: Dials, dial: Dial): number => {
	const notch = dials[dial];
	return notch === undefined ? 0 : (DIAL_NOTCHES[dial] as readonly string[]).indexOf(notch);
};

/** The dials on which `to` is harder than `from`. */
export const harderDials = (from: Dials, to: Dials): readonly Dial[] =>
	DIALS.filter((d) => notchIndex(to, d) > notchIndex(from, d));
