<!-- Where a piece comes from, by the log: its cavity, and every pour with how old its mix was. -->
<script lang="ts">
  import type { PieceTrace } from '$core/inspect';
  import { duration, holdsFor } from '$core/quantity';
  import type { FigureCup } from '$core/run';
  import { mass } from '../../preferences.svelte';
  import CupMark from '../drawing/CupMark.svelte';

  let { trace, cups }: { trace: PieceTrace; cups: readonly FigureCup[] } = $props();
</script>

<p class="mt-1">
  Cavity {trace.cavity}{#if trace.bar}, bar {trace.bar.number} of {trace.bar.of}{/if}
</p>
<ul class="ruled mt-1">
  {#each trace.pours as pour (pour.stepId + pour.cupId)}
    {@const late = pour.age !== undefined && pour.until !== undefined && pour.age > pour.until}
    <li class="flex items-center gap-2 py-1.5 text-ink">
      {#each cups.filter((c) => c.cupId === pour.cupId) as cup (cup.cupId)}
        <CupMark letter={cup.letter} colour={cup.colour} hatch={cup.hatch} size={19} />
      {/each}
      <span class="min-w-0 flex-1">{pour.name}{pour.mix ? `, mix ${pour.mix}` : ''}</span>
      {#if pour.age !== undefined}
        <span class={late ? 'font-semibold text-ochre' : ''}
          >{duration(pour.age)} old{#if pour.until !== undefined}
            <span class="text-ink-2">of {holdsFor(pour.until)}</span>{/if}</span
        >
      {/if}
      <span class="w-20 text-right text-ink-2">{mass(pour.grams)}</span>
    </li>
  {/each}
</ul>
