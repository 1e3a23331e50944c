<!-- A run on the whole screen: now, next, clocks, one big confirm. The same for a run that is kept and for a rehearsal. -->
<script lang="ts">
  import { onMount, type Snippet } from 'svelte';
  import { clock as clockWords } from '$core/quantity';
  import { CUE_NOTES, cueOf } from '$lib/run/cue';
  import { isTyping } from '$lib/page/keys';
  import { spokenInstruction } from '$lib/run/instruction';
  import { RunDesk, type RunGiven } from '$lib/run/run-desk.svelte';
  import { beep, speak, ticks } from '$lib/run/sound';
  import { temperature, preferences, problemWords, spoken } from '$lib/preferences.svelte';
  import Hands from '../Hands.svelte';
  import AskDialog from './AskDialog.svelte';
  import AsideList from './AsideList.svelte';
  import ClockList from './ClockList.svelte';
  import NextList from './NextList.svelte';
  import Now from './Now.svelte';
  import PutRight from './PutRight.svelte';
  import RunFooter from './RunFooter.svelte';
  import ShortDialog from './ShortDialog.svelte';

  let {
    name,
    given,
    back = '/',
    finish,
    banner,
    extras,
    beside
  }: {
    name: string;
    given: RunGiven;
    back?: string;
    /** Everything is done and the maker goes on. */
    finish: (told: boolean) => void;
    /** Under the header, above everything. */
    banner?: Snippet;
    /** In the header, beside the switches. */
    extras?: Snippet;
    /** Under the clocks. */
    beside?: Snippet;
  } = $props();

  // The desk reads what is given whenever it is asked: what changes there changes here.
  // svelte-ignore state_referenced_locally
  const desk = new RunDesk(given);
  const { run, instruction, clocks, now, gate, computed } = $derived(desk);

  let muted = $state(!preferences().sound);
  let voice = $state(false);
  let flash = $state(false);
  let asking = $state<'note' | 'problem' | 'state' | 'help' | 'short' | 'right'>();
  let hand = $state<ReturnType<typeof Now>>();

  onMount(() => desk.comeBack());

  // A gate that opens and a window that is about to close are said aloud once, and flashed.
  let announced = new Set<string>();
  $effect(() => {
    const due = clocks.filter((c) => c.due <= now && c.kind !== 'late').map((c) => c.id);
    if (gate?.open) due.push(`open:${instruction?.key}`);
    for (const c of desk.could) if (c.why === 'open') due.push(`open:${c.task.id}`);
    for (const id of due) {
      if (announced.has(id)) continue;
      announced.add(id);
      flash = true;
      setTimeout(() => (flash = false), 1200);
      if (!muted) beep();
    }
  });

  // The nearer a weighing comes to its target, the more ticks it is told with.
  let lastCue = '';
  $effect(() => {
    const { reading } = given.scale;
    if (!desk.useScale || instruction?.kind !== 'weigh' || !reading) return;
    const toGo = instruction.before + instruction.target - reading.grams;
    const cue = cueOf(toGo, instruction.target, instruction.task.division);
    if (cue === lastCue) return;
    lastCue = cue;
    if (!muted && CUE_NOTES[cue]) ticks(CUE_NOTES[cue]);
    if (voice && cue === 'stop') speak('stop');
  });

  // The number is said when the task in hand is another.
  let lastSpoken = '';
  $effect(() => {
    if (!voice || !instruction || instruction.key === lastSpoken) return;
    lastSpoken = instruction.key;
    speak(spoken(spokenInstruction(instruction), computed.division));
  });

  function confirm() {
    if (!given.conducting) return;
    if (!instruction) finish(run.finishedAt !== undefined);
    else if (desk.unticked.length) hand?.tick(desk.unticked[0]!.id);
    else desk.confirm();
  }

  const KEYS: Record<string, () => void> = {
    n: () => (asking = 'note'),
    p: () => (asking = 'problem'),
    t: () => (asking = 'state'),
    r: () => (asking = 'right'),
    u: desk.undo,
    x: desk.takeOther,
    d: desk.countOne,
    m: () => (muted = !muted),
    v: () => (voice = !voice),
    s: () => (asking = 'short'),
    e: desk.enough,
    f: () => hand?.photo(),
    '?': () => (asking = 'help')
  };

  /** A key that is held, or pressed again at once, is one press. */
  function pressed({ repeat }: KeyboardEvent) {
    if (!repeat) desk.press(confirm);
  }

  /** What is typed is left with Escape; then keys do what the buttons say. */
  function leave(event: KeyboardEvent) {
    event.preventDefault();
    if (event.target instanceof HTMLElement) event.target.blur();
  }

  /** Keys that are somebody else's: a shortcut, a dialog's, or where words are mended or a button of its own is pressed. */
  const isOthers = (event: KeyboardEvent): boolean =>
    event.defaultPrevented ||
    event.ctrlKey ||
    event.metaKey ||
    event.altKey ||
    asking !== undefined ||
    (event.target instanceof Element && event.target.closest('[data-own-keys]') !== null);

  function onkeydown(event: KeyboardEvent) {
    if (isOthers(event)) return;
    const typing = isTyping(event);
    if (typing && event.key === 'Escape') return leave(event);
    if (event.key === ' ' || (event.key === 'Enter' && typing)) {
      if (event.target instanceof HTMLButtonElement) event.target.blur();
      event.preventDefault();
      pressed(event);
      return;
    }
    const act = typing ? undefined : KEYS[event.key.toLowerCase()];
    if (!act) return;
    event.preventDefault();
    act();
  }

  function answered(text: string, of?: { id: string; cup: boolean }) {
    const state = of?.cup
      ? ({ type: 'felt', cupId: of.id, state: text } as const)
      : of && ({ type: 'reported', groupId: of.id, state: text } as const);
    const refused =
      asking === 'state'
        ? state && given.log.tell(state)
        : (asking === 'note' || asking === 'problem') && given.log.tell({ type: asking, text });
    if (refused) desk.problem = problemWords(refused);
    asking = undefined;
  }
