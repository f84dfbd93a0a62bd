import { contextIn } from '#lib/server/http/client-page.ts';
import { showBackups } from '#lib/server/usecase/show-backups.ts';
import type { LayoutServerLoad } from './$types';

export const load: LayoutServerLoad = ({ locals }) => {
	const ctx = contextIn(locals);
	const backups = showBackups(ctx);
	return {
		owner: ctx.actor.owner,
		licensed: ctx.actor.licensed,
		backupWarning: backups.ok ? backups.value.warning : null
	};
};
