<!-- What is seldom changed of a cup: how many mixes, its vessel, what is reserved, chips, and the least to mix. -->
<script lang="ts">
  import { freshId } from '$core/edit';
  import { type Cup } from '$core/document';
  import { materials } from '$core/material';
  import { parseCount } from '$core/quantity';
  import type { PlanView } from '../../plan/plan-view.svelte';
  import Choice from '../forms/Choice.svelte';
  import More from '../More.svelte';
  import ParsedField from '../forms/ParsedField.svelte';
  import QuantityField from '../forms/QuantityField.svelte';
  import NumberField from '../shelf/NumberField.svelte';
  import Row from '../forms/Row.svelte';

  let { editor, cup }: { editor: PlanView; cup: Cup } = $props();
  const set = (path: (string | number)[], value: unknown) =>
    editor.edit({ path: ['cups', cup.id, ...path], value });
  const out = $derived(editor.computed.cups.find((c) => c.cupId === cup.id));
  const mixId = $derived('mix' in cup.from ? cup.from.mix : undefined);
  const mix = $derived(editor.plan.mixes.find((m) => m.id === mixId));
  const split = $derived(mix?.feeds === 'split');
  const setMix = (key: string, value: unknown) => mix && editor.edit({ path: ['mixes', mix.id, key], value });
  // A cup's own vessel; a cup mixed on its own stands in its mix's.
  const vesselId = $derived(split ? cup.vesselId : (cup.vesselId ?? mix?.vesselId));
  const setVessel = (id: string) =>
    split ? set(['vesselId'], id || undefined) : setMix('vesselId', id || undefined);
  /** What goes into this cup by itself, where the fragrance is stirred in after the split. */
  const ownScent = $derived.by(() => {
    const base = editor.shelf.bases.find((b) => b.id === mix?.baseId);
    const scent = base && materials.of(base).scent;
    return scent && split && mix?.fragrance ? (cup.fragrance ?? scent.usual(base)) : undefined;
  });
  const SCENTS = [
    { value: 'calm', label: 'does not speed up trace' },
    { value: 'quick', label: 'quickens it' },
    { value: 'floral', label: 'floral, quickens it much' },
    { value: 'thins', label: 'thins it' }
  ];
  const MIXINGS = [
    { value: 'full', label: 'all through' },
    { value: 'marbled', label: 'marbled: a few strokes' },
    { value: 'speckled', label: 'speckled: hardly at all' }
  ];
  const bases = $derived(editor.shelf.bases.map((b) => ({ value: b.id, label: b.name })));

  const fillers = $derived(cup.fillers ?? []);
  const chips = $derived(editor.shelf.lots.filter((l) => l.of.kind === 'leftover'));

  function addFiller(lotId: string) {
    const lot = chips.find((l) => l.id === lotId);
    const density = lot?.of.kind === 'leftover' ? lot.of.density : 1.75;
    set(
      ['fillers'],
      [
        ...fillers,
        {
          id: freshId(editor.plan, 'chips'),
          name: lot?.name ?? 'chips',
          percent: 20,
          density,
          ...(lot ? { lotId: lot.id } : {})
        }
      ]
    );
  }
</script>

<More title="Cup {cup.letter}, {cup.name}" words="mixes, cup, chips" of="cup {cup.letter}">
  {#if mix}<a
      class="button mb-2 w-full"
      href="/colours/match?plan={editor.plan.id}&cup={cup.id}&colour={encodeURIComponent(out?.colour ?? '')}"
      >Find a recipe for a colour</a
    >{/if}
  <div class="grid grid-cols-2 gap-x-3">
    <Row label="Take out uncoloured first">
      <QuantityField
        label="Take out uncoloured first"
        unit="g"
        value={cup.reserve ?? 0}
        onchange={(v) => set(['reserve'], v > 0 ? v : undefined)}
      />
    </Row>
    <Row label="Mix at least">
      <QuantityField
        label="Mix at least"
        unit="g"
        value={cup.atLeast ?? 0}
        onchange={(v) => set(['atLeast'], v > 0 ? v : undefined)}
      />
    </Row>
    <Row label="In how many mixes" hint={mix?.turns ? 'yours' : 'worked out'}>
      <ParsedField
        label="In how many mixes"
        value={mix?.turns ?? out?.mixes.length ?? 1}
        format={String}
        parse={(text) => parseCount(text, 60)}
        onchange={(n) => setMix('turns', n)}
      />
    </Row>
    <Row label="Mixed in">
      <Choice
        label="Mixed in"
        value={vesselId ?? 'any'}
        options={[
          { value: 'any', label: 'the smallest that holds it' },
          ...editor.shelf.vessels.map((v) => ({ value: v.id, label: v.name }))
        ]}
        onchange={(v) => setVessel(v === 'any' ? '' : v)}
      />
    </Row>
    <Row label="Colour stirred in">
      <Choice
        label="Colour stirred in"
        value={cup.mixing ?? 'full'}
        options={MIXINGS}
        onchange={(v) => set(['mixing'], v === 'full' ? undefined : v)}
      />
    </Row>
    {#if ownScent}
      <Row label="Fragrance, of the oils">
        <QuantityField
          label="Fragrance, of the oils"
          unit="%"
          max={0.06}
          value={ownScent.share}
          onchange={(share) => set(['fragrance'], { ...ownScent, share })}
        />
      </Row>
      <Row label="It">
        <Choice
          label="How the fragrance behaves"
          value={ownScent.is}
          options={SCENTS}
          onchange={(is) => set(['fragrance'], { ...ownScent, is })}
        />
      </Row>
    {/if}
    {#if mix && !split}
      <Row label="Material of this cup">
        <Choice
          label="Material of cup {cup.letter}"
          value={mix.baseId}
          options={bases}
          onchange={(v) => setMix('baseId', v)}
        />
      </Row>
    {/if}
  </div>
  {#if mix?.turns}
    <button class="underline" onclick={() => setMix('turns', undefined)}>work the mixes out again</button>
  {/if}

  <h4 class="mt-3 font-sans text-[0.9rem] font-semibold">Chips and other solids</h4>
  {#each fillers as f, i (f.id)}
    <div class="grid grid-cols-[1fr_4.4rem_4rem_1.5rem] items-center gap-2 py-1">
      <input
        class="field"
        aria-label="Name of filler {i + 1}"
        value={f.name}
        onchange={(e) => set(['fillers', f.id, 'name'], e.currentTarget.value)}
      />
      <QuantityField
        label="Percent of filler {i + 1}"
        unit="%"
        above
        max={0.8}
        value={f.percent / 100}
        onchange={(v) => set(['fillers', f.id, 'percent'], Number((v * 100).toFixed(3)))}
      />
      <NumberField
        label="Density of filler {i + 1}, g/ml"
        value={f.density}
        onchange={(v) => set(['fillers', f.id, 'density'], v)}
      />
      <button
        class="text-ink-2 hover:text-cinnabar"
        aria-label="Take out filler {i + 1}"
        onclick={() => set(['fillers'], fillers.length > 1 ? fillers.toSpliced(i, 1) : undefined)}>×</button
      >
    </div>
  {/each}
  {#if fillers.length}<p class="text-[0.8rem] text-ink-2">percent of the finished cup, then g/ml</p>{/if}
  <Choice
    label="Add chips"
    value=""
    placeholder="+ Chips"
    class="mt-1"
    options={[
      ...chips.map((lot) => ({ value: lot.id, label: lot.name })),
      { value: 'other', label: 'other solids' }
    ]}
    onchange={addFiller}
  />
</More>
