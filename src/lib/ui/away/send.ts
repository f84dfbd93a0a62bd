/** Sends a session as its client's session page would; sent twice it is one. */
import { deserialize } from '$app/forms';

export interface Said {
	readonly text: string;
	readonly alarms: readonly string[];
}

export type Posted =
	| ({ readonly state: 'kept' } & Said)
	/** No answer, or one of something else: it waits. */
	| { readonly state: 'no-network' }
	/** Whoever was signed in is no longer: it waits for them. */
	| { readonly state: 'signed-out' }
	/** The server answered, and did not take it. */
	| { readonly state: 'refused'; readonly why: string };

export type Fields = readonly (readonly [string, string])[];

export async function postSession(clientId: string, fields: Fields): Promise<Posted> {
	const body = new FormData();
	for (const [k, v] of fields) body.append(k, v);
	try {
		const r = await fetch(`/clients/${clientId}/session?/log`, {
			method: 'POST',
			body,
			headers: { 'x-sveltekit-action': 'true', accept: 'application/json' }
		});
		return said(deserialize(await r.text()));
	} catch {
		return { state: 'no-network' };
	}
}

function said(answer: ReturnType<typeof deserialize>): Posted {
	switch (answer.type) {
		case 'success': {
			const { done, alarms } = answer.data as { readonly done: string; readonly alarms: readonly string[] };
			return { state: 'kept', text: done, alarms };
		}
		case 'redirect':
			return { state: 'signed-out' };
		case 'failure':
			return { state: 'refused', why: (answer.data as { message?: string }).message ?? 'It was refused.' };
		case 'error':
			// What the server cannot do just now it may do later; what is not there for this member never is.
			return (answer.status ?? 500) >= 500
				? { state: 'no-network' }
				: { state: 'refused', why: 'This client is not open to you.' };
	}
}
