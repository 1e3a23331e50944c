<!-- How a layer is poured: its chamber, the hands' time for one cavity, and the maker's own words. -->
<script lang="ts">
  import type { LayStep } from '$core/plan';
  import type { PlanEditor } from '$lib/plan-editor.svelte';
  import More from '../More.svelte';
  import QuantityField from '../QuantityField.svelte';
  import Row from '../shelf/Row.svelte';

  let { editor, step, index, n }: { editor: PlanEditor; step: LayStep; index: number; n: number } = $props();
  const group = $derived(editor.computed.groups.find((g) => g.groupId === step.groupId));
  const set = (key: string, value: unknown) => editor.edit({ path: ['steps', index, key], value });
</script>

<More label="More about step {n}" title="Step {n}" words="…">
  <Row label="How it is poured">
    <textarea
      class="field min-h-16 py-2"
      aria-label="How step {n} is poured"
      maxlength="200"
      value={step.how ?? ''}
      onchange={(e) => set('how', e.currentTarget.value.trim() || undefined)}></textarea>
  </Row>
  <Row label="Takes the hands, for one cavity">
    <QuantityField
      label="Time of step {n} for one cavity"
      unit="min"
      max={120}
      value={step.minutesEach}
      onchange={(v) => set('minutesEach', v)}
    />
  </Row>
  {#if group?.chambers.length}
    <Row label="Into">
      <select
        class="field"
        aria-label="Chamber of step {n}"
        value={step.chamberId ?? ''}
        onchange={(e) => set('chamberId', e.currentTarget.value || undefined)}
      >
        <option value="">the whole cavity</option>
        {#each group.chambers as c (c.id)}<option value={c.id}>{c.name}</option>{/each}
      </select>
    </Row>
  {/if}
  <div class="mt-1 flex flex-wrap gap-2">
    {#if group && group.domeMl > 0}
      <button class="button" onclick={() => set('amount', { kind: 'dome' })}>
        to a dome, + {group.domeMl.toFixed(2)} ml
      </button>
    {/if}
    {#each group?.zones ?? [] as zone (zone.id)}
      <button class="button" onclick={() => set('amount', { kind: 'zone', zoneId: zone.name })}>
        to the top of {zone.name}
      </button>
    {/each}
  </div>
</More>
