/** Data as a file to keep, without asking the server for it. */
export const downloadOf = (of: unknown): string =>
	`data:application/json;charset=utf-8,${encodeURIComponent(JSON.stringify(of, null, 2))}`;
