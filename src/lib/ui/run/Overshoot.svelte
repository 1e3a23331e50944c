<!-- More of a part is in than planned: the three ways out, each with what it does. -->
<script lang="ts">
  import type { WaysOut } from '$core/run';
  import type { RunLog } from '$lib/run-log.svelte';

  let {
    ways,
    g,
    mixId,
    log
  }: { ways: WaysOut | undefined; g: (grams: number) => string; mixId: string; log: RunLog } = $props();
</script>

<strong>More went in than planned.</strong>
{#if ways}
  <ul class="mt-2 space-y-2">
    <li class="flex flex-wrap items-center gap-x-3">
      <span class="rounded-md border-2 border-verdigris px-3 py-2 font-semibold text-verdigris"
        >The rest follows</span
      >
      <span>
        × {ways.follow.scale.toFixed(3)}: {g(ways.follow.total)} g in all, {g(ways.follow.surplus)} g more; the
        ratio is kept{#if ways.follow.room}; <span class={ways.follow.holds ? '' : 'font-bold text-cinnabar'}
            >{ways.follow.room}</span
          >{/if}.
      </span>
    </li>
    <li class="flex flex-wrap items-center gap-x-3">
      <button class="button min-h-[64px]" onclick={() => log.tell({ type: 'accepted', cupId: mixId })}>
        Keep the plan’s weights
      </button>
      <span>
        {(ways.keep.off * 100).toFixed(1)} % off,
        <span class={ways.keep.harms ? 'font-bold text-cinnabar' : ''}>{ways.keep.words}</span>.
      </span>
    </li>
    <li class="flex flex-wrap items-center gap-x-3">
      <button class="button min-h-[64px]" onclick={() => log.tell({ type: 'restarted', cupId: mixId })}>
        Start this cup over
      </button>
      <span>{g(ways.over.wasted)} g are lost.</span>
    </li>
  </ul>
{/if}
