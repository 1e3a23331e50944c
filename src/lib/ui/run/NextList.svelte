<!-- What comes after the instruction in hand, and what could be done meanwhile. -->
<script lang="ts">
  import type { RunFigures } from '$core/run';
  import { clock, weighing } from '$core/quantity';
  import type { CouldDo, RunState } from '$core/run';
  import { inWords } from '../../preferences.svelte';
  import { taskWords } from '../../run/instruction';

  let {
    run,
    computed,
    could,
    now,
    current,
    ontake
  }: {
    run: RunState;
    computed: RunFigures;
    /** Tasks that may be done besides the one in hand, most pressing first. */
    could: readonly CouldDo[];
    now: number;
    current: string | undefined;
    /** Takes one of them in hand; absent where another device conducts. */
    ontake: ((task: string) => void) | undefined;
  } = $props();

  /** What is poured at once with something else is said with that. */
  const besides = $derived(
    new Set(
      run.tasks.flatMap(({ task }) => (task.kind === 'pour' ? (task.also ?? []).map((a) => a.task) : []))
    )
  );
  const next = $derived(
    run.tasks
      .filter((t) => t.status === 'open' && t.task.id !== current && !besides.has(t.task.id))
      .slice(0, 4)
  );
  // Nothing is offered before the first drop.
  const other = $derived(run.now?.task.kind === 'prepare' ? [] : could.slice(0, 3));
</script>

<h2 class="label mt-8 font-sans !text-[0.95rem]">Next</h2>
<ol class="mt-2 space-y-1.5 text-[1.1rem]" data-testid="next">
  {#each next as entry, i (entry.task.id)}
    {@const words = taskWords(entry.task, computed)}
    <li class={i === 0 ? 'text-[1.6rem] leading-tight' : i > 1 ? 'text-ink-2' : ''}>
      <strong>{words.act}</strong>
      {inWords(words.rest)}
      {#if entry.task.kind === 'weigh'}· {weighing(
          entry.target ?? entry.task.grams,
          entry.task.division
        )}{/if}
    </li>
  {:else}
    <li class="text-ink-2">Nothing more.</li>
  {/each}
</ol>
{#if other.length}
  <h2 class="label mt-8 font-sans !text-[0.95rem]">Meanwhile</h2>
  <ul class="mt-2 space-y-2" data-testid="meanwhile">
    {#each other as c, i (c.task.id)}
      {@const words = taskWords(c.task, computed)}
      <li>
        <button
          class="button min-h-[64px] w-full !justify-start !px-3 text-left !text-[1.05rem] !leading-tight whitespace-normal"
          disabled={!ontake}
          onclick={() => ontake?.(c.task.id)}
        >
          <span class="flex-1">
            <strong>{words.act}</strong>
            {inWords(words.rest)}
            {#if c.notBefore !== undefined && c.notBefore > now}
              <span class="block text-[0.95rem] font-normal text-ochre"
                >{`begin in ${clock((c.notBefore - now) / 1000)}`}{c.why ? `: ${inWords(c.why)}` : ''}</span
              >
            {:else if c.due !== undefined}
              <span class="block text-[0.95rem] font-normal {c.due < now ? 'text-cinnabar' : 'text-ink-2'}"
                >{c.due < now
                  ? `too late by ${clock((now - c.due) / 1000)}`
                  : `${clock((c.due - now) / 1000)} left`}</span
              >
            {/if}
          </span>
          {#if i === 0 && c.notBefore === undefined}<kbd
              class="rounded border border-current px-1.5 text-[0.8rem]">X</kbd
            >{/if}
        </button>
      </li>
    {/each}
  </ul>
{/if}
