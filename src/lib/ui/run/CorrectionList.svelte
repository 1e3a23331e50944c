<!-- What was put right or went otherwise, each with what it did. -->
<script lang="ts">
  import type { Correction } from '$core/run';
  import { inWords } from '../../preferences.svelte';

  let { corrections }: { corrections: readonly Correction[] } = $props();
</script>

<ul class="ruled mt-1" data-testid="corrections">
  {#each corrections as c (c.at + c.what)}
    <li class="py-2">
      {inWords(c.what)}{#if c.did}: <span class="text-ink-2">{inWords(c.did)}</span>{/if}
    </li>
  {/each}
</ul>
