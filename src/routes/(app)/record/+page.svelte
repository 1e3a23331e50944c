<script lang="ts">
  import BrokenList from '$lib/ui/BrokenList.svelte';
  import { day } from '$lib/when';

  let { data } = $props();
  let filter = $state('');
  const shown = $derived(
    data.runs.filter((r) =>
      `${r.name} ${r.base} ${r.lessons.join(' ')}`.toLowerCase().includes(filter.trim().toLowerCase())
    )
  );
  const percent = (x: number) => `${(x * 100).toFixed(0)} %`;
</script>

<svelte:head><title>Record · Kirapen</title></svelte:head>

<div class="mx-auto max-w-[1100px] px-7 py-7">
  <header class="flex flex-wrap items-center gap-3">
    <h1 class="flex-1 text-[1.9rem]">Record</h1>
    <input
      class="field !w-64"
      type="search"
      placeholder="Find a run or a lesson"
      aria-label="Find a run or a lesson"
      bind:value={filter}
    />
    <a class="button" href="/api/v1/record.csv" download>Export as CSV</a>
  </header>
  <BrokenList broken={data.broken} />
  {#if data.rejects.inspected}
    <p class="mt-2 text-ink-2">
      <strong class="text-ink">{data.rejects.rejected} of {data.rejects.inspected}</strong> inspected pieces
      were rejects; the true rate is between {percent(data.rejects.low)} and {percent(data.rejects.high)} (95 %).
    </p>
  {/if}

  <table class="figures mt-5">
    <thead>
      <tr>
        <th>run</th><th>begun</th><th>base</th><th class="num">cast</th><th class="num">good</th><th
          class="num">second</th
        >
        <th class="num">reject</th><th>lesson</th>
      </tr>
    </thead>
    <tbody>
      {#each shown as run (run.id)}
        <tr class="hover:bg-sheet">
          <td class="!py-3"
            ><a class="font-semibold underline-offset-2 hover:underline" href="/record/{run.id}">{run.name}</a
            ></td
          >
          <td class="whitespace-nowrap">{day(run.startedAt)}{run.finishedAt ? '' : ' · open'}</td>
          <td class="text-ink-2">{run.base}</td>
          <td class="num">{run.cast}</td>
          <td class="num font-semibold text-verdigris">{run.good || ''}</td>
          <td class="num font-semibold text-ochre">{run.second || ''}</td>
          <td class="num font-semibold text-cinnabar">{run.reject || ''}</td>
          <td class="max-w-72 truncate text-ink-2">{run.lessons[0] ?? ''}</td>
        </tr>
      {:else}
        <tr
          ><td colspan="8" class="!py-10 text-center text-ink-2">
            {filter
              ? 'Nothing in the record says that.'
              : 'No runs yet. A run is written down here as it happens.'}
          </td></tr
        >
      {/each}
    </tbody>
  </table>
</div>
