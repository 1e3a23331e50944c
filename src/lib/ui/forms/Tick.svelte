<!-- Yes or no, with its words beside it. -->
<script lang="ts">
  import Check from '@lucide/svelte/icons/check';
  import { Checkbox, Label } from 'bits-ui';
  import type { Snippet } from 'svelte';

  let {
    checked,
    onchange,
    label = undefined,
    class: extra = '',
    children
  }: {
    checked: boolean;
    onchange: (checked: boolean) => void;
    /** What it is called, where its words alone do not say. */
    label?: string;
    class?: string;
    children: Snippet;
  } = $props();
  const uid = $props.id();
</script>

<div class="flex min-h-11 items-center gap-2 {extra}">
  <Checkbox.Root
    id="{uid}-tick"
    {checked}
    onCheckedChange={(v) => onchange(v === true)}
    aria-label={label}
    class="grid h-6 w-6 shrink-0 place-items-center rounded border border-rule-strong bg-sheet data-[state=checked]:border-verdigris data-[state=checked]:bg-verdigris data-[state=checked]:text-on-verdigris"
  >
    {#snippet children({ checked: on })}
      {#if on}<Check size={18} aria-hidden="true" />{/if}
    {/snippet}
  </Checkbox.Root>
  <Label.Root for="{uid}-tick" class="flex-1 cursor-pointer">{@render children()}</Label.Root>
</div>
