<!-- More of a part is in than planned: what follows of itself, and the two other ways out, each with what it does. -->
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

  const portion = $derived(ways?.portion);
</script>

{#if ways}
  <p class="text-[2.4rem] leading-tight font-bold" data-testid="consequence">
    {portion ? 'Its colours' : 'The rest'} × {ways.follow.scale.toFixed(3)}: {g(ways.follow.total)} in all
  </p>
  <p class="mt-1">
    <strong>More {portion ? 'of the pot ' : ''}went in than planned.</strong>
    What is still to be weighed follows, {g(ways.follow.surplus)} more in all; {portion
      ? 'the colour is kept'
      : 'the ratio is kept'}{#if ways.follow.room}; <span
        class={ways.follow.holds ? '' : 'font-bold text-cinnabar'}>{ways.follow.room}</span
      >{/if}.
    {#if portion && portion.short > 0}
      <strong class="text-cinnabar">The pot is {g(portion.short)} short for the other cups.</strong>
    {/if}
  </p>
  <ul class="mt-3 grid gap-3 leading-snug sm:grid-cols-2">
    <li>
      <button class="button min-h-[56px] w-full" onclick={() => log.tell({ type: 'accepted', mixId: mixId })}>
        Keep the plan’s weights
      </button>
      <p class="mt-1">
        {#if portion}
          {(portion.weaker * 100).toFixed(0)} % weaker in colour; the ratio is the pot’s.
        {:else}
          {(ways.keep.off * 100).toFixed(1)} % off,
          <span class={ways.keep.harms ? 'font-bold text-cinnabar' : ''}>{ways.keep.words}</span>.
        {/if}
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
