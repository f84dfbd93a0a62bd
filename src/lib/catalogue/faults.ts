/**
 * Faults: from where they are seen, and which dial they turn first. One list for all families.
 * @source common-practice
 */
import type { Fault } from '../core/exercise/family.ts';

export const FAULTS: readonly Fault[] = [
	{
		id: 'knee-drifts-in',
		title: 'Knee drifts in',
		seenFrom: 'front: hip bone, kneecap and middle toe out of line',
		dial: 'depth',
		cause: 'knee-drift'
	},
	{
		id: 'knee-leads',
		title: 'Knee leads',
		seenFrom: 'side: the client cannot see their own toes',
		dial: 'surface',
		cause: 'knee-drift',
		techniques: ['sit-back', 'parallel']
	},
	{ id: 'heel-lifts', title: 'Heel lifts', seenFrom: 'side', dial: 'surface', cause: 'heel' },
	{ id: 'toes-lift', title: 'Toes lift', seenFrom: 'front', dial: 'cue', cause: 'wobble' },
	{ id: 'foot-slides', title: 'Foot slides', seenFrom: 'front', dial: 'cue', cause: 'form' },
	{
		id: 'pelvis-tucks',
		title: 'Pelvis rolls under',
		seenFrom: 'side, a hand on the low back',
		dial: 'depth',
		cause: 'back'
	},
	{
		id: 'buttocks-leave-pad',
		title: 'Buttocks leave the pad',
		seenFrom: 'side',
		dial: 'depth',
		cause: 'back'
	},
	{
		id: 'back-rounds',
		title: 'Back rounds',
		seenFrom: 'side, a hand on the low back',
		dial: 'surface',
		cause: 'back'
	},
	{
		id: 'back-arches',
		title: 'Low back arches',
		seenFrom: 'side, a hand on the low back',
		dial: 'cue',
		cause: 'arching'
	},
	{ id: 'trunk-tips', title: 'Trunk tips', seenFrom: 'side', dial: 'load', cause: 'trunk' },
	{ id: 'segmented-rise', title: 'Rises in two parts', seenFrom: 'side', dial: 'load', cause: 'trunk' },
	{
		id: 'momentum-cheat',
		title: 'Swings up',
		seenFrom: 'side',
		dial: 'surface',
		cause: 'back',
		techniques: ['sit-back', 'parallel', 'knee-forward', 'stacked']
	},
	{ id: 'trunk-twists', title: 'Trunk twists', seenFrom: 'front', dial: 'support', cause: 'wobble' },
	{
		id: 'pelvis-rolls',
		title: 'Pelvis rolls back',
		seenFrom: 'a pointing finger on the hip bone',
		dial: 'lever',
		cause: 'form'
	},
	{
		id: 'pelvis-drops',
		title: 'Pelvis drops',
		seenFrom: 'front, hands on the hip bones',
		dial: 'support',
		cause: 'wobble'
	},
	{ id: 'loses-balance', title: 'Loses balance', seenFrom: 'any side', dial: 'support', cause: 'wobble' },
	{ id: 'wobbles', title: 'Wobbles', seenFrom: 'any side', dial: 'base', cause: 'wobble' },
	{
		id: 'knee-bangs-floor',
		title: 'Knee bangs the floor',
		seenFrom: 'by the sound',
		dial: 'depth',
		cause: 'form'
	},
	{ id: 'hard-landing', title: 'Lands hard', seenFrom: 'by the sound', dial: 'impact', cause: 'landing' },
	{ id: 'breath-held', title: 'Breath held', seenFrom: 'listening', dial: 'load', cause: 'trunk' },
	{
		id: 'over-braced',
		title: 'Braced too hard',
		seenFrom: 'listening and watching',
		dial: 'cue',
		cause: 'trunk'
	},
	{
		id: 'guarding',
		title: 'Guarding',
		seenFrom: 'watching face and shoulders',
		dial: 'position',
		cause: 'guarding'
	},
	{
		id: 'position-lost-midset',
		title: 'Position lost mid-set',
		seenFrom: 'asking: are the abdominals still felt?',
		dial: 'dose',
		cause: 'form'
	},
	{
		id: 'leg-straightens',
		title: 'Bent leg straightens',
		seenFrom: 'looking back along the leg',
		dial: 'load',
		cause: 'arching'
	},
	{ id: 'work-not-felt', title: 'Work not felt where meant', seenFrom: 'asking', dial: 'cue', cause: 'form' },
	{ id: 'back-feels-worked', title: 'Back feels worked', seenFrom: 'asking', dial: 'load', cause: 'back' },
	{ id: 'rushed', title: 'Rushed', seenFrom: 'watching', dial: 'tempo', cause: 'form' },
	{ id: 'knee-drifts-out', title: 'Knee drifts out', seenFrom: 'front', dial: 'base', cause: 'knee-drift' },
	{ id: 'knees-first', title: 'Knees bend first', seenFrom: 'side', dial: 'cue', cause: 'form' },
	{
		id: 'drifts-forward',
		title: 'Drifts forward',
		seenFrom: 'side: straight down is lost',
		dial: 'support',
		cause: 'trunk'
	},
	{
		id: 'knee-dives-on-landing',
		title: 'Knee dives on landing',
		seenFrom: 'side',
		dial: 'impact',
		cause: 'landing'
	},
	{
		id: 'knee-stays-back',
		title: 'Knee stays back',
		seenFrom: 'side',
		dial: 'surface',
		cause: 'form',
		techniques: ['knee-forward']
	},
	{
		id: 'trunk-off-shin',
		title: 'Trunk and shin part',
		seenFrom: 'side: their lines are no longer parallel',
		dial: 'depth',
		cause: 'trunk',
		techniques: ['parallel']
	},
	{
		id: 'rear-leg-pushes',
		title: 'Rear leg pushes',
		seenFrom: 'side',
		dial: 'cue',
		cause: 'form',
		techniques: ['ordinary', 'sit-back', 'parallel']
	},
	{
		id: 'rear-heel-flat',
		title: 'Rear heel flat',
		seenFrom: 'side',
		dial: 'cue',
		cause: 'form',
		techniques: ['ordinary', 'sit-back', 'parallel']
	},
	{ id: 'heel-hangs', title: 'Heel hangs over the edge', seenFrom: 'side', dial: 'surface', cause: 'heel' },
	{ id: 'shoulders-round', title: 'Shoulders round', seenFrom: 'side', dial: 'load', cause: 'trunk' },
	{ id: 'arms-slack', title: 'Arms slack', seenFrom: 'side', dial: 'load', cause: 'form' },
	{ id: 'elbows-flare', title: 'Elbows flare', seenFrom: 'front', dial: 'load', cause: 'form' },
	{ id: 'gaze-off', title: 'Chin up or eyes on the feet', seenFrom: 'side', dial: 'cue', cause: 'form' },
	{ id: 'under-braced', title: 'Braced too little', seenFrom: 'asking', dial: 'load', cause: 'trunk' },
	{ id: 'hips-lift', title: 'Hips lift', seenFrom: 'side', dial: 'depth', cause: 'back' },
	{ id: 'back-off-pad', title: 'Back leaves the pad', seenFrom: 'side', dial: 'surface', cause: 'back' },
	{
		id: 'pulls-with-hands',
		title: 'Pulls with the hands',
		seenFrom: 'watching',
		dial: 'surface',
		cause: 'form'
	},
	{ id: 'feet-too-wide', title: 'Feet too wide', seenFrom: 'front', dial: 'cue', cause: 'form' },
	{ id: 'pushes-too-hard', title: 'Pushes too hard', seenFrom: 'asking', dial: 'dose', cause: 'form' },
	{ id: 'stance-knee-locks', title: 'Standing knee locks', seenFrom: 'side', dial: 'cue', cause: 'form' },
	{ id: 'knee-sags', title: 'Knee sags', seenFrom: 'side', dial: 'dose', cause: 'form' },
	{ id: 'hips-not-square', title: 'Hips not square', seenFrom: 'front', dial: 'cue', cause: 'form' },
	{
		id: 'pelvis-tips-forward',
		title: 'Pelvis tips forward',
		seenFrom: 'side',
		dial: 'cue',
		cause: 'arching'
	},
	{ id: 'knee-lifts', title: 'Knee lifts', seenFrom: 'side', dial: 'depth', cause: 'form' }
];
