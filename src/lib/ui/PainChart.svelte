<script lang="ts">
	/** Pain before, at its worst, after and next morning, per session, with the policy's lines. */
	import {
		CategoryScale,
		Chart,
		Legend,
		LinearScale,
		LineController,
		LineElement,
		PointElement,
		Tooltip
	} from 'chart.js';
	import { type ChartedSession, painChart, type PolicyLines } from './pain-chart.ts';

	interface Props {
		readonly sessions: readonly ChartedSession[];
		readonly policy: PolicyLines;
		readonly usual: number;
	}
	let { sessions, policy, usual }: Props = $props();
	let canvas = $state<HTMLCanvasElement>();
	Chart.register(LineController, LineElement, PointElement, LinearScale, CategoryScale, Tooltip, Legend);
	Chart.defaults.font.family = "'Atkinson Hyperlegible Next Variable', sans-serif";
	Chart.defaults.font.size = 13;
	const ink = (name: string): string =>
		getComputedStyle(document.documentElement).getPropertyValue(name).trim();
	$effect(() => {
		if (canvas === undefined) return;
		const chart = new Chart(canvas, painChart(sessions, policy, usual, ink));
		return () => chart.destroy();
	});
</script>

<div
	role="img"
	aria-label="Pain per session: {sessions.length} sessions, last worst {sessions[sessions.length - 1]?.peak ??
		'none'}, last next morning {sessions[sessions.length - 1]?.next ?? 'not in'}"
	class="h-72"
>
	<canvas bind:this={canvas}></canvas>
</div>
