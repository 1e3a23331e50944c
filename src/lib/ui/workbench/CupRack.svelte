<script lang="ts">
  import { untrack } from 'svelte';
  import Plus from '@lucide/svelte/icons/plus';
  import X from '@lucide/svelte/icons/x';
  import { freshId, withNewCup } from '$core/edit';
  import { withoutCup } from '$core/document';
  import { type Cup } from '$core/document';
  import { compatibilityOf } from '$core/material';
  import { drawnFrom } from '$core/pour';
  import { weighing } from '$core/quantity';
  import { InTurn } from '../../page/in-turn.svelte';
  import type { PlanView } from '../../plan/plan-view.svelte';
  import Choice from '../forms/Choice.svelte';
  import CupIcon from '../drawing/CupIcon.svelte';
  import Figure from '../Figure.svelte';
  import QuantityField from '../forms/QuantityField.svelte';
  import CupLooks from './CupLooks.svelte';
  import CupMore from './CupMore.svelte';
  import { mass } from '../../preferences.svelte';
  import LineMore from './LineMore.svelte';

  let { editor }: { editor: PlanView } = $props();
  /** Cups that come at a time while the page opens. */
  const CUPS = 2;
  const turn = new InTurn(Math.ceil(untrack(() => editor.plan.cups.length) / CUPS));
  const plan = $derived(editor.plan);
  const computed = $derived(editor.computed);
  const colourants = $derived(editor.shelf.colourants);
  const largest = $derived(Math.max(1, ...computed.cups.map((c) => c.balance.mixed)));

  const addCup = () => editor.replace(withNewCup(plan));
  const removeCup = (id: string) => editor.replace(withoutCup(plan, id, drawnFrom));

  function addColourant(cupId: string, colourantId: string) {
    const line = { id: freshId(plan, 'colour'), colourantId, percent: 1, of: 'supplied' };
    editor.edit({ path: ['cups', cupId, 'recipe', line.id], value: line });
  }

  const VERDICTS = ['good', 'care', 'avoid'] as const;
  /** The pots of the shelf for a cup's base: what suits it first, each other with its reason. */
  function potsIn(cup: Cup) {
    const base = editor.shelf.bases.find(
      (b) => b.id === computed.cups.find((c) => c.cupId === cup.id)?.baseId
    );
    const fits = colourants.map((c) => ({ c, fit: base && compatibilityOf(c.form, base.kind) }));
    const rank = ({ fit }: (typeof fits)[number]) => (fit ? VERDICTS.indexOf(fit.verdict) : 0);
    return [...fits]
      .sort((a, b) => rank(a) - rank(b))
      .map(({ c, fit }) => ({
        value: c.id,
        label: c.name,
        swatch: c.colour,
        ...(fit && fit.verdict !== 'good' ? { note: `${fit.verdict}: ${fit.reason}` } : {})
      }));
  }
  /** The pots on the shelf, and the one a line names where it is not among them. */
  const potsFor = (cup: Cup, id: string) => {
    const pots = potsIn(cup);
    return pots.some((p) => p.value === id) ? pots : [{ value: id, label: 'not on the shelf' }, ...pots];
  };
  const basis = $derived([...new Set(computed.bases.map((b) => b.basis))].join('; '));
</script>

