/** The weeks of one made-up client, day by day, through the same use-cases the pages use: each ends where another decision is due. */
import { addDays, dayNumber, weekday, type Day } from '#lib/core/base/calendar-day.ts';
import { MAIN_AXES, SIDES } from '#lib/core/body/axis.ts';
import type { Session } from '#lib/core/session/record.ts';
import { exercises, type Prescription } from '#lib/server/repo/exercise-repo.ts';
import { checkIn } from '#lib/server/usecase/check-in.ts';
import { logVisit } from '#lib/server/usecase/log-visit.ts';
import { prescribe } from '#lib/server/usecase/prescribe.ts';
import { advancesToday } from '#lib/server/record/facts-of.ts';
import { fitContextOf } from '#lib/server/record/fit-of.ts';
import { loadRecords } from '#lib/server/record/load.ts';
import { hashOf, slipOf } from '#lib/server/record/slip-of.ts';
import { SCREENING } from '#lib/catalogue/screening.ts';
import { CONSENT_PURPOSES } from '#lib/core/client/consent.ts';
import { registerClient } from '#lib/server/usecase/register-client.ts';
import { openFlag } from '#lib/server/usecase/flags.ts';
import { enterProtocol, recordSurgery } from '#lib/server/usecase/protocols.ts';
import { screenClient } from '#lib/server/usecase/screen-client.ts';
import { saveGoal, saveComplaint } from '#lib/server/usecase/ask.ts';
import { saveMeasurements, saveSheet } from '#lib/server/usecase/save-sheet.ts';
import type { RangeId } from '#lib/core/measure/range-kind.ts';
import { signDecision } from '#lib/server/usecase/sign-decision.ts';
import { FAMILIES } from '#lib/catalogue/families.ts';
import { stepOf } from '#lib/core/exercise/family.ts';
import { fitStep } from '#lib/core/fit/fit.ts';
import { besideTheFirst } from './beside-the-first.ts';
import type { DemoClient } from './client.ts';
import { at, must, type World } from './world.ts';

const ENDING_DAYS = 9;

/** One client's twelve weeks. */
export class Life {
	private readonly clientId: string;
	private readonly exerciseId: string;
	constructor(
		private readonly c: DemoClient,
		private readonly w: World
	) {
		this.clientId = w.id(w.start);
		this.exerciseId = w.id(w.start);
	}

	async run(): Promise<void> {
		const { w } = this;
		await this.intake();
		const ending = addDays(w.today, -ENDING_DAYS);
		for (let day = addDays(w.start, 2); day < ending; day = addDays(day, 1)) await this.ordinaryDay(day);
		await this.end(ending);
		await besideTheFirst(this.c, w, this.clientId);
	}

	private async intake(): Promise<void> {
		const { c, w } = this;
		const ctx = w.as('physio', w.start);
		must(
			await registerClient(
				ctx,
				{
					id: this.clientId,
					personId: w.id(w.start),
					settingId: w.id(w.start),
					name: c.name,
					born: c.born,
					sex: c.sex,
					occupation: c.occupation,
					heightCm: c.heightCm,
					massKg: c.massKg,
					...(c.shankCm === undefined ? {} : { shankCm: c.shankCm }),
					technique: c.technique,
					policyId: c.policyId,
					frontOfKnee: c.frontOfKnee,
					goal: c.goal,
					usual: { [c.region]: { intake: c.usual, ...(c.longStanding ? { longStanding: true } : {}) } },
					homeKit: c.homeKit,
					...(c.homeHeights === undefined ? {} : { homeHeights: c.homeHeights }),
					days: [1, 3, 5],
					minutes: 20,
					consents: CONSENT_PURPOSES.map((purpose) => ({
						id: w.intakeId(w.start),
						purpose,
						given: purpose !== 'teaching'
					}))
				},
				at(w.start, 9)
			)
		);
		await this.screen(w.start);
		if (c.limit !== undefined) {
			const { axis, side, maxDeg, source, operatedOn, reviewIn } = c.limit;
			const surgeryId = w.id(w.start);
			must(
				await recordSurgery(
					ctx,
					{
						id: surgeryId,
						clientId: this.clientId,
						region: c.region,
						operation: c.limit.operation,
						operatedOn: addDays(w.today, operatedOn)
					},
					at(w.start, 9)
				)
			);
			const phases = c.limit.phases.map((p) => ({
				...p,
				forbidden: [],
				weightBearing: 'full' as const,
				windows: [{ axis, side, maxDeg: p.maxDeg ?? maxDeg }]
			}));
			must(
				await enterProtocol(
					ctx,
					{
						id: w.id(w.start),
						clientId: this.clientId,
						surgeryId,
						source,
						reviewOn: addDays(w.today, reviewIn),
						phases
					},
					at(w.start, 9)
				)
			);
		}
		await this.ask(w.start);
		await this.measure(w.start, -4);
		await this.test(w.start, 0);
		await this.test(addDays(w.today, -16), 1);
		await this.delegate();
		await this.give(w.start);
	}

