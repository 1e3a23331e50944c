<!-- One mix on paper: what goes in, what the scale reads, and room for what it really was. -->
<script lang="ts">
  import type { Scale } from '$core/dosing';
  import type { CupMix } from '$core/plan';
  import { grams } from '$core/quantity';

  let {
    weighings,
    readings,
    scales,
    mainId
  }: {
    weighings: CupMix['weighings'];
    readings: 'cumulative' | 'tared';
    scales: readonly Scale[];
    mainId: string;
  } = $props();
  const scaleOf = (id: string) => scales.find((s) => s.id === id)?.name ?? '';
</script>

<table class="figures mt-1">
  <thead>
    <tr>
      <th class="w-6"><span class="sr-only">done</span></th>
      <th>put in</th>
      <th class="num">weighs, g</th>
      <th class="num">{readings === 'cumulative' ? 'scale reads, g' : 'scale reads, tared, g'}</th>
      <th class="num w-24">really</th>
    </tr>
  </thead>
  <tbody>
    {#each weighings as w (w.key)}
      <tr>
        <td><span class="inline-block h-3.5 w-3.5 border border-ink"></span></td>
        <td>
          {w.name}
          {#if w.percent}<span class="text-ink-2">{w.percent} %</span>{/if}
          {#if w.counted}<strong>{w.counted}</strong>{/if}
          {#if w.scaleId !== mainId || w.boat}<span class="block text-[0.8rem] text-ink-2"
              >on the {scaleOf(w.scaleId)}{w.boat ? ', in a boat' : ''}</span
            >{/if}
          {#if w.creep}<span class="block text-[0.8rem] text-ink-2"
              >by eye: start with {grams(w.weight * w.creep.start, w.division)}, then {grams(
                w.weight * w.creep.step,
                w.division
              )} at a time</span
            >{/if}
          {#if !w.weighable}<strong class="block text-[0.8rem] text-ochre">not weighable on this scale</strong
            >{/if}
        </td>
        <td class="num">{w.kind === 'reserve' ? '−' : ''}{grams(w.weight, w.division)}</td>
        <td class="num font-bold">{grams(w.reading, w.division)}</td>
        <td class="num text-ink-2">______</td>
      </tr>
    {/each}
  </tbody>
</table>
