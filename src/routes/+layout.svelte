<script lang="ts">
  import { onMount, untrack } from 'svelte';
  import '../app.css';
  import { setWays } from '$lib/ways.svelte';
  let { children, data } = $props();

  // Before anything is shown, and again whenever they change.
  untrack(() => setWays(data.ways));
  $effect.pre(() => setWays(data.ways));

  // Says that the page now answers to clicks; until then the server's markup is only to be read.
  onMount(() => {
    document.documentElement.dataset.alive = 'true';
  });
</script>

{@render children()}
