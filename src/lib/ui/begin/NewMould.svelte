<!-- A first mould in three figures, where the shelf has none: round or square, how wide, how deep, how many. -->
<script lang="ts">
  import { invalidateAll } from '$app/navigation';
  import type { Mould, Shape } from '$core/mould';
  import type { Problem } from '$core/problem';
  import { parseCount } from '$core/quantity';
  import { newId } from '$lib/id';
  import { send } from '../../store/send';
  import Choice from '../forms/Choice.svelte';
  import ParsedField from '../forms/ParsedField.svelte';
  import QuantityField from '../forms/QuantityField.svelte';
  import ProblemNote from '../ProblemNote.svelte';
  import Row from '../forms/Row.svelte';

  let kind = $state<'round' | 'box'>('round');
  let across = $state<number>();
  let wide = $state<number>();
  let deep = $state<number>();
  let count = $state(1);
  let problems = $state<Problem[]>([]);
  const shape = $derived.by((): Shape | undefined => {
    if (!across || !deep) return undefined;
    if (kind === 'round') return { kind: 'cylinder', radius: across / 2, depth: deep };
    return wide ? { kind: 'box', length: across, width: wide, depth: deep } : undefined;
  });

  async function keep() {
    if (!shape) return;
    const name = kind === 'round' ? 'Round mould' : 'Box mould';
    const mould: Mould = {
      id: newId(),
      name,
      material: 'silicone',
      finish: 'gloss',
      notes: '',
      cavities: [{ id: 'piece', name: 'piece', count, shape, capacity: { from: 'dimensions' } }]
    };
    const kept = await send('PUT', `/moulds/${mould.id}`, mould, 'new');
    problems = kept.ok ? [] : kept.problems;
    if (kept.ok) await invalidateAll();
  }
</script>

<fieldset class="mt-2 border-t border-rule pt-2">
  <legend class="label">Your mould</legend>
  <div class="grid grid-cols-2 gap-x-3">
    <Row label="Shape">
      <Choice
        label="Shape of the mould"
        value={kind}
        options={[
          { value: 'round', label: 'round' },
          { value: 'box', label: 'box' }
        ]}
        onchange={(v) => (kind = v as typeof kind)}
      />
    </Row>
    <Row label="Cavities">
      <ParsedField
        label="Cavities in the mould"
        value={count}
        format={String}
        parse={(text) => parseCount(text, 400)}
        onchange={(n) => (count = n)}
      />
    </Row>
    <Row label={kind === 'round' ? 'Diameter' : 'Length'}>
      <QuantityField
        label={kind === 'round' ? 'Diameter' : 'Length'}
        unit="mm"
        above
        max={5000}
        value={across}
        onchange={(v) => (across = v)}
      />
    </Row>
    {#if kind === 'box'}
      <Row label="Width">
        <QuantityField label="Width" unit="mm" above max={5000} value={wide} onchange={(v) => (wide = v)} />
      </Row>
    {/if}
    <Row label="Depth">
      <QuantityField label="Depth" unit="mm" above max={5000} value={deep} onchange={(v) => (deep = v)} />
    </Row>
  </div>
  {#each problems as problem, i (i)}<ProblemNote {problem} />{/each}
  <button class="button w-full" disabled={!shape} onclick={keep}>Save the mould</button>
  <p class="mt-1 text-[0.84rem] text-ink-2">
    Another shape, or measured with water? <a class="underline" href="/shelf/moulds/new">Measure a mould</a>.
  </p>
</fieldset>
