<!-- More of a part is in than planned: the three ways out, each with what it does. -->
<script lang="ts">
  import type { OvershootOptions } from '$core/run';
  import type { PendingEvents } from '../../run/run-log.svelte';

  let {
    ways,
    g,
    mixId,
    log
  }: { ways: OvershootOptions | undefined; g: (grams: number) => string; mixId: string; log: PendingEvents } =
    $props();
</script>

<strong>More went in than planned.</strong>
{#if ways}
  <ul class="mt-2 grid gap-3 text-[0.98rem] leading-snug sm:grid-cols-3">
    <li>
      <span
        class="flex min-h-[56px] items-center justify-center rounded-lg border-2 border-verdigris px-3 text-center font-semibold text-verdigris"
        >Scale up the rest to match</span
      >
      <p class="mt-1">
        × {ways.follow.scale.toFixed(3)}: {g(ways.follow.total)} in all, {g(ways.follow.surplus)} more; the ratio
        is kept{#if ways.follow.room}; <span class={ways.follow.holds ? '' : 'font-bold text-cinnabar'}
            >{ways.follow.room}</span
          >{/if}.
      </p>
    </li>
    <li>
      <button class="button min-h-[56px] w-full" onclick={() => log.tell({ type: 'accepted', mixId: mixId })}>
        Keep the plan’s weights
      </button>
      <p class="mt-1">
        {(ways.keep.off * 100).toFixed(1)} % off,
        <span class={ways.keep.harms ? 'font-bold text-cinnabar' : ''}>{ways.keep.words}</span>.
      </p>
    </li>
    <li>
      <button
        class="button min-h-[56px] w-full"
        onclick={() => log.tell({ type: 'restarted', mixId: mixId })}
      >
        Start this cup over
      </button>
      <p class="mt-1">{g(ways.over.wasted)} are lost.</p>
    </li>
  </ul>
{/if}
