<script lang="ts">
	/** Stature, mass, segments that were measured, and shoes. */
	import { enhance } from '$app/forms';
	import Act from '../Act.svelte';
	import Field from '../Field.svelte';
	import { keepForm } from '../keep-form.ts';
	import { sending } from '../sending.ts';

	const FIELDS = [
		['heightCm', 'Height', 'cm'],
		['massKg', 'Mass', 'kg'],
		['shankCm', 'Shank, if measured', 'cm'],
		['thighCm', 'Thigh, if measured', 'cm'],
		['trunkCm', 'Trunk, if measured', 'cm'],
		['footCm', 'Foot, if measured', 'cm'],
		['shoeHeelCm', 'Heel of the shoe', 'cm']
	] as const;
	type BodyField = (typeof FIELDS)[number][0];

	interface Props {
		readonly id: string;
		readonly setting: Readonly<Record<BodyField, number | null>>;
		readonly at: (field: string) => string | undefined;
		readonly say: (text: string) => void;
	}
	let { id, setting, at, say }: Props = $props();
	let typed = $state({} as Record<BodyField, string>);
	$effect.pre(() => {
		if (typed.heightCm !== undefined) return;
		typed = Object.fromEntries(FIELDS.map(([f]) => [f, String(setting[f] ?? '')])) as typeof typed;
	});
</script>

<form
	method="POST"
	action="?/body"
	class="mt-2 grid gap-3"
	use:enhance={sending(say)}
	use:keepForm={'body'}
	novalidate
>
	<input type="hidden" name="id" value={id} />
	<div class="grid grid-cols-2 gap-3">
		{#each FIELDS as [name, label, unit] (name)}<Field
				{name}
				{label}
				{unit}
				inputmode="decimal"
				bind:value={typed[name]}
				wrong={at(name)}
				width="w-18"
			/>{/each}
	</div>
	<p class="label">
		Measured segments take most of the error out of a solved seat; a raised heel works like a wedge.
	</p>
	<div><Act kind="quiet">Save body</Act></div>
</form>
