<!-- A sheet of empty trial cards: half black, half white, with room for recipe, thickness, light and date. -->
<script lang="ts">
  const CARDS = Array.from({ length: 8 }, (_, i) => i);
</script>

<svelte:head><title>Trial card sheet · Kirapen</title></svelte:head>

<h1 class="sr-only">Trial card sheet</h1>
<div class="no-print flex items-center gap-3 border-b border-rule px-6 py-3">
  <a class="button bare" href="/colours/cards">← Trial cards</a>
  <span class="flex-1 text-ink-2">Print on matt card; a smear goes over both halves.</span>
  <button class="button go" onclick={() => window.print()}>Print</button>
</div>
<ul
  class="mx-auto grid max-w-[820px] grid-cols-2 px-8 py-6 print:max-w-none print:p-0"
  data-testid="card-sheet"
>
  {#each CARDS as i (i)}
    <li class="break-inside-avoid border border-dashed border-ink-2 bg-white p-3 text-[#1f2428]">
      <div class="grid h-28 grid-cols-2 border border-[#1f2428] [print-color-adjust:exact]">
        <span class="bg-[#111]"></span><span class="bg-white"></span>
      </div>
      <p class="mt-2 text-[0.82rem] leading-loose">
        material ___________________ mm ______<br />
        1 ______________________ % ______<br />
        2 ______________________ % ______<br />
        3 ______________________ % ______<br />
        light __________ date ___ / ___ by _____
      </p>
    </li>
  {/each}
</ul>
