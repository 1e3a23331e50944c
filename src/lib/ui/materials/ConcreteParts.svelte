<!-- A bagged casting mix: the bag's own water, density and cement instead of single parts. -->
<script lang="ts">
  import Tick from '../forms/Tick.svelte';
  import type { Base, ConcreteCard } from '$core/material';
  import type { CardForm } from '../../store/card-form.svelte';
  import QuantityField from '../forms/QuantityField.svelte';
  import NumberField from '../shelf/NumberField.svelte';
  import Row from '../forms/Row.svelte';
  import { whose } from '../shelf/whose';

  let { form, card }: { form: CardForm<Base>; card: ConcreteCard } = $props();
</script>

<Tick
  checked={!!card.bag}
  onchange={(v) => form.set(['bag'], v ? { water: 0.15, density: 2.2, cement: 0.35 } : undefined)}
  class="mt-1">a bagged mix, by the bag’s ratio</Tick
>
{#if card.bag}
  <div class="grid grid-cols-3 gap-x-3">
    <Row label="Water, of the dry mix" problem={form.at('bag/water')} whose={whose(card, 'bag')}>
      <QuantityField
        label="Water of the dry mix"
        unit="%"
        above
        value={card.bag.water}
        onchange={(v) => form.set(['bag', 'water'], v)}
      />
    </Row>
    <Row label="Fresh, g/ml" problem={form.at('bag/density')}>
      <NumberField
        label="Fresh density"
        value={card.bag.density}
        onchange={(v) => form.set(['bag', 'density'], v)}
      />
    </Row>
    <Row label="Cement in it" problem={form.at('bag/cement')}>
      <QuantityField
        label="Cement in the bag"
        unit="%"
        above
        value={card.bag.cement}
        onchange={(v) => form.set(['bag', 'cement'], v)}
      />
    </Row>
  </div>
{/if}
