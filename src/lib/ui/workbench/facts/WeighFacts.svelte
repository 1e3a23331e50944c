<!-- What is weighed into every cup, and what becomes of it. -->
<script lang="ts">
  import Table from '../../Table.svelte';
  import { PORTION } from '$core/batch';
  import type { Computed, Plan } from '$core/plan';
  import { displayOf, reading, readingBeside, weighing } from '$core/quantity';
  import type { PlanView } from '../../../plan/plan-view.svelte';
  import CupMark from '../../drawing/CupMark.svelte';
  import Figure from '../../Figure.svelte';
  import QuantityField from '../../forms/QuantityField.svelte';

  let { computed, editor, plan }: { computed: Computed; editor: PlanView; plan: Plan } = $props();

  // What the plan's own scale shows; a weighing on a scale that shows another unit says so itself.
  const unit = $derived(displayOf(computed.division));
  const g = (x: number) => reading(x, computed.division);
  const weighed = (x: number) => weighing(x, computed.division);
  const cups = $derived(computed.cups.filter((c) => c.weighings.length && c.balance.mixed > 0));
  const balance = $derived(computed.totals.balance);
  const split = $derived(computed.common.length > 0);
  /** One column of the table: a cup, or the mix that cups are split from; several mixes are summed. */
  type Cup = (typeof cups)[number];
  type Mix = Pick<Cup['mixes'][number], 'weighings' | 'balance' | 'ratioError' | 'turn' | 'sitting'> & {
    offRatio?: Cup['offRatio'];
    filledFrom?: Cup['mixes'][number]['filledFrom'];
  };
  type Column = {
    id: string;
    /** The cup, or the mix that is split. */
    of: string;
    cup: Cup | undefined;
    weighings: Cup['weighings'];
    mixed: number;
    /** Of that, what other cups fill it with, g; 0 for one that is weighed. */
    filled: number;
    /** How far rounding and carriers move the ratio, a share. */
    off: number;
    turns: number[];
    /** The sitting they are made in, where there are several. */
    sitting?: number;
  };
  /** The mixes that are split, each once: one a material. */
  const pots = $derived([...new Set(computed.common.map((m) => m.of))]);
  const potName = (of: string) =>
    pots.length > 1
      ? (computed.bases.find((b) => b.baseId === computed.common.find((m) => m.of === of)?.baseId)?.name ??
        'mix')
      : 'mix';
  const columns = $derived<Column[]>([
    ...pots.flatMap((of) =>
      alike(
        of,
        undefined,
        computed.common.filter((m) => m.of === of)
      )
    ),
    ...cups.flatMap((c) => alike(c.cupId, c, c.mixes))
  ]);

  /** A column for each of a cup's mixes that are weighed alike: one where all are. */
  function alike(of: string, cup: Column['cup'], mixes: readonly Mix[]): Column[] {
    const found = new Map<string, Column>();
    for (const { weighings, balance, ratioError, offRatio, turn, sitting, filledFrom } of mixes) {
      const key = `${sitting ?? ''} ${weighings.map((w) => reading(w.weight, w.division)).join(' ')}`;
      const before = found.get(key);
      const off = Math.max(ratioError, ...(offRatio ?? []).map((o) => o.share));
      if (before) before.turns.push(turn);
      else
        found.set(key, {
          id: `${of}#${turn}`,
          of,
          cup,
          weighings,
          mixed: balance.mixed,
          filled: filledFrom ? balance.mixed - weighings.reduce((s, w) => s + w.weight, 0) : 0,
          off,
          turns: [turn],
          ...(sitting === undefined ? {} : { sitting })
        });
    }
    return [...found.values()];
  }
  /** Which of several mixes a column is: how many, or their numbers where they differ. */
  const whichOf = (c: Column) => {
    if (c.sitting !== undefined)
      return `sitting ${c.sitting}${c.turns.length > 1 ? ` × ${c.turns.length}` : ''}`;
    const others = columns.filter((x) => x.of === c.of).length > 1;
    return others ? `mix ${c.turns.join(', ')}` : `× ${c.turns.length}`;
  };
  /** The row of what a cup is filled with from others. */
  const FILLED = '~filled';
  const several = $derived(computed.common.length > 1 || cups.some((c) => c.mixes.length > 1));
  const rows = $derived([
    ...computed.totals.parts.map((p) => ({ key: p.key, name: p.name })),
    ...(split ? [{ key: PORTION, name: 'of the mix' }] : []),
    ...(columns.some((c) => c.filled > 0) ? [{ key: FILLED, name: 'from other cups' }] : []),
    ...(cups.some((c) => c.balance.reserved > 0) || computed.common.some((m) => m.balance.reserved > 0)
      ? [{ key: 'reserve', name: 'taken out' }]
      : []),
    ...computed.totals.colourants.map((p) => ({ key: p.id, name: p.name, percent: percentOf(p.id) })),
    ...computed.totals.fillers.map((p) => ({ key: p.id, name: p.name }))
  ]);
  /** What the cups have of a colourant, as their recipes say it: one figure, or from the least to the most. */
  function percentOf(colourantId: string): string {
    const lines = plan.cups.flatMap((c) => c.recipe.filter((l) => l.colourantId === colourantId));
    const all = [...new Set(lines.map((l) => l.percent))].sort((a, b) => a - b);
    return all.length > 1 ? `${all[0]}–${all.at(-1)} %` : all.length ? `${all[0]} %` : '';
  }
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

