<script lang="ts">
	/** The muscles the work was felt in, as the client names them. */
	import { MUSCLES } from '#lib/core/body/muscle.ts';
	import { PURPOSE_NAME } from '#lib/wording/names.ts';
	import type { SessionState } from './state.svelte.ts';
	import Tick from '../Tick.svelte';

	interface Props {
		readonly s: SessionState;
		readonly wrong: (field: string) => string | undefined;
		readonly prefix?: string;
	}
	let { s, wrong, prefix = '' }: Props = $props();
</script>

<fieldset class="mt-3">
	<legend class="font-semibold">Felt in</legend>
	<div class="flex flex-wrap gap-x-5">
		{#each MUSCLES as m (m)}<Tick
				touch
				name="{prefix}feltIn"
				value={m}
				label={PURPOSE_NAME[m] ?? m}
				bind:among={s.feltIn}
			/>{/each}
	</div>
	{#if wrong('feltIn')}<p class="text-sm text-stop" data-testid="field-wrong">{wrong('feltIn')}</p>{/if}
</fieldset>
