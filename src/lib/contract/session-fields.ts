/**
 * What a session is asked on its form, once: scores and choices with their words. The form, its schema and what is made of it come from here; a new
 * field is a row here, a key of the session, its column, and something in the demo.
 */
import { z } from 'zod';
import { JOINTS } from '#lib/core/session/joints.ts';
import { INCOMPLETE, PAIN_AT, STOPS_A_STRETCH, TIGHTER, type Session } from '#lib/core/session/record.ts';
import { present, typedWhole } from './basics.ts';

const YES_NO = ['yes', 'no'] as const;

export interface ScoreField {
	/** As the form says it, and as a refusal does. */
	readonly label: string;
	readonly named?: string;
	readonly ends?: readonly [string, string];
	readonly needed?: true;
	readonly place: 'work' | 'pain' | 'after' | 'elsewhere';
}

export const SESSION_SCORES = {
	effort: { label: 'Effort', ends: ['none', 'nothing left'], needed: true, place: 'work' },
	before: { label: 'Before', named: 'Pain before', needed: true, place: 'pain' },
	peak: { label: 'Worst', named: 'Worst pain', needed: true, place: 'pain' },
	after: { label: 'After', named: 'Pain after', needed: true, place: 'pain' },
	confidence: { label: 'Confidence', ends: ['none', 'full'], place: 'after' },
	soreness: { label: 'Muscle soreness', place: 'after' },
	elsePeak: { label: 'How much there', named: 'Pain elsewhere', place: 'elsewhere' }
} as const satisfies Readonly<Record<string, ScoreField>>;
export type SessionScore = keyof typeof SESSION_SCORES;

export interface ChoiceField {
	readonly ask: string;
	readonly named: string;
	/** What the empty answer is called. */
	readonly none: string;
	readonly values: readonly [string, ...string[]];
	/** Asked with all sessions, with those of a stretch, or only where a symptom asks for it. */
	readonly place: 'exception' | 'stretch' | 'symptom';
}

export const SESSION_CHOICES = {
	incompleteBecause: {
		ask: 'If less was done, because of',
		named: 'Because of',
		none: 'all done',
		values: INCOMPLETE,
		place: 'exception'
	},
	painAt: {
		ask: 'It hurt in the movement',
		named: 'Where in the movement',
		none: 'not said',
		values: PAIN_AT,
		place: 'exception'
	},
	painOnlyLoaded: {
		ask: 'Only with load',
		named: 'Only with load',
		none: 'not said',
		values: YES_NO,
		place: 'exception'
	},
	feltMuscle: {
		ask: 'Felt in the muscle it is for',
		named: 'Felt in the muscle',
		none: 'not asked',
		values: YES_NO,
		place: 'exception'
	},
	feltJoint: {
		ask: 'Felt in a joint',
		named: 'Felt in a joint',
		none: 'not asked',
		values: JOINTS,
		place: 'exception'
	},
	sorenessOver72h: {
		ask: 'Muscles still sore after three days',
		named: 'Sore for more than three days',
		none: 'not asked',
		values: YES_NO,
		place: 'exception'
	},
	tighter: {
		ask: 'Tighter side',
		named: 'Tighter side',
		none: 'not said',
		values: TIGHTER,
		place: 'stretch'
	},
	stoppedBy: {
		ask: 'What stops it',
		named: 'What stops the stretch',
		none: 'not said',
		values: STOPS_A_STRETCH,
		place: 'stretch'
	},
	radiatingLower: {
		ask: 'Further down than usual, or new?',
		named: 'Lower than usual',
		none: 'not said (counts as yes)',
		values: YES_NO,
		place: 'symptom'
	},
	caudaEquina: {
		ask: 'Numb saddle area, bladder or bowel change, both legs?',
		named: 'Saddle area',
		none: 'not asked (counts as yes)',
		values: ['yes', 'no', 'unknown'],
		place: 'symptom'
	}
} as const satisfies Readonly<Record<string, ChoiceField>>;
export type SessionChoice = keyof typeof SESSION_CHOICES;
const CHOICE_NAMES = Object.keys(SESSION_CHOICES) as readonly SessionChoice[];

const scored = (label: string) => typedWhole(label, 0, 10).optional();
const needed = (label: string) =>
	z
		.string(`${label}: choose 0 to 10.`)
		.pipe(typedWhole(label, 0, 10))
		.refine((v) => v !== undefined, `${label}: choose 0 to 10.`)
		.transform((v) => v as number);
const chosen = <T extends readonly [string, ...string[]]>(values: T, label: string) =>
	z.union([z.literal(''), z.enum(values)], `${label}: choose one of ${values.join(', ')}.`).optional();

const fieldsOf = <F extends object, R>(fields: F, make: (name: keyof F) => unknown): R =>
	Object.fromEntries(Object.keys(fields).map((name) => [name, make(name as keyof F)])) as R;

type ScoreShape = {
	readonly [K in SessionScore]: (typeof SESSION_SCORES)[K] extends { readonly needed: true }
		? ReturnType<typeof needed>
		: ReturnType<typeof scored>;
};
type ChoiceShape = {
	readonly [K in SessionChoice]: ReturnType<typeof chosen<(typeof SESSION_CHOICES)[K]['values']>>;
};

/** The scores and choices of a session's form, as schemas. */
export const sessionShape: ScoreShape & ChoiceShape = {
	...fieldsOf<typeof SESSION_SCORES, ScoreShape>(SESSION_SCORES, (name) => {
		const { label, named = label, needed: must }: ScoreField = SESSION_SCORES[name];
		return must === true ? needed(named) : scored(named);
	}),
	...fieldsOf<typeof SESSION_CHOICES, ChoiceShape>(SESSION_CHOICES, (name) =>
		chosen(SESSION_CHOICES[name].values, SESSION_CHOICES[name].named)
	)
};

/** What was chosen, as a session keeps it: yes and no are said so, what was left empty is not there. */
export function chosenIn(v: Readonly<Partial<Record<SessionChoice, string | undefined>>>): Partial<Session> {
	const said = (name: SessionChoice): string | boolean | undefined => {
		const value = v[name];
		if (value === undefined || value === '') return undefined;
		return SESSION_CHOICES[name].values === YES_NO ? value === 'yes' : value;
	};
	const {
		feltMuscle: muscle,
		feltJoint: joint,
		...own
	} = Object.fromEntries(CHOICE_NAMES.map((name) => [name, said(name)]));
	const felt = present({ muscle, joint });
	return present({ ...own, felt: Object.keys(felt).length === 0 ? undefined : felt }) as Partial<Session>;
}
