<!-- The figures of a material's card: those that its definition names, and what only this material has. -->
<script lang="ts">
  import { materials, type Base } from '$core/material';
  import type { CardForm } from '../../store/card-form.svelte';
  import QuantityField from '../forms/QuantityField.svelte';
  import Row from '../forms/Row.svelte';
  import NumberField from '../shelf/NumberField.svelte';
  import { whose } from '../shelf/whose';
  import { PARTS } from '.';

  let { form, card }: { form: CardForm<Base>; card: Base } = $props();
  const fields = $derived(materials.of(card).fields(card));
  const values = $derived(card as unknown as Record<string, number>);
  const Own = $derived(PARTS[card.kind]);
</script>

<div class="grid grid-cols-2 gap-x-3">
  {#each fields as [key, label, unit] (key)}
    <Row {label} problem={form.at(key)} whose={whose(card, key)}>
      {#if unit}
        <QuantityField {label} {unit} value={values[key] ?? 0} onchange={(v) => form.set([key], v)} />
      {:else}
        <NumberField {label} value={values[key]} onchange={(v) => form.set([key], v)} />
      {/if}
    </Row>
  {/each}
  {#if 'setMinutes' in card}
    <Row
      label="Firm enough for the next layer after"
      problem={form.at('setMinutes')}
      whose={whose(card, 'setMinutes')}
    >
      <QuantityField
        label="Firm enough for the next layer after"
        unit="min"
        above
        value={card.setMinutes}
        onchange={(v) => form.set(['setMinutes'], v)}
      />
    </Row>
  {/if}
</div>
{#if Own}<Own {form} {card} />{/if}
