/** The link of a client's own page as it is handed over: shown once, as a picture for their phone's camera, and by letter or text where there is an address or a number. */
import { toString as drawn } from 'qrcode';
import { send } from './mailbox.ts';

export interface HandedOver {
	readonly link: string;
	/** SVG. */
	readonly picture: string;
	/** Null where no letter was asked for. */
	readonly left: boolean | null;
	/** The same of a text. */
	readonly texted: boolean | null;
}

interface To {
	readonly email: string;
	readonly phone: string;
	readonly name: string;
	readonly practice: string;
}

export async function handOver(link: string, { email, phone, name, practice }: To): Promise<HandedOver> {
	const subject = `Your exercises with ${practice}`;
	const text = `${name},\n\nyour exercises with ${practice}, on your own phone or tablet:\n${link}\n\nNobody reads answers to this letter at once.\n`;
	const short = `${practice}: your exercises, on your own phone: ${link}`;
	return {
		link,
		picture: await drawn(link, { type: 'svg', margin: 2 }),
		left: email === '' ? null : await send({ to: email, subject, text, secret: link }),
		texted: phone === '' ? null : await send({ to: phone, by: 'text', subject, text: short, secret: link })
	};
}
