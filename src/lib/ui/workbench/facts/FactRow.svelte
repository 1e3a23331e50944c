<!-- One figure of the batch: what it is at the left, the figure at the right, how it comes about below. -->
<script lang="ts">
  import type { Snippet } from 'svelte';
  import Figure from '../../Figure.svelte';

  let {
    label,
    value = '',
    note = '',
    children
  }: {
    label: string;
    value?: string;
    note?: string;
    /** In place of the figure: a field, or marks. */
    children?: Snippet;
  } = $props();
</script>

<div class="flex items-baseline justify-between gap-3 border-t border-rule py-1.5">
  <dt class="shrink-0 text-ink-2">{label}</dt>
  <dd class="text-right">
    {#if children}{@render children()}{:else}<Figure class="font-semibold" {value} />{/if}
    {#if note}<span class="block text-[0.8rem] text-ink-2">{note}</span>{/if}
  </dd>
</div>
