<script lang="ts">
  import { counted } from '$core/quantity';
  import { figuresOf, type Plan } from '$core/plan';
  import { weighing } from '$core/quantity';
  import { tasksOf } from '$core/run';
  import { alike, cupsOrdered, pourLines, whichMix } from '../../../../../lib/plan/sheet-words';
  import Choice from '../../../../../lib/ui/forms/Choice.svelte';
  import CoreDrawing from '../../../../../lib/ui/drawing/CoreDrawing.svelte';
  import CupMark from '../../../../../lib/ui/drawing/CupMark.svelte';
  import PrintBar from '$lib/ui/PrintBar.svelte';
  import { inWords, temperature, volume } from '../../../../../lib/preferences.svelte';
  import WeighTable from '$lib/ui/WeighTable.svelte';

  let { data } = $props();
  type Readings = Plan['bench']['readings'];
  let chosen = $state<Readings>();
  const readings = $derived(chosen ?? data.plan.bench.readings);
  const READINGS = ['cumulative', 'tared'].map((r) => ({ value: r, label: r }));

  const plan = $derived({ ...data.plan, bench: { ...data.plan.bench, readings } });
  const computed = $derived(figuresOf(plan, data.shelf, data.learned));
  const base = $derived(computed.bases.map((b) => b.name).join(', '));
  const tasks = $derived(tasksOf(plan, computed));
  const weighed = (x: number) => weighing(x, computed.division);
  const ordered = $derived(cupsOrdered(computed));
  const lines = $derived(pourLines(tasks, plan, computed));
  const cupOf = (id: string | undefined) => computed.cups.find((c) => c.cupId === id);
</script>

<svelte:head>
  <title>Mix sheet: {plan.name} · Kirapen</title>
</svelte:head>

<PrintBar plan={plan.id} here="sheet">
  <span class="flex items-center gap-2">
    <span class="label">Readings</span>
    <Choice
      class="!w-auto"
      label="Readings"
      value={readings}
      options={READINGS}
      onchange={(r) => (chosen = r as Readings)}
    />
  </span>
</PrintBar>

<article class="mx-auto max-w-[820px] px-8 py-6 print:max-w-none print:p-0" data-testid="sheet">
  <header class="flex items-end justify-between border-b-2 border-ink pb-2">
    <div>
      <h1 class="text-[1.9rem]">{plan.name}</h1>
      <p class="text-ink-2">
        {counted(computed.totals.pieces, 'piece')} · {base || 'no material chosen'} · room {temperature(
          plan.bench.roomCelsius
        )} · scale
        {weighing(computed.division, computed.division)}
      </p>
      {#if computed.order && computed.order.turns > 1}
        <p class="text-ink-2" data-testid="turns">
          for {computed.order.good} good pieces: {counted(computed.order.turns, 'pour')} of {computed.order
            .perTurn}{computed.order.lastTurn < computed.order.perTurn
            ? `, the last of ${computed.order.lastTurn}`
            : ''}. This sheet is for one of them.
        </p>
      {/if}
    </div>
    <p class="text-right text-[0.9rem] text-ink-2">Mix sheet<br />poured on ____ / ____ by ______</p>
  </header>

  <section
    class="mt-4 grid grid-cols-[1fr_300px] gap-6 max-lg:grid-cols-1 print:grid-cols-[1fr_215px]! print:gap-4"
  >
    <div>
      {#if computed.letDowns.length}
        <h2 class="text-[1.2rem]">Make these first</h2>
        <ul class="mb-4 text-[0.95rem]">
          {#each computed.letDowns as l (l.colourantId + l.parts)}
            <li class="border-b border-rule py-1.5">
              <span class="mr-2 inline-block h-3.5 w-3.5 border border-ink"></span><strong
                >{weighing(l.colourant, l.division)}</strong
              >
              {l.name}, stirred into <strong>{weighing(l.carrier, l.division)}</strong>
              {l.carrierName} (1 part in {l.parts})
            </li>
          {/each}
        </ul>
      {/if}
      {#each alike(computed.common) as run (run.mix.mixId)}
        <div class="mb-4 break-inside-avoid">
          <h2 class="flex items-center gap-2 text-[1.2rem]">
            The mix{run.times > 1 ? `, ${run.times} times` : ''}
            <span class="ml-auto font-sans text-[1rem] font-semibold">{weighed(run.mix.balance.mixed)}</span>
          </h2>
          <WeighTable
            weighings={run.mix.weighings}
            {readings}
            scales={data.shelf.scales}
            mainId={plan.bench.scaleIds[0] ?? ''}
          />
        </div>
      {/each}
      {#each ordered as cup (cup.cupId)}
        {#each alike(cup.mixes) as run (run.mix.mixId)}
          <div class="mb-4 break-inside-avoid">
            <h2 class="flex items-center gap-2 text-[1.2rem]">
              <CupMark letter={cup.letter} colour={cup.colour} hatch={cup.hatch} size={26} />
              {cup.name}
              {#if cup.mixes.length > 1}
                <span class="font-sans text-[0.9rem] text-ink-2">{whichMix(cup, run)}</span>
              {/if}
              <span class="ml-auto font-sans text-[1rem] font-semibold">{weighed(run.mix.balance.mixed)}</span
              >
            </h2>
            <WeighTable
              weighings={run.mix.weighings}
              {readings}
              scales={data.shelf.scales}
              mainId={plan.bench.scaleIds[0] ?? ''}
            />
            <p class="mt-0.5 text-[0.82rem] text-ink-2">
              {#if run.mix.vessel}In the {run.mix.vessel.name}.{/if}
              {#if !computed.common.length}Ratio error from rounding {(cup.ratioError * 100).toFixed(2)} % ·{/if}
              {weighed(run.mix.balance.poured)} in the mould, {weighed(
                run.mix.balance.clings + run.mix.balance.vessel
              )} stuck to the cup, {weighed(Math.max(0, run.mix.balance.left))} spare
            </p>
          </div>
        {/each}
      {/each}
    </div>

    <div>
      {#each computed.groups as group (group.cavitySetId)}
        <CoreDrawing {group} cups={computed.cups} showFace={plan.showFace} width={320} height={200} />
        <p class="text-[0.82rem] text-ink-2">
          {group.name}: {group.mouldName}, {volume(group.capacity)} each
        </p>
      {/each}
      <h2 class="mt-4 text-[1.1rem]">Pour</h2>
      <ol class="ruled text-[0.92rem]">
        {#each lines as line (line.id)}
          {@const cup = cupOf(line.cupId)}
          <li class="py-1.5">
            {#if cup}<CupMark letter={cup.letter} colour={cup.colour} hatch={cup.hatch} size={20} />{/if}
            {#each line.parts as { text, strong }, i (i)}{#if strong}<strong
                  >{inWords(text, computed.division)}</strong
                >{:else}{inWords(text, computed.division)}{/if}{/each}
          </li>
        {/each}
      </ol>
      <h2 class="mt-4 text-[1.1rem]">Care</h2>
      <ul class="list-disc pl-5 text-[0.85rem]">
        {#each computed.cautions as caution, i (i)}<li>{caution}</li>{/each}
        <li>The data sheet, local rules and licensed practice come first.</li>
      </ul>
    </div>
  </section>
</article>
