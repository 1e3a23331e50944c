<!-- A small panel behind a quiet button, for what is seldom changed. -->
<script lang="ts">
  import ChevronDown from '@lucide/svelte/icons/chevron-down';
  import { Popover } from 'bits-ui';
  import type { Snippet } from 'svelte';

  let {
    title,
    words,
    of = '',
    width = '19rem',
    side = 'bottom',
    class: extra = '',
    children
  }: {
    title: string;
    /** What is inside it. */
    words: string;
    /** Whose it is, for those who cannot see where it stands. */
    of?: string;
    width?: string;
    side?: 'bottom' | 'right';
    class?: string;
    children: Snippet;
  } = $props();
</script>

<Popover.Root>
  <Popover.Trigger
    class="rounded px-1.5 text-ink-2 underline-offset-2 hover:bg-sheet hover:text-ink {extra}"
    aria-label={of ? `${words}, ${of}` : undefined}
    >{words}<ChevronDown
      size={14}
      class="ml-0.5 inline-block text-ink-2"
      aria-hidden="true"
    /></Popover.Trigger
  >
  <Popover.Portal>
    <Popover.Content
      class="z-30 max-h-[76vh] overflow-y-auto rounded-xl border border-rule-strong bg-ground p-4 text-[0.9rem] shadow-xl"
      style="width:{width}"
      {side}
      sideOffset={6}
      strategy="fixed"
      collisionPadding={12}
      align="start"
    >
      <h3 class="text-[1.1rem]">{title}</h3>
      {@render children()}
    </Popover.Content>
  </Popover.Portal>
</Popover.Root>
