<!-- Words that open: what is less often read, under a line that says what it is. -->
<script lang="ts">
  import ChevronRight from '@lucide/svelte/icons/chevron-right';
  import { Collapsible } from 'bits-ui';
  import type { Snippet } from 'svelte';

  let {
    words,
    open = false,
    testid = undefined,
    class: extra = '',
    children
  }: { words: string; open?: boolean; testid?: string; class?: string; children: Snippet } = $props();
  let byHand = $state<boolean>();
</script>

<Collapsible.Root
  class="text-[0.85rem] text-ink-2 {extra}"
  open={byHand ?? open}
  onOpenChange={(v) => (byHand = v)}
  data-testid={testid}
>
  <Collapsible.Trigger class="group flex items-center gap-0.5 py-1 text-left font-semibold">
    <ChevronRight
      size={16}
      aria-hidden="true"
      class="shrink-0 transition-transform group-data-[state=open]:rotate-90"
    />{words}
  </Collapsible.Trigger>
  {#if byHand ?? open}<Collapsible.Content>{@render children()}</Collapsible.Content>{/if}
</Collapsible.Root>
