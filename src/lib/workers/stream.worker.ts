/** Streams and recorded files analysed away from the page: a thin shell over the core. */
import { forceOf, type ForceAnswer } from '../core/measure/force-curve.ts';
import { repetitionsIn, type AngleAnswer } from '../core/measure/repetitions.ts';
import type { Stream } from '../core/measure/stream.ts';
import { streamFromCsv, type Recorded } from '../exchange/stream-csv.ts';

export type StreamQuestion =
	| { readonly ask: number; readonly quantity: Recorded; readonly stream: Stream }
	| { readonly ask: number; readonly csv: string };

export type StreamAnswer =
	| {
			readonly ask: number;
			readonly quantity: 'angle';
			readonly answer: AngleAnswer;
			readonly stream: Stream;
	  }
	| {
			readonly ask: number;
			readonly quantity: 'force';
			readonly answer: ForceAnswer;
			readonly stream: Stream;
	  }
	| { readonly ask: number; readonly refused: string };

const answered = (ask: number, quantity: Recorded, stream: Stream): StreamAnswer =>
	quantity === 'angle'
		? { ask, quantity, answer: repetitionsIn(stream), stream }
		: { ask, quantity, answer: forceOf(stream), stream };

self.onmessage = ({ data }: MessageEvent<StreamQuestion>) => {
	if (!('csv' in data)) return self.postMessage(answered(data.ask, data.quantity, data.stream));
	const read = streamFromCsv(data.csv);
	self.postMessage(
		read.ok
			? answered(data.ask, read.value.quantity, read.value.stream)
			: ({
					ask: data.ask,
					refused: `Line ${read.refusal.line}: ${read.refusal.message}`
				} satisfies StreamAnswer)
	);
};
