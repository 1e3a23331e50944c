<script lang="ts">
  import { Colourant, limitOf } from '$core/material';
  import { CardForm } from '$lib/card-form.svelte';
  import CardHead from '$lib/ui/shelf/CardHead.svelte';
  import NumberField from '$lib/ui/shelf/NumberField.svelte';
  import QuantityField from '$lib/ui/QuantityField.svelte';
  import Row from '$lib/ui/shelf/Row.svelte';

  let { data } = $props();
  const form = $derived(new CardForm<Colourant>('colourants', Colourant, data.card, data.fresh));
  const card = $derived(form.card);
  const most = $derived(limitOf(card));
  const FORMS = ['powder', 'mica', 'paste', 'dispersion', 'ink'];
  const CARRIERS = ['none', 'part A', 'part B', 'water', 'oil', 'alcohol'];
</script>

<svelte:head><title>{card.name || 'New colourant'} · Kirapen</title></svelte:head>

<div class="mx-auto max-w-[860px] px-7 py-6">
  <CardHead {form} back="/colours" what="colourant" put="/colours" />
  <div class="sheet mt-4 grid grid-cols-1 gap-x-5 p-5 sm:grid-cols-3">
    <Row label="Form">
      <select
        class="field"
        aria-label="Form"
        value={card.form}
        onchange={(e) => form.set(['form'], e.currentTarget.value)}
      >
        {#each FORMS as f (f)}<option>{f}</option>{/each}
      </select>
    </Row>
    <Row label="Pigment in it" hint="100 % for a dry powder" problem={form.at('pigmentFraction')}>
      <QuantityField
        label="Pigment in it"
        unit="%"
        above
        max={1}
        value={card.pigmentFraction}
        onchange={(v) => form.set(['pigmentFraction'], v)}
      />
    </Row>
    <Row label="Carried in" hint="a carrier that is a part counts as that part">
      <select
        class="field"
        aria-label="Carried in"
        value={card.carrier}
        onchange={(e) => form.set(['carrier'], e.currentTarget.value)}
      >
        {#each CARRIERS as c (c)}<option>{c}</option>{/each}
      </select>
    </Row>
    <Row label="Colour at full strength" problem={form.at('colour')}>
      <input
        class="h-11 w-full rounded-md border border-rule-strong bg-sheet"
        type="color"
        aria-label="Colour at full strength"
        value={card.colour}
        onchange={(e) => form.set(['colour'], e.currentTarget.value)}
      />
    </Row>
    <Row label="Strength" hint="beside a common oxide, 1" problem={form.at('strength')}>
      <NumberField label="Strength" value={card.strength} onchange={(v) => form.set(['strength'], v)} />
    </Row>
    <Row
      label="Most that may go in, %"
      hint={most.from === 'usual'
        ? `usual for this form: ${most.limit} %, or ${most.reason}`
        : 'your own figure'}
      problem={form.at('limit')}
    >
      <NumberField
        label="Most that may go in"
        optional
        value={card.limit}
        onchange={(v) => form.set(['limit'], v)}
      />
    </Row>
    <div class="sm:col-span-3">
      <Row label="Notes">
        <textarea
          class="field min-h-16 py-2"
          aria-label="Notes"
          value={card.notes}
          oninput={(e) => form.set(['notes'], e.currentTarget.value)}></textarea>
      </Row>
    </div>
  </div>
</div>
