<script lang="ts">
  import Rail from '$lib/ui/Rail.svelte';
  let { children } = $props();
</script>

<a
  href="#main"
  class="sr-only z-50 rounded-md bg-ink px-4 py-3 text-ground focus:not-sr-only focus:fixed focus:top-2 focus:left-2"
  >Skip to the page</a
>
<div class="flex min-h-screen print:block">
  <Rail />
  <main id="main" tabindex="-1" class="min-w-0 flex-1 outline-none max-sm:pb-[62px]">
    {@render children()}
  </main>
</div>
