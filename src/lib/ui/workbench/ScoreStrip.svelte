<!--
  The score under the workbench: a strip, or open over the page; how far in, at which zoom; gone through mark by mark, by slider, arrow keys or click,
  each said in words with what is wrong with it and its mend.
-->
<script lang="ts">
  import ChevronUp from '@lucide/svelte/icons/chevron-up';
  import ZoomIn from '@lucide/svelte/icons/zoom-in';
  import ZoomOut from '@lucide/svelte/icons/zoom-out';
  import { counted, duration } from '$core/quantity';
  import { InTurn } from '../../page/in-turn.svelte';
  import { remember, remembered } from '../../page/remembered';
  import { Later } from '../../page/later.svelte';
  import type { PlanView } from '../../plan/plan-view.svelte';
  import { scoreMarks } from '../../plan/score-marks';
  import Choice from '../forms/Choice.svelte';
  import ProblemNote from '$lib/ui/ProblemNote.svelte';
  import ScoreDrawing from '../drawing/ScoreDrawing.svelte';
  import ScoreLane from '../drawing/ScoreLane.svelte';
  import { inWords } from '../../preferences.svelte';

  let { editor }: { editor: PlanView } = $props();
  const turn = new InTurn(1);
  const computed = $derived(editor.computed);
  const score = new Later(() => editor.computed);
  /** A strip under the page, open over its lower half, or the whole page: as it was left. */
  const MODES = ['strip', 'half', 'page'] as const;
  const KEPT = 'kirapen.timeline';
  let mode = $state<(typeof MODES)[number]>(MODES.find((m) => m === remembered(KEPT)) ?? 'strip');
  function show(next: typeof mode) {
    mode = next;
    remember(KEPT, next);
  }
  let laneWidth = $state(700);
  let zoom = $state<'pour' | 'all' | 'days'>('pour');

  /** As wide as the page, and how many times that at the closest: a minute is then some hundred points wide. */
  const WIDE = 1208;
  /** The names of the lanes lie over the strip's left edge. */
  const NAMES = 120;
  const CLOSEST = 16;
  let closer = $state(1);
  let frame = $state<HTMLElement>();

  const marks = $derived(
    scoreMarks(score.value, editor.problems).filter((m) => zoom !== 'pour' || m.from < score.value.score.ends)
  );
  let chosenId = $state<string>();
  const at = $derived(marks.findIndex((m) => m.id === chosenId));
  const chosen = $derived(marks[at]);
  const conflicts = $derived(marks.filter((m) => m.problems.length));

  function choose(id: string | undefined) {
    chosenId = id;
    editor.looking = marks.find((m) => m.id === id)?.stepId;
  }

  /** How far the strip has been scrolled, in the drawing's own points. */
  let scrolled = $state(0);
  const follow = () => (scrolled = frame ? (frame.scrollLeft / frame.scrollWidth) * WIDE * closer : 0);

  // The mark that is looked at comes into the strip, whoever chose it and however close it is.
  $effect(() => {
    const mark = chosen && closer && frame?.querySelector('[data-chosen]');
    if (!mark || !frame) return;
    const [own, box] = [mark.getBoundingClientRect(), frame.getBoundingClientRect()];
    if (own.left < box.left + NAMES || own.right > box.right)
      frame.scrollBy({ left: own.left + Math.min(own.width, box.width) / 2 - box.left - box.width / 2 });
    follow();
  });

  /** Minutes that the hands are at it until all is poured, waits left out. */
  const hands = $derived(
    computed.score.blocks
      .filter((b) => !b.unattended && b.from < computed.score.ends - 1e-9)
      .reduce((s, b) => s + b.to - b.from, 0)
  );

  const nextConflict = () => {
    const after = conflicts.find((m) => marks.indexOf(m) > at) ?? conflicts[0];
    choose(after?.id);
  };
</script>

<!-- How long the hands are busy, and when the piece comes out. -->
{#snippet facts()}
  <strong class="block text-[1rem] leading-tight">Your hands: {duration(hands)}</strong>
  <span class="block text-[0.83rem] leading-tight text-ink-2">
    {#each computed.score.demould.slice(-1) as d (d.groupId)}demould {duration(d.from - d.lastPour)} to {duration(
        d.to - d.lastPour
      )} after the pour{:else}finished after {duration(computed.score.done)}{/each}
  </span>
{/snippet}

