/** An operation waits for its protocol, or for being recorded. */
import type { ClientRule } from '../finding.ts';
import { fact } from './reasons.ts';

export const waitProtocolRule: ClientRule = {
	rule: 'wait.protocol',
	decision: 'wait',
	judge: (f) => [
		...f.input.client.surgery
			.filter((s) => !s.limitsEntered)
			.map((s) => fact('surgery.no-limits', 'local-protocol', { day: s.date, region: s.region })),
		...(f.input.client.operationUnrecorded === true ? [fact('surgery.unrecorded', 'local-protocol')] : [])
	]
};