	private async screen(day: Day): Promise<void> {
		const yes = new Set([...(this.c.cautions ?? []), ...(this.c.limit ? ['recent-surgery'] : [])]);
		const answers = Object.fromEntries(
			SCREENING.map((q) => [q.id, yes.has(q.id) ? ('yes' as const) : ('no' as const)])
		);
		must(
			await screenClient(
				this.w.as('physio', day),
				{ id: this.w.id(day), clientId: this.clientId, day, answers },
				at(day, 9)
			)
		);
	}

	/** What hurts and what the client wants to do again; scored again five weeks before today. */
	private async ask(day: Day): Promise<void> {
		const { c, w } = this;
		const ctx = w.as('physio', day);
		must(
			await saveComplaint(
				ctx,
				{
					id: w.intakeId(day),
					settingId: w.intakeId(day),
					clientId: this.clientId,
					region: c.region,
					usualMorning: c.usual,
					...c.complaint
				},
				at(day, 9)
			)
		);
		if (c.second !== undefined)
			must(
				await saveComplaint(
					ctx,
					{
						id: w.intakeId(day),
						settingId: w.intakeId(day),
						clientId: this.clientId,
						region: c.second.region,
						usualMorning: c.second.usual,
						...c.second.complaint
					},
					at(day, 9)
				)
			);
		for (const g of c.goals) {
			const first = w.intakeId(day);
			must(await saveGoal(ctx, { id: first, clientId: this.clientId, ...g }, at(day, 9)));
			const again = addDays(w.today, -35);
			if (again > day)
				must(
					await saveGoal(
						w.as('physio', again),
						{
							id: w.intakeId(again),
							clientId: this.clientId,
							...g,
							score: Math.min(10, g.score + 2),
							replaces: first
						},
						at(again, 9)
					)
				);
		}
	}

	/** Function tests and the ranges no set-up is solved on, `better` rounds on. */
	private async test(day: Day, better: number): Promise<void> {
		const { c, w } = this;
		if (day < w.start) return;
		const tests = c.tests.map(({ test, side, first, gain, extras }) => ({
			id: w.intakeId(day),
			test,
			side: side ?? null,
			value: Math.round(100 * (first + gain * better)) / 100,
			extras: extras ?? {},
			method: 'by hand'
		}));
		const ranges = Object.entries(c.more ?? {}).flatMap(([axis, [left, right]]) =>
			(
				[
					['left', left],
					['right', right]
				] as const
			).map(([side, end]) => ({
				id: w.intakeId(day),
				axis: axis as RangeId,
				side,
				range: { end: end + 2 * better },
				method: 'goniometer',
				loaded: false
			}))
		);
		must(
			await saveSheet(w.as('physio', day), this.clientId, { day, ranges, tests, totals: [] }, at(day, 10))
		);
	}

	private async delegate(): Promise<void> {
		const { w } = this;
		const { append } = await import('#lib/server/db/append.ts');
		await w.as('physio', w.start).inPractice((t) =>
			append(
				t,
				'delegation',
				{
					id: w.id(w.start),
					client_id: this.clientId,
					member_id: w.trainerId,
					families: ['squat'],
					expires: addDays(w.today, 30)
				},
				at(w.start, 9)
			)
		);
	}

	/** Measures all axes, `shift` degrees from the ranges the client ends with. */
	private async measure(day: Day, shift: number): Promise<void> {
		const { c, w } = this;
		const values = MAIN_AXES.flatMap((axis) =>
			SIDES.map((side) => {
				const [onset, tolerable, end] = c.ranges[axis][side];
				const s = axis === 'weightBearingDorsiflexion' ? 0 : shift;
				return {
					id: w.id(day),
					axis,
					side,
					range: {
						onset: onset + s,
						tolerable: tolerable + s,
						end: end + Math.min(0, s),
						pain: tolerable < end ? 4 : 1
					},
					method: axis === 'weightBearingDorsiflexion' ? 'inclinometer' : 'goniometer',
					loaded: axis === 'weightBearingDorsiflexion'
				};
			})
		);
		must(await saveMeasurements(w.as('physio', day), this.clientId, day, values, at(day, 10)));
	}

