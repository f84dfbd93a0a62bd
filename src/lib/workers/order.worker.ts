/** The order of days that are too much to be searched while somebody waits: away from the page, told how far it is. A thin shell over the core. */
import { SEARCHED_ASIDE, sessionOrder, type OrderSchool } from '../core/plan/session-order.ts';
import type { Work } from '../core/plan/work.ts';

export interface OrderQuestion {
	readonly days: readonly { readonly weekday: number; readonly work: readonly Work[] }[];
	readonly school: OrderSchool;
	readonly inTurn: boolean;
}

export type OrderAnswer =
	| { readonly kind: 'progress'; readonly share: number }
	| {
			readonly kind: 'done';
			readonly days: readonly {
				readonly weekday: number;
				readonly turns: readonly (readonly string[])[];
				readonly exact: boolean;
			}[];
	  };

const say = (answer: OrderAnswer): void => self.postMessage(answer);

self.onmessage = ({ data: { days, school, inTurn } }: MessageEvent<OrderQuestion>) =>
	say({
		kind: 'done',
		days: days.map(({ weekday, work }, at) => {
			const progress = (share: number): void => say({ kind: 'progress', share: (at + share) / days.length });
			const { turns, exact } = sessionOrder(work, school, inTurn, { searched: SEARCHED_ASIDE, progress });
			return { weekday, turns: turns.map((t) => t.map((w) => w.id)), exact };
		})
	});
