<script lang="ts">
	/** The story of a sore place: since when, how it began and goes, what others said, what is feared. Told again, it takes the place of the one before. */
	import { enhance } from '$app/forms';
	import { FEAR_ROWS, SAID_ROWS } from '#lib/contract/history-form.ts';
	import { BEGINNINGS, COURSES, SAID_KINDS, type Story } from '#lib/core/client/story.ts';
	import { BEGAN_NAME, COURSE_NAME, SAID_NAME } from '#lib/wording/history.ts';
	import Act from '../Act.svelte';
	import Choice from '../Choice.svelte';
	import DayField from '../DayField.svelte';
	import Field from '../Field.svelte';
	import { keepForm } from '../keep-form.ts';
	import { sending } from '../sending.ts';

	interface Props {
		readonly formId: string;
		readonly region: string;
		readonly place: string;
		readonly today: string;
		readonly known: Story | undefined;
		readonly ladders: readonly { readonly value: string; readonly name: string }[];
		/** What was typed and refused. */
		readonly typed: Readonly<Record<string, string>>;
		readonly wrong: (field: string) => string | undefined;
		readonly say: (text: string) => void;
	}
	let { formId, region, place, today, known, ladders, typed, wrong, say }: Props = $props();
	const start = (name: string, stored: string | number | null | undefined): string =>
		typed[name] ?? (stored === null || stored === undefined ? '' : String(stored));
	// svelte-ignore state_referenced_locally
	let since = $state(start('since', known?.since));

	let saidOn = $state(SAID_ROWS.map((i) => start(`saidOn${i}`, known?.said[i]?.on)));
	const choice = <T extends string>(all: readonly T[], names: Readonly<Record<T, string>>) => [
		{ value: '', name: 'not said' },
		...all.map((v) => ({ value: v, name: names[v] }))
	];
	/** Rows that are filled, and one more. */
	const said = $derived(SAID_ROWS.filter((i) => i <= (known?.said.length ?? 0) || typed[`saidText${i}`]));
	const fears = $derived(FEAR_ROWS.filter((i) => i <= (known?.feared.length ?? 0) || typed[`feared${i}`]));
	const lines = $derived([
		['how', 'How', known?.how, 'w-80'],
		['medicines', 'Medicines', known?.medicines, 'w-64'],
		['earlierCare', 'Earlier care, and what it did', known?.earlierCare, 'w-80'],
		['demands', 'What work and sport ask', known?.demands, 'w-80']
	] as const);
</script>

<form
	method="POST"
	action="?/story"
	class="grid gap-3 pb-3"
	use:keepForm={'story'}
	use:enhance={sending(say)}
	novalidate
>
	<input type="hidden" name="id" value={formId} /><input type="hidden" name="region" value={region} />
	<div class="flex flex-wrap items-end gap-4">
		<DayField name="since" label="Since" bind:value={since} wrong={wrong('since')} width="w-40" {today} />
		<Choice
			name="began"
			label="Began"
			value={start('began', known?.began)}
			items={choice(BEGINNINGS, BEGAN_NAME)}
		/>
		<Choice
			name="course"
			label="Goes"
			value={start('course', known?.course)}
			items={choice(COURSES, COURSE_NAME)}
		/>
	</div>
	<div class="flex flex-wrap items-end gap-4">
		{#each lines as [name, label, stored, width] (name)}<Field
				of="story"
				{name}
				{label}
				value={start(name, stored)}
				wrong={wrong(name)}
				width="{width} max-w-full"
				autocomplete="off"
			/>{/each}
	</div>
	<fieldset class="grid gap-2">
		<legend class="label">What others said: diagnosis, imaging, referral</legend>
		{#each said as i (i)}<div class="flex flex-wrap items-end gap-3">
				<Choice
					name="saidKind{i}"
					label="Which"
					value={start(`saidKind${i}`, known?.said[i]?.kind)}
					items={choice(SAID_KINDS, SAID_NAME)}
				/>
				<Field
					of="story"
					name="saidText{i}"
					label="What"
					value={start(`saidText${i}`, known?.said[i]?.text)}
					wrong={wrong(`saidText${i}`)}
					width="w-72 max-w-full"
				/>
				<Field
					of="story"
					name="saidBy{i}"
					label="By whom"
					value={start(`saidBy${i}`, known?.said[i]?.by)}
					wrong={wrong(`saidBy${i}`)}
					width="w-36"
				/>
				<DayField
					name="saidOn{i}"
					label="On"
					bind:value={saidOn[i] as string}
					wrong={wrong(`saidOn${i}`)}
					width="w-36"
					{today}
				/>
				{#if wrong(`saidKind${i}`)}<p class="text-sm text-stop">{wrong(`saidKind${i}`)}</p>{/if}
			</div>{/each}
	</fieldset>
	<fieldset class="grid gap-2">
		<legend class="label"
			>Movements that are feared: each begins at its smallest step and climbs by confidence</legend
		>
		{#each fears as i (i)}<div class="flex flex-wrap items-end gap-3">
				<Choice
					name="feared{i}"
					label="Movement"
					value={start(`feared${i}`, known?.feared[i]?.family)}
					items={[{ value: '', name: 'none' }, ...ladders]}
				/>
				<Field
					of="story"
					name="sure{i}"
					label="Sure of it now, 0–10"
					inputmode="numeric"
					value={start(`sure${i}`, known?.feared[i]?.confidence)}
					wrong={wrong(`sure${i}`)}
					width="w-16"
				/>
				{#if wrong(`feared${i}`)}<p class="text-sm text-stop">{wrong(`feared${i}`)}</p>{/if}
			</div>{/each}
	</fieldset>
	<div><Act>Keep the story of the {place}</Act></div>
</form>
