<!-- A bagged casting mix: the bag's own water, density and cement instead of single parts. -->
<script lang="ts">
  import type { Base } from '$core/material';
  import type { CardForm } from '$lib/card-form.svelte';
  import QuantityField from '../QuantityField.svelte';
  import NumberField from './NumberField.svelte';
  import Row from './Row.svelte';
  import { whose } from './whose';

  let { form, card }: { form: CardForm<Base>; card: Extract<Base, { kind: 'concrete' }> } = $props();
</script>

<label class="mt-1 flex min-h-11 items-center gap-2">
  <input
    type="checkbox"
    class="h-5 w-5"
    checked={!!card.bag}
    onchange={(e) =>
      form.set(['bag'], e.currentTarget.checked ? { water: 0.15, density: 2.2, cement: 0.35 } : undefined)}
  /> a bagged mix, by the bag’s ratio
</label>
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
