<!-- A gate: what it waits for, how long still, and what the hand or a probe has to say. -->
<script lang="ts">
  import type { Snippet } from 'svelte';
  import { clock, duration } from '$core/quantity';
  import { waitsForLayer, type GateOpening } from '$core/run';
  import type { Instruction } from '$lib/run/instruction';
  import type { RunDesk } from '$lib/run/run-desk.svelte';
  import { inWords } from '$lib/preferences.svelte';
  import CoreDrawing from '../../drawing/CoreDrawing.svelte';
  import GateConditions from '../GateConditions.svelte';
  import BigNumber from './BigNumber.svelte';
  import { soFar } from './so-far';

  let {
    desk,
    instruction,
    gate,
    children
  }: {
    desk: RunDesk;
    instruction: Extract<Instruction, { kind: 'gate' }>;
    gate: GateOpening;
    /** Between what it waits for and what stands in the mould. */
    children: Snippet;
  } = $props();

  const { run, now, moved } = $derived(desk);
  const partial = $derived(soFar(desk));
</script>

{#if gate.open}
  <BigNumber
    value="Open"
    words={gate.by === 'state'
      ? `you reported ${run.groups.get(instruction.task.groupId)?.reported?.state ?? instruction.task.state}`
      : gate.by === 'minutes'
        ? 'the minutes are over; touch it first'
        : gate.by === 'nothing'
          ? 'what it waits for was left out'
          : 'it is as it should be'}
  />
{:else if Number.isFinite(gate.opensAt)}
  <BigNumber
    value={clock((gate.opensAt - now) / 1000)}
    words={`until ${inWords(instruction.task.state)}${waitsForLayer(instruction.task) ? ', by the estimate' : ''}`}
  />
{:else}
  <BigNumber value="Wait" words={`until ${inWords(instruction.task.state)}`} />
{/if}
{#if moved && !gate.open}
  <p class="mt-2 text-[1.1rem] text-ochre" data-testid="moved">
    {duration(moved.now)} instead of {duration(moved.planned)}: {inWords(moved.why)}.
  </p>
{/if}
{#if waitsForLayer(instruction.task) && gate.conditions.length === 1}
  <p class="mt-2 text-[1.1rem] text-ink-2">
    {duration(moved?.now ?? instruction.task.minutes)} after the last pour, or when you report “{instruction
      .task.state}” with
    <kbd class="rounded border border-current px-1.5">T</kbd>.
  </p>
{:else}
  <GateConditions
    task={instruction.task}
    {gate}
    frozen={desk.frozen}
    {run}
    clock={desk.given.clock}
    log={desk.given.log}
  />
{/if}
{@render children()}
{#if partial}<div class="mt-4 w-[420px]">
    <CoreDrawing group={partial} cups={desk.computed.cups} showFace="mould face" />
  </div>{/if}
