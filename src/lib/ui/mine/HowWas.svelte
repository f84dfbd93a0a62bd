<script lang="ts">
	/** How it was, at the end: worst pain and pain now, of each place that worked. */
	import { regionIn } from '#lib/wording/mine/names.ts';
	import Score from '../Score.svelte';
	import { mineHere } from './context.ts';
	import Tap from './Tap.svelte';

	interface Props {
		readonly regions: readonly string[];
		readonly pains: Readonly<Record<string, string>>;
		readonly change: (pains: Record<string, string>) => void;
		readonly sure: string | undefined;
		readonly beSure: (sure: string) => void;
		readonly missing: boolean;
		readonly keep: () => void;
	}
	let { regions, pains, change, sure, beSure, missing, keep }: Props = $props();
	const { say, language } = mineHere();
	// Asked at the end only where it was not said on the way; what is being answered stays.
	// svelte-ignore state_referenced_locally
	const known = new Set(regions.filter((r) => (pains[`${r}.before`] ?? '') !== ''));
	const ASKED = [
		['before', 'painNow'],
		['peak', 'worst'],
		['after', 'afterwards']
	] as const;
</script>

<section aria-label={say('after')}>
	<h2>{say('after')}</h2>
	{#each regions as region (region)}
		{#each ASKED.filter(([when]) => when !== 'before' || !known.has(region)) as [when, key] (when)}<Score
				name="{region}.{when}"
				label={say(key, { region: regionIn(language, region) })}
				ends={say('painEnds').split('|') as [string, string]}
				bind:value={
					() => pains[`${region}.${when}`], (v) => change({ ...pains, [`${region}.${when}`]: v ?? '' })
				}
				wrong={missing && !pains[`${region}.${when}`] ? say('sayPain') : undefined}
			/>{/each}
	{/each}
	<Score
		name="sure"
		label={say('sure')}
		ends={say('sureEnds').split('|') as [string, string]}
		bind:value={() => sure, (v) => beSure(v ?? '')}
	/>
	<div class="pt-3"><Tap onclick={keep}>{say('keep')}</Tap></div>
</section>
