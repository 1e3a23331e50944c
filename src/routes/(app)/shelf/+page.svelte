<script lang="ts">
  import Table from '$lib/ui/Table.svelte';
  import BrokenList from '$lib/ui/BrokenList.svelte';
  import { invalidateAll } from '$app/navigation';
  import { duration, weighing } from '$core/quantity';
  import { send } from '../../../lib/store/send';
  import { day } from '$lib/when';
  import { mass, money, inWords, volume } from '../../../lib/preferences.svelte';
  import CavityDrawing from '$lib/ui/shelf/CavityDrawing.svelte';

  let { data } = $props();

  async function fill() {
    const added = await send('POST', '/library');
    if (added.ok) await invalidateAll();
  }
  const soon = (useBy: number | undefined) => useBy !== undefined && useBy - data.today < 30 * 86_400_000;
</script>

<svelte:head><title>Shelf · Kirapen</title></svelte:head>

<div class="page">
  <header class="flex items-center gap-3">
    <h1 class="flex-1 text-[1.9rem]">Shelf</h1>
    {#if !data.bases.length}<button class="button go" onclick={fill}>Fill with generic cards</button>{/if}
  </header>

  <BrokenList broken={data.broken} />
  <section class="mt-5" aria-label="Moulds">
    <div class="flex items-baseline justify-between">
      <h2 class="text-[1.35rem]">Moulds</h2>
      <span class="flex gap-2">
        <a class="button bare" href="/shelf/import">Import a table</a>
        <a class="button" href="/shelf/make-mould">Make a mould</a>
        <a class="button" href="/shelf/moulds/new">New mould</a>
      </span>
    </div>
    <ul class="mt-2 grid gap-4 sm:grid-cols-2 lg:grid-cols-3">
      {#each data.moulds as mould (mould.id)}
        <li>
          <a
            href="/shelf/moulds/{mould.id}"
            class="sheet flex h-full items-center gap-4 p-4 hover:border-ink-2"
          >
            <div class="w-28 shrink-0"><CavityDrawing section={mould.section} /></div>
            <div class="min-w-0">
              <h3 class="text-[1.15rem]">{mould.name}</h3>
              <p class="text-[0.9rem]">
                <strong>{mould.count} × {volume(mould.ml)}</strong>
              </p>
              <p class="text-[0.87rem] text-ink-2">{mould.material}, {mould.finish}</p>
            </div>
          </a>
        </li>
      {:else}
        <li class="text-ink-2">No moulds yet. Measure one with water, or give its dimensions.</li>
      {/each}
    </ul>
  </section>

  <section class="mt-8" aria-label="Materials">
    <div class="flex items-baseline justify-between">
      <h2 class="text-[1.35rem]">Materials</h2>
      <a class="button" href="/shelf/bases/new">New material</a>
    </div>
    <Table
      class="mt-2"
      rows={data.bases}
      rowClass="hover:bg-sheet"
      empty="No materials yet."
      columns={[
        { id: 'base', head: 'material', by: (b) => b.name, class: '!py-3' },
        {
          id: 'material',
          head: 'material',
          by: (b) => b.material,
          class: 'text-ink-2'
        },
        { id: 'parts', head: 'parts by weight, %' },
        {
          id: 'density',
          head: 'g/ml',
          num: true,
          by: (b) => b.density,
          text: (b) => (b.parts ? b.density.toFixed(3) : '')
        },
        {
          id: 'open',
          head: 'open time',
          num: true,
          by: (b) => b.open,
          text: (b) => duration(b.open)
        },
        {
          id: 'demould',
          head: 'demould',
          num: true,
          by: (b) => b.demould.from,
          text: (b) => `${duration(b.demould.from * 60)} – ${duration(b.demould.to * 60)}`
        },
        {
          id: 'keeps',
          head: 'keeps',
          num: true,
          by: (b) => b.months,
          text: (b) => `${b.months} months`,
          class: 'whitespace-nowrap'
        }
      ]}
    >
      {#snippet cell(base, column)}
        {#if column === 'base'}
          <a class="font-semibold underline-offset-2 hover:underline" href="/shelf/bases/{base.id}"
            >{base.name}</a
          >
        {:else if base.parts}
          {base.parts.map((share) => (share * 100).toFixed(1)).join(' : ')}
        {:else}
          <span class="text-cinnabar">{inWords(base.problem ?? '')}</span>
        {/if}
      {/snippet}
    </Table>
  </section>

  <section class="mt-8" aria-label="Lots">
    <div class="flex items-baseline justify-between">
      <h2 class="text-[1.35rem]">Lots and leftovers</h2>
      <a class="button" href="/shelf/lots/new">New lot</a>
    </div>
    <Table
      class="mt-2"
      testid="lots"
      rows={data.stock}
      rowClass="hover:bg-sheet"
      empty="No lots yet. With them a plan says what it costs and what is short."
      columns={[
        { id: 'lot', head: 'lot', by: (s) => s.lot.name, class: '!py-3' },
        {
          id: 'left',
          head: 'left',
          num: true,
          by: (s) => s.left,
          text: (s) => mass(s.left, s.left < 20 ? 1 : 0),
          class: 'font-semibold'
        },
        { id: 'share', class: 'w-28' },
        {
          id: 'cost',
          head: 'a kilogram',
          num: true,
          by: (s) => s.costGram,
          text: (s) => (s.costGram > 0 ? money(s.costGram * 1000) : '')
        },
        {
          id: 'use-by',
          head: 'use by',
          by: (s) => s.lot.useBy ?? Infinity,
          text: (s) => (s.lot.useBy === undefined ? '' : `${day(s.lot.useBy)}${s.expired ? ', past' : ''}`),
          class: (s) =>
            s.expired ? 'font-semibold text-cinnabar' : soon(s.lot.useBy) ? 'text-ochre' : 'text-ink-2'
        },
        {
          id: 'place',
          head: 'kept where',
          by: (s) => s.lot.place,
          text: (s) => s.lot.place,
          class: 'text-ink-2'
        }
      ]}
    >
      {#snippet cell(s, column)}
        {#if column === 'lot'}
          <a class="font-semibold underline-offset-2 hover:underline" href="/shelf/lots/{s.lot.id}"
            >{s.lot.name}</a
          >
          {#if s.lot.of.kind === 'leftover'}
            <span
              class="ml-1 inline-block h-3.5 w-3.5 rounded-sm border border-ink align-[-2px]"
              style="background:{s.lot.of.colour}"
            ></span>
          {/if}
        {:else}
          <span class="block h-2 overflow-hidden rounded-full bg-sunk"
            ><span class="block h-full bg-ink-2" style="width:{Math.min(100, (s.left / s.lot.grams) * 100)}%"
            ></span></span
          >
        {/if}
      {/snippet}
    </Table>
  </section>

  <section class="mt-8" aria-label="Vessels">
    <div class="flex items-baseline justify-between">
      <h2 class="text-[1.35rem]">Vessels</h2>
      <a class="button" href="/shelf/vessels/new">New vessel</a>
    </div>
    <Table
      class="mt-2"
      rows={data.vessels}
      rowClass="hover:bg-sheet"
      empty="No vessels yet: cups of any size are taken to be at hand."
      columns={[
        { id: 'vessel', head: 'vessel', by: (v) => v.name, class: '!py-3' },
        { id: 'holds', head: 'holds', num: true, by: (v) => v.ml, text: (v) => volume(v.ml) },
        {
          id: 'stirs',
          head: 'stirs up to',
          num: true,
          text: (v) => volume(v.poured)
        },
        { id: 'keeps', head: 'keeps back', num: true, by: (v) => v.loss, text: (v) => mass(v.loss) }
      ]}
    >
      {#snippet cell(v)}
        <a class="font-semibold underline-offset-2 hover:underline" href="/shelf/vessels/{v.id}">{v.name}</a>
      {/snippet}
    </Table>
  </section>

  <section class="mt-8" aria-label="Scales">
    <div class="flex items-baseline justify-between">
      <h2 class="text-[1.35rem]">Scales</h2>
      <a class="button" href="/shelf/scales/new">New scale</a>
    </div>
    <Table
      class="mt-2"
      rows={data.scales}
      rowClass="hover:bg-sheet"
      empty="No scales yet."
      columns={[
        { id: 'scale', head: 'scale', by: (s) => s.name, class: '!py-3' },
        {
          id: 'division',
          head: 'division',
          num: true,
          by: (s) => s.division,
          text: (s) => weighing(s.division, s.division)
        },
        {
          id: 'repeat',
          head: 'repeatability',
          num: true,
          text: (s) => weighing(s.repeatability ?? s.division, s.division)
        },
        {
          id: 'most',
          head: 'up to',
          num: true,
          by: (s) => s.capacity,
          text: (s) => weighing(s.capacity, s.division)
        }
      ]}
    >
      {#snippet cell(s)}
        <a class="font-semibold underline-offset-2 hover:underline" href="/shelf/scales/{s.id}">{s.name}</a>
      {/snippet}
    </Table>
  </section>
</div>
