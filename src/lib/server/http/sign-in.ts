/** Signing in and out through the auth library's handler, which counts attempts; its cookies become the page's own. */
import type { RequestEvent } from '@sveltejs/kit';
import { ADDRESS_HEADER, authService } from '../auth/auth.ts';

/** The auth library's cookies as the page's own. */
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

export type SignInAnswer = 'in' | 'wrong' | 'too-many';

export async function signIn(
	{ url, getClientAddress, cookies, request }: RequestEvent,
	credentials: { readonly email: string; readonly password: string }
): Promise<SignInAnswer> {
	const answer = await authService().auth.handler(
		new Request(`${url.origin}/api/auth/sign-in/email`, {
			method: 'POST',
			headers: {
				'content-type': 'application/json',
				origin: url.origin,
				'user-agent': request.headers.get('user-agent') ?? '',
				[ADDRESS_HEADER]: getClientAddress()
			},
			body: JSON.stringify(credentials)
		})
	);
	if (answer.status === 429) return 'too-many';
	if (!answer.ok) return 'wrong';
	keepCookies({ url, cookies }, answer.headers.getSetCookie());
	return 'in';
}

export async function signOut({ request, cookies }: RequestEvent): Promise<void> {
	await authService()
		.auth.api.signOut({ headers: request.headers })
		.catch(() => undefined);
	for (const { name } of cookies.getAll())
		if (name.startsWith('better-auth')) cookies.delete(name, { path: '/' });
}
