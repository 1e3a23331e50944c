<script lang="ts">
  import Bar from '../../../../lib/ui/drawing/Bar.svelte';
  import Tick from '../../../../lib/ui/forms/Tick.svelte';
  import Choice from '../../../../lib/ui/forms/Choice.svelte';
  import { asWeighed, candidatesFor, labOfHex, type MatchAnswer, type MatchOrder } from '$core/colour';
  import { ownPercents } from '$core/dosing';
  import { goto } from '$app/navigation';
  import { recipeOf } from '$core/edit';
  import { formulaOf } from '$core/material';
  import { recipeColour } from '$core/plan';
  import type { Problem } from '$core/problem';
  import { newId } from '$lib/id';
  import { send } from '../../../../lib/store/send';
  import { weighing } from '$core/quantity';
  import { startingLibrary } from '$core/shelf';
  import { ColourWork } from '../../../../lib/plan/colour-work.svelte';
  import ColourTabs from '$lib/ui/colour/ColourTabs.svelte';
  import MatchAnswerCard from '$lib/ui/colour/MatchAnswerCard.svelte';
  import PhotoPick from '$lib/ui/colour/PhotoPick.svelte';
  import TargetField from '$lib/ui/colour/TargetField.svelte';
  import { suited } from '$lib/ui/colour/suited';
  import ProblemNote from '$lib/ui/ProblemNote.svelte';
  import QuantityField from '../../../../lib/ui/forms/QuantityField.svelte';
  import Row from '../../../../lib/ui/forms/Row.svelte';

  let { data } = $props();
  // The colour a link brought along is where the page begins; after that it is the maker's.
  // svelte-ignore state_referenced_locally
  let target = $state(/^#[0-9a-f]{6}$/i.test(data.wanted) ? data.wanted : '#5b7d95');
  // So is the cup it is for: its base, how much of it there is, and the scale it stands on.
  // svelte-ignore state_referenced_locally
  const { planId, cupId, plans } = data;
  const cupFor = plans.find((p) => p.id === planId);
  let baseId = $state(cupFor?.baseOf[cupId] ?? '');
  let film = $state(false);
  let mm = $state(2);
  let backing = $state<'#ffffff' | '#101010'>('#ffffff');
  let clear = $state(false);
  let most = $state(3);
  let batch = $state(cupFor?.grams[cupId] ?? 100);
  let scaleId = $state(cupFor?.scaleId ?? '');
  let buy = $state(false);
  const work = new ColourWork<MatchAnswer[]>();

  const base = $derived(data.bases.find((b) => b.id === baseId) ?? suited(data.bases, data.colourants));
  const formula = $derived(base ? formulaOf(base) : undefined);
  const scales = $derived([...data.scales].sort((a, b) => a.division - b.division));
  const scale = $derived(scales.find((s) => s.id === scaleId) ?? scales[0]);
  const toBuy = $derived(
    startingLibrary.colourants.filter((c) => !data.colourants.some((own) => own.id === c.id))
  );
  const all = $derived([...data.colourants, ...(buy ? toBuy : [])]);
  const without = $derived([data.without, ...(buy ? [] : data.empty)].filter(Boolean));
  const replaced = $derived(data.colourants.find((c) => c.id === data.without));
  const order = $derived.by((): MatchOrder | undefined => {
    if (!base || !formula?.ok) return undefined;
    return {
      target: labOfHex(target),
      base: { kind: base.kind, colour: base.colour, density: formula.value.density },
      ...(film ? { film: { mm, backing } } : {}),
      ...candidatesFor(base, formula.value, all, {
        without,
        ...(scale ? { weighing: { batch, scale } } : {})
      }),
      colourants: most,
      clear
    };
  });
  const nameOf = (id: string) => all.find((c) => c.id === id)?.name ?? id;
  const bought = (id: string) => !data.colourants.some((c) => c.id === id);

  /** The answer's lines as percentages of the material's own basis, as a plan would write them. */
  const own = $derived((answer: MatchAnswer) =>
    formula?.ok
      ? ownPercents(
          formula.value,
          answer.lines.map((l) => ({
            colourant: all.find((c) => c.id === l.colourantId)!,
            percent: l.percent,
            of: 'supplied' as const,
            basis: 'batch' as const
          }))
        )
      : answer.lines.map((l) => l.percent)
  );
  const cost = $derived((answer: MatchAnswer) => {
    const known = answer.lines.map((l) => data.costs[l.colourantId]);
    if (known.some((c) => c === undefined)) return undefined;
    return answer.lines.reduce((s, l, i) => s + ((l.percent * batch) / 100) * known[i]!, 0);
  });

  // An answer belongs to what was asked; once that changes it is no answer any more.
  let asked = $state.raw<MatchOrder>();

  function search() {
    asked = order;
    if (order) void work.start({ kind: 'match', order: $state.snapshot(order) as MatchOrder });
  }

  type CupHere = { plan: (typeof data.plans)[number]; cup: (typeof data.plans)[number]['cups'][number] };
  /** Cups of plans that are made of the base that is asked for. */
  const cupsHere = $derived(
    data.plans.flatMap((plan): CupHere[] =>
      plan.cups.filter((c) => plan.baseOf[c.id] === base?.id).map((cup) => ({ plan, cup }))
    )
  );
  const into = $derived(cupsHere.find(({ plan, cup }) => plan.id === data.planId && cup.id === data.cupId));
  let carried = $state<Problem[]>([]);

  /** The answer as a cup's recipe, weighed as it is shown; then the plan is opened. */
  async function carry(answer: MatchAnswer, { plan, cup }: { plan: { id: string }; cup: { id: string } }) {
    if (!order || !scale) return;
    const recipe = recipeOf(asWeighed(answer, order, batch, scale), own(answer), newId);
    const stored = await send('PUT', `/plans/${plan.id}/cups/${cup.id}/recipe`, recipe);
    carried = stored.ok ? [] : stored.problems;
    if (stored.ok) await goto(`/plans/${plan.id}`);
  }

  function fromCard(id: string) {
    target = data.cards.find((c) => c.id === id)?.colour ?? target;
  }

  function fromCup(value: string) {
    const [planId, cupId] = value.split('|');
    const plan = data.plans.find((p) => p.id === planId);
    const cup = plan?.cups.find((c) => c.id === cupId);
    const own = data.bases.find((b) => b.id === plan?.baseOf[cupId ?? '']);
    if (!cup || !own) return;
    target = recipeColour(cup, own, data.colourants)?.hex ?? target;
  }
</script>

<svelte:head><title>Match a colour · Kirapen</title></svelte:head>

<div class="page">
  <ColourTabs />
  <h1 class="text-[1.9rem]">{replaced ? `Without ${replaced.name}` : 'Match a colour'}</h1>
  <p class="text-ink-2">
    {replaced
      ? 'What comes nearest to it from the other pots.'
      : 'Which pigments make this colour in this material, and how much of each.'}
  </p>
  <div class="mt-3 grid items-start gap-6 lg:grid-cols-[340px_minmax(0,1fr)]">
    <section class="sheet p-5" aria-label="What is wanted">
      <Row label="Colour wanted">
        <TargetField label="Colour wanted" value={target} onchange={(hex) => (target = hex)} />
      </Row>
      <div class="flex flex-wrap gap-2">
        <PhotoPick onpick={(hex) => (target = hex)} />
        <Choice
          label="Colour of a trial card or a cup"
          value=""
          options={[
            ...data.cards.map((c) => ({ value: `#${c.id}`, label: `card: ${c.name}` })),
            ...data.plans.flatMap((p) =>
              p.cups.map((c) => ({ value: `${p.id}|${c.id}`, label: `${p.name}: ${c.name}` }))
            )
          ]}
          onchange={(v) => (v.startsWith('#') ? fromCard(v.slice(1)) : fromCup(v))}
          placeholder="or the colour of a card or cup"
          class="!w-auto flex-1"
        />
      </div>
      <Row label="In">
        <Choice
          label="Material"
          value={base?.id ?? ''}
          options={data.bases.map((b) => ({ value: b.id, label: b.name }))}
          onchange={(v) => (baseId = v)}
        />
      </Row>
      <div class="grid grid-cols-2 gap-x-3">
        <Row label="Seen as">
          <Choice
            label="Seen as"
            value={film ? 'film' : 'deep'}
            options={[
              { value: 'deep', label: 'a thick piece' },
              { value: 'film', label: 'a thin layer' }
            ]}
            onchange={(v) => (film = v === 'film')}
          />
        </Row>
        {#if film}
          <Row label="Thick">
            <QuantityField label="Thick" unit="mm" above max={500} value={mm} onchange={(v) => (mm = v)} />
          </Row>
          <Row label="Over">
            <Choice
              label="Over"
              value={backing}
              options={[
                { value: '#ffffff', label: 'white' },
                { value: '#101010', label: 'black' }
              ]}
              onchange={(v) => (backing = v as typeof backing)}
            />
          </Row>
        {/if}
        <Row label="At most">
          <Choice
            label="At most"
            value={String(most)}
            options={[1, 2, 3, 4].map((n) => ({
              value: String(n),
              label: `${n} colourant${n > 1 ? 's' : ''}`
            }))}
            onchange={(v) => (most = Number(v))}
          />
        </Row>
        <Row label="For a batch of">
          <QuantityField label="For a batch of" unit="g" above value={batch} onchange={(v) => (batch = v)} />
        </Row>
      </div>
      <Row label="Weighed on">
        <Choice
          label="Weighed on"
          value={scale?.id ?? ''}
          options={scales.map((s) => ({
            value: s.id,
            label: `${s.name}, ${weighing(s.division, s.division)}`
          }))}
          onchange={(v) => (scaleId = v)}
        />
      </Row>
      {#if !film}<Tick checked={clear} onchange={(v) => (clear = v)}>a transparent colour</Tick>{/if}
      {#if toBuy.length}<Tick checked={buy} onchange={(v) => (buy = v)}
          >also what could be bought ({toBuy.length} more)</Tick
        >{/if}
      {#if formula && !formula.ok}<ProblemNote problem={formula.problem} />{/if}
      {#if work.running}
        <div class="mt-2 flex items-center gap-3">
          <Bar class="flex-1" label="Search" share={work.progress} />
          <button class="button" onclick={() => work.cancel()}>Stop</button>
        </div>
      {:else}
        <button class="button go mt-2 w-full" onclick={search} disabled={!order?.candidates.length}>
          Find recipes{order ? ` from ${order.candidates.length} colourants` : ''}
        </button>
      {/if}
    </section>

    <section aria-label="Answers" data-testid="answers">
      {#each carried as problem, i (i)}<ProblemNote {problem} />{/each}
      {#if work.result && order && asked === order && scale}
        {#if !work.result.length}
          <p class="text-ink-2">
            Nothing on the shelf comes near inside the limits. Try what could be bought.
          </p>
        {/if}
        <ol class="space-y-3">
          {#each work.result as answer, n (n)}
            <MatchAnswerCard
              {answer}
              nth={n}
              {target}
              weighed={asWeighed(answer, order, batch, scale)}
              percents={own(answer)}
              price={cost(answer)}
              {scale}
              {nameOf}
              {bought}
              {cupsHere}
              {into}
              oncarry={(cup) => carry(answer, cup)}
            />
          {/each}
        </ol>
        <p class="mt-2 text-[0.85rem] text-ink-2">
          Percent {formula?.ok ? formula.value.basis.words : ''}, inside each colourant’s limit and the cup’s.
          A prediction: lay a trial card before the batch.
        </p>
      {:else if !work.running}
        <p class="text-ink-2">
          Choose a colour, a material and how it will be seen. The best recipes come here, the simplest first.
        </p>
      {/if}
    </section>
  </div>
</div>
