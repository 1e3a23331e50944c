<script lang="ts">
  import BrokenList from '$lib/ui/BrokenList.svelte';
  import { invalidateAll } from '$app/navigation';
  import { formulaOf, MATERIAL_WORDS } from '$core/material';
  import { cavityOf } from '$core/mould';
  import { duration } from '$core/quantity';
  import { HEADROOM } from '$core/shelf';
  import { send } from '$lib/send';
  import { money } from '$lib/ui/money';
  import { day } from '$lib/when';
  import CavityDrawing from '$lib/ui/shelf/CavityDrawing.svelte';

  let { data } = $props();
  const shelf = $derived(data.shelf);

  async function fill() {
    const added = await send('POST', '/library');
    if (added.ok) await invalidateAll();
  }
</script>

<svelte:head><title>Shelf · Kirapen</title></svelte:head>

<div class="mx-auto max-w-[1100px] px-7 py-7">
  <header class="flex items-center gap-3">
    <h1 class="flex-1 text-[1.9rem]">Shelf</h1>
    {#if !shelf.bases.length}<button class="button go" onclick={fill}>Fill with generic cards</button>{/if}
  </header>

  <BrokenList broken={data.broken} />
  <section class="mt-5" aria-label="Moulds">
    <div class="flex items-baseline justify-between">
      <h2 class="text-[1.35rem]">Moulds</h2>
      <span class="flex gap-2">
        <a class="button" href="/shelf/make-mould">Make a mould</a>
        <a class="button" href="/shelf/moulds/new">New mould</a>
      </span>
    </div>
    <ul class="mt-2 grid gap-4 sm:grid-cols-2 lg:grid-cols-3">
      {#each shelf.moulds as mould (mould.id)}
        {@const kind = mould.cavities[0]!}
        {@const cavity = cavityOf(kind)}
        <li>
          <a
            href="/shelf/moulds/{mould.id}"
            class="sheet flex h-full items-center gap-4 p-4 hover:border-ink-2"
          >
            <div class="w-28 shrink-0"><CavityDrawing {kind} /></div>
            <div class="min-w-0">
              <h3 class="text-[1.15rem]">{mould.name}</h3>
              <p class="text-[0.9rem]">
                <strong
                  >{mould.cavities.reduce((s, c) => s + c.count, 0)} × {cavity.capacity.toFixed(2)} ml</strong
                >
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

  <section class="mt-8" aria-label="Bases">
    <div class="flex items-baseline justify-between">
      <h2 class="text-[1.35rem]">Bases</h2>
      <a class="button" href="/shelf/bases/new">New base</a>
    </div>
    <table class="figures mt-2">
      <thead>
        <tr>
          <th>base</th><th>material</th><th>parts by weight, %</th><th class="num">g/ml</th>
          <th class="num">open time</th><th class="num">demould</th><th class="num">keeps</th>
        </tr>
      </thead>
      <tbody>
        {#each shelf.bases as base (base.id)}
          {@const formula = formulaOf(base)}
          <tr class="hover:bg-sheet">
            <td class="!py-3">
              <a class="font-semibold underline-offset-2 hover:underline" href="/shelf/bases/{base.id}"
                >{base.name}</a
              >
            </td>
            <td class="text-ink-2">{MATERIAL_WORDS[base.kind]}</td>
            {#if formula.ok}
              <td>{formula.value.parts.map((p) => (p.share * 100).toFixed(1)).join(' : ')}</td>
              <td class="num">{formula.value.density.toFixed(3)}</td>
            {:else}
              <td colspan="2" class="text-cinnabar">{formula.problem.sentence}</td>
            {/if}
            <td class="num">{duration(base.openMinutes)}</td>
            <td class="num"
              >{duration(base.demouldHours.from * 60)} – {duration(base.demouldHours.to * 60)}</td
            >
            <td class="num whitespace-nowrap">{base.shelfMonths} months</td>
          </tr>
        {:else}
          <tr><td colspan="7" class="!py-6 text-ink-2">No bases yet.</td></tr>
        {/each}
      </tbody>
    </table>
  </section>

  <section class="mt-8" aria-label="Lots">
    <div class="flex items-baseline justify-between">
      <h2 class="text-[1.35rem]">Lots and leftovers</h2>
      <a class="button" href="/shelf/lots/new">New lot</a>
    </div>
    <table class="figures mt-2" data-testid="lots">
      <thead>
        <tr
          ><th>lot</th><th class="num">left</th><th></th><th class="num">a kilogram</th><th>use by</th><th
            >stands</th
          ></tr
        >
      </thead>
      <tbody>
        {#each data.stock as s (s.lot.id)}
          {@const soon = s.lot.useBy !== undefined && s.lot.useBy - data.today < 30 * 86_400_000}
          <tr class="hover:bg-sheet">
            <td class="!py-3">
              <a class="font-semibold underline-offset-2 hover:underline" href="/shelf/lots/{s.lot.id}"
                >{s.lot.name}</a
              >
              {#if s.lot.of.kind === 'leftover'}
                <span
                  class="ml-1 inline-block h-3.5 w-3.5 rounded-sm border border-ink align-[-2px]"
                  style="background:{s.lot.of.colour}"
                ></span>
              {/if}
            </td>
            <td class="num font-semibold">{s.left.toFixed(s.left < 20 ? 1 : 0)} g</td>
            <td class="w-28">
              <span class="block h-2 overflow-hidden rounded-full bg-sunk"
                ><span
                  class="block h-full bg-ink-2"
                  style="width:{Math.min(100, (s.left / s.lot.grams) * 100)}%"
                ></span></span
              >
            </td>
            <td class="num">{s.costGram > 0 ? money(s.costGram * 1000) : ''}</td>
            <td class={s.expired ? 'font-semibold text-cinnabar' : soon ? 'text-ochre' : 'text-ink-2'}
              >{s.lot.useBy === undefined ? '' : `${day(s.lot.useBy)}${s.expired ? ', past' : ''}`}</td
            >
            <td class="text-ink-2">{s.lot.place}</td>
          </tr>
        {:else}
          <tr
            ><td colspan="6" class="!py-6 text-ink-2"
              >No lots yet. With them a plan says what it costs and what is short.</td
            ></tr
          >
        {/each}
      </tbody>
    </table>
  </section>

  <section class="mt-8" aria-label="Vessels">
    <div class="flex items-baseline justify-between">
      <h2 class="text-[1.35rem]">Vessels</h2>
      <a class="button" href="/shelf/vessels/new">New vessel</a>
    </div>
    <table class="figures mt-2">
      <thead
        ><tr
          ><th>vessel</th><th class="num">holds</th><th class="num">stirs up to</th><th class="num"
            >keeps back</th
          ></tr
        ></thead
      >
      <tbody>
        {#each shelf.vessels as v (v.id)}
          <tr class="hover:bg-sheet">
            <td class="!py-3"
              ><a class="font-semibold underline-offset-2 hover:underline" href="/shelf/vessels/{v.id}"
                >{v.name}</a
              ></td
            >
            <td class="num">{v.ml} ml</td>
            <td class="num">{(v.ml * (1 - HEADROOM)).toFixed(0)} ml</td>
            <td class="num">{v.loss} g</td>
          </tr>
        {:else}
          <tr
            ><td colspan="4" class="!py-6 text-ink-2"
              >No vessels yet: cups of any size are taken to be at hand.</td
            ></tr
          >
        {/each}
      </tbody>
    </table>
  </section>

  <section class="mt-8" aria-label="Scales">
    <div class="flex items-baseline justify-between">
      <h2 class="text-[1.35rem]">Scales</h2>
      <a class="button" href="/shelf/scales/new">New scale</a>
    </div>
    <table class="figures mt-2">
      <thead
        ><tr
          ><th>scale</th><th class="num">division</th><th class="num">repeatability</th><th class="num"
            >up to</th
          ></tr
        ></thead
      >
      <tbody>
        {#each shelf.scales as scale (scale.id)}
          <tr class="hover:bg-sheet">
            <td class="!py-3"
              ><a class="font-semibold underline-offset-2 hover:underline" href="/shelf/scales/{scale.id}"
                >{scale.name}</a
              ></td
            >
            <td class="num">{scale.division} g</td>
            <td class="num">{scale.repeatability ?? scale.division} g</td>
            <td class="num">{scale.capacity} g</td>
          </tr>
        {:else}
          <tr><td colspan="4" class="!py-6 text-ink-2">No scales yet.</td></tr>
        {/each}
      </tbody>
    </table>
  </section>
</div>
