<script lang="ts">
	/** Operations, the phases of their protocols and single limits: as the protocol gives them, never filled in from what is typical. */
	import { enhance } from '$app/forms';
	import { RANGES } from '#lib/catalogue/ranges.ts';
	import { SIDES } from '#lib/core/body/axis.ts';
	import { sideOf } from '#lib/core/body/region-side.ts';
	import { REGIONS } from '#lib/core/body/place.ts';
	import type { PhaseNow } from '#lib/core/client/protocol.ts';
	import { shortDay } from '#lib/wording/days.ts';
	import { regionName } from '#lib/wording/names.ts';
	import { limitText, phaseText, phaseWords, WHEN_NAME } from '#lib/wording/protocol.ts';
	import type { Limit, Surgery } from '#lib/contract/view.ts';
	import Act from './Act.svelte';
	import Choice from './Choice.svelte';
	import DayField from './DayField.svelte';
	import Field from './Field.svelte';
	import Fold from './Fold.svelte';
	import PhaseFields from './PhaseFields.svelte';
	import { sending } from './sending.ts';
	import { wrongUnder, type Wrong } from './wrong.ts';

	interface Props {
		readonly surgery: readonly (Surgery & { readonly now: PhaseNow | null })[];
		readonly limits: readonly Limit[];
		readonly ids: readonly string[];
		readonly licensed: boolean;
		readonly today: string;
		readonly wrong: Wrong | undefined;
		readonly say: (text: string) => void;
	}
	let { surgery, limits, ids, licensed, today, wrong, say }: Props = $props();
	const at = (field: string): string | undefined => wrong?.all[field];
	/** How many phases are being written, by operation. */
	let phases: Record<string, number> = $state({});
	const MOST = 4;
	const AXES = Object.values(RANGES).map((r) => ({ value: r.id, name: r.name }));
</script>

