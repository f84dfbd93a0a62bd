/** The story of a sore place, told again when it changes; and what repeated movement of a back did to the leg. */
import { ok } from '#lib/core/base/result.ts';
import type { Story } from '#lib/core/client/story.ts';
import { preferenceOf, type Repeated } from '#lib/core/client/repeated.ts';
import { append } from '../db/append.ts';
import { treatsBack } from '../record/facts-of.ts';
import { conflict, invalid, notFound, refuseFor } from './actor.ts';
import { command } from './command.ts';

export interface ToldStory {
	readonly id: string;
	readonly clientId: string;
	readonly region: string;
	readonly story: Story;
}

const notYet = (field: string, day: string, today: string) =>
	day > today ? invalid(field, `The day ${day} is in the future; today is ${today}.`) : undefined;

export const tellStory = command<ToldStory, true>({
	verb: 'ask',
	id: (s) => s.id,
	client: (s) => s.clientId,
	check: ({ story }, { today }) =>
		notYet('since', story.since ?? '', today) ??
		story.said.map((s, i) => notYet(`saidOn${i}`, s.on ?? '', today)).find((x) => x !== undefined),
	run: async ({ id, clientId, region, story }, { t, ctx, recordedAt, record }) => {
		const r = await record();
		if (r === undefined) return notFound;
		if (r.head.setting.usual[region] === undefined)
			return invalid('region', 'Ask what hurts there first; its story belongs to it.');
		const unknown = story.feared.findIndex((f) => r.families[f.family] === undefined);
		if (unknown >= 0) return invalid(`feared${unknown}`, 'Choose a movement from the list.');
		const row = {
			id,
			client_id: clientId,
			region,
			local_day: ctx.today,
			body: JSON.stringify(story),
			replaces_id: r.head.stories.find((s) => s.region === region)?.id ?? null
		};
		return (await append(t, 'story', row, recordedAt)) === 'conflict'
			? conflict('Somebody told this story meanwhile; reload to see it.')
			: ok(true);
	}
});

export const keepRepeated = command<
	Omit<Repeated, 'day'> & { readonly id: string; readonly clientId: string; readonly day: string },
	true
>({
	verb: 'measure',
	id: (x) => x.id,
	client: (x) => x.clientId,
	check: ({ day }, { today }) => notYet('day', day, today),
	run: async ({ id, clientId, day, way, leg, repetitions }, { t, ctx, recordedAt, record }) => {
		const r = await record();
		if (r === undefined) return notFound;
		if (!treatsBack(r)) return invalid('way', 'Ask what hurts in the back first.');
		const shut = preferenceOf(r.head.repeated, ctx.today).avoids.includes(way);
		if (shut && leg !== 'further-down' && !ctx.actor.licensed)
			return refuseFor(
				'This way sent pain further down the leg; a licensed user tries it again and says what it does now.',
				'way'
			);
		return (await append(
			t,
			'repeated_movement',
			{ id, client_id: clientId, local_day: day, way, leg, repetitions },
			recordedAt
		)) === 'conflict'
			? conflict('This was already kept with another answer; reload to see it.')
			: ok(true);
	}
});
