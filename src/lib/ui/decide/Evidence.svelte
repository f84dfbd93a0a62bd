<script lang="ts">
	/** What the decision rests on: reasons with their sources, the last sessions, every rule and why it fired or did not. */
	import type { SlipView } from '#lib/contract/slip-view.ts';
	import { shortDay } from '#lib/wording/days.ts';
	import { ruleName } from '#lib/wording/rules.ts';
	import Fold from '../Fold.svelte';
	import Rows from '../Rows.svelte';
	import SourceLink from '../SourceLink.svelte';

	interface Props {
		readonly slip: SlipView;
	}
	let { slip }: Props = $props();
	const HEADS = ['last sessions', 'done', 'effort', 'before', 'worst', 'after', 'next morning', 'form'];
	const fired = (rule: string, also: boolean): string =>
		rule === slip.rule ? 'fires' : also ? 'also' : 'no';
</script>

<h3>Evidence</h3>
<ul class="mb-3">
	{#each slip.reasons as r, i (i)}<li class="rule flex gap-3 py-1">
			<span aria-hidden="true">{r.met ? '●' : '○'}</span><span class="first-letter:uppercase">{r.text}</span
			><span class="ml-auto text-sm"><SourceLink source={r.source} /></span>
		</li>{/each}
</ul>
{#if slip.sessions.length > 0}
	<Rows heads={HEADS} class="mb-3" aria-label="Last sessions">
		{#each slip.sessions as s, i (i)}
			<tr class={s.counts ? '' : 'text-quiet'}
				><td>{shortDay(s.date)}{s.counts ? '' : ' (before the change)'}</td><td>{s.work}</td><td
					>{s.effort ?? '–'}</td
				><td>{s.before ?? '–'}</td><td class="font-semibold">{s.peak ?? '–'}</td><td
					>{s.after ?? '–'}{s.evening === null ? '' : `, evening ${s.evening}`}</td
				><td class="font-semibold">{s.next ?? 'not in'}</td><td>{s.seen ? 'seen' : 'alone'}</td></tr
			>
		{/each}
	</Rows>
{/if}
<Fold title="Every rule, fired or why not" class="font-semibold text-ink">
	<Rows heads={[]} aria-label="Every rule">
		{#each slip.considered as c (c.rule)}<tr class={c.rule === slip.rule ? 'font-bold' : ''}
				><td class="pr-4 whitespace-nowrap">{ruleName(c.rule)}</td><td>{fired(c.rule, c.fired)}</td><td
					>{c.why || '–'}</td
				></tr
			>{/each}
	</Rows>
</Fold>