</script>

<svelte:head><title>{name}: run · Kirapen</title></svelte:head>
<svelte:window {onkeydown} />

<div class="flex h-dvh flex-col {flash ? 'bg-ochre-soft' : ''} transition-colors">
  <header
    class="flex min-h-16 shrink-0 flex-wrap items-center gap-x-5 border-b border-rule px-7 text-ink-2 max-sm:gap-x-3 max-sm:px-4"
  >
    <a
      href={back}
      class="tap max-w-[17rem] min-w-[9rem] truncate font-display text-[1.45rem] font-semibold text-ink"
      aria-label="{name}, back to the bench">{name}</a
    >
    <span class="whitespace-nowrap"
      >step {Math.min(desk.done + 1, run.tasks.length)} of {run.tasks.length}</span
    >
    <span class="flex-1 max-sm:hidden"></span>
    {#if extras}{@render extras()}{:else if given.log.waiting.length}
      <span class="font-semibold whitespace-nowrap text-ochre" role="status" data-testid="waiting"
        >{given.log.waiting.length} kept here, sending</span
      >
    {:else}
      <span class="text-verdigris" role="status" data-testid="stored">stored</span>
    {/if}
    {#if !extras}<Hands />{/if}
    <span class="whitespace-nowrap max-lg:hidden {extras ? 'hidden' : ''}"
      >room {temperature(run.room?.celsius ?? desk.plan.bench.roomCelsius)}</span
    >
    <button
      class="button bare whitespace-nowrap {desk.useScale ? 'text-verdigris' : ''}"
      onclick={desk.toggleScale}
      aria-pressed={desk.useScale}
    >
      {desk.useScale ? (given.scale.connected ? '● scale' : '○ scale, connecting') : 'use the scale'}
    </button>
    <button class="button bare whitespace-nowrap" onclick={() => (muted = !muted)} aria-pressed={muted}
      >sound {muted ? 'off' : 'on'}</button
    >
    {#if desk.latestZero}
      <span class="whitespace-nowrap"
        ><strong class="text-[1.5rem] text-ink" data-testid="since"
          >{clockWords((now - desk.latestZero) / 1000)}</strong
        > since mixing began</span
      >
    {/if}
  </header>

  {#if banner}{@render banner()}{/if}
  <AsideList log={given.log} />

  <!-- On a narrow screen both scroll as one, what is now first. -->
  <div class="grid min-h-0 flex-1 grid-cols-[minmax(0,1fr)_400px] max-lg:block max-lg:overflow-y-auto">
    <main class="min-h-0 px-11 py-5 max-lg:px-6 max-sm:px-4 max-sm:py-4 lg:overflow-y-auto">
      <Now bind:this={hand} {desk} />
    </main>
    <aside
      class="min-h-0 border-l border-rule px-7 py-6 max-lg:border-t max-lg:border-l-0 max-sm:px-4 lg:overflow-y-auto"
    >
      <ClockList {clocks} {computed} {now} />
      <NextList
        {run}
        {computed}
        could={desk.could}
        {now}
        current={instruction?.key}
        ontake={given.conducting ? desk.take : undefined}
      />
      {#if beside}{@render beside()}{/if}
    </aside>
  </div>

  <RunFooter {desk} onconfirm={confirm} onask={(what) => (asking = what)} />
</div>

<ShortDialog
  open={asking === 'short'}
  frozen={given.frozen}
  {run}
  ontell={(told) => given.log.tell(told)}
  onclose={() => (asking = undefined)}
/>
<PutRight open={asking === 'right'} {desk} onclose={() => (asking = undefined)} />
<AskDialog
  asking={asking === 'short' || asking === 'right' ? undefined : asking}
  states={desk.states}
  of={desk.feelable}
  onanswer={answered}
  onclose={() => (asking = undefined)}
/>
