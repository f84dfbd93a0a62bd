/** How an exercise is done besides sets and repetitions, in words: what was prescribed, and what was noted of it in its sessions. */
import type { Particulars } from '#lib/core/dose/particulars.ts';
import { tighterOf } from '#lib/core/session/stretch.ts';
import { howIn } from '#lib/wording/mine/how.ts';
import type { Language } from '#lib/wording/mine/names.ts';
import { logsOf } from '../record/found-once.ts';
import type { ClientRecord } from '../record/load.ts';

export const howOf = (
	r: ClientRecord,
	exerciseId: string,
	particulars: Particulars,
	language: Language = 'en'
): readonly string[] => howIn(language, particulars, tighterOf(logsOf(r, exerciseId).map((l) => l.session)));
