<script lang="ts">
  import { untrack } from 'svelte';
  import ArrowUp from '@lucide/svelte/icons/arrow-up';
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
  import Copy from '@lucide/svelte/icons/copy';
  import EyeOff from '@lucide/svelte/icons/eye-off';
  import GripVertical from '@lucide/svelte/icons/grip-vertical';
  import ArrowDown from '@lucide/svelte/icons/arrow-down';
  import { drawnFrom } from '$core/pour';
  import ActPicker from '../acts/ActPicker.svelte';
  import { parseCount } from '$core/quantity';
  import { inWords, volume } from '../../preferences.svelte';
  import { InTurn } from '../../page/in-turn.svelte';
  import type { PlanView } from '../../plan/plan-view.svelte';
  import { editorOf } from '../acts';
  import Choice from '../forms/Choice.svelte';
  import ParsedField from '../forms/ParsedField.svelte';
  import { GRIP, sortable } from '../forms/sortable';
  import TechniquePicker from './TechniquePicker.svelte';
  import GateLine from './GateLine.svelte';
  import GroupMore from './GroupMore.svelte';

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

  /** Takes cavities out with the steps that are done in them alone. */
  function removeGroup(id: string) {
    const steps = plan.steps.flatMap((s) => {
      const where = s.where.filter((w) => w !== id);
      return s.where.includes(id) && !where.length ? [] : [{ ...s, where }];
    });
    editor.replace({ ...plan, groups: plan.groups.filter((g) => g.id !== id), steps });
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
    const step = actStep(freshId(plan, kind), kind, cupId, groupId);
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

  function copy(step: Step) {
    const gates = step.gates.map((g) => ({ ...g, id: freshId(plan, 'gate') }));
    const again = { ...step, id: freshId(plan, step.act.kind), gates };
    editor.edit({ path: ['steps'], value: plan.steps.toSpliced(plan.steps.indexOf(step) + 1, 0, again) });
  }
  const mute = (step: Step) =>
    editor.edit({ path: ['steps', step.id, 'muted'], value: step.muted ? undefined : true });

  /** Cavities of its kind that one mould has. */
  const inOne = (group: Group) =>
    moulds.find((m) => m.id === group.mouldId)?.cavities.find((c) => c.id === group.cavityId)?.count ?? 1;

  const remove = (step: Step) => editor.edit({ path: ['steps', step.id], value: undefined });
</script>

<section class="flex flex-col px-4 py-3 max-xl:border-b max-xl:border-rule" aria-label="Pour">
  <h2 class="label font-sans">Pour, first to last</h2>

  {#each plan.groups as group (group.id)}
    {@const out = computed.groups.find((x) => x.groupId === group.id)}
    <div class="mt-1">
      <div class="flex items-baseline gap-1 border-b border-rule pb-1">
        <input
          class="quiet flex-1 border-transparent font-semibold"
          aria-label="Name of the cavities"
          value={group.name}
          onchange={(e) =>
            editor.edit({
              path: ['groups', group.id, 'name'],
              value: e.currentTarget.value.trim() || group.name
            })}
        />
        <span class="text-[0.85rem] text-ink-2">×</span>
        <ParsedField
          quiet
          width="2.4rem"
          label="How many cavities of {group.name}"
          value={group.count}
          format={String}
          parse={(text) => parseCount(text, 2000)}
          onchange={(count) => editor.edit({ path: ['groups', group.id, 'count'], value: count })}
        />
        <button
          class="text-ink-2 hover:text-cinnabar"
          aria-label="Take {group.name} out of the plan"
          onclick={() => removeGroup(group.id)}
        >
          <X size={16} />
        </button>
      </div>
      {#if out}
        <p class="flex items-baseline gap-1 py-0.5 text-[0.85rem] text-ink-2">
          <span class="min-w-0 flex-1">{out.mouldName} · {volume(out.capacity)} each</span>
          <GroupMore {editor} {group} />
        </p>
        {#if inOne(group) > 1 || group.count > 1}
          <p class="flex items-baseline gap-1 text-[0.85rem] text-ink-2">
            <ParsedField
              quiet
              width="1.8rem"
              label="Moulds at hand for {group.name}"
              value={group.count / inOne(group)}
              format={(n) => String(Number(n.toFixed(2)))}
              parse={(text) => parseCount(text, 400)}
              onchange={(n) => editor.edit({ path: ['groups', group.id, 'count'], value: n * inOne(group) })}
            />
            mould{group.count / inOne(group) === 1 ? '' : 's'} at hand, {inOne(group)} in each
          </p>
        {/if}
      {/if}

      <ol class="ruled" use:sortable={(from, to) => move(group.id, from, to)}>
        {#each stepsOf(group.id).slice(0, turn.entries(LINES)) as step, n (step.id)}
          {@const Editor = editorOf(step.act.kind)}
          <li
            class="group relative {editor.looking === step.id ? 'bg-sheet' : ''}"
            data-step={step.id}
            onmouseenter={() => (editor.looking = step.id)}
            onmouseleave={() => (editor.looking = undefined)}
            onfocusin={() => (editor.looking = step.id)}
          >
            {#each step.gates as gate (gate.id)}
              <GateLine {editor} {step} {gate} n={n + 1} states={statesBelow(group, step)} />
            {/each}
            <div class="flex min-h-11 items-center gap-2 py-1">
              {#if Editor}
                <Editor {editor} {step} n={n + 1} />
              {:else}
                <p class="flex-1 text-[0.9rem] text-cinnabar">
                  “{step.act.kind}” is an act that this version does not know.
                </p>
              {/if}
              <div
                class="grid shrink-0 grid-cols-3 opacity-0 group-focus-within:opacity-100 group-hover:opacity-100 [&>button]:p-0.5"
              >
                <button
                  class="text-ink-2 hover:text-ink disabled:opacity-30"
                  aria-label="Move step {n + 1} earlier"
                  disabled={n === 0}
                  onclick={() => move(group.id, n, n - 1)}
                >
                  <ArrowUp size={15} />
                </button>
                <button
                  class="text-ink-2 hover:text-ink"
                  aria-label="Copy step {n + 1}"
                  onclick={() => copy(step)}
                >
                  <Copy size={15} />
                </button>
                <button
                  class="text-ink-2 hover:text-ink disabled:opacity-30"
                  aria-label="Move step {n + 1} later"
                  disabled={n === stepsOf(group.id).length - 1}
                  onclick={() => move(group.id, n, n + 1)}
                >
                  <ArrowDown size={15} />
                </button>
                <button
                  class="text-ink-2 hover:text-ink"
                  aria-label="{step.muted ? 'Do' : 'Leave out'} step {n + 1}"
                  aria-pressed={step.muted ?? false}
                  onclick={() => mute(step)}
                >
                  <EyeOff size={15} />
                </button>
                <button
                  class="p-0.5 text-ink-2 hover:text-cinnabar"
                  aria-label="Take out step {n + 1}"
                  onclick={() => remove(step)}
                >
                  <X size={15} />
                </button>
                <span
                  class="{GRIP} grid cursor-grab touch-none place-items-center text-ink-2 active:cursor-grabbing"
                  title="Drag to another place"
                  aria-hidden="true"><GripVertical size={15} /></span
                >
              </div>
            </div>
          </li>
        {/each}
      </ol>
      <div class="mt-1 flex flex-wrap items-center gap-1">
        <button class="button bare" onclick={() => addLayer(group.id)} disabled={!plan.cups.length}
          >+ layer</button
        >
        <button class="button bare" onclick={() => addGate(group)}>+ gate</button>
        <ActPicker label="Add an act to {group.name}" onpick={(kind) => addAct(group.id, kind)} />
        <TechniquePicker {editor} {group} />
        {#if sharersOf(plan, group.id).length > 1}
          <button class="button bare" onclick={() => editor.replace(sharedEqually(plan, group.id))}
            >share equally</button
          >
        {/if}
      </div>
    </div>
  {/each}

  {#if astray.length}
    <div class="mt-3" data-testid="astray">
      <h3 class="font-sans text-[0.9rem] font-semibold">At the bench, or nowhere</h3>
      <ol class="ruled">
        {#each astray as step (step.id)}
          <li class="flex min-h-11 items-center gap-2 py-1 text-[0.9rem]" data-step={step.id}>
            <span class="flex-1">
              {inWords(computed.lines.find((l) => l.stepId === step.id)?.line ?? '')}
              {#if step.where.length}<span class="text-cinnabar">· its cavities are not in the plan</span
                >{/if}
            </span>
            <button
              class="p-0.5 text-ink-2 hover:text-cinnabar"
              aria-label="Take out {step.id}"
              onclick={() => remove(step)}><X size={15} /></button
            >
          </li>
        {/each}
      </ol>
    </div>
  {/if}

  {#if moulds.length}
    <Choice
      quiet={plan.groups.length > 0}
      class={plan.groups.length ? 'mt-2 self-start border-transparent text-ink-2' : 'mt-3'}
      label="Add cavities"
      value=""
      placeholder={plan.groups.length ? '+ other cavities' : 'Choose a mould…'}
      options={places}
      onchange={addGroup}
    />
  {:else}
    <p class="mt-3 text-ink-2">
      No mould on the shelf yet. <a class="underline" href="/shelf/moulds/new">Measure one</a>.
    </p>
  {/if}
</section>
