<!-- How a rehearsal went against the clock: windows, waits, what went wrong and what was done about it. -->
<script lang="ts">
  import { clock, duration } from '$core/quantity';
  import type { Answered } from '$core/rehearse';
  import { correctionsOf, type Debrief, type FrozenRun, type RunState } from '$core/run';
  import { inWords } from '../../preferences.svelte';
  import CupMark from '../drawing/CupMark.svelte';
  import CorrectionList from './CorrectionList.svelte';

  let {
    name,
    back,
    frozen,
    state: run,
    debrief,
    answers,
    onagain,
    again = 'Once more',
    lesson
  }: {
    name: string;
    back: string;
    frozen: FrozenRun;
    state: RunState;
    debrief: Debrief;
    answers: readonly Answered[];
    onagain: () => void;
    /** What goes on from here, on the button. */
    again?: string;
    /** How the lesson stands, where it is one. */
    lesson?: string | undefined;
  } = $props();

  const computed = $derived(frozen.computed);
  const cupOf = (id: string) => computed.cups.find((c) => c.cupId === id);
  const corrections = $derived(correctionsOf(frozen, run));
  // Taps are no pace of pouring: what the hands take, runs tell.
  const advice = $derived(debrief.advice.filter((a) => a.kind !== 'pace'));
  const met = $derived(debrief.windows.filter((w) => w.met).length);
</script>

<main class="mx-auto max-w-[64rem] px-7 py-8" data-testid="debrief">
  <header class="flex flex-wrap items-center gap-3">
    <div class="flex-1">
      <p class="text-ink-2">
        {name}{#if lesson}: <strong data-testid="lesson-stands">{lesson}</strong>{/if}
      </p>
      <h1 class="text-[2rem]">
        {debrief.windows.length ? `${met} of ${debrief.windows.length} windows met` : 'Nothing was poured'}
      </h1>
    </div>
    <button class="button go min-h-[56px]" onclick={onagain}>{again}</button>
    <a class="button min-h-[56px]" href={back}>Done</a>
  </header>
  <div class="mt-6 grid gap-8 lg:grid-cols-2">
    <section>
      <h2 class="text-[1.35rem]">What to change</h2>
      <ul class="ruled mt-1">
        {#each advice as a, i (i)}
          <li class="flex items-center gap-3 py-2.5">
            <span class="flex-1 first-letter:uppercase">{inWords(a.sentence)}</span>
          </li>
        {:else}
          <li class="py-2.5 text-ink-2">Nothing: times and waits were as planned.</li>
        {/each}
      </ul>
      {#if answers.length}
        <h2 class="mt-6 text-[1.35rem]">What went wrong, and what you did</h2>
        <ul class="ruled mt-1" data-testid="answers">
          {#each answers as a (a.kind)}
            <li class="flex gap-3 py-2.5">
              <strong class="w-32 shrink-0 {a.well ? '' : 'text-cinnabar'}">{a.kind}</strong>
              <span>{inWords(a.says)}</span>
            </li>
          {/each}
        </ul>
      {/if}
      {#if corrections.length}
        <h2 class="mt-6 text-[1.35rem]">Mistakes fixed</h2>
        <CorrectionList {corrections} />
      {/if}
    </section>
    <section>
      <h2 class="text-[1.35rem]">Windows</h2>
      <ul class="ruled mt-1">
        {#each debrief.windows as w (w.mixId)}
          {@const cup = cupOf(w.cupId)}
          <li class="flex items-center gap-3 py-2.5">
            {#if cup}<CupMark letter={cup.letter} colour={cup.colour} hatch={cup.hatch} size={30} />{/if}
            <span class="flex-1"
              >poured {clock(w.poured * 60)} after mixing, pourable until {clock(w.until * 60)}</span
            >
            <strong class={w.met ? 'text-verdigris' : 'text-cinnabar'}
              >{w.met
                ? `${clock((w.until - w.poured) * 60)} to spare`
                : `${clock((w.poured - w.until) * 60)} late`}</strong
            >
          </li>
        {/each}
        {#each debrief.gates as g (g.taskId)}
          <li class="flex items-center gap-3 py-2.5">
            <span class="flex-1"
              >waited {duration(g.waited)} until {inWords(g.state)}, estimated {duration(g.planned)}</span
            >
            {#if g.early}<strong class="text-cinnabar">too early</strong>{/if}
          </li>
        {/each}
      </ul>
    </section>
  </div>
</main>
