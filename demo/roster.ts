/**
 * The rest of a practice's list: made-up clients of the last weeks, each made from one of those that are told at length, with another name, body and
 * ending. Five of them have two sore places and four to seven exercises. Only the demo one looks at has them; tests and flows do without.
 */
import { hash32, seeded } from '#lib/core/base/random.ts';
import type { DemoClient, Ending } from './client.ts';
import { CLIENTS } from './people.ts';

/** Days back that their weeks begin. */
export const ROSTER_DAYS = 24;

type Row = readonly [
	name: string,
	born: string,
	sex: 'female' | 'male',
	occupation: string,
	like: string,
	ending: Ending,
	exercises?: number
];

const ROWS: readonly Row[] = [
	['Ambrose Tealby', '1958-02-11', 'male', 'net mender', 'wren', 'advance'],
	['Briony Saltash', '1984-07-30', 'female', 'dinghy coach', 'tamsin', 'hold-up'],
	['Caspian Orley', '1971-12-05', 'male', 'crane driver', 'nerys', 'advance', 4],
	['Delphine Arkwright', '1990-04-18', 'female', 'sail cutter', 'odile', 'wait-morning'],
	['Edmund Fennimore', '1949-10-02', 'male', 'retired pilot', 'bertil', 'hold-up'],
	['Ffion Overbury', '1977-01-23', 'female', 'lock keeper', 'nerys', 'hold-up', 5],
	['Gideon Larkspur', '1966-06-09', 'male', 'boat builder', 'fergal', 'regress-pain'],
	['Hester Quillfeather', '1955-03-27', 'female', 'harbour clerk', 'wren', 'hold-up'],
	['Ivo Pennington-Reed', '1988-09-15', 'male', 'rower', 'odile', 'advance'],
	['Juniper Stallard', '1979-11-08', 'female', 'ferry steward', 'nerys', 'wait-morning', 6],
	['Kit Dunmallow', '1993-05-21', 'male', 'diver', 'tamsin', 'advance'],
	['Leonie Brackwater', '1962-08-14', 'female', 'ship’s cook', 'wren', 'flare'],
	['Magnus Thistlewood', '1969-02-28', 'male', 'rigger', 'nerys', 'advance', 7],
	['Noor Castellane', '1986-10-19', 'female', 'chart maker', 'odile', 'hold-up'],
	['Oswin Barleymow', '1953-12-12', 'male', 'lighthouse volunteer', 'fergal', 'advance'],
	['Perpetua Vane', '1974-04-03', 'female', 'chandler', 'nerys', 'regress-pain', 5],
	['Quentin Roebuck', '1981-06-25', 'male', 'deckhand', 'wren', 'wait-morning'],
	['Rosalind Tidmarsh', '1960-01-17', 'female', 'baker on the quay', 'tamsin', 'hold-up'],
	['Silas Wetherby', '1947-07-07', 'male', 'retired smith', 'bertil', 'advance'],
	['Thea Ravensworth', '1991-03-11', 'female', 'kayak guide', 'odile', 'regress-pain'],
	['Ulric Fernsby', '1972-09-29', 'male', 'dredger engineer', 'wren', 'silent']
];

const random = seeded(hash32('tidewater roster'));
const about = (middle: number, spread: number): number => Math.round(middle + (random() - 0.5) * 2 * spread);

function madeLike([name, born, sex, occupation, like, ending, exercises]: Row): DemoClient {
	const model = CLIENTS.find((c) => c.key === like) as DemoClient;
	const {
		stories: _s,
		repeated: _r,
		backRanges: _b,
		letter: _l,
		notes: _n,
		contacts: _c,
		limit: _p,
		shankCm: _sh,
		thighCm: _th,
		...base
	} = model;
	return {
		...base,
		key: name.split(' ')[0]?.toLowerCase() ?? name,
		name,
		born,
		sex,
		occupation,
		heightCm: about(sex === 'female' ? 166 : 178, 7),
		massKg: about(sex === 'female' ? 68 : 80, 10),
		goals: model.goals.map((g) => ({ ...g, label: 'The stairs at home without a pause' })),
		goal: 'The stairs at home',
		ending,
		...(exercises === undefined ? {} : { also: (model.also ?? []).slice(-(exercises - 1)) })
	};
}

export const ROSTER: readonly DemoClient[] = ROWS.map(madeLike);
