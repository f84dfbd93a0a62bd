/**
 * The server in as many processes as BOLSTER_PROCESSES says (`node scripts/server.mjs build/index.js`): while one draws a page another answers. What a process
 * keeps in its memory it asks the database about before it believes it, so they need nothing of each other; the first alone sends reminders. One that a
 * fault ended is started again; one that cannot begin at all ends them all.
 */
import cluster from 'node:cluster';

/** Ended so soon it never served: no secret, too powerful a role, a port that is taken. */
const NEVER_SERVED_MS = 5000;
const AGAIN_MS = 1000;

const [file] = process.argv.slice(2);
const many = Number(process.env.BOLSTER_PROCESSES);
if (file === undefined || !(many >= 1)) {
	console.error('BOLSTER_PROCESSES=N node scripts/server.mjs FILE');
	process.exit(1);
}
cluster.setupPrimary({ exec: file, args: [] });
let stopping = false;
let code = 0;

function stop(signal) {
	stopping = true;
	for (const worker of Object.values(cluster.workers)) worker.process.kill(signal);
}

function begin(first) {
	const worker = cluster.fork({ BOLSTER_REMINDERS: first ? '1' : '0' });
	const began = Date.now();
	worker.on('exit', (ended) => {
		// Killed from outside has no code.
		if (!stopping && ended !== null && Date.now() - began < NEVER_SERVED_MS) {
			code = ended || 1;
			stop('SIGTERM');
		}
		if (!stopping) setTimeout(() => stopping || begin(first), AGAIN_MS);
		else if (Object.keys(cluster.workers).length === 0) process.exit(code);
	});
}

for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => stop(signal));
for (let i = 0; i < many; i++) begin(i === 0);
