/**
 * The arrival card, before a session: go, lighter, or not today, for the whole day or for a region. Not a decision about an exercise: it is about
 * this one session, and it binds it. What was not answered is asked; it is never taken for good news.
 *
 * Pain at the stop line, or three above usual and above acceptable, closes its region; two above usual makes the day lighter. New swelling closes
 * its limb. Fever or illness closes the day, a cold without fever makes it lighter. After a fall four questions tell.
 * @source practice-setting; acsm-2015 pressure at rest (from memory)
 */
import { sideOf } from '../body/region-side.ts';
import { resistanceGate, testGate } from '../client/acute.ts';
import { alarmAfterFall, alarmsInMorning, unique, type AfterFall, type Raised } from '../safety/alarm.ts';
import type { ArrivedDay, Region, YesNoUnknown } from '../session/record.ts';
import { closesRegion } from './pain-zones.ts';

export interface ArrivalInput {
	/** Pain now against usual and the policy's lines, by region under treatment; absent is not asked yet. */
	readonly pains: readonly {
		readonly region: Region;
		readonly now?: number;
		readonly usual: number;
		readonly acceptable: number;
		readonly stop: number;
	}[];
	/** An open red flag, by its code: nothing is done today. */
	readonly flag?: string;
	/** Fever or feeling ill; a cold without fever is said apart. */
	readonly fever: YesNoUnknown | 'cold';
	readonly fall: YesNoUnknown;
	/** Asked after a fall. */
	readonly afterFall?: AfterFall;
	readonly newSwelling: YesNoUnknown;
	/** Of new swelling: where, and whether it is hot; left out, every region. */
	readonly swollen?: {
		readonly region?: Region;
		readonly hot: YesNoUnknown;
		readonly cannotStand: YesNoUnknown;
	};
	readonly calf: YesNoUnknown;
	/** Blood pressure at rest, where it was taken. */
	readonly systolic?: number;
	readonly diastolic?: number;
}

export const ARRIVALS = ['go', 'lighter', 'not-today', 'ask'] as const;
export type ArrivalAnswer = (typeof ARRIVALS)[number];

export const ARRIVAL_REASONS = [
	'pain',
	'flag',
	'fever',
	'cold',
	'fall',
	'after-fall',
	'new-swelling',
	'hot',
	'calf',
	'pressure',
	'no-regions'
] as const;

export interface ArrivalReason {
	readonly code: (typeof ARRIVAL_REASONS)[number];
	readonly region?: Region;
	readonly flag?: string;
	readonly value?: number;
	readonly usual?: number;
}

export interface Arrival {
	readonly answer: ArrivalAnswer;
	/** The whole day, or these regions. */
	readonly closes: 'day' | readonly Region[];
	/** Share of the work that is done today of what is not closed. */
	readonly setsShare: number;
	/** Nothing heavy and nothing held: pressure at rest. */
	readonly easyOnly: boolean;
	readonly reasons: readonly ArrivalReason[];
	readonly raised: readonly Raised[];
	/** Most that any region hurts above its usual, where it was asked. */
	readonly over?: number;
}

/** What is kept of an arrival, for the session and for later decisions. */
export interface ArrivalKept {
	readonly closes: 'day' | readonly Region[];
	readonly setsShare: number;
	readonly easyOnly: boolean;
	readonly reasons: readonly ArrivalReason[];
	readonly clean: boolean;
	readonly unwell: boolean;
	readonly fell: boolean;
}

const LIGHTER_OVER = 1;
const LIGHTER_SHARE = 0.6;

type Pain = ArrivalInput['pains'][number];
const painReason = (p: Pain): ArrivalReason => ({
	code: 'pain',
	region: p.region,
	usual: p.usual,
	...(p.now === undefined ? {} : { value: p.now })
});

/** What is still to be asked. */
function open(input: ArrivalInput): ArrivalReason[] {
	const out: ArrivalReason[] = [];
	if (input.fever === 'unknown') out.push({ code: 'fever' });
	if (input.fall === 'unknown') out.push({ code: 'fall' });
	if (input.fall === 'yes' && input.afterFall === undefined) out.push({ code: 'after-fall' });
	if (input.newSwelling === 'unknown') out.push({ code: 'new-swelling' });
	if (input.newSwelling === 'yes' && (input.swollen === undefined || input.swollen.hot === 'unknown'))
		out.push({ code: 'hot' });
	if (input.calf === 'unknown') out.push({ code: 'calf' });
	out.push(...input.pains.filter((p) => p.now === undefined).map(painReason));
	if (input.pains.length === 0) out.push({ code: 'no-regions' });
	return out;
}

function alarms(input: ArrivalInput): readonly Raised[] {
	const { swollen } = input;
	const hot = input.newSwelling === 'yes' && swollen?.hot === 'yes';
	const where = swollen?.region ?? input.pains[0]?.region ?? 'other';
	const morning = {
		date: '',
		region: where,
		...(hot ? { swelling: 'hot' as const, cannotStand: swollen?.cannotStand !== 'no' } : {}),
		calf: input.calf === 'yes'
	};
	const fall = input.fall === 'yes' && input.afterFall !== undefined ? [alarmAfterFall(input.afterFall)] : [];
	return unique([...alarmsInMorning(morning), ...fall]);
}

const limbOf = (region: Region, all: readonly Region[]): readonly Region[] => {
	const side = sideOf(region);
	return side === undefined ? [region] : [...new Set([region, ...all.filter((r) => sideOf(r) === side)])];
};

