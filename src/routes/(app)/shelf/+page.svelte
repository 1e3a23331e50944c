<script lang="ts">
  import { invalidateAll } from '$app/navigation';
  import { bothReadings } from '$core/material';
  import { cavityOf } from '$core/mould';
  import { duration } from '$core/quantity';
  import { send } from '$lib/send';
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

  <section class="mt-5" aria-label="Moulds">
    <div class="flex items-baseline justify-between">
      <h2 class="text-[1.35rem]">Moulds</h2>
      <a class="button" href="/shelf/moulds/new">New mould</a>
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
      <a class="button" href="/shelf/bases/new">New resin</a>
    </div>
    <table class="figures mt-2">
      <thead>
        <tr>
          <th>resin</th><th>ratio</th><th class="num">by weight, A : B</th><th class="num">open time</th><th
            class="num">demould</th
          >
          <th class="num">depth</th><th class="num">shelf life</th>
        </tr>
      </thead>
      <tbody>
        {#each shelf.bases as base (base.id)}
          {@const read = bothReadings(base)}
          <tr class="hover:bg-sheet">
            <td class="!py-3"
              ><a class="font-semibold underline-offset-2 hover:underline" href="/shelf/bases/{base.id}"
                >{base.name}</a
              ></td
            >
            <td>{base.ratio.a} : {base.ratio.b} by {base.ratio.by}</td>
            <td class="num"
              >{read
                ? `${read.weight[0].toFixed(2)} : ${read.weight[1].toFixed(2)}`
                : 'densities missing'}</td
            >
            <td class="num">{duration(base.openMinutes)}</td>
            <td class="num">{base.demouldHours.from}–{base.demouldHours.to} h</td>
            <td class="num">{base.depthLimit} mm</td>
            <td class="num">{base.shelfMonths} months</td>
          </tr>
        {:else}
          <tr><td colspan="7" class="!py-6 text-ink-2">No bases yet.</td></tr>
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
