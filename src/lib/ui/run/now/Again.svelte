<!-- An act that is done several times: which of them this is, and how long after the one before. -->
<script lang="ts">
  import { clock, duration } from '$core/quantity';
  import type { Task } from '$core/run';
  import type { RunDesk } from '$lib/run/run-desk.svelte';
  import BigNumber from './BigNumber.svelte';

  let { desk, task }: { desk: RunDesk; task: Extract<Task, { kind: 'do' }> } = $props();

  const entry = $derived(desk.run.tasks.find((t) => t.task.id === task.id));
  const nth = $derived((entry?.repeats ?? 0) + 1);
  const every = $derived(task.every ?? 0);
  const left = $derived(entry?.lastAt === undefined ? 0 : (entry.lastAt - desk.now) / 1000 + every * 60);
</script>

<div data-nth={nth}>
  {#if left > 0}
    <BigNumber value={clock(left)} words={`until number ${nth} of ${task.times}`} />
  {:else}
    <BigNumber value={`${nth}`} words={`of ${task.times}`} />
  {/if}
</div>
{#if every > 0}<p class="mt-2 text-[1.1rem] text-ink-2">{duration(every)} from one to the next</p>{/if}
