/** The form of an id: any RFC 9562 UUID. Ids are made by the writer (version 7, time first) and travel with the form. */
export const uuidv7 = /^[0-9a-f]{8}-[0-9a-f]{4}-[1-8][0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/i;

/** A version 7 UUID from a time in ms and 10 random bytes. @source rfc-9562 */
export function uuid7(ms: number, random: Uint8Array): string {
	const b = new Uint8Array(16);
	for (let i = 0; i < 6; i++) b[i] = Math.floor(ms / 2 ** (8 * (5 - i))) & 0xff;
	for (let i = 0; i < 10; i++) b[6 + i] = random[i] ?? 0;
	b[6] = ((b[6] as number) & 0x0f) | 0x70;
	b[8] = ((b[8] as number) & 0x3f) | 0x80;
	const hex = [...b].map((x) => x.toString(16).padStart(2, '0')).join('');
	return `${hex.slice(0, 8)}-${hex.slice(8, 12)}-${hex.slice(12, 16)}-${hex.slice(16, 20)}-${hex.slice(20)}`;
}
