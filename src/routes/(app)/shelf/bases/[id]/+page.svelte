<script lang="ts">
  import { bothReadings, RESIN_CAUTIONS, ResinBase, resinFormula } from '$core/material';
  import { cureOf } from '$core/cure';
  import { duration } from '$core/quantity';
  import { CardForm } from '$lib/card-form.svelte';
  import CardHead from '$lib/ui/shelf/CardHead.svelte';
  import NumberField from '$lib/ui/shelf/NumberField.svelte';
  import ProblemNote from '$lib/ui/ProblemNote.svelte';
  import QuantityField from '$lib/ui/QuantityField.svelte';
  import Row from '$lib/ui/shelf/Row.svelte';

  let { data } = $props();
  const form = $derived(new CardForm<ResinBase>('bases', ResinBase, data.card, data.fresh));
  const card = $derived(form.card);
  const formula = $derived(resinFormula(card));
  const read = $derived(bothReadings(card));
  const ROOMS = [18, 21, 24];
</script>

<svelte:head><title>{card.name || 'New resin'} · Kirapen</title></svelte:head>

<div class="mx-auto max-w-[1100px] px-7 py-6">
  <CardHead {form} back="/shelf" what="two-part resin" put="/shelf" />
  <p class="mt-2 text-ink-2">
    The figures here are yours: the data sheet in the box always wins over a starting value.
  </p>

  <div class="mt-4 grid gap-8 lg:grid-cols-3">
    <section class="sheet p-5">
      <h2 class="text-[1.2rem]">Ratio</h2>
      <div class="grid grid-cols-[1fr_1fr_1.4fr] gap-x-3">
        <Row label="A"
          ><NumberField
            label="Parts of A"
            value={card.ratio.a}
            onchange={(v) => form.set(['ratio', 'a'], v)}
          /></Row
        >
        <Row label="B"
          ><NumberField
            label="Parts of B"
            value={card.ratio.b}
            onchange={(v) => form.set(['ratio', 'b'], v)}
          /></Row
        >
        <Row label="by">
          <select
            class="field"
            aria-label="Ratio by"
            value={card.ratio.by}
            onchange={(e) => form.set(['ratio', 'by'], e.currentTarget.value)}
          >
            <option>weight</option><option>volume</option>
          </select>
        </Row>
      </div>
      <div class="grid grid-cols-3 gap-x-3">
        {#each [['densityA', 'Density A'], ['densityB', 'Density B'], ['densityMixed', 'Mixed, if measured']] as const as [key, label] (key)}
          <Row {label} hint="g/ml" problem={form.at(key)}>
            <NumberField {label} optional value={card[key]} onchange={(v) => form.set([key], v)} />
          </Row>
        {/each}
      </div>
      {#if formula.ok && read}
        <p class="mt-2 font-display text-[1.9rem] leading-tight font-medium" data-testid="by-weight">
          {read.weight[0].toFixed(2)} : {read.weight[1].toFixed(2)}
        </p>
        <p class="text-[0.9rem] text-ink-2">
          by weight{read.volume ? `, ${read.volume[0].toFixed(2)} : 1 by volume` : ''} · mixed {formula.value.density.toFixed(
            3
          )} g/ml
        </p>
      {:else if !formula.ok}
        <ProblemNote problem={formula.problem} />
      {/if}
    </section>

    <section class="sheet p-5">
      <h2 class="text-[1.2rem]">Time and depth</h2>
      <div class="grid grid-cols-2 gap-x-3">
        <Row label="Open time" hint="100 g in a cup at 23 °C" problem={form.at('openMinutes')}>
          <QuantityField
            label="Open time"
            unit="min"
            above
            value={card.openMinutes}
            onchange={(v) => form.set(['openMinutes'], v)}
          />
        </Row>
        <Row label="Stir for" problem={form.at('stirMinutes')}>
          <QuantityField
            label="Stir for"
            unit="min"
            above
            value={card.stirMinutes}
            onchange={(v) => form.set(['stirMinutes'], v)}
          />
        </Row>
        <Row label="Demould from" problem={form.at('demouldHours/from')}>
          <QuantityField
            label="Demould from"
            unit="h"
            above
            value={card.demouldHours.from * 60}
            onchange={(v) => form.set(['demouldHours', 'from'], v / 60)}
          />
        </Row>
        <Row label="Demould until" problem={form.at('demouldHours/to')}>
          <QuantityField
            label="Demould until"
            unit="h"
            above
            value={card.demouldHours.to * 60}
            onchange={(v) => form.set(['demouldHours', 'to'], v / 60)}
          />
        </Row>
        <Row label="Full cure" problem={form.at('fullCureHours')}>
          <QuantityField
            label="Full cure"
            unit="h"
            above
            value={card.fullCureHours * 60}
            onchange={(v) => form.set(['fullCureHours'], v / 60)}
          />
        </Row>
        <Row label="Deepest layer" problem={form.at('depthLimit')}>
          <QuantityField
            label="Deepest layer"
            unit="mm"
            above
            value={card.depthLimit}
            onchange={(v) => form.set(['depthLimit'], v)}
          />
        </Row>
        <Row label="Least sensible mix" problem={form.at('leastMix')}>
          <QuantityField
            label="Least sensible mix"
            unit="g"
            value={card.leastMix}
            onchange={(v) => form.set(['leastMix'], v)}
          />
        </Row>
        <Row label="Shelf life" hint="months" problem={form.at('shelfMonths')}>
          <NumberField
            label="Shelf life in months"
            value={card.shelfMonths}
            onchange={(v) => form.set(['shelfMonths'], v)}
          />
        </Row>
      </div>
    </section>

    <section class="sheet p-5">
      <h2 class="text-[1.2rem]">What to expect</h2>
      <table class="figures mt-1 text-[0.92rem]" aria-label="Gel times">
        <thead
          ><tr
            ><th class="!px-0">gels after</th>{#each ROOMS as room (room)}<th class="num">{room} °C</th
              >{/each}</tr
          ></thead
        >
        <tbody>
          {#each [{ name: '100 g cup', body: { cup: 100 } }, { name: '4 mm layer', body: { layer: 4 } }, { name: '10 mm layer', body: { layer: 10 } }] as row (row.name)}
            <tr>
              <td class="!px-0 text-ink-2">{row.name}</td>
              {#each ROOMS as room (room)}<td class="num"
                  >{duration(cureOf(card.openMinutes, row.body, room).begins.gelled)}</td
                >{/each}
            </tr>
          {/each}
        </tbody>
      </table>
      <p class="mt-1 text-[0.85rem] text-ink-2">
        Estimated from the open time; what your hand reports in a run comes first.
      </p>
      <Row label="Colour of the cured resin" problem={form.at('colour')}>
        <input
          class="h-11 w-20 rounded-md border border-rule-strong bg-sheet"
          type="color"
          aria-label="Colour of the cured resin"
          value={card.colour}
          onchange={(e) => form.set(['colour'], e.currentTarget.value)}
        />
      </Row>
      <Row label="Where the figures come from">
        <textarea
          class="field min-h-16 py-2"
          aria-label="Where the figures come from"
          value={card.source}
          oninput={(e) => form.set(['source'], e.currentTarget.value)}></textarea>
      </Row>
      <h3 class="mt-2 text-[1.05rem]">Cautions</h3>
      <ul class="list-disc pl-5 text-[0.87rem] text-ink-2">
        {#each RESIN_CAUTIONS as caution (caution)}<li>{caution}</li>{/each}
      </ul>
      <Row label="More from your data sheet, one a line">
        <textarea
          class="field min-h-16 py-2"
          aria-label="More cautions"
          value={card.cautions.join('\n')}
          onchange={(e) =>
            form.set(
              ['cautions'],
              e.currentTarget.value
                .split('\n')
                .map((l) => l.trim())
                .filter(Boolean)
            )}></textarea>
      </Row>
    </section>
  </div>
</div>