<section class="flex flex-col px-4 pb-3" aria-label="Cups">
  <h2 class="sr-only">Cups</h2>
  <p class="border-b border-rule pb-1 text-[0.85rem] text-ink-2">
    {#if basis}Percentages are {basis}.{/if} Mixed in all:
    <Figure
      class="font-semibold text-ink"
      value={weighing(computed.totals.balance.mixed, computed.division)}
    />
  </p>
  <ul class="ruled mt-1">
    {#each plan.cups.slice(0, turn.entries(CUPS)) as cup (cup.id)}
      {@const out = computed.cups.find((c) => c.cupId === cup.id)!}
      <li class="group relative flex gap-2.5 py-2" data-cup={cup.letter}>
        <CupIcon colour={out.looks.cup.hex} hatch={cup.hatch} fill={out.balance.mixed / largest} size={40} />
        <div class="min-w-0 flex-1">
          <div class="flex items-baseline gap-1.5">
            <strong>{cup.letter}</strong>
            <input
              class="quiet w-full flex-1 border-transparent font-medium"
              aria-label="Name of cup {cup.letter}"
              value={cup.name}
              onchange={(e) =>
                editor.edit({
                  path: ['cups', cup.id, 'name'],
                  value: e.currentTarget.value.trim() || cup.name
                })}
            />
            <Figure class="text-[1.1rem] font-bold" value={weighing(out.balance.mixed, computed.division)} />
          </div>
          <ul class="text-[0.85rem] text-ink-2">
            {#each cup.recipe as line, i (line.id)}
              <li class="flex items-baseline gap-1">
                <Choice
                  quiet
                  class="min-w-0 flex-1 border-transparent"
                  label="Colourant {i + 1} of cup {cup.letter}"
                  value={line.colourantId}
                  options={potsFor(cup, line.colourantId)}
                  onchange={(v) =>
                    editor.edit({ path: ['cups', cup.id, 'recipe', line.id, 'colourantId'], value: v })}
                />
                <QuantityField
                  quiet
                  width="3.1rem"
                  label="Percent of colourant {i + 1} in cup {cup.letter}"
                  unit="%"
                  max={1}
                  value={line.percent / 100}
                  onchange={(v) =>
                    editor.edit({
                      path: ['cups', cup.id, 'recipe', line.id, 'percent'],
                      value: Number((v * 100).toFixed(4))
                    })}
                />
                <LineMore {editor} {cup} index={i} />
                <button
                  class="-mr-3 min-h-6 w-3 text-ink-2 opacity-0 group-hover:opacity-100 hover:text-cinnabar focus:opacity-100"
                  aria-label="Take colourant {i + 1} out of cup {cup.letter}"
                  onclick={() => editor.edit({ path: ['cups', cup.id, 'recipe', line.id], value: undefined })}
                >
                  <X size={13} />
                </button>
              </li>
              {#if line.basis && line.basis !== 'own'}
                <li class="pl-1 text-[0.8rem]">
                  of the {line.basis === 'batch'
                    ? 'mix before colour'
                    : line.basis === 'finished'
                      ? 'finished mix'
                      : 'binder'}
                </li>
              {/if}
              {#if line.creep}<li class="pl-1 text-verdigris">
                  start with {Math.round(line.creep.start * 100)} %, then a little at a time
                </li>{/if}
              {@const counted = out.weighings.find((w) => w.key === line.id && w.counted)}
              {#if counted}
                <li class="pl-1 text-verdigris">
                  {counted.counted}, ± {(counted.spread * 100).toFixed(0)} %
                </li>
              {/if}
              {#if line.letDown}
                <li class="pl-1 text-verdigris">
                  stirred 1 : {line.letDown} into the mix first
                  <button
                    class="underline"
                    onclick={() =>
                      editor.edit({ path: ['cups', cup.id, 'recipe', line.id, 'letDown'], value: undefined })}
                    >weigh it as it is</button
                  >
                </li>
              {/if}
            {/each}
          </ul>
          <div class="flex items-baseline justify-between gap-2 text-[0.85rem] text-ink-2">
            <Choice
              quiet
              class="w-[4.6rem] border-transparent whitespace-nowrap"
              label="Add a colourant to cup {cup.letter}"
              value=""
              placeholder="+ Colour"
              options={potsIn(cup)}
              onchange={(v) => addColourant(cup.id, v)}
            />
            <CupMore {editor} {cup} />
          </div>
          <CupLooks {out} {computed} composite={'cups' in cup.from} />
          {#each cup.fillers ?? [] as f (f.id)}
            <div class="text-[0.85rem] text-ink-2">
              {f.name} <span class="float-right">{f.percent} %</span>
            </div>
          {/each}
          {#if cup.reserve}
            <div class="text-[0.85rem] text-ink-2">{mass(cup.reserve)} taken out uncoloured</div>
          {/if}
          {#if out.mixes.length > 1}
            <div class="text-[0.85rem] text-ink-2" data-testid="mixes-{cup.letter}">
              in <strong class="text-ink">{out.mixes.length} mixes</strong> of {out.mixes
                .map((m) => m.pours.reduce((s, p) => s + p.count, 0))
                .join(', ')}
            </div>
          {/if}
          {#if cup.atLeast}
            <div class="text-[0.85rem] text-ink-2">
              at least {mass(cup.atLeast)}
              <button
                class="underline"
                onclick={() => editor.edit({ path: ['cups', cup.id, 'atLeast'], value: undefined })}
                >mix only what is needed</button
              >
            </div>
          {/if}
        </div>
        <button
          class="absolute -left-1.5 bottom-2 p-1 text-ink-2 opacity-0 group-hover:opacity-100 hover:text-cinnabar focus:opacity-100"
          aria-label="Take cup {cup.letter} out of the plan"
          onclick={() => removeCup(cup.id)}
        >
          <X size={16} />
        </button>
      </li>
    {:else}
      <li class="py-4 text-ink-2">No cups yet. A cup is one colour of the mix.</li>
    {/each}
  </ul>

  <button class="button bare mt-1 self-start" onclick={addCup}><Plus size={18} /> Cup</button>
</section>
