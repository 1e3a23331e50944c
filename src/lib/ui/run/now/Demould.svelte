<!-- When the pieces may leave their mould: not yet, now, or too late. -->
<script lang="ts">
  import { clock } from '$core/quantity';
  import type { Instruction } from '$lib/run/instruction';
  import type { RunDesk } from '$lib/run/run-desk.svelte';
  import BigNumber from './BigNumber.svelte';

  let { desk, instruction }: { desk: RunDesk; instruction: Extract<Instruction, { kind: 'demould' }> } =
    $props();

  const { now } = $derived(desk);
  const zero = $derived(desk.run.groups.get(instruction.task.groupId)?.lastPour ?? now);
  const early = $derived(
    desk.clocks.find((c) => c.id === instruction.key)?.due ?? zero + instruction.task.from * 60_000
  );
  const late = $derived(
    desk.clocks.find((c) => c.id === `late:${instruction.task.groupId}`)?.due ??
      zero + instruction.task.to * 60_000
  );
</script>

{#if now < early}
  <BigNumber value={clock((early - now) / 1000)} words="before it is firm" />
  <p class="mt-2 text-[1.1rem] text-ochre">
    Too early leaves fingerprints and a bent edge. You can close this page; the bench will say when.
  </p>
{:else if now > late}
  <BigNumber value={clock((now - late) / 1000)} words="too late: the window is over" />
  <p class="mt-2 text-[1.1rem] text-cinnabar">Take them out at once, and look at every edge.</p>
{:else}
  <BigNumber value="Now" words={`${clock((late - now) / 1000)} until the window closes`} />
{/if}
