/** What a client can agree to, each by itself; without the first nothing can be kept. The newest word on each stands. */
export const CONSENT_PURPOSES = ['keep-record', 'phone-link', 'letters', 'teaching'] as const;
export type ConsentPurpose = (typeof CONSENT_PURPOSES)[number];

/** What can be agreed to or withdrawn while the record is kept. */
export const WITHDRAWABLE = CONSENT_PURPOSES.filter((p) => p !== 'keep-record');

/** What is agreed to, of everything that was said, oldest first. */
export function agreedTo(
	said: readonly { readonly purpose: string; readonly given: boolean }[]
): ReadonlySet<string> {
	const newest = new Map(said.map(({ purpose, given }) => [purpose, given]));
	return new Set([...newest].filter(([, given]) => given).map(([purpose]) => purpose));
}
