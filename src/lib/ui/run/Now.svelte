<!-- The one thing to do now: one instruction, one number, the live scale or timer. -->
<script lang="ts">
  import { lessonsAt, type Lesson } from '$core/inspect';
  import { acts } from '$core/pour';
  import { clock, displayOf, duration, reading, weighing } from '$core/quantity';
  import {
    coloursOver,
    correctionsOf,
    waitsForLayer,
    overshootOptions,
    worthAPhoto,
    type Clock,
    type FrozenRun,
    type GateOpening,
    type Moved,
    type RunState
  } from '$core/run';
  import type { Instruction } from '../../run/instruction';
  import type { RunClock } from '../../run/run-clock.svelte';
  import type { PendingEvents } from '../../run/run-log.svelte';
  import type { BenchScale } from '../../run/scale.svelte';
  import { CUE_WORDS, cueOf } from '../../run/cue';
  import CoreDrawing from '../drawing/CoreDrawing.svelte';
  import { marksOf } from '../drawing/marks';
  import { extentOf } from '../drawing/outline';
  import PiecePicture from '../drawing/PiecePicture.svelte';
  import CupMark from '../drawing/CupMark.svelte';
  import Overshoot from './Overshoot.svelte';
  import StagePhoto from './StagePhoto.svelte';
  import Preflight from './Preflight.svelte';
  import GateConditions from './GateConditions.svelte';
  import { inWords, volume } from '../../preferences.svelte';
  import WeighBar from './WeighBar.svelte';

  let {
    instruction,
    run,
    frozen,
    gate,
    now,
    useScale,
    scale,
    moved,
    clocks,
    lessons,
    pouring,
    short,
    toCount,
    oncable,
    oncount,
    oncountall,
    baseColour,
    entry = $bindable(),
    problem,
    runClock,
    log
  }: {
    instruction: Instruction | undefined;
    run: RunState;
    frozen: FrozenRun;
    gate: GateOpening | undefined;
    now: number;
    useScale: boolean;
    scale: BenchScale;
    /** A wait that is another than planned, and why. */
    moved: Moved | undefined;
    clocks: readonly Clock[];
    lessons: readonly Lesson[];
    /** Other runs that are being poured now. */
    pouring: readonly string[];
    short: readonly string[];
    /** What is counted instead of weighed, as far as it is. */
    toCount: { unit: string; each: number; wanted: number; count: number } | undefined;
    oncable: (() => void) | undefined;
    oncount: () => void;
    oncountall: () => void;
    /** The uncoloured base's, for the common mix. */
    baseColour: string;
    entry: string;
    problem: string;
    /** The time the run goes by. */
    runClock: RunClock;
    log: PendingEvents;
  } = $props();

  const computed = $derived(frozen.computed);
  let camera = $state<ReturnType<typeof StagePhoto>>();
  /** Takes the photo that is worth having now. */
  export const photo = () => camera?.take();
  const stage = $derived(instruction && log.photos ? worthAPhoto(run, instruction.task) : undefined);
  let preflight = $state<ReturnType<typeof Preflight>>();
  /** Ticks a check of the first task. */
  export const tick = (id: string) => preflight?.tick(id);
  const division = $derived(instruction?.kind === 'weigh' ? instruction.task.division : computed.division);
  // What this scale shows.
  const unit = $derived(displayOf(division).symbol);
  const g = $derived((x: number) => reading(x, division));
  const weighed = $derived((x: number) => weighing(x, division));
  const cup = $derived(computed.cups.find((c) => c.cupId === instruction?.cupId));
  const cupState = $derived(instruction?.mixId ? run.cups.get(instruction.mixId) : undefined);
  const group = $derived(computed.groups.find((x) => x.groupId === instruction?.groupId));
  const ways = $derived(instruction?.mixId ? overshootOptions(frozen, run, instruction.mixId) : undefined);
  /** Steps that change where things lie: those before the pieces leave their moulds. */
  const drawnSteps = $derived(
    new Set(
      frozen.file.plan.steps
        .filter((s) => ['pour in', 'move', 'put in'].includes(acts.find(s.act.kind)?.group ?? ''))
        .map((s) => s.id)
    )
  );
  /** What was learned of what is in hand. */
  const here = $derived(
    instruction && instruction.kind !== 'prepare'
      ? lessonsAt(lessons, frozen.file.plan, instruction.task)
      : []
  );
  /** What was put right; weighings that were not read are told in the record, not here. */
  const corrections = $derived(correctionsOf(frozen, run).filter((c) => c.kind !== 'unread'));
  // Seconds since the last thing was done.
  const since = $derived((now - Math.max(0, ...run.tasks.map((t) => t.doneAt ?? 0))) / 1000);
  const onPan = $derived(useScale ? scale.reading : undefined);
  // The section as far as it is poured, the layer in hand included.
  const partial = $derived.by(() => {
    if (!group) return undefined;
    const poured = new Set(
      run.tasks.flatMap((t) => (t.task.kind === 'pour' && t.status === 'done' ? [t.task.stepId] : []))
    );
    if (instruction?.kind === 'pour') poured.add(instruction.task.stepId);
    return { ...group, layers: group.layers.filter((l) => poured.has(l.stepId)) };
  });
