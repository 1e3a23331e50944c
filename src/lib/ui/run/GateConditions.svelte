<!-- What a gate asks, condition by condition: what is met, and what the hand or a probe has to say. -->
<script lang="ts">
  import Check from '@lucide/svelte/icons/check';
  import type { FrozenRun, GateOpening, GateTask, RunState } from '$core/run';
  import type { RunClock } from '../../run/run-clock.svelte';
  import type { PendingEvents } from '../../run/run-log.svelte';
  import { inWords } from '../../preferences.svelte';
  import ProbeReading from './ProbeReading.svelte';

  let {
    task,
    gate,
    frozen,
    run,
    clock,
    log
  }: {
    task: GateTask;
    gate: GateOpening;
    frozen: FrozenRun;
    run: RunState;
    clock: RunClock;
    log: PendingEvents;
  } = $props();

  /** The cup or the cavities that a condition's probe stands in. */
  function probed(i: number): string | undefined {
    const condition = task.all?.[i]?.condition;
    if (condition?.kind !== 'probe') return undefined;
    return 'cup' in condition.of ? condition.of.cup : condition.of.cavity;
  }
</script>

<ul class="mt-4 max-w-[46rem] space-y-2 text-[1.15rem]">
  {#each gate.conditions as c, i (i)}
    <li
      class="flex min-h-[64px] items-center gap-3 border-l-4 bg-sheet px-4 {c.met
        ? 'border-verdigris'
        : 'border-ochre'}"
    >
      {#if c.met}<Check size={24} class="text-verdigris" aria-label="met" />{/if}
      <span class="flex-1">{inWords(c.words)}</span>
      {#if c.look && !c.met}
        <button
          class="button min-h-[56px]"
          onclick={() => log.tell({ type: 'checked', task: task.id, condition: i })}>It is so</button
        >
      {:else if c.celsius !== undefined && !c.met}
        {@const of = probed(i)}
        {#if of !== undefined}<ProbeReading {of} wanted={c.celsius} {frozen} {run} {clock} {log} />{/if}
      {/if}
    </li>
  {/each}
</ul>
