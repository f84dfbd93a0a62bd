/** Letters: through a real SMTP conversation (package `smtp-server`, RFC 5321), and kept as they were made where there is no server, or it fails. */
import { mkdtempSync, readdirSync, readFileSync, rmSync, statSync } from 'node:fs';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { SMTPServer } from 'smtp-server';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { lettersIn, sendLetter, sendsMail } from './mail.ts';

let folder: string;
let server: SMTPServer;
let got: { to: string[]; body: string }[];
let url: string;
beforeEach(async () => {
	folder = mkdtempSync(join(tmpdir(), 'mail-'));
	got = [];
	server = new SMTPServer({
		authOptional: true,
		disabledCommands: ['STARTTLS'],
		onRcptTo: ({ address }, _, done) =>
			done(address.startsWith('nobody') ? new Error('no such box') : undefined),
		onData: (stream, session, done) => {
			let body = '';
			stream.on('data', (c: Buffer) => (body += c.toString('utf8')));
			stream.on('end', () => {
				got.push({ to: session.envelope.rcptTo.map((r) => r.address), body });
				done();
			});
		}
	});
	await new Promise<void>((r) => server.listen(0, '127.0.0.1', () => r()));
	url = `smtp://127.0.0.1:${(server.server.address() as AddressInfo).port}`;
});
afterEach(async () => {
	await new Promise<void>((r) => server.close(() => r()));
	rmSync(folder, { recursive: true, force: true });
});

const letter = {
	to: 'tam@tidewater.example',
	subject: 'A new password',
	text: 'Once:\nhttp://127.0.0.1/reset/abc\n',
	secret: 'http://127.0.0.1/reset/abc'
};

describe('a letter', () => {
	it('leaves by the server that is set, and what is kept of it holds no secret', async () => {
		expect(await sendLetter(letter, { SMTP_URL: url, BOLSTER_MAIL: folder })).toBe(true);
		expect(got).toHaveLength(1);
		expect(got[0]?.to).toEqual(['tam@tidewater.example']);
		expect(got[0]?.body).toContain('Subject: A new password');
		expect(got[0]?.body).toContain('http://127.0.0.1/reset/abc');
		const [file] = readdirSync(folder);
		expect(readFileSync(join(folder, file!), 'utf8')).not.toContain('/reset/abc');
		expect(lettersIn(folder, 9)).toMatchObject([{ sent: true, error: null, subject: 'A new password' }]);
	});
	it('without a server is kept whole for whoever runs it, and shown without its secret', async () => {
		expect(sendsMail({})).toBe(false);
		expect(sendsMail({ SMTP_URL: '' })).toBe(false);
		expect(await sendLetter(letter, { BOLSTER_MAIL: folder })).toBe(false);
		const [file] = readdirSync(folder);
		expect(readFileSync(join(folder, file!), 'utf8')).toContain('/reset/abc');
		expect(statSync(join(folder, file!)).mode & 0o077).toBe(0);
		const [kept] = lettersIn(folder, 9);
		expect(JSON.stringify(kept)).not.toContain('/reset/abc');
		expect(kept).toMatchObject({ sent: false, text: 'Once:\n…\n' });
	});
	it('that is refused, or finds nobody, is kept with why, and throws nothing', async () => {
		expect(
			await sendLetter({ ...letter, to: 'nobody@tidewater.example' }, { SMTP_URL: url, BOLSTER_MAIL: folder })
		).toBe(false);
		expect(await sendLetter(letter, { SMTP_URL: 'smtp://127.0.0.1:1', BOLSTER_MAIL: folder })).toBe(false);
		expect(lettersIn(folder, 9).map((l) => [l.sent, l.error])).toEqual(
			expect.arrayContaining([
				[false, 'EENVELOPE'],
				[false, 'ESOCKET']
			])
		);
		expect(lettersIn(folder, 1)).toHaveLength(1);
		expect(lettersIn(join(folder, 'none'), 9)).toEqual([]);
		expect(await sendLetter(letter, {})).toBe(false);
	});
});
