<!--
  The score under the workbench: how far in, at which zoom; gone through mark by mark, by slider, arrow keys or click,
  each said in words with what is wrong with it and its mend.
-->
<script lang="ts">
  import ZoomIn from '@lucide/svelte/icons/zoom-in';
  import ZoomOut from '@lucide/svelte/icons/zoom-out';
  import { duration } from '$core/quantity';
  import { InTurn } from '../../page/in-turn.svelte';
  import { Later } from '../../page/later.svelte';
  import type { PlanView } from '../../plan/plan-view.svelte';
  import { scoreMarks } from '../../plan/score-marks';
  import Choice from '../forms/Choice.svelte';
  import ProblemNote from '$lib/ui/ProblemNote.svelte';
  import ScoreDrawing from '../drawing/ScoreDrawing.svelte';
  import { inWords } from '../../preferences.svelte';

  let { editor }: { editor: PlanView } = $props();
  const turn = new InTurn(1);
  const computed = $derived(editor.computed);
  const score = new Later(() => editor.computed);
  let folded = $state(false);
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

  const nextConflict = () => {
    const after = conflicts.find((m) => marks.indexOf(m) > at) ?? conflicts[0];
    choose(after?.id);
  };
</script>

<section class="bg-sheet px-5 py-1" aria-label="Score">
  <div class="flex items-center gap-3 text-[0.85rem] text-ink-2">
    <span class="label">Score</span>
    <span class="min-w-0 flex-1 truncate" data-testid="mark">
      {#if chosen}<strong class="text-ink">{chosen.when}</strong> · {inWords(chosen.words)}
      {:else}hands done after {duration(
          computed.score.ends
        )}{#if computed.score.done > computed.score.ends + 1}, all of it after {duration(
            computed.score.done
          )}{/if}{/if}
    </span>
    {#if conflicts.length}
      <button class="shrink-0 font-semibold text-cinnabar hover:underline" onclick={nextConflict}
        >● {conflicts.length} to mend here</button
      >
    {/if}
    {#if !folded && marks.length}
      <input
        type="range"
        class="w-40 accent-verdigris"
        min="0"
        max={marks.length - 1}
        value={Math.max(0, at)}
        aria-label="Go through the score"
        aria-valuetext={chosen ? `${chosen.when}: ${inWords(chosen.words)}` : 'at the start'}
        oninput={(e) => choose(marks[e.currentTarget.valueAsNumber]?.id)}
        onfocus={() => at < 0 && choose(marks[0]?.id)}
        onkeydown={(e) => e.key === 'Escape' && choose(undefined)}
      />
      <button
        class="hover:text-ink disabled:opacity-30"
        aria-label="Score: less close"
        disabled={closer <= 1}
        onclick={() => (closer /= 2)}><ZoomOut size={17} /></button
      >
      <button
        class="hover:text-ink disabled:opacity-30"
        aria-label="Score: closer, to seconds"
        disabled={closer >= CLOSEST}
        onclick={() => (closer *= 2)}><ZoomIn size={17} /></button
      >
    {/if}
    {#if !folded && computed.score.done > computed.score.ends + 1}
      <Choice
        quiet
        label="What the score shows"
        value={zoom}
        options={[
          { value: 'pour', label: 'the pour, in minutes' },
          { value: 'all', label: 'all of it, waits folded' },
          { value: 'days', label: 'the days, to scale' }
        ]}
        onchange={(v) => (zoom = v as typeof zoom)}
      />
    {/if}
    <button class="underline hover:text-ink" aria-expanded={!folded} onclick={() => (folded = !folded)}
      >{folded ? 'unfold' : 'fold'}</button
    >
  </div>
  {#if chosen?.problems.length && !folded}
    <div class="my-1 flex flex-wrap gap-1.5 *:flex-1">
      {#each chosen.problems as problem, i (i)}
        <ProblemNote {problem} division={computed.division} onmend={(edit) => editor.edit(edit)} />
      {/each}
    </div>
  {/if}
  {#if !folded && turn.reached(1)}
    <!-- A score of very many lanes leaves half of the page to the pour. -->
    <div class="overflow-x-auto xl:max-h-[50vh] xl:overflow-y-auto" bind:this={frame} onscroll={follow}>
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
