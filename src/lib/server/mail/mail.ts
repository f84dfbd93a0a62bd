/**
 * Letters that leave the practice: to its mail server where one is set, else into a mailbox that stands in for it and shows what would have been sent. Each is
 * kept as a file either way, as it was made, with whether it left; one that could not be sent is kept with the reason, and nothing else fails with it.
 */
import { randomUUID } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { createTransport } from 'nodemailer';

export interface Letter {
	readonly to: string;
	readonly subject: string;
	readonly text: string;
	/** As a text to a telephone; left out, as e-mail. */
	readonly by?: 'text';
	/** A one-time address in the text is for whom it is sent to, and for nobody who reads along. */
	readonly secret?: string;
}

export interface KeptLetter extends Letter {
	readonly at: string;
	readonly sent: boolean;
	readonly error: string | null;
}

export interface MailEnv {
	readonly SMTP_URL?: string | undefined;
	readonly MAIL_FROM?: string | undefined;
	/** The folder of the mailbox; without it nothing is kept. */
	readonly BOLSTER_MAIL?: string | undefined;
}

export const sendsMail = ({ SMTP_URL }: MailEnv = process.env): boolean => (SMTP_URL ?? '') !== '';

const TIMEOUT_MS = 10_000;

/** Texts have no gateway: what would have been sent stands in the mailbox. */
const NO_GATEWAY = 'no text gateway is set';

const transportTo = (url: string) =>
	createTransport({
		url,
		connectionTimeout: TIMEOUT_MS,
		greetingTimeout: TIMEOUT_MS,
		socketTimeout: TIMEOUT_MS
	} as Parameters<typeof createTransport>[0]);

/** What keeps the mail server from taking a letter; undefined where it would. Nothing is sent. */
export async function mailTrouble({ SMTP_URL }: MailEnv = process.env): Promise<string | undefined> {
	const transport = transportTo(SMTP_URL ?? '');
	try {
		await transport.verify();
		return undefined;
	} catch (e) {
		return (e as { code?: string }).code ?? (e as Error).message;
	} finally {
		transport.close();
	}
}

async function sent(letter: Letter, { SMTP_URL, MAIL_FROM }: MailEnv): Promise<string | null> {
	if (letter.by === 'text') return NO_GATEWAY;
	if ((SMTP_URL ?? '') === '') return 'no mail server is set';
	const transport = transportTo(SMTP_URL as string);
	try {
		const { to, subject, text } = letter;
		await transport.sendMail({ from: MAIL_FROM ?? 'Bolster <bolster@localhost>', to, subject, text });
		return null;
	} catch (e) {
		// The name of what went wrong, never what was in the letter.
		return (e as { code?: string; message?: string }).code ?? 'it could not be sent';
	} finally {
		transport.close();
	}
}

/** Sends and keeps; answers whether it left. */
export async function sendLetter(letter: Letter, env: MailEnv = process.env): Promise<boolean> {
	const error = await sent(letter, env);
	const folder = env.BOLSTER_MAIL ?? '';
	if (folder !== '') {
		mkdirSync(folder, { recursive: true, mode: 0o700 });
		const at = new Date().toISOString();
		// What left needs no copy of its secret.
		const text =
			error === null && letter.secret !== undefined
				? letter.text.replaceAll(letter.secret, '…')
				: letter.text;
		const kept = { ...letter, text, at, sent: error === null, error };
		const file = `${at.replaceAll(/[:.]/g, '')}-${randomUUID().slice(0, 8)}.json`;
		writeFileSync(
			join(folder, file),
			JSON.stringify({ ...kept, ...(error === null ? { secret: undefined } : {}) }),
			{
				mode: 0o600
			}
		);
	}
	return error === null;
}

/** Sends and keeps; false only where a server is there and did not take it, so that it is worth trying again. */
export const post = async (letter: Letter, env: MailEnv = process.env): Promise<boolean> =>
	(await sendLetter(letter, env)) || letter.by === 'text' || !sendsMail(env);

/** The latest letters, newest first, without what is secret in them. */
export function lettersIn(folder: string | undefined, most: number): readonly KeptLetter[] {
	if (folder === undefined || !existsSync(folder)) return [];
	return readdirSync(folder)
		.filter((f) => f.endsWith('.json'))
		.sort()
		.reverse()
		.slice(0, most)
		.map((f): KeptLetter => {
			const { secret, ...kept } = JSON.parse(readFileSync(join(folder, f), 'utf8')) as KeptLetter;
			return { ...kept, text: secret === undefined ? kept.text : kept.text.replaceAll(secret, '…') };
		});
}