	private async record(day: Day) {
		return this.w.as('physio', day).inPractice(async (t) => {
			const [r] = await loadRecords(t, this.clientId);
			if (r === undefined) throw new Error('client went missing');
			return r;
		});
	}

	private async give(day: Day): Promise<void> {
		const { c, w } = this;
		const family = FAMILIES.squat;
		const step = family === undefined ? undefined : stepOf(family, c.firstStep);
		if (step === undefined) throw new Error(c.firstStep);
		const fit = fitStep(step, fitContextOf(await this.record(day), day));
		const { start } = step.usualDose;
		must(
			await prescribe(
				w.as('physio', day),
				{
					id: w.id(day),
					exerciseId: this.exerciseId,
					clientId: this.clientId,
					family: 'squat',
					step: step.id,
					region: c.region,
					sets: start.sets,
					reps: start.reps,
					loadKg: 0,
					...(fit.verdict === 'blocked' || step.gates.length > 0
						? { reason: 'rises like this at home already, seen at the first visit' }
						: {})
				},
				at(day, 11)
			)
		);
	}

	private async head(day: Day): Promise<Prescription | undefined> {
		const all = await this.w.as('physio', day).inPractice((t) => exercises(t, this.clientId));
		const e = all.find((x) => x.id === this.exerciseId);
		return e?.prescriptions[e.prescriptions.length - 1];
	}

	private chance(p: number): boolean {
		return this.w.random() < p;
	}

	private async ordinaryWork(day: Day, trouble: boolean): Promise<void> {
		const { c, w } = this;
		const wd = weekday(day);
		if (!this.chance(0.12)) {
			const off = trouble ? 1 : this.chance(0.25) ? -1 : 0;
			await this.morning(day, c.usual + off, {}, this.chance(0.08) ? 3 : 0);
		}
		if ([1, 3, 5].includes(wd) && !this.chance(0.08)) {
			const more = trouble ? 2 : this.chance(0.2) ? 1 : 0;
			const effort = 5 + Math.floor(w.random() * 2);
			await this.session(day, { observed: wd !== 3, peak: c.usual + more, effort });
		}
	}

	/** Mornings most days, sessions on Monday, Wednesday and Friday, a review on Saturday, measurements every third Monday. */
	private async ordinaryDay(day: Day): Promise<void> {
		const { c, w } = this;
		const wd = weekday(day);
		await this.ordinaryWork(day, this.chance(0.06));
		const weeksIn = Math.floor((dayNumber(day) - dayNumber(w.start)) / 7);
		const sinceEnd = dayNumber(w.today) - dayNumber(day);
		if (wd === 1 && weeksIn % 3 === 2)
			await this.measure(day, sinceEnd < 28 && c.ending !== 'silent' ? 0 : -2);
		if (wd === 6 && weeksIn % 5 === 4) await this.screen(day);
		if (wd === 6) await this.review(day);
	}

	private async morning(
		day: Day,
		pain: number,
		extra: { swelling?: 'none' | 'a-little' | 'clearly-more' } = {},
		lateDays = 0
	): Promise<void> {
		const { w } = this;
		const entered = addDays(day, Math.min(lateDays, dayNumber(w.today) - dayNumber(day)));
		const regions = [
			{
				id: w.id(day),
				region: this.c.region,
				pain: Math.max(0, pain),
				swelling: extra.swelling ?? ('none' as const),
				stiffnessMin: 5 + Math.floor(w.random() * 10)
			}
		];
		must(
			await checkIn(
				w.as('trainer', entered),
				{ id: w.lateId(day), clientId: this.clientId, day, regions, events: [] },
				at(entered, 7)
			)
		);
		// Now and then somebody had mistyped: the correction replaces it and both stay.
		if (lateDays === 0 && this.chance(0.03))
			must(
				await checkIn(
					w.as('trainer', entered),
					{
						id: w.lateId(day),
						clientId: this.clientId,
						day,
						regions: regions.map((r) => ({ ...r, id: w.id(day), stiffnessMin: r.stiffnessMin + 5 })),
						events: []
					},
					at(entered, 8)
				)
			);
	}

