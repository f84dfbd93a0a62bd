/** The form of a request. What is no form, or breaks off, is answered as such and never as a fault of ours. */
import { error } from '@sveltejs/kit';

export async function formOf(request: Request): Promise<FormData> {
	try {
		return await request.formData();
	} catch (e) {
		// Anything else (too large, cut off by the server) has its own answer.
		if (!(e instanceof TypeError)) throw e;
		error(400, 'This form arrived broken. Reload the page and send it again.');
	}
}
