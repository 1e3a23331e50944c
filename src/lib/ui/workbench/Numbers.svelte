<script lang="ts">
  import Table from '../Table.svelte';
  import Fold from '../Fold.svelte';
  import { PORTION } from '$core/batch';
  import type { Computed, Plan } from '$core/plan';
  import type { Problem } from '$core/problem';
  import { displayOf, reading, readingBeside, weighing } from '$core/quantity';
  import type { Lesson } from '$core/inspect';
  import { InTurn } from '../../page/in-turn.svelte';
  import type { PlanView } from '../../plan/plan-view.svelte';
  import CupMark from '../drawing/CupMark.svelte';
  import Figure from '../Figure.svelte';
  import ProblemNote from '../ProblemNote.svelte';
  import QuantityField from '../forms/QuantityField.svelte';
  import FactTabs from './facts/FactTabs.svelte';

  let {
    plan,
    computed,
    editor,
    lessons = []
  }: {
    plan: Plan;
    computed: Computed;
    editor: PlanView;
    /** What was learned before that applies here. */
    lessons?: readonly Lesson[];
  } = $props();

  const turn = new InTurn(3);
  // What the plan's own scale shows; a weighing on a scale that shows another unit says so itself.
  const unit = $derived(displayOf(computed.division));
  const g = (x: number) => reading(x, computed.division);
  const weighed = (x: number) => weighing(x, computed.division);
  const cups = $derived(computed.cups.filter((c) => c.weighings.length && c.balance.mixed > 0));
  const colour = $derived(computed.totals.colourants.reduce((s, c) => s + c.grams, 0));
  const balance = $derived(computed.totals.balance);
  const split = $derived(computed.common.length > 0);
  const toMend = $derived(editor.problems.filter((p) => p.level !== 'note'));
  const notes = $derived(editor.problems.filter((p) => p.level === 'note'));
  // What cups and pots really stand on, which may not be the plan's own scale.
  const stands = $derived.by(() => {
    const mixes = [...computed.common, ...computed.cups.flatMap((c) => c.mixes)];
    const ids = mixes.flatMap((m) => m.weighings.filter((w) => !w.boat).map((w) => w.scaleId));
    return [...new Set(ids)].map((id) => editor.shelf.scales.find((s) => s.id === id)?.name ?? id);
  });
  // Two or three parts are read one by one; a longer list stands in the table below.
  const headline = $derived.by(() => {
    const { parts, fillers } = computed.totals;
    if (!parts.length) return [];
    const own =
      parts.length <= 2
        ? parts.map((p) => ({ value: short(p.grams), words: p.name }))
        : [{ value: short(parts.reduce((s, p) => s + p.grams, 0)), words: 'uncoloured' }];
    const chips = fillers.length
      ? [{ value: short(fillers.reduce((s, f) => s + f.grams, 0)), words: 'chips' }]
      : [];
    return [...own, { value: short(colour), words: 'colour' }, ...chips];
  });
  const short = (x: number) => (x / unit.factor).toFixed(unit.symbol === 'g' ? (x >= 1000 ? 0 : 1) : 2);

  /** One column of the table: a cup, or the mix that cups are split from; several mixes are summed. */
  type Cup = (typeof cups)[number];
  type Mix = Pick<Cup['mixes'][number], 'weighings' | 'balance' | 'ratioError' | 'turn'> & {
    offRatio?: Cup['offRatio'];
  };
  type Column = {
    id: string;
    cup: Cup | undefined;
    weighings: Cup['weighings'];
    mixed: number;
    /** How far rounding and carriers move the ratio, a share. */
    off: number;
    turns: number[];
  };
  const columns = $derived<Column[]>([
    ...alike('~mix', undefined, computed.common),
    ...cups.flatMap((c) => alike(c.cupId, c, c.mixes))
  ]);

  /** A column for each of a cup's mixes that are weighed alike: one where all are. */
  function alike(id: string, cup: Column['cup'], mixes: readonly Mix[]): Column[] {
    const found = new Map<string, Column>();
    for (const { weighings, balance, ratioError, offRatio, turn } of mixes) {
      const key = weighings.map((w) => reading(w.weight, w.division)).join(' ');
      const before = found.get(key);
      const off = Math.max(ratioError, ...(offRatio ?? []).map((o) => o.share));
      if (before) before.turns.push(turn);
      else found.set(key, { id: `${id}#${turn}`, cup, weighings, mixed: balance.mixed, off, turns: [turn] });
    }
    return [...found.values()];
  }
  /** Which of several mixes a column is: how many, or their numbers where they differ. */
  const whichOf = (c: Column) =>
    columns.filter((x) => x.cup === c.cup).length > 1 ? `mix ${c.turns.join(', ')}` : `× ${c.turns.length}`;
  const several = $derived(computed.common.length > 1 || cups.some((c) => c.mixes.length > 1));
  const rows = $derived([
    ...computed.totals.parts.map((p) => ({ key: p.key, name: p.name })),
    ...(split ? [{ key: PORTION, name: 'of the mix' }] : []),
    ...(cups.some((c) => c.balance.reserved > 0) || computed.common.some((m) => m.balance.reserved > 0)
      ? [{ key: 'reserve', name: 'taken out' }]
      : []),
    ...computed.totals.colourants.map((p) => ({ key: p.id, name: p.name })),
    ...computed.totals.fillers.map((p) => ({ key: p.id, name: p.name }))
  ]);
  /** A jar of a let-down of so many grams; the least again where that is asked. */
  function makeJar(l: Computed['letDowns'][number], grams: number) {
    const others = (plan.letDowns ?? []).filter(
      (x) => x.colourantId !== l.colourantId || x.parts !== l.parts
    );
    const own = {
      id: `jar-${l.colourantId}-${l.parts}`.slice(0, 60),
      colourantId: l.colourantId,
      parts: l.parts as 9 | 19 | 49 | 99,
      make: grams
    };
    editor.edit({ path: ['letDowns'], value: grams > l.least ? [...others, own] : others });
  }
  const of = (column: Column, key: string) =>
    column.weighings.find((w) => (w.kind === 'colourant' ? w.colourantId : w.key) === key);
