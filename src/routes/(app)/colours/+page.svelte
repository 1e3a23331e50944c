<script lang="ts">
  import Choice from '$lib/ui/Choice.svelte';
  import BrokenList from '$lib/ui/BrokenList.svelte';
  import {
    filmReflectance,
    flat,
    hidingThickness,
    labOf,
    lookOf,
    mixtureOf,
    tintingStrength
  } from '$core/colour';
  import { concentrationsOf } from '$core/dosing';
  import { compatibilityOf, formulaOf, limitOf, type Colourant } from '$core/material';
  import { startingLibrary } from '$core/shelf';
  import ColourTabs from '$lib/ui/colour/ColourTabs.svelte';
  import { letterOf } from '$lib/ui/colour/letter';
  import { suited } from '$lib/ui/colour/suited';
  import Swatch from '$lib/ui/colour/Swatch.svelte';

  let { data } = $props();
  const STEPS = [0.1, 0.3, 1, 3];
  /** The white of a drawdown card. */
  const WHITE = flat(0.85);
  let baseId = $state('');
  const base = $derived(data.bases.find((b) => b.id === baseId) ?? suited(data.bases, data.colourants));
  const formula = $derived(base ? formulaOf(base) : undefined);
  const material = $derived(base?.kind ?? 'resin');
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
  const tints = (c: Colourant) => {
    const strength = tintingStrength(c, reference);
    return strength < 0.05 ? '—' : `× ${strength.toFixed(1)}`;
  };
  const mm = (x: number) => (Number.isFinite(x) ? `${x < 10 ? x.toFixed(1) : x.toFixed(0)} mm` : 'never');
</script>

<svelte:head><title>Colours · Kirapen</title></svelte:head>

<div class="mx-auto max-w-[1160px] px-7 py-6">
  <ColourTabs />
  <BrokenList broken={data.broken} />
  <header class="flex items-center gap-3">
    <div class="flex-1">
      <h1 class="text-[1.9rem]">Colours</h1>
      <p class="text-ink-2">
        Each colourant on the shelf, and how 2 mm of
        <Choice
          label="Base"
          value={base?.id ?? ''}
          options={data.bases.map((b) => ({ value: b.id, label: b.name }))}
          onchange={(v) => (baseId = v)}
          quiet
          class="text-ink"
        />
        over white look as more goes in{formula?.ok ? `, percent ${formula.value.basis.words}` : ''}.
      </p>
    </div>
    <a class="button" href="/colours/new">New colourant</a>
  </header>
  <table class="figures mt-3">
    <thead>
      <tr>
        <th>colourant</th><th>form</th>
        {#each STEPS as step (step)}<th class="text-center">{step} %</th>{/each}
        <th class="num">hides at, 1 %</th><th class="num">tints</th><th class="num">most</th>
        <th>fits</th>
      </tr>
    </thead>
    <tbody>
      {#each data.colourants as c, n (c.id)}
        {@const most = limitOf(c, material)}
        {@const fits = compatibilityOf(c.form, material)}
        <tr class="hover:bg-sheet">
          <td>
            <a
              class="flex items-center gap-3 font-semibold underline-offset-2 hover:underline"
              href="/colours/{c.id}"
            >
              <span class="w-9 shrink-0"
                ><Swatch hex={c.colour} letter={letterOf(n)} nth={n} label={c.name} /></span
              >{c.name}
            </a>
            <span class="text-[0.8rem] text-ink-2">{c.colourFrom ? '' : 'starting value'}</span>
          </td>
          <td class="text-ink-2"
            >{c.form}{c.pigmentFraction < 1 ? `, ${Math.round(c.pigmentFraction * 100)} %` : ''}{c.carrier ===
            'none'
              ? ''
              : ` in ${c.carrier}`}</td
          >
          {#each STEPS as step (step)}
            {@const seen = lookOf(labOf(filmReflectance(mixtureOf(tint(c, step)), 2, WHITE)))}
            <td class="w-14 !px-0.5"
              ><Swatch
                hex={seen.hex}
                letter={letterOf(n)}
                nth={n}
                label="{c.name}, {step} %"
              />{#if !seen.onScreen}<span
                  class="block text-center text-[0.7rem] text-ochre"
                  title="the screen cannot show it as strong as it is">stronger</span
                >{/if}</td
            >
          {/each}
          <td class="num">{mm(hidingThickness(mixtureOf(tint(c, 1))))}</td>
          <td class="num whitespace-nowrap">{tints(c)}</td>
          <td class="num whitespace-nowrap" title={most.reason}>{most.limit} %</td>
          <td
            class="text-[0.85rem] {fits.verdict === 'good'
              ? 'text-verdigris'
              : fits.verdict === 'avoid'
                ? 'text-cinnabar'
                : 'text-ochre'}"
          >
            <strong>{fits.verdict}</strong>
            {fits.reason}
          </td>
        </tr>
      {:else}
        <tr
          ><td colspan="10" class="!py-10 text-center text-ink-2"
            >No colourants yet. Fill the shelf with generic cards, or add your own.</td
          ></tr
        >
      {/each}
    </tbody>
  </table>
  {#if data.colourants.length}
    <p class="mt-2 text-[0.85rem] text-ink-2">
      A full cup always looks stronger than these thin layers. “Tints” is how much darker it makes white than
      a common brown oxide paste does, percent for percent.
    </p>
  {/if}
</div>
