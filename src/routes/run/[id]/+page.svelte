<script lang="ts">
  import { onMount } from 'svelte';
  import { goto } from '$app/navigation';

  import { clocksOf, foldRun, gateOpening } from '$core/run';
  import { RunStream } from '$lib/run-stream.svelte';
  import { clock, displayOf } from '$core/quantity';
  import { RunLog } from '$lib/run-log.svelte';
  import { LiveScale } from '$lib/scale.svelte';
  import { isTyping } from '$lib/keys';
  import { beep } from '$lib/sound';
  import Hands from '$lib/ui/Hands.svelte';
  import { keepAwake } from '$lib/awake';
  import AskDialog from '$lib/ui/run/AskDialog.svelte';
  import AsideList from '$lib/ui/run/AsideList.svelte';
  import ClockList from '$lib/ui/run/ClockList.svelte';
  import NextList from '$lib/ui/run/NextList.svelte';
  import ShortDialog from '$lib/ui/run/ShortDialog.svelte';
  import Now from '$lib/ui/run/Now.svelte';
  import { temperature, ways } from '$lib/ways.svelte';
  import { instructionOf, typedGrams } from '$lib/instruction';

  let { data } = $props();
  const log = $derived(new RunLog(data.run.id, data.events));
  const frozen = $derived(data.run.frozen);
  const computed = $derived(frozen.computed);
  const run = $derived(foldRun(frozen.tasks, log.events, computed.division));
  const plan = $derived(frozen.file.plan);
  const stream = new RunStream();
  const conducting = $derived(stream.conducts(run.conductor));
  const live = $derived(new LiveScale(data.run.id, computed.division));

  let now = $state(Date.now());
  let muted = $state(!ways().sound);
  let flash = $state(false);
  let asking = $state<'note' | 'problem' | 'state' | 'help' | 'short'>();
  let entry = $state('');
  let entryProblem = $state('');
  let useScale = $state(false);

  const instruction = $derived(instructionOf(run, computed, frozen.file));
  const states = $derived(statesInHand(instruction));
  const gate = $derived(
    instruction?.kind === 'gate'
      ? gateOpening(instruction.task, run, { now, dayStart: new Date(now).setHours(0, 0, 0, 0) }, states)
      : undefined
  );
  const clocks = $derived(clocksOf(computed.score, run));
  const latestZero = $derived(
    Math.max(
      0,
      ...[...run.cups].flatMap(([id, c]) => (c.zero && clocks.some((k) => k.of === id) ? [c.zero] : []))
    )
  );
  const done = $derived(run.tasks.filter((t) => t.status !== 'open').length);
  const blocked = $derived(instruction?.kind === 'gate' && !gate?.open);

  onMount(() => {
    const tick = setInterval(() => (now = Date.now()), 250);
    const release = keepAwake();
    const heard = (e: StorageEvent) => log.onStorage(e.key);
    window.addEventListener('storage', heard);
    stream.open(data.run.id, log);
    return () => {
      window.removeEventListener('storage', heard);
      stream.close();
      clearInterval(tick);
      release();
      live.disconnect();
    };
  });

  // Nobody conducts, or whoever did has left: this device goes on by itself.
  $effect(() => {
    const alone = run.conductor === undefined ? stream.present !== undefined : stream.left(run.conductor);
    if (alone && !run.finishedAt && document.visibilityState === 'visible') takeOver();
  });

  function takeOver() {
    if (run.conductor !== stream.device) log.tell({ type: 'conducts', device: stream.device });
  }

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

  // A gate that opens and a window that is about to close are said aloud once, and flashed.
  let announced = new Set<string>();
  $effect(() => {
    const due = clocks.filter((c) => c.due <= now && c.kind !== 'late').map((c) => c.id);
    if (gate?.open) due.push(`open:${instruction?.key}`);
    for (const id of due) {
      if (announced.has(id)) continue;
      announced.add(id);
      flash = true;
      setTimeout(() => (flash = false), 1200);
      if (!muted) beep();
    }
  });

  function toggleScale() {
    useScale = !useScale;
    if (useScale) live.connect();
    else live.disconnect();
  }

  function confirm() {
    if (!conducting) return;
    const what = instruction;
    if (!what) {
      if (!run.finishedAt) log.tell({ type: 'finished' });
      void goto(`/record/${data.run.id}`);
      return;
    }
    entryProblem = '';
    if (what.kind === 'weigh') {
      const g = weighedGrams();
      if (g === undefined) return;
      log.tell({ type: what.topUp ? 'added' : 'weighed', task: what.task.id, grams: g });
      entry = '';
      if (useScale && plan.bench.readings === 'tared') void live.ask({ do: 'tare' });
      return;
    }
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
    if (useScale && what.kind === 'pour') void live.ask({ do: 'clear' });
  }

  /** Grams of the weighing in hand: typed or from the scale, less what was in the cup when reading cumulatively. */
  function weighedGrams(): number | undefined {
    if (instruction?.kind !== 'weigh') return undefined;
    const before = instruction.before;
    if (useScale && !entry.trim()) {
      if (!live.reading?.stable) {
        entryProblem = 'The scale has not settled yet.';
        return undefined;
      }
      return positive(Math.abs(live.reading.grams - before));
    }
    // Nothing typed: confirmed as aimed at.
    if (!entry.trim()) return instruction.target;
    const g = readGrams(entry);
    return g === undefined ? undefined : positive(g - before);
  }

  function positive(g: number): number | undefined {
    if (g > computed.division / 2) return Math.round(g * 1e6) / 1e6;
    entryProblem = 'Nothing has been added yet. Type what the scale reads, the cup’s contents included.';
    return undefined;
  }

  function readGrams(text: string): number | undefined {
    const division = instruction?.kind === 'weigh' ? instruction.task.division : computed.division;
    const read = typedGrams(text, displayOf(division).symbol);
    if (!read.ok) entryProblem = `${read.problem.sentence} ${read.problem.mend}`;
    return read.ok ? read.value : undefined;
  }

  /** Creeping up on a colour stops here: it looks right. */
  function enough() {
    if (conducting && instruction?.kind === 'weigh' && instruction.task.creeps)
      log.tell({ type: 'skipped', task: instruction.task.id });
  }

  const undo = () => conducting && run.undoable && log.tell({ type: 'undone', event: run.undoable.id });

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
      u: undo,
      m: () => (muted = !muted),
      s: () => (asking = 'short'),
      e: enough,
      '?': () => (asking = 'help')
    };
    const act = acts[event.key.toLowerCase()];
    if (act) {
      event.preventDefault();
      act();
    }
  }

  function answered(text: string) {
    const groupId = instruction?.groupId ?? plan.groups[0]?.id;
    const refused =
      asking === 'state'
        ? groupId && log.tell({ type: 'reported', groupId, state: text })
        : (asking === 'note' || asking === 'problem') && log.tell({ type: asking, text });
    if (refused) entryProblem = `${refused.sentence} ${refused.mend}`;
    asking = undefined;
  }
