<!-- More or less is in a cup than planned: what follows, and the ways out. -->
<script lang="ts">
  import { weighing } from '$core/quantity';
  import { overshootOptions } from '$core/run';
  import type { Instruction } from '$lib/run/instruction';
  import { offPlan } from '$lib/run/off-plan';
  import type { RunDesk } from '$lib/run/run-desk.svelte';
  import Overshoot from '../Overshoot.svelte';

  let { desk, instruction }: { desk: RunDesk; instruction: Extract<Instruction, { kind: 'weigh' }> } =
    $props();

  const log = $derived(desk.given.log);
  const mixId = $derived(instruction.mixId ?? '');
  const weighed = $derived((grams: number) => weighing(grams, instruction.task.division));
  const cupState = $derived(desk.run.cups.get(mixId));
  const off = $derived(offPlan(desk.run, mixId));
  const ways = $derived(mixId ? overshootOptions(desk.frozen, desk.run, mixId) : undefined);
</script>

{#if cupState && off}
  <div class="mt-5 border-l-4 border-ochre bg-ochre-soft px-4 py-3 text-[1.05rem]" data-testid="corrected">
    {#if off === 'over'}
      <Overshoot {ways} g={weighed} {mixId} {log} />
    {:else}
      <strong>Less is in than planned.</strong> Scale up the rest to match: × {cupState.scale.toFixed(3)}, {weighed(
        -cupState.surplus
      )} short. Undo to add more.
      <button class="ml-1 font-bold underline" onclick={() => mixId && log.tell({ type: 'accepted', mixId })}>
        Keep the plan’s weights instead
      </button>
    {/if}
  </div>
{:else if cupState?.accepted}
  <p class="mt-5 border-l-4 border-ochre bg-ochre-soft px-4 py-3 text-[1.05rem]">
    This cup keeps the plan’s weights{ways?.portion
      ? ''
      : `, off its ratio${cupState.ratioError ? ` by ${(cupState.ratioError * 100).toFixed(1)} %` : ''}`}.
  </p>
{/if}
