/** A client's own page as it is shown to them. */
import { ok } from '#lib/core/base/result.ts';
import type { MineView } from '#lib/contract/mine.ts';
import { distanceText } from '#lib/wording/goals.ts';
import { intakeOf } from '../repo/intake-repo.ts';
import { mineView } from '../view/mine-view.ts';
import { inZone, notFound, type Context, type Outcome } from './actor.ts';
import { goalViews } from './goal-views.ts';
import { showClient } from './show-client.ts';

export interface House {
	readonly emergency: string;
	readonly emergencyWords: string;
	readonly weekStart: number;
}

export async function showMine(ctx: Context, house: House): Promise<Outcome<MineView>> {
	const { client } = ctx.actor;
	if (client === undefined) return notFound;
	const shown = await showClient(
		ctx,
		client,
		'their own page',
		async (t, r) => {
			const { today, tz } = inZone(ctx, r.head.tz);
			const { goals } = await intakeOf(t, client);
			const seen = goalViews(r, goals, today).map((g) => ({
				...{ label: g.label, score: g.score, distance: distanceText(g) }
			}));
			return mineView(r, seen, { today, now: ctx.now, tz, practice: ctx.actor.practice, ...house });
		},
		'show own page'
	);
	return shown.ok ? ok(shown.value.more) : shown;
}
