<script lang="ts">
	/** One function test: its protocol, a timer or counter, what was read, and what published values say of it as one types. */
	import { SIDES, type Side } from '#lib/core/body/axis.ts';
	import { changeOf } from '#lib/core/measure/change.ts';
	import {
		forwardReachDifference,
		judgeTest,
		type Extras,
		type Judged,
		type TestPerson,
		type TestSpec
	} from '#lib/core/measure/function-test.ts';
	import { limbSymmetry, sideShare, symmetryRules } from '#lib/core/measure/symmetry.ts';
	import type { LastTest } from '#lib/contract/view.ts';
	import { ago } from '#lib/wording/days.ts';
	import { changeText, judgedText, readingText } from '#lib/wording/measure.ts';
	import Cell from './Cell.svelte';
	import { wrongUnder, type Wrong } from './wrong.ts';
	import Tick from './Tick.svelte';

	interface Props {
		readonly spec: TestSpec;
		readonly ids: readonly string[];
		readonly who: TestPerson;
		/** The side that hurts, where one does: its share of the other is the index. */
		readonly sore: Side | null;
		readonly last: readonly LastTest[];
		readonly today: string;
		readonly values: Record<string, string>;
		readonly wrong: Wrong | undefined;
		readonly onfocus: (side: Side | null) => void;
	}
	let { spec, ids, who, sore, last, today, values, wrong, onfocus }: Props = $props();
	const places = $derived<readonly (Side | null)[]>(spec.sided ? SIDES : [null]);
	const prefix = (side: Side | null): string =>
		side === null ? `test.${spec.id}` : `test.${spec.id}.${side}`;
	const number = (text: string | undefined): number | undefined => {
		const t = (text ?? '').trim().replace(',', '.');
		return t === '' || !Number.isFinite(Number(t)) ? undefined : Number(t);
	};
	function extrasOf(side: Side | null): Extras {
		return Object.fromEntries(
			spec.extras.map((e) => [
				e.id,
				e.tick === true
					? values[`${prefix(side)}.${e.id}`] === 'on'
						? 1
						: undefined
					: number(values[`${prefix(side)}.${e.id}`])
			])
		);
	}
	const judged = $derived(
		places.map((side): { side: Side | null; judged: Judged | undefined } => {
			const v = number(values[`${prefix(side)}.value`]);
			return {
				side,
				judged:
					v === undefined || v < spec.possible[0] || v > spec.possible[1]
						? undefined
						: judgeTest(spec, v, extrasOf(side), who)
			};
		})
	);
	const before = (side: Side | null): LastTest | undefined => last.filter((l) => l.side === side).pop();
	/** `11 → 14, 16 days ago`. */
	function history(side: Side | null): string {
		const own = last.filter((l) => l.side === side);
		const newest = own[own.length - 1];
		return newest === undefined
			? ''
			: `${own
					.slice(-3)
					.map((l) => l.value)
					.join(' → ')}, ${ago(newest.day, today)}`;
	}
	const rulesFor = $derived(spec.changes.length > 0 ? spec.changes : []);
	function changed(side: Side | null, value: number): string {
		const b = before(side);
		return b === undefined
			? ''
			: changeText(changeOf({ from: b.value, to: value, better: spec.better }, rulesFor), b.value, spec.unit);
	}
	/** Both sides, by the value that is compared: torque per kilogram where there is one. */
	const symmetry = $derived.by(() => {
		const of = (s: Side): number | undefined => {
			const j = judged.find((x) => x.side === s)?.judged;
			return j?.derived.torquePerKg ?? j?.derived.composite ?? j?.value;
		};
		const [l, r] = [of('left'), of('right')];
		if (!spec.sided || l === undefined || r === undefined || spec.unit === 'points') return '';
		const index =
			sore === null
				? sideShare(l, r)
				: limbSymmetry(...((sore === 'left' ? [l, r] : [r, l]) as [number, number]), spec.better);
		if (index === undefined) return 'no index with a side at zero';
		const met = symmetryRules(index)
			.filter((x) => x.met)
			.map((x) => `${x.least} %`);
		return `${sore === null ? 'weaker of stronger' : `${sore} of the other`} ${index.toFixed(1)} %${met.length === 0 ? ', under 85' : `, reaches ${met.join(', ')}`}${spec.id === 'reach' ? forwardText() : ''}`;
	});
	/** How far apart the sides reach forward, and which sources flag it. */
	function forwardText(): string {
		const reach = (s: Side): number => number(values[`${prefix(s)}.value`]) ?? 0;
		const { cm, smith, plisky } = forwardReachDifference(reach('left'), reach('right'));
		const flagged = plisky ? ', flagged' : ', flagged by one source of two';
		return `; forward ${cm} cm apart${smith ? flagged : ''}`;
	}
	const refused = $derived(wrongUnder(wrong, `test.${spec.id}.`));
	let running: { side: Side | null; from: number } | undefined = $state();
	let shown = $state(0);
	$effect(() => {
		if (running === undefined) return;
		const { from } = running;
		const tick = setInterval(() => (shown = (performance.now() - from) / 1000), 50);
		return () => clearInterval(tick);
	});
	function time(side: Side | null): void {
		if (running === undefined) {
			shown = 0;
			running = { side, from: performance.now() };
			return;
		}
		values[`${prefix(running.side)}.value`] = ((performance.now() - running.from) / 1000).toFixed(1);
		running = undefined;
	}
	const count = (side: Side | null, by: number): void =>
		void (values[`${prefix(side)}.value`] = String(
			Math.max(0, (number(values[`${prefix(side)}.value`]) ?? 0) + by)
		));
	/** In the field itself: t starts and stops the timer, + counts. */
	function key(event: KeyboardEvent, side: Side | null): void {
		if (spec.take === 'timer' && event.key === 't') time(side);
		else if (spec.take === 'counter' && (event.key === '+' || event.key === '-'))
			count(side, event.key === '+' ? 1 : -1);
		else return;
		event.preventDefault();
	}
	const plain = $derived(spec.extras.filter((e) => e.tick !== true));
