<!-- The tour of the first piece: one stop at a time over the real screens, what it speaks of ringed, seen by itself when it is done. -->
<script lang="ts">
  import Check from '@lucide/svelte/icons/check';
  import X from '@lucide/svelte/icons/x';
  import { onMount } from 'svelte';
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import { keepTour, STOPS, tourAt } from '$lib/tour';

  let { onend }: { onend: () => void } = $props();

  let at = $state(0);
  let done = $state(false);
  /** The panel stands where it does not cover what it speaks of. */
  let left = $state(false);
  let ringed: Element | undefined;
  const stop = $derived(STOPS[at]!);
  const here = $derived(page.url.pathname === stop.at);

  /** How often the page is looked at, ms. */
  const LOOK = 300;

  onMount(() => {
    at = tourAt() ?? 0;
    keepTour(at);
    const looking = setInterval(look, LOOK);
    return () => {
      clearInterval(looking);
      ring(undefined);
    };
  });

  // A new stop is ringed with its first words, so that the panel does not move from under a finger a moment later.
  $effect(() => {
    if (stop && here) look();
  });

  function look() {
    ring(here && stop.ring ? (document.querySelector(stop.ring) ?? undefined) : undefined);
    if (here && stop.done?.(document)) done = true;
  }

  function ring(element: Element | undefined) {
    if (element === ringed) return;
    ringed?.removeAttribute('data-toured');
    ringed = element;
    if (!element) return;
    element.setAttribute('data-toured', '');
    element.scrollIntoView({ block: 'nearest' });
    const box = element.getBoundingClientRect();
    left =
      box.left + box.width / 2 > innerWidth / 2 ||
      (box.width > innerWidth / 2 && box.right > innerWidth - 360);
  }

  async function go(to: number) {
    at = to;
    done = false;
    keepTour(to);
    if (page.url.pathname !== STOPS[to]!.at) await goto(STOPS[to]!.at);
  }

  function end() {
    keepTour(undefined);
    onend();
  }
</script>

<aside
  class="no-print fixed z-60 w-[330px] rounded-xl border-2 border-verdigris bg-sheet p-4 shadow-xl {page.url.pathname.startsWith(
    '/rehearse'
  )
    ? 'bottom-32'
    : 'bottom-4'} {left ? 'left-20' : 'right-4'}"
  aria-label="Tour of the first piece"
  data-testid="tour"
>
  <div class="flex items-baseline gap-2">
    <h2 class="flex-1 text-[1.2rem]">{stop.title}</h2>
    <span class="text-[0.85rem] text-ink-2">{at + 1} of {STOPS.length}</span>
    <button class="button bare -mr-2 !min-h-9 !px-2" aria-label="End the tour" onclick={end}
      ><X size={18} /></button
    >
  </div>
  <p class="mt-1 text-[0.98rem]" aria-live="polite">{stop.says}</p>
  {#if done}
    <p class="mt-2 flex items-center gap-1.5 font-semibold text-verdigris"><Check size={18} /> Done.</p>
  {/if}
  <div class="mt-3 flex gap-2">
    {#if at > 0}<button class="button" onclick={() => go(at - 1)}>Back</button>{/if}
    <span class="flex-1"></span>
    {#if !here}
      <button class="button go" onclick={() => goto(stop.at)}>Go there</button>
    {:else if at < STOPS.length - 1}
      <button class="button {done || !stop.done ? 'go' : ''}" onclick={() => go(at + 1)}
        >{stop.done && !done ? 'Skip' : 'Next'}</button
      >
    {:else}
      <button class="button go" onclick={end}>End</button>
    {/if}
  </div>
</aside>