{#if mode === 'strip'}
  <section class="flex items-center gap-4 bg-sheet px-5 py-2" aria-label="Timeline" data-score-strip>
    <div class="w-52 shrink-0" data-testid="mark">{@render facts()}</div>
    <div class="min-w-0 flex-1 overflow-hidden" bind:clientWidth={laneWidth}>
      {#if turn.reached(1)}<ScoreLane computed={score.value} width={laneWidth} />{/if}
    </div>
    {#if conflicts.length}
      <span class="shrink-0 text-[0.86rem] font-semibold text-cinnabar"
        >● {counted(conflicts.length, 'problem')}</span
      >
    {/if}
    <button class="button shrink-0" aria-expanded="false" onclick={() => show('half')}
      >Timeline <ChevronUp size={16} aria-hidden="true" /></button
    >
  </section>
{:else}
  <!-- The page keeps its place beneath. -->
  <div class="h-[62px] shrink-0 max-xl:hidden"></div>
  <section
    class="flex flex-col border-t border-rule-strong bg-sheet px-5 py-2 xl:fixed xl:right-0 xl:bottom-0 xl:left-[72px] xl:z-20 xl:shadow-[0_-8px_24px_rgb(0_0_0/0.12)] {mode ===
    'page'
      ? 'xl:top-0'
      : 'xl:max-h-[62vh]'}"
    aria-label="Timeline"
  >
    <div class="flex flex-wrap items-center gap-3 text-[0.87rem] text-ink-2">
      <h2 class="font-display text-[1.2rem] text-ink">Timeline</h2>
      <span class="min-w-0 flex-1 truncate" data-testid="mark">
        {#if chosen}<strong class="text-ink">{chosen.when}</strong> · {inWords(chosen.words)}
        {:else}Your hands: {duration(hands)}{#if computed.score.done > computed.score.ends + 1}. Finished
            after {duration(computed.score.done)}.{/if}{/if}
      </span>
      {#if conflicts.length}
        <button class="shrink-0 font-semibold text-cinnabar hover:underline" onclick={nextConflict}
          >● {counted(conflicts.length, 'problem')} here</button
        >
      {/if}
      {#if marks.length}
        <input
          type="range"
          class="w-40 accent-verdigris"
          min="0"
          max={marks.length - 1}
          value={Math.max(0, at)}
          aria-label="Go through the timeline"
          aria-valuetext={chosen ? `${chosen.when}: ${inWords(chosen.words)}` : 'at the start'}
          oninput={(e) => choose(marks[e.currentTarget.valueAsNumber]?.id)}
          onfocus={() => at < 0 && choose(marks[0]?.id)}
          onkeydown={(e) => e.key === 'Escape' && choose(undefined)}
        />
        <button
          class="button bare min-h-9 !px-1.5"
          aria-label="Timeline: zoom out"
          disabled={closer <= 1}
          onclick={() => (closer /= 2)}><ZoomOut size={17} /></button
        >
        <button
          class="button bare min-h-9 !px-1.5"
          aria-label="Timeline: zoom in, to seconds"
          disabled={closer >= CLOSEST}
          onclick={() => (closer *= 2)}><ZoomIn size={17} /></button
        >
      {/if}
      {#if computed.score.done > computed.score.ends + 1}
        <Choice
          quiet
          label="The timeline shows"
          value={zoom}
          options={[
            { value: 'pour', label: 'the pour' },
            { value: 'all', label: 'all of it, long waits folded' },
            { value: 'days', label: 'the days, to scale' }
          ]}
          onchange={(v) => (zoom = v as typeof zoom)}
        />
      {/if}
      <button
        class="button bare min-h-9 max-xl:hidden"
        onclick={() => show(mode === 'page' ? 'half' : 'page')}
        >{mode === 'page' ? 'Half the page' : 'Whole page'}</button
      >
      <button class="button min-h-9" aria-expanded="true" onclick={() => show('strip')}>Hide</button>
    </div>
    {#if chosen?.problems.length}
      <div class="my-1 flex flex-wrap gap-1.5 *:flex-1">
        {#each chosen.problems as problem, i (i)}
          <ProblemNote {problem} division={computed.division} onmend={(edit) => editor.edit(edit)} />
        {/each}
      </div>
    {/if}
    {#if turn.reached(1)}
      <div class="mt-1 overflow-x-auto xl:min-h-0 xl:overflow-y-auto" bind:this={frame} onscroll={follow}>
        <div class="min-w-[900px]" style="width:{closer * 100}%">
          <ScoreDrawing
            computed={score.value}
            {zoom}
            width={WIDE * closer}
            {scrolled}
            {chosen}
            onchoose={choose}
          />
        </div>
      </div>
    {/if}
  </section>
{/if}
