/** What a device sent is worked out beside the page: one question, one answer. Called while a component is made. */
import { onMount } from 'svelte';
import type { StreamAnswer } from '#lib/workers/stream.worker.ts';
import StreamWorker from '#lib/workers/stream.worker.ts?worker';
import type { StreamOutcome } from '../stream-outcome.ts';

export function streamAnalysis(): (question: object) => Promise<StreamOutcome> {
	let worker: Worker | undefined;
	/** Questions on their way, by number; nothing on the page depends on them. */
	const waiting: Record<number, (a: StreamAnswer) => void> = {};
	let asked = 0;
	onMount(() => {
		worker = new StreamWorker();
		worker.onmessage = ({ data: a }: MessageEvent<StreamAnswer>) => {
			waiting[a.ask]?.(a);
			delete waiting[a.ask];
		};
		return () => worker?.terminate();
	});
	return async (question) => {
		const ask = ++asked;
		const answer = await new Promise<StreamAnswer>((done) => {
			waiting[ask] = done;
			worker?.postMessage({ ask, ...question });
		});
		if ('refused' in answer) return { kind: 'refused', message: answer.refused };
		return answer.quantity === 'angle' ? { kind: 'angle', ...answer } : { kind: 'force', ...answer };
	};
}
