<script lang="ts">
  import { onMount } from 'svelte';
  import '../app.css';
  let { children } = $props();

  // Says that the page now answers to clicks; until then the server's markup is only to be read.
  onMount(() => {
    document.documentElement.dataset.alive = 'true';
  });
</script>

{@render children()}
