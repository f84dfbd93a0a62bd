/** Straightening the knee, seated: nothing is solved, the arc is the demand. */
import type { KneeExtensionPosture } from '../../exercise/step-posture.ts';
import { kneeExtension } from '../../posture/knee-extension.ts';
import { framed } from '../drawing/drawn.ts';
import { asked, type Movement, within } from '../movement.ts';
import { framesOfKneeExtension } from './frames.ts';

const AXES_ASKED = ['kneeFlexion'] as const;
const ARC = [0, 120] as const;

const pulled = ({ by, load }: KneeExtensionPosture) =>
	by === 'cuff' ? { cuffKg: load?.kg ?? 0 } : by === 'machine' ? { machineKg: load?.kg ?? 0 } : {};

export const KNEE_EXTENSION: Movement<KneeExtensionPosture> = {
	axes: () => AXES_ASKED,
	leastKnee: (p) => Math.min(p.fromDeg, p.toDeg),
	oneSided: () => true,
	byTechnique: false,
	length: () => null,
	usual: () => ({}),
	asks: ({ p, ctx: { body } }) => {
		const { total } = kneeExtension({ body, kneeDeg: p.toDeg, ...pulled(p) });
		return asked({ kneeFlexion: Math.max(p.fromDeg, p.toDeg) }, { knee: total, hip: 0, back: 0 }, []);
	},
	picture: (at, limiting) => framed(at.ctx.body, framesOfKneeExtension(at), limiting),
	faults: (p) => [...within('arc from', p.fromDeg, ARC, '°'), ...within('arc to', p.toDeg, ARC, '°')]
};
