<!-- The mark of a step: its cup's letter on its colour, or the sign of the family its act belongs to. -->
<script lang="ts">
  import ArrowDownToDot from '@lucide/svelte/icons/arrow-down-to-dot';
  import Droplet from '@lucide/svelte/icons/droplet';
  import Hourglass from '@lucide/svelte/icons/hourglass';
  import Package from '@lucide/svelte/icons/package-open';
  import Spline from '@lucide/svelte/icons/spline';
  import type { Cup } from '$core/document';
  import { acts } from '$core/pour';
  import CupMark from '../drawing/CupMark.svelte';

  let {
    kind,
    cup
  }: { kind: string; cup: { letter: string; colour: string; hatch: Cup['hatch'] } | undefined } = $props();
  const SIGNS = {
    'pour in': Droplet,
    move: Spline,
    'put in': ArrowDownToDot,
    wait: Hourglass,
    after: Package
  };
  const Sign = $derived(SIGNS[acts.find(kind)?.group ?? 'after']);
</script>

{#if cup}
  <CupMark letter={cup.letter} colour={cup.colour} hatch={cup.hatch} size={27} />
{:else}
  <span
    class="grid size-[27px] shrink-0 place-items-center rounded-[5px] border border-rule-strong bg-sunk text-ink-2"
    aria-hidden="true"><Sign size={15} /></span
  >
{/if}
