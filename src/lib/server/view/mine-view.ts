/** A client's own page, from the record: today's work drawn at their own chair and step, what pain in it means, the week, goals and mornings. */
import { addDays, dayNumber, type Day } from '#lib/core/base/calendar-day.ts';
import { recordDay } from '#lib/core/base/zone-day.ts';
import { mirrored, sideOf } from '#lib/core/body/region-side.ts';
import { lighterDose } from '#lib/core/decision/arrival.ts';
import { whenItHurts, whenTooEasy, type OnTheSpot } from '#lib/core/decision/on-the-spot.ts';
import { cuesFor } from '#lib/core/exercise/family.ts';
import { pictureOf } from '#lib/core/fit/picture.ts';
import { fitStep } from '#lib/core/fit/fit.ts';
import { setupFor } from '#lib/core/fit/gentler.ts';
import type { SolvedSetup } from '#lib/core/movement/context.ts';
import { restSec, setSec } from '#lib/core/plan/seconds.ts';
import { idOf, signedOn } from '#lib/core/plan/signed-week.ts';
import { arrangedMin } from '#lib/core/plan/week.ts';
import type { Work } from '#lib/core/plan/work.ts';
import type { MineView, MineWork } from '#lib/contract/mine.ts';
import { easyText, hurtsText } from '#lib/wording/on-the-spot.ts';
import { cautionIn, cueIn, doseIn, setupIn, titleIn, whatIn } from '#lib/wording/mine/how.ts';
import { languageOf, type Language } from '#lib/wording/mine/names.ts';
import { advancesToday, cardOn, linesOf, reaches, regionsOf, usualNow } from '../record/facts-of.ts';
import { effectiveChain } from '../record/effective-chain.ts';
import { fitContextOf, standingOf } from '../record/fit-of.ts';
import type { ClientRecord } from '../record/load.ts';
import { decideInputOf } from '../record/slip-of.ts';
import { coolDownsOf, signedTurns, warmUpsOf, workIn } from '../record/week-of.ts';
import { workOn } from '../record/work-on.ts';
import { heldNow } from './held-now.ts';
import { howOf } from './how-of.ts';

/** Moments of a moving figure that are drawn, the two ends among them. */
const FRAMES = 7;
/** Until its place in the session is known. */
const ALONE = -1;
const CUES = 3;
const PAINS = Array.from({ length: 11 }, (_, n) => n);
const MORNINGS_SHOWN = 7;

interface Asked {
	readonly r: ClientRecord;
	readonly today: Day;
	readonly language: Language;
}

const framesOf = ({ r, today }: Asked, work: Work, setup: SolvedSetup | null): MineWork['frames'] => {
	const picture = pictureOf(work.step, fitContextOf(r, today), setup);
	return Array.from({ length: FRAMES }, (_, i) => picture.at(i / (FRAMES - 1)));
};

/** Of work alone, that nobody prescribed: it warms up or cools down. */
function aloneOf(asked: Asked, work: Work): MineWork {
	const { r, today, language } = asked;
	const fit = fitStep(work.step, fitContextOf(r, today));
	const setup = setupFor(work.step, fit, r.body);
	const { sets, reps, unit = 'reps', loadKg } = work.dose;
	return {
		...{ exerciseId: null, prescriptionId: null, what: whatIn(language, work.step.id, work.step.what) },
		title: titleIn(language, work.step.id, work.title),
		...{ cues: [], cautions: [], how: [], note: null, region: null, other: null, mirror: false },
		sides: work.sides === 'both-at-once' ? 1 : work.sides.length,
		...{ sets, reps, unit, loadKg, doseText: doseIn(language, work.dose), lighter: false, held: false },
		tags: work.step.tags,
		frames: framesOf(asked, work, setup),
		tempo: work.step.tempo ?? [2, 0, 2],
		setSec: setSec(work),
		restSec: restSec(work),
		...{ hurts: [], easy: '', loggedToday: false, turn: ALONE }
	};
}

/** What to change, in a language that has no sentences for it yet: by its numbers. */
const numbersOf = ({ change }: OnTheSpot, language: Language): string =>
	change === null
		? ''
		: [doseIn(language, change.result.dose), setupIn(language, change.result.setup)]
				.filter((x) => x !== '')
				.join(', ');

/** Of an exercise of the plan; undefined where its step is no longer known. */
function exerciseOf(asked: Asked, exerciseId: string, work: Work | undefined): MineWork | undefined {
	const { r, today, language } = asked;
	const e = r.exercises.find((x) => x.id === exerciseId);
	if (e === undefined || work === undefined) return undefined;
	const { head } = effectiveChain(e.prescriptions);
	const family = r.families[e.family];
	const day = workOn(r, { region: e.region, tags: work.step.tags }, today);
	const dose = lighterDose(head.dose, day.share);
	const { input } = decideInputOf(r, e, today, advancesToday(r, today));
	const setup = setupIn(language, head.setup);
	return {
		exerciseId: e.id,
		prescriptionId: head.id,
		title: titleIn(language, head.step, head.snapshot.title),
		what: whatIn(language, head.step, head.snapshot.what),
		cues: (head.snapshot.cues.length > 0
			? head.snapshot.cues
			: family === undefined
				? []
				: cuesFor(family, work.step, r.head.setting.technique ?? 'ordinary')
		)
			.slice(0, CUES)
			.map((c) => cueIn(language, c)),
		cautions: head.snapshot.cautions.map((c) => cautionIn(language, c)),
		how: [...(setup === '' ? [] : [setup]), ...howOf(r, e.id, head.particulars, language)],
		note: head.particulars.note ?? null,
		region: e.region,
		other: head.particulars.painPerSide === true ? (mirrored(e.region) ?? null) : null,
		mirror: sideOf(e.region) === 'left',
		sides: work.sides === 'both-at-once' ? 1 : work.sides.length,
		sets: dose.sets,
		reps: dose.reps,
		unit: dose.unit ?? 'reps',
		loadKg: dose.loadKg,
		doseText: doseIn(language, dose),
		lighter: day.share < 1,
		held: heldNow(r, e.region, standingOf(r, e, today), day) !== null,
		tags: work.step.tags,
		frames: framesOf(asked, work, head.setup),
		tempo: work.step.tempo ?? [2, 0, 2],
		setSec: setSec(work),
		restSec: restSec(work),
		hurts: PAINS.map((pain) => {
			const said = whenItHurts(input, { pain });
			const text = language === 'en' ? hurtsText(said, pain, today) : numbersOf(said, language);
			return { answer: said.answer, text };
		}),
		easy: easyText(whenTooEasy(input), today),
		turn: ALONE,
		loggedToday: r.logs.some((l) => l.exerciseId === e.id && l.session.date === today)
	};
}