{#if cups.length}
  <div class="shrink-0 overflow-x-auto">
    <Table
      class="mt-2 text-[0.86rem]"
      testid="weighings"
      {rows}
      columns={[
        {
          id: '~name',
          head: several ? `${unit.symbol} in each mix` : unit.symbol,
          headClass: '!px-0',
          class: '!px-0 !py-1 text-ink-2'
        },
        ...columns.map((c) => ({
          id: c.id,
          num: true,
          class: '!pr-0 !pl-1.5 !py-1',
          headClass: '!pr-0 !pl-1.5'
        }))
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
          />{:else}{potName(column.of)}{/if}
        {#if several && (column.turns.length > 1 || whichOf(column) !== '× 1')}<span
            class="block whitespace-nowrap">{whichOf(column)}</span
          >{/if}
      {/snippet}
      {#snippet cell(row, id)}
        {#if id === '~name'}
          <span class="block leading-tight"
            >{row.name}{#if 'percent' in row}<span class="text-[0.8rem] whitespace-nowrap text-ink-2"
                >&nbsp;{row.percent}</span
              >{/if}</span
          >
        {:else if row.key === FILLED}
          {@const { filled } = columns.find((c) => c.id === id)!}
          {#if filled > 0}<Figure value={g(filled)} />{/if}
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
          {#each columns as column (column.id)}<td class="num !pr-0 !pl-1.5 !py-1"
              ><Figure value={g(column.mixed)} /></td
            >{/each}
        </tr>
        <tr>
          <td class="!px-0 !py-1 text-ink-2">ratio error, %</td>
          {#each columns as column (column.id)}
            <td class="num !pr-0 !pl-1.5 !py-1 text-ink-2"
              ><Figure value={(column.off * 100).toFixed(2)} /></td
            >
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
    Make first: stir <strong>{weighing(l.colourant, l.division)}</strong>
    {l.name} into <strong>{weighing(l.carrier, l.division)}</strong>
    {l.carrierName} (1 part in {l.parts}), a jar of
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
  <Figure class="text-ink" value={g(balance.poured)} /> in the mould +
  <Figure class="text-ink" value={g(balance.clings + balance.vessel)} /> stuck to cups +
  <Figure class="text-ink" value={g(Math.max(0, balance.left))} /> spare
  {#if balance.reserved > 0}+ <Figure class="text-ink" value={g(balance.reserved)} /> taken out{/if} =
  <Figure class="font-semibold text-ink" value={weighed(balance.mixed)} /> mixed
</p>
