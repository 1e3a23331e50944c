<!-- One of several: a list that opens, by mouse, thumb or keyboard. With a placeholder and no value it is a button that adds. -->
<script lang="ts">
  import Check from '@lucide/svelte/icons/check';
  import ChevronDown from '@lucide/svelte/icons/chevron-down';
  import { Select } from 'bits-ui';

  interface Option {
    value: string;
    label: string;
    /** A word or a reason beneath it. */
    note?: string;
    /** A colour that stands before it. */
    swatch?: string;
  }

  let {
    label,
    value,
    options,
    onchange,
    quiet = false,
    placeholder = '',
    class: extra = '',
    id = undefined
  }: {
    label: string;
    /** What is chosen; empty for nothing. */
    value: string;
    options: readonly Option[];
    onchange: (value: string) => void;
    quiet?: boolean;
    /** Said while nothing is chosen. */
    placeholder?: string;
    class?: string;
    id?: string;
  } = $props();

  const shown = $derived(options.find((o) => o.value === value)?.label ?? (value || placeholder));
</script>

<Select.Root
  type="single"
  {value}
  items={options.map((o) => ({ ...o }))}
  onValueChange={(v) => {
    if (v !== '' && v !== value) onchange(v);
  }}
  allowDeselect={false}
>
  <Select.Trigger
    {id}
    class="inline-flex items-center gap-1 text-left {quiet ? 'quiet' : 'field justify-between'} {extra}"
    role="combobox"
    aria-label={label}
    data-choice={label}
  >
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
