/** What is handed out on paper, from the record: a client's own sheet, and a page for whoever referred. */
import { methodOf } from '#lib/catalogue/ranges.ts';
import type { Day } from '#lib/core/base/calendar-day.ts';
import { AXES, SIDES, type Axis, type Side } from '#lib/core/body/axis.ts';
import { doseText } from '#lib/wording/dose.ts';
import { cuesFor } from '#lib/core/exercise/family.ts';
import { pictureOf } from '#lib/core/fit/picture.ts';
import { arrangedMin } from '#lib/core/plan/week.ts';
import type { Handout } from '#lib/exchange/pdf/handout.ts';
import type { Letter } from '#lib/exchange/pdf/letter.ts';
import { shortDay } from '#lib/wording/days.ts';
import { handout } from '#lib/wording/intake.ts';
import { de } from '#lib/wording/mine/de.ts';
import { en } from '#lib/wording/mine/en.ts';
import { cautionIn, cueIn, doseIn, setupIn, titleIn, whatIn } from '#lib/wording/mine/how.ts';
import { languageOf, weekdayIn } from '#lib/wording/mine/names.ts';
import { AXIS_NAME, regionName } from '#lib/wording/names.ts';
import { flagName } from '#lib/wording/screening.ts';
import { setupText } from '#lib/wording/setup.ts';
import type { Measurement } from '../repo/sheet-repo.ts';
import { effectiveChain } from '../record/effective-chain.ts';
import { usualNow } from '../record/facts-of.ts';
import { fitContextOf } from '../record/fit-of.ts';
import type { ClientRecord } from '../record/load.ts';
import { doneNow, signedTurns, workIn } from '../record/week-of.ts';
import type { Measured } from './trend-view.ts';
import { howOf } from './how-of.ts';

const CUES = 3;
const CAUTIONS = 2;

/** The sheet of one who is done now: what is held is not on it. Cues are of one school, the client's own, so that none contradicts another. */
export function handoutOf(r: ClientRecord, today: Day, practice: string): Handout {
	const language = languageOf(r.head.setting.language);
	const words = language === 'de' ? de : en;
	const told = handout(r.head.setting.language);
	const ctx = fitContextOf(r, today);
	const work = new Map(workIn(r, today).map((w) => [w.id, w]));
	const order = [...work.keys()];
	const exercises = doneNow(r, today)
		.map((e) => ({ e, head: effectiveChain(e.prescriptions).head, w: work.get(e.id) }))
		.sort((a, b) => order.indexOf(a.e.id) - order.indexOf(b.e.id));
	const { week } = r.head;
	return {
		title: words.title,
		client: r.head.name,
		practice,
		date: shortDay(today),
		language,
		stop: [words.whenHurtsText, told?.stop ?? '', told?.call ?? ''].filter((x) => x !== ''),
		exercises: exercises.map(({ e, head, w }) => {
			const { snapshot, particulars, setup } = head;
			const family = r.families[e.family];
			const cues =
				family === undefined || w === undefined
					? snapshot.cues
					: cuesFor(family, w.step, r.head.setting.technique ?? 'ordinary');
			return {
				title: titleIn(language, head.step, snapshot.title),
				dose: doseIn(language, head.dose),
				lines: [
					[setupIn(language, setup), ...howOf(r, e.id, particulars, language)]
						.filter((x) => x !== '')
						.join(' · '),
					particulars.note ?? ''
				],
				cues: cues.slice(0, CUES).map((c) => cueIn(language, c)),
				cautions: snapshot.cautions.slice(0, CAUTIONS).map((c) => cautionIn(language, c)),
				figure: w === undefined ? undefined : pictureOf(w.step, ctx, setup).at(1),
				alt: `${titleIn(language, head.step, snapshot.title)}: ${whatIn(language, head.step, snapshot.what)}`
			};
		}),
		week:
			week === null
				? null
				: {
						title: words.week,
						rows: signedTurns(week, work).map(({ weekday, turns }) => [
							weekdayIn(language, weekday),
							`${words.minutes.replace('{{n}}', String(arrangedMin(turns)))}: ${turns
								.flat()
								.map((w) => titleIn(language, w.step.id, w.title))
								.join(', ')}`
						])
					}
	};
}

