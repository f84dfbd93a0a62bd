/**
 * Places on the body map: regions that can hurt, which of them have sides, and the spots within one. Ids are those of the record.
 */
export const PARTS = [
	'knee',
	'hip',
	'groin',
	'buttock',
	'thigh',
	'shin',
	'ankle',
	'foot',
	'back',
	'neck',
	'shoulder',
	'elbow',
	'wrist'
] as const;
export type Part = (typeof PARTS)[number];

const UNSIDED: readonly Part[] = ['back', 'neck'];
export const hasSides = (part: Part): boolean => !UNSIDED.includes(part);

/** All regions: `knee-left`, `knee-right`, …, `back`. */
export const REGIONS: readonly string[] = PARTS.flatMap((p) =>
	hasSides(p) ? [`${p}-left`, `${p}-right`] : [p]
);

export const SPOTS: Readonly<Record<Part, readonly string[]>> = {
	knee: ['front', 'inner', 'outer', 'back', 'all round'],
	hip: ['front', 'outer', 'back', 'deep'],
	groin: ['inner', 'deep'],
	buttock: ['deep', 'sitting bone'],
	thigh: ['front', 'back', 'inner', 'outer'],
	shin: ['front', 'inner', 'calf'],
	ankle: ['front', 'inner', 'outer', 'heel cord'],
	foot: ['heel', 'arch', 'big toe', 'ball'],
	back: ['low', 'middle', 'upper', 'one side'],
	neck: ['back', 'side'],
	shoulder: ['front', 'outer', 'back'],
	elbow: ['inner', 'outer'],
	wrist: ['palm side', 'back side']
};

export const partOf = (region: string): Part | undefined => PARTS.find((p) => p === region.split('-')[0]);
