/**
 * Screening categories in our own neutral words, from the emergency, urgent and caution signs that common guidance lists. No
 * licensed questionnaire is reproduced. Local rules and the treating clinician come first.
 * @source red-flags-common categories and urgency (from memory); practice-setting what a caution withholds
 */
import type { ScreenCategory } from '../core/client/screening.ts';

const EMERGENCY = 'Stop now and get emergency help.';

export const SCREENING: readonly ScreenCategory[] = [
	{
		id: 'saddle-or-bladder-change',
		urgency: 'emergency',
		name: 'saddle, bladder or bowel change',
		ask: 'New numbness between the legs, change in passing water or in the bowel, new sexual numbness, or pain or weakness spreading into both legs?',
		action: `${EMERGENCY} Same-day hospital assessment; nothing else is done today.`,
		sources: ['girft-2023', 'ifompt-2020']
	},
	{
		id: 'unwell-with-spine-pain',
		urgency: 'emergency',
		name: 'unwell with fever and back pain',
		ask: 'Back or joint pain together with fever, shivering or feeling ill, or after a recent infection, injection, or with weak defences?',
		action: `${EMERGENCY} Infection has to be ruled out by a doctor today.`,
		sources: ['ifompt-2020']
	},
	{
		id: 'hot-swollen-joint',
		urgency: 'emergency',
		name: 'hot, swollen, very painful joint',
		ask: 'One joint hot, swollen and so painful that it can hardly be moved or stood on, with or without fever?',
		action: `${EMERGENCY} The joint is seen by a doctor today.`,
		sources: ['margaretten-2007']
	},
	{
		id: 'hip-pain-after-fall',
		urgency: 'emergency',
		name: 'hip or groin pain after a fall',
		ask: 'A fall, and since then hip or groin pain, a leg that cannot take weight, or one that looks shorter or turned out?',
		action: `${EMERGENCY} Imaging before any weight is put on that leg.`,
		sources: ['red-flags-common']
	},
	{
		id: 'tense-or-cold-limb',
		urgency: 'emergency',
		name: 'tense or cold limb',
		ask: 'A lower leg that is tight, hard and far more painful than expected, or a foot that is cold, pale or without pulse?',
		action: `${EMERGENCY} Minutes matter.`,
		sources: ['red-flags-common']
	},
	{
		id: 'pulsing-belly',
		urgency: 'emergency',
		name: 'pulsing in the belly with back pain',
		ask: 'A pulsing swelling in the belly together with back pain?',
		action: `${EMERGENCY} Keep the client lying still.`,
		sources: ['red-flags-common']
	},
	{
		id: 'chest-pain-or-fainting',
		urgency: 'emergency',
		name: 'chest pain, fainting or breathlessness',
		ask: 'Chest pain or pressure, fainting, unusual breathlessness or a racing, irregular heart, at rest or with effort?',
		action: `${EMERGENCY} No exercise until a doctor has cleared it.`,
		sources: ['acsm-2015']
	},
	{
		id: 'breathless-or-blood',
		urgency: 'emergency',
		name: 'sudden breathlessness or coughing blood',
		ask: 'Sudden breathlessness, sharp pain on breathing in, or coughing blood?',
		action: `${EMERGENCY} Do not move the leg about.`,
		sources: ['nice-ng158']
	},
	{
		id: 'pregnancy-stop-sign',
		urgency: 'emergency',
		name: 'pregnancy stop sign',
		ask: 'If pregnant: bleeding, fluid loss, contractions, breathless before effort, chest pain, or a painful swollen calf?',
		action: 'Stop now and contact the maternity unit at once.',
		sources: ['acog-categories']
	},
	{
		id: 'calf-swelling',
		urgency: 'urgent',
		name: 'swollen or tender calf',
		ask: 'One calf or whole leg newly swollen, tender or warm, more so after an operation, long rest or a journey?',
		action: 'No exercise. Same-day medical assessment, however well the leg works.',
		sources: ['nice-ng158']
	},
	{
		id: 'weakness-worsening',
		urgency: 'urgent',
		name: 'weakness getting worse',
		ask: 'A foot that drops, a leg that has become weaker in the last days or weeks, or a new clumsiness of walking or hands? Since when, and how fast?',
		action: 'No exercise. Same-day medical assessment.',
		sources: ['nice-ng59']
	},
	{
		id: 'spine-after-injury',
		urgency: 'urgent',
		name: 'spine pain after injury or with fragile bones',
		ask: 'Sudden spine pain after a knock or fall, or without one from 65 on, or after long use of steroid medicine?',
		action: 'No exercise for the spine or under load. Imaging is asked for before going on.',
		sources: ['henschke-2009', 'downie-2013']
	},
	{
		id: 'past-cancer',
		urgency: 'urgent',
		name: 'past cancer with new pain',
		ask: 'Cancer now or in the past, and this pain is new or different?',
		action: 'Medical assessment first, within days.',
		sources: ['henschke-2013']
	},
	{
		id: 'night-pain',
		urgency: 'urgent',
		name: 'night pain',
		ask: 'Pain at night that no position eases, unexplained weight loss, or after 50 a pain that gets steadily worse, also at night, and is unlike the arthritis that is known?',
		action: 'Medical assessment first, within days.',
		sources: ['downie-2013']
	},
	{
		id: 'locked-knee',
		urgency: 'urgent',
		name: 'knee that will not straighten',
		ask: 'A knee blocked from straightening since a twist?',
		action: 'Urgent orthopaedic assessment; no loading of that knee.',
		sources: ['red-flags-common']
	},
	{
		id: 'knee-swelled-within-hours',
		urgency: 'urgent',
		name: 'knee swollen within hours of an injury',
		ask: 'A knee that swelled within about two hours of an injury, or a leg that can no longer be lifted straight?',
		action: 'Urgent orthopaedic assessment; no loading of that knee.',
		sources: ['red-flags-common']
	},
	{
		id: 'groin-pain-on-loading',
		urgency: 'urgent',
		name: 'groin pain on loading',
		ask: 'Deep groin pain on running, hopping or standing on that leg, in much training or with little food?',
		action: 'Stop impact and loading of that leg; urgent imaging.',
		sources: ['red-flags-common']
	},
	{
		id: 'groin-pain-at-risk',
		urgency: 'urgent',
		name: 'groin pain with a risk to the hip',
		ask: 'Groin pain and a stiff hip after long steroid use, heavy drinking, sickle cell, lupus, diving, or an old hip fracture?',
		action: 'Medical assessment first; no impact.',
		sources: ['red-flags-common']
	},
	{
		id: 'thigh-ache-bone-medicine',
		urgency: 'urgent',
		name: 'thigh ache on bone medicine',
		ask: 'An ache in the thigh while taking medicine for weak bones?',
		action: 'Urgent X-ray of the whole thigh before loading.',
		sources: ['asbmr-2014']
	},
	{
		id: 'wound-after-operation',
		urgency: 'urgent',
		name: 'wound after an operation',
		ask: 'A wound of an operation that is red, hot, leaking or opening?',
		action: 'No exercise for that limb. The operating team today.',
		sources: ['red-flags-common']
	},
	{
		id: 'inactive-with-known-disease',
		urgency: 'caution',
		name: 'inactive with a known heart, metabolic or kidney condition',
		ask: 'A known heart, diabetes or kidney condition, and not used to regular exercise?',
		action: 'Medical clearance first; then begin lightly.',
		review: true,
		sources: ['acsm-2015']
	},
	{
		id: 'recent-surgery',
		urgency: 'caution',
		name: 'operation',
		ask: 'An operation on spine, hip, knee, ankle or foot in the last year, or one whose limits still hold?',
		action: 'Ask for the surgeon’s or local protocol and enter its limits; none are assumed.',
		asksProtocol: true,
		sources: ['local-protocol']
	},
	{
		id: 'weight-bearing-restricted',
		urgency: 'caution',
		name: 'weight-bearing restricted',
		ask: 'Told to put no weight, or only part of it, on a leg?',
		action: 'Only steps without weight on that leg; enter the protocol that says how much and until when.',
		noWeight: true,
		sided: true,
		sources: ['local-protocol']
	},
	{
		id: 'hip-precautions',
		urgency: 'caution',
		name: 'hip precautions',
		ask: 'Told not to bend, cross or turn a hip beyond a certain point?',
		action:
			'Nothing past the midline or at end rotation; enter the limit of bending as the protocol gives it.',
		withhold: ['adduction-past-midline', 'end-range-rotation'],
		sources: ['local-protocol', 'barnsley-2015']
	},
	{
		id: 'pelvic-floor',
		urgency: 'caution',
		name: 'pelvic-floor symptoms',
		ask: 'Leaking, heaviness or a bulge, or pelvic pain with effort? (asked of everyone)',
		action: 'Impact is withheld until seen; offer a pelvic-health review. The rest of the plan goes on.',
		withhold: ['impact'],
		cap: {
			tags: ['breath-holding', 'trunk-strain'],
			cue: 'No heavier than today; breathe out on the effort.'
		},
		sources: ['goom-2019']
	},
	{
		id: 'osteoporosis',
		urgency: 'caution',
		name: 'fragile bones',
		ask: 'Told of weak bones, or a bone broken by a small knock?',
		action:
			'No loaded bending or twisting of the spine; balance work is included. Guidance differs in how strict to be.',
		withhold: ['loaded-spine-bending', 'spine-end-bend', 'loaded-twist', 'high-impact'],
		support: { tags: ['unsteady'], cue: 'One hand on something firm.' },
		sources: ['sinaki-1984', 'giangregorio-2014']
	},
	{
		id: 'pregnancy',
		urgency: 'caution',
		name: 'pregnancy or recent birth',
		ask: 'Pregnant now, or gave birth in the last twelve weeks?',
		action: 'No impact, no breath-holding, no long lying on the front; stop signs are gone through.',
		withhold: ['prone', 'impact', 'trunk-strain'],
		cap: {
			tags: ['breath-holding', 'supine'],
			cue: 'No heavier than today; breathe out on the effort. On the back: propped, three minutes.'
		},
		sources: ['goom-2019', 'acog-categories']
	},
	{
		id: 'toes-do-not-bend',
		urgency: 'caution',
		name: 'toes that do not bend',
		ask: 'A big toe fused, stiff or too sore to bend back, or an operation on the foot?',
		action: 'Steps that bend the toes are withheld; sideways steps serve the same purpose.',
		withhold: ['toes-bent'],
		sources: ['common-practice']
	},
	{
		id: 'outer-hip-tendon',
		urgency: 'caution',
		name: 'sore outer hip',
		ask: 'The outer side of a hip is sore to lie on or when the leg crosses over?',
		action: 'Not lying on it, no crossing past the midline; one-leg work goes on, supported.',
		withhold: ['adduction-past-midline', 'side-lying'],
		sided: true,
		support: { tags: ['narrow-base', 'one-leg'], cue: 'A hand on something firm, pelvis level.' },
		sources: ['common-practice']
	},
	{
		id: 'high-blood-pressure',
		urgency: 'caution',
		name: 'high blood pressure',
		ask: 'Blood pressure that is high in spite of treatment?',
		action:
			'No breath-holding, long holds or head-down work while it is uncontrolled. Heavy work waits above 180/110; tests wait above 200/110.',
		withhold: ['breath-holding', 'long-hold', 'head-low'],
		sources: ['acsm-2015']
	},
	{
		id: 'loose-joints',
		urgency: 'caution',
		name: 'loose joints',
		ask: 'Joints that bend further than other people’s, that slip or have slipped out?',
		action: 'Mid-range, slow; nothing to the end of range and no locking out.',
		cap: {
			tags: ['end-stretch', 'locks-out'],
			cue: 'Mid-range, slow; stop short of straight and of the end.'
		},
		sources: ['common-practice']
	},
	{
		id: 'joint-replaced',
		urgency: 'caution',
		name: 'replaced joint',
		ask: 'A hip, knee or ankle joint that was replaced?',
		action:
			'Impact by clearance; kneeling is asked about. Limits that still hold are entered as its protocol gives them.',
		withholdUntil: { tags: ['high-impact'], clearance: 'impact' },
		sources: ['local-protocol', 'common-practice']
	},
	{
		id: 'fell-this-year',
		urgency: 'caution',
		name: 'a fall in the last year',
		ask: 'Fallen in the last twelve months, or afraid of falling?',
		action: 'A firm support in reach at every step; the balance tests are done.',
		support: {
			tags: ['unsteady', 'floor-transfer'],
			cue: 'One hand on something firm; getting to the floor is taught in person first.'
		},
		sources: ['cdc-steadi']
	},
	{
		id: 'long-morning-stiffness',
		urgency: 'caution',
		name: 'long morning stiffness',
		ask: 'Stiff for more than half an hour in the morning, better with movement, worse at rest or in the second half of the night?',
		action: 'Offer a medical review for an inflammatory cause; training goes on.',
		sources: ['nice-ng226', 'rudwaleit-2006']
	}
];

export const SCREENING_VERSION = '3';

export const screenCategory = (id: string): ScreenCategory | undefined => SCREENING.find((c) => c.id === id);
