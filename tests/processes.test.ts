/** A server of several processes: one port, one that sends reminders, one that is killed begun again, one that cannot begin the end of all, and all ended together. */
import { spawn, type ChildProcess } from 'node:child_process';
import { appendFileSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { remindsHere } from '#lib/server/jobs/reminders.ts';
import { processesHere, serverCommand } from '../scripts/serve.mjs';

/** Stands where the built server stands: says who it is to whoever asks, and ends as that one does. */
const SERVER = `
import { appendFileSync } from 'node:fs';
import { createServer } from 'node:http';
appendFileSync(process.env.SEEN, process.pid + ' ' + process.env.BOLSTER_REMINDERS + '\\n');
if (process.env.BROKEN === process.env.BOLSTER_REMINDERS) process.exit(3);
const server = createServer((_, to) => to.end(String(process.pid)));
server.listen(0, '127.0.0.1', () => appendFileSync(process.env.SEEN, 'at ' + server.address().port + '\\n'));
process.on('SIGTERM', () => server.close(() => process.disconnect()));
`;

let home: string;
let child: ChildProcess | undefined;
const seen = (): string[] => readFileSync(join(home, 'seen'), 'utf8').split('\n').filter(Boolean);
const begun = (): [string, string][] =>
	seen()
		.filter((l) => !l.startsWith('at'))
		.map((l) => l.split(' ') as [string, string]);

beforeEach(() => {
	home = mkdtempSync(join(tmpdir(), 'bolster-processes-'));
	writeFileSync(join(home, 'server.mjs'), SERVER);
	appendFileSync(join(home, 'seen'), '');
});
afterEach(() => {
	child?.kill('SIGKILL');
	rmSync(home, { recursive: true, force: true });
});

function start(many: string, more: Record<string, string> = {}): Promise<number | null> {
	const started = spawn(process.execPath, ['scripts/server.mjs', join(home, 'server.mjs')], {
		env: { ...process.env, BOLSTER_PROCESSES: many, SEEN: join(home, 'seen'), ...more },
		stdio: 'ignore'
	});
	child = started;
	return new Promise((done) => started.on('exit', done));
}
const until = (what: () => boolean): Promise<void> =>
	vi.waitFor(() => expect(what()).toBe(true), { timeout: 30_000, interval: 50 });
const listening = (n: number) => until(() => seen().filter((l) => l.startsWith('at')).length >= n);

it('is as many as it is told, on one port; the first alone sends reminders; all end together', async () => {
	const ended = start('2');
	await listening(2);
	expect(
		begun()
			.map(([, reminds]) => reminds)
			.toSorted()
	).toEqual(['0', '1']);
	const ports = new Set(seen().filter((l) => l.startsWith('at')));
	expect(ports.size).toBe(1);
	const port = [...ports][0]!.slice(3);
	const answered = new Set<string>();
	await until(() => {
		void fetch(`http://127.0.0.1:${port}/`, { headers: { connection: 'close' } })
			.then((r) => r.text())
			.then((pid) => answered.add(pid));
		return answered.size === 2;
	});
	child!.kill('SIGTERM');
	expect(await ended).toBe(0);
	for (const [pid] of begun()) expect(() => process.kill(Number(pid), 0)).toThrow('ESRCH');
});

it('begins one again that was killed, in its own part', async () => {
	const ended = start('2');
	await listening(2);
	const [first] = begun().find(([, reminds]) => reminds === '1')!;
	process.kill(Number(first), 'SIGKILL');
	await listening(3);
	expect(begun().at(-1)![1]).toBe('1');
	child!.kill('SIGTERM');
	expect(await ended).toBe(0);
});

it('ends them all, as it ended, where one cannot begin', async () => {
	expect(await start('2', { BROKEN: '0' })).toBe(3);
});

it('takes a number of processes and nothing else', async () => {
	expect(await start('none')).toBe(1);
	expect(processesHere('3')).toBe(3);
	expect(processesHere('9', 2)).toBe(9);
	for (const odd of ['0', '-2', '1.5', 'x', '']) expect(processesHere(odd, 3)).toBe(3);
	// One for each processor, four at most.
	expect([1, 2, 4, 5, 64].map((n) => processesHere('', n))).toEqual([1, 2, 4, 4, 4]);
	expect([undefined, '1', '0'].map((said) => remindsHere(said))).toEqual([true, true, false]);
	// One needs nobody above it.
	expect(serverCommand(1)).toHaveLength(1);
	expect(serverCommand(2)[0]).toMatch(/server\.mjs$/);
});
