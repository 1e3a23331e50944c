<script lang="ts">
  import { Mould } from '$core/mould';
  import { CardForm } from '$lib/card-form.svelte';
  import CardHead from '$lib/ui/shelf/CardHead.svelte';
  import CavityCard from '$lib/ui/shelf/CavityCard.svelte';
  import Row from '$lib/ui/shelf/Row.svelte';

  let { data } = $props();
  const form = $derived(new CardForm<Mould>('moulds', Mould, data.card, data.fresh));
  const MATERIALS = ['silicone', 'aluminium', 'HDPE', 'lined timber', 'latex', 'other'];
  const FINISHES = ['gloss', 'satin', 'matte'];
</script>

<svelte:head><title>{form.card.name || 'New mould'} · Kirapen</title></svelte:head>

<div class="mx-auto max-w-[1100px] px-7 py-6">
  <CardHead {form} back="/shelf" what="mould" put="/shelf" />
  {#each form.card.cavities as kind, index (kind.id)}
    <CavityCard {form} {kind} {index} />
  {/each}
  <div class="mt-4 grid gap-x-6 md:grid-cols-[12rem_10rem_1fr]">
    <Row label="Made of">
      <select
        class="field"
        aria-label="Made of"
        value={form.card.material}
        onchange={(e) => form.set(['material'], e.currentTarget.value)}
      >
        {#each MATERIALS as m (m)}<option>{m}</option>{/each}
      </select>
    </Row>
    <Row label="Finish">
      <select
        class="field"
        aria-label="Finish"
        value={form.card.finish}
        onchange={(e) => form.set(['finish'], e.currentTarget.value)}
      >
        {#each FINISHES as f (f)}<option>{f}</option>{/each}
      </select>
    </Row>
    <Row label="Notes">
      <textarea
        class="field min-h-20 py-2"
        aria-label="Notes"
        value={form.card.notes}
        oninput={(e) => form.set(['notes'], e.currentTarget.value)}></textarea>
    </Row>
  </div>
</div>
