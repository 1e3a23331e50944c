<!-- The batch in one table: every mould and group, every layer, every cup; prints on one sheet. -->
<script lang="ts">
  import { PORTION } from '$core/batch';
  import { computePlan } from '$core/plan';
  import { amountWords } from '$core/pour';
  import { grams } from '$core/quantity';
  import CupMark from '$lib/ui/CupMark.svelte';
  import { money } from '$lib/ui/money';
  import PrintBar from '$lib/ui/PrintBar.svelte';

  let { data } = $props();
  const plan = $derived(data.plan);
  const computed = $derived(computePlan(plan, data.shelf, data.past));
  const base = $derived(computed.bases.map((b) => b.name).join(', '));
  const basis = $derived([...new Set(computed.bases.map((b) => b.basis))].join('; '));
  const g = (x: number) => grams(x, computed.division);
  const cupOf = (id: string) => computed.cups.find((c) => c.cupId === id);
  const amountOf = (id: string) => amountWords(plan.steps.find((s) => s.id === id));
  const rows = $derived(
    computed.groups.flatMap((group) => group.layers.map((layer, i) => ({ group, layer, first: i === 0 })))
  );
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
        {computed.totals.pieces} pieces in {computed.groups.length} group{computed.groups.length === 1
          ? ''
          : 's'} · {base || 'no base chosen'}
        {#if computed.order}· for {computed.order.good} good cast {computed.order.cast}, {computed.order
            .turns} turns{/if}
      </p>
    </div>
    {#if computed.cost}<p class="text-right">
        <strong>{money(computed.cost.perPiece)}</strong> a good piece
      </p>{/if}
  </header>

  <table class="figures mt-3 text-[0.92rem]">
    <thead>
      <tr>
        <th>cavities</th><th class="num">how many</th><th>layer</th><th>asked</th>
        <th class="num">mm</th><th class="num">ml each</th><th class="num">g each</th><th class="num"
          >g in all</th
        >
      </tr>
    </thead>
    <tbody>
      {#each rows as { group, layer, first } (group.strandId + layer.pourId)}
        {@const cup = cupOf(layer.cupId)}
        <tr class={first ? 'border-t-2 border-rule-strong' : ''}>
          <td>{first ? `${group.name} · ${group.mouldName}` : ''}</td>
          <td class="num">{first ? group.count : ''}</td>
          <td>
            {#if cup}<CupMark letter={cup.letter} colour={cup.colour} hatch={cup.hatch} size={19} />
              {cup.name}{/if}
            {layer.chamber ? `, ${layer.chamber.name}` : ''}
          </td>
          <td class="text-ink-2">{amountOf(layer.stepId)}</td>
          <td class="num">{(layer.to - layer.from).toFixed(1)}</td>
          <td class="num">{layer.each.toFixed(2)}</td>
          <td class="num">{g(layer.grams / group.count)}</td>
          <td class="num font-semibold">{g(layer.grams)}</td>
        </tr>
      {/each}
    </tbody>
  </table>

  <table class="figures mt-5 text-[0.92rem]">
    <thead>
      <tr>
        <th>cup</th><th class="num">mixes</th><th class="num">poured</th><th class="num">clings, stays</th>
        <th class="num">left</th><th class="num">mixed, g</th>
        {#if split}<th class="num">of the mix</th>{:else}{#each parts as p (p.key)}<th class="num"
              >{p.name}</th
            >{/each}{/if}
        <th>colour</th>
      </tr>
    </thead>
    <tbody>
      {#each cups as cup (cup.cupId)}
        <tr>
          <td><CupMark letter={cup.letter} colour={cup.colour} hatch={cup.hatch} size={19} /> {cup.name}</td>
          <td class="num">{cup.mixes.length}</td>
          <td class="num">{g(cup.balance.poured)}</td>
          <td class="num">{g(cup.balance.clings + cup.balance.vessel)}</td>
          <td class="num">{g(Math.max(0, cup.balance.left))}</td>
          <td class="num font-bold">{g(cup.balance.mixed)}</td>
          {#if split}
            <td class="num">{g(cup.weighings.find((w) => w.key === PORTION)?.weight ?? 0)}</td>
          {:else}
            {#each parts as p (p.key)}
              {@const w = cup.weighings.find((x) => x.kind === 'part' && x.key === p.key)}
              <td class="num">{w ? grams(w.weight, w.division) : ''}</td>
            {/each}
          {/if}
          <td class="!whitespace-normal">
            {cup.weighings
              .filter((w) => w.kind === 'colourant' || w.kind === 'filler')
              .map((w) => `${w.name} ${grams(w.weight, w.division)}`)
              .join(', ')}
          </td>
        </tr>
      {/each}
      <tr class="font-semibold">
        <td>all</td><td></td>
        <td class="num">{g(computed.totals.balance.poured)}</td>
        <td class="num">{g(computed.totals.balance.clings + computed.totals.balance.vessel)}</td>
        <td class="num">{g(Math.max(0, computed.totals.balance.left))}</td>
        <td class="num">{g(computed.totals.balance.mixed)}</td>
        {#if split}<td></td>{:else}{#each parts as p (p.key)}<td class="num">{g(p.grams)}</td>{/each}{/if}
        <td></td>
      </tr>
    </tbody>
  </table>
  {#if split}
    <p class="mt-3 text-[0.95rem]">
      The mix{computed.common.length > 1 ? `, in ${computed.common.length} turns` : ''}:
      {#each parts as p, i (p.key)}{i ? ', ' : ''}<strong>{g(p.grams)} g</strong> {p.name}{/each}.
    </p>
  {/if}
  <p class="mt-1 text-[0.82rem] text-ink-2">
    Percent {basis}.
    {#each computed.craft as fact (fact.label)}
      {fact.label}: {fact.value}.{/each}
    {#each computed.surplus.spares as s (s.id)}
      Spare {s.name}: {s.ml.toFixed(1)} of {s.of.toFixed(1)} ml.{/each}
    {#if computed.surplus.leftovers.length}
      To the leftovers: {computed.surplus.leftovers
        .map((l) => `${l.letter} ${l.grams.toFixed(1)} g`)
        .join(', ')}.
    {/if}
  </p>
</article>
