<!-- The figures of a plan in tabs: what is weighed, with the warning that matters most; its time, stock, cost and batch. -->
<script lang="ts" module>
  /** The tabs of the figures. */
  export type FigureTab = 'weigh' | 'time' | 'stock' | 'cost' | 'batch';
</script>

<script lang="ts">
  import { Tabs } from 'bits-ui';
  import Fold from '../Fold.svelte';
  import type { Computed, Plan } from '$core/plan';
  import type { Problem } from '$core/problem';
  import { counted, displayOf } from '$core/quantity';
  import type { Lesson } from '$core/inspect';
  import { InTurn } from '../../page/in-turn.svelte';
  import type { PlanView } from '../../plan/plan-view.svelte';
  import Figure from '../Figure.svelte';
  import ProblemNote from '../ProblemNote.svelte';
  import BatchFacts from './facts/BatchFacts.svelte';
  import CostFacts from './facts/CostFacts.svelte';
  import StockFacts from './facts/StockFacts.svelte';
  import TimeFacts from './facts/TimeFacts.svelte';
  import WeighFacts from './facts/WeighFacts.svelte';

  let {
    plan,
    computed,
    editor,
    lessons = [],
    shown = $bindable('weigh'),
    all = $bindable(false)
  }: {
    plan: Plan;
    computed: Computed;
    editor: PlanView;
    /** What was learned before that applies here. */
    lessons?: readonly Lesson[];
    shown?: FigureTab;
    /** Whether all warnings are read, not only the first. */
    all?: boolean;
  } = $props();

  const turn = new InTurn(2);
  const TABS: [FigureTab, string][] = [
    ['weigh', 'Weigh'],
    ['time', 'Time'],
    ['stock', 'Stock'],
    ['cost', 'Cost'],
    ['batch', 'Batch']
  ];
  // What the plan's own scale shows; a weighing on a scale that shows another unit says so itself.
  const unit = $derived(displayOf(computed.division));
  const colour = $derived(computed.totals.colourants.reduce((s, c) => s + c.grams, 0));
  const short = $derived(computed.needs.some((n) => n.short));
  const LEVELS = ['stop', 'warn'];
  const wrong = $derived(
    editor.problems
      .filter((p) => p.level !== 'note')
      .toSorted((a, b) => LEVELS.indexOf(a.level) - LEVELS.indexOf(b.level))
  );
  const notes = $derived(editor.problems.filter((p) => p.level === 'note'));
  // Two or three parts are read one by one; a longer list stands in the table below.
  const headline = $derived.by(() => {
    const { parts, fillers } = computed.totals;
    if (!parts.length) return [];
    const own =
      parts.length <= 2
        ? parts.map((p) => ({ grams: p.grams, words: p.name }))
        : [{ grams: parts.reduce((s, p) => s + p.grams, 0), words: 'before colour' }];
    const chips = fillers.length ? [{ grams: fillers.reduce((s, f) => s + f.grams, 0), words: 'chips' }] : [];
    return [...own, { grams: colour, words: 'colour' }, ...chips];
  });
  const inShort = (x: number) => (x / unit.factor).toFixed(unit.symbol === 'g' ? (x >= 1000 ? 0 : 1) : 2);
</script>

{#snippet warnings(problems: readonly Problem[])}
  {#each problems as problem (problem.code + problem.path + problem.sentence)}
    <ProblemNote {problem} division={computed.division} onmend={(edit) => editor.edit(edit)} />
  {/each}
{/snippet}

{#snippet weigh()}
  <div class="flex flex-wrap gap-x-5">
    {#each headline as figure, i (i)}
      <div>
        <Figure class="font-display text-[1.9rem] leading-none font-medium" value={inShort(figure.grams)} />
        <p class="text-[0.82rem] text-ink-2">{unit.symbol} {figure.words}</p>
      </div>
    {/each}
  </div>

  <div class="mt-2 flex flex-col gap-1.5" data-testid="warnings">
    {#if editor.problem}<ProblemNote problem={editor.problem} />{/if}
    {@render warnings(all ? wrong : wrong.slice(0, 1))}
    {#if wrong.length > 1}
      <button
        class="self-start text-[0.86rem] font-semibold text-ochre underline"
        onclick={() => (all = !all)}
        >{all ? 'Show only the first' : `Show ${counted(wrong.length - 1, 'more warning')}`}</button
      >
    {/if}
  </div>

  <WeighFacts {computed} {editor} {plan} />

  {#if computed.cautions[0]}
    <p
      class="mt-2 border-l-[3px] border-ochre bg-ochre-soft px-3 py-1.5 text-[0.85rem] leading-snug"
      data-testid="caution"
    >
      {computed.cautions[0]}
    </p>
  {/if}

  {#if turn.reached(2)}
    {#if lessons.length}
      <Fold
        class="mt-2"
        open={lessons.length < 3}
        words="{counted(lessons.length, 'lesson')} from earlier runs"
        testid="lessons"
      >
        <ul class="mt-1 space-y-1 text-ink">
          {#each lessons as lesson, i (i)}
            <li class="border-l-[3px] border-verdigris pl-2.5 leading-snug">{lesson.text}</li>
          {/each}
        </ul>
      </Fold>
    {/if}
    {#if notes.length}
      <Fold class="mt-2" open={!wrong.length && notes.length < 3} words={counted(notes.length, 'tip')}>
        <div class="mt-1 flex flex-col gap-1.5 text-ink">{@render warnings(notes)}</div>
      </Fold>
    {/if}
    {#if computed.cautions.length}
      <Fold class="mt-2" words="More safety for this material">
        <ul class="mt-1 list-disc pl-5">
          {#each computed.cautions.slice(1) as caution, i (i)}<li>{caution}</li>{/each}
        </ul>
        <p class="mt-1">The data sheet, local rules and licensed practice come first.</p>
      </Fold>
    {/if}
  {/if}
{/snippet}

<section class="flex min-w-0 flex-col px-4 pb-3" aria-label="Numbers">
  <Tabs.Root bind:value={shown}>
    <Tabs.List class="flex gap-0.5 py-2" aria-label="Figures of the plan">
      {#each TABS as [value, words] (value)}
        <Tabs.Trigger {value} class="tab !px-2.5"
          >{words}{#if value === 'stock' && short}<span class="text-ochre"
              >&nbsp;●<span class="sr-only">something is short</span></span
            >{/if}</Tabs.Trigger
        >
      {/each}
    </Tabs.List>
    <!-- Only the tab that is read is drawn: the others would be made anew with every keystroke. -->
    <Tabs.Content value="weigh"
      >{#if shown === 'weigh' && turn.reached(1)}{@render weigh()}{/if}</Tabs.Content
    >
    <Tabs.Content value="time"
      >{#if shown === 'time'}<TimeFacts {editor} />{/if}</Tabs.Content
    >
    <Tabs.Content value="stock"
      >{#if shown === 'stock'}<StockFacts {computed} />{/if}</Tabs.Content
    >
    <Tabs.Content value="cost"
      >{#if shown === 'cost'}<CostFacts {editor} />{/if}</Tabs.Content
    >
    <Tabs.Content value="batch"
      >{#if shown === 'batch'}<BatchFacts {computed} {editor} />{/if}</Tabs.Content
    >
  </Tabs.Root>
</section>
