/** What a session says of range is worked out once, and anew where what it rests on is another. */
import { describe, expect, it } from 'vitest';
import { clientOf, PLAIN, TODAY } from '../../../../tests/clients.ts';
import { bodyOf, type Body } from '#lib/core/body/body.ts';
import type { ExerciseFamily } from '#lib/core/exercise/family.ts';
import { evidenceOf, seenOf } from './evidence-of.ts';
import { oncePerGround } from './found-once.ts';
import type { ClientRecord } from './load.ts';

/** The same with sessions that nobody has looked at. */
const unseen = (r: ClientRecord): ClientRecord => ({ ...r, logs: r.logs.map((l) => ({ ...l })) });
const said = (r: ClientRecord) => [evidenceOf(r, TODAY), seenOf(r, TODAY)];
const plain = clientOf(PLAIN);
const step = plain.exercises[0]!.prescriptions[0]!.step;
const { id } = plain.families[plain.exercises[0]!.family] as ExerciseFamily;

describe('what sessions say of range', () => {
	it('is something, and the same when it is asked again', () => {
		expect(said(plain).flat().length).toBeGreaterThan(3);
		expect(evidenceOf(plain, TODAY)[0]).toBe(evidenceOf({ ...plain, logs: [...plain.logs] }, TODAY)[0]);
	});
	it.each<readonly [string, Partial<ClientRecord>]>([
		[
			'another step under its name',
			{ families: ladderWith((s) => (s.id === step ? { ...harder(), id: step } : s)) }
		],
		['a step that is no longer known', { families: ladderWith((s) => ({ ...s, id: `${s.id}-gone` })) }],
		['other mornings', { mornings: plain.mornings.map((m) => ({ ...m, pain: 9 })) }],
		['another body', { body: (bodyOf({ heightCm: 200, massKg: 70 }) as { value: Body }).value }],
		['another policy', { policy: { ...plain.policy, acceptableMax: -1, safeMax: -1 } }]
	])('is another by %s', (_, other) => {
		const r = { ...plain, ...other };
		expect(said(r)).toEqual(said(unseen(r)));
		expect(said(r)).not.toEqual(said(plain));
	});
});

it('what rests on no session is found again after one, and anew where anything else is written', () => {
	let asked = 0;
	const count = oncePerGround((_, today) => `${today} ${++asked}`);
	const first = count(plain, TODAY);
	expect(count(unseen(plain), TODAY)).toBe(first);
	for (const part of ['head', 'body', 'policy', 'room', 'mornings'] as const) {
		const other = Array.isArray(plain[part]) ? [...plain[part]] : { ...plain[part] };
		expect(count({ ...plain, [part]: other }, TODAY), part).not.toBe(first);
	}
	expect(count(plain, '2026-03-21')).not.toBe(first);
	expect(count(plain, TODAY)).toBe(first);
});

function ladderWith(
	change: (s: ExerciseFamily['steps'][number]) => ExerciseFamily['steps'][number]
): ClientRecord['families'] {
	const family = plain.families[id] as ExerciseFamily;
	return { ...plain.families, [id]: { ...family, steps: family.steps.map(change) } };
}

/** The hardest of the ladder asks another range. */
function harder(): ExerciseFamily['steps'][number] {
	const { steps } = plain.families[id] as ExerciseFamily;
	return steps[steps.length - 1]!;
}
