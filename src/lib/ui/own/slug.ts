/** An own id from a title: "own-our-chair". */
export const slug = (s: string): string =>
	`own-${s
		.toLowerCase()
		.normalize('NFD')
		.replace(/[^a-z0-9]+/g, '-')
		.replace(/^-|-$/g, '')}`;
