/** Sheets that leave the practice: made from the record as it stands, with who made them and when in the access log. */
import { ok } from '#lib/core/base/result.ts';
import { handoutPdf } from '#lib/exchange/pdf/handout.ts';
import { letterPdf } from '#lib/exchange/pdf/letter.ts';
import { intakeOf } from '../repo/intake-repo.ts';
import { licenceOf } from '../repo/member-repo.ts';
import { handoutOf, letterOf } from '../view/hand-out.ts';
import { measuredTests, measuredTotals } from '../view/trend-view.ts';
import { inZone, type Context, type Outcome } from './actor.ts';
import { testsShown } from './intake-shown.ts';
import { showClient } from './show-client.ts';

type Pdf = Uint8Array<ArrayBuffer>;

export async function printHandout(ctx: Context, clientId: string): Promise<Outcome<Pdf>> {
	const shown = await showClient(
		ctx,
		clientId,
		'a handout, printed',
		(_, r) => handoutOf(r, inZone(ctx, r.head.tz).today, ctx.actor.practice),
		'give a link'
	);
	return shown.ok ? ok(await handoutPdf(shown.value.more)) : shown;
}

export async function printLetter(ctx: Context, clientId: string, words: string): Promise<Outcome<Pdf>> {
	const shown = await showClient(
		ctx,
		clientId,
		'a letter to whoever referred, printed',
		async (t, r) => {
			const { today } = inZone(ctx, r.head.tz);
			const { results, totals } = await testsShown(t, clientId);
			const { goals } = await intakeOf(t, clientId);
			const licence = await licenceOf(t);
			return letterOf(r, {
				today,
				practice: ctx.actor.practice,
				signedBy: licence === null ? ctx.actor.name : `${ctx.actor.name}, licence ${licence}`,
				words,
				tests: [...measuredTests(r, results, today), ...measuredTotals(totals)],
				goals: goals.map((g) => ({ label: g.label, first: g.scores[0]?.score ?? g.score, now: g.score }))
			});
		},
		'write a letter'
	);
	return shown.ok ? ok(await letterPdf(shown.value.more)) : shown;
}
