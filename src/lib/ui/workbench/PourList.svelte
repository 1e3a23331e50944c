<script lang="ts">
  import ArrowUp from '@lucide/svelte/icons/arrow-up';
  import X from '@lucide/svelte/icons/x';
  import { formatAmount, freshId, parseAmount, type Plan } from '$core/plan';
  import { parseCount } from '$core/quantity';
  import type { PlanEditor } from '$lib/plan-editor.svelte';
  import Figure from '../Figure.svelte';
  import ParsedField from '../ParsedField.svelte';
  import QuantityField from '../QuantityField.svelte';
  import CupMark from '../CupMark.svelte';
  import GroupMore from './GroupMore.svelte';
  import StepMore from './StepMore.svelte';

  let { editor }: { editor: PlanEditor } = $props();
  const plan = $derived(editor.plan);
  const computed = $derived(editor.computed);
  const moulds = $derived(editor.shelf.moulds);
  const states = $derived(computed.states.slice(1).map((s) => s.state));

  const layerOf = (stepId: string) =>
    computed.groups.flatMap((g) => g.layers).find((l) => l.stepId === stepId);
  const gateOf = (stepId: string) => computed.score.gates.find((g) => g.stepId === stepId);
  const cupOf = (id: string) => computed.cups.find((c) => c.cupId === id);
  const stepsOf = (groupId: string) =>
    plan.steps.map((step, index) => ({ step, index })).filter(({ step }) => step.groupId === groupId);

  function addGroup(place: string) {
    const [mouldId, cavityId] = place.split('|');
    const cavity = moulds.find((m) => m.id === mouldId)?.cavities.find((c) => c.id === cavityId);
    if (!cavity || !mouldId || !cavityId) return;
    const id = freshId(plan, 'group');
    const cup = plan.cups[0];
    const first = {
      id: freshId(plan, 'lay'),
      act: 'lay' as const,
      cupId: cup?.id ?? '',
      groupId: id,
      amount: { kind: 'rim' as const },
      minutesEach: 0.5
    };
    const group = {
      id,
      name: cavity.count > 1 ? `${cavity.name}s 1–${cavity.count}`.slice(0, 40) : cavity.name,
      mouldId,
      cavityId,
      count: cavity.count
    };
    editor.edits([
      { path: ['groups', plan.groups.length], value: group },
      ...(cup ? [{ path: ['steps', plan.steps.length], value: first }] : [])
    ]);
  }

  function removeGroup(index: number) {
    const gone = plan.groups[index]?.id;
    editor.edits([
      { path: ['groups', index], value: undefined },
      { path: ['steps'], value: plan.steps.filter((s) => s.groupId !== gone) }
    ]);
  }

  function insert(groupId: string, step: Plan['steps'][number]) {
    const last = plan.steps.findLastIndex((s) => s.groupId === groupId);
    const at = last < 0 ? plan.steps.length : last + 1;
    editor.edit({ path: ['steps'], value: plan.steps.toSpliced(at, 0, step) });
  }

  function addLayer(groupId: string) {
    const used = new Set(
      plan.steps.flatMap((s) => (s.act === 'lay' && s.groupId === groupId ? [s.cupId] : []))
    );
    const cup = plan.cups.find((c) => !used.has(c.id)) ?? plan.cups[0];
    if (!cup) return;
    insert(groupId, {
      id: freshId(plan, 'lay'),
      act: 'lay',
      cupId: cup.id,
      groupId,
      amount: { kind: 'rim' },
      minutesEach: 0.5
    });
  }

  const layer = $derived(states.includes('gelled') ? 'gelled' : (states.at(-1) ?? 'gelled'));
  const addGate = (groupId: string) =>
    insert(groupId, { id: freshId(plan, 'gate'), act: 'gate', groupId, state: layer });

  function moveUp(index: number) {
    const step = plan.steps[index]!;
    const before = plan.steps.findLastIndex((s, i) => i < index && s.groupId === step.groupId);
    if (before < 0) return;
    const steps = [...plan.steps];
    [steps[before], steps[index]] = [steps[index]!, steps[before]!];
    editor.edit({ path: ['steps'], value: steps });
  }
</script>

