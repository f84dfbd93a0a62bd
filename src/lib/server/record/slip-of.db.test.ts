/** What a slip rests on, as a mark: the canonical text of its input, however it is put together. */
import { createHash } from 'node:crypto';
import { expect, it } from 'vitest';
import { client, demoForEach } from '../../../../tests/database.ts';
import { canonical } from '#lib/core/base/canonical.ts';
import type { Context } from '../usecase/actor.ts';
import { slipsByNeed } from '../view/slips-by-need.ts';
import { hashOf } from './slip-of.ts';

let physio: Context;
demoForEach((made) => ({ physio } = made));

it('is that of the whole input without its day, so that what was signed before is found again', async () => {
	const nerys = await client(physio, 'Nerys');
	const slips = slipsByNeed(nerys, '2026-03-12');
	expect(slips.length).toBeGreaterThan(5);
	for (const slip of slips) {
		const { today: _, ...rest } = slip.input;
		const whole = canonical({ rest, rule: slip.trace.rule });
		expect(hashOf(slip)).toBe(createHash('sha256').update(whole).digest('hex').slice(0, 32));
	}
	expect(new Set(slips.map(hashOf)).size).toBe(slips.length);
});
