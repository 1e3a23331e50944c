<!-- The pages of one plan. A very large plan is worked out on the maker's own device alone: nobody else waits for it. -->
<script lang="ts">
  import { onMount } from 'svelte';
  import { page } from '$app/state';
  import { poursOf } from '$core/plan';

  let { children } = $props();
  /** As many pours as the server works out and draws within some 20 ms. */
  const FEW = 120;
  let here = $state(false);
  onMount(() => (here = true));
  const plan = $derived(page.data.plan);
</script>

{#if here || !plan || poursOf(plan) <= FEW}
  {@render children()}
{:else}
  <p class="p-10 text-ink-2" role="status">A large plan: it is being worked out…</p>
{/if}
