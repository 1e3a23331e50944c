<!-- A rehearsal: the same screen as a run, with a clock that can be hurried, stand-in devices and mishaps, and a debrief. -->
<script lang="ts">
  import { onDestroy } from 'svelte';
  import { answersTo, isLessonDone, MISHAPS, planMishaps, type MishapKind } from '$core/rehearse';
  import { debriefOf, type FrozenRun } from '$core/run';
  import { LocalScale } from '../../run/local-scale.svelte';
  import { Rehearsal } from '../../run/rehearsal.svelte';
  import type { RunGiven } from '$lib/run/run-desk.svelte';
  import { RehearsalClock } from '../../run/run-clock.svelte';
  import { inWords } from '../../preferences.svelte';
  import Tick from '../forms/Tick.svelte';
  import Debrief from './Debrief.svelte';
  import LessonHelp from './LessonHelp.svelte';
  import RunScreen from './RunScreen.svelte';

  let {
    frozen,
    name,
    aim,
    set,
    back
  }: {
    frozen: FrozenRun;
    name: string;
    /** What is to be learned, for a set lesson. */
    aim?: string;
    /** Mishaps of a set lesson; the maker chooses where there are none set. */
    set?: readonly MishapKind[];
    back: string;
  } = $props();

  const SPEEDS = [1, 5, 20, 60];
  /** Mishaps that are drawn when the maker leaves it to chance. */
  const DRAWN = 3;
  const clock = new RehearsalClock();
  const scale = $derived(new LocalScale(frozen.computed.division));
  let chosen = $state<MishapKind[]>([]);
  let rehearsal = $state.raw<Rehearsal>();
  let over = $state(false);
  /** A lesson is done with help first, then once without. */
  let helped = $state(true);
  let stop = () => {};
  onDestroy(() => {
    stop();
    scale.disconnect();
  });

  function begin(kinds: readonly MishapKind[]) {
    const random = Math.random;
    const mishaps = planMishaps(frozen.tasks, kinds, random);
    clock.setSpeed(1);
    rehearsal = new Rehearsal(frozen, clock, { mishaps, random });
    over = false;
    stop = clock.run();
  }

  /** A rehearsal as the run's screen is given it: nothing is short, nobody else pours. */
  const givenOf = (log: Rehearsal): RunGiven => ({
    get frozen() {
      return frozen;
    },
    log,
    clock,
    get scale() {
      return scale;
    },
    lessons: [],
    short: [],
    pouring: [],
    conducting: true,
    oncable: undefined
  });

  const byChance = () => {
    const kinds = MISHAPS.map((m) => m.kind).toSorted(() => Math.random() - 0.5);
    begin(kinds.slice(0, DRAWN));
  };

  const toggle = (kind: MishapKind) =>
    (chosen = chosen.includes(kind) ? chosen.filter((k) => k !== kind) : [...chosen, kind]);

  /** To the next thing that waits, at once. */
  function hurry() {
    if (!rehearsal) return;
    clock.ahead(1);
  }

  /** How a lesson stands once its run is over, and what goes on from there. */
  function lessonStands({ events }: Rehearsal): { lesson: string; again: string } {
    if (!isLessonDone(frozen, events))
      return { lesson: 'not every step was right yet', again: helped ? 'Again, with help' : 'Once more' };
    return helped
      ? { lesson: 'right, with help', again: 'Now once without help' }
      : { lesson: 'learned', again: 'Once more' };
  }

  function again() {
    const isRight = rehearsal && isLessonDone(frozen, rehearsal.events);
    rehearsal = undefined;
    if (!set) return;
    helped = helped && !isRight;
    begin(set);
  }

  function end() {
    over = true;
    stop();
    scale.disconnect();
  }
</script>

{#if !rehearsal}
  <main class="mx-auto max-w-[46rem] px-7 py-10">
    <p class="text-ink-2"><a class="underline" href={back}>← back</a></p>
    <h1 class="mt-2 text-[2rem]">{name}</h1>
    <p class="mt-1 text-[1.15rem] text-ink-2">
      {aim
        ? inWords(aim)
        : 'A rehearsal on the screen: the same steps and clocks, with nothing on the bench.'}
      Nothing of it touches the shelf, the record or what was learned.
    </p>
    {#if set}
      <button class="button go mt-6 min-h-[76px] w-full text-[1.4rem]" onclick={() => begin(set)}
        >Begin</button
      >
    {:else}
      <h2 class="mt-7 text-[1.35rem]">What may go wrong</h2>
      <ul class="mt-2 grid gap-1 sm:grid-cols-2">
        {#each MISHAPS as m (m.kind)}
          <li>
            <Tick checked={chosen.includes(m.kind)} onchange={() => toggle(m.kind)}>{m.words}</Tick>
          </li>
        {/each}
      </ul>
      <div class="mt-6 flex gap-3">
        <button class="button go min-h-[76px] flex-[2] text-[1.3rem]" onclick={() => begin(chosen)}
          >{chosen.length ? `Begin with ${chosen.length}` : 'Begin without mishaps'}</button
        >
        <button class="button min-h-[76px] flex-1 text-[1.1rem]" onclick={byChance}
          >Begin with three random mishaps</button
        >
      </div>
    {/if}
    <p class="mt-5 text-ink-2">
      Space confirms, as a pedal would; the screen plays the scale. The clock can run up to sixty times as
      fast.
    </p>
  </main>
{:else if over}
  <Debrief
    {name}
    {back}
    {frozen}
    state={rehearsal.state}
    debrief={debriefOf(frozen, rehearsal.state, rehearsal.gone)}
    answers={answersTo(rehearsal.all, frozen, rehearsal.state)}
    {...set ? lessonStands(rehearsal) : {}}
    onagain={again}
  />
{:else}
  <RunScreen {name} given={givenOf(rehearsal)} {back} finish={end}>
    {#snippet extras()}
      <span class="font-semibold whitespace-nowrap text-ochre" data-testid="rehearsal">a rehearsal</span>
      <span class="flex items-center gap-1" role="group" aria-label="How fast the clock runs">
        {#each SPEEDS as speed (speed)}
          <button
            class="button bare !min-w-11 !px-2 aria-pressed:text-verdigris aria-pressed:underline"
            aria-pressed={clock.speed === speed}
            onclick={() => clock.setSpeed(speed)}>×{speed}</button
          >
        {/each}
      </span>
      <button class="button bare whitespace-nowrap" onclick={hurry}>+1 min</button>
      <button class="button bare whitespace-nowrap" onclick={end}>debrief</button>
    {/snippet}
    {#snippet banner()}
      {#if set && rehearsal}<LessonHelp {frozen} events={rehearsal.events} {helped} />{/if}
      {#if rehearsal?.struck}
        <p
          class="flex min-h-16 shrink-0 items-center gap-4 border-b border-rule bg-ochre-soft px-7 text-[1.15rem]"
          role="status"
          data-testid="struck"
        >
          <strong>{inWords(rehearsal.struck.says)}</strong>
          <button
            class="button ml-auto min-h-[56px]"
            data-own-keys
            onclick={() => rehearsal && (rehearsal.struck = undefined)}>I see</button
          >
        </p>
      {/if}
    {/snippet}
  </RunScreen>
{/if}
