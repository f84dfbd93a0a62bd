/** What a device measured goes into the field in focus, as that field is read, or nowhere. Common practice. */
import { expect, it } from 'vitest';
import { FUNCTION_TESTS } from '#lib/catalogue/function-tests.ts';
import { RANGES } from '#lib/catalogue/ranges.ts';
import type { RangeId } from '#lib/core/measure/range-kind.ts';
import { putDegrees, type SheetValues } from './sheet-values.ts';

const put = (kind: RangeId): { readonly took: boolean; readonly values: SheetValues } => {
	const values: SheetValues = {};
	return { took: putDegrees(values, { kind, side: 'left' }, 34.6, 'phone'), values };
};

it('an angle is the end of a range that is read in degrees, with its method', () => {
	expect(put('kneeFlexion')).toEqual({
		took: true,
		values: { 'kneeFlexion.left.end': '35', 'kneeFlexion.method': 'phone' }
	});
});

it('a range that is read in cm takes none, nor does a test', () => {
	const inCm = Object.values(RANGES).filter((r) => r.readCm === true);
	expect(inCm.length).toBeGreaterThan(0);
	for (const { id } of inCm) expect(put(id), id).toEqual({ took: false, values: {} });
	const values: SheetValues = {};
	expect(putDegrees(values, { test: FUNCTION_TESTS[0]!, side: null }, 35, 'phone')).toBe(false);
	expect(values).toEqual({});
});
