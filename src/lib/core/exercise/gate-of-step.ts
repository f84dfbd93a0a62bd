/** Gates that ask what was shown on a step; the others ask of the client, of a course, or of several gates. */
import type { Gate } from './family.ts';

export type GateOfStep = Exclude<Gate, { readonly kind: 'any-of' | 'technique' | 'clearance' | 'stage' }>;
