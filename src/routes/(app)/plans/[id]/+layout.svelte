<!--
  The pages of one plan, worked out and drawn on the maker's own device alone: whoever else asks the server for
  something does not wait for it.
-->
<script lang="ts">
  import { browser } from '$app/environment';
  import { isAlive } from '../../../../lib/page/alive';
  import { InTurn } from '../../../../lib/page/in-turn.svelte';

  let { children } = $props();
  // Moving here within the application needs no first drawing without figures; a page that was just loaded does.
  const moved = browser && isAlive();
  const turn = new InTurn(1);
</script>

{#if moved || turn.reached(1)}
  {@render children()}
{:else}
  <p class="p-10 text-ink-2" role="status">The plan is being worked out.</p>
{/if}
