<script lang="ts">
	import { enhance } from '$app/forms';
	import Act from '#lib/ui/Act.svelte';
	import AtHome from '#lib/ui/AtHome.svelte';
	import Choice from '#lib/ui/Choice.svelte';
	import DayField from '#lib/ui/DayField.svelte';
	import Field from '#lib/ui/Field.svelte';
	import KeyHelp from '#lib/ui/KeyHelp.svelte';
	import Said from '#lib/ui/Said.svelte';
	import Tick from '#lib/ui/Tick.svelte';
	import { keepForm } from '#lib/ui/keep-form.ts';
	import { sending } from '#lib/ui/sending.ts';
	import { shortDay } from '#lib/wording/days.ts';
	import { CONSENT_TEXT, LANGUAGE_NAME } from '#lib/wording/intake.ts';
	import { refusedText, wrongAt } from '#lib/ui/wrong.ts';

	let { data, form } = $props();
	const wrong = $derived(wrongAt(form));
	let chosen = $state('');
	const units = $derived(chosen === '' ? (data.units === 'imperial' ? 'imperial' : 'metric') : chosen);
	let lost = $state('');
</script>

<svelte:head><title>Register a client · Bolster</title></svelte:head>
<KeyHelp
	keys={[
		['Tab', 'next field'],
		['Space', 'tick'],
		['Enter', 'register']
	]}
/>
<main class="page max-w-6xl">
	<h1>Register a client</h1>
	<p class="label mt-1">For adults. What follows is the screening; nothing is prescribed before it.</p>
	<form
		method="POST"
		class="mt-3 grid gap-4"
		use:enhance={sending((t) => (lost = t))}
		use:keepForm={'register'}
		novalidate
	>
		<input type="hidden" name="id" value={data.ids[0]} />
		<input type="hidden" name="personId" value={data.ids[1]} />
		<input type="hidden" name="settingId" value={data.ids[2]} />
		<Said refused={lost || refusedText(form)} />
		<section class="grid gap-3" aria-label="Person">
			<h2>Person</h2>
			<div class="flex flex-wrap gap-4">
				<Field name="name" label="Name" autocomplete="off" wrong={wrong('name')} width="w-72" />
				<DayField name="born" label="Born" wrong={wrong('born')} width="w-40" today={data.today} />
				<Choice
					name="sex"
					label="Sex, for the norms"
					items={[
						{ value: '', name: 'not given: no norm by sex' },
						{ value: 'female', name: 'female' },
						{ value: 'male', name: 'male' }
					]}
					value=""
				/>
				<Field name="occupation" label="Work or day" autocomplete="off" width="w-56" />
			</div>
			<div class="flex flex-wrap items-end gap-4">
				<Choice
					name="units"
					label="Units"
					value={units}
					items={[
						{ value: 'metric', name: 'cm, kg' },
						{ value: 'imperial', name: 'ft in, lb' }
					]}
					onchange={(e: Event) => (chosen = (e.currentTarget as HTMLSelectElement).value)}
				/>
				{#if units === 'metric'}
					<Field
						name="heightCm"
						label="Height"
						unit="cm"
						asTyped
						inputmode="decimal"
						wrong={wrong('heightCm')}
						width="w-20"
					/>
					<Field
						name="massKg"
						label="Mass"
						unit="kg"
						asTyped
						inputmode="decimal"
						wrong={wrong('massKg')}
						width="w-20"
					/>
				{:else}
					<Field
						name="feet"
						label="Height"
						unit="ft"
						inputmode="decimal"
						wrong={wrong('feet')}
						width="w-16"
					/>
					<Field
						name="inches"
						label="and"
						unit="in"
						inputmode="decimal"
						wrong={wrong('inches')}
						width="w-16"
					/>
					<Field
						name="pounds"
						label="Mass"
						unit="lb"
						inputmode="decimal"
						wrong={wrong('pounds')}
						width="w-20"
					/>
				{/if}
				<Choice
					name="language"
					label="Handouts in"
					value="en"
					items={Object.entries(LANGUAGE_NAME).map(([value, name]) => ({ value, name }))}
				/>
			</div>
		</section>
		<section class="grid gap-2" aria-label="At home">
			<h2>At home</h2>
			<AtHome kit={data.kit} wrong={wrong('minutes')} />
		</section>
		<fieldset class="grid gap-1">
			<legend><h2>The client agrees, on {shortDay(data.today)}, to</h2></legend>
			{#each data.purposes as p, i (p)}
				<input type="hidden" name="consent.{p}.id" value={data.ids[3 + i]} />
				<Tick name="consent.{p}" label={CONSENT_TEXT[p] ?? p} />
			{/each}
			{#if wrong('consent.keep-record')}<p class="text-sm text-stop" data-testid="field-wrong">
					{wrong('consent.keep-record')}
				</p>{/if}
		</fieldset>
		<div><Act>Register and screen</Act></div>
	</form>
</main>
