<script lang="ts">
  import { Colourant, compatibilityOf, FORMS, limitOf, MATERIAL_WORDS } from '$core/material';
  import { CardForm } from '$lib/card-form.svelte';
  import CardHead from '$lib/ui/shelf/CardHead.svelte';
  import NumberField from '$lib/ui/shelf/NumberField.svelte';
  import QuantityField from '$lib/ui/QuantityField.svelte';
  import Row from '$lib/ui/shelf/Row.svelte';

  let { data } = $props();
  const form = $derived(new CardForm<Colourant>('colourants', Colourant, data.card, data.fresh));
  const card = $derived(form.card);
  const MATERIALS = Object.keys(MATERIAL_WORDS) as (keyof typeof MATERIAL_WORDS)[];
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
      hint="your own figure; the usual ones are below"
      problem={form.at('limit')}
    >
      <NumberField
        label="Most that may go in"
        optional
        value={card.limit}
        onchange={(v) => form.set(['limit'], v)}
      />
    </Row>
    <Row label="Density" hint="g/ml as supplied, where it displaces" problem={form.at('density')}>
      <NumberField label="Density" optional value={card.density} onchange={(v) => form.set(['density'], v)} />
    </Row>
    <Row
      label="A drop of it weighs"
      hint={card.drop ? `± ${((card.drop.error / card.drop.grams) * 100).toFixed(1)} %` : 'weigh twenty once'}
    >
      <a class="button w-full" href="/colours/drops"
        >{card.drop ? `${card.drop.grams.toFixed(4)} g` : 'Weigh a drop'}</a
      >
    </Row>
    <Row label="Loose in a spoon" hint="g/ml, levelled" problem={form.at('bulkDensity')}>
      <NumberField
        label="Loose in a spoon"
        optional
        value={card.bulkDensity}
        onchange={(v) => form.set(['bulkDensity'], v)}
      />
    </Row>
    <div class="sm:col-span-3">
      <table class="figures my-2 text-[0.9rem]" aria-label="In each material">
        <tbody>
          {#each MATERIALS as material (material)}
            {@const fits = compatibilityOf(card.form, material)}
            {@const most = limitOf(card, material)}
            <tr>
              <td class="!pl-0 text-ink-2">{MATERIAL_WORDS[material]}</td>
              <td
                class={fits.verdict === 'good'
                  ? 'text-verdigris'
                  : fits.verdict === 'avoid'
                    ? 'text-cinnabar'
                    : 'text-ochre'}
              >
                <strong>{fits.verdict}</strong>
                {fits.reason}
              </td>
              <td class="num">{fits.verdict === 'avoid' ? '' : `at most ${most.limit} %: ${most.reason}`}</td>
            </tr>
          {/each}
        </tbody>
      </table>
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
