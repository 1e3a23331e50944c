<!-- What the batch means beyond its grams: mixes, hands, vessels, the order, surplus, the craft’s own figures. -->
<script lang="ts">
  import Table from '../../Table.svelte';
  import Fold from '../../Fold.svelte';
  import type { Computed } from '$core/plan';
  import { counted, duration, holdsFor } from '$core/quantity';
  import { mass, inWords, volume } from '../../../preferences.svelte';
  import { HEADROOM } from '$core/shelf';
  import type { PlanView } from '../../../plan/plan-view.svelte';
  import CupMark from '../../drawing/CupMark.svelte';
  import Figure from '../../Figure.svelte';
  import QuantityField from '../../forms/QuantityField.svelte';
  import FactRow from './FactRow.svelte';
  import Rewet from './Rewet.svelte';
  import ByEye from './ByEye.svelte';
  import StartFrom from './StartFrom.svelte';

  let { computed, editor }: { computed: Computed; editor: PlanView } = $props();
  const plan = $derived(editor.plan);
  const order = $derived(computed.order);
  const cups = $derived(computed.cups.filter((c) => c.balance.pouredMl > 0));
  const needed = $derived(
    (computed.common.length ? computed.common : cups.flatMap((c) => c.mixes)).map((m) => m.ml)
  );
  // Where the parts are weighed, when that is not the plan's own scale.
  const stands = $derived.by(() => {
    const mix = computed.common[0] ?? cups[0]?.mixes[0];
    const id = mix?.weighings.find((w) => w.kind === 'part' && !w.boat)?.scaleId;
    return id && id !== plan.bench.scaleIds[0]
      ? editor.shelf.scales.find((s) => s.id === id)?.name
      : undefined;
  });
  const vessels = $derived([
    ...new Set(
      (computed.common.length ? computed.common : cups.flatMap((c) => c.mixes)).flatMap((m) =>
        m.vessel ? [m.vessel.name] : []
      )
    )
  ]);
  const why = $derived(computed.common[0]?.why ?? cups.find((c) => c.why)?.why);
  const mixes = $derived(computed.common.length || Math.max(0, ...cups.map((c) => c.mixes.length)));
  // The cup that is soonest out of hand says how many.
  const hand = $derived(
    [...cups].sort((a, b) => a.inHand / Math.max(1, a.castings) - b.inHand / Math.max(1, b.castings))[0]
  );
  const colouring = $derived(computed.lightToDark.flatMap((id) => cups.filter((c) => c.cupId === id)));
</script>

