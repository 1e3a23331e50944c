<!-- What else goes in with the oils of a soap, as a share of them. -->
<script lang="ts">
  import type { Base, SoapCard } from '$core/material';
  import type { CardForm } from '../../store/card-form.svelte';
  import QuantityField from '../forms/QuantityField.svelte';

  let { form, card }: { form: CardForm<Base>; card: SoapCard } = $props();
  const additives = $derived(card.additives ?? []);
</script>

<h3 class="mt-3 text-[1.05rem]">Additives, of the oils</h3>
<ul class="space-y-2">
  {#each additives as a, i (i)}
    <li class="grid grid-cols-[1fr_5.5rem_2rem] items-center gap-2">
      <input
        class="field"
        aria-label="Name of additive {i + 1}"
        value={a.name}
        onchange={(e) => form.set(['additives', i, 'name'], e.currentTarget.value)}
      />
      <QuantityField
        label="Share of additive {i + 1}"
        unit="%"
        above
        max={0.2}
        value={a.share}
        onchange={(v) => form.set(['additives', i, 'share'], v)}
      />
      <button
        class="text-ink-2 hover:text-cinnabar"
        aria-label="Take out additive {i + 1}"
        onclick={() => form.set(['additives'], additives.length > 1 ? additives.toSpliced(i, 1) : undefined)}
        >×</button
      >
    </li>
  {/each}
</ul>
<button
  class="button mt-2"
  onclick={() => form.set(['additives'], [...additives, { name: 'sugar', share: 0.01 }])}>+ additive</button
>
