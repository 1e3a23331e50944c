<script lang="ts">
  import { carrierWords } from '$core/shelf';
  import { VERDICTS } from '$lib/ui/colour/verdicts';
  import Table from '$lib/ui/Table.svelte';
  import Hint from '../../../lib/ui/forms/Hint.svelte';
  import Choice from '../../../lib/ui/forms/Choice.svelte';
  import BrokenList from '$lib/ui/BrokenList.svelte';
  import {
    filmReflectance,
    flat,
    hidingThickness,
    labOf,
    lookOf,
    mixtureOf,
    tintingStrength,
    PLAIN_BASE
  } from '$core/colour';
  import { concentrationsOf } from '$core/dosing';
  import { compatibilityOf, formulaOf, limitOf, type Colourant } from '$core/material';
  import { startingLibrary } from '$core/shelf';
  import ColourTabs from '$lib/ui/colour/ColourTabs.svelte';
  import { letterOf } from '$lib/ui/colour/letter';
  import { suited } from '$lib/ui/colour/suited';
  import { length } from '../../../lib/preferences.svelte';
  import Swatch from '$lib/ui/colour/Swatch.svelte';

  let { data } = $props();
  const STEPS = [0.1, 0.3, 1, 3];
  /** The white of a drawdown card. */
  const WHITE = flat(0.85);
  let baseId = $state('');
  const base = $derived(data.bases.find((b) => b.id === baseId) ?? suited(data.bases, data.colourants));
  const formula = $derived(base ? formulaOf(base) : undefined);
  const material = $derived(base?.kind ?? PLAIN_BASE.kind);
  const look = $derived({
    kind: material,
    colour: base?.colour ?? '#f1ede0',
    density: formula?.ok ? formula.value.density : 1.1
  });
  // Strength is told beside a common brown oxide, as the starting library has it.
  const reference = startingLibrary.colourants.find((c) => c.id === 'brown-paste')!;
  const tint = $derived((colourant: Colourant, percent: number) => ({
    base: look,
    doses: [
      {
        colourant,
        percent: formula?.ok
          ? concentrationsOf(formula.value, [{ colourant, percent, of: 'supplied' }])[0]!
          : percent
      }
    ]
  }));
  // White and pearl darken nothing.
  const tints = (strength: number) => (strength < 0.05 ? '—' : `× ${strength.toFixed(1)}`);
  const formWords = (c: Colourant) =>
    `${c.form}${c.pigmentFraction < 1 ? `, ${Math.round(c.pigmentFraction * 100)} %` : ''}${
      c.carrier === 'none' ? '' : ` in ${carrierWords(c.carrier)}`
    }`;
  const mm = (x: number) => (Number.isFinite(x) ? length(x, x < 10 ? 1 : 0) : 'never');
</script>

<svelte:head><title>Colours · Kirapen</title></svelte:head>

<div class="page">
  <ColourTabs />
  <BrokenList broken={data.broken} />
  <header class="flex items-center gap-3">
    <div class="flex-1">
      <h1 class="text-[1.9rem]">Colours</h1>
      <p class="text-ink-2">
        Each colourant on the shelf, and how {length(2, 0)} of
        <Choice
          label="Material"
          value={base?.id ?? ''}
          options={data.bases.map((b) => ({ value: b.id, label: b.name }))}
          onchange={(v) => (baseId = v)}
          quiet
          class="text-ink"
        />
        over white looks at four strengths{formula?.ok ? `, percent ${formula.value.basis.words}` : ''}.
      </p>
    </div>
    <a class="button" href="/colours/new">New colourant</a>
  </header>
  <Table
    class="mt-3"
    rows={data.colourants.map((c, n) => ({
      c,
      n,
      most: limitOf(c, material),
      fits: compatibilityOf(c.form, material),
      hides: hidingThickness(mixtureOf(tint(c, 1))),
      strength: tintingStrength(c, reference)
    }))}
    rowClass="hover:bg-sheet"
    empty="No colourants yet. Add the starter set from the bench, or make your own."
    columns={[
      { id: 'colourant', head: 'colourant', by: ({ c }) => c.name },
      {
        id: 'form',
        head: 'form',
        by: ({ c }) => c.form,
        text: ({ c }) => formWords(c),
        class: 'text-ink-2 max-lg:hidden',
        headClass: 'max-lg:hidden'
      },
      ...STEPS.map((step) => ({
        id: String(step),
        head: `${step} %`,
        headClass: 'text-center',
        class: 'w-14 !px-0.5'
      })),
      { id: 'hides', head: 'opaque at 1\u00a0%', num: true, by: (r) => r.hides, text: (r) => mm(r.hides) },
      {
        id: 'tints',
        head: 'strength',
        num: true,
        by: (r) => r.strength,
        text: (r) => tints(r.strength),
        class: 'whitespace-nowrap'
      },
      { id: 'most', head: 'max.', num: true, by: (r) => r.most.limit, class: 'whitespace-nowrap' },
      { id: 'fits', head: 'fits', class: (r) => `text-[0.85rem] ${VERDICTS[r.fits.verdict]}` }
    ]}
  >
    {#snippet cell({ c, n, most, fits }, column)}
      {#if column === 'colourant'}
        <a
          class="flex items-center gap-3 font-semibold underline-offset-2 hover:underline"
          href="/colours/{c.id}"
        >
          <span class="w-9 shrink-0"><Swatch hex={c.colour} letter={letterOf(n)} label={c.name} /></span
          >{c.name}
        </a>
        <span class="text-[0.8rem] text-ink-2">{c.colourFrom ? '' : 'starting value'}</span>
      {:else if column === 'most'}
        <Hint words={most.reason}>{most.limit} %</Hint>
      {:else if column === 'fits'}
        <strong>{fits.verdict}</strong>
        {fits.reason}
      {:else}
        {@const seen = lookOf(labOf(filmReflectance(mixtureOf(tint(c, Number(column))), 2, WHITE)))}
        <Swatch hex={seen.hex} letter={letterOf(n)} label="{c.name}, {column} %" />{#if !seen.onScreen}<Hint
            words="In a cup it looks deeper than a screen can show."
            class="block w-full !text-center text-[0.8rem] text-ochre"
            ><span aria-hidden="true">▲&nbsp;</span>deeper</Hint
          >{/if}
      {/if}
    {/snippet}
  </Table>
  {#if data.colourants.length}
    <p class="mt-2 text-[0.85rem] text-ink-2">
      A full cup always looks stronger than these thin layers. “Strength” is how much darker it makes white
      than a common brown oxide paste does, percent for percent.
    </p>
  {/if}
</div>
