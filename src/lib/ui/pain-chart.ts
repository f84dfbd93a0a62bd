/** The pain of sessions as a chart: before, worst, after and next morning, with the policy's lines. */
import type { ChartConfiguration } from 'chart.js';
import { shortDay } from '#lib/wording/days.ts';

export interface ChartedSession {
	readonly date: string;
	readonly before: number | null;
	readonly peak: number | null;
	readonly after: number | null;
	readonly evening: number | null;
	readonly next: number | null;
}
export interface PolicyLines {
	readonly safeMax: number;
	readonly acceptableMax: number;
	readonly stopAt: number;
}
/** A colour of the theme by its token. */
type Ink = (token: string) => string;

const SERIES = [
	['before', 'before', '--edge', 'circle', 0],
	['worst', 'peak', '--ink', 'triangle', 1.5],
	['after', 'after', '--edge', 'rect', 0],
	['evening', 'evening', '--caution', 'star', 0],
	['next morning', 'next', '--accent', 'rectRot', 1.5]
] as const;

const seriesOf = (sessions: readonly ChartedSession[], ink: Ink) =>
	SERIES.filter(([, key]) => key !== 'evening' || sessions.some((s) => s.evening !== null)).map(
		([label, key, token, pointStyle, borderWidth]) => ({
			label,
			data: sessions.map((s) => s[key]),
			borderColor: ink(token),
			backgroundColor: ink(token),
			pointStyle,
			pointRadius: 4.5,
			borderWidth,
			spanGaps: true
		})
	);

function linesOf(sessions: readonly ChartedSession[], p: PolicyLines, usual: number, ink: Ink) {
	const lines = [
		['safe', p.safeMax, '--tolerated'],
		['acceptable', p.acceptableMax, '--caution'],
		['stop', p.stopAt, '--stop'],
		['usual morning', usual, '--accent']
	] as const;
	return lines.map(([name, at, token]) => ({
		label: `${name} ${at}`,
		data: sessions.map(() => at),
		borderColor: ink(token),
		backgroundColor: ink(token),
		borderDash: [6, 4],
		borderWidth: 1.2,
		pointRadius: 0,
		pointStyle: 'line' as const
	}));
}

export const painChart = (
	sessions: readonly ChartedSession[],
	policy: PolicyLines,
	usual: number,
	ink: Ink
): ChartConfiguration<'line', (number | null)[]> => ({
	type: 'line',
	data: {
		labels: sessions.map((s) => shortDay(s.date).slice(4)),
		datasets: [...seriesOf(sessions, ink), ...linesOf(sessions, policy, usual, ink)]
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
