<!-- More of a colour is in than planned: what it comes to, and what brings it back. -->
<script lang="ts">
  import { coloursOver } from '$core/run';
  import type { RunDesk } from '$lib/run/run-desk.svelte';

  let { desk, mixId }: { desk: RunDesk; mixId: string } = $props();
</script>

{#each desk.run.cups.get(mixId)?.coloured ? [] : coloursOver(desk.frozen, desk.run, mixId) as over, i (i)}
  <p
    class="mt-4 border-l-4 px-4 py-3 text-[1.05rem] {over.past
      ? 'border-cinnabar bg-cinnabar-soft'
      : 'border-ochre bg-ochre-soft'}"
    data-testid="colour-over"
  >
    <strong>More {over.name} than planned:</strong>
    {over.now.toFixed(2)} % instead of {Number(over.planned.toFixed(2))} %{#if over.past}, past its
      {Number(over.past.limit.toFixed(2))} %: {over.past.reason}{:else}, inside its limit; the colour is
      stronger{/if}.
    {(over.more * 100).toFixed(0)} % more of everything else brings it back; undo, if it can be taken out.
  </p>
{/each}
