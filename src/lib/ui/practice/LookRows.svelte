<script lang="ts">
	/** Looks, one a row, newest first, by the practice's clock; what was refused stands out. */
	import { wallClock } from '#lib/core/base/zone-day.ts';
	import { shortDay } from '#lib/wording/days.ts';
	import LongRows from '../LongRows.svelte';

	interface Look {
		readonly at: string;
		readonly by: string;
		readonly client: string | null;
		readonly what: string;
		readonly kind: 'record' | 'sign-in' | 'refused';
	}
	interface Props {
		readonly looks: readonly Look[];
		readonly tz: string;
	}
	let { looks, tz }: Props = $props();
	const SIGN_IN: Readonly<Record<string, string>> = {
		in: 'signed in',
		wrong: 'wrong password',
		slowed: 'too many wrong tries: not asked',
		reset: 'password set anew by mail'
	};
	const said = ({ kind, what }: Look): string =>
		kind === 'sign-in' ? (SIGN_IN[what] ?? what) : kind === 'refused' ? `refused ${what}` : what;
	const two = (n: number): string => String(n).padStart(2, '0');
	const when = (iso: string): string => {
		const { day, hour, minute } = wallClock(tz, new Date(iso));
		return `${shortDay(day)} ${two(hour)}:${two(minute)}`;
	};
</script>

{#if looks.length === 0}<p class="rule mt-2 py-2">Nothing yet.</p>
{:else}
	<LongRows
		label="Who looked at what"
		find="Find a person or what was done"
		rows={looks}
		of={(x) => ({ 'data-testid': 'look', class: x.kind === 'refused' ? 'text-caution' : '' })}
		columns={[
			{ head: 'when', value: (x) => x.at },
			{ head: 'who', value: (x) => x.by },
			{ head: 'whose record', value: (x) => x.client },
			{ head: 'what', value: said }
		]}
	>
		{#snippet cells(x)}
			<td class="whitespace-nowrap">{when(x.at)}</td><td>{x.by}</td><td>{x.client ?? ''}</td><td>{said(x)}</td
			>
		{/snippet}
	</LongRows>
{/if}
