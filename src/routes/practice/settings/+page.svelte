<script lang="ts">
	/** The practice's clock, units, whom to call, and what a new client begins with. */
	import { BRACE } from '#lib/catalogue/brace.ts';
	import { POLICY_IDS } from '#lib/catalogue/policies.ts';
	import { BRACES } from '#lib/core/exercise/family.ts';
	import { TECHNIQUES } from '#lib/core/posture/problem.ts';
	import Act from '#lib/ui/Act.svelte';
	import Choice from '#lib/ui/Choice.svelte';
	import Field from '#lib/ui/Field.svelte';
	import Said from '#lib/ui/Said.svelte';
	import { typedForm } from '#lib/ui/typed-form.ts';
	import { refusedText } from '#lib/ui/wrong.ts';
	import { POLICY_NAME, TECHNIQUE_NAME } from '#lib/wording/names.ts';
	import { DATE_ORDER_NAME, TRAINER_SIGNS_NAME, UNITS_NAME, WEEK_NAME } from '#lib/wording/practice.ts';

	let { data, form } = $props();
	let lost = $state('');
	const weeksOf = (n: string | number | null): string => (n === null ? '' : String(n));
	const itemsOf = (names: Readonly<Record<string, string>>) =>
		Object.entries(names).map(([value, name]) => ({ value, name }));
	// svelte-ignore state_referenced_locally
	const { settings } = data;
	const typed = typedForm({
		name: 'settings',
		fields: {
			name: settings.name,
			tz: settings.tz,
			units: settings.units,
			emergency: settings.emergency,
			policy: settings.policy,
			technique: settings.technique ?? '',
			emergencyWords: settings.emergencyWords,
			weekStart: String(settings.weekStart),
			dateOrder: settings.dateOrder,
			screeningWeeks: weeksOf(settings.screeningWeeks),
			retestWeeks: weeksOf(settings.retestWeeks),
			brace: settings.brace,
			trainerSigns: settings.trainerSigns,
			retentionYears: String(settings.retentionYears),
			quietFrom: String(settings.quietFrom),
			quietTo: String(settings.quietTo)
		},
		// svelte-ignore state_referenced_locally
		answered: form,
		say: (text) => (lost = text)
	});
	const { form: shown, errors, enhance } = typed;
	const wrong = (field: keyof typeof $shown): string | undefined => $errors[field]?.[0];
	export const snapshot = { capture: typed.capture, restore: typed.restore };
</script>

<svelte:head><title>Settings · Bolster</title></svelte:head>
<Said done={form && 'done' in form ? form.done : undefined} refused={lost || refusedText(form)} />
<h2>Settings</h2>
<form method="POST" class="mt-2 grid gap-5" use:enhance novalidate>
	<input type="hidden" name="id" value={data.id} />
	<input type="hidden" name="before" value={data.before} />
	<section class="flex flex-wrap items-end gap-4" aria-label="The practice">
		<Field name="name" label="Name" bind:value={$shown.name} wrong={wrong('name')} width="w-72" />
		<Field name="tz" label="Time zone" bind:value={$shown.tz} list="zones" wrong={wrong('tz')} width="w-56" />
		<datalist id="zones"
			>{#each data.zones as z (z)}<option value={z}></option>{/each}</datalist
		>
		<Choice name="units" label="Units" bind:value={$shown.units} items={itemsOf(UNITS_NAME)} />
		<Choice
			name="weekStart"
			label="The week begins on"
			bind:value={$shown.weekStart}
			items={itemsOf(WEEK_NAME)}
		/>
		<Choice
			name="dateOrder"
			label="Days are written"
			bind:value={$shown.dateOrder}
			items={itemsOf(DATE_ORDER_NAME)}
		/>
	</section>
	<section class="grid gap-1" aria-label="In an emergency">
		<div class="flex flex-wrap items-end gap-4">
			<Field
				name="emergency"
				label="Number to call in an emergency"
				bind:value={$shown.emergency}
				wrong={wrong('emergency')}
				width="w-40"
			/>
			<Field
				name="emergencyWords"
				label="What to do besides, in your words"
				bind:value={$shown.emergencyWords}
				wrong={wrong('emergencyWords')}
				width="w-96 max-w-full"
			/>
		</div>
		<p class="label">
			Stands on every notice that says to call. What is right where you are, you know: 112, 999, 911 …
		</p>
	</section>
	<section class="grid gap-1" aria-label="New clients">
		<div class="flex flex-wrap items-end gap-4">
			<Choice
				name="policy"
				label="Policy of new clients"
				bind:value={$shown.policy}
				items={POLICY_IDS.map((value) => ({ value, name: POLICY_NAME[value] ?? value }))}
			/>
			<Choice
				name="technique"
				label="Squat technique of new clients"
				bind:value={$shown.technique}
				items={[
					{ value: '', name: 'an ordinary rise' },
					...TECHNIQUES.map((value) => ({ value, name: TECHNIQUE_NAME[value] }))
				]}
			/>
			<Choice
				name="brace"
				label="Bracing of new clients"
				bind:value={$shown.brace}
				items={BRACES.map((value) => ({ value, name: BRACE[value].title }))}
			/>
		</div>
		<p class="label">Who is a client already keeps theirs; a licensed user changes it with them.</p>
	</section>
	<section class="grid gap-1" aria-label="Quiet hours">
		<div class="flex flex-wrap items-end gap-4">
			<Field
				name="quietFrom"
				label="Quiet from"
				unit="h"
				inputmode="numeric"
				bind:value={$shown.quietFrom}
				wrong={wrong('quietFrom')}
				width="w-16"
			/>
			<Field
				name="quietTo"
				label="until"
				unit="h"
				inputmode="numeric"
				bind:value={$shown.quietTo}
				wrong={wrong('quietTo')}
				width="w-16"
			/>
		</div>
		<p class="label">
			No reminder leaves for a client in these hours, on their own clock. A missing morning is asked for once,
			between 10 and 16.
		</p>
	</section>
	<section class="grid gap-1" aria-label="What holds for how long">
		<div class="flex flex-wrap items-end gap-4">
			<Field
				name="screeningWeeks"
				label="A screening holds"
				unit="weeks"
				inputmode="numeric"
				bind:value={$shown.screeningWeeks}
				wrong={wrong('screeningWeeks')}
				width="w-16"
			/>
			<Field
				name="retestWeeks"
				label="A measured range holds"
				unit="weeks"
				inputmode="numeric"
				bind:value={$shown.retestWeeks}
				wrong={wrong('retestWeeks')}
				width="w-16"
			/>
			<Field
				name="retentionYears"
				label="A record is kept after the last work"
				unit="years"
				inputmode="numeric"
				bind:value={$shown.retentionYears}
				wrong={wrong('retentionYears')}
				width="w-16"
			/>
		</div>
		<p class="label">
			Left empty, a screening and a range hold as long as the client’s policy says. How long a record must be
			kept is a matter of the law where you are.
		</p>
	</section>
	<section class="grid justify-items-start gap-1" aria-label="Who signs">
		<Choice
			name="trainerSigns"
			label="Of what is delegated to them, trainers sign"
			bind:value={$shown.trainerSigns}
			items={itemsOf(TRAINER_SIGNS_NAME)}
		/>
		<p class="label">A licensed user signs everything, and alone what is bolder or after a stop.</p>
	</section>
	<div><Act>Keep</Act></div>
</form>
