<!--
  The pages of one plan, worked out and drawn on the maker's own device alone: whoever else asks the server for
  something does not wait for it.
-->
<script lang="ts">
  import { onMount } from 'svelte';
  import { browser } from '$app/environment';

  let { children } = $props();
  // Moving here within the application needs no first drawing without figures; a page that was just loaded does.
  let here = $state(browser && document.documentElement.dataset.alive === 'true');
  onMount(() => (here = true));
</script>

{#if here}
  {@render children()}
{:else}
  <p class="p-10 text-ink-2" role="status">The plan is being worked out…</p>
{/if}
