/**
 * Sending a form over a network that may be gone: no answer keeps the page and what was typed, says so, and sending again is safe,
 * since the form's ids travel with it.
 */
import type { SubmitFunction } from '@sveltejs/kit';
import { forgetForm } from './keep-form.ts';

export const LOST =
	'No answer from the server. Nothing is lost: what you typed is still here; send it again.';

/** The server answers, and takes nothing just now: it says why. */
const NOT_NOW = 503;
const whyNot = (error: unknown): string =>
	typeof error === 'object' && error !== null && 'message' in error ? String(error.message) : LOST;

/** @param away takes the form where nothing answers; answers what to say, empty where it was kept */
export function sending(
	say: (lost: string) => void,
	done?: () => void,
	away?: (form: FormData) => Promise<string>
): SubmitFunction {
	return ({ formData }) =>
		async ({ result, update }) => {
			// An error without a status never reached the server, or its answer never reached us.
			if (result.type === 'error' && (result.status === undefined || result.status >= 500)) {
				const lost = away === undefined || result.status !== undefined ? LOST : await away(formData);
				say(result.status === NOT_NOW ? whyNot(result.error) : lost);
				if (lost === '') forgetForm();
				return;
			}
			say('');
			await update({ reset: false });
			if (result.type === 'failure') toFirstWrong();
			if (result.type !== 'success') return;
			forgetForm();
			done?.();
		};
}

/** Takes the eye and the keyboard to the first field that was refused. */
function toFirstWrong(): void {
	const first = document.querySelector<HTMLElement>(
		'[aria-invalid="true"], fieldset[aria-describedby] input'
	);
	first?.focus({ preventScroll: true });
	first?.scrollIntoView({ block: 'center' });
}
