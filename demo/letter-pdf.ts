/** A made-up letter of one line as a PDF, small and whole: its table of offsets is right, so that any viewer opens it. */
export function letterPdf(line: string): Buffer {
	const text = line.replace(/[()\\]/g, '');
	const stream = `BT /F1 14 Tf 72 740 Td (${text}. Made up for the demo.) Tj ET`;
	const objects = [
		'<< /Type /Catalog /Pages 2 0 R >>',
		'<< /Type /Pages /Kids [3 0 R] /Count 1 >>',
		'<< /Type /Page /Parent 2 0 R /MediaBox [0 0 595 842] /Contents 4 0 R /Resources << /Font << /F1 5 0 R >> >> >>',
		`<< /Length ${stream.length} >>\nstream\n${stream}\nendstream`,
		'<< /Type /Font /Subtype /Type1 /BaseFont /Helvetica >>'
	];
	let body = '%PDF-1.4\n';
	const offsets = objects.map((o, i) => {
		const at = body.length;
		body += `${i + 1} 0 obj\n${o}\nendobj\n`;
		return at;
	});
	const xref = body.length;
	const table = offsets.map((o) => `${String(o).padStart(10, '0')} 00000 n \n`).join('');
	body += `xref\n0 ${objects.length + 1}\n0000000000 65535 f \n${table}trailer << /Size ${objects.length + 1} /Root 1 0 R >>\nstartxref\n${xref}\n%%EOF\n`;
	return Buffer.from(body, 'latin1');
}
