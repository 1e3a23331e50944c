<!-- A resin card's own figures: the ratio both ways, full cure, depth, and what the cure model expects. -->
<script lang="ts">
  import Table from '../Table.svelte';
  import Choice from '../forms/Choice.svelte';
  import { cureOf } from '$core/cure';
  import { bothReadings, type Base, type ResinCard } from '$core/material';
  import { duration } from '$core/quantity';
  import type { CardForm } from '../../store/card-form.svelte';
  import QuantityField from '../forms/QuantityField.svelte';
  import NumberField from '../shelf/NumberField.svelte';
  import Row from '../forms/Row.svelte';
  import { whose } from '../shelf/whose';
  import { temperature } from '../../preferences.svelte';

  let { form, card }: { form: CardForm<Base>; card: ResinCard } = $props();
  const read = $derived(bothReadings(card));
  const ROOMS = [18, 21, 24];
  const BODIES = [
    { name: '100 g cup', body: { cup: 100 } },
    { name: '4 mm layer', body: { layer: 4 } },
    { name: '10 mm layer', body: { layer: 10 } }
  ];
</script>

<div class="grid grid-cols-[1fr_1fr_1.4fr] gap-x-3">
  <Row label="A" whose={whose(card, 'ratio')}
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
    <Choice
      label="Ratio by"
      value={card.ratio.by}
      options={[
        { value: 'weight', label: 'weight' },
        { value: 'volume', label: 'volume' }
      ]}
      onchange={(v) => form.set(['ratio', 'by'], v)}
    />
  </Row>
</div>
<div class="grid grid-cols-3 gap-x-3">
  {#each [['densityA', 'Density A'], ['densityB', 'Density B'], ['densityMixed', 'Mixed, measured']] as const as [key, label] (key)}
    <Row {label} hint="g/ml" problem={form.at(key)} whose={card[key] === undefined ? '' : whose(card, key)}>
      <NumberField {label} optional value={card[key]} onchange={(v) => form.set([key], v)} />
    </Row>
  {/each}
  <Row label="Full cure" problem={form.at('fullCureHours')} whose={whose(card, 'fullCureHours')}>
    <QuantityField
      label="Full cure"
      unit="h"
      above
      value={card.fullCureHours * 60}
      onchange={(v) => form.set(['fullCureHours'], v / 60)}
    />
  </Row>
  <Row label="Deepest layer" problem={form.at('depthLimit')} whose={whose(card, 'depthLimit')}>
    <QuantityField
      label="Deepest layer"
      unit="mm"
      above
      value={card.depthLimit}
      onchange={(v) => form.set(['depthLimit'], v)}
    />
  </Row>
  <Row label="Largest mix in one cup, g" hint="worked out if empty" problem={form.at('safeMass')}>
    <NumberField
      label="Most in one cup"
      optional
      value={card.safeMass}
      onchange={(v) => form.set(['safeMass'], v)}
    />
  </Row>
</div>
{#if read}
  <p class="mt-1 font-display text-[1.9rem] leading-tight font-medium" data-testid="by-weight">
    {read.weight[0].toFixed(2)} : {read.weight[1].toFixed(2)}
  </p>
  <p class="text-[0.9rem] text-ink-2">
    by weight{read.volume ? `, ${read.volume[0].toFixed(2)} : 1 by volume` : ''}
  </p>
{/if}
<Table
  class="mt-3 text-[0.92rem]"
  label="Gel times"
  rows={BODIES}
  columns={[
    {
      id: 'body',
      head: 'gels after',
      text: (row) => row.name,
      class: '!px-0 text-ink-2',
      headClass: '!px-0'
    },
    ...ROOMS.map((room) => ({
      id: String(room),
      head: temperature(room),
      num: true,
      text: (row: (typeof BODIES)[number]) => duration(cureOf(card.openMinutes, row.body, room).begins.gelled)
    }))
  ]}
/>
<p class="mt-1 text-[0.85rem] text-ink-2">
  Estimated from the open time; times you record in a run replace this.
</p>
