<script lang="ts">
	/** What was answered to something a client told: an alarm first, in the practice's own number. */
	import { page } from '$app/state';
	import type { MineView } from '#lib/contract/mine.ts';
	import type { Answered } from '#lib/contract/mine-kept.ts';
	import { regionIn } from '#lib/wording/mine/names.ts';
	import { mineHere } from './context.ts';

	interface Props {
		/** Null: kept on the device, not answered yet. */
		readonly answered: Answered | null;
	}
	let { answered }: Props = $props();
	const { say, language } = mineHere();
	const mine = $derived(page.data.mine as MineView);
	const number = $derived(mine.emergency || say('emergencyNumber'));
	const regions = $derived(
		answered === null || answered.closes === 'day'
			? ''
			: answered.closes.map((r) => regionIn(language, r)).join(', ')
	);
</script>

{#if answered === null}
	<p class="border-l-4 border-accent pl-3" role="status" data-testid="kept-here">{say('keptHere')}</p>
{:else if answered.now === 'emergency'}
	<div role="alert" class="border-4 border-stop bg-sheet p-4" data-testid="emergency">
		<h2 class="text-2xl text-stop">{say('callNow', { number })}</h2>
		{#if mine.emergencyWords}<p class="font-semibold">{mine.emergencyWords}</p>{/if}
		<p>{say('noExercise')} {say('nobodyReads')}</p>
	</div>
{:else if answered.now === 'stop-all' || answered.now === 'stop-limb'}
	<div role="alert" class="border-4 border-stop bg-sheet p-4 font-semibold" data-testid="alarm">
		<p class="text-stop">{say('callPractice', { practice: mine.practice })}</p>
		<p>{say('noExercise')} {say('nobodyReads')}</p>
	</div>
{:else}
	<div role="status" class="border-l-4 border-tolerated pl-3" data-testid="kept">
		<p>{say('kept')}</p>
		{#if answered.now === 'note'}<p>{say('noted', { practice: mine.practice })}</p>{/if}
		{#if answered.closes === 'day'}<p class="font-semibold">{say('notTodayAll')}</p>
		{:else if regions}<p class="font-semibold">{say('notTodayFor', { regions })}</p>{/if}
	</div>
{/if}
