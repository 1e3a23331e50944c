<!-- Whose hands this device is in; nothing where the workshop names nobody. -->
<script lang="ts">
  import { handOver, maker } from '$lib/hands.svelte';
  import { ways } from '$lib/ways.svelte';
  import Choice from './Choice.svelte';
</script>

{#if ways().makers.length}
  <Choice
    quiet
    label="Whose hands"
    placeholder="whose hands?"
    value={maker() ?? ''}
    options={ways().makers.map((m) => ({ value: m, label: m }))}
    onchange={handOver}
  />
{/if}
