import { demoDay } from '#lib/server/http/demo-day.ts';
import { allow, roleText } from '#lib/server/usecase/actor.ts';
import { writtenAs } from '#lib/wording/written-as.ts';
import type { LayoutServerLoad } from './$types';

export const load: LayoutServerLoad = ({ locals }) => {
	const { context, house } = locals;
	const written = writtenAs(context?.units, house?.dateOrder);
	// A client’s own page has nothing of the practice’s head.
	if (context?.actor === undefined || context.actor.client !== undefined) return { me: null, written };
	return {
		written,
		me: {
			id: context.actor.memberId,
			name: context.actor.name,
			role: roleText(context.actor),
			practice: context.actor.practice,
			today: context.today,
			now: context.now.getTime(),
			...locals.house,
			clinical: allow(context.actor, 'show today').ok,
			practiceId: context.actor.practiceId,
			practices: locals.practices ?? [],
			demo: demoDay.today() !== undefined
		}
	};
};
