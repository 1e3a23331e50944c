<!-- One of several, once it was touched: its field with its list, which opens at once. -->
<script lang="ts">
  import Check from '@lucide/svelte/icons/check';
  import ChevronDown from '@lucide/svelte/icons/chevron-down';
  import { Select } from 'bits-ui';

  import { onMount } from 'svelte';
  import { fieldOf, shownOf, type ChoiceProps } from './choice';

  let {
    label,
    value,
    options,
    onchange,
    quiet = false,
    placeholder = '',
    class: extra = '',
    id = undefined
  }: ChoiceProps = $props();

  let open = $state(false);
  // The list stands by its field, which has to be there first.
  onMount(() => (open = true));
  const shown = $derived(shownOf({ value, options, placeholder }));
</script>

<Select.Root
  type="single"
  bind:open
  {value}
  items={options.map((o) => ({ ...o }))}
  onValueChange={(v) => {
    if (v !== '' && v !== value) onchange(v);
  }}
  allowDeselect={false}
>
  <Select.Trigger {id} class={fieldOf(quiet, extra)} role="combobox" aria-label={label} data-choice={label}>
    <span class="min-w-0 {quiet ? 'leading-tight' : 'truncate'}">{shown}</span>
    {#if !quiet}<ChevronDown size={16} class="shrink-0 text-ink-2" aria-hidden="true" />{/if}
  </Select.Trigger>
  <Select.Portal>
    <Select.Content
      class="z-50 max-h-[min(60vh,26rem)] min-w-[var(--bits-select-anchor-width)] overflow-y-auto rounded-lg border border-rule-strong bg-sheet p-1 text-[0.95rem] text-ink shadow-lg outline-none"
      sideOffset={4}
      strategy="fixed"
      collisionPadding={8}
      aria-label={label}
    >
      <Select.Viewport>
        {#each options as option (option.value)}
          <Select.Item
            value={option.value}
            label={option.label}
            class="flex min-h-11 cursor-pointer items-center gap-2 rounded-md px-3 outline-none data-[highlighted]:bg-sunk"
          >
            {#snippet children({ selected })}
              {#if option.swatch}<span
                  class="size-5 shrink-0 rounded border border-rule-strong"
                  style="background:{option.swatch}"
                  aria-hidden="true"
                ></span>{/if}
              <span class="flex-1"
                >{option.label}{#if option.note}<span
                    class="block max-w-72 text-[0.8rem] leading-tight text-ink-2">{option.note}</span
                  >{/if}</span
              >
              {#if selected && value !== ''}<Check size={16} class="text-verdigris" aria-hidden="true" />{/if}
            {/snippet}
          </Select.Item>
        {/each}
      </Select.Viewport>
    </Select.Content>
  </Select.Portal>
</Select.Root>
