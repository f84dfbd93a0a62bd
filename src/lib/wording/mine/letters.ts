/** Letters that go to a client by themselves. They say nothing of what is treated: others may read along. */
import type { Language } from './names.ts';

export const nudgeLetter = (
	language: Language,
	name: string,
	practice: string,
	address: string
): { readonly subject: string; readonly text: string } =>
	language === 'de'
		? {
				subject: `Wie war der Morgen? ${practice}`,
				text: `${name},\n\nnach der Sitzung gestern fehlt noch Ihr Morgen. Eine halbe Minute, auf dem Gerät mit Ihrer Seite:\n${address}\n\n${practice}. Antworten auf diesen Brief liest niemand sofort.\n`
			}
		: {
				subject: `How was the morning? ${practice}`,
				text: `${name},\n\nafter yesterday’s session your morning is still missing. Half a minute, on the device with your page:\n${address}\n\n${practice}. Nobody reads answers to this letter at once.\n`
			};
