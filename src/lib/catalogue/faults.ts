/**
 * Faults: from where they are seen, and which dial they turn first. One list for all families.
 * @source common-practice
 */
import type { Fault } from '../core/exercise/family.ts';

export const FAULTS: readonly Fault[] = [
	{ id: 'knee-drifts-in', title: 'Knee drifts in', seenFrom: 'front: hip bone, kneecap and middle toe out of line', dial: 'depth' },
	{ id: 'knee-leads', title: 'Knee leads', seenFrom: 'side: the client cannot see their own toes', dial: 'surface', techniques: ['sit-back', 'parallel'] },
	{ id: 'heel-lifts', title: 'Heel lifts', seenFrom: 'side', dial: 'surface' },
	{ id: 'toes-lift', title: 'Toes lift', seenFrom: 'front', dial: 'cue' },
	{ id: 'foot-slides', title: 'Foot slides', seenFrom: 'front', dial: 'cue' },
	{ id: 'pelvis-tucks', title: 'Pelvis rolls under', seenFrom: 'side, a hand on the low back', dial: 'depth' },
	{ id: 'buttocks-leave-pad', title: 'Buttocks leave the pad', seenFrom: 'side', dial: 'depth' },
	{ id: 'back-rounds', title: 'Back rounds', seenFrom: 'side, a hand on the low back', dial: 'surface' },
	{ id: 'back-arches', title: 'Low back arches', seenFrom: 'side, a hand on the low back', dial: 'cue' },
	{ id: 'trunk-tips', title: 'Trunk tips', seenFrom: 'side', dial: 'load' },
	{ id: 'segmented-rise', title: 'Rises in two parts', seenFrom: 'side', dial: 'load' },
	{ id: 'momentum-cheat', title: 'Swings up', seenFrom: 'side', dial: 'surface', techniques: ['sit-back', 'parallel', 'knee-forward', 'stacked'] },
	{ id: 'trunk-twists', title: 'Trunk twists', seenFrom: 'front', dial: 'support' },
	{ id: 'pelvis-rolls', title: 'Pelvis rolls back', seenFrom: 'a pointing finger on the hip bone', dial: 'lever' },
	{ id: 'pelvis-drops', title: 'Pelvis drops', seenFrom: 'front, hands on the hip bones', dial: 'support' },
	{ id: 'loses-balance', title: 'Loses balance', seenFrom: 'any side', dial: 'support' },
	{ id: 'wobbles', title: 'Wobbles', seenFrom: 'any side', dial: 'base' },
	{ id: 'knee-bangs-floor', title: 'Knee bangs the floor', seenFrom: 'by the sound', dial: 'depth' },
	{ id: 'hard-landing', title: 'Lands hard', seenFrom: 'by the sound', dial: 'impact' },
	{ id: 'breath-held', title: 'Breath held', seenFrom: 'listening', dial: 'load' },
	{ id: 'over-braced', title: 'Braced too hard', seenFrom: 'listening and watching', dial: 'load' },
	{ id: 'guarding', title: 'Guarding', seenFrom: 'watching face and shoulders', dial: 'position' },
	{ id: 'position-lost-midset', title: 'Position lost mid-set', seenFrom: 'asking: are the abdominals still felt?', dial: 'dose' },
	{ id: 'leg-straightens', title: 'Bent leg straightens', seenFrom: 'looking back along the leg', dial: 'load' },
	{ id: 'work-not-felt', title: 'Work not felt where meant', seenFrom: 'asking', dial: 'cue' },
	{ id: 'back-feels-worked', title: 'Back feels worked', seenFrom: 'asking', dial: 'load' },
	{ id: 'rushed', title: 'Rushed', seenFrom: 'watching', dial: 'tempo' }
];
