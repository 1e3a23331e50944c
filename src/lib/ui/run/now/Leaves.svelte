<!-- From above, as the mould stands: where a step is done, and what it should leave. -->
<script lang="ts">
  import { shapesThePiece } from '$core/pour';
  import type { RunDesk } from '$lib/run/run-desk.svelte';
  import { marksOf } from '../../drawing/marks';
  import { extentOf } from '../../drawing/outline';
  import PiecePicture from '../../drawing/PiecePicture.svelte';

  let { desk, stepId }: { desk: RunDesk; stepId: string } = $props();

  const { computed, plan } = $derived(desk);
  const step = $derived(plan.steps.find((s) => s.id === stepId));
  const groupId = $derived(desk.instruction?.groupId);
  const own = $derived(
    computed.groups.find((x) => x.groupId === groupId) ??
      computed.groups.find((x) => step?.where.includes(x.groupId))
  );
</script>

{#if own && step && shapesThePiece(step.act)}
  {@const { width, length } = extentOf(own)}
  <figure class="w-[190px]" data-testid="leaves">
    <PiecePicture
      piece={{ plan, shelf: desk.frozen.file.shelf, group: own, cups: computed.cups }}
      face={{ kind: 'open face' }}
      look={{ until: stepId }}
      size={360}
      marks={marksOf(step, length / width)}
    />
    <figcaption class="mt-1 text-[1rem] text-ink-2">what it leaves, from above</figcaption>
  </figure>
{/if}
