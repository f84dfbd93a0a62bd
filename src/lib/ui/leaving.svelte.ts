/** The question before a page is left with something typed and not kept: one at a time, answered by whoever shows it. */
let answer = $state<((leave: boolean) => void) | undefined>();

export const leaving = {
	get asked(): boolean {
		return answer !== undefined;
	},
	/** Answers whether to leave. */
	ask: (): Promise<boolean> => {
		answer?.(false);
		return new Promise((done) => (answer = done));
	},
	answer: (leave: boolean): void => {
		answer?.(leave);
		answer = undefined;
	}
};
