<!-- One of several: a list that opens, by mouse, thumb or keyboard. With a placeholder and no value it is a button that adds. Its list is fetched when it is first touched. -->
<script lang="ts">
  import ChevronDown from '@lucide/svelte/icons/chevron-down';
  import type { Component } from 'svelte';
  import { fieldOf, shownOf, type ChoiceProps } from './choice';

  const props: ChoiceProps = $props();
  const uid = $props.id();
  const shown = $derived(shownOf(props));
  let List = $state.raw<Component<ChoiceProps>>();

  const fetched = () => import('./ChoiceList.svelte');
  async function open() {
    List = (await fetched()).default;
  }
  /** Keys that open a list. */
  const OPENS = ['ArrowDown', 'ArrowUp'];
</script>

{#if List}
  <List {...props} />
{:else}
  <button
    type="button"
    id={props.id}
    class={fieldOf(props.quiet ?? false, props.class ?? '')}
    role="combobox"
    aria-haspopup="listbox"
    aria-expanded="false"
    aria-controls="{uid}-list"
    aria-label={props.label}
    data-choice={props.label}
    onpointerenter={() => void fetched()}
    onfocus={() => void fetched()}
    onclick={() => void open()}
    onkeydown={(e) => {
      if (!OPENS.includes(e.key)) return;
      e.preventDefault();
      void open();
    }}
  >
    <span class="min-w-0 {props.quiet ? 'leading-tight' : 'truncate'}">{shown}</span>
    {#if !props.quiet}<ChevronDown size={16} class="shrink-0 text-ink-2" aria-hidden="true" />{/if}
  </button>
{/if}
