<script lang="ts">
  import { onMount, untrack } from 'svelte';
  import '../app.css';
  import { afterNavigate } from '$app/navigation';
  import { page } from '$app/state';
  import { nowAlive, nowAt } from '../lib/page/alive';
  import { keepTour, tourAt } from '$lib/tour';
  import { setPreferences } from '../lib/preferences.svelte';
  let { children, data } = $props();

  // Before anything is shown, and again whenever they change.
  untrack(() => setPreferences(data.ways));
  $effect.pre(() => setPreferences(data.ways));

  afterNavigate(({ to }) => to && nowAt(to.url));

  onMount(() => {
    nowAlive();
    touring = tourAt() !== undefined;
  });

  /** The tour is fetched when it is wanted only. */
  let touring = $state(false);
  $effect(() => {
    if (!page.url.searchParams.has('tour')) return;
    keepTour(0);
    touring = true;
  });
</script>

{@render children()}
{#if touring}
  {#await import('$lib/ui/Tour.svelte') then { default: Tour }}<Tour
      onend={() => (touring = false)}
    />{/await}
{/if}
