<script lang="ts">
	/** Steps that would be taken, to be ticked and prescribed in one go: by purpose, or after another client's plan. */
	import { enhance } from '$app/forms';
	import type { FitContext } from '#lib/core/movement/context.ts';
	import { regionName } from '#lib/wording/names.ts';
	import { setupText } from '#lib/wording/setup.ts';
	import Act from '../Act.svelte';
	import Choice from '../Choice.svelte';
	import FigureView from '../FigureView.svelte';
	import { figureOfStep } from '../scene.ts';
	import { sending } from '../sending.ts';
	import type { PlanRow } from './plan-rows.ts';

	interface Props {
		readonly clientId: string;
		readonly rows: readonly PlanRow[];
		readonly ctx: FitContext;
		readonly regions: readonly string[];
		/** Steps that are in the plan of a region already. */
		readonly given: readonly { readonly step: string; readonly region: string }[];
		readonly formId: string;
		/** Two for each row: of the prescription, and of the exercise. */
		readonly rowIds: readonly string[];
		/** Why a region waits, whatever the step. */
		readonly holds: Readonly<Record<string, string | null>>;
		readonly say: (text: string) => void;
	}
	let { clientId, rows, ctx, regions, given, formId, rowIds, holds, say }: Props = $props();
	let chosen = $state('');
	const region = $derived(regions.includes(chosen) ? chosen : (regions[0] ?? ''));
	let ticked = $state<Record<string, boolean>>({});
	const inPlan = (step: string): boolean => given.some((g) => g.step === step && g.region === region);
	const count = $derived(
		rows.filter((r) => r.pick !== null && ticked[r.key] === true && !inPlan(r.pick.step.id)).length
	);
	const hold = $derived(holds[region] ?? null);
</script>

<form method="POST" action="?/several" use:enhance={sending(say)} novalidate>
	<input type="hidden" name="id" value={formId} />
	<ol class="mt-1" data-testid="plan">
		{#each rows as p, i (p.key)}
			<li class="rule grid grid-cols-[44px_1fr_auto] items-center gap-2 py-1" data-purpose={p.key}>
				{#if p.pick}
					{@const { family, step, fit } = p.pick}
					<span class="flex justify-center"
						><FigureView figure={figureOfStep(step, ctx, fit.setup)} label="" height={40} /></span
					>
					<span
						><span class="label block">{p.label}</span><a
							class="underline"
							href="/clients/{clientId}/ladder?family={family.id}&step={step.id}">{step.title}</a
						>{fit.setup === null ? '' : `, ${setupText(fit.setup)}`}</span
					>
					{#if inPlan(step.id)}<span class="label">in the plan</span>{:else}
						<input type="hidden" name="id.{i}" value={rowIds[2 * i]} />
						<input type="hidden" name="exerciseId.{i}" value={rowIds[2 * i + 1]} />
						<input type="hidden" name="family.{i}" value={family.id} />
						<input type="hidden" name="step.{i}" value={step.id} />
						<input
							type="checkbox"
							name="take.{i}"
							bind:checked={() => ticked[p.key] ?? false, (v) => (ticked[p.key] = v)}
							aria-label="Take {step.title}"
							class="size-5 accent-(--accent)"
						/>{/if}
				{:else}
					<span></span><span
						><span class="label block">{p.label}</span><span class="text-quiet">nothing open</span></span
					>
				{/if}
			</li>
		{/each}
	</ol>
	<div class="rule flex flex-wrap items-end gap-3 pt-2">
		{#if regions.length > 1}<Choice
				of="several"
				name="region"
				label="For"
				value={region}
				onchange={(e: Event) => (chosen = (e.currentTarget as HTMLSelectElement).value)}
				items={regions.map((r) => ({ value: r, name: regionName(r) }))}
			/>{:else}<input type="hidden" name="region" value={region} />{/if}
		<Act disabled={count === 0 || hold !== null}
			>{count === 0 ? 'Tick what to prescribe' : `Prescribe ${count} for the ${regionName(region)}`}</Act
		>
	</div>
	{#if hold}<p class="mt-1 text-sm text-stop">{hold}</p>{/if}
	<p class="label mt-1">Each begins at its first dose and its own solved set-up.</p>
</form>
