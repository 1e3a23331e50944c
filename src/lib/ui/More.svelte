<!-- A small panel behind a quiet button, for what is seldom changed. -->
<script lang="ts">
  import { Popover } from 'bits-ui';
  import type { Snippet } from 'svelte';

  let {
    label,
    title,
    words = '…',
    width = '19rem',
    side = 'bottom',
    class: extra = '',
    children
  }: {
    /** What the button is called for those who cannot see it. */
    label: string;
    title: string;
    words?: string;
    width?: string;
    side?: 'bottom' | 'right';
    class?: string;
    children: Snippet;
  } = $props();
</script>

<Popover.Root>
  <Popover.Trigger
    class="rounded px-1.5 text-ink-2 underline-offset-2 hover:bg-sheet hover:text-ink {extra}"
    aria-label={label}>{words}</Popover.Trigger
  >
  <Popover.Portal>
    <Popover.Content
      class="z-30 max-h-[76vh] overflow-y-auto rounded-xl border border-rule-strong bg-ground p-4 text-[0.9rem] shadow-xl"
      style="width:{width}"
      {side}
      sideOffset={6}
      collisionPadding={12}
      align="start"
    >
      <h3 class="text-[1.1rem]">{title}</h3>
      {@render children()}
    </Popover.Content>
  </Popover.Portal>
</Popover.Root>
