<script lang="ts">
  import Rail from '$lib/ui/Rail.svelte';
  let { children } = $props();
</script>

<div class="flex min-h-screen print:block">
  <Rail />
  <main class="min-w-0 flex-1">
    {@render children()}
  </main>
</div>
