<!-- What holds for every cavity of a group: how many moulds, what is set into each, how a casting is cut, how it is shared. -->
<script lang="ts">
  import Trash from '@lucide/svelte/icons/trash-2';
  import { displaced, type Embed } from '$core/mould';
  import { freshId } from '$core/edit';
  import { type Group } from '$core/document';
  import { counted, parseCount } from '$core/quantity';
  import type { PlanView } from '../../plan/plan-view.svelte';
  import Choice from '../forms/Choice.svelte';
  import ParsedField from '../forms/ParsedField.svelte';
  import QuantityField from '../forms/QuantityField.svelte';
  import NumberField from '../shelf/NumberField.svelte';
  import { volume } from '../../preferences.svelte';
  import Row from '../forms/Row.svelte';
  import ThingLook from './ThingLook.svelte';

  let { editor, group, inOne }: { editor: PlanView; group: Group; inOne: number } = $props();
  const plan = $derived(editor.plan);
  const embeds = $derived(group.embeds ?? []);
  /** Other cavities of this plan, whose castings may be set into these. */
  const others = $derived(plan.groups.filter((g) => g.id !== group.id));
  const set = (path: (string | number)[], value: unknown) =>
    editor.edit({ path: ['groups', group.id, 'embeds', ...path], value });

  function add(kind: Embed['kind']) {
    const id = freshId(plan, 'embed');
    const [other] = others;
    const blank: Record<Embed['kind'], Embed | undefined> = {
      object: { id, kind: 'object', name: 'thing', each: 1, grams: 1, density: 1.2, from: 1, height: 4 },
      'barrier line': { id, kind: 'barrier line', name: 'barrier line', length: 60, width: 1.5, height: 3 },
      casting: other && {
        id,
        kind: 'casting',
        name: other.name,
        groupId: other.id,
        share: 1,
        each: 1,
        from: 0
      }
    };
    editor.edit({
      path: ['groups', group.id, 'embeds'],
      value: [...embeds, ...(blank[kind] ? [blank[kind]] : [])]
    });
  }

  /** Takes the cavities out with the steps that are done in them alone. */
  function remove() {
    const steps = plan.steps.flatMap((s) => {
      const where = s.where.filter((w) => w !== group.id);
      return s.where.includes(group.id) && !where.length ? [] : [{ ...s, where }];
    });
    editor.replace({ ...plan, groups: plan.groups.filter((g) => g.id !== group.id), steps });
  }
  const FIELDS = {
    object: [
      ['grams', 'One weighs', 'g'],
      ['from', 'Height above the bottom', 'mm'],
      ['height', 'Its own height', 'mm']
    ],
    'barrier line': [
      ['length', 'Length', 'mm'],
      ['width', 'Width', 'mm'],
      ['height', 'Height', 'mm']
    ],
    casting: [['from', 'Height above the bottom', 'mm']]
  } as const;
  const value = (e: Embed, key: string) => (e as unknown as Record<string, number>)[key] ?? 0;
</script>

{#snippet howMany(e: { name: string; each: number }, i: number)}
  <Row label="In each piece">
    <ParsedField
      label="How many of {e.name}"
      value={e.each}
      format={String}
      parse={(text) => parseCount(text, 500)}
      onchange={(n) => set([i, 'each'], n)}
    />
  </Row>
{/snippet}

<div
  class="mb-2 border-l-[3px] border-verdigris bg-sheet py-2 pr-2 pl-3 text-[0.9rem]"
  role="group"
  aria-label="Mould of {group.name}"
>
  <div class="grid grid-cols-2 gap-x-3">
    <Row label={inOne > 1 ? `Cavities, ${inOne} in a mould` : 'Moulds'}>
      <ParsedField
        label="{inOne > 1 ? 'Cavities' : 'Moulds'} for {group.name}"
        value={group.count}
        format={(n) => (inOne > 1 ? `${n} in ${counted(Math.ceil(n / inOne), 'mould')}` : String(n))}
        parse={(text) => parseCount(text.replace(/ in .*$/, ''), 400)}
        onchange={(n) => editor.edit({ path: ['groups', group.id, 'count'], value: n })}
      />
    </Row>
    <Row label="Each casting is cut into">
      <ParsedField
        label="Each casting is cut into"
        value={group.cutInto ?? 1}
        format={(n) => counted(n, 'piece')}
        parse={(text) => parseCount(text.replace(/pieces?$/, ''), 1000)}
        onchange={(n) => editor.edit({ path: ['groups', group.id, 'cutInto'], value: n > 1 ? n : undefined })}
      />
    </Row>
  </div>
  <h4 class="mt-1 font-sans text-[0.9rem] font-semibold">Things set into each piece</h4>
  {#each embeds as e, i (e.id)}
    <div class="mt-1 border-t border-rule pt-2">
      <div class="flex items-center gap-2">
        <input
          class="field min-w-0 flex-1"
          aria-label="Name of thing {i + 1}"
          value={e.name}
          onchange={(event) => set([i, 'name'], event.currentTarget.value)}
        />
        {#if e.kind !== 'casting'}<span class="text-ink-2">{volume(displaced(e))}</span>{/if}
        <button
          class="button bare !px-1.5"
          aria-label="Take out {e.name}"
          onclick={() =>
            editor.edit({
              path: ['groups', group.id, 'embeds'],
              value: embeds.length > 1 ? embeds.toSpliced(i, 1) : undefined
            })}><Trash size={15} /></button
        >
      </div>
      <div class="grid grid-cols-2 gap-x-3">
        {#if e.kind === 'object'}
          {@render howMany(e, i)}
          <Row label="Density, g/ml">
            <NumberField
              label="Density of {e.name}"
              value={e.density}
              onchange={(v) => set([i, 'density'], v)}
            />
          </Row>
        {/if}
        {#if e.kind === 'casting'}
          <Row label="Cast in">
            <Choice
              label="What {e.name} is cast in"
              value={e.groupId}
              options={others.map((g) => ({ value: g.id, label: g.name }))}
              onchange={(id) => set([i, 'groupId'], id)}
            />
          </Row>
          {@render howMany(e, i)}
          <Row label="Share of a casting">
            <QuantityField
              label="{e.name}: share of a casting"
              unit="%"
              value={e.share}
              onchange={(v) => set([i, 'share'], v)}
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
      {#if e.kind === 'object'}
        <ThingLook
          {editor}
          thing={e}
          group={editor.computed.groups.find((g) => g.groupId === group.id)}
          onchange={(look) => set([i, 'look'], look)}
        />
      {/if}
    </div>
  {:else}
    <p class="text-ink-2">
      Nothing yet. What is set in takes room from the pour: its weight over its density.
    </p>
  {/each}
  <div class="mt-2 flex flex-wrap gap-2">
    <button class="button min-h-9" onclick={() => add('object')}>+ Thing</button>
    <button class="button min-h-9" onclick={() => add('barrier line')}>+ Barrier line</button>
    {#if others.length}
      <button class="button min-h-9" onclick={() => add('casting')}>+ Casting of this plan</button>
    {/if}
  </div>
  <div class="mt-2 -ml-1.5 flex flex-wrap border-t border-rule pt-1">
    <button class="button bare min-h-9 !gap-1 !px-1.5 text-[0.86rem] font-medium" onclick={remove}
      ><Trash size={15} aria-hidden="true" />Take {group.name} out of the plan</button
    >
  </div>
</div>
