<!-- How one line of a recipe is meant and measured: form, basis, by what, and creeping up by eye. -->
<script lang="ts">
  import type { Cup } from '$core/plan';
  import type { PlanEditor } from '$lib/plan-editor.svelte';
  import More from '../More.svelte';
  import QuantityField from '../QuantityField.svelte';
  import Row from '../shelf/Row.svelte';

  let { editor, cup, cupIndex, index }: { editor: PlanEditor; cup: Cup; cupIndex: number; index: number } =
    $props();
  const line = $derived(cup.recipe[index]!);
  const colourant = $derived(editor.shelf.colourants.find((c) => c.id === line.colourantId));
  const at = (key: string) => ['cups', cupIndex, 'recipe', index, key];
  const set = (key: string, value: unknown) => editor.edit({ path: at(key), value });
  const basis = $derived(editor.computed.basis);
</script>

<More
  label="More about colourant {index + 1} of cup {cup.letter}"
  title={colourant?.name ?? 'Colourant'}
  class="-mx-1"
>
  <Row label="The percentage means">
    <select
      class="field"
      aria-label="The percentage means"
      value={line.of}
      onchange={(e) => set('of', e.currentTarget.value)}
    >
      <option value="supplied">the colourant as supplied</option>
      <option value="pigment">the pigment in it</option>
    </select>
  </Row>
  <Row label="Percent of">
    <select
      class="field"
      aria-label="Percent of"
      value={line.basis ?? 'own'}
      onchange={(e) => set('basis', e.currentTarget.value === 'own' ? undefined : e.currentTarget.value)}
    >
      <option value="own">what this material goes by ({basis.replace(/^of /, '')})</option>
      <option value="batch">the uncoloured batch, on top</option>
      <option value="finished">the finished mix, included</option>
      <option value="binder">the binder: cement, oils or powder</option>
    </select>
  </Row>
  <Row label="Measured">
    <select
      class="field"
      aria-label="Measured by"
      value={line.by ?? 'scale'}
      onchange={(e) => set('by', e.currentTarget.value === 'scale' ? undefined : e.currentTarget.value)}
    >
      <option value="scale">on the scale</option>
      <option value="drops">in drops</option>
      <option value="spoon">by the spoon</option>
    </select>
  </Row>
  <label class="mt-1 flex min-h-11 items-center gap-2">
    <input
      type="checkbox"
      class="h-5 w-5"
      checked={!!line.creep}
      onchange={(e) => set('creep', e.currentTarget.checked ? { start: 0.5, step: 0.1 } : undefined)}
    />
    Creep up by eye
  </label>
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
      <Row label="Step by">
        <QuantityField
          label="Step by"
          unit="%"
          min={0.02}
          max={0.5}
          value={line.creep.step}
          onchange={(v) => set('creep', { ...line.creep, step: v })}
        />
      </Row>
    </div>
    <p class="text-[0.82rem] text-ink-2">
      Shares of the target. What really went in becomes the recipe when the run is repeated.
    </p>
  {/if}
  <Row label="Let down">
    <select
      class="field"
      aria-label="Let down"
      value={String(line.letDown ?? '')}
      onchange={(e) => set('letDown', e.currentTarget.value ? Number(e.currentTarget.value) : undefined)}
    >
      <option value="">as it is</option>
      {#each [9, 19, 49, 99] as parts (parts)}<option value={String(parts)}>1 : {parts}</option>{/each}
    </select>
  </Row>
</More>