<section aria-label="Operations and limits" class="grid gap-2">
	<h2>Operations and limits</h2>
	{#each limits as l (l.id)}
		<div class="rule py-1.5 text-sm">
			<strong>{limitText(l)}</strong>, {l.source}{l.reviewOn ? `, review ${shortDay(l.reviewOn)}` : ''}
			{#if licensed}
				<Fold title="Lift it" needed={at('reason') !== undefined} class="cursor-pointer text-accent">
					<form method="POST" action="?/lift" class="mt-1 flex items-end gap-2" use:enhance={sending(say)}>
						<input type="hidden" name="id" value={ids[0]} /><input
							type="hidden"
							name="limitId"
							value={l.id}
						/>
						<Field of={l.id} name="reason" label="On whose word" wrong={at('reason')} width="w-44" /><Act
							kind="quiet">Lift</Act
						>
					</form>
				</Fold>
			{/if}
		</div>
	{/each}
	{#each surgery as s (s.id)}
		<div class="rule py-2" data-testid="operation">
			<p class={s.limitsEntered ? 'font-semibold' : 'font-semibold text-caution'}>
				{regionName(s.region)}{s.operation ? `, ${s.operation}` : ''}, operated {shortDay(
					s.date
				)}{s.limitsEntered ? '' : ': protocol not entered. Everything waits for it.'}
			</p>
			{#if s.noLimits}<p class="text-sm">No limits hold: {s.noLimits}.</p>{/if}
			{#if s.protocol && s.now}
				<p class="text-sm">{phaseText(s.now)} ({s.protocol.source})</p>
				<ol class="text-sm">
					{#each s.protocol.phases as p, i (i)}<li
							class="ml-4 list-decimal {s.now.phase === i + 1 ? 'font-semibold' : 'text-quiet'}"
						>
							{phaseWords(p)}{p.confirmedOn && i > 0 ? `, confirmed ${shortDay(p.confirmedOn)}` : ''}
						</li>{/each}
				</ol>
				{#if s.now.overdue !== null}
					<p class="text-sm text-caution">
						Phase {s.now.overdue} has come by the calendar and waits to be confirmed; the one before it goes on
						holding.
					</p>
					{#if licensed}
						<form method="POST" action="?/confirm" use:enhance={sending(say)} class="mt-1">
							<input type="hidden" name="id" value={ids[0]} /><input
								type="hidden"
								name="surgeryId"
								value={s.id}
							/><input type="hidden" name="phase" value={s.now.overdue} />
							<Act kind="quiet">Confirm phase {s.now.overdue}</Act>
						</form>
					{/if}
				{/if}
				{#if at('phase')}<p class="text-sm text-stop">{at('phase')}</p>{/if}
			{/if}
			{#if licensed}
				<Fold
					title={s.protocol ? 'Correct the protocol' : 'Enter the protocol'}
					needed={!s.limitsEntered || wrongUnder(wrong, 'phase.') !== undefined || at('source') !== undefined}
					class="mt-1 cursor-pointer text-sm text-accent"
				>
					<form method="POST" action="?/protocol" class="mt-2 grid gap-2" use:enhance={sending(say)}>
						<input type="hidden" name="id" value={ids[0]} /><input
							type="hidden"
							name="surgeryId"
							value={s.id}
						/>
						<Field
							of={s.id}
							name="source"
							label="Whose protocol, of which day"
							value={s.protocol?.source ?? ''}
							wrong={at('source')}
							width="w-72"
						/>
						<DayField
							of={s.id}
							name="reviewOn"
							label="Review on"
							value={s.protocol?.reviewOn ?? ''}
							wrong={at('reviewOn')}
							width="w-40"
							{today}
							ahead
						/>
						{#each { length: Math.max(phases[s.id] ?? 1, s.protocol?.phases.length ?? 1) }, i (i)}
							<PhaseFields
								n={i}
								of={s.id}
								phase={s.protocol?.phases[i]}
								side={sideOf(s.region) ?? 'right'}
								{wrong}
							/>
						{/each}
						{#if Math.max(phases[s.id] ?? 1, s.protocol?.phases.length ?? 1) < MOST}<div>
								<Act
									kind="quiet"
									type="button"
									onclick={() =>
										(phases[s.id] = Math.max(phases[s.id] ?? 1, s.protocol?.phases.length ?? 1) + 1)}
									>Another phase</Act
								>
							</div>{/if}
						<p class="label">
							Only what the protocol says. Nothing is assumed, and the calendar alone opens nothing.
						</p>
						<div>
							<Act kind="quiet">{s.protocol ? 'Save the corrected protocol' : 'Enter the protocol'}</Act>
						</div>
					</form>
				</Fold>
				{#if !s.limitsEntered}
					<Fold
						title="No limits hold"
						needed={at('by') !== undefined || at('on') !== undefined}
						class="cursor-pointer text-sm text-accent"
					>
						<form
							method="POST"
							action="?/no-limits"
							class="mt-2 flex flex-wrap items-end gap-2"
							use:enhance={sending(say)}
						>
							<input type="hidden" name="id" value={ids[0]} /><input
								type="hidden"
								name="surgeryId"
								value={s.id}
							/>
							<Field
								of={s.id}
								name="by"
								label="Who said so (name, role)"
								wrong={at('by')}
								width="w-52"
							/><DayField of={s.id} name="on" label="On" wrong={at('on')} width="w-40" {today} /><Act
								kind="quiet">Record</Act
							>
						</form>
					</Fold>
				{/if}
				<Fold title="Recorded in error" needed={false} class="cursor-pointer text-sm text-accent">
					<form
						method="POST"
						action="?/withdraw"
						class="mt-2 flex items-end gap-2"
						use:enhance={sending(say)}
					>
						<input type="hidden" name="id" value={ids[0]} /><input
							type="hidden"
							name="surgeryId"
							value={s.id}
						/>
						<Field
							of="w{s.id}"
							name="reason"
							label="What was wrong with it"
							wrong={at('reason')}
							width="w-52"
						/><Act kind="danger">Withdraw</Act>
					</form>
				</Fold>
			{:else if !s.limitsEntered}<p class="label">A licensed user enters it.</p>{/if}
		</div>
	{/each}
	<Fold
		title="Record an operation"
		needed={at('operatedOn') !== undefined || at('region') !== undefined}
		class="cursor-pointer text-sm text-accent"
	>
		<form
			method="POST"
			action="?/surgery"
			class="mt-2 flex flex-wrap items-end gap-2"
			use:enhance={sending(say)}
		>
			<input type="hidden" name="id" value={ids[1]} />
			<Choice
				name="region"
				label="Where"
				items={REGIONS.map((r) => ({ value: r, name: regionName(r) }))}
				value="knee-right"
			/>
			<Field name="operation" label="What, in own words" width="w-44" />
			<DayField name="operatedOn" label="On" wrong={at('operatedOn')} width="w-40" {today} />
			<Act kind="quiet">Record</Act>
		</form>
	</Fold>
	{#if licensed}
		<Fold
			title="A limit without an operation"
			needed={wrongUnder(wrong, 'limit.') !== undefined}
			class="cursor-pointer text-sm text-accent"
		>
			<form method="POST" action="?/limit" class="mt-2 grid gap-2" use:enhance={sending(say)}>
				<input type="hidden" name="id" value={ids[2]} />
				<div class="flex flex-wrap items-end gap-2">
					<Choice of="l" name="axis" label="Movement" value="kneeFlexion" items={AXES} />
					<Choice
						of="l"
						name="side"
						label="Side"
						value="right"
						items={SIDES.map((x) => ({ value: x, name: x }))}
					/>
					<Field
						of="l"
						name="minDeg"
						label="From"
						unit="°"
						inputmode="numeric"
						wrong={at('limit.minDeg')}
						width="w-14"
					/>
					<Field
						of="l"
						name="maxDeg"
						label="To"
						unit="°"
						inputmode="numeric"
						wrong={at('limit.maxDeg')}
						width="w-14"
					/>
					<Choice
						of="l"
						name="when"
						label="In"
						value="always"
						items={Object.entries(WHEN_NAME).map(([value, name]) => ({ value, name }))}
					/>
				</div>
				<div class="flex flex-wrap items-end gap-2">
					<Field
						of="l"
						name="source"
						label="On whose word"
						wrong={at('limit.source')}
						width="w-52"
					/><DayField of="l" name="reviewOn" label="Review on" width="w-40" {today} ahead /><Act kind="quiet"
						>Set the limit</Act
					>
				</div>
			</form>
		</Fold>
	{/if}
</section>
