/**
 * Client level: may anything be decided at all? The first that fires wins over every exercise.
 * @source practice-setting except red flags: red-flags-common
 */
import { referEmergencyRule } from './client/refer-emergency.ts';
import { referHotJointRule } from './client/refer-hot-joint.ts';
import { referCalfRule } from './client/refer-calf.ts';
import { referRedFlagRule } from './client/refer-red-flag.ts';
import { waitScreenRule } from './client/wait-screen.ts';
import { waitProtocolRule } from './client/wait-protocol.ts';
import { waitUnwellRule } from './client/wait-unwell.ts';
import { waitFallRule } from './client/wait-fall.ts';
import { waitReviewRule } from './client/wait-review.ts';
import { holdNewRegionRule } from './client/hold-new-region.ts';
import type { ClientRule } from './finding.ts';

export const CLIENT_RULES: readonly ClientRule[] = [
	referEmergencyRule,
	referHotJointRule,
	referCalfRule,
	referRedFlagRule,
	waitScreenRule,
	waitProtocolRule,
	waitUnwellRule,
	waitFallRule,
	waitReviewRule,
	holdNewRegionRule
];
