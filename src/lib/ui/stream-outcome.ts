/** What came of a stream or a file: an analysed stream, or why the file was not read. */
import type { AngleAnswer } from '#lib/core/measure/repetitions.ts';
import type { ForceAnswer } from '#lib/core/measure/force-curve.ts';
import type { Stream } from '#lib/core/measure/stream.ts';

export type StreamOutcome =
	| {
			readonly kind: 'angle';
			readonly quantity: 'angle';
			readonly answer: AngleAnswer;
			readonly stream: Stream;
	  }
	| {
			readonly kind: 'force';
			readonly quantity: 'force';
			readonly answer: ForceAnswer;
			readonly stream: Stream;
	  }
	| { readonly kind: 'refused'; readonly message: string };
