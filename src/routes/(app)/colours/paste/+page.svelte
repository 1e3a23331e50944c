<script lang="ts">
  import Choice from '../../../../lib/ui/forms/Choice.svelte';
  import { goto } from '$app/navigation';
  import { EIGHTH_TSP, pasteOf, usualFraction, type PutIn } from '$core/dosing';
  import { compatibilityOf, type Colourant } from '$core/material';
  import type { Problem } from '$core/problem';
  import { weighing } from '$core/quantity';
  import { PASTE_CARRIERS, pigmentsToMull } from '$core/shelf';
  import { send } from '../../../../lib/store/send';
  import ColourTabs from '$lib/ui/colour/ColourTabs.svelte';
  import ProblemNote from '$lib/ui/ProblemNote.svelte';
  import QuantityField from '../../../../lib/ui/forms/QuantityField.svelte';
  import NumberField from '$lib/ui/shelf/NumberField.svelte';
  import { money } from '../../../../lib/preferences.svelte';
  import Row from '../../../../lib/ui/forms/Row.svelte';

  let { data } = $props();
  /** A drop of a thick carrier, g: typical of a pipette. */
  const DROP = 0.04;
  const dry = $derived(pigmentsToMull(data.shelf.colourants));
  const scales = $derived([...data.shelf.scales].sort((a, b) => a.division - b.division));
  let pigmentId = $state('');
  let carrier = $state<Colourant['carrier']>('part B');
  /** Materials in two parts: whose part carries it. */
  const materialsOfTwo = $derived(
    data.shelf.bases.filter(
      (b) => 'a' in b && 'b' in b && compatibilityOf('paste', b.kind).verdict === 'good'
    )
  );
  let ofMaterial = $state<string>();
  const material = $derived(ofMaterial ?? materialsOfTwo[0]?.id);
  const isPart = $derived(carrier.startsWith('part') && material !== undefined);
  let make = $state(40);
  let fraction = $state(0.6);
  let months = $state(12);
  let carrierCost = $state<number | undefined>();
  let bought = $state<number | undefined>();
  let problems = $state<Problem[]>([]);
  const pigment = $derived(dry.find((c) => c.id === pigmentId) ?? dry[0]);
  const chosen = $derived(PASTE_CARRIERS.find((c) => c.carrier === carrier)!);
  const division = $derived(scales[0]?.division ?? 0.01);
  /** What really went in, as it was put in. */
  let put = $state<PutIn[]>([]);
  let more = $state<{ of: PutIn['of']; by: PutIn['by']; amount: number | undefined }>({
    of: 'pigment',
    by: 'g',
    amount: undefined
  });
  /** Grams of one of what is counted: a level eighth of a teaspoon of this powder, a drop of a carrier. */
  const each = $derived(
    more.by === 'drops' ? DROP : EIGHTH_TSP * (more.of === 'pigment' ? (pigment?.bulkDensity ?? 0.8) : 1)
  );
  function add() {
    if (!more.amount || more.amount <= 0) return;
    const { of, by, amount } = more;
    put = [...put, { of, by, amount, ...(by === 'g' ? {} : { each: Number(each.toFixed(4)) }) }];
    more = { ...more, amount: undefined };
  }
  const order = $derived({
    make,
    fraction,
    division,
    ...(pigment && data.costs[pigment.id] !== undefined ? { pigmentCost: data.costs[pigment.id]! } : {}),
    ...(carrierCost === undefined ? {} : { carrierCost }),
    ...(put.length ? { put } : {})
  });
  const UNITS = [
    { value: 'g', label: 'g' },
    { value: '⅛ tsp', label: '⅛ teaspoons' },
    { value: 'drops', label: 'drops' }
  ];
  const paste = $derived(
    pasteOf({ ...order, ...(bought === undefined ? {} : { bought: { cost: bought, fraction: 0.5 } }) })
  );

  /** Puts the paste on the shelf, with its card and its lot. */
  async function keep() {
    if (!pigment) return;
    const of = isPart ? { carrierOf: material } : {};
    const made = { pigmentId: pigment.id, carrier, ...of, shelfMonths: months, ...order };
    const kept = await send<{ card: Colourant }>('POST', '/pastes', made);
    if (kept.ok) await goto(`/colours/${kept.value.card.id}`);
    else problems = kept.problems;
  }
</script>

