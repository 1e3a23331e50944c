<!-- Labels for cups and jars: letter, hatch, recipe, date. Cut along the lines. -->
<script lang="ts">
  import { figuresOf } from '$core/plan';
  import { weighing } from '$core/quantity';
  import { today } from '$lib/when';
  import CupIcon from '$lib/ui/CupIcon.svelte';
  import CupMark from '$lib/ui/CupMark.svelte';
  import PrintBar from '$lib/ui/PrintBar.svelte';

  let { data } = $props();
  const plan = $derived(data.plan);
  const computed = $derived(figuresOf(plan, data.shelf, data.past));
  const base = $derived(computed.bases.map((b) => b.name).join(', '));
  const date = $derived(today(data.past.today ?? 0));
  const labels = $derived(
    computed.cups
      .filter((c) => c.balance.mixed > 0)
      .flatMap((cup) => cup.mixes.map((mix) => ({ cup, mix, of: cup.mixes.length })))
  );
</script>

<svelte:head><title>Labels: {plan.name} · Kirapen</title></svelte:head>
<PrintBar plan={plan.id} here="labels" />

<article class="mx-auto max-w-[820px] px-8 py-6 print:max-w-none print:p-0" data-testid="labels">
  <h1 class="no-print text-[1.6rem]">Labels for {plan.name}</h1>
  <ul class="mt-3 grid grid-cols-3 border-t border-l border-dashed border-ink-2">
    {#each labels as { cup, mix, of } (mix.mixId)}
      <li class="flex min-h-36 break-inside-avoid gap-2.5 border-r border-b border-dashed border-ink-2 p-3">
        <CupIcon colour={cup.colour} hatch={cup.hatch} size={44} />
        <div class="min-w-0 flex-1 text-[0.82rem] leading-snug">
          <p class="flex items-baseline gap-1.5 text-[1.05rem] font-bold">
            <CupMark letter={cup.letter} colour={cup.colour} hatch={cup.hatch} size={22} />{cup.name}
          </p>
          <p>{plan.name}{of > 1 ? `, mix ${mix.turn} of ${of}` : ''}</p>
          <p class="font-semibold">{weighing(mix.balance.mixed, computed.division)} · {base}</p>
          <p class="text-ink-2">
            {plan.cups
              .find((c) => c.id === cup.cupId)
              ?.recipe.map(
                (r) =>
                  `${data.shelf.colourants.find((c) => c.id === r.colourantId)?.name ?? 'gone'} ${r.percent} %`
              )
              .join(', ') || 'uncoloured'}
          </p>
          <p class="text-ink-2">{date}</p>
        </div>
      </li>
    {/each}
    {#each computed.letDowns as l (l.colourantId + l.parts)}
      <li
        class="min-h-36 break-inside-avoid border-r border-b border-dashed border-ink-2 p-3 text-[0.82rem] leading-snug"
      >
        <p class="text-[1.05rem] font-bold">let-down 1 : {l.parts}</p>
        <p>{l.name}</p>
        <p class="font-semibold">
          {weighing(l.colourant, l.division)} in {weighing(l.carrier, l.division)}
          {l.carrierName}
        </p>
        <p class="text-ink-2">{date} · counts as {l.carrierName}</p>
      </li>
    {/each}
  </ul>
</article>
