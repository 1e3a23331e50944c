<!-- The batch in one table: every mould and group, every layer, every cup; prints on one sheet. -->
<script lang="ts">
  import Table from '$lib/ui/Table.svelte';
  import { PORTION } from '$core/batch';
  import { figuresOf } from '$core/plan';
  import { amountWords } from '$core/pour';
  import { displayOf, reading, weighing } from '$core/quantity';
  import CupMark from '../../../../../lib/ui/drawing/CupMark.svelte';
  import { length, mass, money, inWords, volume } from '../../../../../lib/preferences.svelte';
  import { batchOf, batchRows, coloursOf, partOf } from '../../../../../lib/plan/sheet-words';
  import PrintBar from '$lib/ui/PrintBar.svelte';

  let { data } = $props();
  const plan = $derived(data.plan);
  const computed = $derived(figuresOf(plan, data.shelf, data.learned));
  const basis = $derived([...new Set(computed.bases.map((b) => b.basis))].join('; '));
  const unit = $derived(displayOf(computed.division).symbol);
  const g = (x: number) => reading(x, computed.division);
  const weighed = (x: number) => weighing(x, computed.division);
  const cupOf = (id: string) => computed.cups.find((c) => c.cupId === id);
  const amountOf = (id: string) => amountWords(plan.steps.find((s) => s.id === id));
  const rows = $derived(batchRows(computed));
  const cups = $derived(computed.cups.filter((c) => c.balance.mixed > 0));
  const parts = $derived(computed.totals.parts);
  const split = $derived(computed.common.length > 0);
</script>

<svelte:head><title>Batch: {plan.name} · Kirapen</title></svelte:head>
<PrintBar plan={plan.id} here="batch" landscape />

<article class="mx-auto max-w-[1060px] px-8 py-6 print:max-w-none print:p-0" data-testid="batch">
  <header class="flex items-end justify-between border-b-2 border-ink pb-2">
    <div>
      <h1 class="text-[1.8rem]">{plan.name}: the batch</h1>
      <p class="text-ink-2">
        {batchOf(computed)}
      </p>
    </div>
    {#if computed.cost}<p class="text-right">
        <strong>{money(computed.cost.perPiece)}</strong> a good piece
      </p>{/if}
  </header>

  <Table
    class="mt-3 text-[0.92rem]"
    {rows}
    rowClass={({ first }) => (first ? 'border-t-2 border-rule-strong' : '')}
    columns={[
      {
        id: 'cavities',
        head: 'cavities',
        text: ({ first, group }) => (first ? `${group.name} · ${group.mouldName}` : '')
      },
      {
        id: 'count',
        head: 'how many',
        num: true,
        text: ({ first, group }) => (first ? group.count : '')
      },
      { id: 'layer', head: 'layer' },
      {
        id: 'asked',
        head: 'asked',
        text: ({ layer }) => inWords(amountOf(layer.stepId)),
        class: 'text-ink-2'
      },
      { id: 'thick', head: 'thick', num: true, text: ({ layer }) => length(layer.to - layer.from) },
      { id: 'volume', head: 'each', num: true, text: ({ layer }) => volume(layer.each) },
      {
        id: 'each',
        head: `${unit} each`,
        num: true,
        text: ({ group, layer }) => g(layer.grams / group.count)
      },
      {
        id: 'all',
        head: `${unit} in all`,
        num: true,
        text: ({ layer }) => g(layer.grams),
        class: 'font-semibold'
      }
    ]}
  >
    {#snippet cell({ layer })}
      {@const cup = cupOf(layer.cupId)}
      {#if cup}<CupMark letter={cup.letter} colour={cup.colour} hatch={cup.hatch} size={19} />
        {cup.name}{/if}{layer.chamber ? `, ${layer.chamber.name}` : ''}
    {/snippet}
  </Table>

  <Table
    class="mt-5 text-[0.92rem]"
    rows={cups}
    columns={[
      { id: 'cup', head: 'cup' },
      { id: 'mixes', head: 'mixes', num: true, text: (cup) => cup.mixes.length },
      { id: 'poured', head: 'poured', num: true, text: (cup) => g(cup.balance.poured) },
      {
        id: 'clings',
        head: 'stuck to cups',
        num: true,
        text: (cup) => g(cup.balance.clings + cup.balance.vessel)
      },
      { id: 'left', head: 'left', num: true, text: (cup) => g(Math.max(0, cup.balance.left)) },
      {
        id: 'mixed',
        head: `mixed, ${unit}`,
        num: true,
        text: (cup) => g(cup.balance.mixed),
        class: 'font-bold'
      },
      ...(split
        ? [
            {
              id: PORTION,
              head: 'of the mix',
              num: true,
              text: (cup: (typeof cups)[number]) =>
                g(cup.weighings.find((w) => w.key === PORTION)?.weight ?? 0)
            }
          ]
        : parts.map((p) => ({
            id: p.key,
            head: p.name,
            num: true,
            text: (cup: (typeof cups)[number]) => partOf(cup, p.key)
          }))),
      { id: 'colour', head: 'colour', text: coloursOf, class: '!whitespace-normal' }
    ]}
  >
    {#snippet cell(cup)}
      <CupMark letter={cup.letter} colour={cup.colour} hatch={cup.hatch} size={19} /> {cup.name}
    {/snippet}
    {#snippet foot()}
      <tr class="font-semibold">
        <td>all</td><td></td>
        <td class="num">{g(computed.totals.balance.poured)}</td>
        <td class="num">{g(computed.totals.balance.clings + computed.totals.balance.vessel)}</td>
        <td class="num">{g(Math.max(0, computed.totals.balance.left))}</td>
        <td class="num">{g(computed.totals.balance.mixed)}</td>
        {#if split}<td></td>{:else}{#each parts as p (p.key)}<td class="num">{g(p.grams)}</td>{/each}{/if}
        <td></td>
      </tr>
    {/snippet}
  </Table>
  {#if split}
    <p class="mt-3 text-[0.95rem]">
      The mix{computed.common.length > 1 ? `, mixed ${computed.common.length} times` : ''}:
      {#each parts as p, i (p.key)}{i ? ', ' : ''}<strong>{weighed(p.grams)}</strong> {p.name}{/each}.
    </p>
  {/if}
  <p class="mt-1 text-[0.82rem] text-ink-2">
    Percent {basis}.
    {#each computed.craft as fact, i (i)}
      {fact.label}: {inWords(fact.value, computed.division)}.{/each}
    {#each computed.surplus.spares as s (s.id)}
      Spare {s.name}: {volume(s.ml)} of {volume(s.of)}.{/each}
    {#if computed.surplus.leftovers.length}
      To the leftovers: {computed.surplus.leftovers.map((l) => `${l.letter} ${mass(l.grams)}`).join(', ')}.
    {/if}
  </p>
</article>
