/** The `measure` topic: norms, symmetry, changes and totals, each with its source and what the sources disagree about. */
import {
	ACTIVITY_CHANGES,
	ACTIVITY_MEAN_CHANGES,
	PAIN_CHANGES,
	TEST_CHANGES
} from '#lib/catalogue/change-rules.ts';
import { testSpec } from '#lib/catalogue/function-tests.ts';
import { questionnaire } from '#lib/catalogue/questionnaires.ts';
import type { MeasureInput } from '#lib/contract/measure.ts';
import { clotPoints } from '#lib/core/client/acute.ts';
import { changeOf, type ChangeRule } from '#lib/core/measure/change.ts';
import { judgeTest, type TestSpec } from '#lib/core/measure/function-test.ts';
import { acceptTotal, totalChange } from '#lib/core/measure/questionnaire.ts';
import { againstBefore, limbSymmetry, sideShare, symmetryRules } from '#lib/core/measure/symmetry.ts';
import { firstReading } from '#lib/wording/measure.ts';
import { Refused } from './refused.ts';

type Of<K extends string> = Extract<MeasureInput, Record<K, unknown>>;

const specOf = (id: string): TestSpec => testSpec(id) as TestSpec;

function oneTest({ test, value, extras = {}, age, sex, heightCm, massKg }: Of<'value'>): unknown {
	const spec = specOf(test);
	const [low, high] = spec.possible;
	if (value < low || value > high)
		throw new Refused({
			code: 'outside-possible',
			path: 'value',
			message: `${spec.title}: ${value} is outside ${low} to ${high} ${spec.unit}.`
		});
	const missing = spec.extras.find((e) => e.needed === true && extras[e.id] === undefined);
	if (missing !== undefined)
		throw new Refused({
			code: 'needed',
			path: `extras.${missing.id}`,
			message: `${spec.title} needs ${missing.label}: without it the result cannot be compared.`
		});
	const body =
		heightCm === undefined || massKg === undefined ? { heightCm: NaN, massKg: NaN } : { heightCm, massKg };
	const judged = judgeTest(spec, value, extras, { age, sex: sex ?? null, ...body });
	const first = firstReading(judged.readings);
	return {
		class: first?.class ?? 'no-norm',
		cut: first?.against ?? null,
		norm: first ?? null,
		source: first?.source ?? null,
		...judged
	};
}

function bothSides({ test, left, right, sore, before }: Extract<Of<'left'>, { sore?: unknown }>): unknown {
	const spec = specOf(test);
	const index =
		sore === undefined
			? sideShare(left, right)
			: sore === 'left'
				? limbSymmetry(left, right, spec.better)
				: limbSymmetry(right, left, spec.better);
	if (index === undefined)
		throw new Refused({
			code: 'no-index',
			path: left > 0 ? 'right' : 'left',
			message: 'A side at zero has no index.'
		});
	const own = sore === 'left' ? left : sore === 'right' ? right : undefined;
	return {
		index,
		of: sore === undefined ? 'weaker of stronger' : `${sore} of the other`,
		rules: symmetryRules(index),
		againstBefore: own === undefined || before === undefined ? null : (againstBefore(own, before) ?? null)
	};
}

function kneeToWall({
	left,
	right,
	testers = 'one'
}: Extract<MeasureInput, { test: 'knee-to-wall' }>): unknown {
	const change = changeOf(
		{ from: Math.min(left, right), to: Math.max(left, right), better: 'higher' },
		TEST_CHANGES['knee-to-wall'] ?? [],
		testers === 'two' ? 'two testers' : undefined
	);
	const judged = change.rules.filter((r) => testers === 'two' || !r.populations.includes('two testers'));
	const met = judged.filter((r) => r.met).length;
	return {
		difference: left - right,
		less: left === right ? null : left < right ? 'left' : 'right',
		minimalDetectableChange: judged.map((r) => ({
			cm: r.needed,
			tier: r.tier,
			source: r.source,
			met: r.met
		})),
		judgement:
			met === judged.length
				? 'real asymmetry'
				: met === 0
					? 'inside error'
					: 'beyond some errors, inside others'
	};
}

const RULES: Readonly<Record<string, readonly ChangeRule[]>> = {
	nprs: PAIN_CHANGES,
	psfs: ACTIVITY_MEAN_CHANGES,
	'psfs-item': ACTIVITY_CHANGES
};

function change({ change: of, from, to, population }: Of<'change'>): unknown {
	const rules = RULES[of] ?? specOf(of).changes;
	const better = of === 'nprs' ? 'lower' : of.startsWith('psfs') ? 'higher' : specOf(of).better;
	const found = changeOf({ from, to, better }, rules, population);
	if (population !== undefined && found.rules.length === 0)
		throw new Refused({
			code: 'no-rule',
			path: 'population',
			message: `No published rule for ${of} in ${population}; there are: ${[...new Set(rules.flatMap((r) => r.populations))].join(', ')}.`
		});
	return found;
}

function total({ questionnaire: id, from, to }: Of<'questionnaire'>): unknown {
	const spec = questionnaire(id);
	if (spec === undefined)
		throw new Refused({ code: 'unknown', path: 'questionnaire', message: 'Unknown questionnaire.' });
	for (const [path, v] of [
		['from', from],
		['to', to]
	] as const) {
		const accepted = v === undefined ? undefined : acceptTotal(spec, v);
		if (accepted?.ok === false)
			throw new Refused({ code: accepted.refusal.reason, path, message: accepted.refusal.message });
	}
	return { ...spec, total: to, change: from === undefined ? null : totalChange(spec, from, to) };
}

export function answerMeasure(input: MeasureInput): unknown {
	if ('change' in input) return change(input);
	if ('questionnaire' in input) return total(input);
	if ('items' in input) return clotPoints(input.items, input.version);
	if ('value' in input) return oneTest(input);
	return input.test === 'knee-to-wall'
		? kneeToWall(input as Extract<MeasureInput, { test: 'knee-to-wall' }>)
		: bothSides(input);
}
