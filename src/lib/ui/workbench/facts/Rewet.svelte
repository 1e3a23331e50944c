<!-- What adding liquid to a stiffening mix leaves: shown before it is done. -->
<script lang="ts">
  import Fold from '../../Fold.svelte';
  import { thinned } from '$core/dosing';
  import { materials, type Base } from '$core/material';
  import type { Computed } from '$core/plan';
  import QuantityField from '../../forms/QuantityField.svelte';

  let { computed, base }: { computed: Computed; base: Base | undefined } = $props();
  let added = $state(10);
  const mix = $derived(computed.common[0] ?? computed.cups.find((c) => c.balance.pouredMl > 0)?.mixes[0]);
  // As really in it: the water of dispersions and let-downs counts.
  const grams = $derived((key: string) => mix?.held.find((p) => p.key === key)?.grams ?? 0);
  const now = $derived(base && materials.of(base).thinning?.(base, grams));
  const after = $derived(now && now.solid > 0 ? thinned(now.liquid, now.solid, added) : undefined);
</script>

{#if now && after}
  <Fold class="mt-2" words="Stiffening? What more liquid does" testid="rewet">
    <p class="mt-1">
      <QuantityField
        quiet
        width="3.6rem"
        label="Liquid added"
        unit="g"
        max={5000}
        value={added}
        onchange={(v) => (added = v)}
      />
      more: {now.words} 1 : {(now.solid / now.liquid).toFixed(2)} →
      <strong class="text-ink">1 : {(1 / after.ratio).toFixed(2)}</strong>,
      <strong class={after.change > now.most ? 'text-cinnabar' : 'text-ink'}
        >+{(after.change * 100).toFixed(1)} %</strong
      >.
      {after.change > now.most ? now.past : now.within}
    </p>
  </Fold>
{/if}
