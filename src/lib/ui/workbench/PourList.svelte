<!-- The pour in order: one line a step, waits between, what comes after the pour under a heading of its own. -->
<script lang="ts">
  import { untrack } from 'svelte';
  import ChevronDown from '@lucide/svelte/icons/chevron-down';
  import X from '@lucide/svelte/icons/x';
  import {
    actStep,
    freshId,
    insertStep,
    moveStep,
    layStep,
    waitStep,
    sharedEqually,
    sharersOf
  } from '$core/edit';
  import { type Group, type Step } from '$core/document';
  import { afterPourFrom, drawnFrom } from '$core/pour';
  import ActForm from '../acts/ActForm.svelte';
  import ActPicker from '../acts/ActPicker.svelte';
  import ActRow from '../acts/ActRow.svelte';
  import { counted, parseCount } from '$core/quantity';
  import { inWords } from '../../preferences.svelte';
  import { InTurn } from '../../page/in-turn.svelte';
  import type { PlanView } from '../../plan/plan-view.svelte';
  import Choice from '../forms/Choice.svelte';
  import ParsedField from '../forms/ParsedField.svelte';
  import { sortable } from '../forms/sortable';
  import TechniquePicker from './TechniquePicker.svelte';
  import GateLine from './GateLine.svelte';

  let { editor }: { editor: PlanView } = $props();
  const plan = $derived(editor.plan);
  const computed = $derived(editor.computed);
  const moulds = $derived(editor.shelf.moulds);
  const places = $derived(
    moulds.flatMap((m) =>
      m.cavities.map((c) => ({ value: `${m.id}|${c.id}`, label: `${m.name}: ${c.count} × ${c.name}` }))
    )
  );
  /** Lines that come at a time while the page opens. */
  const LINES = 3;
  const turn = new InTurn(Math.ceil(untrack(() => editor.plan.steps.length) / LINES));
  const groupIds = $derived(new Set(plan.groups.map((g) => g.id)));
  const stepsOf = (groupId: string) => plan.steps.filter((s) => s.where.includes(groupId));
  /** Steps of no cavities here: done at the bench, or of cavities that are gone. */
  const astray = $derived(plan.steps.filter((s) => !s.where.some((id) => groupIds.has(id))));
  /** The group whose form is open. */
  let openGroup = $state<string>();

  /** The states of what lies below a step, after the first: what a gate can wait for. */
  function statesBelow(group: Group, step: Step | undefined): string[] {
    const own = stepsOf(group.id);
    const before = step ? own.slice(0, own.indexOf(step)) : own;
    const cupId = before.flatMap((s) => drawnFrom(s.act)).at(-1) ?? plan.cups[0]?.id;
    const baseId = computed.cups.find((c) => c.cupId === cupId)?.baseId;
    const base = computed.bases.find((b) => b.baseId === baseId) ?? computed.bases[0];
    return base?.states.slice(1).map((s) => s.state) ?? [];
  }

  function addGroup(place: string) {
    const [mouldId, cavityId] = place.split('|');
    const cavity = moulds.find((m) => m.id === mouldId)?.cavities.find((c) => c.id === cavityId);
    if (!cavity || !mouldId || !cavityId) return;
    const id = freshId(plan, 'group');
    const cup = plan.cups[0];
    const name = cavity.count > 1 ? `${cavity.name}s 1–${cavity.count}` : cavity.name;
    const group = { id, name: name.slice(0, 40), mouldId, cavityId, count: cavity.count };
    const steps = cup ? insertStep(plan.steps, layStep(freshId(plan, 'lay'), cup.id, id), id) : plan.steps;
    editor.replace({ ...plan, groups: [...plan.groups, group], steps });
  }

  const insert = (groupId: string, step: Step) =>
    editor.edit({ path: ['steps'], value: insertStep(plan.steps, step, groupId) });

  function addLayer(groupId: string) {
    const used = new Set(stepsOf(groupId).flatMap((s) => drawnFrom(s.act)));
    const cup = plan.cups.find((c) => !used.has(c.id)) ?? plan.cups[0];
    if (cup) insert(groupId, layStep(freshId(plan, 'lay'), cup.id, groupId));
  }

  function addAct(groupId: string, kind: string) {
    const used = stepsOf(groupId).flatMap((s) => drawnFrom(s.act));
    const cupId = plan.cups.find((c) => !used.includes(c.id))?.id ?? used.at(-1) ?? plan.cups[0]?.id ?? '';
    const others = plan.cups.flatMap((c) => (c.id === cupId ? [] : [c.id]));
    const step = actStep(freshId(plan, kind), kind, [cupId, ...others], groupId);
    if (step) insert(groupId, step);
  }

  /** A wait at the end, until what was poured last is ready for the next layer. */
  function addGate(group: Group) {
    const states = statesBelow(group, undefined);
    const state = states.includes('gelled') ? 'gelled' : (states.at(-1) ?? 'gelled');
    const gate = {
      id: freshId(plan, 'gate'),
      all: [{ kind: 'state' as const, state, of: 'layer below' as const }]
    };
    insert(group.id, waitStep(freshId(plan, 'wait'), group.id, gate));
  }

  const move = (groupId: string, from: number, to: number) =>
    editor.edit({ path: ['steps'], value: moveStep(plan.steps, groupId, from, to) });

  /** Cavities of its kind that one mould has. */
  const inOne = (group: Group) =>
    moulds.find((m) => m.id === group.mouldId)?.cavities.find((c) => c.id === group.cavityId)?.count ?? 1;
