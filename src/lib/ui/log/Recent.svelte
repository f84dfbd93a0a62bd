<script lang="ts">
	/** The last sessions; one that was logged by mistake is taken out, with its reason. */
	import { enhance } from '$app/forms';
	import { shortDay } from '#lib/wording/days.ts';
	import Act from '../Act.svelte';
	import Field from '../Field.svelte';
	import { sending } from '../sending.ts';

	interface Props {
		readonly recent: readonly {
			readonly id: string;
			readonly mine: boolean;
			readonly date: string;
			readonly sets: number;
			readonly reps: number;
			readonly peak: number | null;
			readonly against: boolean;
		}[];
		readonly voidId: string;
		readonly wrong: (field: string) => string | undefined;
		readonly say: (text: string) => void;
	}
	let { recent, voidId, wrong, say }: Props = $props();
	/** The logged session that is being taken out, and why. */
	let taking = $state('');
	let why = $state('');
</script>

<section class="rule mt-6 pt-3 text-base" aria-label="Last sessions">
	<h3>Last sessions</h3>
	<ul>
		{#each recent as r (r.id)}
			<li class="rule flex flex-wrap items-center gap-x-4 py-1">
				<span
					>{shortDay(r.date)}: {r.sets}×{r.reps}, worst {r.peak ?? '–'}{r.against
						? ', against advice'
						: ''}</span
				>
				{#if r.mine}<button
						type="button"
						class="ml-auto min-h-12 cursor-pointer text-accent underline"
						aria-expanded={taking === r.id}
						onclick={() => (taking = taking === r.id ? '' : r.id)}>Logged by mistake</button
					>{/if}
				{#if taking === r.id}
					<form
						method="POST"
						action="?/void"
						class="flex w-full flex-wrap items-end gap-3 pb-2"
						use:enhance={sending(say, () => (taking = ''))}
						novalidate
					>
						<input type="hidden" name="id" value={voidId} />
						<input type="hidden" name="logId" value={r.id} />
						<Field
							name="reason"
							label="What was wrong with it"
							bind:value={why}
							wrong={wrong('reason')}
							width="w-64 max-w-full"
						/>
						<Act kind="danger">Take it out</Act>
					</form>
				{/if}
			</li>
		{/each}
	</ul>
</section>
