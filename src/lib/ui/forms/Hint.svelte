<!-- Words behind something short, shown where the pointer or the focus rests. Nothing that must be read stands here. -->
<script lang="ts">
  import { Tooltip } from 'bits-ui';
  import type { Snippet } from 'svelte';

  let { words, class: extra = '', children }: { words: string; class?: string; children: Snippet } = $props();
</script>

<Tooltip.Provider delayDuration={200}>
  <Tooltip.Root>
    <Tooltip.Trigger class="cursor-help text-left {extra}">{@render children()}</Tooltip.Trigger>
    <Tooltip.Portal>
      <Tooltip.Content
        sideOffset={4}
        collisionPadding={8}
        class="z-40 max-w-64 rounded-lg border border-rule-strong bg-ground px-3 py-1.5 text-[0.85rem] shadow-lg"
      >
        {words}
      </Tooltip.Content>
    </Tooltip.Portal>
  </Tooltip.Root>
</Tooltip.Provider>
