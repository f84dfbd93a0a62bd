/**
 * Intake: consent, what hurts and where, goals, function tests, totals of questionnaires, the arrival card; how a flag was closed; a
 * client's units, language, home kit and time. Lengths in mm, readings in hundredths of their unit.
 */
import { createTable, type Table } from './table.ts';

const CLIENT = 'foreign key (practice_id, client_id) references client (practice_id, id)';

export const TABLES: readonly Table[] = [
	{
		name: 'consent',
		appended: true,
		columns: `client_id uuid not null, purpose text not null, given boolean not null, local_day date not null`,
		keys: CLIENT
	},
	{
		name: 'complaint',
		appended: true,
		columns: `client_id uuid not null, region text not null, spot text not null, local_day date not null, usual_morning smallint not null, worst smallint not null, easing text, stiffness_min smallint,
			pain_at text, loaded text not null check (loaded in ('yes','no','unknown')), position text`,
		keys: CLIENT
	},
	{
		name: 'goal',
		appended: true,
		columns: `client_id uuid not null, activity text not null, label text not null, local_day date not null, score smallint not null, confidence smallint, side text, point jsonb`,
		keys: CLIENT
	},
	{
		name: 'test_result',
		appended: true,
		columns: `client_id uuid not null, test text not null, side text, value_hundredths int not null, extras jsonb not null, method text not null, local_day date not null`,
		keys: CLIENT
	},
	{
		name: 'questionnaire_total',
		appended: true,
		columns: `client_id uuid not null, instrument text not null, version text not null, total_hundredths int not null, local_day date not null`,
		keys: CLIENT
	},
	{
		name: 'arrival',
		appended: true,
		columns: `client_id uuid not null, local_day date not null, pains jsonb not null, fever text not null, fall text not null, new_swelling text not null, answer text not null`,
		keys: CLIENT
	}
];

export const name = '0002-intake';

export const up = [
	`alter table person add column sex text check (sex in ('female','male'));
alter table client_setting add column units text not null default 'metric', add column language text not null default 'en', add column home_kit jsonb not null default '[]',
	add column days jsonb not null default '[]', add column minutes smallint, add column trunk_mm int, add column foot_mm int, add column shoe_heel_mm int;
alter table screening add column version text;
alter table flag drop constraint flag_severity_check;
alter table flag add constraint flag_severity_check check (severity in ('red','review','caution')), add column urgency text check (urgency in ('emergency','urgent','caution'));
alter table flag_closing add column closed_by text not null default 'licensed' check (closed_by in ('licensed','external')), add column cleared_by text, add column cleared_on date, add column document text,
	add constraint external_is_named check (closed_by = 'licensed' or (cleared_by is not null and cleared_on is not null and document is not null));`,
	...TABLES.map(createTable),
	`${TABLES.map((t) => `create index on ${t.name} (practice_id, client_id, local_day)`).join(';\n')};`
].join('\n');
