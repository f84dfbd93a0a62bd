/** What hurts, goals and the arrival card as forms. */
import { z } from 'zod';
import { partOf, SPOTS } from '#lib/core/body/place.ts';
import { SIDES } from '#lib/core/body/axis.ts';
import { PAIN_AT } from '#lib/core/session/record.ts';
import { region, text, typed, typedWhole, uuid } from './basics.ts';

const needed = (label: string) =>
	typed(label, 0, 10).transform((v, ctx) => {
		if (v !== undefined && Number.isInteger(v)) return v;
		ctx.addIssue({ code: 'custom', message: `${label}: choose 0 to 10.` });
		return z.NEVER;
	});
const answer = (label: string) => z.enum(['yes', 'no', 'unknown'], `${label}: answer yes, no or unknown.`);

export const POSITIONS = [
	'standing',
	'stairs',
	'squatting',
	'sitting',
	'rising',
	'bending',
	'kneeling',
	'lying',
	'walking'
] as const;

export const complaintForm = z
	.object({
		id: uuid,
		settingId: uuid,
		region,
		spot: text(40),
		usualMorning: needed('Usual morning'),
		worst: needed('Worst'),
		easing: text(200),
		stiffnessMin: typedWhole('Stiffness', 0, 600, 'min'),
		painAt: z.union([z.literal(''), z.enum(PAIN_AT)]),
		loaded: answer('Only under load'),
		position: z.union([z.literal(''), z.enum(POSITIONS)])
	})
	.superRefine((f, ctx) => {
		const part = partOf(f.region);
		if (part === undefined)
			ctx.addIssue({
				code: 'custom',
				path: ['region'],
				message: 'Choose a place on the map or from the list.'
			});
		else if (!SPOTS[part].includes(f.spot))
			ctx.addIssue({
				code: 'custom',
				path: ['spot'],
				message: `Where in the ${part}: ${SPOTS[part].join(', ')}.`
			});
	});

export const goalForm = z.object({
	id: uuid,
	replaces: z.union([z.literal(''), uuid]),
	activity: text(40).min(1, 'Choose an activity.'),
	label: text(120),
	score: needed('Able now'),
	confidence: z.union([z.literal('').transform(() => undefined), needed('Confidence')]),
	side: z.enum(['', ...SIDES]),
	tie: z.union([
		z.literal(''),
		z.string().regex(/^[a-z][a-z0-9-]{0,59}:[a-z][a-z0-9-]{0,59}$/, 'Choose a point from the list.')
	]),
	heightCm: typed('Height', 5, 80, 'cm'),
	sets: typedWhole('Sets', 1, 20).optional(),
	reps: typedWhole('Repetitions', 1, 100).optional()
});

const later = (label: string) => z.union([z.literal(''), answer(label)]).default('');
const pressure = (label: string, low: number, high: number) =>
	typedWhole(label, low, high, 'mmHg').optional();

/** The arrival card; what is asked after a fall or of new swelling comes only where it was asked. */
export const arriveForm = z.object({
	id: uuid,
	fever: z.enum(['yes', 'no', 'unknown', 'cold'], 'Fever: answer yes, no, a cold without fever, or unknown.'),
	fall: answer('A fall'),
	hipOrNoWeight: later('Hip or groin pain'),
	legShorterOrTurned: later('Leg shorter or turned'),
	headOnThinners: later('Head hit'),
	drowsyOrVomiting: later('Drowsy or vomiting'),
	otherPain: later('Other new pain'),
	newSwelling: answer('New swelling'),
	swollenRegion: z.union([z.literal(''), region]).default(''),
	hot: later('Hot'),
	cannotStand: later('Can hardly be moved'),
	calf: answer('One calf'),
	systolic: pressure('Upper pressure', 60, 280),
	diastolic: pressure('Lower pressure', 30, 180)
});

type ArriveFields = z.infer<typeof arriveForm>;

/** What the form says, with what was not asked left out; an open question after a fall stays unknown. */
export function arrivalOf({
	hipOrNoWeight,
	legShorterOrTurned,
	headOnThinners,
	drowsyOrVomiting,
	otherPain,
	swollenRegion,
	hot,
	cannotStand,
	systolic,
	diastolic,
	...f
}: ArriveFields) {
	const fall = [hipOrNoWeight, legShorterOrTurned, headOnThinners, drowsyOrVomiting, otherPain];
	const or = (a: (typeof fall)[number]): 'yes' | 'no' | 'unknown' => (a === '' ? 'unknown' : a);
	const asked = f.fall === 'yes' && fall.some((a) => a !== '');
	return {
		...f,
		...(asked
			? {
					afterFall: {
						hipOrNoWeight: or(hipOrNoWeight),
						legShorterOrTurned: or(legShorterOrTurned),
						headOnThinners: or(headOnThinners),
						drowsyOrVomiting: or(drowsyOrVomiting),
						otherPain: or(otherPain)
					}
				}
			: {}),
		...(f.newSwelling === 'yes' && hot !== ''
			? {
					swollen: {
						...(swollenRegion === '' ? {} : { region: swollenRegion }),
						hot,
						cannotStand: or(cannotStand)
					}
				}
			: {}),
		...(systolic === undefined ? {} : { systolic }),
		...(diastolic === undefined ? {} : { diastolic })
	};
}
