/** A session from the floor: sent as its client's session page would, seen by whoever is signed in; sent twice it is one. */
import { deserialize } from '$app/forms';
import { LOST } from '../sending.ts';

export interface FloorSaid {
	readonly ok: boolean;
	readonly text: string;
	readonly alarms: readonly string[];
}

export async function sendSession(
	clientId: string,
	id: string,
	fields: readonly (readonly [string, string])[]
): Promise<FloorSaid> {
	const body = new FormData();
	body.set('id', id);
	body.set('observed', 'on');
	for (const [k, v] of fields) body.append(k, v);
	try {
		const r = await fetch(`/clients/${clientId}/session?/log`, {
			method: 'POST',
			body,
			headers: { 'x-sveltekit-action': 'true', accept: 'application/json' }
		});
		const answer = deserialize(await r.text());
		if (answer.type === 'success') {
			const data = answer.data as { readonly done: string; readonly alarms: readonly string[] };
			return { ok: true, text: data.done, alarms: data.alarms };
		}
		if (answer.type === 'redirect')
			return { ok: false, text: 'You were signed out. Sign in on another page, then log again.', alarms: [] };
		const message = answer.type === 'failure' ? (answer.data as { message?: string }).message : undefined;
		return { ok: false, text: message ?? LOST, alarms: [] };
	} catch {
		return { ok: false, text: LOST, alarms: [] };
	}
}
