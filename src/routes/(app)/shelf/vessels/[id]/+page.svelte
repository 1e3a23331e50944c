<script lang="ts">
  import { HEADROOM, Vessel } from '$core/shelf';
  import { CardForm } from '../../../../../lib/store/card-form.svelte';
  import CardHead from '$lib/ui/shelf/CardHead.svelte';
  import QuantityField from '../../../../../lib/ui/forms/QuantityField.svelte';
  import { volume } from '../../../../../lib/preferences.svelte';
  import Row from '../../../../../lib/ui/forms/Row.svelte';
  import ToolState from '$lib/ui/shelf/ToolState.svelte';

  let { data } = $props();
  const form = $derived(new CardForm<Vessel>('vessels', Vessel, data.card, data.revision));
</script>

<svelte:head><title>{form.card.name || 'New vessel'} · Kirapen</title></svelte:head>

<div class="page">
  <CardHead {form} back="/shelf" what="vessel" put="/shelf" />
  <div class="sheet mt-4 grid gap-x-5 p-5 sm:grid-cols-2">
    <Row label="Holds to the brim" problem={form.at('ml')}>
      <QuantityField
        label="Holds"
        unit="ml"
        above
        value={form.card.ml}
        onchange={(v) => form.set(['ml'], v)}
      />
    </Row>
    <Row label="Left in it after pouring" hint="weigh it empty after a pour" problem={form.at('loss')}>
      <QuantityField
        label="Stays in it"
        unit="g"
        value={form.card.loss}
        onchange={(v) => form.set(['loss'], v)}
      />
    </Row>
    <ToolState
      condition={form.card.condition}
      uses={data.uses}
      onchange={(v) => form.set(['condition'], v)}
    />
    <p class="text-[0.95rem] text-ink-2 sm:col-span-2">
      Stirs up to <strong class="text-ink">{volume(form.card.ml * (1 - HEADROOM))}</strong>: a third is left
      free.
    </p>
  </div>
</div>
