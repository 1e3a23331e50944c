<!-- More of a colour is in than planned: what it comes to, and the three ways out. -->
<script lang="ts">
  import { weighing } from '$core/quantity';
  import { coloursOver } from '$core/run';
  import { inWords } from '$lib/preferences.svelte';
  import type { RunDesk } from '$lib/run/run-desk.svelte';

  let { desk, mixId }: { desk: RunDesk; mixId: string } = $props();

  const log = $derived(desk.given.log);
  const g = $derived((grams: number) => weighing(grams, desk.computed.division));
</script>

{#snippet way(words: string, act: () => void)}
  <button class="button min-h-[56px] w-full" disabled={!desk.given.conducting} onclick={act}>{words}</button>
{/snippet}

{#each desk.run.cups.get(mixId)?.coloured ? [] : coloursOver(desk.frozen, desk.run, mixId) as over, i (i)}
  <div
    class="mt-4 border-l-4 px-4 py-3 text-[1.05rem] {over.past
      ? 'border-cinnabar bg-cinnabar-soft'
      : 'border-ochre bg-ochre-soft'}"
    data-testid="colour-over"
  >
    <p class="text-[2.4rem] leading-tight font-bold">
      {over.now.toFixed(2)} % instead of {Number(over.planned.toFixed(2))} %
    </p>
    <p class="mt-1">
      <strong>More {over.name} than planned</strong>{#if over.past}, past its
        {Number(over.past.limit.toFixed(2))} %: {over.past.reason}{:else}, inside its limit{/if}.
    </p>
    <ul class="mt-3 grid gap-3 leading-snug sm:grid-cols-3">
      <li>
        {@render way(`${(over.more * 100).toFixed(0)} % more of everything else`, () =>
          log.tell({ type: 'overdosed', task: over.taskId, way: 'follow' })
        )}
        <p class="mt-1">
          The colour is as planned; {g(over.total)} in all{#if over.room}; <span
              class={over.holds ? '' : 'font-bold text-cinnabar'}>{inWords(over.room)}</span
            >{/if}.
        </p>
      </li>
      <li>
        {@render way('Keep it stronger', () =>
          log.tell({ type: 'overdosed', task: over.taskId, way: 'keep' })
        )}
        <p class="mt-1">
          {(over.more * 100).toFixed(0)} % more colour{over.past ? '; its limit is passed' : ''}.
        </p>
      </li>
      <li>
        {@render way('Start this cup over', () => log.tell({ type: 'restarted', mixId }))}
        <p class="mt-1">What is in it is lost. Undo, if the colour can be taken out.</p>
      </li>
    </ul>
  </div>
{/each}
