<!-- A day, typed in the order of the locale; kept as `2026-11-30`, empty for none. Its parts are fetched when it is first touched. -->
<script lang="ts">
  import X from '@lucide/svelte/icons/x';
  import type { Component } from 'svelte';
  import { dayShown, type DateProps } from './date';

  const props: DateProps = $props();
  let Parts = $state.raw<Component<DateProps>>();
  const fetched = () => import('./DateParts.svelte');
  async function open() {
    Parts = (await fetched()).default;
  }
</script>

<span class="inline-flex items-center gap-1">
  {#if Parts}
    <Parts {...props} />
  {:else}
    <button
      type="button"
      class="inline-flex items-center {props.quiet ? 'quiet' : 'field'} !w-auto tabular-nums {props.value
        ? ''
        : 'text-ink-2'}"
      aria-label={props.label}
      title={dayShown(props.value)}
      {...props.marks}
      onpointerenter={() => void fetched()}
      onfocus={() => void open()}
      onclick={() => void open()}>{dayShown(props.value)}</button
    >
  {/if}
  {#if props.optional && props.value}
    <button
      class="grid min-h-9 place-items-center px-1 text-ink-2 hover:text-ink"
      onclick={() => props.onchange('')}
      ><X size={14} aria-hidden="true" /><span class="sr-only">No date: {props.label}</span></button
    >
  {/if}
</span>
