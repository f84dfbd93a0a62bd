<script lang="ts">
	/** A device beside the sheet: chosen, started, watched, stopped; what it measured is put into the field in focus. Files do the same. */
	import { gather, type DeviceLine, type Quantity } from '#lib/contract/device.ts';
	import type { Stream } from '#lib/core/measure/stream.ts';
	import { cannotText, forceText, holdsText, movementText } from '#lib/wording/measure.ts';
	import { readTwoHolds } from './measure/hold-sensor.ts';
	import { phoneLines } from './measure/phone.ts';
	import type { StreamOutcome } from './stream-outcome.ts';

	interface Props {
		/** What is being measured, in words, and about how much, for the stand-in to act out. */
		readonly target: string;
		readonly about: number;
		readonly wants: Quantity;
		readonly seed: number;
		readonly analyse: (
			question: { quantity: 'angle' | 'force'; stream: Stream } | { csv: string }
		) => Promise<StreamOutcome>;
		readonly csvOf: (quantity: 'angle' | 'force', stream: Stream) => string;
		readonly put: (outcome: StreamOutcome, phone: boolean) => void;
		readonly putSeconds: (seconds: number) => void;
		/** An angle between two holds of the phone; false where the field in focus takes none. */
		readonly putDegrees: (deg: number) => boolean;
	}
	let { target, about, wants, seed, analyse, csvOf, put, putSeconds, putDegrees }: Props = $props();
	const DEVICES = [
		{ id: 'sim-inclinometer', quantity: 'angle', name: 'Inclinometer (simulated)' },
		{ id: 'sim-gauge', quantity: 'force', name: 'Force gauge (simulated)' },
		{ id: 'sim-pedal', quantity: 'press', name: 'Stopwatch pedal (simulated)' },
		{ id: 'phone', quantity: 'angle', name: 'This phone, laid on the limb' },
		{ id: 'phone-holds', quantity: 'angle', name: 'This phone, held at start and end' }
	] as const;
	let chosen = $state('');
	const device = $derived(
		DEVICES.find((d) => d.id === chosen) ?? DEVICES.find((d) => d.quantity === wants) ?? DEVICES[0]
	);
	let pace = $state('1');
	let live: string | undefined = $state();
	let said = $state('');
	/** What two holds read. */
	let holds = $state('');
	let outcome: StreamOutcome | undefined = $state.raw();
	let stop: AbortController | undefined = $state.raw();
	let trace = $state('');
	/** What is shown was measured with the phone. */
	let byPhone = $state(false);

	async function start(): Promise<void> {
		stop = new AbortController();
		[said, outcome, trace, live, holds] = ['', undefined, '', 'waiting for the device', ''];
		const got = gather();
		try {
			if (device.id === 'phone-holds') {
				const read = await readTwoHolds(stop.signal, (text) => (live = text));
				[stop, live] = [undefined, undefined];
				if (read === undefined) return;
				holds = `${holdsText(read)} ${putDegrees(read.apartDeg) ? 'It stands in the field.' : 'The field in focus takes no angle.'}`;
				return;
			}
			if (device.id === 'phone') {
				const line = (l: DeviceLine): void => {
					said = got.take(JSON.stringify(l)) ?? said;
					show(got.stream(), got.last());
				};
				await phoneLines(stop.signal, line, (text) => (live = text));
				stop = undefined;
				await finish(got.stream(), got.quantity());
				return;
			}
			await readDevice(stop.signal, got);
		} catch (e) {
			if (device.id === 'phone' || device.id === 'phone-holds') said = (e as Error).message;
			else if (!(e instanceof DOMException && e.name === 'AbortError'))
				said = 'The device does not answer. What was measured so far is kept; start it again.';
		}
		stop = undefined;
		await finish(got.stream(), got.quantity());
	}

	/** Lines of a device as they come. */
	async function readDevice(signal: AbortSignal, got: ReturnType<typeof gather>): Promise<void> {
		const answer = await fetch(
			`/devices/${device.id}/stream?${new URLSearchParams({ about: String(Math.round(about)), seed: String(seed), pace })}`,
			{ signal }
		);
		if (!answer.ok || answer.body === null) throw new Error('refused');
		const text = answer.body.pipeThrough(new TextDecoderStream()).getReader();
		let rest = '';
		for (;;) {
			const { done, value } = await text.read();
			if (done) return;
			const lines = (rest + value).split('\n');
			rest = lines.pop() ?? '';
			for (const line of lines) said = got.take(line) ?? said;
			show(got.stream(), got.last());
		}
	}

	function show(stream: Stream, last: number | undefined): void {
		live =
			last === undefined
				? `${stream.marks.length} presses`
				: `${last.toFixed(1)}${device.quantity === 'angle' ? '°' : ' N'}`;
		const tail = stream.samples.slice(-300);
		const top = Math.max(1, ...tail.map((s) => s.value));
		trace = tail
			.map(
				(s, i) =>
					`${i === 0 ? 'M' : 'L'}${((i / 300) * 260).toFixed(0)} ${(58 - (54 * Math.max(0, s.value)) / top).toFixed(0)}`
			)
			.join('');
	}

	async function finish(stream: Stream, quantity: Quantity | undefined): Promise<void> {
		live = undefined;
		if (quantity === 'press') {
			const [a, b] = stream.marks;
			if (a === undefined || b === undefined) said = 'Two presses are needed: start and stop.';
			else putSeconds((b.tMs - a.tMs) / 1000);
			return;
		}
		if (quantity === undefined || stream.samples.length === 0) return;
		byPhone = device.id === 'phone';
		outcome = await analyse({ quantity, stream });
	}

	async function load(event: Event & { currentTarget: HTMLInputElement }): Promise<void> {
		const file = event.currentTarget.files?.[0];
		event.currentTarget.value = '';
		if (file === undefined) return;
		[said, trace] = ['', ''];
		const read = await analyse({ csv: await file.text() });
		if (read.kind === 'refused') said = `${file.name}: ${read.message}`;
		else outcome = read;
	}

	function save(): void {
		if (outcome === undefined || outcome.kind === 'refused') return;
		const link = document.createElement('a');
		link.href = URL.createObjectURL(
			new Blob([csvOf(outcome.quantity, outcome.stream)], { type: 'text/csv' })
		);
		link.download = `stream-${outcome.quantity}.csv`;
		link.click();
		URL.revokeObjectURL(link.href);
	}
	const told = $derived(
		outcome === undefined || outcome.kind === 'refused'
			? ''
			: outcome.answer.kind === 'cannot-tell'
				? cannotText(outcome.answer)
				: outcome.answer.kind === 'movement'
					? movementText(outcome.answer)
					: forceText(outcome.answer)
	);
