<!-- How a layer is poured: its chamber, the hands' time for one cavity, and the maker's own words. -->
<script lang="ts">
  import type { Step } from '$core/document';
  import { lay } from '$core/pour';
  import type { PlanView } from '../../plan/plan-view.svelte';
  import Choice from '../forms/Choice.svelte';
  import More from '../More.svelte';
  import QuantityField from '../forms/QuantityField.svelte';
  import { volume } from '../../preferences.svelte';
  import Row from '../forms/Row.svelte';
  import Otherwise from './Otherwise.svelte';

  let { editor, step, n }: { editor: PlanView; step: Step; n: number } = $props();
  const act = $derived(lay.schema.safeParse(step.act).data);
  const group = $derived(editor.computed.groups.find((g) => step.where.includes(g.groupId)));
  const set = (path: string[], value: unknown) => editor.edit({ path: ['steps', step.id, ...path], value });
</script>

<More label="More about step {n}" title="Step {n}" words="details…">
  <Row label="How it is poured">
    <textarea
      class="field min-h-16 py-2"
      aria-label="How step {n} is poured"
      maxlength="200"
      value={step.note ?? ''}
      onchange={(e) => set(['note'], e.currentTarget.value.trim() || undefined)}></textarea>
  </Row>
  <Row label="Takes the hands, for one cavity">
    <QuantityField
      label="Time of step {n} for one cavity"
      unit="min"
      max={120}
      value={step.hands?.each ?? 0.5}
      onchange={(v) => set(['hands', 'each'], v)}
    />
  </Row>
  {#if group?.chambers.length}
    <Row label="Into">
      <Choice
        label="Chamber of step {n}"
        value={act?.chamberId ?? '~whole'}
        options={[
          { value: '~whole', label: 'the whole cavity' },
          ...group.chambers.map((c) => ({ value: c.id, label: c.name }))
        ]}
        onchange={(v) => set(['act', 'chamberId'], v === '~whole' ? undefined : v)}
      />
    </Row>
  {/if}
  <div class="mt-1 flex flex-wrap gap-2">
    {#if group && group.domeMl > 0}
      <button class="button" onclick={() => set(['act', 'amount'], { kind: 'dome' })}>
        to a dome, + {volume(group.domeMl)}
      </button>
    {/if}
    {#each group?.zones ?? [] as zone (zone.id)}
      <button class="button" onclick={() => set(['act', 'amount'], { kind: 'zone', zoneId: zone.name })}>
        to the top of {zone.name}
      </button>
    {/each}
  </div>
  <Otherwise {editor} {step} {n} />
</More>
