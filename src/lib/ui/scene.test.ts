/** A figure that is kept is the one that would be drawn: it follows its set-up, its context and what limits it. */
import { expect, it } from 'vitest';
import { FAMILIES } from '#lib/catalogue/families.ts';
import { pictureOf } from '#lib/core/fit/picture.ts';
import type { SolvedSetup } from '#lib/core/movement/context.ts';
import { nobody } from '#lib/core/fit/stands.ts';
import { figureOfStep } from './scene.ts';

const ctx = nobody();
const step = FAMILIES.squat!.steps.find((s) => s.id === 'standard-seat')!;
const setup: SolvedSetup = { seatCm: 46 };
const drawn = (s: SolvedSetup | null) => pictureOf(step, ctx, s).at(1);

it('is drawn once for what is the same, whoever asks', () => {
	const first = figureOfStep(step, ctx, setup);
	expect(first).toEqual(drawn(setup));
	expect(figureOfStep(step, ctx, { ...setup })).toBe(first);
});

it('is another for another set-up, another body, what limits it and another step', () => {
	const lower: SolvedSetup = { ...setup, seatCm: 38 };
	expect(figureOfStep(step, ctx, lower)).toEqual(drawn(lower));
	expect(figureOfStep(step, ctx, lower)).not.toEqual(drawn(setup));
	expect(figureOfStep(step, ctx, setup)).toEqual(drawn(setup));
	expect(figureOfStep(step, ctx, setup, ['kneeFlexion'])).not.toEqual(drawn(setup));
	const tall = { ...ctx, body: { ...ctx.body, shankM: ctx.body.shankM * 1.2 } };
	expect(figureOfStep(step, tall, setup)).toEqual(pictureOf(step, tall, setup).at(1));
	const next = FAMILIES.squat!.steps.find((s) => s.id === 'raised-seat')!;
	expect(figureOfStep(next, ctx, setup)).toEqual(pictureOf(next, ctx, setup).at(1));
});