</script>

<section class="sheet px-4 py-2" aria-label="Device">
	<h3>Device <span class="label font-normal">for {target}</span></h3>
	<div class="mt-1 flex flex-wrap items-center gap-2">
		<select
			aria-label="Device"
			bind:value={chosen}
			disabled={stop !== undefined}
			class="max-w-full rounded-md border border-edge bg-sheet py-1 pr-7 pl-2 text-sm text-ink"
		>
			<option value="">{DEVICES.find((d) => d.quantity === wants)?.name}</option>
			{#each DEVICES.filter((d) => d !== DEVICES.find((x) => x.quantity === wants)) as d (d.id)}<option
					value={d.id}>{d.name}</option
				>{/each}
		</select>
		<select
			aria-label="Pace of the stand-in"
			bind:value={pace}
			disabled={stop !== undefined}
			class="rounded-md border border-edge bg-sheet py-1 pr-7 pl-2 text-sm text-ink"
			><option value="1">real time</option><option value="5">5×</option><option value="20">20×</option
			></select
		>
		{#if stop === undefined}
			<button
				type="button"
				onclick={start}
				class="min-h-10 cursor-pointer rounded-md border border-edge px-3 font-semibold text-accent"
				>Start the device</button
			>
		{:else}
			<button
				type="button"
				onclick={() => stop?.abort()}
				class="min-h-10 cursor-pointer rounded-md border border-stop px-3 font-semibold text-stop"
				>Stop</button
			>
			<span class="text-xl font-bold" aria-live="off">{live}</span>
		{/if}
		<label class="cursor-pointer text-sm text-accent underline"
			>Open a recorded CSV<input type="file" accept=".csv,text/csv" onchange={load} class="sr-only" /></label
		>
	</div>
	{#if trace !== ''}<svg viewBox="0 0 260 60" class="mt-2 w-full" aria-hidden="true"
			><path d="M0 58H260" stroke="var(--hairline)" /><path
				d={trace}
				fill="none"
				stroke="var(--limb)"
				stroke-width="1.6"
			/></svg
		>{/if}
	<div role="status" aria-live="polite">
		{#if said}<p class="mt-2 text-sm text-stop" data-testid="device-said">{said}</p>{/if}
		{#if holds}<p class="mt-2 text-sm" data-testid="device-holds">{holds}</p>{/if}
		{#if told && outcome !== undefined && outcome.kind !== 'refused'}
			<p
				class="mt-2 text-sm {outcome.answer.kind === 'cannot-tell' ? 'text-caution' : ''}"
				data-testid="device-told"
			>
				{told}
			</p>
			<div class="mt-1 flex flex-wrap gap-3">
				{#if outcome.answer.kind !== 'cannot-tell'}<button
						type="button"
						onclick={() => outcome && put(outcome, byPhone)}
						class="cursor-pointer text-sm font-semibold text-accent underline">Put into {target}</button
					>{/if}
				<button type="button" onclick={save} class="cursor-pointer text-sm text-accent underline"
					>Save as CSV</button
				>
			</div>
		{/if}
	</div>
</section>
