/** A client's story, what is feared, and what repeated movement does, in words. */
import { FAMILIES } from '#lib/catalogue/families.ts';
import type { Beginning, Course, SaidKind, Story } from '#lib/core/client/story.ts';
import type { BackPreference, BackWay, LegAnswer, Repeated } from '#lib/core/client/repeated.ts';
import { shortDay } from './days.ts';

export const WAY_NAME: Readonly<Record<BackWay, string>> = {
	forward: 'forward',
	backward: 'backward',
	'side-left': 'to the left',
	'side-right': 'to the right'
};
export const LEG_NAME: Readonly<Record<LegAnswer, string>> = {
	better: 'leg better',
	same: 'leg the same',
	'further-down': 'further down the leg'
};
export const BEGAN_NAME: Readonly<Record<Beginning, string>> = {
	suddenly: 'suddenly',
	slowly: 'slowly',
	accident: 'after an accident',
	'after-change': 'after doing more, or something new',
	operation: 'after an operation'
};
export const COURSE_NAME: Readonly<Record<Course, string>> = {
	better: 'getting better',
	same: 'the same',
	worse: 'getting worse',
	'comes-and-goes': 'comes and goes'
};
export const SAID_NAME: Readonly<Record<SaidKind, string>> = {
	diagnosis: 'diagnosis',
	imaging: 'imaging',
	referral: 'referral'
};

export const repeatedText = (r: Repeated): string =>
	`Bending ${WAY_NAME[r.way]} ${r.repetitions} times: ${LEG_NAME[r.leg]}`;

/** Which way does the leg good and which is left alone; empty where nothing was tried. */
export function wayText({ prefers, avoids }: BackPreference): string {
	const parts = [
		...(prefers === null
			? []
			: [`Bending ${WAY_NAME[prefers]} does the leg good: such steps come first among their like.`]),
		...(avoids.length === 0
			? []
			: [
					`Bending ${avoids.map((w) => WAY_NAME[w]).join(' and ')} sent pain further down the leg: left alone until tried again.`
				])
	];
	return parts.join(' ');
}

export const ladderName = (family: string): string => FAMILIES[family]?.title ?? family;

/** A story in one line. */
export function storyText(s: Story): string {
	return [
		...(s.since === null ? [] : [`since ${shortDay(s.since)}`]),
		...(s.began === null ? [] : [`began ${BEGAN_NAME[s.began]}`]),
		...(s.how === '' ? [] : [s.how]),
		...(s.course === null ? [] : [COURSE_NAME[s.course]]),
		...s.said.map(
			(x) =>
				`${SAID_NAME[x.kind]}: ${x.text}${x.by === '' ? '' : ` (${x.by}${x.on === null ? '' : `, ${shortDay(x.on)}`})`}`
		),
		...(s.medicines === '' ? [] : [`medicines: ${s.medicines}`]),
		...(s.earlierCare === '' ? [] : [`earlier care: ${s.earlierCare}`]),
		...(s.demands === '' ? [] : [`work and sport: ${s.demands}`]),
		...(s.feared.length === 0
			? []
			: [
					`feared: ${s.feared.map((f) => `${ladderName(f.family).toLowerCase()} (sure ${f.confidence})`).join(', ')}`
				])
	].join('; ');
}
