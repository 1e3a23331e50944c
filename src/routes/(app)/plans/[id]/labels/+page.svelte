<!-- Labels for cups and jars: letter, hatch, recipe, date. Cut along the lines. -->
<script lang="ts">
  import { figuresOf } from '$core/plan';
  import { counted } from '$core/quantity';
  import { labelsOf } from '../../../../../lib/plan/sheet-words';
  import { inWords, preferences } from '../../../../../lib/preferences.svelte';
  import { today } from '$lib/when';
  import CupIcon from '../../../../../lib/ui/drawing/CupIcon.svelte';
  import CupMark from '../../../../../lib/ui/drawing/CupMark.svelte';
  import PrintBar from '$lib/ui/PrintBar.svelte';

  let { data } = $props();
  const plan = $derived(data.plan);
  const computed = $derived(figuresOf(plan, data.shelf, data.learned));
  /** Three in a row of 38 mm, inside the margins of a page. */
  const perPage = $derived(3 * (preferences().paper === 'Letter' ? 6 : 7));
  const labels = $derived(labelsOf(plan, computed, data.shelf, today(data.learned.today ?? 0)));
</script>

<svelte:head><title>Labels: {plan.name} · Kirapen</title></svelte:head>
<PrintBar plan={plan.id} here="labels" />

<article class="mx-auto max-w-[820px] px-8 py-6 print:max-w-none print:p-0" data-testid="labels">
  <h1 class="no-print text-[1.6rem]">Labels for {plan.name}</h1>
  <p class="no-print text-ink-2">
    A label for every cup, three in a row, to be cut along the lines or printed on a label sheet of three
    columns.
    {counted(labels.length, 'label')} here; {perPage} fit on a page.
  </p>
  <ul class="mt-3 grid grid-cols-3 border-t border-l border-dashed border-ink-2">
    {#each labels as label (label.id)}
      {@const cup = computed.cups.find((c) => c.cupId === label.cupId)}
      <li
        class="flex min-h-[38mm] break-inside-avoid gap-2.5 border-r border-b border-dashed border-ink-2 p-3"
      >
        {#if cup}<CupIcon colour={cup.colour} hatch={cup.hatch} size={44} />{/if}
        <div class="min-w-0 flex-1 text-[0.82rem] leading-snug">
          <p class="flex items-baseline gap-1.5 text-[1.05rem] font-bold">
            {#if cup}<CupMark letter={cup.letter} colour={cup.colour} hatch={cup.hatch} size={22} />{/if}
            {label.name}
          </p>
          {#each label.lines as line, i (i)}
            <p class={i === 1 ? 'font-semibold' : i > 1 ? 'text-ink-2' : ''}>
              {inWords(line, computed.division)}
            </p>
          {/each}
        </div>
      </li>
    {/each}
  </ul>
</article>
