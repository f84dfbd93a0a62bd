<script lang="ts">
	/** Who is of the practice, who is invited, what each may do. */
	import Fold from '#lib/ui/Fold.svelte';
	import Rows from '#lib/ui/Rows.svelte';
	import Said from '#lib/ui/Said.svelte';
	import InviteForm from '#lib/ui/practice/InviteForm.svelte';
	import Invitations from '#lib/ui/practice/Invitations.svelte';
	import MemberForm from '#lib/ui/practice/MemberForm.svelte';
	import { refusedText, wrongAt } from '#lib/ui/wrong.ts';
	import { shortDay } from '#lib/wording/days.ts';
	import { licenceText, rolesText } from '#lib/wording/practice.ts';

	let { data, form } = $props();
	let lost = $state('');
	/** What was kept is closed; what was opened meanwhile stays open. */
	const closed = (id: string): void => void (changing = changing === id ? '' : changing);
	const wrong = $derived(wrongAt(form));
	const typed = $derived(form && 'typed' in form ? form.typed : {});
	/** The member that is being changed. */
	let changing = $state('');
	const open = $derived(changing || (typed.memberId ?? ''));
	const inviting = $derived(typed.email !== undefined);
</script>

<svelte:head><title>People · Bolster</title></svelte:head>
<Said done={form && 'done' in form ? form.done : undefined} refused={lost || refusedText(form)} />
{#if form && 'link' in form && form.link}<p
		class="my-2 border-l-4 border-accent bg-sheet px-3 py-2"
		data-testid="link"
	>
		<code class="break-all">{form.link}</code>
	</p>{/if}
<h2>People</h2>
<Rows heads={['name', 'is', 'licence', '']} aria-label="People of the practice">
	{#each data.members as m, i (m.id)}
		<tr data-testid="member" class={m.endedAt === null ? '' : 'text-quiet'}>
			<td class="align-top whitespace-nowrap">{m.name}{m.own ? ' (you)' : ''}</td>
			<td class="align-top"
				>{rolesText(m.roles)}{m.endedAt === null ? '' : `, until ${shortDay(m.endedAt)}`}
				{#if open === m.id && !m.own}{#key data.inviteId}<MemberForm
							formId={data.ids[i] ?? ''}
							member={m}
							today={data.today}
							wrong={typed.memberId === m.id ? wrong : () => undefined}
							say={(text) => (lost = text)}
							done={() => closed(m.id)}
						/>{/key}{/if}</td
			>
			<td
				class="align-top {m.licensedUntil !== null && m.licensedUntil < data.today
					? 'font-semibold text-stop'
					: 'label'}">{licenceText(m, data.today)}</td
			>
			<td class="text-right align-top"
				>{#if !m.own}<button
						type="button"
						class="min-h-6 cursor-pointer text-accent underline"
						aria-expanded={open === m.id}
						aria-label="Change {m.name}"
						onclick={() => (changing = changing === m.id ? '' : m.id)}>change</button
					>{/if}</td
			>
		</tr>
	{/each}
</Rows>
<p class="label mt-1">
	Nobody changes their own membership. A licence that has ended signs nothing from that day on.
</p>
<Invitations
	invitations={data.invitations}
	ids={data.ids.slice(data.members.length)}
	say={(text) => (lost = text)}
/>
<Fold title="Invite somebody" needed={inviting} class="mt-2 text-accent">
	{#key data.inviteId}<InviteForm
			formId={data.inviteId}
			today={data.today}
			typed={inviting ? typed : {}}
			wrong={inviting ? wrong : () => undefined}
			say={(text) => (lost = text)}
		/>{/key}
</Fold>
{#if data.changes.length > 0}<Fold title="What was changed" class="text-accent">
		<ul class="grid gap-1 pb-2">
			{#each data.changes as c, i (i)}<li>
					<span class="label">{shortDay(c.at.toISOString().slice(0, 10))}, {c.by}:</span>
					{c.what}
				</li>{/each}
		</ul>
	</Fold>{/if}
