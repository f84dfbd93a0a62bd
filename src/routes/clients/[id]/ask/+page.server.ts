import { activity, ACTIVITIES } from '#lib/catalogue/activities.ts';
import { complaintForm, goalForm } from '#lib/contract/ask-form.ts';
import { present, uuid } from '#lib/contract/basics.ts';
import { repeatedForm, storyForm } from '#lib/contract/history-form.ts';
import { preferenceOf } from '#lib/core/client/repeated.ts';
import { keepRepeated, tellStory } from '#lib/server/usecase/tell-story.ts';
import { repeatedText } from '#lib/wording/history.ts';
import { clientPage, contextIn, formIds } from '#lib/server/http/client-page.ts';
import { refusal, refuseField, refuseShape } from '#lib/server/http/respond.ts';
import { formOf } from '#lib/server/http/form-of.ts';
import { dropGoal, saveComplaint, saveGoal } from '#lib/server/usecase/ask.ts';
import { goalMean, goalViews } from '#lib/server/usecase/goal-views.ts';
import { intakeShown } from '#lib/server/usecase/intake-shown.ts';
import { fitContextOf } from '#lib/server/record/fit-of.ts';
import { regionsOf } from '#lib/server/record/facts-of.ts';
import { regionName } from '#lib/wording/names.ts';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = ({ locals, params }) =>
	clientPage(locals, params.id, 'what hurts', async (r, t, ctx) => {
		const { complaints, goals } = await intakeShown(t, params.id);
		return {
			ids: formIds(ctx, 7),
			stories: r.head.stories,
			way: preferenceOf(r.head.repeated, ctx.today),
			ladders: Object.values(r.families).map((f) => ({ value: f.id, name: f.title })),
			complaints,
			goals: goalViews(r, goals, ctx.today),
			mean: goalMean(goals, regionsOf(r)),
			activities: ACTIVITIES.map(({ id, title, ladder }) => ({ id, title, ladder: ladder ?? null })),
			points: Object.values(r.families).flatMap((f) =>
				f.steps
					.filter((s) => s.retired === undefined)
					.map((s) => ({ value: `${f.id}:${s.id}`, name: s.title }))
			),
			ctx: fitContextOf(r, ctx.today)
		};
	});

export const actions: Actions = {
	complaint: async ({ request, locals, params }) => {
		const form = await formOf(request);
		const parsed = complaintForm.safeParse(Object.fromEntries(form));
		if (!parsed.success) return refuseShape(form, parsed.error);
		const { easing, stiffnessMin, painAt, position, ...c } = parsed.data;
		const optional = {
			...(easing === '' ? {} : { easing }),
			...(stiffnessMin === undefined ? {} : { stiffnessMin }),
			...(painAt === '' ? {} : { painAt }),
			...(position === '' ? {} : { position })
		};
		const done = await saveComplaint(contextIn(locals), { ...c, ...optional, clientId: params.id });
		return done.ok
			? { done: `Saved: ${regionName(c.region)}, usual morning ${c.usualMorning}, worst ${c.worst}.` }
			: refusal(form, done.refusal);
	},
	goal: async ({ request, locals, params }) => {
		const form = await formOf(request);
		const parsed = goalForm.safeParse(Object.fromEntries(form));
		if (!parsed.success) return refuseShape(form, parsed.error);
		const { tie, heightCm, sets, reps, side, label, confidence, replaces, ...g } = parsed.data;
		const [family, step] = tie.split(':');
		const point =
			family === undefined || step === undefined
				? undefined
				: { family, step, ...present({ heightCm, sets, reps }) };
		const title = activity(g.activity)?.title ?? g.activity;
		if (label === '' && g.activity === 'own')
			return refuseField(form, 'label', 'Say in the client’s own words what it is.');
		const done = await saveGoal(contextIn(locals), {
			...g,
			clientId: params.id,
			label: label === '' ? title : label,
			...present({ confidence, point }),
			...(side === '' ? {} : { side }),
			...(replaces === '' ? {} : { replaces })
		});
		return done.ok
			? {
					done: `${replaces === '' ? 'Goal kept' : 'Scored again'}: ${label === '' ? title : label}, ${g.score} of 10.`
				}
			: refusal(form, done.refusal);
	},
	story: async ({ request, locals, params }) => {
		const form = await formOf(request);
		const parsed = storyForm.safeParse(Object.fromEntries(form));
		if (!parsed.success) return refuseShape(form, parsed.error);
		const done = await tellStory(contextIn(locals), { ...parsed.data, clientId: params.id });
		return done.ok
			? { done: `The story of the ${regionName(parsed.data.region)} is kept.` }
			: refusal(form, done.refusal);
	},
	repeated: async ({ request, locals, params }) => {
		const form = await formOf(request);
		const parsed = repeatedForm.safeParse(Object.fromEntries(form));
		if (!parsed.success) return refuseShape(form, parsed.error);
		const { id, day, way, leg, repetitions } = parsed.data;
		const done = await keepRepeated(contextIn(locals), {
			id,
			day,
			way,
			leg,
			repetitions,
			clientId: params.id
		});
		return done.ok
			? { done: `${repeatedText({ way, leg, repetitions, day })}.` }
			: refusal(form, done.refusal);
	},
	drop: async ({ request, locals, params }) => {
		const form = await formOf(request);
		const [id, goalId] = ['id', 'goalId'].map((k) => uuid.safeParse(form.get(k)).data);
		if (id === undefined || goalId === undefined)
			return refuseField(form, '', 'The form has lost its ids; reload the page.');
		const done = await dropGoal(contextIn(locals), { id, goalId, clientId: params.id });
		return done.ok ? { done: 'Dropped; it stays in the record.' } : refusal(form, done.refusal);
	}
};