const pressureOf = ({ systolic, diastolic }: ArrivalInput): { systolic?: number; diastolic?: number } => ({
	...(systolic === undefined ? {} : { systolic }),
	...(diastolic === undefined ? {} : { diastolic })
});

const pressureReason = ({ systolic }: ArrivalInput): ArrivalReason => ({
	code: 'pressure',
	...(systolic === undefined ? {} : { value: systolic })
});

/** What closes the whole day. */
function closingDay(input: ArrivalInput, raised: readonly Raised[]): ArrivalReason[] {
	const isRaised = (...alarms: readonly Raised['alarm'][]): boolean =>
		raised.some((r) => alarms.includes(r.alarm));
	const out: ArrivalReason[] = [];
	if (input.flag !== undefined) out.push({ code: 'flag', flag: input.flag });
	if (input.fever === 'yes') out.push({ code: 'fever' });
	if (isRaised('calf-swelling')) out.push({ code: 'calf' });
	if (isRaised('emergency-after-fall', 'pain-after-fall')) out.push({ code: 'fall' });
	if (isRaised('emergency-hot-joint')) out.push({ code: 'hot' });
	if (!testGate(pressureOf(input)).allowed) out.push(pressureReason(input));
	return out;
}

/** Regions a new swelling closes: those of its limb; all of them, where it is not said where. */
function swollenRegions({ newSwelling, swollen, pains }: ArrivalInput): readonly Region[] {
	if (newSwelling !== 'yes') return [];
	const regions = pains.map((p) => p.region);
	return swollen?.region === undefined ? regions : limbOf(swollen.region, regions);
}

const swellingReason = ({ swollen }: ArrivalInput): ArrivalReason => ({
	code: swollen?.hot === 'yes' ? 'hot' : 'new-swelling',
	...(swollen?.region === undefined ? {} : { region: swollen.region })
});

/** What makes the day lighter and closes nothing. */
function lightening(input: ArrivalInput, closes: readonly Region[], easyOnly: boolean): ArrivalReason[] {
	const out = input.pains
		.filter((p) => !closes.includes(p.region) && (p.now ?? p.usual) - p.usual > LIGHTER_OVER)
		.map(painReason);
	if (input.fever === 'cold') out.push({ code: 'cold' });
	if (easyOnly) out.push(pressureReason(input));
	return out;
}

export function arrival(input: ArrivalInput): Arrival {
	const regions = input.pains.map((p) => p.region);
	const raised = alarms(input);
	const dayClosed = closingDay(input, raised);
	const shown = { raised, easyOnly: !resistanceGate(pressureOf(input)).allowed };
	if (dayClosed.length > 0)
		return { answer: 'not-today', closes: 'day', setsShare: 0, reasons: dayClosed, ...shown };
	const ask = open(input);
	const sore = input.pains.filter((p) => closesRegion(p.now, p.usual, p));
	const swollenAt = swollenRegions(input);
	const closes = [...new Set([...sore.map((p) => p.region), ...swollenAt])];
	if (ask.length > 0) return { answer: 'ask', closes, setsShare: 0, reasons: ask, ...shown };
	const why = [...sore.map(painReason), ...(swollenAt.length === 0 ? [] : [swellingReason(input)])];
	const more = lightening(input, closes, shown.easyOnly);
	if (regions.every((r) => closes.includes(r)))
		return { answer: 'not-today', closes, setsShare: 0, reasons: why, ...shown };
	if (closes.length > 0 || more.length > 0)
		return {
			answer: 'lighter',
			closes,
			setsShare: more.length > 0 ? LIGHTER_SHARE : 1,
			reasons: [...why, ...more],
			...shown
		};
	const over = Math.max(0, ...input.pains.map((p) => (p.now ?? p.usual) - p.usual));
	return { answer: 'go', closes: [], setsShare: 1, reasons: [], over, ...shown };
}

/** Nothing was reported that is not as usual. */
export const keptOf = (input: ArrivalInput, a: Arrival): ArrivalKept => ({
	closes: a.closes,
	setsShare: a.setsShare,
	easyOnly: a.easyOnly,
	reasons: a.reasons,
	clean:
		input.fever === 'no' &&
		input.fall === 'no' &&
		input.newSwelling === 'no' &&
		input.calf === 'no' &&
		a.closes !== 'day' &&
		a.closes.length === 0,
	unwell: input.fever === 'yes',
	fell: input.fall === 'yes'
});

/** An arrival as decisions ask for it. */
export const arrivedDay = (date: string, k: Partial<ArrivalKept>): ArrivedDay => ({
	date,
	clean: k.clean === true,
	unwell: k.unwell === true,
	fell: k.fell === true,
	closed: k.closes === undefined || k.closes === 'day' ? [] : k.closes
});

/** Sets of a lighter day: at least one. */
export const lighterSets = (sets: number, share = LIGHTER_SHARE): number =>
	Math.max(1, Math.round(sets * share));

/** The dose of a lighter day: sets first; of a single set the repetitions, at least half of them. */
export function lighterDose<D extends { readonly sets: number; readonly reps: number }>(
	dose: D,
	share = LIGHTER_SHARE
): D {
	if (share >= 1) return dose;
	if (dose.sets > 1) return { ...dose, sets: lighterSets(dose.sets, share) };
	return { ...dose, reps: Math.max(Math.ceil(dose.reps / 2), Math.round(dose.reps * share)) };
}
