<!-- Rates as bars with their 95 % intervals as lines: few pieces show as a long line. -->
<script lang="ts">
  import { counted } from '$core/quantity';
  import { themeNow } from '../../page/theme.svelte';
  import type { Chart as ChartType, Plugin } from 'chart.js';

  let {
    label,
    rows,
    unit = '%',
    tone = '--cinnabar'
  }: {
    label: string;
    /** Shares 0..1 with an interval, or plain figures without. */
    rows: readonly { label: string; value: number; of: number; low?: number; high?: number }[];
    /** What figures carry: %, s, a currency. */
    unit?: string;
    tone?: string;
  } = $props();

  const times = $derived(unit === '%' ? 100 : 1);
  type Row = (typeof rows)[number];
  /** One bar says no more than a sentence does. */
  const only = $derived(rows.length === 1 ? rows[0] : undefined);
  const figureOf = (r: Row) => (r.value * times).toFixed(unit === '%' || unit === 's' ? 0 : 2);
  let canvas = $state<HTMLCanvasElement>();
  let chart: ChartType<'bar'> | undefined;
  const token = (name: string) => getComputedStyle(document.documentElement).getPropertyValue(name).trim();

  const intervals: Plugin<'bar'> = {
    id: 'intervals',
    afterDatasetsDraw({ ctx, scales }) {
      const [x, y] = [scales.x!, scales.y!];
      ctx.save();
      ctx.strokeStyle = token('--ink');
      ctx.lineWidth = 2;
      rows.forEach((r, i) => {
        if (r.low === undefined || r.high === undefined) return;
        const at = y.getPixelForValue(i);
        const [from, to] = [r.low, r.high].map((v) => x.getPixelForValue(v * times));
        ctx.beginPath();
        ctx.moveTo(from!, at);
        ctx.lineTo(to!, at);
        for (const end of [from!, to!]) {
          ctx.moveTo(end, at - 5);
          ctx.lineTo(end, at + 5);
        }
        ctx.stroke();
      });
      ctx.restore();
    }
  };

  // Drawn again in the colours of another theme.
  $effect(() => {
    themeNow();
    let gone = false;
    // The chart is fetched when it is first asked for.
    void import('chart.js').then(({ Chart, BarController, BarElement, CategoryScale, LinearScale }) => {
      if (gone || !canvas) return;
      Chart.register(BarController, BarElement, CategoryScale, LinearScale);
      Chart.defaults.font.family = '"Atkinson Hyperlegible Next Variable", sans-serif';
      Chart.defaults.font.size = 14;
      chart = new Chart(canvas, {
        type: 'bar',
        data: {
          labels: rows.map((r) => `${r.label} (${r.of})`),
          datasets: [
            { data: rows.map((r) => r.value * times), backgroundColor: token(tone), maxBarThickness: 22 }
          ]
        },
        options: {
          indexAxis: 'y',
          animation: false,
          maintainAspectRatio: false,
          // What another chart of the page has registered holds for this one too.
          plugins: { legend: { display: false }, tooltip: { enabled: false } },
          scales: {
            x: {
              min: 0,
              ...(unit === '%' ? { max: 100 } : {}),
              ticks: {
                color: token('--ink-2'),
                maxRotation: 0,
                maxTicksLimit: 6,
                callback: (v) => `${v} ${unit}`
              },
              grid: { color: token('--rule') }
            },
            y: { ticks: { color: token('--ink') }, grid: { display: false } }
          }
        },
        plugins: [intervals]
      });
    });
    return () => {
      gone = true;
      chart?.destroy();
    };
  });
</script>

{#if only}
  <p class="mt-2 text-[1.1rem]" data-testid="one-rate">
    {only.label}: <strong>{figureOf(only)} {unit}</strong>
    <span class="text-ink-2"
      >of {counted(only.of, 'piece')}{only.low === undefined || only.high === undefined
        ? ''
        : `, likely between ${(only.low * times).toFixed(0)} and ${(only.high * times).toFixed(0)} ${unit}`}</span
    >
  </p>
{:else}<div
    style="height:{Math.max(120, 46 * rows.length + 40)}px"
    role="img"
    aria-label="{label}: {rows.map((r) => `${r.label} ${figureOf(r)} ${unit} of ${r.of}`).join(', ')}"
  >
    <canvas bind:this={canvas} aria-hidden="true"></canvas>
  </div>{/if}
