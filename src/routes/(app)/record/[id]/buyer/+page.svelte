<!-- A sheet for whoever buys a repeat: what will match, what cannot, and how to keep it. -->
<script lang="ts">
  import { buyerSheet, USUAL_TOLERANCE } from '$core/inspect';
  import NumberField from '$lib/ui/shelf/NumberField.svelte';
  import PieceThumb from '../../../../../lib/ui/drawing/PieceThumb.svelte';
  import { inWords } from '../../../../../lib/preferences.svelte';
  import { day } from '$lib/when';

  let { data } = $props();
  let deltaE = $state(USUAL_TOLERANCE.deltaE);
  let percent = $state(USUAL_TOLERANCE.weight * 100);
  const sheet = $derived(buyerSheet(data.plan, data.computed, { deltaE, weight: percent / 100 }));
</script>

<svelte:head><title>For the buyer: {data.run.name} · Kirapen</title></svelte:head>

{#snippet part(title: string, lines: readonly string[])}
  {#if lines.length}
    <section class="mt-6 break-inside-avoid">
      <h2 class="text-[1.35rem]">{title}</h2>
      <ul class="mt-1 list-disc space-y-1 pl-5 text-[1.08rem]">
        {#each lines as line, i (i)}<li>{inWords(line)}</li>{/each}
      </ul>
    </section>
  {/if}
{/snippet}

<div class="no-print flex flex-wrap items-end gap-4 border-b border-rule px-7 py-3">
  <a class="button bare" href="/record/{data.run.id}">← Record</a>
  <span class="flex-1"></span>
  <label class="w-36">
    <span class="label block">Colour within, ΔE</span>
    <NumberField label="Colour within" value={deltaE} onchange={(v) => (deltaE = v ?? deltaE)} />
  </label>
  <label class="w-36">
    <span class="label block">Weight within, %</span>
    <NumberField label="Weight within" value={percent} onchange={(v) => (percent = v ?? percent)} />
  </label>
  <a
    class="button"
    href="/api/v1/runs/{data.run.id}/buyer.pdf?deltaE={deltaE}&weight={percent}"
    target="_blank"
    rel="noopener">PDF</a
  >
  <button class="button go" onclick={() => window.print()}>Print</button>
</div>
<article class="mx-auto max-w-[760px] px-8 py-7 print:max-w-none print:p-0" data-testid="buyer">
  <header class="flex items-start gap-6 border-b-2 border-ink pb-3">
    <span class="w-[150px] shrink-0"><PieceThumb of="runs/{data.run.id}" width={150} /></span>
    <div>
      <h1 class="text-[1.9rem]">{data.run.name}</h1>
      <p class="text-ink-2">as poured {day(data.run.startedAt)} · what a repeat will be</p>
    </div>
  </header>
  {@render part('What will match', sheet.matches)}
  {@render part('What will vary', sheet.differs)}
  {@render part('How to keep it', sheet.care)}
  <p class="mt-8 text-[0.95rem] text-ink-2">Agreed on ____ / ____ by ______________________</p>
</article>
