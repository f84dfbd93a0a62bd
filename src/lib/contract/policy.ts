/** A policy by id, or a shipped one with changes. */
import { z } from 'zod';
import { POLICIES, POLICY_IDS, type PolicyId } from '#lib/catalogue/policies.ts';
import { policyFaults, type Policy } from '#lib/core/decision/policy.ts';

const pain = z.number().min(0).max(10);
const count = z.number().int().min(0).max(400);

export type { PolicyId };

export const policyChanges = z.strictObject({
	base: z.enum(POLICY_IDS as [PolicyId, ...PolicyId[]]),
	safeMax: pain.exactOptional(),
	safeWithinUsual: z.boolean().exactOptional(),
	acceptableMax: pain.exactOptional(),
	stopAt: pain.exactOptional(),
	morningHold: pain.exactOptional(),
	morningRegress: pain.exactOptional(),
	morningRegressTwice: z.boolean().exactOptional(),
	morningRule: z.enum(['back-to-usual', 'up-to-five', 'provocation']).exactOptional(),
	trendStep: z.number().min(0.5).max(10).exactOptional(),
	streak: z.number().int().min(1).max(10).exactOptional(),
	streakDays: count.exactOptional(),
	observedNeeded: count.exactOptional(),
	cleanShare: z.number().min(0).max(1).nullable().exactOptional(),
	easeMax: pain.nullable().exactOptional(),
	confidenceMin: pain.nullable().exactOptional(),
	advancesPerReview: count.exactOptional(),
	minDaysBetweenAdvances: count.exactOptional(),
	rangeStaleDays: count.exactOptional(),
	marginDeg: z.number().min(0).max(30).exactOptional(),
	loadedMarginDeg: z.number().min(0).max(40).exactOptional(),
	sorenessHold: pain.exactOptional(),
	screeningDays: count.exactOptional(),
	weakSideShare: z.number().min(0).max(1).exactOptional()
});

/** Parses to the whole policy; refuses one that does not hold together, saying where. */
export const policySchema = z
	.union(
		[z.enum(POLICY_IDS as [PolicyId, ...PolicyId[]]), policyChanges],
		`A policy id (${POLICY_IDS.join(', ')}) or {"base": id, …}.`
	)
	.transform((p, ctx): Policy => {
		if (typeof p === 'string') return POLICIES[p];
		const { base, ...changes } = p;
		const policy: Policy = {
			...POLICIES[base],
			...changes,
			version: Object.keys(changes).length === 0 ? '1' : '1+changed'
		};
		for (const message of policyFaults(policy)) ctx.addIssue({ code: 'custom', message });
		return policy;
	});
