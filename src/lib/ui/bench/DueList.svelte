<!-- What is due, soonest first: the first large, each with both edges of its window and one tap from done. -->
<script lang="ts">
  import { onMount } from 'svelte';
  import { invalidateAll } from '$app/navigation';
  import { clock } from '$core/quantity';
  import type { Due, RunEvent } from '$core/run';
  import { maker } from '../../run/hands.svelte';
  import { newId } from '$lib/id';
  import { send } from '../../store/send';
  import { inHours, moment } from '$lib/when';
  import { inWords, problemWords } from '../../preferences.svelte';
  import PieceThumb from '../drawing/PieceThumb.svelte';
  import QuantityField from '../forms/QuantityField.svelte';

  type Shown = Due & { run: string; runId: string; poured: number; dries: boolean };
  type Sent = RunEvent extends infer E ? (E extends RunEvent ? Omit<E, 'id' | 'at' | 'by'> : never) : never;
  let { due, now }: { due: readonly Shown[]; now: number } = $props();

  let problem = $state('');
  let telling = $state(false);
  const keyOf = (d: Shown) => `${d.runId}|${d.task.id}`;
  const HOUR = 3600_000;
  /** The one whose ways to be put off are shown. */
  let putOff = $state<string>();

  async function tell(d: Shown, ...told: Sent[]) {
    const at = Date.now();
    const events = told.map((e, i) => ({ ...e, id: newId(), at: at + i, by: maker() }));
    const stored = await send('POST', `/runs/${d.runId}/events`, events);
    problem = stored.ok ? '' : problemWords(stored.problems[0]);
    if (stored.ok) await invalidateAll();
  }

  /** Done: its own wait with it; an act of several times, once more. */
  function done(d: Shown) {
    const wait: Sent[] = d.gate ? [{ type: 'done', task: d.gate.id }] : [];
    const again = d.task.kind === 'do' && d.task.times !== undefined;
    return tell(d, ...wait, { type: again ? 'repeated' : 'done', task: d.task.id });
  }

  const postpone = (d: Shown, until: number) => tell(d, { type: 'postponed', task: d.task.id, until });
  const skip = (d: Shown) =>
    tell(d, ...(d.gate ? [{ type: 'skipped' as const, task: d.gate.id }] : []), {
      type: 'skipped',
      task: d.task.id
    });

  function tomorrow(): number {
    const day = new Date(now);
    day.setDate(day.getDate() + 1);
    return day.setHours(8, 0, 0, 0);
  }

  /** Whether it can be done from here: the next layer is poured in its run. */
  const here = (d: Shown) => d.task.kind !== 'gate';
  const confirmOf = (d: Shown) =>
    d.task.kind === 'demould' ? 'Demoulded' : d.task.kind === 'do' ? d.task.confirm : '';

  // A window that opens is told by the browser too, where it may.
  let told = new Set<string>();
  onMount(() => {
    telling = typeof Notification !== 'undefined' && Notification.permission === 'granted';
    told = new Set(due.filter((d) => d.from <= Date.now()).map(keyOf));
  });
  $effect(() => {
    for (const d of due) {
      if (d.from > now || told.has(keyOf(d))) continue;
      told.add(keyOf(d));
      if (telling) new Notification(d.what, { body: d.run, tag: keyOf(d) });
    }
  });
  async function askToTell() {
    telling = (await Notification.requestPermission()) === 'granted';
  }

  /** Where now stands between the pour and the late edge, and where the window lies: shares of the bar. */
  function bar(d: Shown) {
    const begins = d.poured || d.from - HOUR;
    const ends = d.to ?? Math.max(d.from + (d.from - begins) * 0.5, now);
    const share = (x: number) => Math.max(0, Math.min(1, (x - begins) / Math.max(1, ends - begins)));
    return { from: share(d.from), to: share(d.to ?? ends), now: share(now) };
  }
  const stateOf = (d: Shown) =>
    d.to !== undefined && d.to < now ? 'late' : d.from <= now ? 'open' : 'waits';
  const TONE = { late: 'text-cinnabar', open: 'text-verdigris', waits: 'text-ochre' };
</script>

