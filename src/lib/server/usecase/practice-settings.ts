/** The settings of a practice: its name, its clock, its units, whom to call, and what a new client begins with. A change says what it changes. */
import { POLICY_IDS, type PolicyId } from '#lib/catalogue/policies.ts';
import { TECHNIQUES, type Technique } from '#lib/core/posture/problem.ts';
import { BRACES, type Brace } from '#lib/core/exercise/family.ts';
import { ok } from '#lib/core/base/result.ts';
import { noteChange, practiceSettings, setPractice, type PracticeSettings } from '../repo/practice-repo.ts';
import { allow, conflict, invalid, type Context, type Outcome } from './actor.ts';
import { command } from './command.ts';
import { newId } from './new-id.ts';

export type { PracticeSettings };

export async function showSettings(ctx: Context): Promise<Outcome<PracticeSettings>> {
	const may = allow(ctx.actor, 'change the practice');
	return may.ok ? ok(await ctx.inPractice(practiceSettings)) : may;
}

/** What a client begins with here; a choice that this version does not know is the usual one. */
export async function beginsWith(
	ctx: Context
): Promise<{ readonly policyId: PolicyId; readonly technique: Technique | null; readonly brace: Brace }> {
	const { policy, technique, brace } = await ctx.inPractice(practiceSettings);
	return {
		policyId: POLICY_IDS.find((p) => p === policy) ?? 'pain-monitored',
		technique: TECHNIQUES.find((x) => x === technique) ?? null,
		brace: BRACES.find((x) => x === brace) ?? 'tuned'
	};
}

const LABEL: Readonly<Record<keyof PracticeSettings, string>> = {
	name: 'name',
	tz: 'time zone',
	units: 'units',
	emergency: 'emergency number',
	policy: 'policy of new clients',
	technique: 'technique of new clients',
	emergencyWords: 'words beside the emergency number',
	weekStart: 'first day of the week',
	dateOrder: 'order of days',
	screeningWeeks: 'weeks a screening holds',
	retestWeeks: 'weeks a measured range holds',
	brace: 'bracing of new clients',
	trainerSigns: 'what trainers sign',
	retentionYears: 'years a record is kept',
	quietFrom: 'begin of the quiet hours',
	quietTo: 'end of the quiet hours'
};
const FIELDS = Object.keys(LABEL) as readonly (keyof PracticeSettings)[];

export interface SettingsChange extends PracticeSettings {
	readonly id: string;
	/** As they stood when the form was made: what somebody else changed meanwhile is not undone. */
	readonly before: string;
}

/** A mark of what stands. */
export const markOf = (s: PracticeSettings): string => JSON.stringify(FIELDS.map((f) => s[f]));

export const changePractice = command<SettingsChange, { readonly changed: readonly string[] }>({
	verb: 'change the practice',
	id: (s) => s.id,
	everybody: true,
	run: async ({ id: _, before, ...next }, { t, ctx, recordedAt }) => {
		const now = await practiceSettings(t);
		if (markOf(now) !== before)
			return conflict('Somebody changed the settings meanwhile; reload to see them, then change yours.');
		const changed = FIELDS.filter((f) => now[f] !== next[f]);
		if (changed.length === 0) return invalid('name', 'Nothing is changed.');
		await setPractice(t, next);
		const what = changed.map((f) => `${LABEL[f]} from “${now[f] ?? ''}” to “${next[f] ?? ''}”`);
		await noteChange(t, newId(ctx.now), what.join('; '), recordedAt);
		return ok({ changed: changed.map((f) => LABEL[f]) });
	}
});