</script>

<fieldset class="rule py-1.5 focus-within:bg-wash">
	<legend class="sr-only">{spec.title}</legend>
	<div class="grid grid-cols-[13.5rem_1fr] gap-x-3 max-lg:grid-cols-1">
		<details>
			<summary class="cursor-pointer font-semibold" tabindex="-1">{spec.title}</summary>
			<div class="label max-w-md">
				{#each spec.protocol as p (p)}<p>{p}</p>{/each}{#if spec.caution}<p class="text-caution">
						{spec.caution}
					</p>{/if}
				<p>{spec.sources.join(', ')}</p>
			</div>
		</details>
		<div class="flex flex-wrap items-end gap-x-5 gap-y-1">
			{#each judged as { side, judged: j }, i (side)}
				<div class="flex flex-wrap items-end gap-1.5" onfocusin={() => onfocus(side)}>
					<input type="hidden" name="{prefix(side)}.id" value={ids[i]} />
					<input type="hidden" name="{prefix(side)}.method" value={values[`${prefix(side)}.method`] ?? ''} />
					{#if side}<span class="pb-1 font-semibold" aria-hidden="true">{side === 'left' ? 'L' : 'R'}</span
						>{/if}
					<Cell
						name="{prefix(side)}.value"
						label="{spec.title}{side ? ` ${side}` : ''}, {spec.unit}"
						bind:value={values[`${prefix(side)}.value`]}
						wrong={wrong?.all[`${prefix(side)}.value`] !== undefined}
						width="w-16"
						onkeydown={(e: KeyboardEvent) => key(e, side)}
					/>
					<span class="label pb-1">{spec.unit}</span>
					{#if spec.take === 'timer'}<button
							type="button"
							tabindex="-1"
							onclick={() => time(side)}
							class="min-h-8 min-w-16 cursor-pointer rounded border border-edge px-2 text-sm text-accent"
							aria-label="{running?.side === side ? 'Stop' : 'Start'} the timer for {spec.title}{side
								? ` ${side}`
								: ''}"
							>{running !== undefined && running.side === side ? `■ ${shown.toFixed(1)}` : '▶ time'}</button
						>
					{:else if spec.take === 'counter'}<button
							type="button"
							tabindex="-1"
							onclick={() => count(side, 1)}
							class="min-h-8 min-w-10 cursor-pointer rounded border border-edge px-2 text-sm text-accent"
							aria-label="Count one for {spec.title}{side ? ` ${side}` : ''}">+1</button
						>{/if}
					{#each plain as e (e.id)}
						<label class="text-xs text-quiet"
							><span class="block">{e.label}{e.unit ? ` ${e.unit}` : ''}</span><Cell
								name="{prefix(side)}.{e.id}"
								label="{spec.title}{side ? ` ${side}` : ''}, {e.label}"
								bind:value={values[`${prefix(side)}.${e.id}`]}
								wrong={wrong?.all[`${prefix(side)}.${e.id}`] !== undefined}
								width="w-14"
							/></label
						>
					{/each}
					{#each spec.extras.filter((e) => e.tick === true) as e (e.id)}
						<Tick
							class="pb-1 text-sm"
							name="{prefix(side)}.{e.id}"
							label={e.label}
							bind:checked={
								() => values[`${prefix(side)}.${e.id}`] === 'on',
								(on) => (values[`${prefix(side)}.${e.id}`] = on === true ? 'on' : '')
							}
						/>
					{/each}
					{#if j === undefined && before(side)}<span class="label pb-1">{history(side)}</span>{/if}
				</div>
			{/each}
		</div>
	</div>
	{#if refused}<p class="text-sm text-stop" data-testid="field-wrong">{refused}</p>{/if}
	{#each judged as { side, judged: j } (side)}
		{#if j}
			<p class="text-sm" data-testid="reading">
				{side ? `${side === 'left' ? 'L' : 'R'}: ` : ''}{judgedText(spec, j)}{changed(side, j.value) === ''
					? ''
					: ` · ${changed(side, j.value)}`}
			</p>
			{#if j.readings.length > 1}
				<details class="text-sm">
					<summary class="cursor-pointer {j.conflict ? 'text-caution' : 'text-accent'}" tabindex="-1"
						>{j.conflict ? 'sources disagree' : `${j.readings.length} sources`}</summary
					>
					<ul class="label pl-4">
						{#each j.readings as r (r.norm)}<li>{readingText(r)}</li>{/each}
					</ul>
				</details>
			{/if}
		{/if}
	{/each}
	{#if symmetry}<p class="text-sm font-semibold">{symmetry}</p>{/if}
</fieldset>
