<!-- Before the first drop: every check is ticked, the room's temperature read, lessons of like runs said. -->
<script lang="ts">
  import type { Lesson } from '$core/inspect';
  import Check from '@lucide/svelte/icons/check';
  import { checksNow, isRoomCheck, type FrozenRun, type RunState, type Task } from '$core/run';
  import type { PendingEvents } from '../../run/run-log.svelte';
  import { inWords } from '../../preferences.svelte';
  import QuantityField from '../forms/QuantityField.svelte';

  let {
    task,
    run,
    frozen,
    lessons,
    pouring,
    short,
    log
  }: {
    task: Extract<Task, { kind: 'prepare' }>;
    run: RunState;
    frozen: FrozenRun;
    /** What was learned from like runs. */
    lessons: readonly Lesson[];
    /** Other runs that are being poured now. */
    pouring: readonly string[];
    /** What the shelf is short of, in words. */
    short: readonly string[];
    log: PendingEvents;
  } = $props();

  const checks = $derived(checksNow(task, pouring));
  const next = $derived(checks.find((c) => !run.ticked.has(c.id))?.id);
  const planned = $derived(frozen.file.plan.bench.roomCelsius);
  let celsius = $state<number>();

  // The next check is always in sight.
  let list = $state<HTMLElement>();
  $effect(() => {
    if (next) list?.querySelector(`[data-check="${next}"]`)?.scrollIntoView({ block: 'nearest' });
  });

  /** The room's temperature as it was typed, told once it is typed whole. */
  function readRoom(id: string) {
    if (celsius === undefined || celsius === run.room?.celsius) return;
    if (run.ticked.has(id)) log.tell({ type: 'room', celsius });
    else tick(id);
  }

  /** Ticks a check; the room's says what was read. */
  export function tick(id: string) {
    if (run.ticked.has(id)) return;
    if (isRoomCheck(id)) log.tell({ type: 'room', celsius: celsius ?? run.room?.celsius ?? planned });
    log.tell({ type: 'ticked', check: id });
  }
</script>

{#if lessons.length}
  <div
    class="mt-4 max-w-[54rem] border-l-4 border-verdigris bg-verdigris-soft px-4 py-2.5"
    data-testid="lessons"
  >
    <p class="font-semibold">Learned before</p>
    <ul class="mt-0.5 space-y-0.5">
      {#each lessons as lesson, i (i)}<li>{lesson.text}</li>{/each}
    </ul>
  </div>
{/if}
<ul class="mt-4 max-w-[54rem] border-t border-rule" data-testid="preflight" bind:this={list}>
  {#each checks as check (check.id)}
    {@const on = run.ticked.has(check.id)}
    <li data-check={check.id} class="flex min-h-[60px] items-start gap-4 border-b border-rule py-2">
      <button
        class="grid size-11 shrink-0 place-items-center rounded-lg border-2 {on
          ? 'border-verdigris bg-verdigris text-on-verdigris'
          : check.id === next
            ? 'border-ink'
            : 'border-rule-strong'}"
        role="checkbox"
        aria-checked={on}
        aria-label={inWords(check.words)}
        data-own-keys
        onclick={() => tick(check.id)}
      >
        {#if on}<Check size={28} />{/if}
      </button>
      <div class="min-w-0 flex-1">
        <p class="text-[1.25rem] {check.id === next ? 'font-bold' : on ? 'text-ink-2' : ''}">
          {inWords(check.words)}
        </p>
        {#if check.more?.length}
          <p class="text-[1rem] leading-snug text-ink-2">{check.more.map((m) => inWords(m)).join(' · ')}</p>
        {/if}
        {#if check.id === 'stock' && short.length}
          <p class="font-semibold text-cinnabar">The shelf is short: {short.join(', ')}.</p>
        {/if}
      </div>
      {#if isRoomCheck(check.id)}
        <!-- What was read is told once, when the field is left. -->
        <span class="w-40 shrink-0" data-own-keys onfocusout={() => readRoom(check.id)}>
          <QuantityField
            label="The room reads"
            unit="°C"
            min={-20}
            max={60}
            value={celsius ?? run.room?.celsius ?? planned}
            onchange={(v) => (celsius = v)}
          />
        </span>
      {/if}
    </li>
  {/each}
</ul>
<p class="mt-3 text-ink-2">The data sheet, local rules and licensed practice come first.</p>
