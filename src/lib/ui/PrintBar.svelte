<!-- The bar above a printed page: back, paper, print. -->
<script lang="ts">
  import Choice from './forms/Choice.svelte';
  import type { Snippet } from 'svelte';
  import { preferences } from '$lib/preferences.svelte';

  let {
    plan,
    here,
    landscape = false,
    children
  }: {
    plan: string;
    here: 'sheet' | 'run-sheet' | 'batch' | 'labels';
    landscape?: boolean;
    children?: Snippet;
  } = $props();
  const PAGES = [
    ['sheet', 'Mix sheet'],
    ['run-sheet', 'Run sheet'],
    ['batch', 'Batch table'],
    ['labels', 'Labels']
  ] as const;
  let paper = $state(preferences().paper);
  /** What this sheet is called as PDF. */
  const pdf = $derived(here === 'sheet' ? 'mix-sheet' : here);
</script>

<svelte:head>
  <!-- Paper is one of two words chosen here; a style element cannot take it otherwise. -->
  <!-- eslint-disable-next-line svelte/no-at-html-tags -->
  {@html `<style>@page { size: ${paper}${landscape ? ' landscape' : ''}; }</style>`}
</svelte:head>

<div
  class="no-print flex flex-wrap items-center gap-x-3 gap-y-1 border-b border-rule px-6 py-3 max-lg:px-3 max-lg:[&_.button]:px-2.5"
>
  <a class="button bare" href="/plans/{plan}">← Workbench</a>
  <nav class="flex flex-1 justify-center gap-1" aria-label="To print">
    {#each PAGES as [page, name] (page)}
      <a
        class="button bare aria-[current]:underline aria-[current]:decoration-verdigris aria-[current]:decoration-2 aria-[current]:underline-offset-8"
        href="/plans/{plan}/{page}"
        aria-current={page === here ? 'page' : undefined}>{name}</a
      >
    {/each}
  </nav>
  {@render children?.()}
  <label class="flex items-center gap-2">
    <span class="label">Paper</span>
    <Choice
      label="Paper"
      value={paper}
      options={[
        { value: 'A4', label: 'A4' },
        { value: 'Letter', label: 'Letter' }
      ]}
      onchange={(v) => (paper = v as typeof paper)}
      class="!w-auto"
    />
  </label>
  <a class="button" href="/api/v1/plans/{plan}/{pdf}.pdf?paper={paper}" target="_blank" rel="noopener">PDF</a>
  <button class="button go" onclick={() => window.print()}>Print</button>
</div>
