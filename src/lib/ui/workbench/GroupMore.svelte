<!-- What stands in every cavity of a group: embeds and barrier lines, with what they displace. -->
<script lang="ts">
  import { displaced, type Embed } from '$core/mould';
  import { freshId } from '$core/edit';
  import { type Group } from '$core/document';
  import { parseCount } from '$core/quantity';
  import type { PlanView } from '../../plan/plan-view.svelte';
  import More from '../More.svelte';
  import ParsedField from '../forms/ParsedField.svelte';
  import QuantityField from '../forms/QuantityField.svelte';
  import NumberField from '../shelf/NumberField.svelte';
  import { volume } from '../../preferences.svelte';
  import Row from '../forms/Row.svelte';

  let { editor, group }: { editor: PlanView; group: Group } = $props();
  const embeds = $derived(group.embeds ?? []);
  const set = (path: (string | number)[], value: unknown) =>
    editor.edit({ path: ['groups', group.id, 'embeds', ...path], value });

  function add(kind: Embed['kind']) {
    const id = freshId(editor.plan, 'embed');
    const blank: Embed =
      kind === 'object'
        ? { id, kind, name: 'embed', each: 1, grams: 1, density: 1.2, from: 1, height: 4 }
        : { id, kind, name: 'barrier line', length: 60, width: 1.5, height: 3 };
    editor.edit({ path: ['groups', group.id, 'embeds'], value: [...embeds, blank] });
  }
  const FIELDS = {
    object: [
      ['grams', 'One weighs', 'g'],
      ['from', 'Stands from', 'mm'],
      ['height', 'Is high', 'mm']
    ],
    'barrier line': [
      ['length', 'Long', 'mm'],
      ['width', 'Wide', 'mm'],
      ['height', 'High', 'mm']
    ]
  } as const;
  const value = (e: Embed, key: string) => (e as unknown as Record<string, number>)[key] ?? 0;
</script>

<More
  label="What stands in {group.name}"
  title="What stands in each cavity"
  words={embeds.length ? `${embeds.length} in it` : 'embeds…'}
  width="23rem"
  class="text-[0.85rem]"
>
  {#each embeds as e, i (e.id)}
    <div class="mt-2 border-t border-rule pt-2">
      <div class="flex items-center gap-2">
        <input
          class="field flex-1"
          aria-label="Name of embed {i + 1}"
          value={e.name}
          onchange={(event) => set([i, 'name'], event.currentTarget.value)}
        />
        <span class="text-ink-2">{volume(displaced(e))}</span>
        <button
          class="text-ink-2 hover:text-cinnabar"
          aria-label="Take out {e.name}"
          onclick={() =>
            editor.edit({
              path: ['groups', group.id, 'embeds'],
              value: embeds.length > 1 ? embeds.toSpliced(i, 1) : undefined
            })}>×</button
        >
      </div>
      <div class="grid grid-cols-3 gap-x-2">
        {#if e.kind === 'object'}
          <Row label="In each">
            <ParsedField
              label="How many of {e.name}"
              value={e.each}
              format={String}
              parse={(text) => parseCount(text, 500)}
              onchange={(n) => set([i, 'each'], n)}
            />
          </Row>
          <Row label="Density, g/ml">
            <NumberField
              label="Density of {e.name}"
              value={e.density}
              onchange={(v) => set([i, 'density'], v)}
            />
          </Row>
        {/if}
        {#each FIELDS[e.kind] as [key, label, unit] (key)}
          <Row {label}>
            <QuantityField
              label="{e.name}: {label}"
              {unit}
              value={value(e, key)}
              onchange={(v) => set([i, key], v)}
            />
          </Row>
        {/each}
      </div>
    </div>
  {:else}
    <p class="mt-1 text-ink-2">
      Nothing. An embed or a barrier line takes room from the pour: its weight over its density.
    </p>
  {/each}
  <Row label="Each casting is cut into" hint="pieces: bars of a slab, slices of a loaf">
    <ParsedField
      label="Each casting is cut into"
      value={group.cutInto ?? 1}
      format={String}
      parse={(text) => parseCount(text, 1000)}
      onchange={(n) => editor.edit({ path: ['groups', group.id, 'cutInto'], value: n > 1 ? n : undefined })}
    />
  </Row>
  <div class="mt-3 flex gap-2">
    <button class="button" onclick={() => add('object')}>+ embed</button>
    <button class="button" onclick={() => add('barrier line')}>+ barrier line</button>
  </div>
</More>
