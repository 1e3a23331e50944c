<script lang="ts">
  import { counted } from '$core/quantity';
  import BrokenList from '$lib/ui/BrokenList.svelte';
  import { onMount } from 'svelte';
  import { goto, invalidateAll } from '$app/navigation';
  import type { Problem } from '$core/problem';
  import { mass } from '../../lib/preferences.svelte';
  import { send } from '../../lib/store/send';
  import { day, moment } from '$lib/when';
  import DueList from '$lib/ui/bench/DueList.svelte';
  import CupMark from '../../lib/ui/drawing/CupMark.svelte';
  import CoreDrawing from '../../lib/ui/drawing/CoreDrawing.svelte';
  import PieceThumb from '../../lib/ui/drawing/PieceThumb.svelte';
  import ProblemNote from '$lib/ui/ProblemNote.svelte';

  let { data } = $props();
  let now = $state(Date.now());
  let problems = $state<Problem[]>([]);

  onMount(() => {
    const tick = setInterval(() => (now = Date.now()), 1000);
    return () => clearInterval(tick);
  });

  const inHand = $derived(data.going.filter((r) => r.inHand));
  const due = $derived(
    data.going
      .flatMap((r) => r.due.map((d) => ({ ...d, run: r.name, runId: r.id })))
      .sort((a, b) => a.from - b.from)
  );
  const TONES = {
    good: 'text-verdigris',
    second: 'text-ochre',
    reject: 'text-cinnabar'
  } as Record<string, string>;

  async function fill() {
    const added = await send('POST', '/library');
    if (added.ok) await invalidateAll();
    else problems = added.problems;
  }

  async function planIt(plan: { id: string }) {
    const made = await send('POST', '/plans', plan);
    if (made.ok) await goto(`/plans/${plan.id}`);
    else problems = made.problems;
  }
</script>

<svelte:head><title>Bench · Kirapen</title></svelte:head>

