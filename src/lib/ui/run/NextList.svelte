<!-- What comes after the instruction in hand. -->
<script lang="ts">
  import type { Computed } from '$core/plan';
  import { weighing } from '$core/quantity';
  import type { RunState } from '$core/run';
  import { said } from '$lib/ways.svelte';
  import { taskWords } from '$lib/instruction';

  let { run, computed, current }: { run: RunState; computed: Computed; current: string | undefined } =
    $props();

  const next = $derived(run.tasks.filter((t) => t.status === 'open' && t.task.id !== current).slice(0, 4));
</script>

<h2 class="label mt-8 font-sans !text-[0.95rem]">Next</h2>
<ol class="mt-2 space-y-1.5 text-[1.1rem]">
  {#each next as entry, i (entry.task.id)}
    {@const words = taskWords(entry.task, computed)}
    <li class={i > 1 ? 'text-ink-2' : ''}>
      <strong>{words.act}</strong>
      {said(words.rest)}
      {#if entry.task.kind === 'weigh'}· {weighing(
          entry.target ?? entry.task.grams,
          entry.task.division
        )}{/if}
    </li>
  {:else}
    <li class="text-ink-2">Nothing more.</li>
  {/each}
</ol>
