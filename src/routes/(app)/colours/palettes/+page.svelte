<script lang="ts">
  import Choice from '../../../../lib/ui/forms/Choice.svelte';
  import {
    asWeighed,
    candidatesFor,
    labOfHex,
    readPalette,
    writePalette,
    writePaletteCsv,
    type Cluster,
    type MatchAnswer,
    type MatchOrder,
    type Swatch as Named
  } from '$core/colour';
  import { ownPercents } from '$core/dosing';
  import { formulaOf } from '$core/material';
  import { weighing } from '$core/quantity';
  import QuantityField from '../../../../lib/ui/forms/QuantityField.svelte';
  import type { Problem } from '$core/problem';
  import { ColourWork } from '../../../../lib/plan/colour-work.svelte';
  import ColourTabs from '$lib/ui/colour/ColourTabs.svelte';
  import { letterOf } from '$lib/ui/colour/letter';
  import PhotoPick from '$lib/ui/colour/PhotoPick.svelte';
  import { suited } from '$lib/ui/colour/suited';
  import Swatch from '$lib/ui/colour/Swatch.svelte';
  import ProblemNote from '$lib/ui/ProblemNote.svelte';

  let { data } = $props();
  let swatches = $state<Named[]>([]);
  let problem = $state<Problem>();
  let count = $state(6);
  let baseId = $state('');
  let mm = $state(10);
  let batch = $state(100);
  let scaleId = $state('');
  let asked = $state.raw<MatchOrder>();
  let pixels: Uint8ClampedArray | undefined;
  let recipes = $state.raw<Record<string, MatchAnswer | undefined>>({});
  let done = $state(0);
  let matchingNow = $state(false);
  const clusters = new ColourWork<Cluster[]>();
  const search = new ColourWork<MatchAnswer[]>();
  const base = $derived(data.bases.find((b) => b.id === baseId) ?? suited(data.bases, data.colourants));
  const scales = $derived([...data.scales].sort((a, b) => a.division - b.division));
  const scale = $derived(scales.find((s) => s.id === scaleId) ?? scales[0]);
  const formula = $derived(base ? formulaOf(base) : undefined);
  const nameOf = (id: string) => data.colourants.find((c) => c.id === id)?.name ?? id;

  $effect(() => {
    if (!clusters.result) return;
    swatches = clusters.result.map((c, i) => ({
      name: `colour ${i + 1}, ${(c.share * 100).toFixed(0)} %`,
      hex: c.hex
    }));
    recipes = {};
    done = 0;
  });

  function find(picture: Uint8ClampedArray) {
    pixels = picture;
    void clusters.start({ kind: 'clusters', pixels: picture, count });
  }

  async function read(event: Event & { currentTarget: HTMLInputElement }) {
    const file = event.currentTarget.files?.[0];
    event.currentTarget.value = '';
    if (!file) return;
    const parsed = readPalette(await file.text());
    problem = parsed.ok ? undefined : parsed.problem;
    if (!parsed.ok) return;
    swatches = parsed.value;
    recipes = {};
    done = 0;
  }

  function save(name: string, text: string) {
    const url = URL.createObjectURL(new Blob([text], { type: 'text/plain' }));
    const link = document.createElement('a');
    link.href = url;
    link.download = name;
    link.click();
    URL.revokeObjectURL(url);
  }

  /** One colour after the other, so that each shows as it is found and the search can be stopped. */
  async function match() {
    if (!base || !formula?.ok) return;
    const { candidates, mostInAll } = candidatesFor(
      base,
      formula.value,
      data.colourants,
      scale ? { weighing: { batch, scale } } : {}
    );
    const look = { kind: base.kind, colour: base.colour, density: formula.value.density };
    matchingNow = true;
    done = 0;
    recipes = {};
    for (const s of swatches) {
      const order = {
        target: labOfHex(s.hex),
        base: look,
        candidates,
        mostInAll,
        colourants: 2,
        // As it will be seen: in a piece so thick, over something pale.
        film: { mm, backing: '#ffffff' }
      };
      asked = order;
      const found = await search.start({ kind: 'match', order: $state.snapshot(order) as MatchOrder });
      if (!found) break;
      recipes = { ...recipes, [s.hex]: found[0] };
      done++;
    }
    matchingNow = false;
  }
  /** Each line as it goes on the scale: percent, grams, and its let-down where it has to be one. */
  const weighedWords = $derived((answer: MatchAnswer) => {
    if (!asked || !scale) return '';
    const { grams: lines } = asWeighed(answer, asked, batch, scale);
    return lines
      .map((l, i) => {
        const how = l.letDown ? `, thinned 1 : ${l.letDown}` : '';
        return `${nameOf(l.colourantId)} ${percents(answer)[i]!.toPrecision(2)} %, ${weighing(l.grams, scale.division)}${how}`;
      })
      .join('; ');
  });
  const percents = $derived((answer: MatchAnswer) =>
    formula?.ok
      ? ownPercents(
          formula.value,
          answer.lines.map((l) => ({
            colourant: data.colourants.find((c) => c.id === l.colourantId)!,
            percent: l.percent,
            of: 'supplied' as const,
            basis: 'batch' as const
          }))
        )
      : []
  );
</script>

<svelte:head><title>Palettes · Kirapen</title></svelte:head>

