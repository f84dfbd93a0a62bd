/** Answers a whole input text: one JSON object, or one a line. Each line answers for itself; the exit code says if all were good. */
import { firstIssue } from '#lib/contract/basics.ts';
import { Refused, type CliError } from './refused.ts';
import { rounded, TOPICS } from './topics.ts';

export interface Answered {
	readonly lines: readonly string[];
	readonly exit: 0 | 1;
}

export function answer(topic: string, text: string): Answered {
	const lines = inputsOf(text).map((line) => answerLine(topic, line));
	return { lines: lines.map((l) => JSON.stringify(l)), exit: lines.some(isError) ? 1 : 0 };
}

const isError = (v: unknown): boolean => typeof v === 'object' && v !== null && 'error' in v;

/** The whole text when it is one JSON value, else its non-empty lines. */
function inputsOf(text: string): readonly string[] {
	const whole = text.trim();
	if (whole === '') return ['{}'];
	try {
		JSON.parse(whole);
		return [whole];
	} catch {
		return whole.split('\n').filter((l) => l.trim() !== '');
	}
}

function answerLine(topic: string, line: string): unknown {
	const fail = (error: CliError): unknown => ({ error });
	const known = TOPICS[topic];
	if (known === undefined)
		return fail({ code: 'unknown-topic', path: '', message: `Topics: ${Object.keys(TOPICS).join(', ')}.` });
	let value: unknown;
	try {
		value = JSON.parse(line);
	} catch {
		return fail({ code: 'not-json', path: '', message: 'This line is not JSON.' });
	}
	const parsed = known.schema.safeParse(value);
	if (!parsed.success) return fail(firstIssue(parsed.error));
	try {
		return rounded(known.answer(parsed.data as never));
	} catch (e) {
		if (e instanceof Refused) return fail(e.error);
		throw e;
	}
}
