/** What a fit of this client is judged in, before the envelope: body, protocols, cautions, the room. */
import { sideOf } from '#lib/core/body/region-side.ts';
import { SCREENING } from '#lib/catalogue/screening.ts';
import type { Day } from '#lib/core/base/calendar-day.ts';
import type { Envelope } from '#lib/core/client/envelope.ts';
import { type Bindings, bindingsOn } from '#lib/core/client/protocol.ts';
import { type Caution, easedTags, withheldTags, withoutWeight } from '#lib/core/client/screening.ts';
import { fitRulesOf } from '#lib/core/decision/policy.ts';
import { preferenceOf, withheldByWay } from '#lib/core/client/repeated.ts';
import { EQUIPMENT, type Equipment } from '#lib/core/exercise/family.ts';
import type { FitContext } from '#lib/core/movement/context.ts';
import type { Ground } from './found-once.ts';

/** The open flags as far as steps are concerned: each with its side, where its region or the one hip that is treated tells it. */
export function cautionsOf(r: Ground): readonly Caution[] {
	const hips = new Set(
		Object.keys(r.head.setting.usual)
			.filter((x) => x.startsWith('hip'))
			.map(sideOf)
	);
	const treated = hips.size === 1 ? [...hips][0] : undefined;
	return r.head.flags
		.filter((f) => f.open)
		.map((f) => {
			const side =
				f.region === null ? (f.code === 'outer-hip-tendon' ? treated : undefined) : sideOf(f.region);
			return { code: f.code, ...(side === undefined ? {} : { side }) };
		});
}

/** What protocols hold today. */
export const protocolsOf = (r: Ground, today: Day): Bindings =>
	bindingsOn(
		r.head.surgery.map((s) => ({ region: s.region, date: s.date, phases: s.protocol?.phases ?? [] })),
		r.head.limits,
		today
	);

export function contextOf(
	r: Ground,
	envelope: Envelope,
	today: Day,
	technique: FitContext['technique'] | null
): FitContext {
	const bound = protocolsOf(r, today);
	const cautions = cautionsOf(r);
	const noWeight = [...new Set([...bound.noWeight, ...withoutWeight(SCREENING, cautions)])];
	return {
		body: r.body,
		...(technique === null || technique === undefined ? {} : { technique }),
		rules: fitRulesOf(r.policy),
		today,
		envelope,
		protocolLimits: bound.limits,
		...(noWeight.length === 0 ? {} : { noWeight }),
		...(bound.partial.length === 0 ? {} : { partialWeight: bound.partial }),
		...(bound.highestLoadKg === undefined ? {} : { highestLoadKg: bound.highestLoadKg }),
		...(r.head.setting.shoeHeelCm === null ? {} : { shoeHeelCm: r.head.setting.shoeHeelCm }),
		withheld: [
			...withheldTags(SCREENING, cautions, r.head.setting.clearances),
			...bound.withheld,
			...withheldByWay(preferenceOf(r.head.repeated, today))
		],
		eased: easedTags(SCREENING, cautions),
		furniture: r.room.furniture,
		home: r.head.setting.homeHeights,
		...(r.head.leftOut.length === 0 ? {} : { leftOut: r.head.leftOut.map((x) => x.step) }),
		equipment: atHand(r, 'both'),
		positions: r.head.setting.positions
	};
}

export const PLACES = ['both', 'practice', 'home'] as const;
export type Place = (typeof PLACES)[number];

const HOME: Readonly<Record<string, Equipment>> = {
	'book-bag': 'household-weight',
	bottles: 'household-weight'
};

/** What is at hand: in the practice, at home, or in either. */
export function atHand(r: Ground, place: Place): readonly Equipment[] {
	const home = ['wall', ...r.head.setting.homeKit.map((k) => HOME[k] ?? k)].filter((k): k is Equipment =>
		(EQUIPMENT as readonly string[]).includes(k)
	);
	return place === 'practice'
		? r.room.equipment
		: place === 'home'
			? home
			: [...new Set([...r.room.equipment, ...home])];
}
