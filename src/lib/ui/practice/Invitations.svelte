<script lang="ts">
	/** Invitations that can still be taken, and taken back. */
	import { enhance } from '$app/forms';
	import { shortDay } from '#lib/wording/days.ts';
	import { rolesText } from '#lib/wording/practice.ts';
	import Rows from '../Rows.svelte';
	import { sending } from '../sending.ts';

	interface Props {
		readonly invitations: readonly {
			readonly id: string;
			readonly name: string;
			readonly email: string;
			readonly roles: readonly string[];
			readonly expiresAt: Date;
		}[];
		readonly ids: readonly string[];
		readonly say: (text: string) => void;
	}
	let { invitations, ids, say }: Props = $props();
</script>

{#if invitations.length > 0}
	<h3 class="mt-4">Invited</h3>
	<Rows heads={['name', 'e-mail', 'as', 'until', '']} aria-label="Invitations">
		{#each invitations as i, at (i.id)}
			<tr data-testid="invitation">
				<td>{i.name}</td>
				<td>{i.email}</td>
				<td>{rolesText(i.roles)}</td>
				<td class="label">{shortDay(i.expiresAt.toISOString().slice(0, 10))}</td>
				<td class="text-right"
					><form method="POST" action="?/take-back" use:enhance={sending(say)}>
						<input type="hidden" name="id" value={ids[at]} />
						<input type="hidden" name="invitationId" value={i.id} />
						<button class="min-h-6 cursor-pointer text-accent underline" aria-label="Take back {i.name}"
							>take back</button
						>
					</form></td
				>
			</tr>
		{/each}
	</Rows>
{/if}