/** First and last reading of a joint action, and whether the difference is more than the method's own change. */
function rangeRow(axis: Axis, side: Side, own: readonly Measurement[]): Letter['measured'][number] {
	const [first, last] = [own[0] as Measurement, own[own.length - 1] as Measurement];
	const by = Math.round(last.tolerable - first.tolerable);
	const real = Math.max(methodOf(first.method).realChangeDeg, methodOf(last.method).realChangeDeg);
	const change =
		own.length < 2
			? ''
			: Math.abs(by) > real
				? `${by > 0 ? 'more' : 'less'} by ${Math.abs(by)}°, beyond the ${real}° of its method`
				: `${by >= 0 ? '+' : '−'}${Math.abs(by)}°, inside the ${real}° of its method`;
	return [
		`${AXIS_NAME[axis]}, ${side}`,
		`${Math.round(first.tolerable)}° ${shortDay(first.day)}`,
		own.length < 2 ? '' : `${Math.round(last.tolerable)}° ${shortDay(last.day)}`,
		change
	];
}

const rangesOf = (r: ClientRecord): Letter['measured'] =>
	AXES.flatMap((axis) =>
		SIDES.flatMap((side) => {
			const own = r.measurements.filter((m) => m.axis === axis && m.side === side);
			return own.length === 0 ? [] : [rangeRow(axis, side, own)];
		})
	);

const testRow = ({ title, side, unit, values, change }: Measured): Letter['measured'][number] => {
	const [first, last] = [values[0], values[values.length - 1]];
	const said = (v: typeof first): string => (v === undefined ? '' : `${v.value} ${unit}`);
	return [
		`${title}${side === null ? '' : `, ${side}`}`,
		said(first),
		values.length < 2 ? '' : said(last),
		change
	];
};

export interface LetterAsked {
	readonly today: Day;
	readonly practice: string;
	readonly signedBy: string;
	/** In the practitioner's own words: the clot or X-ray points of Screen, what is asked for. */
	readonly words: string;
	readonly tests: readonly Measured[];
	readonly goals: readonly { readonly label: string; readonly first: number; readonly now: number }[];
}

export function letterOf(r: ClientRecord, a: LetterAsked): Letter {
	const regions = Object.keys(r.head.setting.usual);
	return {
		client: r.head.name,
		born: r.head.born,
		practice: a.practice,
		date: a.today,
		signedBy: a.signedBy,
		regions: regions.map(regionName),
		since: r.head.openedOn,
		flags: r.head.flags
			.filter((f) => f.open)
			.map(
				(f) =>
					`${flagName(f.code)}${f.region === null ? '' : ` (${regionName(f.region)})`}, ${shortDay(f.day)}`
			),
		measured: [...rangesOf(r), ...a.tests.map(testRow)],
		pains: regions.map((region) => {
			const intake = r.head.setting.usual[region]?.intake;
			return `${regionName(region)}: ${intake === undefined ? '' : `usually ${intake} when it began, `}${usualNow(r, region, a.today)} now`;
		}),
		exercises: doneNow(r, a.today).map((e) => {
			const { head } = effectiveChain(e.prescriptions);
			return [head.snapshot.title, doseText(head.dose), setupText(head.setup)]
				.filter((x) => x !== '')
				.join(', ');
		}),
		goals: a.goals.map((g) => `${g.label}: ${g.first === g.now ? g.now : `${g.first} → ${g.now}`} of 10`),
		words: a.words.split(/\r?\n/).filter((x) => x.trim() !== '')
	};
}
