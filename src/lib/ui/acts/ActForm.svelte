<!-- The form of a step, under its line: what it asks for, the hands' time, the maker's own words, and what can be done with it. -->
<script lang="ts">
  import ArrowDown from '@lucide/svelte/icons/arrow-down';
  import ArrowUp from '@lucide/svelte/icons/arrow-up';
  import Copy from '@lucide/svelte/icons/copy';
  import EyeOff from '@lucide/svelte/icons/eye-off';
  import Trash from '@lucide/svelte/icons/trash-2';
  import { copiedStep, moveStep } from '$core/edit';
  import type { Group, Step } from '$core/document';
  import { acts } from '$core/pour';
  import { volume } from '../../preferences.svelte';
  import type { PlanView } from '../../plan/plan-view.svelte';
  import QuantityField from '../forms/QuantityField.svelte';
  import Row from '../forms/Row.svelte';
  import Otherwise from '../workbench/Otherwise.svelte';
  import FieldRow from './FieldRow.svelte';

  let {
    editor,
    step,
    n,
    group,
    place
  }: {
    editor: PlanView;
    step: Step;
    n: number;
    group: Group;
    /** Its place among the steps of its cavities: from the first, and how many there are. */
    place: { at: number; of: number };
  } = $props();
  const known = $derived(acts.read(step.act));
  const definition = $derived(acts.find(step.act.kind));
  /** The amount stands on the line itself. */
  const fields = $derived(Object.entries(definition?.fields ?? {}).filter(([key]) => key !== 'amount'));
  const WIDE = new Set(['place', 'path', 'outline', 'cup', 'words', 'pot']);
  const value = (key: string) => (step.act as Record<string, unknown>)[key];
  const drawn = $derived(editor.computed.groups.find((g) => g.groupId === group.id));
  const pours = $derived(definition?.fields?.amount !== undefined);
  const set = (path: string[], to: unknown) => editor.edit({ path: ['steps', step.id, ...path], value: to });
  const move = (to: number) =>
    editor.edit({ path: ['steps'], value: moveStep(editor.plan.steps, group.id, place.at, to) });
</script>

{#snippet tool(words: string, Icon: typeof Copy, does: () => void, off = false)}
  <button class="button bare min-h-9 !gap-1 !px-1.5 text-[0.86rem] font-medium" disabled={off} onclick={does}
    ><Icon size={15} aria-hidden="true" />{words}<span class="sr-only"> step {n}</span></button
  >
{/snippet}

<div
  class="mb-2 border-l-[3px] border-verdigris bg-sheet py-2 pr-2 pl-3 text-[0.9rem]"
  data-testid="step-form"
  role="group"
  aria-label="Step {n}"
>
  <div class="grid grid-cols-2 gap-x-3">
    {#each fields as [key, field] (key)}
      <div class={WIDE.has(field.asked.is) ? 'col-span-2' : ''}>
        <FieldRow
          {editor}
          {field}
          {group}
          value={value(key)}
          label={field.asked.is === 'cup' ? `Cup of step ${n}` : `${field.label} of step ${n}`}
          onchange={(to) => set(['act', key], to)}
        />
      </div>
    {/each}
    <div class="col-span-2">
      <Row label="Your hands, minutes for one cavity">
        <QuantityField
          label="Time of step {n} for one cavity"
          unit="min"
          max={1440}
          value={step.hands?.each ?? known?.definition.hands(known.act, {}, 1).attended ?? 0}
          onchange={(v) => set(['hands', 'each'], v)}
        />
      </Row>
    </div>
  </div>
  {#if pours && drawn && (drawn.domeMl > 0 || drawn.zones.length)}
    <div class="mt-1 flex flex-wrap gap-2">
      {#if drawn.domeMl > 0}
        <button class="button min-h-9" onclick={() => set(['act', 'amount'], { kind: 'dome' })}>
          to a dome, + {volume(drawn.domeMl)}
        </button>
      {/if}
      {#each drawn.zones as zone (zone.id)}
        <button
          class="button min-h-9"
          onclick={() => set(['act', 'amount'], { kind: 'zone', zoneId: zone.name })}
        >
          to the top of {zone.name}
        </button>
      {/each}
    </div>
  {/if}
  <Row label="Note, in your own words">
    <textarea
      class="field min-h-14 py-2"
      aria-label="How step {n} is done"
      maxlength="200"
      value={step.note ?? ''}
      onchange={(e) => set(['note'], e.currentTarget.value.trim() || undefined)}></textarea>
  </Row>
  <Otherwise {editor} {step} {n} />
  <div class="mt-2 -ml-1.5 flex flex-wrap border-t border-rule pt-1">
    {@render tool('Move up', ArrowUp, () => move(place.at - 1), place.at === 0)}
    {@render tool('Move down', ArrowDown, () => move(place.at + 1), place.at === place.of - 1)}
    {@render tool('Copy', Copy, () => editor.edit({ path: ['steps'], value: copiedStep(editor.plan, step) }))}
    {@render tool(step.muted ? 'Do' : 'Leave out', EyeOff, () =>
      set(['muted'], step.muted ? undefined : true)
    )}
    {@render tool('Delete', Trash, () => editor.edit({ path: ['steps', step.id], value: undefined }))}
  </div>
</div>
