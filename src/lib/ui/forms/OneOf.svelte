<!-- One of a few, all of them in sight. -->
<script lang="ts" generics="T extends { value: string }">
  import { RadioGroup } from 'bits-ui';
  import type { Snippet } from 'svelte';

  let {
    label,
    value,
    options,
    onchange,
    cards = false,
    class: extra = '',
    children
  }: {
    label: string;
    value: string;
    options: readonly T[];
    onchange: (value: string) => void;
    /** Each as a card to press, instead of a line with a mark before it. */
    cards?: boolean;
    class?: string;
    /** What one of them shows. */
    children: Snippet<[T]>;
  } = $props();
</script>

<RadioGroup.Root {value} onValueChange={onchange} aria-label={label} class={extra}>
  {#each options as option (option.value)}
    <RadioGroup.Item
      value={option.value}
      class={cards
        ? 'button min-h-[64px] flex-col !items-start !gap-0.5 py-2 text-left whitespace-normal data-[state=checked]:!border-verdigris data-[state=checked]:!bg-verdigris-soft'
        : 'flex min-h-11 w-full items-center gap-2 text-left'}
    >
      {#snippet children({ checked })}
        {#if !cards}
          <span
            class="grid h-5 w-5 shrink-0 place-items-center rounded-full border border-rule-strong bg-sheet"
            aria-hidden="true"
          >
            {#if checked}<span class="h-3 w-3 rounded-full bg-verdigris"></span>{/if}
          </span>
        {/if}
        {@render body(option)}
      {/snippet}
    </RadioGroup.Item>
  {/each}
</RadioGroup.Root>

{#snippet body(option: T)}{@render children(option)}{/snippet}
