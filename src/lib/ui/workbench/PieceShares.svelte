<!-- Beside the picture: what was poured of each colour and what of it is seen, how far they run together, which are hard to tell apart. -->
<script lang="ts" module>
  import type { ComputedCup } from '$core/plan';

  /** What was poured of a cup and what of it is seen, 0..1; not known while the picture is being drawn. */
  export interface Shown {
    cup: ComputedCup;
    poured: number;
    shows: number | undefined;
  }
</script>

<script lang="ts">
  import type { Computed } from '$core/plan';
  import Hint from '../forms/Hint.svelte';

  let {
    computed,
    shows,
    besides,
    done,
    mud,
    mayCover
  }: {
    computed: Computed;
    shows: readonly Shown[];
    /** The share of the face that is of no cup, 0..1. */
    besides: number;
    /** Whether the picture is whole. */
    done: boolean;
    /** How far the colours have run into one another, 0..1; undefined until it is known. */
    mud: number | undefined;
    /** What a strong white can cover of the face. */
    mayCover: (cupId: string) => number | undefined;
  } = $props();

  /** Below it borders are clean, above the other colours turn muddy: shares of what has run together. */
  const CLEAN = 0.12;
  const MUDDY = 0.35;
  const VERDICTS = {
    clear: { tone: 'text-ink-2', words: 'differ by hue only' },
    close: { tone: 'text-ochre', words: 'are close' },
    'reads as one': { tone: 'text-cinnabar', words: 'look the same' }
  };
  const MOST = 5;
  const hard = $derived(
    computed.pairs.filter((p) => p.contrast.verdict !== 'clear' || !p.contrast.byLightness).slice(0, MOST)
  );
  const markOf = (id: string) => computed.cups.find((c) => c.cupId === id);
  const percent = (x: number) => `${(x * 100).toFixed(0)} %`;
</script>

<p class="text-ink-2">{done ? 'poured → shows' : 'being drawn'}</p>
{#each shows as row (row.cup.cupId)}
  <div class="mt-1.5">
    <p class="truncate leading-tight"><strong>{row.cup.letter}</strong> {row.cup.name}</p>
    <div
      class="mt-0.5 h-2 border border-ink-2"
      style="width:{Math.max(2, row.poured * 100)}%;background:{row.cup.colour}"
    ></div>
    <div
      class="mt-0.5 h-2 border border-ink"
      style="width:{Math.max(2, (row.shows ?? 0) * 100)}%;background:{row.cup.colour}"
    ></div>
    <p class="whitespace-nowrap text-ink-2">
      {percent(row.poured)} →
      <span class="text-ink">{row.shows === undefined ? '…' : percent(row.shows)}</span>
    </p>
    {#if mayCover(row.cup.cupId)}
      <p class="text-[0.8rem] leading-tight text-ochre">
        may cover up to {percent(mayCover(row.cup.cupId)!)}
      </p>
    {/if}
  </div>
{/each}
{#if besides > 0.005}
  <p class="mt-1.5 leading-tight text-ink-2" data-testid="besides">
    {percent(besides)} is what is set in or dusted on
  </p>
{/if}
{#if mud !== undefined && mud >= CLEAN}
  <p class="mt-2 leading-tight text-ink-2 {mud >= MUDDY ? 'text-ochre' : ''}" data-testid="mud">
    bleeding {percent(mud)}, {mud < MUDDY ? 'thin lines' : 'turning muddy'}
  </p>
{:else if mud !== undefined}
  <p class="mt-2 leading-tight text-ink-2" data-testid="mud">clean edges</p>
{/if}
{#if computed.pairs.length}
  <ul class="mt-2 space-y-1 leading-tight" data-testid="contrast" aria-label="Colours that touch">
    {#each hard as pair (pair.a + pair.b)}
      {@const { deltaE, lightness, verdict } = pair.contrast}
      <li class={VERDICTS[verdict].tone}>
        <Hint
          class="text-left"
          words="Colour difference ΔE {deltaE.toFixed(1)}, lightness {lightness.toFixed(0)} apart"
        >
          <strong>{markOf(pair.a)?.letter} and {markOf(pair.b)?.letter}</strong>
          {VERDICTS[verdict].words}
        </Hint>
      </li>
    {/each}
    {#if hard.length < computed.pairs.length}
      <li class="text-ink-2">
        {hard.length ? 'The others are' : 'All colours are'} easy to tell apart
      </li>
    {/if}
  </ul>
{/if}
