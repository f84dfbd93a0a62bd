/** The mailbox as pages see it: whether letters leave, and what was or would have been sent. */
import { lettersIn, sendLetter, sendsMail, type KeptLetter, type Letter } from '../mail/mail.ts';

export type { KeptLetter };

const MOST = 100;

export const mailLeaves = (): boolean => sendsMail();
export const letters = (): readonly KeptLetter[] => lettersIn(process.env.BOLSTER_MAIL, MOST);
export const send = (letter: Letter): Promise<boolean> => sendLetter(letter);
