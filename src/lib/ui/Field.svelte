<script lang="ts">
	/**
	 * A labelled text or number field in our own dress, with what is wrong beside it. A length (cm) or mass (kg) is typed in the units that are written; what is
	 * bound and sent is metric.
	 */
	import Input from 'flowbite-svelte/Input.svelte';
	import { inUnits, typedMetric, unitName, type Unit } from '#lib/wording/units.ts';
	import { written } from '#lib/wording/written-as.ts';

	interface Props {
		readonly name: string;
		readonly label: string;
		value?: string | undefined;
		readonly unit?: string;
		readonly wrong?: string | undefined;
		/** The unit is the form's own, whatever is written elsewhere. */
		readonly asTyped?: boolean;
		/** The unit stands at the head of the column. */
		readonly hideUnit?: boolean;
		readonly hideLabel?: boolean;
		/** Tells forms of one page apart that have a field of the same name. */
		readonly of?: string;
		readonly width?: string;
		readonly [key: string]: unknown;
	}
	let {
		name,
		label,
		value = $bindable(),
		unit = '',
		wrong,
		asTyped = false,
		hideUnit = false,
		hideLabel = false,
		of = '',
		width = 'w-24',
		...rest
	}: Props = $props();
	const id = $derived(`f-${of}${name.replaceAll('.', '-')}`);
	const measured = $derived<Unit | null>(!asTyped && (unit === 'cm' || unit === 'kg') ? unit : null);
	const other = $derived(measured !== null && written().units !== 'metric' ? measured : null);
	/** As it was typed, while it means what is bound: a half-typed number is not rewritten under the hand. */
	let typed = $state({ text: '', metric: '' });
	const shown = $derived.by(() => {
		const metric = value ?? '';
		if (other === null || metric === typed.metric) return other === null ? metric : typed.text;
		const n = Number(metric.replace(',', '.'));
		return metric === '' || Number.isNaN(n) ? metric : String(inUnits(n, other));
	});
	function read(text: string, as: Unit): void {
		// What is no number goes along as it is, and is refused by name.
		typed = { text, metric: typedMetric(text, as) ?? text.trim() };
		value = typed.metric;
	}
	const wrongly = $derived({
		'aria-invalid': wrong ? ('true' as const) : undefined,
		'aria-describedby': wrong ? `${id}-wrong` : undefined,
		class: `rounded-md border bg-sheet px-2 py-1.5 text-base text-ink placeholder:text-quiet focus:border-accent focus:ring-0 dark:bg-sheet dark:text-ink ${wrong ? 'border-stop' : 'border-edge'}`
	});
</script>

<div>
	<label for={id} class={hideLabel ? 'sr-only' : 'label block'}>{label}</label>
	<span class="inline-flex items-center gap-1.5">
		<span class="inline-block {width}"
			>{#if other === null}<Input {id} {name} bind:value {...rest} {...wrongly} />{:else}<Input
					{id}
					{...rest}
					{...wrongly}
					value={shown}
					oninput={(e: Event) => read((e.currentTarget as HTMLInputElement).value, other)}
				/><input
					type="hidden"
					{name}
					value={value ?? ''}
					data-kept
					oninput={(e) => (value = e.currentTarget.value)}
				/>{/if}</span
		>
		{#if unit && !hideUnit}<span class="label">{measured === null ? unit : unitName(measured)}</span>{/if}
	</span>
	{#if wrong}<p id="{id}-wrong" class="mt-1 max-w-64 text-sm text-stop">{wrong}</p>{/if}
</div>
