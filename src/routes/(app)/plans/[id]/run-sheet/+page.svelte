<!-- The run on paper: every line with a box, what it should read, what it read, and when. -->
<script lang="ts">
  import { about, counted } from '$core/quantity';
  import { figuresOf } from '$core/plan';
  import { tasksOf } from '$core/run';
  import { taskWords } from '../../../../../lib/run/instruction';
  import { aimOf } from '../../../../../lib/plan/sheet-words';
  import ScoreDrawing from '../../../../../lib/ui/drawing/ScoreDrawing.svelte';
  import PrintBar from '$lib/ui/PrintBar.svelte';
  import { inWords, temperature } from '../../../../../lib/preferences.svelte';

  let { data } = $props();
  const plan = $derived(data.plan);
  const computed = $derived(figuresOf(plan, data.shelf, data.learned));
  const tasks = $derived(tasksOf(plan, computed));
  const checks = $derived(
    tasks.flatMap((t) => (t.kind === 'prepare' && t.sitting === undefined ? (t.checks ?? []) : []))
  );
  /** Lines have numbers; what begins a sitting is a heading. */
  const nth = $derived(
    new Map(tasks.filter((t) => t.kind !== 'prepare').map((t, i) => [t.id, i + 1] as const))
  );
</script>

<svelte:head><title>Run sheet: {plan.name} · Kirapen</title></svelte:head>

<PrintBar plan={plan.id} here="run-sheet">
  <a class="button" href="/plans/{plan.id}/enter">Enter a filled sheet</a>
</PrintBar>

<article class="mx-auto max-w-[820px] px-8 py-6 print:max-w-none print:p-0" data-testid="run-sheet">
  <header class="flex items-end justify-between border-b-2 border-ink pb-2">
    <div>
      <h1 class="text-[1.9rem]">{plan.name}</h1>
      <p class="text-ink-2">
        {counted(computed.totals.pieces, 'piece')} · {computed.bases.map((b) => b.name).join(', ')} · planned for
        {temperature(plan.bench.roomCelsius)}
      </p>
    </div>
    <p class="text-right text-[0.9rem] text-ink-2">
      Run sheet<br />on ____ / ____ by ______<br />room ______ started ____ : ____
    </p>
  </header>
  <ul class="mt-3 columns-2 gap-8 text-[0.92rem] max-sm:columns-1">
    {#each checks as check (check.id)}
      <li class="break-inside-avoid py-1">
        <span class="mr-2 inline-block size-3.5 border border-ink"></span>{inWords(check.words)}
      </li>
    {/each}
  </ul>
  <section class="mt-4 break-inside-avoid" aria-label="Timeline">
    <ScoreDrawing {computed} zoom="pour" width={756} />
  </section>
  <table class="mt-4 w-full border-collapse text-[0.95rem]">
    <thead>
      <tr class="border-b border-ink text-left text-[0.85rem] text-ink-2">
        <th class="w-7 py-1 font-normal"></th>
        <th class="w-8 font-normal"></th>
        <th class="font-normal">what</th>
        <th class="pr-3 text-right font-normal">should read</th>
        <th class="w-28 font-normal">reads</th>
        <th class="w-24 font-normal">at</th>
      </tr>
    </thead>
    <tbody>
      {#each tasks.filter((t) => t.kind !== 'prepare' || t.sitting !== undefined) as task (task.id)}
        {@const words = taskWords(task, computed)}
        {#if task.kind === 'prepare'}
          <tr class="break-inside-avoid border-b border-ink align-baseline" data-sitting={task.sitting}>
            <td colspan="6" class="pt-4 pb-1.5">
              <strong>Sitting {task.sitting}</strong>
              <span class="text-ink-2">about {about(task.after ?? 0)} after the one before</span>
              {#each task.checks ?? [] as check (check.id)}
                <span class="mt-1 mr-4 block">
                  <span class="mr-2 inline-block size-3.5 border border-ink"></span>{inWords(check.words)}
                </span>
              {/each}
            </td>
          </tr>
        {:else}
          <tr class="break-inside-avoid border-b border-rule align-baseline">
            <td class="py-1.5"><span class="inline-block size-3.5 border border-ink"></span></td>
            <td class="num text-ink-2">{nth.get(task.id)}</td>
            <td class="pr-3"><strong>{words.act}</strong> {inWords(words.rest)}</td>
            <td class="num pr-3 text-right font-semibold whitespace-nowrap"
              >{aimOf(task, computed.division)}</td
            >
            <td class="text-ink-2">{task.kind === 'weigh' || task.kind === 'pour' ? '________ g' : ''}</td>
            <td class="text-ink-2">___ : ___</td>
          </tr>
        {/if}
      {/each}
    </tbody>
  </table>
  <p class="mt-4 text-[0.92rem] text-ink-2">Spilled, thickened, left out, extra strokes:</p>
  <div class="mt-6 border-b border-rule"></div>
  <div class="mt-6 border-b border-rule"></div>
  <ul class="mt-4 text-[0.85rem] text-ink-2">
    {#each computed.cautions as caution, i (i)}<li>{caution}</li>{/each}
  </ul>
</article>
