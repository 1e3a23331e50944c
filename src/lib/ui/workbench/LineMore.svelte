<!-- How one line of a recipe is meant and measured: form, basis, by what, and creeping up by eye. -->
<script lang="ts">
  import type { Cup } from '$core/document';
  import type { PlanView } from '../../plan/plan-view.svelte';
  import Choice from '../forms/Choice.svelte';
  import More from '../More.svelte';
  import QuantityField from '../forms/QuantityField.svelte';
  import Row from '../forms/Row.svelte';
  import Tick from '../forms/Tick.svelte';

  let { editor, cup, index }: { editor: PlanView; cup: Cup; index: number } = $props();
  const line = $derived(cup.recipe[index]!);
  const colourant = $derived(editor.shelf.colourants.find((c) => c.id === line.colourantId));
  const at = (key: string) => ['cups', cup.id, 'recipe', line.id, key];
  const set = (key: string, value: unknown) => editor.edit({ path: at(key), value });
  const basis = $derived.by(() => {
    const out = editor.computed.cups.find((c) => c.cupId === cup.id);
    return editor.computed.bases.find((b) => b.baseId === out?.baseId)?.basis ?? '';
  });
  const OF = [
    { value: 'supplied', label: 'the colourant as supplied' },
    { value: 'pigment', label: 'the pigment in it' }
  ];
  const BY = [
    { value: 'scale', label: 'on the scale' },
    { value: 'drops', label: 'in drops' },
    { value: 'spoon', label: 'by the spoon' }
  ];
  const LET_DOWNS = [
    { value: 'none', label: 'as it is' },
    ...[9, 19, 49, 99].map((parts) => ({ value: String(parts), label: `1 : ${parts}` }))
  ];
</script>

<More
  title={colourant?.name ?? 'Colourant'}
  words="how"
  of="colourant {index + 1} of cup {cup.letter}"
  class="whitespace-nowrap text-[0.82rem]"
>
  <Row label="The percentage means">
    <Choice label="The percentage means" value={line.of} options={OF} onchange={(v) => set('of', v)} />
  </Row>
  <Row label="Percent of">
    <Choice
      label="Percent of"
      value={line.basis ?? 'own'}
      options={[
        { value: 'own', label: `what this material goes by (${basis.replace(/^of /, '')})` },
        { value: 'batch', label: 'the mix before colour, on top' },
        { value: 'finished', label: 'the finished mix, included' },
        { value: 'binder', label: 'the binder: cement, oils or powder' }
      ]}
      onchange={(v) => set('basis', v === 'own' ? undefined : v)}
    />
  </Row>
  <Row label="Measured">
    <Choice
      label="Measured by"
      value={line.by ?? 'scale'}
      options={BY}
      onchange={(v) => set('by', v === 'scale' ? undefined : v)}
    />
  </Row>
  <Tick
    class="mt-1"
    checked={!!line.creep}
    onchange={(on) => set('creep', on ? { start: 0.5, step: 0.1 } : undefined)}
  >
    Add it by eye, a little at a time
  </Tick>
  {#if line.creep}
    <div class="grid grid-cols-2 gap-3">
      <Row label="Start at">
        <QuantityField
          label="Start at"
          unit="%"
          min={0.05}
          max={1}
          value={line.creep.start}
          onchange={(v) => set('creep', { ...line.creep, start: v })}
        />
      </Row>
      <Row label="Then add">
        <QuantityField
          label="Then add"
          unit="%"
          min={0.02}
          max={0.5}
          value={line.creep.step}
          onchange={(v) => set('creep', { ...line.creep, step: v })}
        />
      </Row>
    </div>
    <p class="text-[0.82rem] text-ink-2">
      Parts of the full amount. What really went in becomes the recipe when the run is repeated.
    </p>
  {/if}
  <Row label="Let down">
    <Choice
      label="Let down"
      value={String(line.letDown ?? 'none')}
      options={LET_DOWNS}
      onchange={(v) => set('letDown', v === 'none' ? undefined : Number(v))}
    />
  </Row>
</More>
