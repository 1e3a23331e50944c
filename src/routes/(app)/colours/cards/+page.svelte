<script lang="ts">
  import BrokenList from '$lib/ui/BrokenList.svelte';
  import { invalidateAll } from '$app/navigation';
  import { correctStrengths, lookOf, predictedCard, type BaseLook, type TrialCard } from '$core/colour';
  import { formulaOf } from '$core/material';
  import type { Problem } from '$core/problem';
  import { send } from '../../../../lib/store/send';
  import ColourTabs from '$lib/ui/colour/ColourTabs.svelte';
  import { letterOf } from '$lib/ui/colour/letter';
  import Ladder from '$lib/ui/colour/Ladder.svelte';
  import NewCard from '$lib/ui/colour/NewCard.svelte';
  import Swatch from '$lib/ui/colour/Swatch.svelte';
  import ProblemNote from '$lib/ui/ProblemNote.svelte';
  import { length } from '../../../../lib/preferences.svelte';
  import { day } from '$lib/when';

  let { data } = $props();
  let problems = $state<Problem[]>([]);
  let adding = $state(false);
  const colourants = $derived(new Map(data.colourants.map((c) => [c.id, c])));
  const lookOfBase = $derived((id: string): BaseLook | undefined => {
    const base = data.bases.find((b) => b.id === id);
    const formula = base ? formulaOf(base) : undefined;
    return base && formula?.ok
      ? { kind: base.kind, colour: base.colour, density: formula.value.density }
      : undefined;
  });
  const correction = $derived(correctStrengths(data.cards, lookOfBase, colourants));
  // What the cards do not tell from the card's own strength is left alone.
  const moved = $derived(
    correction.factors.filter((f) => Math.abs(f.factor - 1) > 0.03 && (f.low > 1 || f.high < 1))
  );
  const cardName = (id: string) => data.cards.find((c) => c.id === id)?.name ?? 'a card';
  const predicted = $derived((card: TrialCard) => {
    const base = lookOfBase(card.baseId);
    return base ? lookOf(predictedCard(card, base, colourants)).hex : card.colour;
  });
  const of = (id: string) => correction.cards.find((c) => c.id === id);
  const nameOf = (id: string) => colourants.get(id)?.name ?? 'gone from the shelf';

  async function apply() {
    for (const f of moved) {
      const card = colourants.get(f.colourantId);
      if (!card) continue;
      const strength = Number(Math.min(100, card.strength * f.factor).toPrecision(3));
      const stored = await send('PATCH', `/colourants/${card.id}`, {
        edits: [
          { path: ['strength'], value: strength },
          { path: ['colourFrom'], value: 'cards' },
          // A tint tells the strength that its card had then.
          ...(card.tint && card.tint.at === undefined ? [{ path: ['tint', 'at'], value: card.strength }] : [])
        ]
      });
      problems = stored.ok ? [] : stored.problems;
      if (!stored.ok) return;
    }
    await invalidateAll();
  }

  async function remove(id: string) {
    const gone = await send('DELETE', `/trialcards/${id}`);
    problems = gone.ok ? [] : gone.problems;
    if (gone.ok) await invalidateAll();
  }
</script>

<svelte:head><title>Trial cards · Kirapen</title></svelte:head>