</script>

{#snippet mends(problems: Problem[])}
  {#each problems as problem (problem.code + problem.path + problem.sentence)}
    <ProblemNote {problem} division={computed.division} onmend={(edit) => editor.edit(edit)} />
  {/each}
{/snippet}

<section class="flex min-w-0 flex-col px-4 py-3" aria-label="Numbers">
  <div class="flex items-baseline justify-between">
    <h2 class="label font-sans">To weigh{several ? ', in all' : ''}</h2>
    <span class="text-[0.8rem] text-ink-2">{stands.join(', ')}</span>
  </div>
  <div class="mt-0.5 flex flex-wrap gap-x-6">
    {#each headline as figure, i (i)}
      <div>
        <Figure class="font-display text-[2rem] leading-none font-medium" value={figure.value} />
        <p class="text-[0.82rem] text-ink-2">{unit.symbol} {figure.words}</p>
      </div>
    {/each}
  </div>

  <div class="mt-2 flex flex-col gap-1.5" id="to-mend">
    {#if editor.problem}<ProblemNote problem={editor.problem} />{/if}
    {@render mends(toMend.slice(0, 1))}
    {#if !editor.problems.length && plan.steps.length}
      <p class="text-[0.9rem] text-verdigris">Nothing to mend.</p>
    {/if}
  </div>

  {#if cups.length && turn.reached(1)}
    <div class="shrink-0 overflow-x-auto">
      <Table
        class="mt-2 text-[0.86rem]"
        testid="weighings"
        {rows}
        columns={[
          {
            id: '~name',
            head: several ? `${unit.symbol} a mix` : unit.symbol,
            headClass: '!px-0',
            class: '!px-0 !py-1 text-ink-2'
          },
          ...columns.map((c) => ({ id: c.id, num: true, class: '!px-0.5 !py-1', headClass: '!px-0.5' }))
        ]}
      >
        {#snippet head(id)}
          {@const column = columns.find((c) => c.id === id)!}
          {@const cup = column.cup}
          {#if cup}<CupMark
              letter={cup.letter}
              colour={cup.colour}
              hatch={cup.hatch}
              size={19}
            />{:else}mix{/if}
          {#if several && (column.turns.length > 1 || whichOf(column) !== '× 1')}<span
              class="block whitespace-nowrap">{whichOf(column)}</span
            >{/if}
        {/snippet}
        {#snippet cell(row, id)}
          {#if id === '~name'}
            <span class="block leading-tight">{row.name}</span>
          {:else}
            {@const w = of(
              columns.find((c) => c.id === id)!,
              row.key
            )}
            {#if w}
              <Figure
                value={(w.kind === 'reserve' ? '−' : '') +
                  readingBeside(w.weight, w.division, computed.division)}
                class={w.weighable ? '' : 'font-semibold text-ochre underline decoration-dotted'}
              />
              {#if !w.weighable}<span class="sr-only">not weighable on this scale</span>{/if}
            {/if}
          {/if}
        {/snippet}
        {#snippet foot()}
          <tr class="font-semibold">
            <td class="!px-0 !py-1">mixed</td>
            {#each columns as column (column.id)}<td class="num !px-0.5 !py-1"
                ><Figure value={g(column.mixed)} /></td
              >{/each}
          </tr>
          <tr>
            <td class="!px-0 !py-1 text-ink-2">ratio off, %</td>
            {#each columns as column (column.id)}
              <td class="num !px-0.5 !py-1 text-ink-2"><Figure value={(column.off * 100).toFixed(2)} /></td>
            {/each}
          </tr>
        {/snippet}
      </Table>
    </div>
  {/if}

  {#each computed.letDowns as l (l.colourantId + l.parts)}
    <p
      class="mt-2 border-l-[3px] border-verdigris bg-verdigris-soft px-3 py-1.5 text-[0.88rem]"
      data-testid="let-down"
    >
      Make first: <strong>{weighing(l.colourant, l.division)}</strong>
      {l.name} in <strong>{weighing(l.carrier, l.division)}</strong>
      {l.carrierName}, a 1 : {l.parts} let-down, a jar of
      <QuantityField
        quiet
        width="4.2rem"
        label="Let-down of {l.name} to make"
        unit="g"
        min={l.least}
        max={10_000}
        value={l.make}
        onchange={(grams) => makeJar(l, grams)}
      />
    </p>
  {/each}

  <p class="mt-2 text-[0.86rem] text-ink-2" data-testid="balance">
    poured <Figure class="text-ink" value={g(balance.poured)} /> · clings
    <Figure class="text-ink" value={g(balance.clings + balance.vessel)} /> · left
    <Figure class="text-ink" value={g(Math.max(0, balance.left))} />
    {#if balance.reserved > 0}· taken out <Figure class="text-ink" value={g(balance.reserved)} />{/if} =
    <Figure class="font-semibold text-ink" value={weighed(balance.mixed)} />
  </p>
  <div class="mt-2 flex flex-col gap-1.5">{@render mends(toMend.slice(1))}</div>

  {#if computed.cautions[0]}
    <p
      class="mt-2 border-l-[3px] border-ochre bg-ochre-soft px-3 py-1.5 text-[0.85rem] leading-snug"
      data-testid="caution"
    >
      {computed.cautions[0]}
    </p>
  {/if}

  {#if turn.reached(2)}<FactTabs {editor} />{/if}

  {#if lessons.length && turn.reached(3)}
    <Fold
      class="mt-2"
      open={lessons.length < 3}
      words="{lessons.length} {lessons.length === 1 ? 'lesson' : 'lessons'} from before"
      testid="lessons"
    >
      <ul class="mt-1 space-y-1 text-ink">
        {#each lessons as lesson, i (i)}
          <li class="border-l-[3px] border-verdigris pl-2.5 leading-snug">{lesson.text}</li>
        {/each}
      </ul>
    </Fold>
  {/if}

  {#if notes.length && turn.reached(3)}
    <Fold
      class="mt-2"
      open={!toMend.length && notes.length < 3}
      words="{notes.length} thing{notes.length === 1 ? '' : 's'} worth knowing"
    >
      <div class="mt-1 flex flex-col gap-1.5 text-ink">
        {@render mends(notes)}
      </div>
    </Fold>
  {/if}

  {#if computed.cautions.length && turn.reached(3)}
    <Fold class="mt-2" words="More cautions for this material">
      <ul class="mt-1 list-disc pl-5">
        {#each computed.cautions.slice(1) as caution, i (i)}<li>{caution}</li>{/each}
      </ul>
      <p class="mt-1">The data sheet, local rules and licensed practice come first.</p>
    </Fold>
  {/if}
</section>
