<!-- What the batch means beyond its grams, a tab each: the batch itself, its time, the shelf, the cost. -->
<script lang="ts">
  import { Tabs } from 'bits-ui';
  import type { PlanView } from '../../../plan/plan-view.svelte';
  import BatchFacts from './BatchFacts.svelte';
  import CostFacts from './CostFacts.svelte';
  import StockFacts from './StockFacts.svelte';
  import TimeFacts from './TimeFacts.svelte';

  let { editor }: { editor: PlanView } = $props();
  const TABS = [
    ['batch', 'Batch'],
    ['time', 'Time'],
    ['stock', 'Stock'],
    ['cost', 'Cost']
  ] as const;
  let shown = $state('batch');
  const short = $derived(editor.computed.needs.some((n) => n.short));
</script>

<Tabs.Root bind:value={shown} class="mt-3">
  <Tabs.List class="flex border-b border-rule-strong" aria-label="What the batch means">
    {#each TABS as [value, words] (value)}
      <Tabs.Trigger
        {value}
        class="min-h-11 flex-1 text-[0.9rem] text-ink-2 hover:text-ink data-[state=active]:border-b-[3px] data-[state=active]:border-verdigris data-[state=active]:font-semibold data-[state=active]:text-ink"
      >
        {words}{#if value === 'stock' && short}<span class="text-ochre"
            >&nbsp;●<span class="sr-only">something is short</span></span
          >{/if}
      </Tabs.Trigger>
    {/each}
  </Tabs.List>
  <!-- Only the tab that is read is drawn: the others would be made anew with every keystroke. -->
  <Tabs.Content value="batch"
    >{#if shown === 'batch'}<BatchFacts computed={editor.computed} {editor} />{/if}</Tabs.Content
  >
  <Tabs.Content value="time"
    >{#if shown === 'time'}<TimeFacts {editor} />{/if}</Tabs.Content
  >
  <Tabs.Content value="stock"
    >{#if shown === 'stock'}<StockFacts computed={editor.computed} />{/if}</Tabs.Content
  >
  <Tabs.Content value="cost"
    >{#if shown === 'cost'}<CostFacts {editor} />{/if}</Tabs.Content
  >
</Tabs.Root>
