/**
 * What has become of a client, from the record: pain by region and day, each exercise's way up its ladder with the decisions on it, tests against norms
 * and totals with the change that matters.
 */
import { FUNCTION_TESTS } from '#lib/catalogue/function-tests.ts';
import { questionnaire } from '#lib/catalogue/questionnaires.ts';
import { ageOn, type Day } from '#lib/core/base/calendar-day.ts';
import { SIDES, type Side } from '#lib/core/body/axis.ts';
import type { Decision } from '#lib/core/decision/trace.ts';
import { doseText } from '#lib/wording/dose.ts';
import { changeOf } from '#lib/core/measure/change.ts';
import { judgeTest, type TestPerson, type TestSpec } from '#lib/core/measure/function-test.ts';
import { totalChange } from '#lib/core/measure/questionnaire.ts';
import { painByDay, type PainDay } from '#lib/core/session/work.ts';
import { changeText, firstReading, readingText } from '#lib/wording/measure.ts';
import { setupText } from '#lib/wording/setup.ts';
import { regionsOf } from '../record/facts-of.ts';
import { logsOf, toldOf } from '../record/found-once.ts';
import type { ClientRecord } from '../record/load.ts';
import type { SignedDecision } from '../repo/decision-repo.ts';
import type { TestResult, Total } from '../repo/sheet-repo.ts';

export interface RegionPain {
	readonly region: string;
	readonly usual: number;
	readonly days: readonly PainDay[];
}

/** The worst of a day over all exercises of a region; regions under treatment first, then those that were. */
export function painByRegion(r: ClientRecord): readonly RegionPain[] {
	const regions = [...new Set([...regionsOf(r), ...r.everGiven.map((e) => e.region)])];
	return regions.flatMap((region): RegionPain[] => {
		const own = r.everGiven.filter((e) => e.region === region);
		const sessions = own.flatMap((e) => logsOf(r, e.id).map((l) => toldOf(r, l)));
		const usual = r.head.setting.usual[region]?.intake ?? 0;
		return own.length === 0 ? [] : [{ region, usual, days: painByDay(sessions, region, r.mornings) }];
	});
}

export interface Rung {
	readonly day: Day;
	/** Place on the ladder, from 1; 0 where the step is no longer on it. */
	readonly at: number;
	readonly title: string;
	readonly dose: string;
	readonly setup: string;
	readonly state: 'active' | 'stopped' | 'set-aside' | 'ended';
}

export interface Climb {
	readonly exerciseId: string;
	readonly ladder: string;
	readonly region: string;
	/** Steps of the ladder. */
	readonly of: number;
	readonly rungs: readonly Rung[];
	readonly decided: readonly { readonly day: Day; readonly decision: Decision; readonly answer: string }[];
}

/** Each exercise's way up its ladder: what was given when, and what was decided. What was undone is left out. */
export function climbs(r: ClientRecord, signed: readonly SignedDecision[]): readonly Climb[] {
	return r.everGiven.map((e): Climb => {
		const family = r.families[e.family];
		return {
			exerciseId: e.id,
			ladder: family?.title ?? e.family,
			region: e.region,
			of: family?.steps.length ?? 0,
			rungs: e.prescriptions.map((p): Rung => ({
				day: p.day,
				at: (family?.steps.findIndex((s) => s.id === p.step) ?? -1) + 1,
				title: p.snapshot.title,
				dose: doseText(p.dose),
				setup: setupText(p.setup),
				state: p.state
			})),
			decided: signed
				.filter((d) => d.exerciseId === e.id && !d.undone)
				.map((d) => ({ day: d.day, decision: d.proposal.decision, answer: d.answer }))
				.reverse()
		};
	});
}

export interface Measured {
	readonly id: string;
	readonly title: string;
	readonly side: Side | null;
	readonly unit: string;
	readonly values: readonly { readonly day: Day; readonly value: number }[];
	/** From the first to the last, by every published rule; empty with one value. */
	readonly change: string;
	/** Against the first norm that speaks of this person; empty where there is none. */
	readonly norm: string;
}

const personOf = (r: ClientRecord, today: Day): TestPerson => ({
	age: ageOn(r.head.born, today),
	sex: r.head.sex,
	heightCm: r.head.setting.heightCm,
	massKg: r.head.setting.massKg
});

/** Function tests and strength, by side, oldest value first. */
export function measuredTests(
	r: ClientRecord,
	results: readonly TestResult[],
	today: Day
): readonly Measured[] {
	const who = personOf(r, today);
	return FUNCTION_TESTS.flatMap((spec) =>
		(spec.sided ? SIDES : [null]).flatMap((side) => {
			const own = results.filter((x) => x.test === spec.id && x.side === side);
			return own.length === 0 ? [] : [testView(spec, side, own, who)];
		})
	);
}

function testView(spec: TestSpec, side: Side | null, own: readonly TestResult[], who: TestPerson): Measured {
	const [first, last] = [own[0] as TestResult, own[own.length - 1] as TestResult];
	const reading = firstReading(judgeTest(spec, last.value, last.extras, who).readings);
	return {
		id: `${spec.id} ${side ?? ''}`,
		title: spec.title,
		side,
		unit: spec.unit,
		values: own.map(({ day, value }) => ({ day, value })),
		change:
			own.length < 2
				? ''
				: changeText(
						changeOf({ from: first.value, to: last.value, better: spec.better }, spec.changes),
						first.value,
						spec.unit
					),
		norm: reading === undefined ? '' : readingText(reading)
	};
}

/** Totals of questionnaires; only like versions are compared. */
export function measuredTotals(all: readonly Total[]): readonly Measured[] {
	const kinds = [...new Set(all.map((t) => `${t.instrument}|${t.version}`))];
	return kinds.flatMap((kind): Measured[] => {
		const own = all.filter((t) => `${t.instrument}|${t.version}` === kind);
		const [first, last] = [own[0], own[own.length - 1]];
		if (first === undefined || last === undefined) return [];
		const spec = questionnaire(first.instrument);
		return [
			{
				id: kind,
				title: `${spec?.name ?? first.instrument}, ${first.version}`,
				side: null,
				unit: 'points',
				values: own.map(({ day, total }) => ({ day, value: total })),
				change:
					spec === undefined || own.length < 2
						? ''
						: changeText(totalChange(spec, first.total, last.total), first.total, 'points'),
				norm: ''
			}
		];
	});
}
