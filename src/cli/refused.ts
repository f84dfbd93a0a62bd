/** Refusals of the command line, each with a code, the place and a sentence. */
export interface CliError {
	readonly code: string;
	readonly path: string;
	readonly message: string;
}

/** A refusal of the core, in the command line's own form. */
export class Refused extends Error {
	constructor(readonly error: CliError) {
		super(error.message);
	}
}