</script>

<svelte:head><title>{data.run.name}: run · Kirapen</title></svelte:head>
<svelte:window {onkeydown} />

<div class="flex h-screen flex-col {flash ? 'bg-ochre-soft' : ''} transition-colors">
  <header class="flex h-16 shrink-0 items-center gap-6 border-b border-rule px-7 text-ink-2">
    <a
      href="/"
      class="font-display text-[1.45rem] font-semibold text-ink"
      aria-label="{data.run.name}, back to the bench">{data.run.name}</a
    >
    <span>step {Math.min(done + 1, run.tasks.length)} of {run.tasks.length}</span>
    <span class="flex-1"></span>
    {#if log.waiting.length}
      <span class="font-semibold text-ochre" role="status" data-testid="waiting"
        >{log.waiting.length} kept here, sending…</span
      >
    {:else}
      <span class="text-verdigris" role="status" data-testid="stored">stored</span>
    {/if}
    <Hands />
    <span>room {temperature(plan.bench.roomCelsius)}</span>
    <button
      class="button bare {useScale ? 'text-verdigris' : ''}"
      onclick={toggleScale}
      aria-pressed={useScale}
    >
      {useScale ? (live.connected ? '● scale' : '○ scale…') : 'use the scale'}
    </button>
    <button class="button bare" onclick={() => (muted = !muted)} aria-pressed={muted}
      >sound {muted ? 'off' : 'on'}</button
    >
    {#if latestZero}
      <span
        ><strong class="text-[1.5rem] text-ink" data-testid="since">{clock((now - latestZero) / 1000)}</strong
        > since parts met</span
      >
    {/if}
  </header>

  {#if !conducting}
    <p
      class="flex min-h-16 shrink-0 items-center gap-4 border-b border-rule bg-verdigris-soft px-7 text-[1.1rem]"
      role="status"
      data-testid="following"
    >
      <strong>Another device conducts this run.</strong> You follow it here, live.
      <button class="button go ml-auto min-h-[56px]" onclick={takeOver}>Take over</button>
    </p>
  {/if}
  {#if log.signedOut}
    <p class="shrink-0 border-b border-rule bg-ochre-soft px-7 py-3 text-[1.1rem]" role="status">
      Nobody is signed in: what happens is kept on this device.
      <a class="font-bold underline" href="/sign-in?then=/run/{data.run.id}">Sign in</a>
    </p>
  {/if}
  <AsideList {log} />

  <div class="grid min-h-0 flex-1 grid-cols-[minmax(0,1fr)_400px] max-lg:grid-cols-1">
    <main class="min-h-0 overflow-y-auto px-11 py-8 max-lg:px-6">
      <Now
        {instruction}
        {run}
        {frozen}
        {gate}
        {now}
        {useScale}
        {live}
        cautions={computed.cautions}
        baseColour={frozen.file.shelf.bases[0]?.colour ?? '#efe9da'}
        bind:entry
        problem={entryProblem}
        {log}
      />
    </main>
    <aside class="min-h-0 overflow-y-auto border-l border-rule px-7 py-6">
      <ClockList {clocks} {computed} {now} />
      <NextList {run} {computed} current={instruction?.key} />
    </aside>
  </div>

  <footer class="flex shrink-0 gap-3.5 border-t border-rule bg-sheet px-7 py-3.5">
    <button
      class="button go min-h-[76px] flex-[3] flex-col !gap-1 rounded-xl text-[1.6rem] {blocked || !conducting
        ? 'opacity-50'
        : ''}"
      onclick={confirm}
      aria-disabled={blocked || !conducting}
      data-testid="confirm"
    >
      {instruction?.confirm ?? 'Finish and inspect'}
      <kbd class="rounded border border-current px-1.5 text-[0.8rem] font-semibold opacity-80">space</kbd>
    </button>
    {#each [{ key: 'T', name: 'How thick is it?', act: () => (asking = 'state'), wide: true }, { key: 'P', name: 'Problem', act: () => (asking = 'problem') }, { key: 'S', name: 'Short', act: () => (asking = 'short') }, { key: 'N', name: 'Note', act: () => (asking = 'note') }, { key: 'U', name: 'Undo', act: undo }] as b (b.key)}
      <button
        class="button min-h-[76px] flex-col !gap-1 rounded-xl text-[1.1rem] {b.wide
          ? 'flex-[1.6]'
          : 'flex-1'}"
        onclick={b.act}
        disabled={b.key === 'U' && (!run.undoable || !conducting)}
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
  ontell={(text) => log.tell({ type: 'note', text })}
  onclose={() => (asking = undefined)}
/>
<AskDialog
  asking={asking === 'short' ? undefined : asking}
  {states}
  onanswer={answered}
  onclose={() => (asking = undefined)}
/>
