/**
 * No request of any shape is answered with a fault of ours: every form of every page is sent with one or two of its fields turned into what no
 * hand types (fixed seed), every address with parameters nobody gave, and bodies that are no form.
 */
import { expect, test, type Page } from '@playwright/test';
import { seeded } from '#lib/core/base/random.ts';
import { openClient, signIn, visit } from './people.ts';

const NASTY = [
	'',
	' ',
	'0',
	'-0',
	'-5',
	'12.5',
	'1e9',
	'1e-9',
	'0x10',
	'NaN',
	'Infinity',
	'９',
	'−5',
	'1,5',
	'999999999999',
	'0000-01-01',
	'9999-12-31',
	'12026-01-01',
	'2026-02-30',
	'2026-13-01',
	'1899-12-31',
	'__proto__',
	'constructor',
	'toString',
	'nope',
	'x'.repeat(5000),
	'a\u0000b',
	'\ud800',
	'👩‍⚕️',
	"'; drop table client; --",
	'{"a":1}',
	'[]',
	'null',
	'true',
	'<b>',
	'../../x',
	'00000000-0000-0000-0000-000000000000',
	'019b3154-ce00-71c2-83ab-75d79c0044c3',
	'on',
	'off',
	'left',
	'yes'
] as const;
const PAGES = [
	'screen',
	'ask',
	'measure',
	'envelope',
	'plan',
	'ladders',
	'ladder',
	'arrive',
	'session',
	'log',
	'morning',
	'decide',
	'trend',
	'record'
] as const;
/** Requests a form, two thousand in all; `npm run fuzz` sends about ten thousand. */
const EACH = Number(process.env.FUZZ_EACH ?? 32);

/** What somebody might type where a number or words alone are no answer, by page and field. */
const LIKELY = [
	['#born$', '1980-04-04'],
	['#expires$', '2026-04-01'],
	['#minutes$', '30'],
	['#steps$', '15, 17'],
	['/new#heightCm$', '171'],
	['/new#massKg$', '70'],
	['#(shank|thigh|height)Cm$', '43'],
	['#trunkCm$', '55'],
	['#footCm$', '26'],
	['#systolic$', '124'],
	['#diastolic$', '78'],
	['#phone$', '+44 20 7946 0000'],
	['#tempo$', '3-1-2-0'],
	['#workSec$', '30'],
	['#effortPct$', '70'],
	['#hipExtension.+(onset|tolerable|end)$', '+5'],
	['#elseWhere$', ''],
	['/decide#answer$', 'overridden'],
	['effort$', '5']
] as const;

interface Found {
	readonly action: string;
	/** As it stands on the page, and filled with something likely. */
	readonly fields: readonly (readonly [name: string, stands: string, likely: string])[];
}

/** The forms of the page that stands open. */
const formsOf = (page: Page): Promise<readonly Found[]> =>
	page.evaluate((named) => {
		const known = (name: string): string | undefined =>
			named.find(([at]) => new RegExp(at).test(`${location.pathname}#${name}`))?.[1];
		const likely = (e: Element): string => {
			const i = e as HTMLInputElement;
			if (i.value === '' && known(i.name) !== undefined) return known(i.name) ?? '';
			if (i.tagName === 'SELECT')
				return i.value !== ''
					? i.value
					: ([...(e as HTMLSelectElement).options].find((o) => o.value !== '')?.value ?? '');
			if (i.value !== '' || i.type === 'hidden') return i.value;
			if (i.type === 'date') return '2026-03-10';
			if (i.type === 'number' || i.inputMode === 'numeric' || i.inputMode === 'decimal')
				return i.min !== '' && i.max !== '' ? String(Math.round((Number(i.min) + Number(i.max)) / 2)) : '3';
			return 'as told by them';
		};
		return [...document.querySelectorAll('form')]
			.filter((f) => f.method === 'post' && !f.action.includes('sign-out'))
			.map((f) => {
				const fields = new Map<string, [string, string]>();
				for (const e of [...f.elements] as HTMLInputElement[]) {
					if (
						e.name === '' ||
						e.type === 'submit' ||
						e.type === 'file' ||
						(e.type === 'checkbox' && !e.checked)
					)
						continue;
					if (e.type === 'radio')
						fields.set(e.name, [
							e.checked ? e.value : (fields.get(e.name)?.[0] ?? ''),
							fields.get(e.name)?.[1] ?? known(e.name) ?? e.value
						]);
					else fields.set(e.name, [e.value, likely(e)]);
				}
				return {
					action: new URL(f.action).pathname + new URL(f.action).search,
					fields: [...fields].map(([k, [a, b]]) => [k, a, b] as const)
				};
			});
	}, LIKELY);

