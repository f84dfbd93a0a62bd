import type { Context } from '#lib/server/usecase/actor.ts';

declare global {
	namespace App {
		interface Locals {
			context?: Context;
			/** Signed in, of a practice or of none. */
			userId?: string;
			/** The practices of whoever is signed in, by name. */
			practices?: readonly { readonly id: string; readonly name: string }[];
			/** The number the practice calls in an emergency. */
			emergency?: string;
			requestId: string;
		}
		interface Error {
			message: string;
			id?: string;
		}
	}
}

export {};
