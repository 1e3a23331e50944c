<!-- A table of cards from a CSV: read first, its columns set, every row's fault by its line; then all of it or nothing. -->
<script lang="ts">
  import { counted } from '$core/quantity';
  import { goto } from '$app/navigation';
  import type { Problem } from '$core/problem';
  import { TABLE_FIELDS, TABLE_KINDS, type Mapping, type ReadTable, type TableKind } from '$core/shelf';
  import Choice from '../../../../lib/ui/forms/Choice.svelte';
  import ProblemNote from '$lib/ui/ProblemNote.svelte';
  import Table from '$lib/ui/Table.svelte';
  import { send } from '../../../../lib/store/send';
  import { problemWords } from '$lib/preferences.svelte';

  let kind = $state<TableKind>('colourants');
  let text = $state('');
  let table = $state.raw<ReadTable>();
  let problems = $state<Problem[]>([]);
  const wrong = $derived(table?.rows.filter((r) => r.problems.length) ?? []);

  async function read(mapping?: Mapping) {
    problems = [];
    table = undefined;
    if (!text.trim()) return;
    const found = await send<ReadTable>('POST', `/import/${kind}`, { text, ...(mapping ? { mapping } : {}) });
    if (found.ok) table = found.value;
    else problems = found.problems;
  }

  async function choose(file: File | undefined) {
    if (!file) return;
    text = await file.text();
    await read();
  }

  function map(field: string, column: string) {
    if (!table) return;
    const { [field]: _, ...rest } = table.mapping;
    void read(column === '' ? rest : { ...rest, [field]: Number(column) });
  }

  async function keep() {
    if (!table) return;
    const stored = await send('POST', `/import/${kind}`, { text, mapping: table.mapping, keep: true });
    if (stored.ok) await goto(kind === 'colourants' ? '/colours' : '/shelf', { invalidateAll: true });
    else problems = stored.problems;
  }
</script>

<svelte:head><title>Import a table · Kirapen</title></svelte:head>

<div class="page">
  <p class="text-[0.9rem] text-ink-2"><a class="underline" href="/shelf">Shelf</a></p>
  <h1 class="text-[1.9rem]">Import a table</h1>
  <p class="mt-1 text-ink-2">
    A CSV with a line of headings. Nothing is saved until every row is right. What is here already:
    {#each TABLE_KINDS as k, i (k)}{i ? ', ' : ''}<a class="underline" href="/api/v1/tables/{k}.csv" download
        >{k} as a table</a
      >{/each}.
  </p>
  <div class="mt-4 flex flex-wrap items-center gap-3">
    <Choice
      class="!w-48"
      label="What it holds"
      value={kind}
      options={TABLE_KINDS.map((k) => ({ value: k, label: k }))}
      onchange={(k) => {
        kind = k as TableKind;
        void read();
      }}
    />
    <label class="button cursor-pointer focus-within:outline-2">
      Choose a file
      <input
        class="sr-only"
        type="file"
        accept=".csv,.tsv,.txt,text/csv"
        aria-label="Table to import"
        onchange={(e) => choose(e.currentTarget.files?.[0])}
      />
    </label>
  </div>
  <textarea
    class="field mt-3 min-h-32 py-2 font-mono text-[0.95rem]"
    aria-label="Or paste it here"
    placeholder="or paste it here: {TABLE_FIELDS[kind].map((f) => f.words.replace(/,.*$/, '')).join(', ')}"
    bind:value={text}
    onchange={() => read()}></textarea>
  <div class="mt-3 space-y-2">
    {#each problems as problem, i (i)}<ProblemNote {problem} />{/each}
  </div>
  {#if table}
    <h2 class="mt-5 text-[1.35rem]">Its columns</h2>
    <ul class="mt-2 grid gap-3 sm:grid-cols-2 lg:grid-cols-3">
      {#each TABLE_FIELDS[kind] as field (field.key)}
        <li>
          <span class="label block">{field.words}{field.needed ? '' : ', if there'}</span>
          <Choice
            label="Column of {field.words}"
            value={table.mapping[field.key] === undefined ? '' : String(table.mapping[field.key])}
            options={[
              { value: '', label: '—' },
              ...table.columns.map((c, i) => ({ value: String(i), label: c || `column ${i + 1}` }))
            ]}
            onchange={(v) => map(field.key, v)}
          />
        </li>
      {/each}
    </ul>
    <h2 class="mt-5 text-[1.35rem]">
      {table.rows.length} rows{#if wrong.length}, <span class="text-cinnabar"
          >{counted(wrong.length, 'row')} to fix</span
        >{/if}
    </h2>
    <Table
      class="mt-2"
      testid="import-rows"
      rows={[...wrong, ...table.rows.filter((r) => !r.problems.length)].slice(0, 100)}
      columns={[
        { id: 'line', head: 'line', num: true, text: (r) => r.line },
        { id: 'name', head: 'name', text: (r) => r.name },
        {
          id: 'state',
          head: '',
          text: (r) => r.problems.map((p) => problemWords(p)).join(' ') || 'ready',
          class: (r) => (r.problems.length ? 'text-cinnabar' : 'text-verdigris')
        }
      ]}
    />
    <button class="button go mt-4 min-h-[52px]" disabled={wrong.length > 0} onclick={keep}
      >Put {table.rows.length} on the shelf</button
    >
  {/if}
</div>
