<!-- A day, once a hand is at the page: typed part by part in the order of the locale; where it was touched, its first part is in hand. -->
<script lang="ts">
  import { CalendarDate, parseDate, type DateValue } from '@internationalized/date';
  import { DateField } from 'bits-ui';
  import { onMount } from 'svelte';
  import { locale, type DateProps } from './date';

  let { label, value, onchange, quiet = false, marks = {}, taken }: DateProps & { taken: boolean } = $props();

  let field = $state<HTMLElement>();
  onMount(() => {
    if (taken) field?.querySelector<HTMLElement>('[data-segment]:not([data-segment="literal"])')?.focus();
  });

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

<span bind:this={field}>
  <DateField.Root
    value={day}
    onValueChange={(v) => {
      // A year that is not all typed yet is none.
      if (v && v.year < FIRST) return;
      const next = v ? written(v) : '';
      if (next !== value) onchange(next);
    }}
    locale={locale()}
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
</span>