<div class="page">
  {#each problems as problem, i (i)}<ProblemNote {problem} />{/each}
  <BrokenList broken={data.broken} />
  {#if data.empty}
    <h1 class="text-[2.2rem]">An empty bench.</h1>
    <p class="mt-1 max-w-xl text-[1.1rem] text-ink-2">
      Plan a pour: what to weigh, when to pour, and a note of it so that you can do it again. Three steps to a
      first batch, in any order. <a class="underline" href="/guide">The guide</a> is a short page for each stage.
    </p>
    {#if data.proposed}{#await import('$lib/ui/workshop/AskWays.svelte') then { default: AskWays }}<AskWays
          proposed={data.proposed}
        />{/await}{/if}
    <ol class="mt-6 grid gap-4 md:grid-cols-3">
      <li class="sheet flex flex-col p-5">
        <h2 class="text-[1.3rem]">1 · A mould</h2>
        <p class="mt-1 flex-1 text-ink-2">
          Fill it with water on a scale, or give its dimensions. Kirapen works out what it holds.
        </p>
        <a class="button go mt-4" href="/shelf/moulds/new">Measure a mould</a>
        {#if data.shelf.moulds.length}<p class="mt-2 text-[0.9rem] text-verdigris">
            {data.shelf.moulds.length} on the shelf
          </p>{/if}
      </li>
      <li class="sheet flex flex-col p-5">
        <h2 class="text-[1.3rem]">2 · The shelf</h2>
        <p class="mt-1 flex-1 text-ink-2">
          Add a starter set of resins, soaps, concretes, pigments, cups and scales. Replace its figures with
          those from your data sheets.
        </p>
        {#if data.shelf.bases.length}
          <a class="button mt-4" href="/shelf">See the shelf</a>
          <p class="mt-2 text-[0.9rem] text-verdigris">
            {data.shelf.bases.length} materials, {data.shelf.colourants.length} colourants, {data.shelf.scales
              .length} scales
          </p>
        {:else}
          <button class="button go mt-4" onclick={fill}>Add the starter set</button>
        {/if}
      </li>
      <li class="sheet flex flex-col p-5">
        <h2 class="text-[1.3rem]">3 · A plan</h2>
        <p class="mt-1 flex-1 text-ink-2">
          Begin an empty plan with your mould in it, or import one: a plan file comes with its mould, material
          and pigments.
        </p>
        <div class="mt-4 flex flex-wrap gap-2">
          <a class="button {data.shelf.bases.length ? 'go' : ''}" href="/plans/new">Choose a look</a>
          {#await import('$lib/ui/ImportPlan.svelte') then { default: ImportPlan }}<ImportPlan
              label="Import a plan"
            />{/await}
        </div>
      </li>
    </ol>
  {:else}
    <header class="flex items-center gap-3">
      <h1 class="flex-1 text-[1.9rem]">On the bench</h1>
      <a class="button bare" href="/guide">Guide</a>
      <a class="button" href="/days">Days</a>
      <a class="button go" href="/plans/new">New plan</a>
    </header>

    {#each inHand as run (run.id)}
      <a
        href="/run/{run.id}"
        class="mt-5 flex flex-wrap items-center gap-6 rounded-xl border-2 border-verdigris bg-sheet p-5 hover:bg-verdigris-soft"
      >
        <div class="flex-1">
          <p class="label">Run in progress · since {moment(run.startedAt, now)}</p>
          <h2 class="mt-0.5 text-[1.6rem]">{run.name}</h2>
          <p class="text-ink-2">{run.done} of {run.of} steps done</p>
          <div class="mt-2 h-2 max-w-md overflow-hidden rounded-full bg-sunk">
            <div class="h-full bg-verdigris" style="width:{(run.done / run.of) * 100}%"></div>
          </div>
        </div>
        <span class="button go text-[1.1rem]">Go on</span>
      </a>
    {/each}

    <div class="mt-7 grid gap-8 lg:grid-cols-[1.15fr_1fr]">
      <section aria-label="Due">
        <DueList {due} {now} />

        <h2 class="mt-8 text-[1.35rem]">To weigh next</h2>
        <ul class="ruled mt-2" data-testid="next">
          {#each data.next as plan (plan.id)}
            <li>
              <a class="flex items-center gap-3 py-2.5 hover:bg-sheet" href="/plans/{plan.id}">
                <span class="min-w-0 flex-1">
                  <strong class="block">{plan.name}</strong>
                  <span class="text-[0.9rem] text-ink-2">
                    {plan.good === undefined
                      ? counted(plan.pieces, 'piece')
                      : `${plan.good} more good pieces needed, ${counted(plan.turns ?? 1, 'pour')}`}
                    {#if plan.short.length}<span class="text-ochre"
                        >· short of {plan.short.slice(0, 4).join(', ')}{plan.short.length > 4
                          ? ` and ${plan.short.length - 4} more`
                          : ''}</span
                      >{/if}
                  </span>
                </span>
                <span class="flex max-w-[40%] flex-wrap justify-end gap-1">
                  {#each plan.cups as cup (cup.cupId)}
                    <CupMark letter={cup.letter} colour={cup.colour} hatch={cup.hatch} size={20} />
                  {/each}
                </span>
                <span class="min-w-20 text-right text-[1.1rem] font-semibold whitespace-nowrap"
                  >{mass(plan.mixed)}</span
                >
              </a>
            </li>
          {:else}
            <li class="py-3 text-ink-2">Every plan is poured.</li>
          {/each}
        </ul>

        <h2 class="mt-8 text-[1.35rem]">Not enough stock</h2>
        <ul class="ruled mt-2" data-testid="short">
          {#each data.short.slice(0, 5) as s (s.key)}
            <li class="flex items-baseline gap-3 py-2.5">
              <span class="min-w-0 flex-1">
                <strong>{s.name}</strong>
                <span class="block text-[0.9rem] text-ink-2"
                  >for {s.orders.map((o) => o.name).join(', ')}</span
                >
              </span>
              <span class="text-right">
                <strong class="text-ochre">{mass(s.needed - s.have)} short</strong>
                <span class="block text-[0.9rem] text-ink-2"
                  >{mass(s.needed)} needed, {mass(s.have)} in stock</span
                >
              </span>
            </li>
          {/each}
          {#each data.low.slice(0, 5) as l (l.key)}
            <li class="flex items-baseline gap-3 py-2.5">
              <span class="min-w-0 flex-1">
                <strong>{l.name}</strong>
                <span class="block text-[0.9rem] text-ink-2">time to buy more</span>
              </span>
              <span class="text-right">
                <strong class="text-ochre">{mass(l.left)} left</strong>
                <span class="block text-[0.9rem] text-ink-2">buy more below {mass(l.at)}</span>
              </span>
            </li>
          {/each}
          {#if data.leftOut.length}
            <li class="py-3 text-ochre">
              Not counted, for its many pours: {data.leftOut.map((o) => o.name).join(', ')}.
            </li>
          {/if}
          {#if !data.short.length && !data.low.length}
            <li class="py-3 text-ink-2">
              Enough of everything that is counted, for all open orders together.
            </li>
          {/if}
        </ul>
        {#if data.offers.length}
          <h2 class="mt-8 text-[1.35rem]">You could make from leftovers</h2>
          <ul class="ruled mt-2" data-testid="offers">
            {#each data.offers as offer (offer.lotId)}
              <li class="flex items-center gap-3 py-2.5">
                <span class="min-w-0 flex-1">
                  <strong
                    >{counted(offer.pieces, 'piece')}
                    {offer.way === 'remelt' ? 'melted again' : 'of terrazzo'}: {offer.mouldName}</strong
                  >
                  <span class="block text-[0.9rem] text-ink-2"
                    >from {mass(offer.grams)} of {offer.name} ({mass(offer.left)} left)</span
                  >
                </span>
                <button class="button" onclick={() => planIt(offer.plan)}>Plan it</button>
              </li>
            {/each}
          </ul>
        {/if}
      </section>

      <section aria-label="Made lately">
        <h2 class="pt-2 text-[1.35rem]">Made lately</h2>
        <ul class="mt-3 grid grid-cols-4 gap-3">
          {#each data.pieces as piece (piece.id)}
            <li>
              <a
                href="/record/{piece.runId}"
                class="sheet block overflow-hidden text-center text-[0.82rem] hover:border-ink-2"
              >
                {#if piece.photo}
                  <img
                    src="/api/v1/photos/{piece.photo}"
                    alt="piece {piece.number} of {piece.runName}"
                    class="aspect-square w-full object-cover"
                  />
                {:else}
                  {@const run = data.drawn.get(piece.runId)}
                  {@const group = run?.groups.find((g) => g.groupId === piece.groupId)}
                  <span class="block p-2.5">
                    {#if run && group}<PieceThumb
                        of="runs/{piece.runId}"
                        cavities={group.cavitySetId}
                        made={piece.number}
                        width={96}
                      />{/if}
                  </span>
                {/if}
                <span class="block border-t border-rule py-1 font-semibold {TONES[piece.grade]}"
                  >{piece.grade}</span
                >
                <span class="block truncate px-1 pb-1 text-ink-2"
                  >{piece.number} · {day(piece.changedAt)}</span
                >
              </a>
            </li>
          {:else}
            <li class="col-span-4 text-ink-2">Pieces appear here once they are inspected.</li>
          {/each}
        </ul>
        {#if data.lessons.length}
          <h2 class="mt-6 text-[1.35rem]">Latest lessons</h2>
          <ul class="ruled mt-2" data-testid="lessons">
            {#each data.lessons as lesson (lesson.id)}
              <li class="py-2">
                <a class="tap hover:underline" href="/record/{lesson.runId}">{lesson.text}</a>
              </li>
            {/each}
          </ul>
        {/if}
        {#if data.going[0]?.group}
          <div class="mt-6 max-w-[400px]">
            <p class="label">In the mould now: {data.going[0].name}</p>
            <CoreDrawing group={data.going[0].group} cups={data.going[0].cups} showFace="mould face" />
          </div>
        {/if}
      </section>
    </div>
  {/if}
</div>
