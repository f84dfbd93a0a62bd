/**
 * Forty guards and boundaries of the core, each put wrong in one way, with the tests that must notice. They run with every check; `npm run mutate` tries
 * all there are. A guard that moves takes its line here with it: a text that is not found once is a failure, not a pass.
 */
export interface FixedMutant {
	readonly file: string;
	readonly was: string;
	readonly now: string;
	readonly by: string;
}

const core = (file: string, was: string, now: string, by: string): FixedMutant => ({
	file: `src/lib/core/${file}.ts`,
	was,
	now,
	by: `src/lib/core/${by}.test.ts`
});
const rule = (file: string, was: string, now: string, by = 'decision/decide'): FixedMutant =>
	core(`decision/rule/exercise/${file}`, was, now, by);

export const FIXED_MUTANTS: readonly FixedMutant[] = [
	// Alarms and standing work.
	core('safety/standing', "b.by === 'protocol' || p.passedOver", 'p.passedOver', 'safety/standing'),
	core('safety/standing', 'p.loadKg > highest &&', 'p.loadKg >= highest &&', 'safety/standing'),
	core('safety/standing', 'known.date < p.since', 'known.date <= p.since', 'safety/standing'),
	core('safety/standing', 'o.date > known.date', 'o.date >= known.date', 'safety/standing'),
	core('safety/standing', 'l.short > (known', 'l.short >= (known', 'safety/standing'),
	core('safety/standing', "if (x.answer === 'no') out", 'if (true) out', 'safety/standing'),
	core('safety/standing', '(x.value - y.value) * x.harder <= 0', 'true', 'safety/standing'),
	core('safety/closed', 'at(step) > at(reached)', 'at(step) >= at(reached)', 'safety/closed'),
	core(
		'safety/closed',
		"found.by === 'protocol' ? 'nobody'",
		"found.by === 'flag' ? 'nobody'",
		'safety/closed'
	),
	core('safety/closed', "&& !cleared(facts.clearances, 'loaded-spine')", '', 'safety/closed'),
	core('safety/same-purpose', 's.gates.length === 0 &&', '', 'safety/same-purpose'),
	core('safety/same-purpose', 'hardness(s) <= level + 1e-9', 'true', 'safety/same-purpose'),
	// The day.
	core('decision/pain-zones', 'now >= stop ||', 'now > stop ||', 'decision/arrival'),
	core('decision/pain-zones', 'now > acceptable', 'now >= acceptable', 'decision/arrival'),
	core('decision/closed-today', 'kept.easyOnly === true &&', '', 'decision/closed-today'),
	core(
		'client/acute',
		"over(s.systolic, 200) ? ['systolic",
		"over(s.systolic, 201) ? ['systolic",
		'decision/closed-today'
	),
	// Rules of an exercise.
	rule('stop-symptom', '&& !isUsual(s, x)', '', 'decision/boundaries'),
	rule('stop-symptom', 's.radiatingLower !== false', 's.radiatingLower === true'),
	rule('stop-region', '&& j.input.exercise.relief !== true', '', 'decision/boundaries'),
	rule('regress-away', 'days < LONG_AWAY_DAYS', 'days <= LONG_AWAY_DAYS', 'decision/boundaries'),
	rule('regress-away', 'if (days < AWAY_DAYS)', 'if (days <= AWAY_DAYS)', 'decision/boundaries'),
	rule('hold-soreness', 'said >= j.policy.sorenessHold', 'said > j.policy.sorenessHold'),
	rule('wait-morning', 'age > MORNING_HOURS_DAYS', 'age >= MORNING_HOURS_DAYS', 'decision/boundaries'),
	rule('regress-fault', 'share >= 0.5 &&', 'share > 0.5 &&'),
	rule('regress-felt', 'told.length === 2 &&', ''),
	rule('hold-region', "j.state.kind === 'up' || other", 'other'),
	// What an advance needs, and where it leads.
	core('decision/streak', 's.againstAdvice !== true', 'true', 'decision/boundaries'),
	core('decision/streak', 'span <= streakDays', 'span < streakDays', 'decision/boundaries'),
	core('decision/streak', 'if (s.lighter === true) continue;', '', 'decision/boundaries'),
	core('decision/advance', 'standing?.retry !== true', 'standing?.retry === false', 'decision/boundaries'),
	core('decision/advance', 'e.gateOpen && OPEN', 'OPEN', 'decision/decide'),
	core('decision/advance', '(kg ?? 0) > exercise.dose.loadKg', '(kg ?? 0) > 1000', 'decision/boundaries'),
	core(
		'decision/regress',
		'frontOfKneeSore === true && higherWedge',
		'frontOfKneeSore === undefined && higherWedge',
		'decision/ways'
	),
	// Gates, limits, phases, doses.
	core('fit/gate', 'met: done >= sets', 'met: done > sets', 'fit/fit'),
	core(
		'fit/gate',
		'left >= gate.sec && right >= gate.sec',
		'left >= gate.sec || right >= gate.sec',
		'fit/every-ladder'
	),
	core('fit/gate', "gate.jointFree === true && last.joint !== 'none'", 'false', 'fit/gate'),
	core(
		'movement/limits',
		'daysBetween(tolerated.date, today) > rules.staleDays',
		'daysBetween(tolerated.date, today) >= rules.staleDays',
		'decision/boundaries'
	),
	core('client/protocol', 'i === 0 || p.confirmedOn !== undefined', 'true', 'client/protocol'),
	core('dose/dose', 'item <= kg * 1.1 + 1e-9', 'item <= kg * 1.2', 'dose/dose'),
	core(
		'dose/dose',
		'Math.max(3, Math.round(dose.reps * 0.6))',
		'Math.max(1, Math.round(dose.reps * 0.6))',
		'dose/dose'
	)
];
