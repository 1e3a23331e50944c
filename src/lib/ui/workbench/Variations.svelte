<!-- Other pieces that the same pour may come to; where nothing of it is left to chance, that is said in place of copies. -->
<script lang="ts">
  import { onDestroy, untrack, type ComponentProps } from 'svelte';
  import type { Vision } from '$core/colour';
  import type { ShareSpread } from '$core/inspect';
  import { withSpread, type Face } from '$core/piece';
  import { PatternWork } from '../../plan/pattern-work.svelte';
  import PiecePicture from '../drawing/PiecePicture.svelte';

  let {
    piece,
    face,
    vision,
    spread,
    seed = $bindable()
  }: {
    piece: ComponentProps<typeof PiecePicture>['piece'];
    face: Face;
    vision: Vision;
    /** How far measured pieces lie from their plans, once that is known. */
    spread: ShareSpread | undefined;
    /** Of what is left to chance; the usual one when absent. */
    seed: string | undefined;
  } = $props();

  const SEEDS = ['1', '2', '3', '4'] as const;
  const work = new PatternWork();
  onDestroy(() => work.end());
  $effect(() => {
    const { plan, shelf, group } = piece;
    const of = { plan, shelf, cavitySetId: group.cavitySetId };
    const side = face;
    untrack(() => work.askChance(of, side, [SEEDS[0], SEEDS[1]]));
  });
</script>

<div class="mx-auto mt-1 w-full max-w-[480px]" data-testid="range">
  {#if work.varies === false}
    <p class="text-ink-2" data-testid="no-chance">
      Nothing here is left to chance: on this side every piece looks like this one.
    </p>
  {:else}
    <div class="grid grid-cols-4 gap-2">
      {#each SEEDS as s (s)}
        <button
          class="rounded-md border p-1.5 {(seed ?? '1') === s ? 'border-verdigris' : 'border-rule'}"
          aria-pressed={(seed ?? '1') === s}
          aria-label="Piece {s}"
          onclick={() => (seed = s === '1' ? undefined : s)}
        >
          <PiecePicture {piece} {face} look={{ seed: s, vision }} size={160} letters={false} />
        </button>
      {/each}
    </div>
  {/if}
  {#if spread}
    <p class="mt-2 text-[0.95rem] text-ink-2" data-testid="spread">
      As far as pours here vary: ± {(spread.spread * 100).toFixed(0)} points of a face, by {spread.pieces} measured
      pieces.
    </p>
    <div class="mt-1 grid grid-cols-4 gap-2">
      {#each SEEDS as s (s)}
        <div class="rounded-md border border-rule p-1.5">
          <PiecePicture
            piece={{ ...piece, plan: withSpread(piece.plan, spread.spread, s) }}
            {face}
            look={{ seed: s, vision }}
            size={160}
            letters={false}
          />
        </div>
      {/each}
    </div>
  {/if}
</div>