<section class="flex flex-col px-4 py-3 max-xl:border-b max-xl:border-rule" aria-label="Pour">
  <h2 class="label font-sans">Pour, first to last</h2>

  {#each plan.groups as group, g (group.id)}
    {@const out = computed.groups.find((x) => x.groupId === group.id)}
    <div class="mt-1">
      <div class="flex items-baseline gap-1 border-b border-rule pb-1">
        <input
          class="quiet flex-1 border-transparent font-semibold"
          aria-label="Name of the cavities"
          value={group.name}
          onchange={(e) =>
            editor.edit({ path: ['groups', g, 'name'], value: e.currentTarget.value.trim() || group.name })}
        />
        <span class="text-[0.85rem] text-ink-2">×</span>
        <ParsedField
          quiet
          width="2.4rem"
          label="How many cavities of {group.name}"
          value={group.count}
          format={String}
          parse={(text) => parseCount(text, 2000)}
          onchange={(count) => editor.edit({ path: ['groups', g, 'count'], value: count })}
        />
        <button
          class="text-ink-2 hover:text-cinnabar"
          aria-label="Take {group.name} out of the plan"
          onclick={() => removeGroup(g)}
        >
          <X size={16} />
        </button>
      </div>
      {#if out}
        <p class="flex items-baseline gap-1 py-0.5 text-[0.85rem] text-ink-2">
          <span class="min-w-0 flex-1 truncate">{out.mouldName} · {out.capacity.toFixed(2)} ml each</span>
          <GroupMore {editor} {group} index={g} />
        </p>
      {/if}

      <ol class="ruled">
        {#each stepsOf(group.id) as { step, index }, n (step.id)}
          <li class="group relative flex min-h-11 items-center gap-2 py-1" data-step={step.id}>
            {#if step.act === 'lay'}
              {@const layer = layerOf(step.id)}
              {@const cup = cupOf(step.cupId)}
              {#if cup}<CupMark letter={cup.letter} colour={cup.colour} hatch={cup.hatch} />{/if}
              <div class="min-w-0 flex-1">
                <div class="flex items-baseline gap-1">
                  <select
                    class="quiet max-w-28 border-transparent font-medium"
                    aria-label="Cup of step {n + 1}"
                    value={step.cupId}
                    onchange={(e) =>
                      editor.edit({ path: ['steps', index, 'cupId'], value: e.currentTarget.value })}
                  >
                    {#each plan.cups as c (c.id)}<option value={c.id}>{c.name}</option>{/each}
                  </select>
                  <ParsedField
                    quiet
                    width="{Math.max(5, formatAmount(step.amount).length * 0.52)}rem"
                    label="Amount of step {n + 1}"
                    value={step.amount}
                    format={formatAmount}
                    parse={parseAmount}
                    onchange={(amount) => editor.edit({ path: ['steps', index, 'amount'], value: amount })}
                  />
                </div>
                <p class="text-[0.82rem] text-ink-2">
                  {#if layer}
                    <Figure value="{layer.each.toFixed(layer.each < 100 ? 2 : 0)} ml each" /> ·
                    <Figure value="{(layer.to - layer.from).toFixed(1)} mm" />
                    {#if layer.chamber}· {layer.chamber.name}{/if}
                    <StepMore {editor} {step} {index} n={n + 1} />
                  {:else}
                    pours nothing
                  {/if}
                </p>
                {#if step.how}<p class="text-[0.8rem] leading-snug text-ink-2 italic">{step.how}</p>{/if}
              </div>
            {:else}
              {@const gate = gateOf(step.id)}
              <span class="grid w-6 place-items-center text-ochre" aria-hidden="true">
                <svg width="16" height="18" viewBox="0 0 16 18"
                  ><path d="M1 1H15V8L8 16L1 8Z" fill="currentColor" /></svg
                >
              </span>
              <div class="min-w-0 flex-1 text-[0.9rem]">
                <div class="flex items-baseline gap-1">
                  wait until
                  <select
                    class="quiet"
                    aria-label="State of gate {n + 1}"
                    value={step.state}
                    onchange={(e) =>
                      editor.edit({ path: ['steps', index, 'state'], value: e.currentTarget.value })}
                  >
                    {#if !states.includes(step.state)}<option>{step.state}</option>{/if}
                    {#each states as s (s)}<option>{s}</option>{/each}
                  </select>
                </div>
                <p class="flex items-baseline gap-1 text-[0.82rem] text-ink-2">
                  {#if gate}
                    or after
                    <QuantityField
                      quiet
                      width="4rem"
                      label="Minutes of gate {n + 1}"
                      unit="min"
                      above
                      value={Math.round(gate.minutes)}
                      onchange={(v) => editor.edit({ path: ['steps', index, 'minutes'], value: v })}
                    />
                    {#if gate.reckoned === 'estimate'}
                      <span>estimated</span>
                    {:else}
                      <button
                        class="underline"
                        onclick={() => editor.edit({ path: ['steps', index, 'minutes'], value: undefined })}
                        >estimate</button
                      >
                    {/if}
                  {:else}
                    nothing is poured before it
                  {/if}
                </p>
              </div>
            {/if}
            <div class="flex flex-col opacity-0 group-focus-within:opacity-100 group-hover:opacity-100">
              {#if n > 0}
                <button
                  class="p-0.5 text-ink-2 hover:text-ink"
                  aria-label="Move step {n + 1} earlier"
                  onclick={() => moveUp(index)}
                >
                  <ArrowUp size={15} />
                </button>
              {/if}
              <button
                class="p-0.5 text-ink-2 hover:text-cinnabar"
                aria-label="Take out step {n + 1}"
                onclick={() => editor.edit({ path: ['steps', index], value: undefined })}
              >
                <X size={15} />
              </button>
            </div>
          </li>
        {/each}
      </ol>
      <div class="mt-1 flex gap-1">
        <button class="button bare" onclick={() => addLayer(group.id)} disabled={!plan.cups.length}
          >+ layer</button
        >
        <button class="button bare" onclick={() => addGate(group.id)}>+ gate</button>
      </div>
    </div>
  {/each}

  {#if moulds.length}
    <select
      class={plan.groups.length ? 'quiet mt-2 self-start border-transparent text-ink-2' : 'field mt-3'}
      aria-label="Add cavities"
      value=""
      onchange={(e) => {
        if (e.currentTarget.value) addGroup(e.currentTarget.value);
        e.currentTarget.value = '';
      }}
    >
      <option value="">{plan.groups.length ? '+ other cavities' : 'Choose a mould…'}</option>
      {#each moulds as mould (mould.id)}
        {#each mould.cavities as cavity (cavity.id)}
          <option value="{mould.id}|{cavity.id}">{mould.name}: {cavity.count} × {cavity.name}</option>
        {/each}
      {/each}
    </select>
  {:else}
    <p class="mt-3 text-ink-2">
      No mould on the shelf yet. <a class="underline" href="/shelf/moulds/new">Measure one</a>.
    </p>
  {/if}
</section>