<div class="page">
  <ColourTabs />
  <BrokenList broken={data.broken} />
  <header class="flex items-center gap-3">
    <div class="flex-1">
      <h1 class="text-[1.9rem]">Trial cards</h1>
      <p class="text-ink-2">Test smears, measured: they set the strength of your own pigments.</p>
    </div>
    <a class="button" href="/colours/cards/print">Print a sheet</a>
    <button class="button go" onclick={() => (adding = !adding)} aria-expanded={adding}>New card</button>
  </header>
  {#each problems as problem, i (i)}<div class="mt-2"><ProblemNote {problem} /></div>{/each}
  {#if adding}
    <NewCard
      bases={data.bases}
      colourants={data.colourants}
      onsaved={async () => {
        adding = false;
        await invalidateAll();
      }}
    />
  {/if}

  {#if moved.length}
    <section
      class="sheet mt-4 flex flex-wrap items-center gap-x-6 gap-y-2 p-4"
      aria-label="What the cards say"
      data-testid="correction"
    >
      <h2 class="text-[1.15rem]">What the cards say</h2>
      {#each moved as f (f.colourantId)}
        <span
          >{nameOf(f.colourantId)} <strong>× {f.factor.toFixed(2)}</strong>
          <span class="text-ink-2"
            >({f.low.toFixed(2)} to {f.high.toFixed(2)}, {f.cards} card{f.cards > 1 ? 's' : ''}{f.beside
              ? `; beside ${f.beside.map(nameOf).join(' and ')}`
              : ''})</span
          ></span
        >
      {/each}
      <button class="button ml-auto" onclick={apply}>Correct their strengths</button>
    </section>
  {/if}
  {#if correction.unknown.length && data.cards.length}
    <p class="mt-2 text-[0.9rem] text-ink-2" data-testid="unknown">
      Nothing of their own is known yet of {correction.unknown.map(nameOf).join(', ')}: lay them over white
      and over black, or let down in white.
    </p>
  {/if}
  {#each correction.conflicts as c (c.cards.join())}
    <p class="mt-2 border-l-[3px] border-ochre bg-ochre-soft px-3 py-2 text-[0.92rem]" data-testid="conflict">
      <strong>{cardName(c.cards[0])}</strong> and <strong>{cardName(c.cards[1])}</strong> cannot both be
      right:
      {nameOf(c.colourantIds[0] ?? '')} × {c.factors[0].toFixed(2)} by one, × {c.factors[1].toFixed(2)} by the other.
      Nothing is corrected by either; a third card would tell.
    </p>
  {/each}
  {#each correction.cards.filter((c) => c.outlier) as c (c.id)}
    <p class="mt-2 border-l-[3px] border-ochre bg-ochre-soft px-3 py-2 text-[0.92rem]" data-testid="outlier">
      <strong>{data.cards.find((x) => x.id === c.id)?.name}</strong> does not fit the others (ΔE {c.after.toFixed(
        0
      )}): a slip in its recipe or its colour? It is left out.
    </p>
  {/each}

  <ul class="mt-4 grid gap-3 sm:grid-cols-2 lg:grid-cols-4">
    {#each data.cards as card, n (card.id)}
      {@const fit = of(card.id)}
      <li class="sheet overflow-hidden" data-card={card.id}>
        <div class="grid grid-cols-2">
          <Swatch hex={card.colour} letter={letterOf(n)} label="{card.name}, measured" height={64} />
          <Swatch hex={predicted(card)} letter={letterOf(n)} label="{card.name}, predicted" height={64} />
        </div>
        <div class="p-3 text-[0.88rem]">
          <p class="flex text-[0.78rem] text-ink-2">
            <span class="flex-1">measured</span><span>predicted</span>
          </p>
          <h3 class="text-[1.05rem]">{card.name}</h3>
          <p class="text-ink-2">
            {card.lines.map((l) => `${nameOf(l.colourantId)} ${l.percent} %`).join(', ')}
          </p>
          <p class="text-ink-2">
            {data.bases.find((b) => b.id === card.baseId)?.name ?? 'base gone'}, {card.backing === 'deep'
              ? 'deep'
              : `${length(card.mm)} over ${card.backing}`}, {card.light}
          </p>
          {#if card.photo}<img
              class="mt-1 h-20 w-full rounded object-cover"
              src="/api/v1/trialcards/{card.id}/photo"
              alt="card {card.name}"
            />{/if}
          {#if card.note}<p class="italic">{card.note}</p>{/if}
          <p class="mt-1 flex items-baseline justify-between text-ink-2">
            {#if fit}<span class={fit.outlier ? 'font-semibold text-ochre' : ''}
                >ΔE {fit.before.toFixed(1)} → {fit.after.toFixed(1)}</span
              >{/if}
            <span>{day(card.madeAt)}</span>
            <button class="underline" onclick={() => remove(card.id)} aria-label="Throw away {card.name}"
              >throw away</button
            >
          </p>
        </div>
      </li>
    {:else}
      <li class="text-ink-2 sm:col-span-2">
        No cards yet. Smear a cup on white card, let it dry, and measure it here.
      </li>
    {/each}
  </ul>

  {#if data.colourants.length && data.bases.length}
    <Ladder bases={data.bases} colourants={data.colourants} cards={data.cards} />
  {/if}
</div>
