<!-- What the record shows in figures: rates with their intervals, so that nothing is claimed from three pieces. -->
<script lang="ts">
  import type { Rate } from '$core/inspect';
  import { acts } from '$core/pour';
  import { monthOf } from '$lib/when';
  import { shownUnit, preferences, shownFigure } from '$lib/preferences.svelte';
  import { duration } from '$core/quantity';
  import DotChart from '$lib/ui/record/DotChart.svelte';
  import Taught from '$lib/ui/record/Taught.svelte';
  import RateChart from '$lib/ui/record/RateChart.svelte';

  let { data } = $props();
  const degrees = (celsius: number) => shownFigure(celsius, '°C');
  const rates = (all: readonly Rate[], named = (label: string) => label) =>
    all.filter((r) => r.of > 0).map((r) => ({ ...r, label: named(r.label), value: r.count / r.of }));
  /** An act by its name; as it was stored where this version does not know it. */
  const actName = (kind: string) => acts.find(kind)?.name ?? kind;
</script>

<svelte:head><title>Charts of the record · Kirapen</title></svelte:head>

{#snippet chart(title: string, words: string, rows: ReturnType<typeof rates>, tone: string)}
  <section>
    <h2 class="text-[1.35rem]">{title}</h2>
    <p class="text-[0.95rem] text-ink-2">{words}</p>
    {#if rows.length}
      <RateChart label={title} {rows} {tone} />
    {:else}<p class="mt-2 text-ink-2">Nothing on record yet.</p>{/if}
  </section>
{/snippet}

<div class="page">
  <p class="text-[0.9rem] text-ink-2"><a class="underline" href="/record">Record</a></p>
  <h1 class="text-[1.9rem]">What {data.runs} runs show</h1>
  <p class="text-ink-2">
    Each line is the likely range (95 %), with the number of pieces in brackets. A long line means few pieces.
  </p>
  <div class="mt-5 gap-x-10 *:mb-8 *:break-inside-avoid lg:columns-2">
    {@render chart(
      'Rejects by step',
      'of pieces whose pour had it',
      rates(data.byAct, actName),
      '--cinnabar'
    )}
    {@render chart(
      'Rejects by demoulding',
      'when the piece left its mould',
      rates(data.byDemould),
      '--cinnabar'
    )}
    {@render chart('Good pieces by month', 'of those inspected', rates(data.byMonth, monthOf), '--verdigris')}
    <section>
      <h2 class="text-[1.35rem]">Gel time by room temperature</h2>
      <p class="text-[0.95rem] text-ink-2">when a layer was firm enough for the next one</p>
      {#if data.gels.length}
        <DotChart
          label="Gel time by room temperature"
          x={shownUnit('°C')}
          y="minutes"
          series={data.gels.map((g) => ({
            name: g.base,
            dots: g.dots.map((d) => ({ x: degrees(d.celsius), y: d.minutes }))
          }))}
        />
      {:else}<p class="mt-2 text-ink-2">Press T while waiting, to record how firm a layer is.</p>{/if}
    </section>
    <section data-testid="colour-by-dose">
      <h2 class="text-[1.35rem]">Colour by its dose</h2>
      <p class="text-[0.95rem] text-ink-2">
        how far a measured colour is from plan, by how far its cup was dosed
      </p>
      {#if data.colours.length}
        <DotChart
          label="Colour by its dose"
          x="% more colour than planned"
          y="ΔE"
          series={data.colours.map((c) => ({
            name: c.cup,
            dots: c.dots.map((d) => ({ x: Math.round(d.off * 1000) / 10, y: Math.round(d.deltaE * 10) / 10 }))
          }))}
        />
      {:else}<p class="mt-2 text-ink-2">No colour was measured on a piece yet: inspection takes them.</p>{/if}
    </section>
    <section data-testid="planned-and-measured">
      <h2 class="text-[1.35rem]">Planned and measured</h2>
      <p class="text-[0.95rem] text-ink-2">how much of a face each colour shows, by who poured it</p>
      {#if data.shares.hands.length}
        <DotChart
          label="Planned and measured"
          x="% planned"
          y="% measured"
          evenly="as planned"
          series={data.shares.hands.slice(0, 4).map((s) => ({
            name: s.own ? `${s.name}, ± ${(s.own.spread * 100).toFixed(0)} points` : s.name,
            dots: s.points.map((p) => ({
              x: Math.round(p.planned * 1000) / 10,
              y: Math.round(p.measured * 1000) / 10
            }))
          }))}
        />
        <ul class="mt-1 text-[0.95rem] text-ink-2">
          {#each data.shares.acts.filter((s) => s.own).slice(0, 5) as s (s.name)}
            <li>{s.name}: ± {(s.own!.spread * 100).toFixed(0)} points, {s.own!.pieces} pieces</li>
          {/each}
        </ul>
      {:else}<p class="mt-2 text-ink-2">
          No face was measured by a photo yet: inspection does, once a photo is added.
        </p>{/if}
    </section>
    <section>
      <h2 class="text-[1.35rem]">Cost a good piece, by month</h2>
      <p class="text-[0.95rem] text-ink-2">all that was spent, over the pieces that came out good</p>
      {#if data.cost.length}
        <RateChart
          label="Cost a good piece, by month"
          unit={preferences().currency ?? ''}
          tone="--ink-2"
          rows={data.cost.map((c) => ({ ...c, label: monthOf(c.label) }))}
        />
      {:else}<p class="mt-2 text-ink-2">
          Runs that are begun while every price is known tell it: prices stand on the lots of the shelf.
        </p>{/if}
    </section>
    <section>
      <h2 class="text-[1.35rem]">Seconds for each cavity</h2>
      <p class="text-[0.95rem] text-ink-2">
        the median of your own pours; new plans reckon with it from three on
      </p>
      {#if data.seconds.length}
        <RateChart
          label="Seconds for each cavity"
          unit="s"
          tone="--ochre"
          rows={data.seconds.map((s) => ({ label: actName(s.label), value: s.seconds, of: s.of }))}
        />
      {:else}<p class="mt-2 text-ink-2">No pour was timed yet.</p>{/if}
    </section>
  </div>
  <Taught
    taught={{
      clings: data.taught.clings.map((c) => ({
        name: c.name,
        figure: `${(c.cling * 100).toFixed(1)} %`,
        of: `${c.cups} cup${c.cups === 1 ? '' : 's'}`
      })),
      hands: data.taught.hands.map((h) => ({
        name: actName(h.kind),
        figure: duration(h.each),
        of: `${h.times} pours`
      })),
      rejects: data.taught.rejects.map((r) => ({
        name: r.name,
        figure: `${((100 * r.count) / r.of).toFixed(0)} %`,
        of: `${r.of} piece${r.of === 1 ? '' : 's'}`
      }))
    }}
  />
</div>
