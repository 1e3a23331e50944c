<!-- What only a cold-process soap's card has: how its fragrance behaves, its oils, its additives. -->
<script lang="ts">
  import Choice from '../forms/Choice.svelte';
  import { SAP, type Base, type SoapCard } from '$core/material';
  import type { CardForm } from '../../store/card-form.svelte';
  import { formatQuantity } from '$core/quantity';
  import { mass } from '../../preferences.svelte';
  import QuantityField from '../forms/QuantityField.svelte';
  import NumberField from '../shelf/NumberField.svelte';
  import Row from '../forms/Row.svelte';
  import SoapAdditives from './SoapAdditives.svelte';
  import SoapJars from './SoapJars.svelte';
  import { whose } from '../shelf/whose';

  let { form, card }: { form: CardForm<Base>; card: SoapCard } = $props();
  const ROW = 'grid grid-cols-[minmax(0,1fr)_5.6rem_4.6rem_4.2rem_1.2rem] items-center gap-2';
  const whole = $derived(card.oils.reduce((s, o) => s + o.share, 0));
  /** What the recipe's grams are written for. */
  const total = $derived(card.recipeGrams ?? 1000);
  const grams = $derived(card.oils.map((o) => o.share * total));

  /** Oils by their grams: each one's share of them all follows. */
  function setOils(next: readonly number[], oils: SoapCard['oils']) {
    const all = next.reduce((s, g) => s + g, 0);
    form.set(['recipeGrams'], all || undefined);
    form.set(
      ['oils'],
      oils.map((o, i) => ({ ...o, share: (next[i] ?? 0) / all }))
    );
  }
  const setGrams = (i: number, to: number) => setOils(grams.with(i, to), card.oils);
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
<p class="text-[0.85rem] text-ink-2">
  Type grams as your recipe has them, or percent. SAP in mg KOH to a gram.
</p>
<div class="{ROW} label mt-1" aria-hidden="true">
  <span>oil</span><span>grams</span><span>percent</span><span>SAP</span>
</div>
<ul class="space-y-2">
  {#each card.oils as oil, i (i)}
    <li class={ROW}>
      <span>{oil.name}</span>
      <QuantityField
        label="Grams of {oil.name}"
        unit="g"
        above
        max={200_000}
        value={oil.share * total}
        onchange={(grams) => setGrams(i, grams)}
      />
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
        onclick={() => setOils(grams.toSpliced(i, 1), card.oils.toSpliced(i, 1))}>×</button
      >
    </li>
  {/each}
</ul>
<p class="mt-1 flex justify-between border-t border-rule pt-1">
  <span class="text-ink-2">Oils in all</span>
  <strong>{mass(total)} · {formatQuantity(whole, '%', 1)}</strong>
</p>
<Choice
  label="Add an oil"
  value=""
  options={Object.keys(SAP)
    .filter((n) => !card.oils.some((o) => o.name === n))
    .map((name) => ({ value: name, label: name }))}
  onchange={(v) => {
    const name = v as keyof typeof SAP;
    if (name in SAP) setOils([...grams, total / 10], [...card.oils, { name, share: 0.1, sap: SAP[name] }]);
  }}
  placeholder="+ oil"
  class="mt-2"
/>
<SoapAdditives {form} {card} />
<SoapJars {form} {card} />