/** The status that stands in the answer of an action, or of the response itself. */
async function statusOf(page: Page, path: string, body: string, type: string): Promise<number> {
	const r = await page.request.post(path, {
		headers: {
			origin: new URL(page.url()).origin,
			'x-sveltekit-action': 'true',
			accept: 'application/json',
			'content-type': type
		},
		data: Buffer.from(body, 'utf8'),
		maxRedirects: 0
	});
	const text = await r.text();
	const inside = /^\{"type":"(?:error|failure)","status":(\d+)/.exec(text);
	return Math.max(r.status(), inside === null ? 0 : Number(inside[1]));
}

const FORM = 'application/x-www-form-urlencoded';

/** What no hand types may give a client another name: who it is stays. */
let bertil = '';

test('every form of a client, with fields that no hand types', async ({ page }) => {
	await signIn(page);
	const id = (bertil = await openClient(page, 'Bertil', 'screen'));
	const random = seeded(20260312);
	const pick = <T>(of: readonly T[]): T => of[Math.floor(random() * of.length)] as T;
	const faults: string[] = [];
	const answers = new Map<number, number>();
	let sent = 0;
	test.setTimeout(60_000 + 4000 * EACH);
	for (const at of ['/clients/new', '/library/own', ...PAGES.map((p) => `/clients/${id}/${p}`)]) {
		await visit(page, at);
		for (const f of await formsOf(page)) {
			if (f.fields.length === 0) continue;
			for (let i = 0; i < EACH; i++) {
				const turned = new Map<string, string>();
				const first = f.fields[i % f.fields.length]?.[0] ?? '';
				// Every other one is filled as somebody might, so that what stands behind the form is reached too.
				const plausible = i % 2 === 0;
				if (!plausible && random() < 0.85) turned.set(first, pick(NASTY));
				const share = plausible ? 1 : random();
				if (!plausible && random() < 0.4) turned.set(pick(f.fields)[0], pick(NASTY));
				const body = new URLSearchParams(
					f.fields.map(
						([k, stands, likely]) =>
							[
								k,
								turned.get(k) ??
									(k === 'id' || (k.endsWith('Id') && random() < 0.1)
										? crypto.randomUUID()
										: random() < share
											? likely
											: stands)
							] as [string, string]
					)
				);
				sent++;
				const status = await statusOf(page, f.action, body.toString(), FORM);
				answers.set(status, (answers.get(status) ?? 0) + 1);
				if (status >= 500) faults.push(`${status} ${f.action} ${JSON.stringify([...turned]).slice(0, 200)}`);
			}
		}
	}
	expect(sent).toBeGreaterThan(500);
	// Some get through and some are refused, or the check would reach nothing.
	console.log(`forms of any shape: ${sent} sent, answered ${JSON.stringify(Object.fromEntries(answers))}`);
	const told = (...codes: number[]): number => codes.reduce((n, c) => n + (answers.get(c) ?? 0), 0);
	const past = 1 - told(303, 401, 400) / sent;
	console.log(`past what a field may be ${past.toFixed(2)}`);
	// Half of them ask a command, which takes some and refuses others; the rest stop at the form.
	expect(past).toBeGreaterThan(0.5);
	expect(told(200)).toBeGreaterThan(30);
	expect(told(400)).toBeGreaterThan(200);
	expect(told(422, 409, 403)).toBeGreaterThan(100);
	expect(faults.slice(0, 20)).toEqual([]);
});

test('bodies that are no form, and addresses with parameters nobody gave', async ({ page }) => {
	await signIn(page);
	const id = bertil === '' ? await openClient(page, 'Bertil', 'screen') : bertil;
	const faults: string[] = [];
	for (const at of ['/clients/new', ...PAGES.map((p) => `/clients/${id}/${p}`)])
		for (const [body, type] of [
			['--x\r\nbroken', 'multipart/form-data; boundary=x'],
			['', 'multipart/form-data'],
			['a=%zz&=&&b', FORM],
			['{"a":', 'application/json'],
			['', FORM]
		] as const) {
			const status = await statusOf(page, at, body, type);
			if (status >= 500) faults.push(`${status} ${at} ${type}`);
		}
	const values = NASTY.filter((v) => v.length < 100 && v !== '\ud800');
	const TOGETHER = 3;
	const params = [
		'exercise',
		'family',
		'step',
		'axis',
		'side',
		'to',
		'place',
		'from',
		'without',
		'q',
		'kept'
	];
	for (const at of [
		'/',
		'/library',
		'/library/own',
		'/sources',
		'/sign-in',
		'/clients/new',
		...PAGES.map((p) => `/clients/${id}/${p}`)
	])
		// Every value meets every page, each request three of them, shifted along the parameters.
		for (let i = 0; i < values.length; i += TOGETHER) {
			const given = values.slice(i, i + TOGETHER);
			const query = new URLSearchParams(params.map((p, k) => [p, given[(k + i) % given.length] as string]));
			const r = await page.request.get(`${at}?${query}`, { maxRedirects: 0 });
			if (r.status() >= 500) faults.push(`${r.status()} ${at} ${given.join(' ')}`);
		}
	for (const bad of [
		'nope',
		'__proto__',
		'%00',
		'%ff',
		'00000000-0000-0000-0000-000000000000',
		'x'.repeat(3000)
	])
		for (const p of PAGES) {
			const r = await page.request.get(`/clients/${bad}/${p}`, { maxRedirects: 0 });
			if (r.status() >= 500) faults.push(`${r.status()} ${bad.slice(0, 40)} ${p}`);
		}
	expect(faults.slice(0, 20)).toEqual([]);
});
