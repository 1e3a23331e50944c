<!-- Whose hands this device is in; nothing where the workshop names nobody. -->
<script lang="ts">
  import { handOver, maker } from '../run/hands.svelte';
  import { preferences } from '$lib/preferences.svelte';
  import Choice from './forms/Choice.svelte';

  let { asks = 'Who is pouring' }: { asks?: string } = $props();
</script>

{#if preferences().makers.length}
  <Choice
    quiet
    label={asks}
    placeholder="{asks}?"
    value={maker() ?? ''}
    options={preferences().makers.map((m) => ({ value: m, label: m }))}
    onchange={handOver}
  />
{/if}
