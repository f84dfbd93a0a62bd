/** Files that are handed over: named, and never run by a browser. */
import { error } from '@sveltejs/kit';

const asFile = (body: BodyInit, type: string, name: string): Response =>
	new Response(body, {
		headers: {
			'content-type': type,
			'content-disposition': `attachment; filename="${name}"`
		}
	});

/** A week as a calendar; where none is signed there is none. */
export function calendarFile(text: string | undefined): Response {
	if (text === undefined) error(404, 'No week is signed yet.');
	return asFile(text, 'text/calendar; charset=utf-8', 'week.ics');
}

export const pdfFile = (bytes: Uint8Array<ArrayBuffer>, name: string): Response =>
	asFile(bytes, 'application/pdf', name);
