/** The slow numbers of a set-up (band, reach, techniques), worked out beside the page: the latest question is the one answered. */
import { onMount } from 'svelte';
import type { Step } from '#lib/core/exercise/family.ts';
import type { FitContext, SolvedSetup } from '#lib/core/movement/context.ts';
import type { SetupAnswer } from '#lib/workers/setup.worker.ts';
import SetupWorker from '#lib/workers/setup.worker.ts?worker';

export interface SetupQuestion {
	readonly step: Step;
	readonly ctx: FitContext;
	readonly setup: SolvedSetup | null;
}

/** Typing is not asked letter by letter. */
const PAUSE_MS = 40;

/** The answer to what `question` says now; null before it has come. Called while a component is made. */
export function setupAnswer(question: () => SetupQuestion | null): {
	readonly current: SetupAnswer | null;
} {
	let worker: Worker | undefined = $state();
	let answer = $state.raw<SetupAnswer | null>(null);
	let asked = 0;
	onMount(() => {
		const w = new SetupWorker();
		w.onmessage = (e: MessageEvent<SetupAnswer>) => {
			if (e.data.ask === asked) answer = e.data;
		};
		worker = w;
		return () => w.terminate();
	});
	$effect(() => {
		const q = question();
		if (worker === undefined || q === null) return;
		const sent = { ask: ++asked, ...($state.snapshot(q) as SetupQuestion) };
		const timer = setTimeout(() => worker?.postMessage(sent), PAUSE_MS);
		return () => clearTimeout(timer);
	});
	return {
		get current() {
			const about = question()?.step.id;
			return answer !== null && answer.step === about ? answer : null;
		}
	};
}