{#snippet putIn()}
  <details class="mt-3 border-t border-rule pt-2" open={put.length > 0}>
    <summary class="cursor-pointer font-semibold">What really went in</summary>
    {#if put.length}
      <ul class="mt-1 text-[0.95rem]" data-testid="put-in">
        {#each put as p, i (i)}
          <li class="flex items-baseline justify-between gap-2">
            <span>{p.amount} {p.by} of {p.of === 'pigment' ? 'pigment' : chosen.words}</span>
            <button
              class="text-ink-2 hover:text-cinnabar"
              aria-label="Take out {p.amount} {p.by} of {p.of}"
              onclick={() => (put = put.toSpliced(i, 1))}>×</button
            >
          </li>
        {/each}
      </ul>
    {/if}
    <div class="mt-2 grid grid-cols-[4.5rem_1fr_1fr_auto] items-center gap-2">
      <NumberField
        label="How much went in"
        optional
        value={more.amount}
        onchange={(v) => (more.amount = v)}
      />
      <Choice
        label="Measured in"
        value={more.by}
        options={UNITS}
        onchange={(v) => (more.by = v as PutIn['by'])}
      />
      <Choice
        label="Of what"
        value={more.of}
        options={[
          { value: 'pigment', label: 'pigment' },
          { value: 'carrier', label: chosen.words }
        ]}
        onchange={(v) => (more.of = v as PutIn['of'])}
      />
      <button class="button" onclick={add}>Add</button>
    </div>
    <p class="mt-1 text-[0.82rem] text-ink-2">
      As you put it in, also what came after: the strength follows from all of it.
    </p>
  </details>
{/snippet}

<svelte:head><title>Make a paste · Kirapen</title></svelte:head>

<div class="page">
  <ColourTabs />
  <h1 class="text-[1.9rem]">Make a paste</h1>
  {#each problems as problem, i (i)}<ProblemNote {problem} />{/each}
  <ol class="mt-4 grid items-start gap-4 lg:grid-cols-3">
    <li class="sheet p-5">
      <p class="label">1 · From what</p>
      <Row label="Dry pigment">
        <Choice
          label="Dry pigment"
          value={pigment?.id ?? ''}
          options={dry.map((c) => ({ value: c.id, label: c.name, swatch: c.colour }))}
          onchange={(v) => (pigmentId = v)}
        />
      </Row>
      <Row label="Ground into" hint="counts as this part in every recipe">
        <Choice
          label="Ground into"
          value={carrier}
          options={PASTE_CARRIERS.map((c) => ({ value: c.carrier, label: c.words }))}
          onchange={(v) => (carrier = v as typeof carrier)}
        />
      </Row>
      {#if isPart}
        <Row label="Of which material">
          <Choice
            label="Of which material"
            value={material ?? ''}
            options={materialsOfTwo.map((b) => ({ value: b.id, label: b.name }))}
            onchange={(v) => (ofMaterial = v)}
          />
        </Row>
      {/if}
      <p class="mt-2 border-l-[3px] border-ochre bg-ochre-soft px-3 py-1.5 text-[0.9rem]">
        Dust mask until it is wet{carrier === 'part B' || carrier === 'part A'
          ? '; gloves: resin parts are sensitisers'
          : ''}.
      </p>
    </li>
    <li class="sheet p-5">
      <p class="label">2 · How much, how strong</p>
      <div class="grid grid-cols-2 gap-x-3">
        <Row label="Make">
          <QuantityField label="Make" unit="g" above value={make} onchange={(v) => (make = v)} />
        </Row>
        <Row
          label="Pigment in it"
          hint={pigment && `usual for this one: ${Math.round(usualFraction(pigment) * 100)} %`}
        >
          <QuantityField
            label="Pigment in it"
            unit="%"
            above
            max={1}
            value={fraction}
            onchange={(v) => (fraction = v)}
          />
        </Row>
        <Row label="Carrier price per g">
          <NumberField
            label="Carrier price per g"
            optional
            value={carrierCost}
            onchange={(v) => (carrierCost = v)}
          />
        </Row>
        <Row label="Ready-made price per g" hint="at 50 % pigment">
          <NumberField label="Bought costs" optional value={bought} onchange={(v) => (bought = v)} />
        </Row>
        <Row label="Shelf life, months">
          <NumberField label="Keeps months" value={months} onchange={(v) => v && (months = v)} />
        </Row>
      </div>
    </li>
    <li class="sheet p-5">
      <p class="label">3 · Weigh and grind</p>
      {#if paste.ok}
        <p class="mt-1 font-display text-[2rem] leading-tight font-medium" data-testid="paste">
          {weighing(paste.value.pigment, division)} <span class="text-[1.1rem]">pigment</span><br />
          {weighing(paste.value.carrier, division)} <span class="text-[1.1rem]">{chosen.words}</span>
        </p>
        <p class="mt-1 text-[0.9rem] text-ink-2" data-testid="grind">
          Pigment first, carrier drop by drop, grind until no grit shows on glass. {(
            paste.value.fraction * 100
          ).toFixed(1)} % by weight. Mark the jar with the carrier.
        </p>
        {@render putIn()}
        {#if paste.value.costGram !== undefined}
          <p class="mt-2">
            <strong>{money(paste.value.costGram)}</strong> a gram{#if paste.value.boughtPigment !== undefined};
              pigment in it
              {money(paste.value.costPigment!)}, bought {money(paste.value.boughtPigment)}{/if}
          </p>
        {:else}
          <p class="mt-2 text-[0.9rem] text-ink-2">
            Its cost shows once a lot of the pigment and the carrier’s price are known.
          </p>
        {/if}
        <button class="button go mt-3 w-full" onclick={keep} disabled={!pigment}>Save</button>
      {:else}
        <ProblemNote problem={paste.problem} />
        {@render putIn()}
      {/if}
    </li>
  </ol>
</div>
