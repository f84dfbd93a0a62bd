/** Replays a stored decision from its stored inputs: same versions, same trace, or the difference is named. */
import { CATALOGUE_VERSION } from '#lib/catalogue/families.ts';
import { canonical } from '#lib/core/base/canonical.ts';
import { upgraded } from '#lib/core/decision/upgrade.ts';
import { decide } from '#lib/core/decision/decide.ts';
import { ENGINE_VERSION } from '#lib/core/decision/trace.ts';
import type { SignedDecision } from '../repo/decision-repo.ts';

export type Replay = { readonly same: true } | { readonly same: false; readonly since: string };

export function replay(d: SignedDecision): Replay {
	if (canonical(decide(upgraded(d.inputs, d.versions.engine))) === canonical(d.proposal))
		return { same: true };
	const moved =
		d.versions.engine !== ENGINE_VERSION
			? `engine ${d.versions.engine}`
			: d.versions.catalogue !== CATALOGUE_VERSION
				? `catalogue ${d.versions.catalogue}`
				: 'an unknown change';
	return { same: false, since: moved };
}
