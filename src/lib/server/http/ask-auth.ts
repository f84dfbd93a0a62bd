/** Asks the sign-in library as the browser would, and hands its cookies on as the page's own. */
import type { RequestEvent } from '@sveltejs/kit';
import { ADDRESS_HEADER, authService } from '../auth/auth.ts';

/** Too many attempts of one address. */
export const TOO_MANY = 429;

/** The sign-in library's cookies as the page's own. */
export function keepCookies(
	{ url, cookies }: Pick<RequestEvent, 'url' | 'cookies'>,
	lines: readonly string[]
): void {
	for (const line of lines) {
		const [pair = '', ...attributes] = line.split('; ');
		const at = pair.indexOf('=');
		const maxAge = attributes.find((a) => a.toLowerCase().startsWith('max-age='));
		cookies.set(pair.slice(0, at), decodeURIComponent(pair.slice(at + 1)), {
			path: '/',
			httpOnly: true,
			sameSite: 'lax',
			secure: url.protocol === 'https:',
			...(maxAge ? { maxAge: Number(maxAge.split('=')[1]) } : {})
		});
	}
}

/** With a body it is sent, without one it is only asked. */
export function askAuth(event: RequestEvent, path: string, body?: object): Promise<Response> {
	const { url, request } = event;
	return authService().auth.handler(
		new Request(`${url.origin}/api/auth${path}`, {
			method: body === undefined ? 'GET' : 'POST',
			headers: {
				'content-type': 'application/json',
				origin: url.origin,
				cookie: request.headers.get('cookie') ?? '',
				'user-agent': request.headers.get('user-agent') ?? '',
				[ADDRESS_HEADER]: event.getClientAddress()
			},
			...(body === undefined ? {} : { body: JSON.stringify(body) })
		})
	);
}
