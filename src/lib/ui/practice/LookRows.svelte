<script lang="ts">
	/** Looks, one a row, newest first, by the practice's clock; what was refused stands out. */
	import { wallClock } from '#lib/core/base/zone-day.ts';
	import { shortDay } from '#lib/wording/days.ts';
	import Rows from '../Rows.svelte';

	interface Props {
		readonly looks: readonly {
			readonly at: string;
			readonly by: string;
			readonly client: string | null;
			readonly what: string;
			readonly kind: 'record' | 'sign-in' | 'refused';
		}[];
		readonly tz: string;
	}
	let { looks, tz }: Props = $props();
	const SIGN_IN: Readonly<Record<string, string>> = {
		in: 'signed in',
		wrong: 'wrong password',
		slowed: 'too many wrong tries: not asked',
		reset: 'password set anew by mail'
	};
	const two = (n: number): string => String(n).padStart(2, '0');
	const when = (iso: string): string => {
		const { day, hour, minute } = wallClock(tz, new Date(iso));
		return `${shortDay(day)} ${two(hour)}:${two(minute)}`;
	};
</script>

{#if looks.length === 0}<p class="rule mt-2 py-2">Nothing yet.</p>
{:else}
	<Rows heads={['when', 'who', 'whose record', 'what']} aria-label="Who looked at what">
		{#each looks as x, i (i)}
			<tr data-testid="look" class={x.kind === 'refused' ? 'text-caution' : ''}
				><td class="whitespace-nowrap">{when(x.at)}</td><td>{x.by}</td><td>{x.client ?? ''}</td><td
					>{x.kind === 'sign-in'
						? (SIGN_IN[x.what] ?? x.what)
						: x.kind === 'refused'
							? `refused ${x.what}`
							: x.what}</td
				></tr
			>
		{/each}
	</Rows>
{/if}
