<!-- The own figures of gypsum, concrete, soap and melted bases. -->
<script lang="ts">
  import Choice from '../Choice.svelte';
  import { SAP, type Base } from '$core/material';
  import type { CardForm } from '$lib/card-form.svelte';
  import QuantityField from '../QuantityField.svelte';
  import NumberField from './NumberField.svelte';
  import ConcreteBag from './ConcreteBag.svelte';
  import PlastisolParts from './PlastisolParts.svelte';
  import Row from '../Row.svelte';
  import SoapAdditives from './SoapAdditives.svelte';
  import { whose } from './whose';

  let { form, card }: { form: CardForm<Base>; card: Exclude<Base, { kind: 'resin' }> } = $props();

  /** Fields by kind: key, label, and the unit typed (none for a plain number). */
  const FIELDS: Record<typeof card.kind, readonly [key: string, label: string, unit: string][]> = {
    gypsum: [
      ['liquid', 'Liquid, parts by weight', ''],
      ['powder', 'Powder, parts by weight', ''],
      ['density', 'Density, g/ml', '']
    ],
    concrete: [
      ['sand', 'Sand to one of cement', ''],
      ['waterCement', 'Water/cement', ''],
      ['plasticiser', 'Plasticiser, of the cement', '%'],
      ['air', 'Air', '%']
    ],
    soap: [
      ['superfat', 'Superfat', '%'],
      ['lyePurity', 'Lye purity', '%'],
      ['lyeConcentration', 'Lye concentration', '%'],
      ['fragrance', 'Fragrance, of the oils', '%'],
      ['density', 'Density, g/ml', '']
    ],
    'melt and pour': [
      ['density', 'Density, g/ml', ''],
      ['heatTo', 'Heat to', '°C'],
      ['neverPast', 'Never past', '°C'],
      ['pourAbove', 'Pour above', '°C']
    ],
    rubber: [
      ['a', 'Part A, by weight', ''],
      ['b', 'Part B, by weight', ''],
      ['density', 'Density, g/ml', '']
    ],
    plastisol: [
      ['density', 'Density, g/ml', ''],
      ['heatTo', 'Heat to', '°C'],
      ['neverPast', 'Never past', '°C'],
      ['pourAbove', 'Pour above', '°C']
    ]
  };
  // A bagged mix knows its own sand and water.
  const fields = $derived(
    card.kind === 'concrete' && card.bag
      ? FIELDS.concrete.filter(([key]) => key !== 'sand' && key !== 'waterCement')
      : FIELDS[card.kind]
  );
  const values = $derived(card as unknown as Record<string, number>);
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
  <Row label="Carries the next layer after" problem={form.at('setMinutes')} whose={whose(card, 'setMinutes')}>
    <QuantityField
      label="Carries the next layer after"
      unit="min"
      above
      value={card.setMinutes}
      onchange={(v) => form.set(['setMinutes'], v)}
    />
  </Row>
</div>

{#if card.kind === 'rubber'}
  <Row label="Cures by" whose={whose(card, 'cure')}>
    <Choice
      label="Cures by"
      value={card.cure}
      options={[
        { value: 'platinum', label: 'platinum' },
        { value: 'tin', label: 'tin' }
      ]}
      onchange={(v) => form.set(['cure'], v)}
    />
  </Row>
{/if}
{#if card.kind === 'soap' && card.fragrance > 0}
  <Row label="The fragrance" problem={form.at('fragranceIs')} whose={whose(card, 'fragranceIs')}>
    <Choice
      label="How the fragrance behaves"
      value={card.fragranceIs ?? 'calm'}
      options={[
        { value: 'calm', label: 'calm in the batter' },
        { value: 'quick', label: 'quickens it' },
        { value: 'floral', label: 'floral, quickens it much' }
      ]}
      onchange={(v) => form.set(['fragranceIs'], v === 'calm' ? undefined : v)}
    />
  </Row>
{/if}
{#if card.kind === 'concrete'}<ConcreteBag {form} {card} />{/if}
{#if card.kind === 'plastisol'}<PlastisolParts {form} {card} />{/if}

{#if card.kind === 'soap'}
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
{/if}