{#snippet window(d: Shown)}
  {@const b = bar(d)}
  <div class="relative h-2.5 overflow-hidden rounded-full bg-sunk">
    <div
      class="absolute inset-y-0 bg-verdigris/50"
      style="left:{b.from * 100}%;right:{(1 - b.to) * 100}%"
    ></div>
    <div class="absolute inset-y-0 w-[3px] bg-ink" style="left:calc({b.now * 100}% - 1px)"></div>
  </div>
{/snippet}

{#snippet more(d: Shown)}
  <button
    class="button bare"
    aria-label="Remind me later: {inWords(d.what)}"
    aria-expanded={putOff === keyOf(d)}
    onclick={() => (putOff = putOff === keyOf(d) ? undefined : keyOf(d))}>Remind me later</button
  >
{/snippet}

{#snippet later(d: Shown)}
  <div
    class="flex w-full flex-wrap items-center justify-end gap-2 py-2 text-[0.92rem] text-ink-2"
    role="group"
    aria-label="Remind me later: {inWords(d.what)}"
  >
    {#if d.late}<span>If you wait too long, {d.late}.</span>{/if}
    <button class="button" onclick={() => postpone(d, now + HOUR)}>in an hour</button>
    <button class="button" onclick={() => postpone(d, tomorrow())}>tomorrow at 8</button>
    <button class="button text-cinnabar" onclick={() => skip(d)}>Leave it out</button>
  </div>
{/snippet}

<div class="flex items-baseline gap-3">
  <h2 class="flex-1 text-[1.35rem]">Due</h2>
  {#if due.length && !telling}
    <button class="button bare text-[0.9rem]" onclick={askToTell}>Notify me</button>
  {/if}
</div>
{#if problem}<p class="text-cinnabar" role="alert">{problem}</p>{/if}
<ul class="mt-1" data-testid="due">
  {#each due as d, i (keyOf(d))}
    {@const state = stateOf(d)}
    <li>
      {#if i === 0}
        <div
          class="rounded-xl border-2 bg-sheet p-4 {state === 'late'
            ? 'border-cinnabar'
            : state === 'open'
              ? 'border-verdigris'
              : 'border-rule-strong'}"
        >
          <div class="flex items-start gap-4">
            <PieceThumb of="runs/{d.runId}" width={72} />
            <div class="min-w-0 flex-1">
              <a href="/run/{d.runId}" class="tap text-[1.2rem] font-bold hover:underline"
                >{inWords(d.what)}</a
              >
              <p class="text-ink-2">
                {d.run}{state === 'late'
                  ? d.late
                    ? ` · ${d.late}`
                    : ''
                  : state === 'waits'
                    ? d.early
                      ? ` · before that, ${d.early}`
                      : ''
                    : d.late
                      ? ` · later ${d.late}`
                      : ''}
              </p>
            </div>
            <p class="text-right">
              <span class="block font-display text-[2.1rem] leading-none {TONE[state]}"
                >{state === 'late'
                  ? 'late'
                  : state === 'waits'
                    ? clock((d.from - now) / 1000)
                    : d.to !== undefined && d.to - now < 24 * HOUR
                      ? clock((d.to - now) / 1000)
                      : 'now'}</span
              >
              <span class="text-[0.9rem] text-ink-2"
                >{state === 'waits'
                  ? 'to wait'
                  : state === 'open' && d.to !== undefined && d.to - now < 24 * HOUR
                    ? 'left'
                    : ''}</span
              >
            </p>
          </div>
          <div class="mt-3">{@render window(d)}</div>
          <div class="mt-2 flex flex-wrap items-center gap-x-4 gap-y-2 text-[0.92rem] text-ink-2">
            {#if d.poured}<span>poured {moment(d.poured, now)}</span>{/if}
            <span>from {moment(d.from, now)}</span>
            {#if d.to !== undefined}<span>until {moment(d.to, now)}</span>{/if}
            {#if !inHours(Math.max(d.from, now), d.to)}<span class="text-ochre">outside your hours</span>{/if}
            <span class="ml-auto flex flex-wrap items-center gap-2">
              {#if d.dries}
                <span class="flex items-center gap-2"
                  >a piece weighs <span class="w-28"
                    ><QuantityField
                      label="A drying piece weighs"
                      unit="g"
                      max={100_000}
                      value={0}
                      onchange={(grams) => tell(d, { type: 'dried', groupId: d.groupIds[0]!, grams })}
                    /></span
                  ></span
                >
              {/if}
              {#if here(d)}
                {@render more(d)}
                <button class="button {state === 'waits' ? '' : 'go'} min-h-[52px]" onclick={() => done(d)}
                  >{confirmOf(d)}</button
                >
              {:else}
                <a class="button go min-h-[52px]" href="/run/{d.runId}">Go on</a>
              {/if}
            </span>
            {#if putOff === keyOf(d)}{@render later(d)}{/if}
          </div>
        </div>
      {:else}
        <div class="flex items-center gap-4 border-b border-rule py-2.5">
          <span class="w-24 shrink-0 text-[1.1rem] font-bold {TONE[state]}"
            >{state === 'late' ? 'late' : state === 'open' ? 'now' : moment(d.from, now)}</span
          >
          <PieceThumb of="runs/{d.runId}" width={40} />
          <a href="/run/{d.runId}" class="tap min-w-0 flex-1 hover:underline">
            <strong class="block">{inWords(d.what)}</strong>
            <span class="text-[0.92rem] text-ink-2"
              >{d.run}{d.to === undefined ? '' : ` · until ${moment(d.to, now)}`}{!inHours(
                Math.max(d.from, now),
                d.to
              )
                ? ', outside your hours'
                : ''}</span
            >
          </a>
          <span class="w-32 max-sm:hidden">{@render window(d)}</span>
          {#if here(d)}
            {@render more(d)}
            <button class="button" onclick={() => done(d)}>{confirmOf(d)}</button>
          {/if}
        </div>
        {#if putOff === keyOf(d)}{@render later(d)}{/if}
      {/if}
    </li>
  {:else}
    <li class="py-3 text-ink-2">
      Nothing is curing. What is poured shows here with both edges of its window.
    </li>
  {/each}
</ul>
