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

{#snippet way(words: string, does: string, { harms = false }: { harms?: boolean }, act: () => void)}
  <button
    class="button min-h-[72px] w-full flex-col !items-start !gap-0 text-left whitespace-normal"
    onclick={act}
  >
    <strong class="text-[1.15rem]">{words}</strong>
    <span class="font-normal {harms ? 'font-bold text-cinnabar' : 'text-ink-2'}">{does}</span>
  </button>
{/snippet}

{#if ways}
  <p class="text-[1.6rem] leading-tight font-bold" data-testid="consequence">
    {portion ? 'Its colours' : 'The rest'}
    <span class="mx-2 inline-block text-[9.5rem] leading-[0.95] tracking-tight max-md:text-[6rem]"
      >× {ways.follow.scale.toFixed(3)}</span
    >
    {g(ways.follow.total)} in all
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
      {@render way(
        'Keep the plan’s weights',
        portion
          ? `${(portion.weaker * 100).toFixed(0)} % weaker in colour; the ratio is the pot’s`
          : `${(ways.keep.off * 100).toFixed(1)} % off, ${ways.keep.words}`,
        { harms: !portion && ways.keep.harms },
        () => log.tell({ type: 'accepted', mixId })
      )}
    </li>
    <li>
      {@render way('Start this cup over', `${g(ways.over.wasted)} are lost`, {}, () =>
        log.tell({ type: 'restarted', mixId })
      )}
    </li>
  </ul>
{/if}
