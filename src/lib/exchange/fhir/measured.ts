/** What was measured and told, as observations: build, ranges, function tests, totals of questionnaires, mornings, scores of goals. */
import type { Observation, ObservationComponent } from 'fhir/r4';
import { FUNCTION_TESTS } from '../../catalogue/function-tests.ts';
import { QUESTIONNAIRES } from '../../catalogue/questionnaires.ts';
import { RANGES } from '../../catalogue/ranges.ts';
import type { Day } from '../../core/base/calendar-day.ts';
import { regionName } from '../../wording/names.ts';
import { coded, localCode, quantity, to, type Unit } from './resource.ts';
import type { FhirSource } from './source.ts';

const category = (code: 'vital-signs' | 'exam' | 'survey') => [
	{ coding: [{ system: 'http://terminology.hl7.org/CodeSystem/observation-category', code }] }
];

type Kind = Parameters<typeof category>[0];
type Rest = Pick<Observation, 'code'> & Partial<Observation>;

const observed = (s: FhirSource, id: string, day: Day, kind: Kind, rest: Rest): Observation => ({
	resourceType: 'Observation',
	id,
	status: 'final',
	category: category(kind),
	subject: to('Patient', s.client.id),
	effectiveDateTime: day,
	...rest
});

const build = (s: FhirSource): readonly Observation[] => [
	observed(s, `${s.body.id}-h`, s.body.day, 'vital-signs', {
		code: coded('height', 'body-height', 'Body height'),
		valueQuantity: quantity(s.body.heightCm, 'cm')
	}),
	observed(s, `${s.body.id}-m`, s.body.day, 'vital-signs', {
		code: coded('mass', 'body-mass', 'Body weight'),
		valueQuantity: quantity(s.body.massKg, 'kg')
	})
];

const degrees = (code: string, text: string, value: number): ObservationComponent => ({
	code: localCode(code, text),
	valueQuantity: quantity(value, 'deg')
});

/** The value is what is tolerable, which set-ups are solved by; where it begins to hurt and where it ends stand beside it. */
const ranges = (s: FhirSource): readonly Observation[] =>
	s.ranges.map((m) => {
		const kind = Object.hasOwn(RANGES, m.axis) ? RANGES[m.axis as keyof typeof RANGES] : undefined;
		return observed(s, m.id, m.day, 'exam', {
			code: localCode(`range-${m.axis}`, kind?.name ?? m.axis),
			...(kind === undefined
				? {}
				: { bodySite: { text: kind.midline === true ? kind.joint : `${m.side} ${kind.joint}` } }),
			method: { text: m.method },
			valueQuantity: quantity(m.tolerable, 'deg'),
			component: [
				degrees('range-onset', 'Where it begins to hurt', m.onset),
				degrees('range-end', 'Where it ends', m.end),
				{ code: coded('pain', 'pain-at-end', 'Pain at the end of the range'), valueInteger: m.pain }
			]
		});
	});

const tests = (s: FhirSource): readonly Observation[] =>
	s.tests.map((x) => {
		const spec = FUNCTION_TESTS.find((f) => f.id === x.test);
		return observed(s, x.id, x.day, 'exam', {
			code: localCode(`test-${x.test}`, spec?.title ?? x.test),
			...(x.side === null ? {} : { bodySite: { text: `${x.side} leg` } }),
			valueQuantity: quantity(x.value, (spec?.unit ?? 'points') as Unit)
		});
	});

const totals = (s: FhirSource): readonly Observation[] =>
	s.totals.map((q) =>
		observed(s, q.id, q.day, 'survey', {
			code: localCode(
				`total-${q.instrument}`,
				`${QUESTIONNAIRES.find((x) => x.id === q.instrument)?.name ?? q.instrument}, total`
			),
			method: { text: `version ${q.version}` },
			valueQuantity: quantity(q.total, 'points')
		})
	);

const mornings = (s: FhirSource): readonly Observation[] =>
	s.mornings.map((m) =>
		observed(s, m.id, m.date, 'survey', {
			code: coded('pain', 'pain-next-morning', 'Pain on rising'),
			bodySite: { text: regionName(m.region) },
			...(m.pain === undefined ? { dataAbsentReason: { text: 'not told' } } : { valueInteger: m.pain }),
			component: [
				...(m.stiffnessMin === undefined
					? []
					: [
							{
								code: localCode('morning-stiffness', 'Stiffness on rising'),
								valueQuantity: quantity(m.stiffnessMin, 'min')
							}
						]),
				...(m.swelling === undefined
					? []
					: [{ code: localCode('swelling', 'Swelling, as told'), valueString: m.swelling }])
			]
		})
	);

const scores = (s: FhirSource): readonly Observation[] =>
	s.goals.flatMap((g) =>
		g.scores.map((x, i) =>
			observed(s, `${g.id}-${i}`, x.day, 'survey', {
				code: localCode('goal-score', `How well it goes, 0 to 10: ${g.label}`),
				focus: [to('Goal', g.id)],
				valueInteger: x.score
			})
		)
	);

export const observations = (s: FhirSource): readonly Observation[] =>
	[build, ranges, tests, totals, mornings, scores].flatMap((of) => of(s));
