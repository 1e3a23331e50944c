<!-- What is seldom changed of a cup: how many mixes, its vessel, what is reserved, chips, and the least to mix. -->
<script lang="ts">
  import { freshId, type Cup } from '$core/plan';
  import { parseCount } from '$core/quantity';
  import type { PlanEditor } from '$lib/plan-editor.svelte';
  import More from '../More.svelte';
  import ParsedField from '../ParsedField.svelte';
  import QuantityField from '../QuantityField.svelte';
  import NumberField from '../shelf/NumberField.svelte';
  import Row from '../shelf/Row.svelte';

  let { editor, cup, index }: { editor: PlanEditor; cup: Cup; index: number } = $props();
  const set = (path: (string | number)[], value: unknown) =>
    editor.edit({ path: ['cups', index, ...path], value });
  const out = $derived(editor.computed.cups[index]);
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

<More label="More about cup {cup.letter}" title="Cup {cup.letter}, {cup.name}">
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
    <Row label="In how many mixes" hint={cup.mixes ? 'yours' : 'worked out'}>
      <ParsedField
        label="In how many mixes"
        value={cup.mixes ?? out?.mixes.length ?? 1}
        format={String}
        parse={(text) => parseCount(text, 60)}
        onchange={(n) => set(['mixes'], n)}
      />
    </Row>
    <Row label="Mixed in">
      <select
        class="field"
        aria-label="Mixed in"
        value={cup.vesselId ?? ''}
        onchange={(e) => set(['vesselId'], e.currentTarget.value || undefined)}
      >
        <option value="">the smallest that holds it</option>
        {#each editor.shelf.vessels as v (v.id)}<option value={v.id}>{v.name}</option>{/each}
      </select>
    </Row>
  </div>
  {#if cup.mixes}
    <button class="underline" onclick={() => set(['mixes'], undefined)}>work the mixes out again</button>
  {/if}

  <h4 class="mt-3 font-sans text-[0.9rem] font-semibold">Chips and other solids</h4>
  {#each fillers as f, i (f.id)}
    <div class="grid grid-cols-[1fr_4.4rem_4rem_1.5rem] items-center gap-2 py-1">
      <input
        class="field"
        aria-label="Name of filler {i + 1}"
        value={f.name}
        onchange={(e) => set(['fillers', i, 'name'], e.currentTarget.value)}
      />
      <QuantityField
        label="Percent of filler {i + 1}"
        unit="%"
        above
        max={0.8}
        value={f.percent / 100}
        onchange={(v) => set(['fillers', i, 'percent'], Number((v * 100).toFixed(3)))}
      />
      <NumberField
        label="Density of filler {i + 1}, g/ml"
        value={f.density}
        onchange={(v) => set(['fillers', i, 'density'], v)}
      />
      <button
        class="text-ink-2 hover:text-cinnabar"
        aria-label="Take out filler {i + 1}"
        onclick={() => set(['fillers'], fillers.length > 1 ? fillers.toSpliced(i, 1) : undefined)}>×</button
      >
    </div>
  {/each}
  {#if fillers.length}<p class="text-[0.8rem] text-ink-2">percent of the finished cup, then g/ml</p>{/if}
  <select
    class="field mt-1"
    aria-label="Add chips"
    value=""
    onchange={(e) => {
      if (e.currentTarget.value) addFiller(e.currentTarget.value);
      e.currentTarget.value = '';
    }}
  >
    <option value="">+ chips…</option>
    {#each chips as lot (lot.id)}<option value={lot.id}>{lot.name}</option>{/each}
    <option value="other">other solids</option>
  </select>
</More>
