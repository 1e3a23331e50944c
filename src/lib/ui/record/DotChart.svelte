<!-- Single cases as dots, a colour and a shape for each kind: how one figure goes with another, and how few tell it. -->
<script lang="ts">
  import { themeNow } from '../../page/theme.svelte';
  import type { Chart as ChartType } from 'chart.js';

  let {
    label,
    series,
    x,
    y,
    evenly
  }: {
    label: string;
    series: readonly { name: string; dots: readonly { x: number; y: number }[] }[];
    /** What stands along each axis, with its unit. */
    x: string;
    y: string;
    /** What the line is called on which both figures are the same; none is drawn when absent. */
    evenly?: string;
  } = $props();

  const TONES = ['--verdigris', '--ochre', '--cinnabar', '--ink-2'];
  const SHAPES = ['circle', 'rectRot', 'triangle', 'rect'] as const;
  let canvas = $state<HTMLCanvasElement>();
  let chart: ChartType<'scatter'> | undefined;
  const token = (name: string) => getComputedStyle(document.documentElement).getPropertyValue(name).trim();

  /** The far end of that line: the largest figure of either axis, rounded up. */
  const end = $derived(
    10 * Math.ceil(Math.max(1, ...series.flatMap((s) => s.dots.flatMap((d) => [d.x, d.y]))) / 10)
  );
  const line = (name: string) => ({
    label: name,
    data: [
      { x: 0, y: 0 },
      { x: end, y: end }
    ],
    showLine: true,
    borderColor: token('--ink-2'),
    borderDash: [5, 4],
    borderWidth: 1.5,
    pointStyle: 'line' as const,
    pointRadius: 0
  });

  // Drawn again in the colours of another theme.
  $effect(() => {
    themeNow();
    let gone = false;
    void import('chart.js').then(
      ({ Chart, ScatterController, PointElement, LinearScale, LineElement, Legend, Tooltip }) => {
        if (gone || !canvas) return;
        Chart.register(ScatterController, PointElement, LinearScale, LineElement, Legend, Tooltip);
        const axis = (text: string) => ({
          title: { display: true, text, color: token('--ink-2') },
          ticks: { color: token('--ink-2') },
          grid: { color: token('--rule') }
        });
        chart = new Chart(canvas, {
          type: 'scatter',
          data: {
            datasets: [
              ...series.map((s, i) => ({
                label: `${s.name} (${s.dots.length})`,
                data: s.dots.map((d) => ({ ...d })),
                backgroundColor: token(TONES[i % TONES.length]!),
                pointStyle: SHAPES[i % SHAPES.length]!,
                pointRadius: 6
              })),
              ...(evenly === undefined ? [] : [line(evenly)])
            ]
          },
          options: {
            animation: false,
            maintainAspectRatio: false,
            plugins: { legend: { labels: { color: token('--ink'), usePointStyle: true } } },
            scales: { x: axis(x), y: { ...axis(y), min: 0 } }
          }
        });
      }
    );
    return () => {
      gone = true;
      chart?.destroy();
    };
  });
</script>

<div
  class="h-[260px]"
  role="img"
  aria-label="{label}: {series.map((s) => `${s.name}, ${s.dots.length} cases`).join('; ')}"
>
  <canvas bind:this={canvas} aria-hidden="true"></canvas>
</div>
