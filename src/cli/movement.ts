/** The movements beside squat and rise on the command line: forward, and from limits to the hardest set-up. */
import type { MovementInput, MovementSolve } from '#lib/contract/posture.ts';
import type { Body, BodyInput } from '#lib/core/body/body.ts';
import { bandOfBody } from '#lib/core/posture/band.ts';
import { bridge } from '#lib/core/posture/bridge.ts';
import { heelRaise } from '#lib/core/posture/heel-raise.ts';
import { hinge, type HingeClosure } from '#lib/core/posture/hinge.ts';
import {
	bridgeFeet,
	deepestSled,
	highestStep,
	highestStepDown,
	lowestHandle,
	lowestSplitSquat,
	stepDownInBand,
	type MovementSolution
} from '#lib/core/posture/inverse-movements.ts';
import { postureInBand } from '#lib/core/posture/inverse-in-band.ts';
import { kneeExtension } from '#lib/core/posture/knee-extension.ts';
import { legPress } from '#lib/core/posture/leg-press.ts';
import { dorsiflexionFromWall } from '#lib/core/posture/lunge-test.ts';
import { TECHNIQUES } from '#lib/core/posture/problem.ts';
import { splitSquat } from '#lib/core/posture/split-squat.ts';
import { asSquat, stepDown } from '#lib/core/posture/step-down.ts';
import { stepUp } from '#lib/core/posture/step-up.ts';

/** Only what was given: exact optional keys stay out when they were left out. */
const given = <T extends object>(v: T): { [K in keyof T]: Exclude<T[K], undefined> } =>
	Object.fromEntries(Object.entries(v).filter(([, x]) => x !== undefined)) as never;

function closureOf(s: {
	readonly kneeBendDeg?: number;
	readonly shankDeg?: number;
	readonly leanDeg?: number;
}): { close?: HingeClosure } {
	if (s.kneeBendDeg !== undefined) return { close: { kneeDeg: s.kneeBendDeg } };
	if (s.shankDeg !== undefined) return { close: { shankDeg: s.shankDeg } };
	return s.leanDeg === undefined ? {} : { close: { leanDeg: s.leanDeg } };
}

const risers = ({
	frontRiserCm,
	rearRiserCm,
	...rest
}: {
	readonly frontRiserCm?: number;
	readonly rearRiserCm?: number;
	readonly strideCm?: number;
	readonly shankDeg?: number;
	readonly leanDeg?: number;
	readonly thighDeg?: number;
}) => ({
	...given(rest),
	...(frontRiserCm === undefined ? {} : { frontElevationCm: frontRiserCm }),
	...(rearRiserCm === undefined ? {} : { rearElevationCm: rearRiserCm })
});
const kgOf = (load: { readonly kg: number } | undefined): { loadKg?: number } =>
	load === undefined ? {} : { loadKg: load.kg };

export function answerMovement(input: MovementInput, bodyFrom: (b: BodyInput) => Body): unknown {
	const body = bodyFrom(input.body);
	switch (input.movement) {
		case 'step-up': {
			const { setup, movement: _, ...rest } = input;
			return stepUp({ ...given(rest), ...given(setup), body });
		}
		case 'step-down': {
			const { setup, movement: _, techniqueBand, ...rest } = input;
			const problem = { ...given(rest), ...given(setup), body };
			return techniqueBand === true
				? postureInBand(asSquat(problem), [problem.limits ?? {}])
				: stepDown(problem);
		}
		case 'split-squat': {
			const { setup, movement: _, ...rest } = input;
			return splitSquat({ ...given(rest), ...risers(setup), body });
		}
		case 'hinge': {
			const { setup, movement: _, load, ...rest } = input;
			const { kneeBendDeg, shankDeg, leanDeg, ...own } = setup;
			return hinge({
				...given(rest),
				...given(own),
				...closureOf(given({ kneeBendDeg, shankDeg, leanDeg })),
				...kgOf(load),
				body
			});
		}
		case 'bridge': {
			const { setup, movement: _, load, ...rest } = input;
			const { kneeFlexionDeg, ...own } = setup;
			return bridge({
				...given(rest),
				...given(own),
				...(kneeFlexionDeg === undefined ? {} : { kneeDeg: kneeFlexionDeg }),
				...kgOf(load),
				body
			});
		}
		case 'leg-press': {
			const { setup, movement: _, load, ...rest } = input;
			return legPress({ ...given(rest), ...given(setup), ...kgOf(load), body });
		}
		case 'knee-extension': {
			const { kneeFlexionDeg, ...own } = input.setup;
			return { moments: kneeExtension({ body, kneeDeg: kneeFlexionDeg, ...given(own) }) };
		}
		case 'heel-raise': {
			const { kneeFlexionDeg, ...own } = input.setup;
			return heelRaise({
				body,
				...given(own),
				...(kneeFlexionDeg === undefined ? {} : { kneeDeg: kneeFlexionDeg }),
				...kgOf(input.load)
			});
		}
		case 'lunge-test':
			return { shank: dorsiflexionFromWall(body, input.setup.toeWallCm) };
	}
}

/** The solve of one input as a function of the body, for its answer and its band. */
function solverOf(input: MovementSolve): (body: Body) => MovementSolution {
	switch (input.solve) {
		case 'highest-step': {
			const { setup = {}, solve: _, band: __, ...rest } = input;
			return (body) => highestStep({ ...given(rest), ...given(setup), body });
		}
		case 'highest-step-down': {
			const { setup = {}, solve: _, band: __, techniqueBand, ...rest } = input;
			return (body) =>
				(techniqueBand === true ? stepDownInBand : highestStepDown)({
					...given(rest),
					...given(setup),
					body
				});
		}
		case 'lowest-handle': {
			const { setup = {}, solve: _, band: __, load, ...rest } = input;
			const { kneeBendDeg, shankDeg, leanDeg, ...own } = setup;
			return (body) =>
				lowestHandle({
					...given(rest),
					...given(own),
					...closureOf(given({ kneeBendDeg, shankDeg, leanDeg })),
					...kgOf(load),
					body
				});
		}
		case 'deepest-sled': {
			const { setup = {}, solve: _, band: __, load, ...rest } = input;
			return (body) => deepestSled({ ...given(rest), ...given(setup), ...kgOf(load), body });
		}
		case 'lowest-split': {
			const { setup = {}, solve: _, band: __, ...rest } = input;
			return (body) => lowestSplitSquat({ ...given(rest), ...risers(setup), body });
		}
		case 'bridge-feet': {
			const { setup = {}, solve: _, band: __, load, ...rest } = input;
			const { kneeFlexionDeg, ...own } = setup;
			return (body) => bridgeFeet({ ...given(rest), ...given(own), ...kgOf(load), body }, kneeFlexionDeg);
		}
	}
}

export function answerMovementSetup(input: MovementSolve, bodyFrom: (b: BodyInput) => Body): unknown {
	const body = bodyFrom(input.body);
	const solve = solverOf(input);
	const { band: _, ...question } = input;
	const techniques =
		input.solve === 'lowest-split' || input.solve === 'highest-step-down'
			? {
					techniques: Object.fromEntries(
						TECHNIQUES.map((technique) => [technique, solverOf({ ...input, technique })(body).value])
					)
				}
			: {};
	return {
		...solve(body),
		...(input.band === true ? { band: bandOfBody(body, question, (b) => solve(b).value) } : {}),
		...techniques
	};
}
