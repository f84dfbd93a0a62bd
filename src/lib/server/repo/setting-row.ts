/** How a client is worked with, as it stands in its row: millimetres and grams there, centimetres and kilograms outside. */
import type { Brace, Clearance, Position } from '#lib/core/exercise/family.ts';
import type { HomeHeights } from '#lib/core/movement/furniture.ts';
import type { Tolerance } from '#lib/core/movement/context.ts';
import type { Technique } from '#lib/core/posture/problem.ts';
import type { PolicyId } from '#lib/contract/policy.ts';

export interface Setting {
	readonly id: string;
	readonly technique: Technique | null;
	readonly policyId: PolicyId;
	readonly policyVersion: string;
	readonly heightCm: number;
	readonly massKg: number;
	readonly shankCm: number | null;
	readonly thighCm: number | null;
	readonly frontOfKnee: boolean;
	readonly goal: string | null;
	readonly usual: Readonly<Record<string, { readonly intake?: number; readonly longStanding?: boolean }>>;
	readonly units: Units;
	readonly language: string;
	/** What there is at home, by id; weekdays with time for it (0 is Sunday), and minutes a day. */
	readonly homeKit: readonly string[];
	readonly homeHeights: HomeHeights;
	readonly days: readonly number[];
	readonly minutes: number | null;
	readonly trunkCm: number | null;
	readonly footCm: number | null;
	/** Heel of the usual shoe. */
	readonly shoeHeelCm: number | null;
	/** Positions that were asked about; what is not named is unknown. */
	readonly positions: Readonly<Partial<Record<Position, Tolerance>>>;
	readonly clearances: readonly Clearance[];
	readonly brace: Brace;
}

export type Units = 'metric' | 'imperial';

export interface SettingRow {
	id: string;
	technique: Technique | null;
	policy_id: PolicyId;
	policy_version: string;
	height_mm: number;
	mass_g: number;
	shank_mm: number | null;
	thigh_mm: number | null;
	front_of_knee: boolean;
	goal: string | null;
	usual: Setting['usual'];
	units: Units;
	language: string;
	home_kit: string[];
	home_heights: HomeHeights;
	days: number[];
	minutes: number | null;
	trunk_mm: number | null;
	foot_mm: number | null;
	shoe_heel_mm: number | null;
	positions: Setting['positions'];
	clearances: Clearance[];
	brace: Brace;
}

const cmOf = (mm: number | null): number | null => (mm === null ? null : mm / 10);
const mmOf = (cm: number | null): number | null => (cm === null ? null : Math.round(cm * 10));

export const settingOf = (s: SettingRow): Setting => ({
	id: s.id,
	technique: s.technique,
	policyId: s.policy_id,
	policyVersion: s.policy_version,
	heightCm: s.height_mm / 10,
	massKg: s.mass_g / 1000,
	shankCm: cmOf(s.shank_mm),
	thighCm: cmOf(s.thigh_mm),
	frontOfKnee: s.front_of_knee,
	goal: s.goal,
	usual: s.usual,
	units: s.units,
	language: s.language,
	homeKit: s.home_kit,
	homeHeights: s.home_heights,
	days: s.days,
	minutes: s.minutes,
	trunkCm: cmOf(s.trunk_mm),
	footCm: cmOf(s.foot_mm),
	shoeHeelCm: cmOf(s.shoe_heel_mm),
	positions: s.positions,
	clearances: s.clearances,
	brace: s.brace
});

/** A setting as the columns of its row. */
export const settingColumns = (s: Omit<Setting, 'id'>) => ({
	technique: s.technique,
	policy_id: s.policyId,
	policy_version: s.policyVersion,
	height_mm: Math.round(s.heightCm * 10),
	mass_g: Math.round(s.massKg * 1000),
	shank_mm: mmOf(s.shankCm),
	thigh_mm: mmOf(s.thighCm),
	trunk_mm: mmOf(s.trunkCm),
	foot_mm: mmOf(s.footCm),
	shoe_heel_mm: mmOf(s.shoeHeelCm),
	front_of_knee: s.frontOfKnee,
	goal: s.goal,
	usual: JSON.stringify(s.usual),
	units: s.units,
	language: s.language,
	home_kit: JSON.stringify(s.homeKit),
	home_heights: JSON.stringify(s.homeHeights),
	days: JSON.stringify(s.days),
	minutes: s.minutes,
	positions: JSON.stringify(s.positions),
	clearances: JSON.stringify(s.clearances),
	brace: s.brace
});
