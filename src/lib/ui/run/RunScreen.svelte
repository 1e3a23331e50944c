<!-- A run on the whole screen: now, next, clocks, one big confirm. The same for a run that is kept and for a rehearsal. -->
<script lang="ts">
  import type { Lesson } from '$core/inspect';
  import type { Snippet } from 'svelte';
  import { clock as clockWords, displayOf } from '$core/quantity';
  import {
    checksNow,
    clocksOf,
    couldDo,
    foldRun,
    gateOpening,
    openChecks,
    refitGate,
    type FrozenRun
  } from '$core/run';
  import { CUE_NOTES, cueOf } from '../../run/cue';
  import { isTyping } from '../../page/keys';
  import { instructionOf, spokenInstruction, typedGrams } from '../../run/instruction';
  import type { RunClock } from '../../run/run-clock.svelte';
  import type { PendingEvents } from '../../run/run-log.svelte';
  import type { BenchScale } from '../../run/scale.svelte';
  import { beep, speak, ticks } from '../../run/sound';
  import { temperature, preferences, problemWords, spoken } from '$lib/preferences.svelte';
  import Hands from '../Hands.svelte';
  import AskDialog from './AskDialog.svelte';
  import AsideList from './AsideList.svelte';
  import ClockList from './ClockList.svelte';
  import NextList from './NextList.svelte';
  import Now from './Now.svelte';
  import PutRight from './PutRight.svelte';
  import ShortDialog from './ShortDialog.svelte';

  let {
    name,
    frozen,
    log,
    clock,
    scale,
    lessons = [],
    short = [],
    pouring = [],
    conducting = true,
    oncable,
    back = '/',
    finish,
    banner,
    extras,
    beside
  }: {
    name: string;
    frozen: FrozenRun;
    log: PendingEvents;
    clock: RunClock;
    scale: BenchScale;
    lessons?: readonly Lesson[];
    /** What the shelf is short of for this run. */
    short?: readonly string[];
    /** Other runs that are being poured, where one more is too many to keep in sight. */
    pouring?: readonly string[];
    conducting?: boolean;
    /** Reads a scale on a cable from now on; absent where this browser cannot. */
    oncable?: (() => void) | undefined;
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

  const computed = $derived(frozen.computed);
  const run = $derived(foldRun(frozen.tasks, log.events, computed.division));
  const plan = $derived(frozen.file.plan);
  const now = $derived(clock.now);

  let muted = $state(!preferences().sound);
  let voice = $state(false);
  let flash = $state(false);
  let asking = $state<'note' | 'problem' | 'state' | 'help' | 'short' | 'right'>();
  let entry = $state('');
  let entryProblem = $state('');
  let useScale = $state(false);
  /** What was counted of the task in hand, by key or pedal. */
  let counted = $state<{ task: string; count: number }>({ task: '', count: 0 });
  let hand = $state<ReturnType<typeof Now>>();

  const instruction = $derived(instructionOf(run, computed, frozen.file));
  const moment = $derived({ now, dayStart: new Date(now).setHours(0, 0, 0, 0) });
  const states = $derived(statesInHand(instruction));
  const refit = $derived(instruction?.kind === 'gate' ? refitGate(frozen, run, instruction.task) : undefined);
  const gate = $derived(refit && gateOpening(refit.gate, run, moment, states));
  const clocks = $derived(clocksOf(frozen, run));
  const could = $derived(run.finishedAt ? [] : couldDo(frozen, run, moment));
  const latestZero = $derived(
    Math.max(
      0,
      ...[...run.cups].flatMap(([id, c]) =>
        c.zero && clocks.some((k) => k.id === `pour:${id}`) ? [c.zero] : []
      )
    )
  );
  const done = $derived(run.tasks.filter((t) => t.status !== 'open').length);
  const unticked = $derived(
    instruction?.kind === 'prepare' ? openChecks(checksNow(instruction.task, pouring), run.ticked) : []
  );
  const blocked = $derived(instruction?.kind === 'gate' && !gate?.open);
  const toCount = $derived.by(() => {
    if (instruction?.kind !== 'weigh' || !instruction.task.countedIn || useScale || entry.trim())
      return undefined;
    const { unit, each } = instruction.task.countedIn;
    const wanted = Math.max(1, Math.round(instruction.target / each));
    return { unit, each, wanted, count: counted.task === instruction.key ? counted.count : 0 };
  });
  const confirmWords = $derived.by(() => {
    if (!instruction) return 'Finish and inspect';
    if (unticked.length)
      return unticked.length === 1 ? 'Tick the last' : `Tick the next of ${unticked.length}`;
    if (toCount && toCount.count < toCount.wanted) return toCount.unit === 'drops' ? 'One drop' : 'One spoon';
    return instruction.confirm;
  });

  /** The states that the material in hand passes through: of the layer below, or of the cup that is poured. */
  function statesInHand(what: typeof instruction): (typeof computed.bases)[number]['states'] {
    const poured = computed.groups
      .find((g) => what && 'groupId' in what && g.groupId === what.groupId)
      ?.layers.filter((l) =>
        run.tasks.some((t) => t.task.kind === 'pour' && t.task.stepId === l.stepId && t.status === 'done')
      );
    const cupId = poured?.at(-1)?.cupId ?? what?.cupId;
    const baseId = computed.cups.find((c) => c.cupId === cupId)?.baseId;
    return (computed.bases.find((b) => b.baseId === baseId) ?? computed.bases[0])?.states ?? [];
  }

  /** What a hand can be asked about: the layer in the mould, and every cup whose clock runs. */
  const feelable = $derived.by(() => {
    const groupId = instruction?.groupId ?? plan.groups[0]?.id;
    const group = computed.groups.find((g) => g.groupId === groupId);
    const layers =
      groupId === undefined ? [] : [{ id: groupId, name: group?.name ?? 'the mould', cup: false }];
    const cups = clocks.flatMap((c) => {
      const cup = c.kind === 'pour' ? computed.cups.find((x) => x.cupId === c.of) : undefined;
      return cup ? [{ id: cup.cupId, name: `cup ${cup.letter} ${cup.name}`, cup: true }] : [];
    });
    return [...layers, ...cups.filter((c, i) => cups.findIndex((x) => x.id === c.id) === i)];
  });

  // A gate that opens and a window that is about to close are said aloud once, and flashed.
  let announced = new Set<string>();
  $effect(() => {
    const due = clocks.filter((c) => c.due <= now && c.kind !== 'late').map((c) => c.id);
    if (gate?.open) due.push(`open:${instruction?.key}`);
    for (const c of could) if (c.why === 'open') due.push(`open:${c.task.id}`);
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
    if (!useScale || instruction?.kind !== 'weigh' || !scale.reading) return;
    const toGo = instruction.before + instruction.target - scale.reading.grams;
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

  function toggleScale() {
    useScale = !useScale;
    if (useScale) scale.connect();
    else scale.disconnect();
  }

  function confirm() {
    if (!conducting) return;
    const what = instruction;
    if (!what) {
      finish(run.finishedAt !== undefined);
      return;
    }
    entryProblem = '';
    if (what.kind === 'weigh') return confirmWeighing();
    if (unticked.length) return hand?.tick(unticked[0]!.id);
    if (what.kind === 'gate' && !gate?.open) {
      entryProblem = 'Not yet. Wait, or report the state with T.';
      return;
    }
    if (what.kind === 'pour' && entry.trim()) {
      const g = readGrams(entry);
      if (g === undefined) return;
      log.tell({ type: 'done', task: what.task.id, grams: g });
    } else log.tell({ type: 'done', task: what.task.id });
    entry = '';
    if (useScale && what.kind === 'pour') void scale.ask({ do: 'clear' });
  }

  function confirmWeighing() {
    if (instruction?.kind !== 'weigh') return;
    const { task, topUp, key, target } = instruction;
    if (toCount && toCount.count < toCount.wanted) {
      counted = { task: key, count: toCount.count + 1 };
      return;
    }
    // Nothing was read: it is told as done, and never as a weight.
    if (!useScale && !entry.trim() && !toCount) {
      log.tell(topUp ? { type: 'added', task: task.id, grams: target } : { type: 'done', task: task.id });
      return;
    }
    const g = toCount ? toCount.count * toCount.each : weighedGrams();
    if (g === undefined) return;
    log.tell({ type: topUp ? 'added' : 'weighed', task: task.id, grams: Math.round(g * 1e6) / 1e6 });
    entry = '';
    if (useScale && plan.bench.readings === 'tared') void scale.ask({ do: 'tare' });
  }

  /** One drop or spoon more than was wanted is in: it counts. */
  function countOne() {
    if (!conducting || !toCount || !instruction) return;
    counted = { task: instruction.key, count: toCount.count + 1 };
  }

  /** Everything that was to be counted was counted by hand. */
  function countAll() {
    if (toCount && instruction) counted = { task: instruction.key, count: toCount.wanted };
  }

  /** Grams of the weighing in hand: typed or from the scale, less what was in the cup when reading cumulatively. */
  function weighedGrams(): number | undefined {
    if (instruction?.kind !== 'weigh') return undefined;
    const before = instruction.before;
    if (useScale && !entry.trim()) {
      if (!scale.reading?.stable) {
        entryProblem = 'The scale has not settled yet.';
        return undefined;
      }
      return positive(Math.abs(scale.reading.grams - before));
    }
    const pot = byDifference(entry);
    if (pot) {
      const [full, rest] = pot.map(readGrams);
      return full === undefined || rest === undefined ? undefined : positive(full - rest);
    }
    const g = readGrams(entry);
    return g === undefined ? undefined : positive(g - before);
  }

  /** What a pot read before and after: “212.4 − 205.1”. */
  function byDifference(text: string): [string, string] | undefined {
    const [full, rest, ...more] = text.split(/\s*[-−–]\s*/);
    return full?.trim() && rest?.trim() && !more.length ? [full, rest] : undefined;
  }

  function positive(g: number): number | undefined {
    if (g > computed.division / 2) return Math.round(g * 1e6) / 1e6;
    entryProblem = 'Nothing has been added yet. Type what the scale reads, the cup’s contents included.';
    return undefined;
  }

  function readGrams(text: string): number | undefined {
    const division = instruction?.kind === 'weigh' ? instruction.task.division : computed.division;
    const read = typedGrams(text, displayOf(division).symbol);
    if (!read.ok) entryProblem = problemWords(read.problem);
    return read.ok ? read.value : undefined;
  }

  /** Creeping up on a colour stops here: it looks right. */
  function enough() {
    if (conducting && instruction?.kind === 'weigh' && instruction.task.creeps)
      log.tell({ type: 'skipped', task: instruction.task.id });
  }

  const undo = () => conducting && run.undoable && log.tell({ type: 'undone', event: run.undoable.id });
  const take = (task: string) => conducting && log.tell({ type: 'chosen', task });
  const takeOther = () => {
    const other = could.find((c) => c.notBefore === undefined);
    if (other) take(other.task.id);
  };

  function onkeydown(event: KeyboardEvent) {
    if (event.defaultPrevented || event.ctrlKey || event.metaKey || event.altKey || asking) return;
    // Where words are mended or a button of its own is pressed, keys do what they do there.
    if (event.target instanceof Element && event.target.closest('[data-own-keys]')) return;
    const typing = isTyping(event);
    if (event.key === ' ' || (event.key === 'Enter' && typing)) {
      if (event.target instanceof HTMLButtonElement) event.target.blur();
      event.preventDefault();
      if (!event.repeat) confirm();
      return;
    }
    if (typing) return;
    const acts: Record<string, () => void> = {
      n: () => (asking = 'note'),
      p: () => (asking = 'problem'),
      t: () => (asking = 'state'),
      r: () => (asking = 'right'),
      u: undo,
      x: takeOther,
      d: countOne,
      m: () => (muted = !muted),
      v: () => (voice = !voice),
      s: () => (asking = 'short'),
      e: enough,
      f: () => hand?.photo(),
      '?': () => (asking = 'help')
    };
    const act = acts[event.key.toLowerCase()];
    if (act) {
      event.preventDefault();
      act();
    }
  }

  function answered(text: string, of?: { id: string; cup: boolean }) {
    const state = of?.cup
      ? ({ type: 'felt', cupId: of.id, state: text } as const)
      : of && ({ type: 'reported', groupId: of.id, state: text } as const);
    const refused =
      asking === 'state'
        ? state && log.tell(state)
        : (asking === 'note' || asking === 'problem') && log.tell({ type: asking, text });
    if (refused) entryProblem = problemWords(refused);
    asking = undefined;
  }
  const BUTTONS = $derived([
    { key: 'T', name: 'How thick is it?', act: () => (asking = 'state') },
    { key: 'R', name: 'Put right', act: () => (asking = 'right'), off: !conducting },
    { key: 'S', name: 'Short', act: () => (asking = 'short'), off: !conducting },
    { key: 'P', name: 'Problem', act: () => (asking = 'problem') },
    { key: 'N', name: 'Note', act: () => (asking = 'note') },
    { key: 'U', name: 'Undo', act: undo, off: !run.undoable || !conducting }
  ]);
</script>

<svelte:head><title>{name}: run · Kirapen</title></svelte:head>
<svelte:window {onkeydown} />

<div class="flex h-screen flex-col {flash ? 'bg-ochre-soft' : ''} transition-colors">
  <header class="flex h-16 shrink-0 items-center gap-5 border-b border-rule px-7 text-ink-2">
    <a
      href={back}
      class="max-w-[17rem] min-w-[9rem] truncate font-display text-[1.45rem] font-semibold text-ink"
      aria-label="{name}, back to the bench">{name}</a
    >
    <span class="whitespace-nowrap">step {Math.min(done + 1, run.tasks.length)} of {run.tasks.length}</span>
    <span class="flex-1"></span>
    {#if extras}{@render extras()}{:else if log.waiting.length}
      <span class="font-semibold whitespace-nowrap text-ochre" role="status" data-testid="waiting"
        >{log.waiting.length} kept here, sending…</span
      >
    {:else}
      <span class="text-verdigris" role="status" data-testid="stored">stored</span>
    {/if}
    {#if !extras}<Hands />{/if}
    <span class="whitespace-nowrap max-lg:hidden {extras ? 'hidden' : ''}"
      >room {temperature(run.room?.celsius ?? plan.bench.roomCelsius)}</span
    >
    <button
      class="button bare whitespace-nowrap {useScale ? 'text-verdigris' : ''}"
      onclick={toggleScale}
      aria-pressed={useScale}
    >
      {useScale ? (scale.connected ? '● scale' : '○ scale…') : 'use the scale'}
    </button>
    <button class="button bare whitespace-nowrap" onclick={() => (muted = !muted)} aria-pressed={muted}
      >sound {muted ? 'off' : 'on'}</button
    >
    {#if latestZero}
      <span class="whitespace-nowrap"
        ><strong class="text-[1.5rem] text-ink" data-testid="since"
          >{clockWords((now - latestZero) / 1000)}</strong
        > since parts met</span
      >
    {/if}
  </header>

  {#if banner}{@render banner()}{/if}
  <AsideList {log} />

  <div class="grid min-h-0 flex-1 grid-cols-[minmax(0,1fr)_400px] max-lg:grid-cols-1">
    <main class="min-h-0 overflow-y-auto px-11 py-8 max-lg:px-6">
      <Now
        bind:this={hand}
        {instruction}
        {run}
        {frozen}
        {gate}
        moved={refit?.moved}
        {now}
        {useScale}
        {scale}
        {clocks}
        {lessons}
        {pouring}
        {short}
        {toCount}
        {oncable}
        oncount={countOne}
        oncountall={countAll}
        baseColour={frozen.file.shelf.bases[0]?.colour ?? '#efe9da'}
        bind:entry
        problem={entryProblem}
        runClock={clock}
        {log}
      />
    </main>
    <aside class="min-h-0 overflow-y-auto border-l border-rule px-7 py-6 max-lg:border-t max-lg:border-l-0">
      <ClockList {clocks} {computed} {now} />
      <NextList
        {run}
        {computed}
        {could}
        {now}
        current={instruction?.key}
        ontake={conducting ? take : undefined}
      />
      {#if beside}{@render beside()}{/if}
    </aside>
  </div>

  <footer class="flex shrink-0 gap-3 border-t border-rule bg-sheet px-7 py-3.5">
    <button
      class="button go min-h-[76px] flex-[3] flex-col !gap-1 rounded-xl text-[1.6rem] {blocked || !conducting
        ? 'opacity-50'
        : ''}"
      onclick={confirm}
      aria-disabled={blocked || !conducting}
      data-testid="confirm"
    >
      {confirmWords}
      <kbd class="rounded border border-current px-1.5 text-[0.8rem] font-semibold opacity-80">space</kbd>
    </button>
    {#each BUTTONS as b (b.key)}
      <button
        class="button min-h-[76px] flex-1 flex-col !gap-1 rounded-xl !px-2 text-[1.05rem] leading-tight"
        onclick={b.act}
        disabled={b.off}
      >
        {b.name}
        <kbd class="rounded border border-current px-1.5 text-[0.8rem] font-semibold opacity-70">{b.key}</kbd>
      </button>
    {/each}
  </footer>
</div>

<ShortDialog
  open={asking === 'short'}
  {frozen}
  {run}
  ontell={(told) => log.tell(told)}
  onclose={() => (asking = undefined)}
/>
<PutRight open={asking === 'right'} {frozen} {run} {instruction} {log} onclose={() => (asking = undefined)} />
<AskDialog
  asking={asking === 'short' || asking === 'right' ? undefined : asking}
  {states}
  of={feelable}
  onanswer={answered}
  onclose={() => (asking = undefined)}
/>
