<!-- Temperature over time of one cup, in the cup and in the piece, with its states as bands and its pour window marked. -->
<script lang="ts">
  import { themeNow } from '../../../page/theme.svelte';
  import type { Chart as ChartType, Plugin } from 'chart.js';
  import { cureCourses, type Computed, type Plan } from '$core/plan';
  import { duration } from '$core/quantity';
  import type { PlanView } from '../../../plan/plan-view.svelte';
  import { inWords, shownUnit, temperature, shownFigure } from '../../../preferences.svelte';
  import Choice from '../../forms/Choice.svelte';

  let { plan, computed, editor }: { plan: Plan; computed: Computed; editor: PlanView } = $props();

  const courses = $derived(cureCourses(plan, computed, editor.shelf));
  const cups = $derived(computed.cups.filter((c) => courses.some((k) => k.cupId === c.cupId)));
  let chosen = $state('');
  const cup = $derived(cups.find((c) => c.cupId === chosen) ?? cups[0]);
  const own = $derived(courses.filter((c) => c.cupId === cup?.cupId));
  const inCup = $derived(own.find((c) => c.of === 'cup'));
  const window = $derived(computed.score.windows.find((w) => w.cupId === cup?.cupId));
  // As far as the cup is of interest: past its peak, or past the gel.
  const until = $derived(
    inCup
      ? Math.max(inCup.peak.minute, inCup.states.find((s) => s.state === 'gelled')?.minute ?? 0) * 1.25
      : 60
  );
  const shown = (celsius: number) => shownFigure(celsius, '°C');

  let canvas = $state<HTMLCanvasElement>();
  let chart: ChartType<'line'> | undefined;

  /** States as bands behind the lines, their names along the top; the pour window along the bottom. */
  const bands: Plugin<'line'> = {
    id: 'bands',
    beforeDatasetsDraw({ ctx, chartArea, scales }) {
      const x = scales.x!;
      const style = getComputedStyle(document.documentElement);
      const token = (name: string) => style.getPropertyValue(name).trim();
      const states = inCup?.states ?? [];
      ctx.save();
      ctx.font = '12px "Atkinson Hyperlegible Next Variable", sans-serif';
      states.forEach(({ state, minute }, i) => {
        const from = x.getPixelForValue(Math.min(until, minute));
        const to = x.getPixelForValue(Math.min(until, states[i + 1]?.minute ?? until));
        if (i % 2) {
          ctx.fillStyle = token('--sunk');
          ctx.fillRect(from, chartArea.top, to - from, chartArea.height);
        }
        ctx.fillStyle = token('--ink-2');
        if (to - from > ctx.measureText(state).width + 8) ctx.fillText(state, from + 4, chartArea.top + 13);
      });
      if (window) {
        const [from, to] = [window.from - window.zero, window.to - window.zero].map((m) =>
          x.getPixelForValue(Math.min(until, m))
        );
        ctx.fillStyle = token('--verdigris');
        ctx.fillRect(from!, chartArea.bottom - 7, to! - from!, 7);
      }
      ctx.restore();
    }
  };

  const datasets = () =>
    own.map((c) => ({
      label: inWords(c.name),
      data: c.points.filter((p) => p.minute <= until).map((p) => ({ x: p.minute, y: shown(p.celsius) })),
      borderColor: getComputedStyle(document.documentElement).getPropertyValue(
        c.of === 'cup' ? '--ink' : '--ochre'
      ),
      borderDash: c.of === 'cup' ? [] : [5, 4],
      borderWidth: 2,
      pointRadius: 0,
      tension: 0.2
    }));

  // Drawn again in the colours of another theme.
  $effect(() => {
    themeNow();
    let gone = false;
    // The chart is fetched when it is first asked for: the workbench does not carry it.
    void import('chart.js').then(
      ({ Chart, LineController, LineElement, PointElement, LinearScale, Legend, Tooltip }) => {
        if (gone || !canvas) return;
        Chart.register(LineController, LineElement, PointElement, LinearScale, Legend, Tooltip);
        const ink = getComputedStyle(document.documentElement).getPropertyValue('--ink-2');
        const rule = getComputedStyle(document.documentElement).getPropertyValue('--rule');
        chart = new Chart(canvas, {
          type: 'line',
          data: { datasets: datasets() },
          plugins: [bands],
          options: {
            animation: false,
            maintainAspectRatio: false,
            interaction: { mode: 'nearest', axis: 'x', intersect: false },
            plugins: { legend: { labels: { color: ink, boxWidth: 26 } } },
            scales: {
              x: {
                type: 'linear',
                min: 0,
                max: until,
                ticks: { color: ink, callback: (v) => duration(Number(v)) },
                grid: { color: rule }
              },
              y: {
                title: { display: true, text: shownUnit('°C'), color: ink },
                ticks: { color: ink },
                grid: { color: rule }
              }
            }
          }
        });
      }
    );
    return () => {
      gone = true;
      chart?.destroy();
    };
  });

  // Whatever changes in the plan is drawn at once.
  $effect(() => {
    const next = datasets();
    const max = until;
    if (!chart) return;
    chart.data.datasets = next;
    if (chart.options.scales?.x) chart.options.scales.x.max = max;
    chart.update('none');
  });
</script>

{#if cup && inCup}
  {#if cups.length > 1}
    <Choice
      quiet
      label="Which cup cures"
      value={cup.cupId}
      options={cups.map((c) => ({ value: c.cupId, label: `${c.letter} ${c.name}` }))}
      onchange={(v) => (chosen = v)}
    />
  {/if}
  <div class="mt-1 h-[230px]">
    <canvas bind:this={canvas} data-testid="cure" aria-label="How {cup.name} cures"></canvas>
  </div>
  <p class="mt-1 text-[0.85rem]">
    In its cup it peaks at {temperature(inCup.peak.celsius)} after {duration(inCup.peak.minute)};
    {inCup.states
      .slice(1, 5)
      .map((s) => `${s.state} at ${duration(s.minute)}`)
      .join(', ')}. The green foot is the time it can be poured.
  </p>
{/if}
