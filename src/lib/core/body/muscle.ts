/** Muscle groups: work is counted by them, and felt in them. */
export const MUSCLES = [
	'thigh-front',
	'thigh-back',
	'buttock',
	'hip-side',
	'hip-inner',
	'calf',
	'trunk'
] as const;
export type Muscle = (typeof MUSCLES)[number];