const WEEK = [0, 1, 2, 3, 4, 5, 6];

/** What is asked at the door, what today's answer was, and the flag that closes all of it. */
function doorOf(r: ClientRecord, today: Day): Pick<MineView, 'arrival' | 'arrived' | 'flag'> {
	const lines = linesOf(r);
	const card = cardOn(r, today);
	const regions = regionsOf(r);
	const red = r.head.flags.find(
		(f) => f.open && f.severity === 'red' && regions.every((region) => reaches(f, region))
	);
	return {
		arrival: regions.map((region) => ({ region, usual: usualNow(r, region, today), ...lines })),
		arrived: card === undefined || card.openedBecause !== null || card.answer === 'ask' ? null : card.answer,
		flag: red?.code ?? null
	};
}

/** Neither today nor yesterday was worked. */
const restedOn = (r: ClientRecord, today: Day): boolean =>
	!r.logs.some((l) => l.session.date === today || l.session.date === addDays(today, -1));

/** The signed week from the day it begins on here. */
function weekOf(
	week: NonNullable<ClientRecord['head']['week']>,
	work: ReadonlyMap<string, Work>,
	weekStart: number,
	language: Language
): MineView['week'] {
	const signed = signedTurns(week, work);
	return WEEK.map((i) => (i + weekStart) % 7).map((weekday) => {
		const turns = signed.find((d) => d.weekday === weekday)?.turns ?? [];
		const titles = turns.flat().map((w) => titleIn(language, w.step.id, w.title));
		return { weekday, titles, minutes: arrangedMin(turns) };
	});
}

/** @param serverNow ms; the page holds its own clock against it */
export function mineView(
	r: ClientRecord,
	goals: MineView['goals'],
	at: {
		readonly today: Day;
		readonly now: Date;
		readonly tz: string;
		readonly practice: string;
		readonly emergency: string;
		readonly emergencyWords: string;
		readonly weekStart: number;
		/** Whoever reads it; left out, the client. */
		readonly language?: Language;
	}
): MineView {
	const { today } = at;
	const language = at.language ?? languageOf(r.head.setting.language);
	const asked = { r, today, language };
	const planned = new Map(workIn(r, today).map((w) => [w.id, w]));
	const alone = new Map([...warmUpsOf(r, today), ...coolDownsOf(r, today)].map((w) => [w.id, w]));
	const { week } = r.head;
	const turns = week === null ? null : signedOn(week, today);
	const needed = [...planned.values()].filter((w) => w.particulars.asNeeded === true);
	const seen = (id: string): MineWork | undefined => {
		const single = alone.get(id);
		return single === undefined ? exerciseOf(asked, id, planned.get(id)) : aloneOf(asked, single);
	};
	const ahead = WEEK.map((i) => addDays(today, i + 1));
	const next = week === null ? undefined : ahead.find((d) => signedOn(week, d) !== null);
	// Without a signed week all that stands is done; with one, what it says of this day; of a day off, what comes next and may be brought forward.
	const inTurns: readonly (readonly string[])[] =
		week === null
			? [...planned.keys()].filter((id) => !needed.some((w) => w.id === id)).map((id) => [id])
			: (turns ?? (next === undefined ? null : signedOn(week, next)) ?? []).map((turn) => turn.map(idOf));
	const dayOff = week !== null && turns === null;
	return {
		clientId: r.head.id,
		firstName: r.head.name.split(' ')[0] ?? '',
		practice: at.practice,
		language: r.head.setting.language,
		today,
		tz: at.tz,
		now: at.now.getTime(),
		dayShift: dayNumber(today) - dayNumber(recordDay(at.tz, at.now)),
		emergency: at.emergency,
		emergencyWords: at.emergencyWords,
		...doorOf(r, today),
		work: inTurns.flatMap((turn, n) => turn.flatMap((id) => seen(id) ?? []).map((w) => ({ ...w, turn: n }))),
		dayOff,
		nextDay: next ?? null,
		mayBring: dayOff && next !== undefined && restedOn(r, today),
		asNeeded: needed.flatMap((w) => seen(w.id) ?? []),
		week: week === null ? [] : weekOf(week, new Map([...planned, ...alone]), at.weekStart, language),
		goals,
		mornings: r.mornings
			.filter((m) => m.date > addDays(today, -MORNINGS_SHOWN) && m.pain !== undefined)
			.map((m) => ({ day: m.date, region: m.region, pain: m.pain ?? 0 })),
		eveningIn: r.told.some((x) => x.moment === 'evening' && x.date === today),
		morningIn: regionsOf(r).every((region) => r.mornings.some((m) => m.region === region && m.date === today))
	};
}
