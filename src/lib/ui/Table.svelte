<!-- A table. Its columns say what stands in them; one that says what it is ordered by is sorted by pressing its head. -->
<script lang="ts" generics="Row extends RowData">
  import ArrowDown from '@lucide/svelte/icons/arrow-down';
  import ArrowUp from '@lucide/svelte/icons/arrow-up';
  import {
    createSortedRowModel,
    createTable,
    rowSortingFeature,
    sortFn_basic,
    tableFeatures,
    type RowData
  } from '@tanstack/svelte-table';
  import type { Snippet } from 'svelte';
  import type { TableColumn } from './table';

  let {
    rows,
    columns,
    label = undefined,
    testid = undefined,
    empty = undefined,
    rowClass = '',
    class: extra = '',
    cell: drawn = undefined,
    head = undefined,
    foot = undefined
  }: {
    rows: readonly Row[];
    columns: readonly TableColumn<Row>[];
    label?: string;
    testid?: string;
    /** What stands there while there are no rows. */
    empty?: string;
    rowClass?: string | ((row: Row) => string);
    class?: string;
    /** Draws the cells whose column has no words of its own. */
    cell?: Snippet<[row: Row, column: string]>;
    /** Draws the heads that are more than words. */
    head?: Snippet<[column: string]>;
    /** Rows under the others: sums. */
    foot?: Snippet;
  } = $props();

  const features = tableFeatures({
    rowSortingFeature,
    sortedRowModel: createSortedRowModel(),
    sortFns: { basic: sortFn_basic }
  });
  const table = createTable<typeof features, Row>({
    features,
    get data() {
      return rows;
    },
    get columns() {
      return columns.map((c) => ({
        id: c.id,
        header: c.head ?? '',
        accessorFn: (row: Row) => (c.by ?? c.text)?.(row) ?? '',
        enableSorting: c.by !== undefined,
        sortFn: 'basic' as const
      }));
    }
  });
  const columnOf = $derived(new Map(columns.map((c) => [c.id, c])));
  const headed = $derived(columns.some((c) => c.head !== undefined) || head !== undefined);
  const worded = <T,>(words: string | ((of: T) => string) | undefined, of: T) =>
    typeof words === 'function' ? words(of) : (words ?? '');
  const ORDERS = { asc: 'ascending', desc: 'descending' } as const;
</script>

<table class="figures {extra}" aria-label={label} data-testid={testid}>
  {#if headed}
    <thead>
      {#each table.getHeaderGroups() as group (group.id)}
        <tr>
          {#each group.headers as { id, column } (id)}
            {@const own = columnOf.get(column.id)}
            {@const sorted = column.getIsSorted()}
            <th
              class="{own?.num ? 'num' : ''} {own?.headClass ?? ''}"
              aria-sort={sorted ? ORDERS[sorted] : undefined}
            >
              {#if own?.head === undefined && head}
                {@render head(column.id)}
              {:else if column.getCanSort()}
                <button
                  class="inline-flex items-center gap-0.5 font-semibold hover:text-ink"
                  onclick={column.getToggleSortingHandler()}
                  >{own?.head}{#if sorted === 'asc'}<ArrowUp
                      size={13}
                      aria-hidden="true"
                    />{:else if sorted}<ArrowDown size={13} aria-hidden="true" />{/if}</button
                >
              {:else}{own?.head ?? ''}{/if}
            </th>
          {/each}
        </tr>
      {/each}
    </thead>
  {/if}
  <tbody>
    {#each table.getRowModel().rows as row (row.id)}
      <tr class={worded(rowClass, row.original)}>
        {#each row.getAllCells() as { id, column } (id)}
          {@const own = columnOf.get(column.id)}
          <td data-column={column.id} class="{own?.num ? 'num' : ''} {worded(own?.class, row.original)}"
            >{#if own?.text}{own.text(row.original)}{:else}{@render drawn?.(row.original, column.id)}{/if}</td
          >
        {/each}
      </tr>
    {:else}
      {#if empty}<tr><td colspan={columns.length} class="!py-6 text-ink-2">{empty}</td></tr>{/if}
    {/each}
    {@render foot?.()}
  </tbody>
</table>
