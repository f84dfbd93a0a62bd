/** What is asked again and again within a moment is done once, a moment after the first asking: whatever was asked meanwhile is in it. */
export class Soon {
	readonly #begun = new Set<string>();

	/** @param ms of the moment */
	constructor(readonly ms: number) {}

	/** Of what is asked under one key, the first is done. */
	ask(key: string, work: () => void): void {
		if (this.#begun.has(key)) return;
		this.#begun.add(key);
		setTimeout(() => {
			this.#begun.delete(key);
			work();
		}, this.ms).unref();
	}
}