<div class="page">
  <ColourTabs />
  <header class="flex flex-wrap items-center gap-3">
    <div class="flex-1">
      <h1 class="text-[1.9rem]">Palettes</h1>
      <p class="text-ink-2">From a photo or a file to recipes; from the shelf to a file.</p>
    </div>
    <a class="button" href="/api/v1/palette" download>Export palette</a>
    <a class="button" href="/api/v1/palette?as=csv" download>as CSV</a>
  </header>
  {#if problem}<div class="mt-3"><ProblemNote {problem} /></div>{/if}
  <div class="mt-4 grid items-start gap-6 lg:grid-cols-[320px_minmax(0,1fr)]">
    <section class="sheet p-5" aria-label="Where from">
      <label class="button cursor-pointer">
        Open a palette file
        <input
          class="sr-only"
          type="file"
          accept=".gpl,.csv,.txt,text/plain,text/csv"
          aria-label="Open a palette file"
          onchange={read}
        />
      </label>
      <p class="mt-4 mb-1 label">or the main colours of a photo</p>
      <label class="mb-2 flex items-center gap-2"
        >how many
        <Choice
          label="How many colours"
          value={String(count)}
          options={[3, 4, 5, 6, 8, 10].map((n) => ({ value: String(n), label: String(n) }))}
          onchange={(v) => {
            count = Number(v);
            if (pixels) find(pixels);
          }}
          class="!w-20"
        /></label
      >
      <PhotoPick label="Colours of a photo" onpixels={find} />
      {#if clusters.running}
        <p class="mt-2 flex items-center gap-2 text-ink-2">
          looking <button class="button" onclick={() => clusters.cancel()}>Stop</button>
        </p>
      {/if}
    </section>

    <section aria-label="Colours of the palette" data-testid="palette">
      {#if swatches.length}
        <div class="flex flex-wrap items-center gap-3">
          <Choice
            label="Material"
            value={base?.id ?? ''}
            options={data.bases.map((b) => ({ value: b.id, label: b.name }))}
            onchange={(v) => (baseId = v)}
            class="!w-64"
          />
          <label class="flex items-center gap-2"
            >in a piece
            <QuantityField
              label="Thickness of the piece"
              unit="mm"
              above
              max={500}
              width="4.6rem"
              value={mm}
              onchange={(v) => (mm = v)}
            />
          </label>
          <label class="flex items-center gap-2"
            >a batch of
            <QuantityField
              label="For a batch of"
              unit="g"
              above
              width="5rem"
              value={batch}
              onchange={(v) => (batch = v)}
            />
          </label>
          <Choice
            label="Weighed on"
            value={scale?.id ?? ''}
            options={scales.map((s) => ({
              value: s.id,
              label: `${s.name}, ${weighing(s.division, s.division)}`
            }))}
            onchange={(v) => (scaleId = v)}
            class="!w-48"
          />
          {#if matchingNow}
            <span>{done} of {swatches.length}</span>
            <button class="button" onclick={() => search.cancel()}>Stop</button>
          {:else}
            <button class="button go" onclick={match}>Find recipes</button>
          {/if}
          <span class="flex-1"></span>
          <button class="button" onclick={() => save('palette.gpl', writePalette('palette', swatches))}
            >Save as a palette</button
          >
          <button class="button" onclick={() => save('palette.csv', writePaletteCsv(swatches))}>as CSV</button
          >
        </div>
        <ul class="ruled mt-3">
          {#each swatches as s, n (n)}
            {@const found = recipes[s.hex]}
            <li class="flex items-center gap-4 py-2">
              <span class="w-20"><Swatch hex={s.hex} letter={letterOf(n)} label={s.name} /></span>
              <span class="w-20"
                >{#if found}<Swatch
                    hex={found.look.hex}
                    letter={letterOf(n)}
                    label="{s.name}, as matched"
                  />{/if}</span
              >
              <span class="w-44 truncate"
                >{s.name}<span class="block text-[0.82rem] text-ink-2">{s.hex}</span></span
              >
              <span class="min-w-0 flex-1 text-[0.92rem]">
                {#if found}{weighedWords(found)}{/if}
              </span>
              <span class="w-20 text-right"
                >{#if found}<strong>ΔE {found.deltaE.toFixed(1)}</strong>{/if}</span
              >
              <a class="button bare" href="/colours/match?colour={encodeURIComponent(s.hex)}">match</a>
            </li>
          {/each}
        </ul>
      {:else}
        <p class="text-ink-2">
          Open a palette file, or a photo: its main colours come here, and each becomes a recipe from your
          pigments.
        </p>
        {#if data.colourants.length}
          <h2 class="mt-5 text-[1.2rem]">Your own palette</h2>
          <p class="text-[0.9rem] text-ink-2">
            What <em>Export palette</em> writes: each pigment at full strength.
          </p>
          <ul class="mt-2 grid grid-cols-2 gap-x-6 gap-y-2 sm:grid-cols-3">
            {#each data.colourants as c (c.id)}
              <li>
                <a class="tap flex w-full items-center gap-3 hover:underline" href="/colours/{c.id}">
                  <span
                    class="size-10 shrink-0 rounded-md border border-rule-strong"
                    style="background:{c.colour}"
                    aria-hidden="true"
                  ></span>{c.name}</a
                >
              </li>
            {/each}
          </ul>
        {/if}
      {/if}
    </section>
  </div>
</div>
