<script lang="ts">
  import { untrack } from 'svelte';
  import { afterNavigate, goto } from '$app/navigation';
  import Choice from '../../../lib/ui/forms/Choice.svelte';
  import Table from '$lib/ui/Table.svelte';
  import BrokenList from '$lib/ui/BrokenList.svelte';
  import { day } from '$lib/when';

  let { data } = $props();
  /** Asked for anew once nothing was typed for so long, ms. */
  const QUIET = 180;
  let soon: ReturnType<typeof setTimeout> | undefined;
  /** What is looked for as it is being typed: an answer to fewer letters never takes the later ones out of the field. */
  let words = $state(untrack(() => data.asked.words));
  let field: HTMLInputElement;
  afterNavigate(() => {
    if (document.activeElement !== field) words = data.asked.words;
  });
  const ONLY = [
    { value: 'all', label: 'all runs' },
    { value: 'rejects', label: 'with rejects' },
    { value: 'open', label: 'still open' },
    { value: 'lessons', label: 'with a lesson' }
  ];
  /** What the record is narrowed to, as it stands in the address. */
  const narrowed = $derived.by((): Record<string, string> => {
    const { having, grade, defect, since, until } = data.asked;
    const all = { ...having, grade, defect, since, until };
    return Object.fromEntries(Object.entries(all).flatMap(([k, v]) => (v ? [[k, v]] : [])));
  });
  let open = $state(false);
  function ask(what: Record<string, string>, at = 0) {
    clearTimeout(soon);
    soon = setTimeout(() => {
      const to = new URLSearchParams({
        q: words,
        only: data.asked.only,
        ...narrowed,
        page: '0',
        ...what
      });
      for (const [name, value] of [...to]) if (!value) to.delete(name);
      void goto(`/record?${to}`, { keepFocus: true, noScroll: true, replaceState: true });
    }, at);
  }
  const shown = $derived(data.runs);
  const pages = $derived(Math.ceil(data.of / data.perPage));
  const percent = (x: number) => `${(x * 100).toFixed(0)} %`;
</script>

<svelte:head><title>Record · Kirapen</title></svelte:head>

<div class="page">
  <header class="flex flex-wrap items-center gap-3">
    <h1 class="flex-1 text-[1.9rem]">Record</h1>
    <input
      class="field !w-64"
      type="search"
      placeholder="Find a run or a lesson"
      aria-label="Find a run or a lesson"
      bind:this={field}
      bind:value={words}
      oninput={() => ask({}, QUIET)}
    />
    <Choice
      class="!w-44"
      label="Only"
      value={data.asked.only}
      options={ONLY}
      onchange={(only) => ask({ only })}
    />
    <button class="button" aria-expanded={open} onclick={() => (open = !open)}>
      Narrow down{Object.keys(narrowed).length ? ` (${Object.keys(narrowed).length})` : ''}
    </button>
    <a class="button" href="/record/charts">Charts</a>
    <a class="button" href="/record/compare">Compare</a>
    <a class="button" href="/api/v1/record.csv" download>Export as CSV</a>
  </header>
  {#if open || Object.keys(narrowed).length}
    {#await import('$lib/ui/record/NarrowRecord.svelte') then { default: NarrowRecord }}
      <NarrowRecord values={data.values} {narrowed} onchange={ask} />
    {/await}
  {/if}
  <BrokenList broken={data.broken} />
  {#if data.rejects.inspected}
    <p class="mt-2 text-ink-2">
      <strong class="text-ink">{data.rejects.rejected} of {data.rejects.inspected}</strong> inspected pieces
      were rejects; likely between {percent(data.rejects.low)} and {percent(data.rejects.high)} in the long run.
    </p>
  {/if}

  <Table
    class="mt-5"
    rows={shown}
    rowClass="hover:bg-sheet"
    empty={data.asked.words || data.asked.only !== 'all' || Object.keys(narrowed).length
      ? 'Nothing in the record says that.'
      : 'No runs yet. A run is written down here as it happens.'}
    columns={[
      { id: 'run', head: 'run', by: (r) => r.name, class: '!py-3' },
      {
        id: 'begun',
        head: 'begun',
        by: (r) => r.startedAt,
        text: (r) => `${day(r.startedAt)}${r.finishedAt ? '' : ' · open'}`,
        class: 'whitespace-nowrap'
      },
      {
        id: 'base',
        head: 'material',
        by: (r) => r.base ?? '',
        text: (r) => r.base ?? '',
        class: 'text-ink-2 max-lg:hidden',
        headClass: 'max-lg:hidden'
      },
      { id: 'cast', head: 'cast', num: true, by: (r) => r.cast, text: (r) => r.cast },
      {
        id: 'good',
        head: 'good',
        num: true,
        by: (r) => r.good,
        text: (r) => r.good || '',
        class: 'font-semibold text-verdigris'
      },
      {
        id: 'second',
        head: 'second',
        num: true,
        by: (r) => r.second,
        text: (r) => r.second || '',
        class: 'font-semibold text-ochre'
      },
      {
        id: 'reject',
        head: 'reject',
        num: true,
        by: (r) => r.reject,
        text: (r) => r.reject || '',
        class: 'font-semibold text-cinnabar'
      },
      {
        id: 'lesson',
        head: 'lesson',
        text: (r) => r.lesson ?? '',
        class: 'max-w-72 truncate text-ink-2 max-lg:max-w-56 max-lg:whitespace-normal'
      }
    ]}
  >
    {#snippet cell(run)}
      <a class="font-semibold underline-offset-2 hover:underline" href="/record/{run.id}">{run.name}</a>
    {/snippet}
  </Table>
  {#if pages > 1}
    <p class="mt-4 flex items-center gap-3 text-ink-2">
      <button
        class="button"
        disabled={data.asked.page === 0}
        onclick={() => ask({ page: String(data.asked.page - 1) })}>later</button
      >
      <span>page {data.asked.page + 1} of {pages}, {data.of} runs</span>
      <button
        class="button"
        disabled={data.asked.page + 1 >= pages}
        onclick={() => ask({ page: String(data.asked.page + 1) })}>earlier</button
      >
    </p>
  {/if}
</div>
