<!-- Beside a lesson's run: what was right in what was just done, and what matters in what comes now. -->
<script lang="ts">
  import { doneHow, whyOf } from '$core/rehearse';
  import { foldRun, type FrozenRun, type RunEvent } from '$core/run';
  import { inWords } from '../../preferences.svelte';

  let {
    frozen,
    events,
    helped
  }: {
    frozen: FrozenRun;
    events: readonly RunEvent[];
    /** What matters is said before each act; without it the lesson is done alone. */
    helped: boolean;
  } = $props();

  const fold = (upTo: number) => foldRun(frozen.tasks, events.slice(0, upTo), frozen.computed.division);
  const last = $derived(events.at(-1));
  const how = $derived(last && doneHow(frozen, fold(events.length - 1), last));
  const task = $derived(fold(events.length).now?.task);
</script>

{#if (helped && task) || how}
  <div
    class="flex shrink-0 flex-wrap items-baseline gap-x-6 gap-y-1 border-b border-rule bg-verdigris-soft px-7 py-2.5 text-[1.15rem]"
    data-testid="lesson-help"
  >
    {#if how}
      <p class={how.well ? 'font-semibold text-verdigris' : 'font-semibold text-cinnabar'} data-testid="how">
        {inWords(how.says)}
      </p>
    {/if}
    {#if helped && task}<p class="min-w-[20rem] flex-1" data-testid="why">
        {inWords(whyOf(frozen, task))}
      </p>{/if}
  </div>
{/if}
