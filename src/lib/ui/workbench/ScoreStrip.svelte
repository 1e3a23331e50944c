<script lang="ts">
  import { duration } from '$core/quantity';
  import { InTurn } from '$lib/in-turn.svelte';
  import { Later } from '$lib/later.svelte';
  import type { PlanView } from '$lib/plan-view.svelte';
  import Choice from '$lib/ui/Choice.svelte';
  import ScoreDrawing from '$lib/ui/ScoreDrawing.svelte';

  let { editor }: { editor: PlanView } = $props();
  const turn = new InTurn(1);
  const computed = $derived(editor.computed);
  const score = new Later(() => editor.computed);
  let folded = $state(false);
  let zoom = $state<'pour' | 'all' | 'days'>('pour');
</script>

<section class="bg-sheet px-5 py-1" aria-label="Score">
  <div class="flex items-baseline gap-3 text-[0.85rem] text-ink-2">
    <span class="label">Score</span>
    <span class="flex-1"
      >hands done after {duration(computed.score.ends)}{#if computed.score.done > computed.score.ends + 1},
        all of it after {duration(computed.score.done)}{/if}</span
    >
    {#if !folded && computed.score.done > computed.score.ends + 1}
      <Choice
        quiet
        label="What the score shows"
        value={zoom}
        options={[
          { value: 'pour', label: 'the pour, in minutes' },
          { value: 'all', label: 'all of it, waits folded' },
          { value: 'days', label: 'the days, to scale' }
        ]}
        onchange={(v) => (zoom = v as typeof zoom)}
      />
    {/if}
    <button class="underline hover:text-ink" aria-expanded={!folded} onclick={() => (folded = !folded)}
      >{folded ? 'unfold' : 'fold'}</button
    >
  </div>
  {#if !folded && turn.reached(1)}
    <div class="overflow-x-auto">
      <div class="min-w-[900px]"><ScoreDrawing computed={score.value} {zoom} /></div>
    </div>
  {/if}
</section>
