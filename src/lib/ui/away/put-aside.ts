/** Puts the page one is on aside on this device, with all it is made of, so that it opens without a network; and takes it away again. */
import { AWAY_CACHE, isOld, WANTED } from './pages.ts';

const can = (): boolean => 'serviceWorker' in navigator && 'caches' in globalThis;

export const isWanted = (): boolean => localStorage.getItem(WANTED) === 'yes';

/** @returns whether it stands aside */
export async function putAside(path: string): Promise<boolean> {
	if (!can()) return false;
	await navigator.serviceWorker.register('/service-worker.js', {
		scope: '/',
		type: import.meta.env.DEV ? 'module' : 'classic'
	});
	const { active } = await navigator.serviceWorker.ready;
	const assets = performance.getEntriesByType('resource').map((e) => e.name);
	active?.postMessage({ pages: [path], assets });
	for (let tries = 0; tries < 40; tries++) {
		if ((await caches.match(path, { cacheName: AWAY_CACHE })) !== undefined) return true;
		await new Promise((r) => setTimeout(r, 250));
	}
	return false;
}

export async function want(path: string): Promise<boolean> {
	localStorage.setItem(WANTED, 'yes');
	return putAside(path);
}

/** Nothing of a record stays on the device; what waits to be sent does. */
export async function forget(): Promise<void> {
	localStorage.removeItem(WANTED);
	if (can()) await caches.delete(AWAY_CACHE);
}

/** Begun on the floor and not finished, for who signs out: what is finished waits to be sent. */
export async function forgetDrafts(): Promise<void> {
	const { dropDrafts } = await import('../mine/outbox.ts');
	await dropDrafts('floor:');
}

/** What was put aside on another day is taken away. */
export async function dropOld(now: number): Promise<void> {
	if (!can() || !(await caches.has(AWAY_CACHE))) return;
	const cache = await caches.open(AWAY_CACHE);
	for (const request of await cache.keys())
		if (isOld((await cache.match(request))?.headers.get('date') ?? null, now)) await cache.delete(request);
}
