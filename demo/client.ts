/** What a made-up client is written down as. */
import type { Side, MainAxis } from '#lib/core/body/axis.ts';
import type { Repeated } from '#lib/core/client/repeated.ts';
import type { Story } from '#lib/core/client/story.ts';
import type { Particulars } from '#lib/core/dose/particulars.ts';
import type { RangeId, Sex } from '#lib/core/measure/range-kind.ts';
import type { Technique } from '#lib/core/posture/problem.ts';
import type { PolicyId } from '#lib/catalogue/policies.ts';
import type { Contact } from '#lib/contract/note-form.ts';
import type { NewComplaint, NewGoal } from '#lib/server/usecase/ask.ts';

/** Ranges as onset · tolerable · end; one number is both sides, two are left and right. */
export type Ranges = Readonly<Record<MainAxis, Readonly<Record<Side, readonly [number, number, number]>>>>;

export type Ending =
	'hold-up' | 'advance' | 'regress-pain' | 'stop-locking' | 'red-flag' | 'wait-morning' | 'flare' | 'silent';

export interface DemoClient {
	readonly key: string;
	readonly name: string;
	readonly born: string;
	readonly sex: Sex;
	readonly occupation: string;
	readonly homeKit: readonly string[];
	/** Chairs and steps at home, as measured, cm. */
	readonly homeHeights?: { readonly seats: readonly number[]; readonly steps: readonly number[] };
	/** Screening categories answered yes, besides an operation. */
	readonly cautions?: readonly string[];
	readonly complaint: Omit<NewComplaint, 'id' | 'settingId' | 'clientId' | 'region' | 'usualMorning'>;
	readonly goals: readonly Omit<NewGoal, 'id' | 'clientId' | 'replaces'>[];
	readonly tests: readonly {
		readonly test: string;
		readonly side?: Side;
		readonly first: number;
		readonly gain: number;
		readonly extras?: Readonly<Record<string, number>>;
	}[];
	/** Ends of ranges that no set-up is solved on, left and right, at intake. */
	readonly more?: Readonly<Record<string, readonly [left: number, right: number]>>;
	readonly heightCm: number;
	readonly massKg: number;
	readonly shankCm?: number;
	readonly thighCm?: number;
	readonly region: string;
	readonly usual: number;
	readonly longStanding?: boolean;
	readonly technique: Technique | null;
	readonly policyId: PolicyId;
	readonly frontOfKnee: boolean;
	readonly goal: string;
	readonly firstStep: string;
	/** Further exercises, begun so many days ago and done on the days the first one was. */
	readonly also?: readonly {
		readonly family: string;
		readonly step: string;
		/** The second sore place, where it is for that. */
		readonly region?: string;
		readonly particulars?: Particulars;
		readonly daysAgo: number;
		readonly done: readonly number[];
	}[];
	/** A second sore place. */
	readonly second?: {
		readonly region: string;
		readonly usual: number;
		readonly complaint: DemoClient['complaint'];
	};
	/** Dated notes, and whom to call. */
	readonly notes?: readonly { readonly daysAgo: number; readonly region?: string; readonly body: string }[];
	readonly stories?: readonly { readonly region: string; readonly story: Omit<Story, 'since'> }[];
	readonly repeated?: readonly (Omit<Repeated, 'day'> & { readonly daysAgo: number })[];
	/** Onset, tolerable, end; of which there is one, not one a side. */
	readonly backRanges?: Readonly<Partial<Record<RangeId, readonly [number, number, number]>>>;
	readonly letter?: { readonly daysAgo: number; readonly title: string; readonly kind: 'letter' };
	readonly contacts?: readonly Contact[];
	readonly ranges: Ranges;
	readonly limit?: {
		readonly axis: MainAxis;
		readonly side: Side;
		readonly maxDeg: number;
		readonly source: string;
		readonly operation: string;
		readonly operatedOn: number;
		readonly reviewIn: number;
		readonly phases: readonly {
			readonly fromWeek: number;
			readonly toWeek: number | null;
			readonly maxDeg?: number;
		}[];
	};
	readonly ending: Ending;
}
