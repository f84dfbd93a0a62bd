export interface Cluster {
	readonly bin: string;
	readonly port: number;
	readonly authSecret: string;
	readonly superUrl: string;
	ownerUrl(database: string): string;
	/** Of the role that signs people in. */
	signInUrl(database: string): string;
	appUrl(database: string): string;
	readonly passwords: { readonly owner: string; readonly app: string; readonly signin: string };
	stop(): unknown;
	remove(): void;
}
export function startCluster(home: string, options?: { readonly fast?: boolean }): Promise<Cluster>;
export function freePort(): Promise<number>;
export function ensurePostgres(): string;
