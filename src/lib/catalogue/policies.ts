/**
 * The four pain policies that ship. Zones 0–2 and to 5 after Thomeé 1997; back to usual by the next morning after Ageberg 2010;
 * the tendon limit of 3 after Malliaras 2015; quota after Fordyce's graded activity; everything else is a practice setting.
 * All from memory.
 * @source thomee-1997
 * @source ageberg-2010
 * @source malliaras-2015
 * @source fordyce-1976
 * @source practice-setting
 */
import type { Policy } from '../core/decision/policy.ts';

const BASE = {
	version: '1',
	safeWithinUsual: false,
	morningHold: 1,
	morningRegress: 2,
	morningRegressTwice: true,
	morningRule: 'back-to-usual',
	trendStep: 1,
	streak: 2,
	streakDays: 21,
	observedNeeded: 1,
	cleanShare: 0.8,
	confidenceMin: 5,
	minDaysBetweenAdvances: 3,
	rangeStaleDays: 28,
	marginDeg: 5,
	loadedMarginDeg: 10,
	sorenessHold: 7,
	screeningDays: 90,
	weakSideShare: 0.8,
	licensedOnly: false
} as const;

export const POLICIES = {
	'pain-free': {
		...BASE,
		id: 'pain-free',
		safeMax: 1,
		safeWithinUsual: true,
		acceptableMax: 2,
		stopAt: 5,
		easeMax: 6,
		advancesPerReview: 1,
		rangeBase: 'painFree'
	},
	'pain-monitored': {
		...BASE,
		id: 'pain-monitored',
		safeMax: 2,
		acceptableMax: 5,
		stopAt: 8,
		easeMax: 7,
		advancesPerReview: 2,
		rangeBase: 'tolerable'
	},
	tendon: {
		...BASE,
		id: 'tendon',
		safeMax: 3,
		acceptableMax: 3,
		stopAt: 8,
		easeMax: 8,
		advancesPerReview: 1,
		minDaysBetweenAdvances: 7,
		morningRule: 'provocation',
		rangeBase: 'tolerable'
	},
	quota: {
		...BASE,
		id: 'quota',
		safeMax: 5,
		acceptableMax: 7,
		stopAt: 8,
		morningHold: 2,
		morningRegress: 3,
		morningRegressTwice: false,
		trendStep: 2,
		observedNeeded: 0,
		cleanShare: null,
		easeMax: null,
		confidenceMin: null,
		advancesPerReview: 2,
		rangeStaleDays: 42,
		marginDeg: 3,
		sorenessHold: 8,
		rangeBase: 'tolerable',
		licensedOnly: true
	}
} as const satisfies Record<string, Policy>;

export type PolicyId = keyof typeof POLICIES;
export const POLICY_IDS = Object.keys(POLICIES) as readonly PolicyId[];
