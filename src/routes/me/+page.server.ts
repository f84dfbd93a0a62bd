import { passwordForm } from '#lib/contract/practice-form.ts';
import { contextIn } from '#lib/server/http/client-page.ts';
import { formOf } from '#lib/server/http/form-of.ts';
import { changePassword, endSession, ownSessions } from '#lib/server/http/own-account.ts';
import {
	beginPasskey,
	keepPasskey,
	ownPasskeys,
	removePasskey,
	takesPasskeys
} from '#lib/server/http/passkey.ts';
import { beginSecond, confirmSecond, endSecond, hasSecond } from '#lib/server/http/second-factor.ts';
import { refuseField, refuseShape } from '#lib/server/http/respond.ts';
import { roleText } from '#lib/server/usecase/actor.ts';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async (event) => {
	const { actor } = contextIn(event.locals);
	return {
		name: actor.name,
		role: roleText(actor),
		second: await hasSecond(event),
		passkeys: await ownPasskeys(event),
		takesPasskeys: takesPasskeys(event.url),
		sessions: await ownSessions(event)
	};
};

const LONGEST_NAME = 60;
/** What the device made, as it came; undefined where it is none. */
function readKey(text: unknown): object | undefined {
	try {
		const read: unknown = JSON.parse(String(text));
		return typeof read === 'object' && read !== null ? read : undefined;
	} catch {
		return undefined;
	}
}

export const actions: Actions = {
	password: async (event) => {
		const form = await formOf(event.request);
		const parsed = passwordForm.safeParse(Object.fromEntries(form));
		if (!parsed.success) return refuseShape(form, parsed.error);
		return (await changePassword(event, parsed.data))
			? { done: 'Changed. Everywhere else you are signed out.' }
			: refuseField(form, 'current', 'This is not your password of now.');
	},
	second: async (event) => {
		const form = await formOf(event.request);
		const begun = await beginSecond(event, String(form.get('current') ?? ''));
		return begun === undefined
			? refuseField(form, 'current', 'This is not your password of now.')
			: { begun };
	},
	confirm: async (event) => {
		const form = await formOf(event.request);
		return (await confirmSecond(event, String(form.get('code') ?? '')))
			? { done: 'From now on signing in asks for your second factor too.' }
			: refuseField(form, 'code', 'This is not the code of the moment. Begin again if the picture is gone.');
	},
	without: async (event) => {
		const form = await formOf(event.request);
		return (await endSecond(event, String(form.get('current') ?? '')))
			? { done: 'Signing in asks for your password alone.' }
			: refuseField(form, 'current', 'This is not your password of now.');
	},
	key: async (event) => {
		const form = await formOf(event.request);
		const options = await beginPasskey(event, String(form.get('current') ?? ''));
		return options === undefined
			? refuseField(form, 'current', 'This is not your password of now.')
			: { options };
	},
	'keep-key': async (event) => {
		const form = await formOf(event.request);
		const made = readKey(form.get('made'));
		const name = String(form.get('name') ?? '')
			.trim()
			.slice(0, LONGEST_NAME);
		return made !== undefined && (await keepPasskey(event, name || 'a device', made))
			? { done: 'This device signs you in from now on.' }
			: refuseField(form, '', 'The device gave nothing that can be kept: begin again.');
	},
	'remove-key': async (event) => {
		const form = await formOf(event.request);
		return (await removePasskey(event, String(form.get('key') ?? '')))
			? { done: 'That device signs nobody in any more.' }
			: refuseField(form, '', 'This passkey is gone already.');
	},
	end: async (event) => {
		const form = await formOf(event.request);
		return (await endSession(event, String(form.get('session') ?? '')))
			? { done: 'Ended there.' }
			: refuseField(form, '', 'This session is over already.');
	}
};