</script>

<section class="flex flex-col px-4 pb-3" aria-label="Pour">
  <h2 class="sr-only">Pour, in order</h2>
  {#each plan.groups as group (group.id)}
    {@const steps = stepsOf(group.id)}
    {@const after = afterPourFrom(steps)}
    <div class="mb-1">
      <div class="flex min-h-9 items-center gap-1 border-b border-rule">
        <input
          class="quiet min-w-0 flex-1 truncate border-transparent font-semibold"
          aria-label="Name of the cavities"
          value={group.name}
          onchange={(e) =>
            editor.edit({
              path: ['groups', group.id, 'name'],
              value: e.currentTarget.value.trim() || group.name
            })}
        />
        <span class="text-[0.85rem] text-ink-2" aria-hidden="true">×</span>
        <ParsedField
          quiet
          width="2rem"
          label="How many cavities of {group.name}"
          value={group.count}
          format={String}
          parse={(text) => parseCount(text, 2000)}
          onchange={(count) => editor.edit({ path: ['groups', group.id, 'count'], value: count })}
        />
        <button
          class="flex min-h-9 items-center gap-0.5 rounded px-1 text-[0.86rem] whitespace-nowrap text-ink-2 hover:text-ink"
          aria-expanded={openGroup === group.id}
          onclick={() => (openGroup = openGroup === group.id ? undefined : group.id)}
          >{group.embeds?.length
            ? `mould, ${counted(group.embeds.length, 'thing')} set in`
            : counted(Number((group.count / inOne(group)).toFixed(2)), 'mould')}<ChevronDown
            size={15}
            aria-hidden="true"
          /></button
        >
      </div>
      {#if openGroup === group.id}
        {#await import('./GroupForm.svelte') then { default: GroupForm }}
          <GroupForm {editor} {group} inOne={inOne(group)} />
        {/await}
      {/if}
      <ol use:sortable={(from, to) => move(group.id, from, to)}>
        {#each steps.slice(0, turn.entries(LINES)) as step, n (step.id)}
          <li
            class="border-b border-rule"
            onmouseenter={() => (editor.looking = step.id)}
            onmouseleave={() => (editor.looking = editor.opened)}
            onfocusin={() => (editor.looking = step.id)}
          >
            {#if n === after}
              <h3 class="label pt-1.5 font-sans">After the pour</h3>
            {/if}
            {#each step.gates as gate (gate.id)}
              <GateLine {editor} {step} {gate} n={n + 1} states={statesBelow(group, step)} />
            {/each}
            <ActRow {editor} {step} n={n + 1} />
            {#if editor.opened === step.id}
              <ActForm {editor} {step} n={n + 1} {group} place={{ at: n, of: steps.length }} />
            {/if}
          </li>
        {/each}
      </ol>
      <div class="mt-2 flex flex-wrap items-center gap-1.5">
        <button
          class="button min-h-9 !px-[7px] text-[0.9rem]"
          onclick={() => addLayer(group.id)}
          disabled={!plan.cups.length}>+ Layer</button
        >
        <button class="button min-h-9 !px-[7px] text-[0.9rem]" onclick={() => addGate(group)}>+ Wait</button>
        <ActPicker label="Add a step to {group.name}" onpick={(kind) => addAct(group.id, kind)} />
        <TechniquePicker {editor} {group} />
        {#if sharersOf(plan, group.id).length > 1}
          <button
            class="button bare min-h-9 !px-1.5 text-[0.9rem]"
            onclick={() => editor.replace(sharedEqually(plan, group.id))}>Split equally</button
          >
        {/if}
      </div>
    </div>
  {/each}

  {#if astray.length}
    <div class="mt-2" data-testid="astray">
      <h3 class="label font-sans">At the bench, or nowhere</h3>
      <ol class="ruled">
        {#each astray as step (step.id)}
          <li class="flex min-h-11 items-center gap-2 py-1 text-[0.9rem]" data-step={step.id}>
            <span class="flex-1">
              {inWords(computed.lines.find((l) => l.stepId === step.id)?.line ?? '')}
              {#if step.where.length}<span class="text-cinnabar">· its cavities are not in the plan</span
                >{/if}
            </span>
            <button
              class="button bare !px-1.5"
              aria-label="Delete {step.id}"
              onclick={() => editor.edit({ path: ['steps', step.id], value: undefined })}
              ><X size={15} /></button
            >
          </li>
        {/each}
      </ol>
    </div>
  {/if}

  {#if moulds.length}
    <Choice
      quiet={plan.groups.length > 0}
      class={plan.groups.length ? 'mt-1 min-h-9 self-start border-transparent text-ink-2' : 'mt-3'}
      label={plan.groups.length ? 'Another mould' : 'Choose a mould'}
      value=""
      placeholder={plan.groups.length ? '+ Another mould' : 'Choose a mould'}
      options={places}
      onchange={addGroup}
    />
  {:else}
    <p class="mt-3 text-ink-2">
      No mould on the shelf yet. <a class="underline" href="/shelf/moulds/new">Measure one</a>.
    </p>
  {/if}
</section>