</script>

{#snippet number(value: string, words: string)}
  <div class="mt-6 flex flex-wrap items-baseline gap-x-5">
    <span
      class="text-[9.5rem] leading-[0.95] font-bold tracking-tight max-md:text-[6rem]"
      data-testid="number">{value}</span
    >
    <span class="text-[2rem] font-medium text-ink-2">{words}</span>
  </div>
{/snippet}

{#snippet worthNow()}
  {#if stage}<StagePhoto bind:this={camera} {stage} {run} {log} />{/if}
{/snippet}

<!-- From above, as the mould stands: where this is done, and what it should leave. -->
{#snippet leaves(stepId: string)}
  {@const step = frozen.file.plan.steps.find((s) => s.id === stepId)}
  {@const own = group ?? computed.groups.find((x) => step?.where.includes(x.groupId))}
  {#if own && drawnSteps.has(stepId)}
    {@const { width, length } = extentOf(own)}
    <figure class="w-[190px]" data-testid="leaves">
      <PiecePicture
        plan={frozen.file.plan}
        shelf={frozen.file.shelf}
        group={own}
        cups={computed.cups}
        face={{ kind: 'open face' }}
        until={stepId}
        size={360}
        marks={marksOf(step, length / width)}
      />
      <figcaption class="mt-1 text-[1rem] text-ink-2">what it leaves, from above</figcaption>
    </figure>
  {/if}
{/snippet}

{#if !instruction}
  <h1 class="text-[2.2rem]">The run is done.</h1>
  <p class="mt-2 text-[1.2rem] text-ink-2">Look at each piece while you remember the pour.</p>
{:else}
  <h1 class="flex flex-wrap items-center gap-3 text-[2rem]" data-testid="now">
    {inWords(instruction.title)}
    {#if cup}<CupMark letter={cup.letter} colour={cup.colour} hatch={cup.hatch} size={38} />{/if}
  </h1>
  <p class="mt-1 text-[1.2rem] text-ink-2">{inWords(instruction.hint)}</p>
  {#each here as lesson, i (i)}
    <p
      class="mt-2 border-l-4 border-verdigris bg-verdigris-soft px-4 py-2 text-[1.05rem]"
      data-testid="lesson-here"
    >
      {lesson.text}
    </p>
  {/each}

  {#if instruction.kind === 'weigh'}
    {@const aim = instruction.before + instruction.target}
    {@const toGo = onPan ? aim - onPan.grams : undefined}
    {@const cue = toGo === undefined ? undefined : cueOf(toGo, instruction.target, division)}
    {#if toCount}
      {@render number(
        `${toCount.count}`,
        `of ${toCount.wanted} ${toCount.unit}${toCount.count > toCount.wanted ? ', too many: it counts as it is' : ''}`
      )}
    {:else if onPan && toGo !== undefined}
      {@render number(
        g(Math.abs(toGo)),
        toGo >= 0 ? `${unit} to go of ${g(instruction.target)}` : `${unit} too much`
      )}
      {#if cue && CUE_WORDS[cue]}<p
          class="text-[2rem] font-bold {cue === 'over'
            ? 'text-cinnabar'
            : cue === 'stop'
              ? 'text-verdigris'
              : 'text-ochre'}"
          data-testid="cue"
        >
          {CUE_WORDS[cue]}
        </p>{/if}
    {:else}
      {@render number(
        g(aim),
        instruction.before ? `${unit} on the scale, ${g(instruction.target)} more` : unit
      )}
    {/if}
    {#if cup || instruction.cupId}
      <WeighBar
        colour={cup?.colour ?? baseColour}
        hatch={cup?.hatch ?? 'plain'}
        share={onPan ? (onPan.grams - instruction.before) / instruction.target : 0}
      />
      <p class="mt-2 flex justify-between text-[1.05rem] text-ink-2">
        <span>{instruction.before ? `${g(instruction.before)} in the cup` : 'cup tared to nothing'}</span>
        <span>slow from {g(instruction.before + instruction.target * 0.9)} · stop at {g(aim)}</span>
      </p>
    {/if}
    <div class="mt-5 flex flex-wrap items-center gap-3">
      <label class="flex items-center gap-3 text-[1.1rem]">
        the scale reads
        <input
          class="field !min-h-[64px] !w-44 text-[1.6rem] font-semibold"
          aria-label="{unit === 'g' ? 'Grams' : 'Ounces'} on the scale"
          inputmode="decimal"
          autocomplete="off"
          placeholder={onPan ? g(onPan.grams) : g(aim)}
          bind:value={entry}
        />
        {unit}
      </label>
      {#if !useScale && !toCount}
        <span class="text-ink-2">or, weighing the pot it comes from, before − after</span>
      {/if}
      {#if toCount}
        <button class="button min-h-[64px]" onclick={oncount}>
          One more <kbd class="rounded border border-current px-1.5 text-[0.8rem]">D</kbd>
        </button>
        {#if toCount.count < toCount.wanted}
          <button class="button min-h-[64px]" onclick={oncountall}
            >All {toCount.wanted} are in, counted by hand</button
          >
        {/if}
      {/if}
      {#if instruction.task.creeps}
        <button
          class="button min-h-[64px]"
          onclick={() => log.tell({ type: 'skipped', task: instruction.task.id })}
        >
          Enough: it looks right <kbd class="rounded border border-current px-1.5 text-[0.8rem]">E</kbd>
        </button>
      {/if}
      {#if useScale}
        {#if scale.standIn}
          <button
            class="button min-h-[64px]"
            onclick={() => scale.ask({ do: 'pour', grams: Math.max(computed.division, toGo ?? 0) })}
          >
            Pour with the stand-in hand
          </button>
        {/if}
        <button class="button min-h-[64px]" onclick={() => scale.ask({ do: 'tare' })}>Tare</button>
        {#if oncable && scale.standIn}
          <button class="button min-h-[64px]" onclick={oncable}>A scale on a cable…</button>
        {/if}
        {#if onPan && !onPan.stable}<span class="text-ink-2">settling…</span>{/if}
      {/if}
    </div>
    {#if cupState && Math.abs(cupState.scale - 1) > 0.004}
      <div
        class="mt-5 border-l-4 border-ochre bg-ochre-soft px-4 py-3 text-[1.05rem]"
        data-testid="corrected"
      >
        {#if cupState.scale > 1}
          <Overshoot {ways} g={weighed} mixId={instruction.mixId ?? ''} {log} />
        {:else}
          <strong>Less is in than planned.</strong> The rest follows: × {cupState.scale.toFixed(3)}, {weighed(
            -cupState.surplus
          )} short. Undo to add more.
          <button
            class="ml-1 font-bold underline"
            onclick={() => instruction.mixId && log.tell({ type: 'accepted', mixId: instruction.mixId })}
          >
            Keep the plan’s weights instead
          </button>
        {/if}
      </div>
    {:else if cupState?.accepted}
      <p class="mt-5 border-l-4 border-ochre bg-ochre-soft px-4 py-3 text-[1.05rem]">
        This cup keeps the plan’s weights, off its ratio{cupState.ratioError
          ? ` by ${(cupState.ratioError * 100).toFixed(1)} %`
          : ''}.
      </p>
    {/if}
  {:else if instruction.kind === 'stir'}
    {@const left = instruction.task.minutes * 60 - since}
    {@render number(clock(Math.max(0, left)), left > 0 ? 'still to stir' : 'stirred long enough')}
  {:else if instruction.kind === 'pour'}
    {@const window = clocks.find((c) => c.id === `pour:${instruction.task.mixId}`)}
    {@render number(g(instruction.task.gramsEach), `${unit} into each of ${instruction.task.count}`)}
    {#if window && window.due < now}
      <p class="mt-1 text-[1.3rem] font-bold text-cinnabar" role="status" data-testid="too-late">
        Too late by {clock((now - window.due) / 1000)}: it may not level any more. If it does not, R says what
        can still be made.
      </p>
    {:else if window}
      <p class="mt-1 text-[1.2rem] {window.due - now < 60_000 ? 'font-bold text-ochre' : 'text-ink-2'}">
        {clock((window.due - now) / 1000)} left to pour it{window.moved
          ? ` (${inWords(window.moved.why)})`
          : ''}
      </p>
    {/if}
    <p class="text-[1.1rem] text-ink-2">
      {volume(instruction.task.mlEach)} each, {weighed(instruction.task.gramsEach * instruction.task.count)} in
      all
    </p>
    <div class="mt-4 flex flex-wrap items-start gap-8">
      {@render leaves(instruction.task.stepId)}
      {#if partial}<div class="w-[340px]">
          <CoreDrawing group={partial} cups={computed.cups} showFace="mould face" height={200} />
        </div>{/if}
      <label class="block text-[1.05rem]">
        poured in all, if it was another
        <span class="mt-1 flex items-center gap-2">
          <input
            class="field !min-h-[64px] !w-40 text-[1.4rem]"
            aria-label="{unit === 'g' ? 'Grams' : 'Ounces'} poured in all"
            inputmode="decimal"
            autocomplete="off"
            placeholder={g(instruction.task.gramsEach * instruction.task.count)}
            bind:value={entry}
          />
          {unit}
        </span>
      </label>
    </div>
  {:else if instruction.kind === 'fill'}
    <ul class="mt-6 max-w-[46rem] space-y-3">
      {#each instruction.task.from as part (part.cupId)}
        {@const own = computed.cups.find((c) => c.cupId === part.cupId)}
        <li class="flex items-center gap-4 text-[2rem]">
          {#if own}<CupMark letter={own.letter} colour={own.colour} hatch={own.hatch} size={38} />{/if}
          <strong>{weighed(part.grams)}</strong>
          <span class="text-[1.2rem] text-ink-2">{volume(part.ml)} of {own?.name}</span>
        </li>
      {/each}
    </ul>
  {:else if instruction.kind === 'do'}
    {@const left = (instruction.task.attended + instruction.task.unattended) * 60 - since}
    {#if instruction.task.attended + instruction.task.unattended > 0}
      {@render number(clock(Math.max(0, left)), left > 0 ? 'to go' : 'long enough')}
    {/if}
    <div class="mt-4">{@render leaves(instruction.task.stepId)}</div>
  {:else if instruction.kind === 'gate' && gate}
    {#if gate.open}
      {@render number(
        'Open',
        gate.by === 'state'
          ? `you reported ${run.groups.get(instruction.task.groupId)?.reported?.state ?? instruction.task.state}`
          : gate.by === 'minutes'
            ? 'the minutes are over; touch it first'
            : 'it is as it should be'
      )}
    {:else if Number.isFinite(gate.opensAt)}
      {@render number(
        clock((gate.opensAt - now) / 1000),
        `until ${inWords(instruction.task.state)}${waitsForLayer(instruction.task) ? ', by the estimate' : ''}`
      )}
    {:else}
      {@render number('Wait', `until ${inWords(instruction.task.state)}`)}
    {/if}
    {#if moved && !gate.open}
      <p class="mt-2 text-[1.1rem] text-ochre" data-testid="moved">
        {duration(moved.now)} instead of {duration(moved.planned)}: {inWords(moved.why)}.
      </p>
    {/if}
    {#if waitsForLayer(instruction.task) && gate.conditions.length === 1}
      <p class="mt-2 text-[1.1rem] text-ink-2">
        {duration(moved?.now ?? instruction.task.minutes)} after the last pour, or when you report “{instruction
          .task.state}” with
        <kbd class="rounded border border-current px-1.5">T</kbd>.
      </p>
    {:else}
      <GateConditions task={instruction.task} {gate} {frozen} {run} clock={runClock} {log} />
    {/if}
    {@render worthNow()}
    {#if partial}<div class="mt-4 w-[420px]">
        <CoreDrawing group={partial} cups={computed.cups} showFace="mould face" />
      </div>{/if}
  {:else if instruction.kind === 'demould'}
    {@const zero = run.groups.get(instruction.task.groupId)?.lastPour ?? now}
    {@const early =
      clocks.find((c) => c.id === instruction.key)?.due ?? zero + instruction.task.from * 60_000}
    {@const late = zero + instruction.task.to * 60_000}
    {#if now < early}
      {@render number(clock((early - now) / 1000), 'before it is firm')}
      <p class="mt-2 text-[1.1rem] text-ochre">
        Too early leaves fingerprints and a bent edge. You can close this page; the bench will say when.
      </p>
    {:else if now > late}
      {@render number(clock((now - late) / 1000), 'too late: the window is over')}
      <p class="mt-2 text-[1.1rem] text-cinnabar">Take them out at once, and look at every edge.</p>
    {:else}
      {@render number('Now', `${clock((late - now) / 1000)} until the window closes`)}
    {/if}
  {:else if instruction.kind === 'prepare'}
    {#if instruction.task.checks}
      <Preflight
        bind:this={preflight}
        task={instruction.task}
        {run}
        {frozen}
        {lessons}
        {pouring}
        {short}
        {log}
      />
    {:else}
      <ul class="mt-6 max-w-[46rem] space-y-3 text-[1.15rem]">
        {#each computed.cautions as caution, i (i)}
          <li class="border-l-4 border-ochre bg-ochre-soft px-4 py-2.5">{caution}</li>
        {/each}
        <li class="px-4 text-ink-2">The data sheet, local rules and licensed practice come first.</li>
      </ul>
    {/if}
  {/if}

  {#if instruction.kind !== 'gate'}{@render worthNow()}{/if}

  {#each instruction.mixId && !cupState?.coloured ? coloursOver(frozen, run, instruction.mixId) : [] as over, i (i)}
    <p
      class="mt-4 border-l-4 px-4 py-3 text-[1.05rem] {over.past
        ? 'border-cinnabar bg-cinnabar-soft'
        : 'border-ochre bg-ochre-soft'}"
      data-testid="colour-over"
    >
      <strong>More {over.name} than planned:</strong>
      {over.now.toFixed(2)} % instead of {Number(over.planned.toFixed(2))} %{#if over.past}, past its
        {Number(over.past.limit.toFixed(2))} %: {over.past.reason}{:else}, inside its limit; the colour is
        stronger{/if}.
      {(over.more * 100).toFixed(0)} % more of everything else brings it back; undo, if it can be taken out.
    </p>
  {/each}

  {#if problem}
    <p class="mt-4 border-l-4 border-cinnabar bg-cinnabar-soft px-4 py-3 text-[1.1rem]" role="alert">
      {problem}
    </p>
  {/if}
{/if}

{#if corrections.length}
  <ul class="mt-6 space-y-1 text-[1rem] text-ink-2" data-testid="put-right-list">
    {#each corrections.slice(-3) as c (c.at + c.what)}
      <li>
        <strong class="text-ink">{inWords(c.what)}</strong>{#if c.did}: {inWords(c.did)}{/if}
      </li>
    {/each}
  </ul>
{/if}

{#if run.strays.length}
  <ul class="mt-6 space-y-1 text-[1rem] text-ochre" data-testid="strays">
    {#each run.strays.slice(-3) as stray (stray.event.id)}<li>{inWords(stray.sentence)}</li>{/each}
  </ul>
{/if}

{#if run.notes.length}
  <ul class="mt-6 space-y-1 text-[1rem] text-ink-2">
    {#each run.notes.slice(-3) as note (note.id)}
      <li>
        <strong class={note.problem ? 'text-cinnabar' : 'text-ink'}
          >{note.problem ? 'Problem' : 'Note'}:</strong
        >
        {note.text}
      </li>
    {/each}
  </ul>
{/if}
