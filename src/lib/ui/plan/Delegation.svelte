<script lang="ts">
	/** What trainers may prescribe and sign for this client, until when, and when they call. */
	import { enhance } from '$app/forms';
	import { longDay } from '#lib/wording/typed-day.ts';
	import Act from '../Act.svelte';
	import Choice from '../Choice.svelte';
	import DayField from '../DayField.svelte';
	import Field from '../Field.svelte';
	import Fold from '../Fold.svelte';
	import Tick from '../Tick.svelte';
	import { sending } from '../sending.ts';

	interface Props {
		readonly delegation: {
			readonly stands: readonly {
				readonly id: string;
				readonly memberId: string;
				readonly name: string;
				readonly families: readonly string[];
				readonly expires: string;
				readonly callWhen: string;
			}[];
			readonly trainers: readonly { readonly id: string; readonly name: string }[];
		};
		readonly families: readonly { readonly id: string; readonly title: string }[];
		/** Ladders of this client's exercises. */
		readonly inPlan: readonly string[];
		readonly ids: readonly string[];
		readonly licensed: boolean;
		readonly today: string;
		readonly wrong: (field: string) => string | undefined;
		readonly say: (text: string) => void;
	}
	let { delegation, families, inPlan, ids, licensed, today, wrong, say }: Props = $props();
	const title = (id: string): string => families.find((f) => f.id === id)?.title ?? id;
	const sorted = $derived(
		[...families].sort((a, b) => Number(inPlan.includes(b.id)) - Number(inPlan.includes(a.id)))
	);
	const needed = $derived(
		['families', 'expires', 'memberId', 'callWhen'].some((f) => wrong(f) !== undefined)
	);
	let expires = $state('');
</script>

<section class="no-print rule mt-4 pt-2" aria-label="Delegated">
	{#each delegation.stands as d, i (d.id)}
		<div class="flex flex-wrap items-baseline gap-x-3" data-testid="delegation">
			<p class={d.expires < today ? 'text-quiet' : ''}>
				<strong>{d.name}</strong> prescribes and signs {d.families.map(title).join(', ')}
				{d.expires < today ? 'no more: it ended' : 'until'}
				{longDay(d.expires)}{d.callWhen === '' ? '' : `; calls when ${d.callWhen}`}.
			</p>
			{#if licensed}<form method="POST" action="?/end-delegation" use:enhance={sending(say)}>
					<input type="hidden" name="id" value={ids[i + 1]} />
					<input type="hidden" name="delegationId" value={d.id} />
					<button class="min-h-6 cursor-pointer text-accent underline" aria-label="End what {d.name} may"
						>end it</button
					>
				</form>{/if}
		</div>
	{/each}
	{#if licensed && delegation.trainers.length > 0}
		<Fold title="Give a trainer something to do" {needed} class="text-accent">
			{#key ids[0]}<form
					method="POST"
					action="?/delegate"
					class="flex flex-wrap items-end gap-3 pb-2"
					use:enhance={sending(say)}
					novalidate
				>
					<input type="hidden" name="id" value={ids[0]} />
					<Choice
						of="delegate"
						name="memberId"
						label="Trainer"
						value={delegation.trainers[0]?.id}
						items={delegation.trainers.map((m) => ({ value: m.id, name: m.name }))}
					/>
					<DayField
						name="expires"
						label="Until"
						bind:value={expires}
						{today}
						ahead
						wrong={wrong('expires')}
						width="w-40"
					/>
					<Field
						of="delegate"
						name="callWhen"
						label="Calls when"
						placeholder="the knee is above 4, it locks …"
						wrong={wrong('callWhen')}
						width="w-72 max-w-full"
					/>
					<fieldset class="flex w-full flex-wrap gap-x-5">
						<legend class="label">May prescribe and sign, of the ladders</legend>
						{#each sorted as f (f.id)}<Tick
								name="families"
								value={f.id}
								label={f.title}
								checked={inPlan.includes(f.id)}
							/>{/each}
						{#if wrong('families')}<p class="w-full text-sm text-stop">{wrong('families')}</p>{/if}
					</fieldset>
					<Act kind="quiet">Give it</Act>
					<span class="label">In the place of what the same trainer has here.</span>
				</form>{/key}
		</Fold>
	{/if}
</section>
