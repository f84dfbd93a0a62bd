/** One task at a time, one waiting for each practice: what is asked while its practice is being judged is judged once more after it. */
export class Queue<T> {
	#now: { readonly key: string; readonly end: () => void } | undefined;
	#waiting = new Map<
		string,
		{ readonly task: T; readonly promise: Promise<void>; readonly end: () => void }
	>();
	/** A task was done. */
	proven = false;

	/** @param post hands a task to who does it; false where nobody does */
	constructor(readonly post: (task: T) => boolean) {}

	/** Ends when a task that begins after this asking is done, or the doer breaks. */
	ask(key: string, task: T): Promise<void> {
		const before = this.#waiting.get(key);
		if (before !== undefined) return before.promise;
		let end = (): void => undefined;
		const promise = new Promise<void>((r) => (end = r));
		this.#waiting.set(key, { task, promise, end });
		this.#next();
		return promise;
	}

	done(): void {
		this.proven = true;
		this.#now?.end();
		this.#now = undefined;
		this.#next();
	}

	/** Nobody does it: all that ask go on without. */
	broken(): void {
		this.proven = false;
		this.#now?.end();
		this.#now = undefined;
		for (const w of this.#waiting.values()) w.end();
		this.#waiting.clear();
	}

	#next(): void {
		if (this.#now !== undefined) return;
		const [first] = this.#waiting;
		if (first === undefined) return;
		const [key, { task, end }] = first;
		this.#waiting.delete(key);
		this.#now = { key, end };
		if (!this.post(task)) this.broken();
	}
}
