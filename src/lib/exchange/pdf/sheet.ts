/**
 * A printed sheet as PDF: tagged for readers that speak, in a language, with its font inside; what does not fit goes on to the next page. Figures are drawn from the
 * same shapes as on a screen, in greys that a copier keeps apart.
 */
import { createRequire } from 'node:module';
import PDFDocument from 'pdfkit';
import type { Figure, Role } from '#lib/core/figure/shape.ts';
import { cmText } from '#lib/wording/units.ts';

const require = createRequire(import.meta.url);
/** Latin with all its accents, Greek, Cyrillic. */
const FONTS = {
	plain: require.resolve('dejavu-fonts-ttf/ttf/DejaVuSans.ttf'),
	bold: require.resolve('dejavu-fonts-ttf/ttf/DejaVuSans-Bold.ttf')
};

const FILL: Readonly<Record<Role, string>> = {
	far: '#cccccc',
	leg: '#444444',
	trunk: '#777777',
	skin: '#bbbbbb',
	shoe: '#222222',
	furniture: '#999999',
	wedge: '#999999',
	load: '#555555',
	support: '#999999',
	band: '#666666',
	soft: '#dddddd'
};
const MARGIN = 48;
const WIDE = 595.28 - 2 * MARGIN;
const LOWEST = 841.89 - MARGIN;
const INK = '#17262b';
const QUIET = '#4a5a60';

type Tag = 'H1' | 'H2' | 'P';
const SIZE: Readonly<Record<Tag, number>> = { H1: 18, H2: 12.5, P: 10 };

export interface SheetAsked {
	readonly title: string;
	readonly author: string;
	readonly language: string;
	/** On every page, at its foot. */
	readonly foot: string;
}

export class Sheet {
	private readonly doc: PDFKit.PDFDocument;
	private readonly chunks: Buffer[] = [];

	constructor(asked: SheetAsked) {
		this.doc = new PDFDocument({
			size: 'A4',
			margin: MARGIN,
			lang: asked.language,
			tagged: true,
			displayTitle: true,
			bufferPages: true,
			pdfVersion: '1.7',
			info: { Title: asked.title, Author: asked.author, Creator: 'Bolster' }
		});
		this.doc.on('data', (c: Buffer) => this.chunks.push(c));
		this.doc.registerFont('plain', FONTS.plain).registerFont('bold', FONTS.bold);
		this.foot = asked.foot;
	}
	private readonly foot: string;

	/** A new page where less than this is left, in points. */
	need(height: number): void {
		if (this.doc.y + height > LOWEST - 18) this.doc.addPage();
	}

	private tagged(tag: Tag, draw: () => void): void {
		const { doc } = this;
		doc.addStructure(doc.struct(tag, {}, draw));
	}

	private write(tag: Tag, text: string, { quiet = false, left = 0, gap = 3 } = {}): void {
		const { doc } = this;
		doc.font(tag === 'P' ? 'plain' : 'bold').fontSize(SIZE[tag]);
		const width = WIDE - left;
		this.need(Math.min(doc.heightOfString(text, { width }), 60));
		const y = doc.y;
		this.tagged(
			tag,
			() => void doc.fillColor(quiet ? QUIET : INK).text(text, MARGIN + left, y, { width, lineGap: 1 })
		);
		doc.y += gap;
	}

	heading(text: string): void {
		this.write('H1', text, { gap: 6 });
	}
	section(text: string, left = 0): void {
		this.need(50);
		this.doc.y += left === 0 ? 6 : 0;
		this.write('H2', text, { left });
	}
	line(text: string, left = 0): void {
		if (text !== '') this.write('P', text, { left });
	}
	quiet(text: string, left = 0): void {
		if (text !== '') this.write('P', text, { left, quiet: true });
	}
	rule(): void {
		const { doc } = this;
		this.need(12);
		doc.markContent('Artifact');
		doc
			.moveTo(MARGIN, doc.y + 3)
			.lineTo(MARGIN + WIDE, doc.y + 3)
			.lineWidth(0.5)
			.strokeColor('#999999')
			.stroke();
		doc.endMarkedContent();
		doc.y += 9;
	}