	private async session(
		day: Day,
		s: { observed: boolean; peak: number; after?: number; effort: number; patch?: Partial<Session> }
	): Promise<void> {
		const { c, w } = this;
		const head = await this.head(day);
		if (head === undefined || head.state !== 'active') return;
		const { sets, reps, loadKg } = head.dose;
		const session: Session = {
			date: day,
			observed: s.observed,
			prescribed: { sets, reps, loadKg },
			sets: Array.from({ length: sets }, () => ({
				reps,
				effort: Math.min(10, s.effort),
				cleanReps: this.chance(0.15) ? reps - 1 : reps
			})),
			pains: [
				{
					region: c.region,
					before: Math.max(0, c.usual),
					peak: Math.max(0, s.peak),
					after: Math.max(0, s.after ?? Math.min(s.peak, c.usual))
				}
			],
			...(s.peak > c.usual ? { painAt: 'late' as const } : {}),
			symptoms: [],
			faults: this.chance(0.1) ? { 'knee-drifts-in': 0.3 } : {},
			soreness: 1 + Math.floor(w.random() * 3),
			confidence: 6 + Math.floor(w.random() * 3),
			...s.patch
		};
		must(
			await logVisit(
				w.as(s.observed ? 'physio' : 'trainer', day),
				{
					id: w.id(day),
					visitId: w.id(day),
					clientId: this.clientId,
					exerciseId: this.exerciseId,
					prescriptionId: head.id,
					session
				},
				at(day, 16)
			)
		);
	}

	/** The physiotherapist agrees with what Bolster proposes, unless it waits. */
	private async review(day: Day): Promise<void> {
		const { w } = this;
		const r = await this.record(day);
		const exercise = r.exercises.find((e) => e.id === this.exerciseId);
		if (exercise === undefined) return;
		const slip = slipOf(r, exercise, day, advancesToday(r, day));
		if (slip.trace.decision === 'wait' || slip.trace.change?.kind === 'set-aside') return;
		must(
			await signDecision(
				w.as('physio', day),
				{
					id: w.id(day),
					prescriptionId: w.id(day),
					clientId: this.clientId,
					exerciseId: exercise.id,
					hash: hashOf(slip),
					basedOn: slip.chain.head.id,
					answer: 'accepted'
				},
				at(day, 17)
			)
		);
	}

	/** The last nine days, without reviews: each client ends where another decision is due. */
	private async end(from: Day): Promise<void> {
		const { c, w } = this;
		const u = c.usual;
		const d = (before: number): Day => addDays(w.today, -before);
		if (c.ending === 'silent') return;
		for (let n = ENDING_DAYS; n >= 3; n--) await this.morning(d(n), u);
		await this.screen(from);
		const mornings = async (...days: readonly number[]): Promise<void> => {
			for (const n of days) await this.morning(d(n), u);
		};
		switch (c.ending) {
			case 'hold-up':
				await this.session(d(6), { observed: true, peak: u, effort: 5 });
				await this.session(d(3), { observed: true, peak: u, effort: 5 });
				await this.morning(d(2), u);
				await this.session(d(1), { observed: true, peak: u, effort: 6 });
				await this.morning(d(1), u);
				await this.morning(d(0), u + 1);
				return;
			case 'advance':
				await this.session(d(4), { observed: true, peak: u, effort: 5 });
				await this.session(d(2), { observed: true, peak: u, effort: 6 });
				await mornings(2, 1, 0);
				return;
			case 'regress-pain':
				await this.session(d(4), { observed: true, peak: u + 1, effort: 6 });
				await this.session(d(1), { observed: true, peak: 6, after: 4, effort: 7, patch: { painAt: 'late' } });
				await mornings(2, 1);
				await this.morning(d(0), u + 1);
				return;
			case 'stop-locking':
				await this.session(d(3), { observed: true, peak: u, effort: 5 });
				await this.session(d(1), { observed: true, peak: 4, effort: 6, patch: { symptoms: ['locking'] } });
				await mornings(2, 1, 0);
				return;
			case 'red-flag':
				await this.session(d(3), { observed: true, peak: u, effort: 5 });
				await mornings(2, 1);
				await this.nightPain(d(1));
				return;
			case 'wait-morning':
				await this.session(d(3), { observed: true, peak: u, effort: 5 });
				await mornings(2, 1);
				await this.session(d(0), { observed: true, peak: u, effort: 5 });
				return;
			case 'flare':
				await this.session(d(3), { observed: true, peak: u + 1, effort: 6 });
				await this.morning(d(2), u + 1);
				await this.morning(d(1), u + 2, { swelling: 'a-little' });
				await this.morning(d(0), u + 3, { swelling: 'a-little' });
				return;
		}
	}

	private async nightPain(day: Day): Promise<void> {
		const { w, clientId } = this;
		const flag = { code: 'night-pain', region: 'back', severity: 'red', urgency: 'urgent' } as const;
		must(await openFlag(w.as('physio', day), { id: w.id(day), clientId, day, ...flag }, at(day, 12)));
	}
}