<dl class="mt-2 text-[0.88rem]" data-testid="facts">
  {#if order}
    <div class="flex items-baseline justify-between gap-3 border-t border-rule py-1.5" data-testid="order">
      <dt class="text-ink-2">
        For {order.good} good pieces, with
        <QuantityField
          quiet
          width="2.8rem"
          label="Share rejected"
          unit="%"
          max={0.9}
          value={order.rejects}
          onchange={(v) => editor.edit({ path: ['order'], value: { good: order.good, rejects: v } })}
        />
        rejects
        <span class="block text-[0.8rem]"
          >{order.from === 'record'
            ? 'rejects as on record; enough 9 times in 10'
            : order.from === 'typed'
              ? 'rejects as you typed; enough 9 times in 10'
              : 'no rejects on record yet'}</span
        >
      </dt>
      <dd class="text-right">
        <Figure class="font-semibold" value="cast {order.cast}" />
        <span class="block"
          >{counted(order.turns, 'pour')} of {order.perTurn}{order.lastTurn < order.perTurn && order.turns > 1
            ? `, the last of ${order.lastTurn}`
            : ''}</span
        >
      </dd>
    </div>
  {/if}
  <StartFrom {editor} />
  <ByEye {editor} />
  {#if order && order.turns > 1}
    <FactRow
      label={`For all ${order.turns} pours`}
      value={mass(computed.totals.balance.mixed * order.turns)}
      note={computed.needs.map((n) => `${n.name} ${mass(n.inAll)}`).join(' · ')}
    />
  {/if}
  {#if computed.row && computed.row.mixes.length > 1}
    {@const rota = computed.row}
    <div class="border-t border-rule py-1.5" data-testid="row">
      <dt class="float-left text-ink-2">{rota.castings} castings, {rota.cavities} at once</dt>
      <dd class="text-right"><Figure class="font-semibold" value="{rota.mixes.length} mixes" /></dd>
      <dd class="clear-both">
        <p class="text-[0.8rem] text-ink-2">
          of {rota.mixes.map((m) => m.count).join(', ')}; last piece out after {duration(
            rota.ends
          )}{#if rota.gains.helper}; with a helper {rota.gains.helper.mixes}{/if}{#if rota.gains.window}; one
            mix would do for {rota.cavities}
            with {duration(rota.gains.window)} to pour{/if}
        </p>
        <Fold words="When each is mixed, poured and demoulded">
          <Table
            class="mt-1 text-[0.82rem]"
            label="The row of mixes"
            rows={rota.mixes}
            columns={[
              { id: 'n', head: 'castings', num: true, text: (m) => m.count },
              { id: 'mix', head: 'mix at', num: true, text: (m) => duration(m.mixAt) },
              { id: 'poured', head: 'poured by', num: true, text: (m) => duration(m.pouredBy) },
              { id: 'out', head: 'demould', num: true, text: (m) => duration(m.demouldAt) },
              { id: 'done', head: 'out by', num: true, text: (m) => duration(m.outBy) }
            ]}
          />
        </Fold>
        {#if !rota.kept}<p class="text-ochre">Some would leave their mould past their window.</p>{/if}
      </dd>
    </div>
  {/if}
  {#if mixes > 1}<FactRow
      label="Mixes"
      value={`${mixes}`}
      note={why ? inWords(why, computed.division) : ''}
    />{/if}
  {#if hand && hand.window > 0}
    <FactRow
      label="One mix is enough for"
      value={`${hand.inHand} of ${counted(hand.castings, 'casting')}`}
      note={`you have ${holdsFor(hand.window)}; 15 % of it kept in reserve`}
    />
  {/if}
  {#if needed.length}
    <FactRow
      label="Mix in"
      value={vessels.length ? vessels.join(', ') : `${volume(Math.max(...needed) / (1 - HEADROOM))} or more`}
      note={`${stands ? `on the ${stands}, ` : ''}filled to two thirds`}
    />
  {/if}
  {#if colouring.length > 1}
    <div class="flex items-baseline justify-between gap-3 border-t border-rule py-1.5">
      <dt class="shrink-0 text-ink-2">With one stick, light to dark</dt>
      <dd class="flex flex-wrap items-center justify-end gap-1">
        {#each colouring as cup, i (cup.cupId)}
          <span class="flex items-center gap-1">
            {#if i}<span class="text-ink-2">→</span>{/if}
            <CupMark letter={cup.letter} colour={cup.colour} hatch={cup.hatch} size={19} />
          </span>
        {/each}
      </dd>
    </div>
  {/if}
  {#each computed.craft as fact, i (i)}<FactRow
      label={fact.label}
      value={inWords(fact.value, computed.division)}
    />{/each}
  {#each computed.surplus.spares as s (s.id)}
    <FactRow
      label={`Spare: ${s.name}`}
      value={`${volume(s.ml)} of ${volume(s.of)}`}
      note={s.letters
        ? `${(s.filled * 100).toFixed(0)} % full, from ${[...s.letters].join(', ')}`
        : 'stays empty'}
    />
  {/each}
  {#if computed.surplus.leftovers.length}
    <FactRow
      label="Left over"
      value={mass(computed.surplus.leftovers.reduce((s, l) => s + l.grams, 0))}
      note={computed.surplus.leftovers.map((l) => `${l.letter} ${mass(l.grams)}`).join(' · ')}
    />
  {/if}
</dl>
{#if plan.steps.length}<Rewet
    {computed}
    base={editor.shelf.bases.find((b) => b.id === computed.bases[0]?.baseId)}
  />{/if}
