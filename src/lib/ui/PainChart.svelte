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
	import { shortDay } from '#lib/wording/days.ts';

	interface Props {
		readonly sessions: readonly {
			readonly date: string;
			readonly before: number | null;
			readonly peak: number | null;
			readonly after: number | null;
			readonly next: number | null;
		}[];
		readonly policy: { readonly safeMax: number; readonly acceptableMax: number; readonly stopAt: number };
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
		const flat = (v: number): number[] => sessions.map(() => v);
		const line = (label: string, data: (number | null)[], color: string, style: string, extra = {}) => ({
			label,
			data,
			borderColor: color,
			backgroundColor: color,
			pointStyle: style,
			pointRadius: 4.5,
			borderWidth: 1.5,
			spanGaps: true,
			...extra
		});
		const rule = (label: string, v: number, color: string) => ({
			label,
			data: flat(v),
			borderColor: color,
			backgroundColor: color,
			borderDash: [6, 4],
			borderWidth: 1.2,
			pointRadius: 0,
			pointStyle: 'line'
		});
		const chart = new Chart(canvas, {
			type: 'line',
			data: {
				labels: sessions.map((s) => shortDay(s.date).slice(4)),
				datasets: [
					line(
						'before',
						sessions.map((s) => s.before),
						ink('--edge'),
						'circle',
						{ borderWidth: 0 }
					),
					line(
						'worst',
						sessions.map((s) => s.peak),
						ink('--ink'),
						'triangle'
					),
					line(
						'after',
						sessions.map((s) => s.after),
						ink('--edge'),
						'rect',
						{ borderWidth: 0 }
					),
					line(
						'next morning',
						sessions.map((s) => s.next),
						ink('--accent'),
						'rectRot'
					),
					rule(`safe ${policy.safeMax}`, policy.safeMax, ink('--tolerated')),
					rule(`acceptable ${policy.acceptableMax}`, policy.acceptableMax, ink('--caution')),
					rule(`stop ${policy.stopAt}`, policy.stopAt, ink('--stop')),
					rule(`usual morning ${usual}`, usual, ink('--accent'))
				]
			},
			options: {
				animation: false,
				maintainAspectRatio: false,
				interaction: { mode: 'index', intersect: false },
				scales: {
					y: {
						min: 0,
						max: 10,
						ticks: { stepSize: 2, color: ink('--quiet') },
						grid: { color: ink('--hairline') },
						title: { display: true, text: 'pain 0–10', color: ink('--quiet') }
					},
					x: { ticks: { color: ink('--quiet'), maxRotation: 0, autoSkip: true }, grid: { display: false } }
				},
				plugins: {
					legend: { position: 'bottom', labels: { usePointStyle: true, color: ink('--ink'), boxHeight: 7 } }
				}
			}
		});
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
