/** What a made-up client has beside the first exercise and its sore place: further exercises, a second sore place, notes and whom to call. */
import { addDays } from '#lib/core/base/calendar-day.ts';
import { FAMILIES } from '#lib/catalogue/families.ts';
import { stepOf } from '#lib/core/exercise/family.ts';
import type { Session } from '#lib/core/session/record.ts';
import { checkIn } from '#lib/server/usecase/check-in.ts';
import { logVisit } from '#lib/server/usecase/log-visit.ts';
import { prescribe } from '#lib/server/usecase/prescribe.ts';
import { setContact, writeNote } from '#lib/server/usecase/write-note.ts';
import { attach } from '#lib/server/usecase/attach.ts';
import { saveMeasurements } from '#lib/server/usecase/save-sheet.ts';
import { keepRepeated, tellStory } from '#lib/server/usecase/tell-story.ts';
import type { RangeId } from '#lib/core/measure/range-kind.ts';
import { letterPdf } from './letter-pdf.ts';
import type { DemoClient } from './client.ts';
import { at, must, type World } from './world.ts';

interface Whose {
	readonly c: DemoClient;
	readonly w: World;
	readonly clientId: string;
}

export async function besideTheFirst(c: DemoClient, w: World, clientId: string): Promise<void> {
	const whose = { c, w, clientId };
	await secondMornings(whose);
	await also(whose);
	await notes(whose);
	await history(whose);
}

/** Mornings of a second sore place, the last three weeks: at its usual. */
async function secondMornings({ c, w, clientId }: Whose): Promise<void> {
	if (c.second === undefined) return;
	const { region, usual: pain } = c.second;
	for (let day = addDays(w.today, -21); day < w.today; day = addDays(day, 1)) {
		const regions = [{ id: w.intakeId(day), region, pain, swelling: 'none' as const, stiffnessMin: 15 }];
		const sent = { id: w.intakeId(day), clientId, day, regions, events: [] };
		must(await checkIn(w.as('trainer', day), sent, at(day, 7)));
	}
}

/** Further exercises beside the first: easy, seen, and with nothing to tell. */
async function also({ c, w, clientId }: Whose): Promise<void> {
	for (const { family, step: stepId, region = c.region, daysAgo, done, particulars } of c.also ?? []) {
		const usual = region === c.second?.region ? c.second.usual : c.usual;
		const begun = addDays(w.today, -daysAgo);
		const ladder = FAMILIES[family];
		const step = ladder === undefined ? undefined : stepOf(ladder, stepId);
		if (step === undefined) throw new Error(stepId);
		const { sets, reps } = step.usualDose.start;
		const exerciseId = w.intakeId(begun);
		const { id: prescriptionId } = must(
			await prescribe(
				w.as('physio', begun),
				{
					id: w.intakeId(begun),
					exerciseId,
					clientId,
					family,
					step: stepId,
					region,
					...(particulars === undefined ? {} : { particulars }),
					sets,
					reps,
					loadKg: 0,
					reason: 'done like this for weeks, seen at the first visit'
				},
				at(begun, 11)
			)
		);
		for (const before of done) {
			const day = addDays(w.today, -before);
			const session: Session = {
				date: day,
				observed: true,
				prescribed: { sets, reps, loadKg: 0 },
				sets: Array.from({ length: sets }, () => ({ reps, effort: 5, cleanReps: reps })),
				pains: [{ region, before: usual, peak: usual, after: usual }],
				symptoms: [],
				faults: {},
				soreness: 2,
				confidence: 7
			};
			must(
				await logVisit(
					w.as('physio', day),
					{
						id: w.intakeId(day),
						visitId: w.intakeId(day),
						clientId,
						exerciseId,
						prescriptionId,
						session
					},
					at(day, 16)
				)
			);
		}
	}
}

async function notes({ c, w, clientId }: Whose): Promise<void> {
	for (const { daysAgo, region, body } of c.notes ?? []) {
		const day = addDays(w.today, -daysAgo);
		const about = region === undefined ? {} : { region };
		must(
			await writeNote(w.as('physio', day), { id: w.intakeId(day), clientId, day, body, about }, at(day, 17))
		);
	}
	for (const contact of c.contacts ?? [])
		must(
			await setContact(
				w.as('physio', w.start),
				{ ...contact, id: w.intakeId(w.start), clientId },
				at(w.start, 9)
			)
		);
}

/** What was told of each sore place, what repeated movement did, what the back lets, and a letter. */
async function history({ c, w, clientId }: Whose): Promise<void> {
	const physio = w.as('physio', w.start);
	for (const { region, story } of c.stories ?? [])
		must(
			await tellStory(
				physio,
				{ id: w.intakeId(w.start), clientId, region, story: { ...story, since: addDays(w.start, -120) } },
				at(w.start, 10)
			)
		);
	for (const { daysAgo, ...tried } of c.repeated ?? []) {
		const day = addDays(w.today, -daysAgo);
		must(
			await keepRepeated(w.as('physio', day), { ...tried, id: w.intakeId(day), clientId, day }, at(day, 10))
		);
	}
	const ranges = Object.entries(c.backRanges ?? {});
	if (ranges.length > 0) {
		const day = addDays(w.today, -9);
		const read = ranges.map(([axis, [onset, tolerable, end]]) => ({
			id: w.intakeId(day),
			axis: axis as RangeId,
			side: 'left' as const,
			range: { onset, tolerable, end, pain: 3 },
			method: 'inclinometer',
			loaded: false
		}));
		must(await saveMeasurements(w.as('physio', day), clientId, day, read, at(day, 10)));
	}
	if (c.letter !== undefined) {
		const { daysAgo, ...letter } = c.letter;
		const day = addDays(w.today, -daysAgo);
		const sent = { ...letter, id: w.intakeId(day), clientId, day, media: 'application/pdf' };
		must(await attach(w.as('physio', day), { ...sent, bytes: letterPdf(letter.title) }, at(day, 12)));
	}
}
