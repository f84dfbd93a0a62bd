<script lang="ts">
	/** The practice's clock, units, whom to call, and what a new client begins with. */
	import { enhance } from '$app/forms';
	import { POLICY_IDS } from '#lib/catalogue/policies.ts';
	import { TECHNIQUES } from '#lib/core/posture/problem.ts';
	import Act from '#lib/ui/Act.svelte';
	import Choice from '#lib/ui/Choice.svelte';
	import Field from '#lib/ui/Field.svelte';
	import Said from '#lib/ui/Said.svelte';
	import { sending } from '#lib/ui/sending.ts';
	import { refusedText, wrongAt } from '#lib/ui/wrong.ts';
	import { POLICY_NAME, TECHNIQUE_NAME } from '#lib/wording/names.ts';
	import { UNITS_NAME } from '#lib/wording/practice.ts';

	let { data, form } = $props();
	let lost = $state('');
	const wrong = $derived(wrongAt(form));
	const typed = $derived(form && 'typed' in form ? form.typed : undefined);
	const shown = $derived({
		name: typed?.name ?? data.settings.name,
		tz: typed?.tz ?? data.settings.tz,
		units: typed?.units ?? data.settings.units,
		emergency: typed?.emergency ?? data.settings.emergency,
		policy: typed?.policy ?? data.settings.policy,
		technique: typed?.technique ?? data.settings.technique ?? ''
	});
</script>

<svelte:head><title>Settings · Bolster</title></svelte:head>
<Said done={form && 'done' in form ? form.done : undefined} refused={lost || refusedText(form)} />
<h2>Settings</h2>
<form method="POST" class="mt-2 grid gap-5" use:enhance={sending((t) => (lost = t))} novalidate>
	<input type="hidden" name="id" value={data.id} />
	<input type="hidden" name="before" value={data.before} />
	<section class="flex flex-wrap items-end gap-4" aria-label="The practice">
		<Field name="name" label="Name" value={shown.name} wrong={wrong('name')} width="w-72" />
		<Field name="tz" label="Time zone" value={shown.tz} list="zones" wrong={wrong('tz')} width="w-56" />
		<datalist id="zones"
			>{#each data.zones as z (z)}<option value={z}></option>{/each}</datalist
		>
		<Choice
			name="units"
			label="Units"
			value={shown.units}
			items={Object.entries(UNITS_NAME).map(([value, name]) => ({ value, name }))}
		/>
	</section>
	<section class="grid gap-1" aria-label="In an emergency">
		<Field
			name="emergency"
			label="Number to call in an emergency"
			value={shown.emergency}
			wrong={wrong('emergency')}
			width="w-40"
		/>
		<p class="label">
			Stands on every notice that says to call. What is right where you are, you know: 112, 999, 911 …
		</p>
	</section>
	<section class="grid gap-1" aria-label="New clients">
		<div class="flex flex-wrap items-end gap-4">
			<Choice
				name="policy"
				label="Policy of new clients"
				value={shown.policy}
				items={POLICY_IDS.map((value) => ({ value, name: POLICY_NAME[value] ?? value }))}
			/>
			<Choice
				name="technique"
				label="Squat technique of new clients"
				value={shown.technique}
				items={[
					{ value: '', name: 'an ordinary rise' },
					...TECHNIQUES.map((value) => ({ value, name: TECHNIQUE_NAME[value] }))
				]}
			/>
		</div>
		<p class="label">Who is a client already keeps theirs; a licensed user changes it with them.</p>
	</section>
	<div><Act>Keep</Act></div>
</form>
