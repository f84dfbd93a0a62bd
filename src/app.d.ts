import type { Context } from '#lib/server/usecase/actor.ts';

declare global {
	namespace App {
		interface Locals {
			context?: Context;
			requestId: string;
		}
		interface Error {
			message: string;
			id?: string;
		}
	}
}

export {};
