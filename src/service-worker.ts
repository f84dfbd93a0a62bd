/**
 * Without a network: a client's own pages, and of a practitioner the session and the floor where their device was asked to. They and what they are made of are put
 * aside on a visit, and come from there when nothing answers. It touches nothing else: every other page, and everything that is sent, goes its ordinary way.
 */
/// <reference types="@sveltejs/kit" />
/// <reference no-default-lib="true"/>
/// <reference lib="esnext" />
/// <reference lib="webworker" />
import { version } from '$service-worker';
import { AWAY_CACHE, isAwayPage, isOld } from '#lib/ui/away/pages.ts';
import { PAGES } from '#lib/ui/mine/pages.ts';

const worker = self as unknown as ServiceWorkerGlobalScope;
const CACHE = `mine-${version}`;
const PATIENCE_MS = 3000;

const isPage = (url: URL): boolean => PAGES.includes(url.pathname);
const isPart = (url: URL): boolean =>
	url.pathname.startsWith('/_app/immutable/') || /\.(svg|webmanifest)$/.test(url.pathname);

worker.addEventListener('install', () => void worker.skipWaiting());
worker.addEventListener('activate', (e) => e.waitUntil(begin()));

async function begin(): Promise<void> {
	const old = (await caches.keys()).filter((key) => key !== CACHE && key.startsWith('mine-'));
	for (const key of old) await caches.delete(key);
	// What a page of another build is made of went with it.
	if (old.length > 0) await caches.delete(AWAY_CACHE);
	await worker.clients.claim();
}

/** What a page says it needs: all of it anew, for the cache is as old as the last visit. */
worker.addEventListener('message', (e) => {
	const { pages = [], assets = [] } = (e.data ?? {}) as { pages?: string[]; assets?: string[] };
	e.waitUntil(putAside(pages, assets));
});

async function putAside(pages: readonly string[], assets: readonly string[]): Promise<void> {
	const cache = await caches.open(CACHE);
	for (const path of pages) {
		const r = await fetch(path).catch(() => undefined);
		// A page that leads to signing in is none of these.
		if (r === undefined || !r.ok) continue;
		const { pathname } = new URL(r.url);
		if (isAwayPage(pathname)) await (await caches.open(AWAY_CACHE)).put(path, r);
		else if (PAGES.includes(pathname)) await cache.put(path, r);
	}
	for (const asset of assets) {
		const url = new URL(asset, worker.location.origin);
		if (url.origin !== worker.location.origin || !isPart(url) || (await cache.match(url.href)) !== undefined)
			continue;
		const r = await fetch(url.href).catch(() => undefined);
		if (r?.ok === true) await cache.put(url.href, r);
	}
}

worker.addEventListener('fetch', (e) => {
	const url = new URL(e.request.url);
	if (e.request.method !== 'GET' || url.origin !== worker.location.origin) return;
	if (isPart(url)) e.respondWith(part(e.request));
	else if (e.request.mode !== 'navigate') return;
	else if (isPage(url)) e.respondWith(page(e.request, url.pathname));
	else if (isAwayPage(url.pathname)) e.respondWith(awayPage(e.request, url.pathname + url.search));
});

/** Parts carry their content in their name: what is here is what it was. */
async function part(request: Request): Promise<Response> {
	return (await caches.match(request.url)) ?? fetch(request);
}

/** A page from the practice where it answers in time, else as it was at the last visit. */
async function page(request: Request, path: string): Promise<Response> {
	const kept = await caches.match(path);
	if (kept === undefined) return fetch(request);
	try {
		const late = new Promise<undefined>((r) => setTimeout(() => r(undefined), PATIENCE_MS));
		const r = await Promise.race([fetch(request), late]);
		// A server that is down answers too: what was put aside is better.
		return r === undefined || r.status >= 500 ? kept : r;
	} catch {
		return kept;
	}
}

/** A practitioner's page is shown as it was only where nothing answers at all, and only on the day it was put aside. */
async function awayPage(request: Request, path: string): Promise<Response> {
	try {
		const r = await fetch(request);
		return r.status >= 500 ? ((await aside(path)) ?? r) : r;
	} catch (e) {
		const kept = await aside(path);
		if (kept === undefined) throw e;
		return kept;
	}
}

async function aside(path: string): Promise<Response | undefined> {
	const kept = await caches.match(path, { cacheName: AWAY_CACHE });
	return kept === undefined || isOld(kept.headers.get('date'), Date.now()) ? undefined : kept;
}
