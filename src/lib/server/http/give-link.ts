/** The link of a client's own page as it is handed over: shown once, as a picture for their phone's camera, and by letter where there is an address. */
import { toString as drawn } from 'qrcode';
import { send } from './mailbox.ts';

export interface HandedOver {
	readonly link: string;
	/** SVG. */
	readonly picture: string;
	/** Null where no letter was asked for. */
	readonly left: boolean | null;
}

export async function handOver(
	link: string,
	to: { readonly email: string; readonly name: string; readonly practice: string }
): Promise<HandedOver> {
	const text = `${to.name},\n\nyour exercises with ${to.practice}, on your own phone or tablet:\n${link}\n\nNobody reads answers to this letter at once.\n`;
	const left =
		to.email === ''
			? null
			: await send({ to: to.email, subject: `Your exercises with ${to.practice}`, text, secret: link });
	return { link, picture: await drawn(link, { type: 'svg', margin: 2 }), left };
}
