<!-- Plastisol's own tools and blends: injector, hardness from two liquids, how often it may be reheated. -->
<script lang="ts">
  import Tick from '../forms/Tick.svelte';
  import { hardShare, REHEAT_LIMIT, type Base, type PlastisolCard } from '$core/material';
  import type { CardForm } from '../../store/card-form.svelte';
  import QuantityField from '../forms/QuantityField.svelte';
  import NumberField from '../shelf/NumberField.svelte';
  import Row from '../forms/Row.svelte';
  import { whose } from '../shelf/whose';

  let { form, card }: { form: CardForm<Base>; card: PlastisolCard } = $props();
  const share = $derived(card.blend ? hardShare(card.blend) : undefined);
</script>

<div class="grid grid-cols-2 gap-x-3">
  <Row
    label="Takes how many reheats"
    hint="a warning past that"
    problem={form.at('reheatLimit')}
    whose={whose(card, 'reheatLimit')}
  >
    <NumberField
      label="Takes how many reheats"
      value={card.reheatLimit ?? REHEAT_LIMIT}
      onchange={(v) => form.set(['reheatLimit'], v === undefined ? undefined : Math.round(v))}
    />
  </Row>
</div>
<Tick
  checked={!!card.injector}
  onchange={(v) => form.set(['injector'], v ? { ml: 150, dead: 5, sprue: 0.05 } : undefined)}
  >shot with a hand injector</Tick
>
{#if card.injector}
  <div class="grid grid-cols-3 gap-x-3">
    <Row label="It holds" problem={form.at('injector/ml')}>
      <QuantityField
        label="Injector holds"
        unit="ml"
        above
        value={card.injector.ml}
        onchange={(v) => form.set(['injector', 'ml'], v)}
      />
    </Row>
    <Row label="Dead space" problem={form.at('injector/dead')}>
      <QuantityField
        label="Dead space"
        unit="ml"
        value={card.injector.dead}
        onchange={(v) => form.set(['injector', 'dead'], v)}
      />
    </Row>
    <Row label="Sprue, of a shot" problem={form.at('injector/sprue')}>
      <QuantityField
        label="Sprue"
        unit="%"
        max={0.5}
        value={card.injector.sprue}
        onchange={(v) => form.set(['injector', 'sprue'], v)}
      />
    </Row>
  </div>
{/if}
<Tick
  checked={!!card.blend}
  onchange={(v) => form.set(['blend'], v ? { soft: 5, hard: 40, wanted: 15 } : undefined)}
  >hardness blended from two liquids</Tick
>
{#if card.blend}
  <div class="grid grid-cols-3 gap-x-3">
    {#each [['soft', 'Soft, Shore A'], ['hard', 'Hard, Shore A'], ['wanted', 'Wanted']] as const as [key, label] (key)}
      <Row {label} problem={form.at(`blend/${key}`)}>
        <NumberField {label} value={card.blend[key]} onchange={(v) => form.set(['blend', key], v)} />
      </Row>
    {/each}
  </div>
  <p class="text-[0.88rem] text-ink-2">
    {share === undefined
      ? 'Ask for a hardness between the two.'
      : `${((1 - share) * 100).toFixed(1)} % of the soft, ${(share * 100).toFixed(1)} % of the hard`}
  </p>
{/if}
