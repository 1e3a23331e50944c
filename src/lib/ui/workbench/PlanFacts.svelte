<!-- What a plan is made for and with, each under its own small label and changed where it stands. -->
<script lang="ts">
  import { materials } from '$core/material';
  import { eachByItself, mixingOf, oneBase, splitAll } from '$core/document';
  import { counted, parseCount, weighing } from '$core/quantity';
  import type { PlanView } from '../../plan/plan-view.svelte';
  import Choice from '../forms/Choice.svelte';
  import ParsedField from '../forms/ParsedField.svelte';
  import QuantityField from '../forms/QuantityField.svelte';
  import PlanSettings from './PlanSettings.svelte';

  let { editor }: { editor: PlanView } = $props();
  const plan = $derived(editor.plan);
  const computed = $derived(editor.computed);
  const baseId = $derived(oneBase(plan));
  const base = $derived(editor.shelf.bases.find((b) => b.id === baseId));
  const mixing = $derived(mixingOf(plan));
  const SEVERAL = 'several';
  const withGone = (options: { value: string; label: string }[], value: string, words: string) =>
    options.some((o) => o.value === value) ? options : [{ value, label: words }, ...options];
  const bases = $derived(editor.shelf.bases.map((b) => ({ value: b.id, label: b.name })));
  const scales = $derived(
    editor.shelf.scales.map((s) => ({ value: s.id, label: `${s.name}, ${weighing(s.division, s.division)}` }))
  );
  const pours = $derived(computed.order?.turns ?? 1);

  function mixed(way: string) {
    const ids = [...new Set(plan.mixes.map((m) => m.baseId))];
    const change = way === 'split' ? splitAll : eachByItself;
    editor.replace(ids.reduce((p, id) => change(p, id), plan));
  }
</script>

{#snippet label(words: string)}<span class="label block leading-tight">{words}</span>{/snippet}

<div
  class="flex flex-wrap items-start gap-y-1 text-[0.93rem] *:border-rule *:pr-3 sm:*:not-first:border-l sm:*:not-first:pl-3"
  data-testid="plan-facts"
>
  <div>
    {@render label('Order')}
    <ParsedField
      quiet
      width="2.4rem"
      label="How many good pieces are wanted"
      value={plan.order?.good ?? computed.totals.pieces}
      format={String}
      parse={(text) => parseCount(text, 100_000)}
      onchange={(good) => editor.edit({ path: ['order'], value: { ...plan.order, good } })}
    />
    good pieces
  </div>
  <div>
    {@render label('Each pour')}
    <span class="inline-block py-[0.1rem]">{computed.totals.pieces} at a time · {counted(pours, 'pour')}</span
    >
  </div>
  <div>
    {@render label('Material')}
    <Choice
      quiet
      class="max-w-48"
      label="Material"
      value={baseId ?? SEVERAL}
      options={withGone(
        bases,
        baseId ?? SEVERAL,
        baseId ? 'choose a material' : counted(computed.bases.length, 'material')
      )}
      onchange={(to) => editor.replace({ ...plan, mixes: plan.mixes.map((m) => ({ ...m, baseId: to })) })}
    />
    {#if base}
      <a class="tap ml-1 text-[0.86rem] text-ink-2 underline" href="/shelf/bases/{base.id}"
        >{materials.has(base.kind, 'goes by trace') ? 'recipe, fragrance' : 'recipe'}</a
      >
    {/if}
  </div>
  <div>
    {@render label('Room')}
    <QuantityField
      quiet
      width="3.1rem"
      label="Room temperature"
      unit="°C"
      min={-5}
      max={50}
      value={plan.bench.roomCelsius}
      onchange={(v) => editor.edit({ path: ['bench', 'roomCelsius'], value: Math.round(v * 10) / 10 })}
    />
  </div>
  <div>
    {@render label('Scale')}
    <Choice
      quiet
      label="Scale"
      value={plan.bench.scaleIds[0] ?? 'none'}
      options={withGone(scales, plan.bench.scaleIds[0] ?? 'none', 'choose a scale')}
      onchange={(id) =>
        editor.edit({
          path: ['bench', 'scaleIds'],
          value: [id, ...plan.bench.scaleIds.slice(1).filter((s) => s !== id)]
        })}
    />
  </div>
  <div>
    {@render label('Cups')}
    <Choice
      quiet
      label="How the cups are mixed"
      value={mixing}
      options={[
        ...(mixing === 'both' ? [{ value: 'both', label: 'some divided, some each mixed' }] : []),
        { value: 'each', label: 'each mixed on its own' },
        { value: 'split', label: 'one mix, divided' }
      ]}
      onchange={mixed}
    />
  </div>
  <div>
    {@render label('Batch')}
    <PlanSettings {editor} />
  </div>
</div>
