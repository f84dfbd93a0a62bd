/** What a PDF says, by an independent reader (package `pdfjs-dist`). */
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';

export const readPdf = (bytes: Uint8Array) => getDocument({ data: bytes.slice(), verbosity: 0 }).promise;

export async function textOf(pdf: Awaited<ReturnType<typeof readPdf>>): Promise<string> {
	const pages = await Promise.all(
		Array.from({ length: pdf.numPages }, async (_, i) => {
			const { items } = await (await pdf.getPage(i + 1)).getTextContent();
			return items.map((x) => ('str' in x ? x.str : '')).join(' ');
		})
	);
	return pages.join('\n').replaceAll(/\s+/g, ' ');
}
