<!-- One mix on paper: what goes in, what the scale reads, and room for what it really was. -->
<script lang="ts">
  import Table from './Table.svelte';
  import type { Scale } from '$core/dosing';
  import type { CupMix } from '$core/plan';
  import { displayOf, readingBeside } from '$core/quantity';

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
  const main = $derived(scales.find((s) => s.id === mainId)?.division ?? 0.01);
  const unit = $derived(displayOf(main).symbol);
  const shown = (grams: number, division: number) => readingBeside(grams, division, main);
  const scaleOf = (id: string) => scales.find((s) => s.id === id)?.name ?? '';
</script>

<Table
  class="mt-1"
  rows={weighings}
  columns={[
    { id: 'done', head: '', headClass: 'w-6' },
    { id: 'name', head: 'put in' },
    {
      id: 'weighs',
      head: `weighs, ${unit}`,
      headClass: 'whitespace-nowrap',
      num: true,
      text: (w) => `${w.kind === 'reserve' ? '−' : ''}${shown(w.weight, w.division)}`
    },
    {
      id: 'reads',
      head: readings === 'cumulative' ? `scale reads, ${unit}` : `scale reads, tared, ${unit}`,
      num: true,
      headClass: readings === 'cumulative' ? 'whitespace-nowrap' : '',
      text: (w) => shown(w.reading, w.division),
      class: 'font-bold'
    },
    { id: 'really', head: 'really', num: true, text: () => '______', headClass: 'w-16', class: 'text-ink-2' }
  ]}
>
  {#snippet cell(w, column)}
    {#if column === 'done'}<span class="inline-block h-3.5 w-3.5 border border-ink"></span>
    {:else}
      {w.name}
      {#if w.percent}<span class="whitespace-nowrap text-ink-2">{w.percent} %</span>{/if}
      {#if w.counted}<strong>{w.counted}</strong>{/if}
      {#if w.scaleId !== mainId || w.boat}<span class="block text-[0.8rem] text-ink-2"
          >on the {scaleOf(w.scaleId)}{w.boat ? ', in a small dish' : ''}</span
        >{/if}
      {#if w.creep}<span class="block text-[0.8rem] text-ink-2"
          >by eye: start with {shown(w.weight * w.creep.start, w.division)}, then {shown(
            w.weight * w.creep.step,
            w.division
          )} at a time</span
        >{/if}
      {#if !w.weighable}<strong class="block text-[0.8rem] text-ochre">not weighable on this scale</strong
        >{/if}
    {/if}
  {/snippet}
</Table>
