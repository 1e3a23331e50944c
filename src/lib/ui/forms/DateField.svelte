<!-- A day, typed in the order of the locale; kept as `2026-11-30`, empty for none. Its parts are fetched as soon as a hand is at the page. -->
<script lang="ts">
  import X from '@lucide/svelte/icons/x';
  import type { Component } from 'svelte';
  import { dayShown, type DateProps } from './date';

  const props: DateProps = $props();
  let Parts = $state.raw<Component<DateProps & { taken: boolean }>>();
  /** Whether it was this field that was touched. */
  let taken = $state(false);
  async function fetched() {
    Parts ??= (await import('./DateParts.svelte')).default;
  }
  function take() {
    taken = true;
    void fetched();
  }
</script>

<svelte:window
  onpointermove={Parts ? undefined : () => void fetched()}
  onkeydown={Parts ? undefined : () => void fetched()}
/>

<span class="inline-flex items-center gap-1">
  {#if Parts}
    <Parts {...props} {taken} />
  {:else}
    <span role="group" aria-label={props.label} {...props.marks}>
      <button
        type="button"
        class="inline-flex items-center {props.quiet ? 'quiet' : 'field'} !w-auto tabular-nums {props.value
          ? ''
          : 'text-ink-2'}"
        onfocus={take}
        onclick={take}>{dayShown(props.value)}</button
      >
    </span>
  {/if}
  {#if props.optional && props.value}
    <button
      class="grid min-h-9 place-items-center px-1 text-ink-2 hover:text-ink"
      onclick={() => props.onchange('')}
      ><X size={14} aria-hidden="true" /><span class="sr-only">No date: {props.label}</span></button
    >
  {/if}
</span>
