<!-- What only a cold-process soap's card has: how its fragrance behaves, its oils, its additives. -->
<script lang="ts">
  import Choice from '../forms/Choice.svelte';
  import { SAP, type Base, type SoapCard } from '$core/material';
  import type { CardForm } from '../../store/card-form.svelte';
  import QuantityField from '../forms/QuantityField.svelte';
  import NumberField from '../shelf/NumberField.svelte';
  import Row from '../forms/Row.svelte';
  import SoapAdditives from './SoapAdditives.svelte';
  import { whose } from '../shelf/whose';

  let { form, card }: { form: CardForm<Base>; card: SoapCard } = $props();
</script>

{#if card.fragrance > 0}
  <Row label="The fragrance" problem={form.at('fragranceIs')} whose={whose(card, 'fragranceIs')}>
    <Choice
      label="How the fragrance behaves"
      value={card.fragranceIs ?? 'calm'}
      options={[
        { value: 'calm', label: 'does not speed up trace' },
        { value: 'quick', label: 'quickens it' },
        { value: 'floral', label: 'floral, quickens it much' }
      ]}
      onchange={(v) => form.set(['fragranceIs'], v === 'calm' ? undefined : v)}
    />
  </Row>
{/if}
<h3 class="mt-3 text-[1.05rem]">Oils</h3>
<ul class="space-y-2">
  {#each card.oils as oil, i (i)}
    <li class="grid grid-cols-[1fr_5rem_5rem_2rem] items-center gap-2">
      <span>{oil.name}</span>
      <QuantityField
        label="Share of {oil.name}"
        unit="%"
        above
        max={1}
        value={oil.share}
        onchange={(v) => form.set(['oils', i, 'share'], v)}
      />
      <NumberField
        label="SAP of {oil.name}"
        value={oil.sap}
        onchange={(v) => form.set(['oils', i, 'sap'], v)}
      />
      <button
        class="text-ink-2 hover:text-cinnabar"
        aria-label="Take out {oil.name}"
        onclick={() => form.set(['oils', i], undefined)}>×</button
      >
    </li>
  {/each}
</ul>
<Choice
  label="Add an oil"
  value=""
  options={Object.keys(SAP)
    .filter((n) => !card.oils.some((o) => o.name === n))
    .map((name) => ({ value: name, label: name }))}
  onchange={(v) => {
    const name = v as keyof typeof SAP;
    if (name in SAP) form.set(['oils', card.oils.length], { name, share: 0.1, sap: SAP[name] });
  }}
  placeholder="+ oil"
  class="mt-2"
/>
<SoapAdditives {form} {card} />
