import type { Context } from '#lib/server/usecase/actor.ts';

declare global {
	namespace App {
		interface Locals {
			context?: Context;
			/** Signed in, of a practice or of none. */
			userId?: string;
			/** The practices of whoever is signed in, by name. */
			practices?: readonly { readonly id: string; readonly name: string }[];
			/** How the practice's pages are made: whom to call, and how weeks and days are written. */
			house?: {
				readonly emergency: string;
				readonly emergencyWords: string;
				readonly weekStart: number;
				readonly dateOrder: string;
			};
			requestId: string;
		}
		interface Error {
			message: string;
			id?: string;
		}
	}
}

export {};
