<script lang="ts">
	/** What there is at home, when there is time, and what the client agrees to, as it stands and as it changes. */
	import { enhance } from '$app/forms';
	import { shortDay } from '#lib/wording/days.ts';
	import { CONSENT_TEXT } from '#lib/wording/intake.ts';
	import { inUnits, unitName } from '#lib/wording/units.ts';
	import Act from '../Act.svelte';
	import Field from '../Field.svelte';
	import AtHome from '../AtHome.svelte';
	import Tick from '../Tick.svelte';
	import { keepForm } from '../keep-form.ts';
	import { sending } from '../sending.ts';

	interface Props {
		readonly formId: string;
		readonly home: {
			readonly kit: readonly string[];
			readonly homeKit: readonly string[];
			readonly homeHeights: { readonly seats: readonly number[]; readonly steps: readonly number[] };
			readonly tz: string;
			readonly days: readonly number[];
			readonly minutes: number | null;
			readonly consents: readonly {
				readonly purpose: string;
				readonly given: boolean;
				readonly day: string | null;
			}[];
		};
		readonly wrong: (field: string) => string | undefined;
		readonly say: (text: string) => void;
	}
	let { formId, home, wrong, say }: Props = $props();
	const listed = (heights: readonly number[]): string => heights.map((h) => inUnits(h, 'cm')).join(', ');
	const when = (c: Props['home']['consents'][number]): string =>
		c.day === null ? '' : ` · ${c.given ? 'agreed' : 'not, as said'} ${shortDay(c.day)}`;
</script>

<form
	method="POST"
	action="?/home"
	class="grid gap-2 pb-2"
	use:keepForm={'home'}
	use:enhance={sending(say)}
	novalidate
>
	<input type="hidden" name="id" value={formId} />
	<AtHome
		kit={home.kit}
		has={home.homeKit}
		days={home.days}
		minutes={home.minutes}
		wrong={wrong('minutes')}
	/>
	<div class="flex flex-wrap items-end gap-x-8 gap-y-2">
		<Field
			name="seats"
			of="home"
			label="Chairs at home, as measured"
			unit={unitName('cm')}
			asTyped
			value={listed(home.homeHeights.seats)}
			wrong={wrong('seats')}
			width="w-36"
		/>
		<Field
			name="steps"
			of="home"
			label="Steps at home, as measured"
			unit={unitName('cm')}
			asTyped
			value={listed(home.homeHeights.steps)}
			wrong={wrong('steps')}
			width="w-36"
		/>
		<Field
			name="tz"
			of="home"
			label="Lives in the zone"
			value={home.tz}
			list="zones"
			wrong={wrong('tz')}
			width="w-52"
		/>
		<datalist id="zones"
			>{#each Intl.supportedValuesOf('timeZone') as z (z)}<option value={z}></option>{/each}</datalist
		>
	</div>
	<fieldset class="grid">
		<legend class="label">The client agrees to</legend>
		{#each home.consents as c (c.purpose)}
			{@const text = `${CONSENT_TEXT[c.purpose] ?? c.purpose}${when(c)}`}
			{#if c.purpose === 'keep-record'}<p class="flex min-h-8 items-center">{text}</p>
			{:else}<Tick name="agreed" value={c.purpose} label={text} checked={c.given} />{/if}
		{/each}
	</fieldset>
	<div><Act kind="quiet">Keep</Act></div>
</form>