	/** What stands out: with a bar at its side. */
	caution(lines: readonly string[]): void {
		const top = this.doc.y;
		for (const l of lines) this.line(l, 10);
		const { doc } = this;
		if (doc.y <= top) return;
		doc.markContent('Artifact');
		doc
			.moveTo(MARGIN + 2, top)
			.lineTo(MARGIN + 2, doc.y - 3)
			.lineWidth(2.5)
			.strokeColor('#444444')
			.stroke();
		doc.endMarkedContent();
	}

	/** A figure with what is written beside it; both stay on one page. @param height points */
	beside(figure: Figure | undefined, alt: string, height: number, write: () => void): void {
		const { doc } = this;
		this.need(height + 8);
		const top = doc.y;
		const page = this.pages();
		if (figure !== undefined) this.draw(figure, alt, MARGIN, top, height, height * 0.9);
		// Writing into the figure has moved the pen.
		doc.x = MARGIN;
		doc.y = top;
		write();
		if (this.pages() === page) doc.y = Math.max(doc.y, top + height + 6);
	}

	private draw(figure: Figure, alt: string, x: number, y: number, height: number, width: number): void {
		const { doc } = this;
		const [left, full, w, tall] = figure.viewBox;
		const top = figure.top;
		const h = tall - (top - full);
		const scale = Math.min(height / h, width / w);
		doc.addStructure(
			doc.struct('Figure', { alt }, () => {
				doc.save();
				doc.translate(x, y).scale(scale).translate(-left, -top);
				for (const s of figure.shapes) doc.path(s.d).lineWidth(0.8).fillAndStroke(FILL[s.role], '#ffffff');
				doc
					.moveTo(left, 0.6)
					.lineTo(left + w, 0.6)
					.lineWidth(1)
					.strokeColor('#999999')
					.stroke();
				doc.font('plain').fontSize(9).fillColor(INK);
				for (const l of figure.labels)
					doc.text(cmText(Math.round(l.cm)), l.x - 25, l.y - 9, {
						width: 50,
						align: 'center',
						lineBreak: false
					});
				doc.restore();
			})
		);
	}

	private pages(): number {
		return this.doc.bufferedPageRange().count;
	}

	/** Rows of cells, in columns of these widths in points. */
	rows(widths: readonly number[], rows: readonly (readonly string[])[]): void {
		const { doc } = this;
		doc.font('plain').fontSize(SIZE.P);
		for (const row of rows) {
			const height = Math.max(...row.map((c, i) => doc.heightOfString(c, { width: (widths[i] ?? 60) - 6 })));
			this.need(height + 2);
			const y = doc.y;
			this.tagged('P', () => {
				let x = MARGIN;
				for (const [i, cell] of row.entries()) {
					doc.fillColor(INK).text(`${cell} `, x, y, { width: (widths[i] ?? 60) - 6 });
					x += widths[i] ?? 60;
				}
			});
			doc.y = y + height + 2;
		}
	}

	/** Whole, with its pages numbered. */
	async done(): Promise<Uint8Array<ArrayBuffer>> {
		const { doc } = this;
		const { start, count } = doc.bufferedPageRange();
		for (let i = start; i < start + count; i++) {
			doc.switchToPage(i);
			doc.markContent('Artifact');
			// Below the margin, where the library would begin another page.
			doc.page.margins.bottom = 0;
			doc.font('plain').fontSize(8).fillColor(QUIET);
			doc.text(`${this.foot} · ${i - start + 1}/${count}`, MARGIN, LOWEST + 6, {
				width: WIDE,
				lineBreak: false
			});
			doc.endMarkedContent();
		}
		const ended = new Promise<void>((r) => doc.on('end', () => r()));
		doc.end();
		await ended;
		return new Uint8Array(Buffer.concat(this.chunks));
	}
}
