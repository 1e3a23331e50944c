<!-- A day, typed in the order of the locale; kept as `2026-11-30`, empty for none. -->
<script lang="ts">
  import { CalendarDate, parseDate, type DateValue } from '@internationalized/date';
  import { DateField } from 'bits-ui';
  import X from '@lucide/svelte/icons/x';

  let {
    label,
    value,
    onchange,
    quiet = false,
    optional = false,
    marks = {}
  }: {
    label: string;
    value: string;
    onchange: (value: string) => void;
    quiet?: boolean;
    /** Whether it may be emptied. */
    optional?: boolean;
    /** Attributes of the field itself: what a page finds it by. */
    marks?: Record<string, string>;
  } = $props();

  const day = $derived.by((): DateValue | undefined => {
    try {
      return value ? parseDate(value) : undefined;
    } catch {
      return undefined;
    }
  });
  /** No workshop has a date before it. */
  const FIRST = 1970;
  const written = ({ year, month, day }: DateValue) => new CalendarDate(year, month, day).toString();
</script>

<span class="inline-flex items-center gap-1">
  <DateField.Root
    value={day}
    onValueChange={(v) => {
      // A year that is not all typed yet is none.
      if (v && v.year < FIRST) return;
      const next = v ? written(v) : '';
      if (next !== value) onchange(next);
    }}
    locale={typeof navigator === 'undefined' ? 'en' : navigator.language}
    granularity="day"
  >
    <DateField.Input
      class="inline-flex items-center {quiet ? 'quiet' : 'field'} !w-auto tabular-nums"
      aria-label={label}
      {...marks}
    >
      {#snippet children({ segments })}
        {#each segments as { part, value: text }, i (part + i)}
          {#if part === 'literal'}
            <span class="text-ink-2" aria-hidden="true">{text}</span>
          {:else}
            <DateField.Segment {part} class="rounded px-0.5 outline-none focus:bg-verdigris-soft"
              >{text}</DateField.Segment
            >
          {/if}
        {/each}
      {/snippet}
    </DateField.Input>
  </DateField.Root>
  {#if optional && value}
    <button
      class="grid min-h-9 place-items-center px-1 text-ink-2 hover:text-ink"
      onclick={() => onchange('')}
      ><X size={14} aria-hidden="true" /><span class="sr-only">No date: {label}</span></button
    >
  {/if}
</span>
