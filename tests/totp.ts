/** Codes of the moment, made by the published rule: RFC 6238 over RFC 4226 §5.3, secrets in base 32 (RFC 4648 §6). */
import { createHmac } from 'node:crypto';

/** HMAC-SHA-1 over the count of half minutes, six digits. */
export function codeAt(secret: Buffer, ms: number): string {
	const counter = Buffer.alloc(8);
	counter.writeBigUInt64BE(BigInt(Math.floor(ms / 30_000)));
	const mac = createHmac('sha1', secret).update(counter).digest();
	const at = mac[19]! & 15;
	return String((mac.readUInt32BE(at) & 0x7fffffff) % 1_000_000).padStart(6, '0');
}

export function base32(letters: string): Buffer {
	const bits = [...letters.replaceAll('=', '')]
		.map((c) => 'ABCDEFGHIJKLMNOPQRSTUVWXYZ234567'.indexOf(c).toString(2).padStart(5, '0'))
		.join('');
	return Buffer.from((bits.match(/.{8}/g) ?? []).map((b) => parseInt(b, 2)));
}
