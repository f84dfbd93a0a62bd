/** Prepared statements answer as plain ones do: by promise, by callback, with other values, on every connection. */
import { expect, it } from 'vitest';
import { cloneOf } from '../../../../tests/database.ts';

it('answers the same before and after it is prepared', async () => {
	const d = await cloneOf('template_empty');
	try {
		const asked = (n: number) =>
			d.pool.query<{ n: number }>('select $1::int + 1 as n', [n]).then((r) => r.rows[0]?.n);
		for (const n of [1, 2, 3, 4]) expect(await asked(n)).toBe(n + 1);
		const client = await d.pool.connect();
		const called = await new Promise((done) =>
			client.query('select $1::int + 1 as n', [9], (_, r) => done(r.rows[0]))
		);
		const { rows } = await client.query<{ statement: string }>(
			'select statement from pg_prepared_statements'
		);
		client.release();
		expect(called).toEqual({ n: 10 });
		expect(rows.map((r) => r.statement)).toContain('select $1::int + 1 as n');
	} finally {
		await d.close();
	}
});
