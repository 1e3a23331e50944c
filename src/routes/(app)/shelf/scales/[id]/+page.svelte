<script lang="ts">
  import { COLOUR_TOLERANCE, leastWeighing, PART_TOLERANCE, Scale } from '$core/dosing';
  import { CardForm } from '../../../../../lib/store/card-form.svelte';
  import CardHead from '$lib/ui/shelf/CardHead.svelte';
  import QuantityField from '../../../../../lib/ui/forms/QuantityField.svelte';
  import { displayOf } from '$core/quantity';
  import Row from '../../../../../lib/ui/forms/Row.svelte';
  import ToolState from '$lib/ui/shelf/ToolState.svelte';

  let { data } = $props();
  const form = $derived(new CardForm<Scale>('scales', Scale, data.card, data.revision));
  const card = $derived(form.card);
  // A scale keeps the unit it shows, whatever else is shown in.
  const unit = $derived(displayOf(card.division));
  const shown = (grams: number) =>
    `${(grams / unit.factor).toFixed(unit.symbol === 'g' ? 2 : 3)} ${unit.symbol}`;
</script>

<svelte:head><title>{card.name || 'New scale'} · Kirapen</title></svelte:head>

<div class="page">
  <CardHead {form} back="/shelf" what="scale" put="/shelf" />
  <div class="sheet mt-4 grid grid-cols-3 gap-x-4 p-5">
    <Row label="Division" hint="the step of its display" problem={form.at('division')}>
      <QuantityField
        label="Division"
        metric
        unit={unit.symbol}
        above
        value={card.division}
        onchange={(v) => form.set(['division'], v)}
      />
    </Row>
    <Row label="Repeatability" hint="spread of repeated readings" problem={form.at('repeatability')}>
      <QuantityField
        label="Repeatability"
        metric
        unit={unit.symbol}
        value={card.repeatability ?? card.division}
        onchange={(v) => form.set(['repeatability'], v)}
      />
    </Row>
    <Row label="Up to" problem={form.at('capacity')}>
      <QuantityField
        label="Capacity"
        metric
        unit={unit.symbol}
        above
        value={card.capacity}
        onchange={(v) => form.set(['capacity'], v)}
      />
    </Row>
    <ToolState condition={card.condition} uses={data.uses} onchange={(v) => form.set(['condition'], v)} />
    <p class="col-span-3 mt-2 text-ink-2">
      Weighs colour from <strong class="text-ink">{shown(leastWeighing(card, COLOUR_TOLERANCE))}</strong>
      (within 5 %) and resin and hardener from
      <strong class="text-ink">{shown(leastWeighing(card, PART_TOLERANCE))}</strong> (within 2 %).
    </p>
  </div>
</div>
