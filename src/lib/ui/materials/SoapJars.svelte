<!-- What the lye of a soap is made with, and what of it stands ready in jars. -->
<script lang="ts">
  import type { Base, SoapCard } from '$core/material';
  import type { CardForm } from '../../store/card-form.svelte';
  import Choice from '../forms/Choice.svelte';
  import QuantityField from '../forms/QuantityField.svelte';
  import Row from '../forms/Row.svelte';

  let { form, card }: { form: CardForm<Base>; card: SoapCard } = $props();

  /** A card without stocks says nothing of them. */
  function setStock(next: NonNullable<SoapCard['stock']>) {
    const kept = Object.fromEntries(Object.entries(next).filter(([, v]) => v !== undefined));
    form.set(['stock'], Object.keys(kept).length ? kept : undefined);
  }
  const LIQUIDS = ['milk', 'coconut milk', 'aloe juice', 'beer', 'tea'];
  const SUGAR: Record<string, number> = { milk: 0.05, 'coconut milk': 0.03, beer: 0.03 };
  const FAT: Record<string, number> = { milk: 0.04, 'coconut milk': 0.2 };
</script>

<h3 class="mt-3 text-[1.05rem]">Lye</h3>
<Row label="Made with" problem={form.at('liquid')}>
  <Choice
    label="What the lye is made with"
    value={card.liquid?.name ?? 'water'}
    options={[...new Set(['water', ...LIQUIDS, ...(card.liquid ? [card.liquid.name] : [])])].map((name) => ({
      value: name,
      label: name
    }))}
    onchange={(name) =>
      form.set(
        ['liquid'],
        name === 'water' ? undefined : { name, sugar: SUGAR[name] ?? 0, fat: FAT[name] ?? 0 }
      )}
  />
</Row>
{#if card.liquid}
  <Row label="Its sugar and its fat" problem={form.at('liquid/sugar') ?? form.at('liquid/fat')}>
    <span class="flex gap-2">
      <QuantityField
        label="Sugar of the {card.liquid.name}"
        unit="%"
        max={0.5}
        value={card.liquid.sugar}
        onchange={(v) => form.set(['liquid', 'sugar'], v ?? 0)}
      />
      <QuantityField
        label="Fat of the {card.liquid.name}"
        unit="%"
        max={0.4}
        value={card.liquid.fat}
        onchange={(v) => form.set(['liquid', 'fat'], v ?? 0)}
      />
    </span>
  </Row>
{/if}
<Row label="Stands ready" problem={form.at('stock/lye')}>
  <Choice
    label="What stands ready in jars"
    value={`${card.stock?.lye === undefined ? '' : 'lye'} ${card.stock?.oils ? 'oils' : ''}`.trim()}
    options={[
      { value: '', label: 'nothing: all is weighed fresh' },
      { value: 'lye', label: 'lye' },
      { value: 'oils', label: 'the oils, melted together' },
      { value: 'lye oils', label: 'lye and oils' }
    ]}
    onchange={(v) =>
      setStock({
        lye: v.includes('lye') ? (card.stock?.lye ?? 0.5) : undefined,
        oils: v.includes('oils') ? true : undefined
      })}
  />
</Row>
{#if card.stock?.lye !== undefined}
  <Row label="Strength of the stock lye" problem={form.at('stock/lye')}>
    <QuantityField
      label="Strength of the stock lye"
      unit="%"
      above
      max={0.5}
      value={card.stock.lye}
      onchange={(v) => setStock({ ...card.stock, lye: v })}
    />
  </Row>
{/if}
