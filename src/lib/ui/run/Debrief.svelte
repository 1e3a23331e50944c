<!-- How a rehearsal or a run went against the clock: windows, waits, seconds an act, and what to change. -->
<script lang="ts">
  import type { Plan } from '$core/plan';
  import { clock, duration } from '$core/quantity';
  import type { Answered } from '$core/rehearse';
  import { correctionsOf, withMeasured, type Debrief, type FrozenRun, type RunState } from '$core/run';
  import { send } from '../../store/send';
  import { inWords, problemWords } from '../../preferences.svelte';
  import CupMark from '../drawing/CupMark.svelte';
  import CorrectionList from './CorrectionList.svelte';
  import Table from '../Table.svelte';

  let {
    name,
    back,
    planId,
    frozen,
    state: run,
    debrief,
    answers,
    onagain
  }: {
    name: string;
    back: string;
    planId: string | undefined;
    frozen: FrozenRun;
    state: RunState;
    debrief: Debrief;
    answers: readonly Answered[];
    onagain: () => void;
  } = $props();

  const computed = $derived(frozen.computed);
  const cupOf = (id: string) => computed.cups.find((c) => c.cupId === id);
  const corrections = $derived(correctionsOf(frozen, run));
  const met = $derived(debrief.windows.filter((w) => w.met).length);
  let carried = $state<Record<string, true>>({});
  let problem = $state('');

  /** A measured time goes into the stored plan; everything else of it stays. */
  async function carry(stepId: string, each: number) {
    if (!planId) return;
    problem = '';
    const found = await send<Plan>('GET', `/plans/${planId}`);
    const stored = found.ok
      ? await send('PUT', `/plans/${planId}`, withMeasured(found.value, stepId, each), {
          revision: found.revision ?? 1
        })
      : found;
    if (stored.ok) carried = { ...carried, [stepId]: true };
    else problem = problemWords(stored.problems[0]);
  }
</script>

<main class="mx-auto max-w-[64rem] px-7 py-8" data-testid="debrief">
  <header class="flex flex-wrap items-center gap-3">
    <div class="flex-1">
      <p class="text-ink-2">{name}</p>
      <h1 class="text-[2rem]">
        {debrief.windows.length ? `${met} of ${debrief.windows.length} windows met` : 'Nothing was poured'}
      </h1>
    </div>
    <button class="button go min-h-[56px]" onclick={onagain}>Once more</button>
    <a class="button min-h-[56px]" href={back}>Done</a>
  </header>
  <div class="mt-6 grid gap-8 lg:grid-cols-2">
    <section>
      <h2 class="text-[1.35rem]">What to change</h2>
      <ul class="ruled mt-1">
        {#each debrief.advice as a, i (i)}
          <li class="flex items-center gap-3 py-2.5">
            <span class="flex-1 first-letter:uppercase">{inWords(a.sentence)}</span>
            {#if a.stepId && a.each && planId}
              {#if carried[a.stepId]}
                <span class="font-semibold text-verdigris">in the plan</span>
              {:else}
                <button class="button" onclick={() => carry(a.stepId!, a.each!)}
                  >Plan with {duration(a.each)}</button
                >
              {/if}
            {/if}
          </li>
        {:else}
          <li class="py-2.5 text-ink-2">Nothing: times and waits were as planned.</li>
        {/each}
      </ul>
      {#if problem}<p class="text-cinnabar" role="alert">{problem}</p>{/if}
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
      <h2 class="mt-6 text-[1.35rem]">Seconds an act</h2>
      <Table
        class="mt-1"
        testid="act-times"
        rows={debrief.acts}
        columns={[
          { id: 'what', head: '', text: (a) => inWords(a.what), class: '!px-0' },
          { id: 'planned', head: 'planned', num: true, text: (a) => `${a.planned.toFixed(0)} s` },
          {
            id: 'spent',
            head: 'spent',
            num: true,
            text: (a) => `${a.spent.toFixed(0)} s`,
            class: (a) => (a.spent > a.planned * 1.15 ? 'font-bold text-ochre' : '')
          }
        ]}
      />
    </section>
  </div>
</main>
