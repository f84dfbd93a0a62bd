/**
 * Daily activities that goals are made of, with the range they ask by published sources (degrees, from memory).
 * @source johnston-1970 hip in daily activities; laubenthal-1972 knee; protopapadaki-2007 stairs; rowe-2000 bath and rehabilitation goal;
 * hemmerich-2006 deep squat; kettelkamp-1970 level walking; common-practice activities without a source
 */
import type { Activity } from '../core/client/goal.ts';

export const ACTIVITIES: readonly Activity[] = [
	{
		id: 'walk-level',
		title: 'Walking on the level',
		demands: [{ hip: 35, knee: 67, ankle: 10, source: 'kettelkamp-1970' }]
	},
	{
		id: 'stairs-up',
		title: 'Stairs up',
		demands: [
			{ hip: 67, knee: 83, source: 'johnston-1970' },
			{ hip: 65, knee: 94, ankle: 11, source: 'protopapadaki-2007' }
		],
		ladder: { family: 'step', step: 'step-up', height: 'step' }
	},
	{
		id: 'stairs-down',
		title: 'Stairs down',
		demands: [
			{ hip: 36, knee: 90, source: 'johnston-1970' },
			{ hip: 40, knee: 91, ankle: 21, source: 'protopapadaki-2007' }
		],
		ladder: { family: 'step', step: 'step-down-tap', height: 'step' }
	},
	{
		id: 'ordinary-chair',
		title: 'Up from an ordinary chair',
		demands: [{ hip: 104, knee: 93, source: 'johnston-1970' }],
		ladder: { family: 'squat', step: 'standard-seat', height: 'seat' }
	},
	{
		id: 'low-chair',
		title: 'Up from a low chair or sofa',
		demands: [{ knee: 105, source: 'rowe-2000' }],
		ladder: { family: 'squat', step: 'standard-seat', height: 'seat' }
	},
	{
		id: 'toilet',
		title: 'Toilet without rails',
		demands: [{ hip: 104, knee: 93, source: 'johnston-1970' }],
		ladder: { family: 'squat', step: 'standard-seat', height: 'seat' }
	},
	{
		id: 'car',
		title: 'In and out of the car',
		demands: [{ hip: 95, knee: 100, source: 'common-practice' }],
		ladder: { family: 'squat', step: 'standard-seat', height: 'seat' }
	},
	{
		id: 'shoes-floor',
		title: 'Shoes, foot on the floor',
		demands: [{ hip: 124, knee: 106, source: 'johnston-1970' }]
	},
	{
		id: 'shoes-crossed',
		title: 'Socks and shoes, ankle on the other thigh',
		demands: [{ hip: 110, source: 'johnston-1970' }]
	},
	{
		id: 'pick-up',
		title: 'Picking something from the floor',
		demands: [
			{ knee: 117, source: 'laubenthal-1972' },
			{ hip: 117, source: 'johnston-1970' }
		],
		ladder: { family: 'squat', step: 'free-squat', height: 'seat' }
	},
	{ id: 'bath', title: 'In and out of the bath', demands: [{ knee: 135, source: 'rowe-2000' }] },
	{
		id: 'floor-and-back',
		title: 'Down to the floor and back up',
		demands: [{ knee: 154, ankle: 38, source: 'hemmerich-2006' }]
	},
	{
		id: 'basket',
		title: 'Carrying a basket or a child',
		demands: [{ knee: 117, source: 'laubenthal-1972' }],
		ladder: { family: 'squat', step: 'goblet-squat', height: 'seat' }
	},
	{ id: 'slopes', title: 'Walking on slopes', demands: [{ knee: 90, source: 'rowe-2000' }] },
	{ id: 'standing-long', title: 'Standing for long', demands: [] },
	{ id: 'running', title: 'Running', demands: [] },
	{ id: 'own', title: 'Something of the client’s own', demands: [] }
];

export const activity = (id: string): Activity | undefined => ACTIVITIES.find((a) => a.id === id);
