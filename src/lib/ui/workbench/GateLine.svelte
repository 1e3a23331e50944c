<!-- A gate as a notch before its step: what it waits for, and when that is expected. -->
<script lang="ts">
  import X from '@lucide/svelte/icons/x';
  import type { Condition, Gate, Step } from '$core/document';
  import { conditionWords } from '$core/pour';
  import type { PlanView } from '../../plan/plan-view.svelte';
  import Choice from '../forms/Choice.svelte';
  import QuantityField from '../forms/QuantityField.svelte';
  import { inWords } from '../../preferences.svelte';

  let {
    editor,
    step,
    gate,
    n,
    states
  }: {
    editor: PlanView;
    step: Step;
    gate: Gate;
    /** The step's number as it is read. */
    n: number;
    /** States of the material that is waited for, after the first. */
    states: readonly string[];
  } = $props();
  const wait = $derived(editor.computed.score.gates.find((g) => g.gateId === gate.id));
  const names = {
    cup: (id: string) => editor.plan.cups.find((c) => c.id === id)?.name ?? 'a cup that is gone',
    step: (id: string) =>
      inWords(editor.computed.lines.find((l) => l.stepId === id)?.line ?? 'a step that is gone')
  };
  const set = (i: number, key: string, value: unknown) =>
    editor.edit({ path: ['steps', step.id, 'gates', gate.id, 'all', i, key], value });
  const remove = () => editor.edit({ path: ['steps', step.id, 'gates', gate.id], value: undefined });
  const optionsFor = (state: string) => (states.includes(state) ? states : [state, ...states]);
  const isState = (c: Condition) => c.kind === 'state';
</script>

<div
  class="group/gate flex min-h-[34px] w-full items-center gap-2.5 border-b border-rule"
  data-gate={gate.id}
>
  <span class="grid w-[27px] shrink-0 place-items-center text-ochre" aria-hidden="true">
    <svg width="14" height="16" viewBox="0 0 16 18"><path d="M1 1H15V8L8 16L1 8Z" fill="currentColor" /></svg>
  </span>
  <div class="min-w-0 flex-1 text-[0.9rem]">
    {#each gate.all as c, i (i)}
      <div class="flex flex-wrap items-baseline gap-x-1">
        <span class="text-ochre">{i ? 'and' : 'wait until'}</span>
        {#if c.kind === 'state'}
          {#if c.of !== 'layer below'}{names.cup(c.of.cup)} is{/if}
          <Choice
            quiet
            label="State of gate {n}"
            value={c.state}
            options={optionsFor(c.state).map((s) => ({ value: s, label: s }))}
            onchange={(v) => set(i, 'state', v)}
          />
        {:else}
          {inWords(conditionWords(c, names))}
        {/if}
        {#if isState(c) && gate.all.length === 1}
          {#if wait}
            <span class="-ml-1 text-ink-2">{wait.reckoned === 'estimate' ? ', about' : ', or'}</span>
            <QuantityField
              quiet
              width="4rem"
              label="Minutes of gate {n}"
              unit="min"
              above
              max={50_000}
              value={Math.round(wait.minutes)}
              onchange={(v) => set(i, 'minutes', v)}
            />
            {#if wait.reckoned !== 'estimate'}
              <button class="text-[0.82rem] text-ink-2 underline" onclick={() => set(i, 'minutes', undefined)}
                >estimate it</button
              >
            {/if}
          {:else}
            <span class="text-[0.82rem] text-ink-2">nothing is poured before it</span>
          {/if}
        {/if}
      </div>
    {/each}
  </div>
  <button
    class="p-1 text-ink-2 opacity-0 group-hover/gate:opacity-100 hover:text-cinnabar focus:opacity-100"
    aria-label="Delete wait {n}"
    onclick={remove}><X size={15} /></button
  >
</div>
