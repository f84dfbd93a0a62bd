/** Up on the toes, and below an edge where the heels drop. Nothing is solved. */
import type { Axis } from '../../body/axis.ts';
import type { HeelRaisePosture } from '../../exercise/step-posture.ts';
import { heelRaise } from '../../posture/heel-raise.ts';
import { framed } from '../drawing/drawn.ts';
import { asked, type Movement, within } from '../movement.ts';
import { framesOfHeelRaise } from './frames.ts';

/** The ankle is asked where the heel drops or the knee bends, the knee where it bends. */
const axesAsked = (p: HeelRaisePosture): readonly Axis[] => [
	...(p.dropDeg !== undefined || p.kneeDeg !== undefined ? (['weightBearingDorsiflexion'] as const) : []),
	'bigToeExtension',
	...(p.kneeDeg !== undefined ? (['kneeFlexion'] as const) : [])
];

export const HEEL_RAISE: Movement<HeelRaisePosture> = {
	axes: axesAsked,
	oneSided: (p) => p.legs === 1,
	byTechnique: false,
	length: () => null,
	usual: () => ({}),
	asks: ({ p, ctx: { body } }) => {
		const { pitchDeg, legs, kneeDeg, dropDeg } = p;
		const loadKg = p.load?.kg ?? 0;
		const q = heelRaise({ body, pitchDeg, legs, loadKg, ...(kneeDeg === undefined ? {} : { kneeDeg }) });
		const ankle = q.demand.weightBearingDorsiflexion ?? 0;
		const drop = dropDeg === undefined ? {} : { weightBearingDorsiflexion: Math.max(dropDeg, ankle) };
		return asked({ ...q.demand, ...drop }, { knee: 0, hip: 0, back: 0, ankle: q.moment }, []);
	},
	picture: (at, limiting) => framed(at.ctx.body, framesOfHeelRaise(at), limiting),
	faults: (p) => [...within('heel', p.pitchDeg, [0, 60], '°'), ...within('drop', p.dropDeg, [0, 40], '°')]
};
