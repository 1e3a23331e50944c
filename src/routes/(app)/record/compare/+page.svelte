<!-- Two runs side by side: every logged fact that differs, and what came of each. -->
<script lang="ts">
  import { goto } from '$app/navigation';
  import Choice from '../../../../lib/ui/forms/Choice.svelte';
  import PieceThumb from '../../../../lib/ui/drawing/PieceThumb.svelte';
  import Table from '$lib/ui/Table.svelte';
  import { inWords } from '../../../../lib/preferences.svelte';
  import { day } from '$lib/when';

  let { data } = $props();
  const options = $derived(data.runs.map((r) => ({ value: r.id, label: `${r.name}, ${day(r.startedAt)}` })));
  const headOf = (run: { name: string; startedAt: number }) => `${run.name}, ${day(run.startedAt)}`;
  function choose(side: 'a' | 'b', id: string) {
    const to = new URLSearchParams({ a: data.a?.id ?? '', b: data.b?.id ?? '', [side]: id });
    void goto(`/record/compare?${to}`, { keepFocus: true });
  }
</script>

<svelte:head><title>Compare two runs · Kirapen</title></svelte:head>

{#snippet side(which: 'a' | 'b', run: typeof data.a)}
  <div class="min-w-0 flex-1">
    <Choice
      label={which === 'a' ? 'One run' : 'The other run'}
      value={run?.id ?? ''}
      {options}
      onchange={(id) => choose(which, id)}
      placeholder={which === 'a' ? 'One run' : 'The other run'}
    />
    {#if run}
      <a class="mt-3 flex gap-4 hover:underline" href="/record/{run.id}">
        <span class="shrink-0"><PieceThumb of="runs/{run.id}" made={1} width={110} /></span>
        <span>
          <strong class="block text-[1.1rem]">{run.name}</strong>
          <span class="text-ink-2">begun {day(run.startedAt)}</span>
          {#if run.grades.good + run.grades.second + run.grades.reject}
            <span class="mt-1 block">
              <span class="text-verdigris">{run.grades.good} good</span> ·
              <span class="text-ochre">{run.grades.second} second</span> ·
              <span class="text-cinnabar">{run.grades.reject} reject</span>
            </span>
          {:else}<span class="mt-1 block text-ink-2">not inspected yet</span>{/if}
          {#if run.defects.length}<span class="block text-ink-2">{run.defects.join(', ')}</span>{/if}
        </span>
      </a>
    {/if}
  </div>
{/snippet}

<div class="page">
  <p class="text-[0.9rem] text-ink-2"><a class="underline" href="/record">Record</a></p>
  <h1 class="text-[1.9rem]">Compare two runs</h1>
  <div class="mt-4 flex flex-wrap gap-8">{@render side('a', data.a)}{@render side('b', data.b)}</div>
  {#if data.a && data.b}
    {#if data.changes > 1}
      <p class="mt-6 border-l-4 border-ochre bg-ochre-soft px-4 py-2.5">
        {data.changes} things differed at once: none of them can be blamed alone. Next time change one.
      </p>
    {/if}
    <Table
      class="mt-4"
      testid="differences"
      rows={data.differences}
      empty="Nothing that was logged differs."
      columns={[
        { id: 'what', head: 'what differs', text: (d) => inWords(d.what), class: 'text-ink-2' },
        { id: 'a', head: headOf(data.a), text: (d) => inWords(d.a) || '—', class: 'font-semibold' },
        { id: 'b', head: headOf(data.b), text: (d) => inWords(d.b) || '—', class: 'font-semibold' }
      ]}
    />
  {:else}
    <p class="mt-6 text-ink-2">Choose two runs, best of the same plan. What differs is listed here.</p>
  {/if}
</div>
