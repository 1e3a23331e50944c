<!-- Each colourant on the shelf: how it looks in a material at four strengths, what it hides, how much may be used. -->
<script lang="ts">
  import { goto } from '$app/navigation';
  import { VERDICTS } from '$lib/ui/colour/verdicts';
  import Table from '$lib/ui/Table.svelte';
  import Hint from '../../../lib/ui/forms/Hint.svelte';
  import Choice from '../../../lib/ui/forms/Choice.svelte';
  import BrokenList from '$lib/ui/BrokenList.svelte';
  import ColourTabs from '$lib/ui/colour/ColourTabs.svelte';
  import { letterOf } from '$lib/ui/colour/letter';
  import { length } from '../../../lib/preferences.svelte';
  import Swatch from '$lib/ui/colour/Swatch.svelte';

  let { data } = $props();
  // White and pearl darken nothing.
  const tints = (strength: number) => (strength < 0.05 ? '—' : `× ${strength.toFixed(1)}`);
  const mm = (x: number | null) => (x === null ? 'never' : length(x, x < 10 ? 1 : 0));
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
          value={data.baseId}
          options={data.bases.map((b) => ({ value: b.id, label: b.name }))}
          onchange={(v) => goto(`?material=${encodeURIComponent(v)}`, { replaceState: true, noScroll: true })}
          quiet
          class="text-ink"
        />
        over white looks at four strengths{data.basis ? `, percent ${data.basis}` : ''}.
      </p>
    </div>
    <a class="button" href="/colours/new">New colourant</a>
  </header>
  <Table
    class="mt-3"
    rows={data.rows.map((c, n) => ({ ...c, n }))}
    rowClass="hover:bg-sheet"
    empty="No colourants yet. Add the starter set from the bench, or make your own."
    columns={[
      { id: 'colourant', head: 'colourant', by: (c) => c.name },
      {
        id: 'form',
        head: 'form',
        by: (c) => c.form,
        text: (c) => c.words,
        class: 'text-ink-2 max-lg:hidden',
        headClass: 'max-lg:hidden'
      },
      ...data.strengths.map((step) => ({
        id: String(step),
        head: `${step} %`,
        headClass: 'text-center',
        class: 'w-14 !px-0.5'
      })),
      {
        id: 'hides',
        head: 'opaque at 1\u00a0%',
        num: true,
        by: (r) => r.hides ?? Infinity,
        text: (r) => mm(r.hides)
      },
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
    {#snippet cell(c, column)}
      {#if column === 'colourant'}
        <a
          class="flex items-center gap-3 font-semibold underline-offset-2 hover:underline"
          href="/colours/{c.id}"
        >
          <span class="w-9 shrink-0"><Swatch hex={c.colour} letter={letterOf(c.n)} label={c.name} /></span
          >{c.name}
        </a>
        <span class="text-[0.8rem] text-ink-2">{c.starts ? 'starting value' : ''}</span>
      {:else if column === 'most'}
        <Hint words={c.most.reason}>{c.most.limit} %</Hint>
      {:else if column === 'fits'}
        <strong>{c.fits.verdict}</strong>
        {c.fits.reason}
      {:else}
        {@const seen = c.seen[data.strengths.indexOf(Number(column))]!}
        <Swatch hex={seen.hex} letter={letterOf(c.n)} label="{c.name}, {column} %" />{#if !seen.onScreen}<Hint
            words="In a cup it looks deeper than a screen can show."
            class="block w-full !text-center text-[0.8rem] text-ochre"
            ><span aria-hidden="true">▲&nbsp;</span>deeper</Hint
          >{/if}
      {/if}
    {/snippet}
  </Table>
  {#if data.rows.length}
    <p class="mt-2 text-[0.85rem] text-ink-2">
      A full cup always looks stronger than these thin layers. “Strength” is how much darker it makes white
      than a common brown oxide paste does, percent for percent.
    </p>
  {/if}
</div>
