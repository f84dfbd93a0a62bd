/** `npm run -s bolster -- TOPIC`: JSON in, JSON out; no database. See docs/cli.md. */
import { z } from 'zod';
import { answer } from './answer.ts';
import { TOPICS } from './topics.ts';

const [topic, argument] = process.argv.slice(2);
const topics = [...Object.keys(TOPICS), 'schema TOPIC'].join(', ');

/** All of standard input, however slowly or in however many pieces it comes. */
async function whole(input: NodeJS.ReadableStream): Promise<string> {
	const pieces: Buffer[] = [];
	for await (const piece of input) pieces.push(Buffer.from(piece));
	return Buffer.concat(pieces).toString('utf8');
}

function usage(): never {
	process.stderr.write(`Topics: ${topics}\n`);
	process.exit(2);
}

if (topic === 'schema') {
	const known = argument === undefined ? undefined : TOPICS[argument];
	if (known === undefined) usage();
	process.stdout.write(
		`${JSON.stringify(z.toJSONSchema(known.schema, { io: 'input', unrepresentable: 'any' }), null, 2)}\n`
	);
} else if (topic === undefined || TOPICS[topic] === undefined) {
	usage();
} else {
	const text = process.stdin.isTTY ? '' : await whole(process.stdin);
	const { lines, exit } = answer(topic, text);
	process.stdout.write(`${lines.join('\n')}\n`);
	process.exitCode = exit;
}
