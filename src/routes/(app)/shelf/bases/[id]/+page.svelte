<script lang="ts">
  import Table from '$lib/ui/Table.svelte';
  import Choice from '../../../../../lib/ui/forms/Choice.svelte';
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import { Base, cautionsOf, formulaOf, materials } from '$core/material';
  import { BaseForm } from '../../../../../lib/store/base-form.svelte';
  import CardFigures from '$lib/ui/materials/CardFigures.svelte';
  import CardHead from '$lib/ui/shelf/CardHead.svelte';
  import NumberField from '$lib/ui/shelf/NumberField.svelte';
  import ProblemNote from '$lib/ui/ProblemNote.svelte';
  import QuantityField from '../../../../../lib/ui/forms/QuantityField.svelte';
  import Row from '../../../../../lib/ui/forms/Row.svelte';
  import { mass } from '../../../../../lib/preferences.svelte';
  import { whose } from '$lib/ui/shelf/whose';

  let { data } = $props();
  const form = $derived(new BaseForm('bases', Base, data.card, data.revision));
  const card = $derived(form.card);
  const formula = $derived(formulaOf(card));
</script>

<svelte:head><title>{card.name || 'New material'} · Kirapen</title></svelte:head>

<div class="page">
  {#snippet backToPlan()}
    <a class="button go" href="/plans/new?base={card.id}">Back to the new plan</a>
  {/snippet}
  <CardHead
    {form}
    back="/shelf"
    what={materials.of(card).name}
    put="/shelf"
    main={page.url.searchParams.get('for') === 'new-plan' ? backToPlan : undefined}
  />
  <p class="mt-2 flex flex-wrap items-center gap-3 text-ink-2">
    The data sheet in the box always wins: a figure you set is marked as yours, the others are starting
    values.
    {#if form.fresh}
      <Choice
        label="Material"
        value={card.kind}
        options={materials.all().map(({ kind, name }) => ({ value: kind, label: name }))}
        onchange={(v) => goto(`?kind=${v}`, { replaceState: true })}
        class="!w-64"
      />
    {/if}
  </p>

  <div class="mt-4 grid items-start gap-6 lg:grid-cols-3">
    <section class="sheet p-5">
      <h2 class="text-[1.2rem]">What it is</h2>
      <CardFigures {form} {card} />
    </section>

    <section class="sheet p-5">
      <h2 class="text-[1.2rem]">1 kg contains</h2>
      {#if formula.ok}
        <Table
          class="mt-1"
          label="1 kg contains"
          rows={formula.value.parts}
          columns={[
            { id: 'part', text: (p) => p.name, class: '!px-0 text-ink-2' },
            {
              id: 'grams',
              num: true,
              text: (p) => mass(p.share * 1000),
              class: '!pr-0 font-semibold'
            }
          ]}
        />
        <p class="mt-1 text-[0.9rem] text-ink-2">
          {formula.value.density.toFixed(3)} g/ml · colourants in percent {formula.value.basis.words}
        </p>
      {:else}
        <ProblemNote problem={formula.problem} />
      {/if}
      <h2 class="mt-5 text-[1.2rem]">Time</h2>
      <div class="grid grid-cols-2 gap-x-3">
        <Row label="Open time at 23 °C" problem={form.at('openMinutes')} whose={whose(card, 'openMinutes')}>
          <QuantityField
            label="Open time"
            unit="min"
            above
            value={card.openMinutes}
            onchange={(v) => form.set(['openMinutes'], v)}
          />
        </Row>
        <Row label="Stir for" problem={form.at('stirMinutes')} whose={whose(card, 'stirMinutes')}>
          <QuantityField
            label="Stir for"
            unit="min"
            above
            value={card.stirMinutes}
            onchange={(v) => form.set(['stirMinutes'], v)}
          />
        </Row>
        <Row label="Demould from" problem={form.at('demouldHours/from')} whose={whose(card, 'demouldHours')}>
          <QuantityField
            label="Demould from"
            unit="h"
            above
            value={card.demouldHours.from * 60}
            onchange={(v) => form.set(['demouldHours', 'from'], v / 60)}
          />
        </Row>
        <Row label="Demould until" problem={form.at('demouldHours/to')} whose={whose(card, 'demouldHours')}>
          <QuantityField
            label="Demould until"
            unit="h"
            above
            value={card.demouldHours.to * 60}
            onchange={(v) => form.set(['demouldHours', 'to'], v / 60)}
          />
        </Row>
        <Row label="Smallest mix" problem={form.at('leastMix')} whose={whose(card, 'leastMix')}>
          <QuantityField
            label="Smallest mix"
            unit="g"
            value={card.leastMix}
            onchange={(v) => form.set(['leastMix'], v)}
          />
        </Row>
        <Row label="Shelf life, months" problem={form.at('shelfMonths')} whose={whose(card, 'shelfMonths')}>
          <NumberField
            label="Shelf life in months"
            value={card.shelfMonths}
            onchange={(v) => form.set(['shelfMonths'], v)}
          />
        </Row>
      </div>
    </section>

    <section class="sheet p-5">
      <h2 class="text-[1.2rem]">Cautions</h2>
      <ul class="mt-1 space-y-1.5 text-[0.92rem]">
        {#each cautionsOf(card) as caution, i (i)}<li
            class="border-l-[3px] border-ochre bg-ochre-soft px-3 py-1.5"
          >
            {caution}
          </li>{/each}
      </ul>
      <Row label="More from your data sheet, one on each line">
        <textarea
          class="field min-h-16 py-2"
          aria-label="More cautions"
          value={card.cautions.join('\n')}
          onchange={(e) =>
            form.set(
              ['cautions'],
              e.currentTarget.value
                .split('\n')
                .map((l) => l.trim())
                .filter(Boolean)
            )}></textarea>
      </Row>
      <Row label="Where the figures come from">
        <textarea
          class="field min-h-16 py-2"
          aria-label="Where the figures come from"
          value={card.source}
          oninput={(e) => form.set(['source'], e.currentTarget.value)}></textarea>
      </Row>
      <Row label="Its own colour, cured" problem={form.at('colour')}>
        <input
          class="h-11 w-20 rounded-md border border-rule-strong bg-sheet"
          type="color"
          aria-label="Its own colour"
          value={card.colour}
          onchange={(e) => form.set(['colour'], e.currentTarget.value)}
        />
      </Row>
    </section>
  </div>
</div>
