<!-- What does not fit is asked before it is believed: what it should be, one tap; it is so all the same, another. -->
<script lang="ts">
  import { weighing } from '$core/quantity';
  import { inWords } from '$lib/preferences.svelte';
  import type { RunDesk } from '$lib/run/run-desk.svelte';

  let { desk }: { desk: RunDesk } = $props();

  const doubt = $derived(desk.doubt);
  const division = $derived(
    desk.instruction?.kind === 'weigh' ? desk.instruction.task.division : desk.computed.division
  );
  const SO = {
    slip: 'It is as I typed',
    'more-than-there': 'It did come out',
    'too-early': 'It is done, keep it as early'
  };
</script>

{#if doubt}
  <div
    class="mt-5 border-l-4 border-cinnabar bg-cinnabar-soft px-4 py-3 text-[1.15rem]"
    role="alert"
    data-testid="doubt"
  >
    <strong class="block text-[1.5rem]">{inWords(doubt.sentence)}</strong>
    {#if doubt.follows}<span class="block">{inWords(doubt.follows)}</span>{/if}
    <div class="mt-3 flex flex-wrap gap-3">
      {#if doubt.meant !== undefined}
        <button class="button go min-h-[56px] text-[1.15rem]" onclick={() => desk.settle('meant')}>
          {inWords(weighing(doubt.meant, division))}
          {doubt.code === 'slip' ? 'was meant' : 'came out'}
        </button>
      {/if}
      <button
        class="button min-h-[56px] text-[1.15rem]"
        class:go={doubt.meant === undefined}
        onclick={() => desk.settle('not so')}
      >
        {doubt.code === 'too-early' ? 'Not yet' : 'Type it again'}
      </button>
      <button class="button min-h-[56px] text-[1.15rem]" onclick={() => desk.settle('so')}>
        {SO[doubt.code]}
      </button>
    </div>
  </div>
{/if}
