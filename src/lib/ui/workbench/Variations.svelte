<!-- Other pieces that the same pour may come to; where nothing of it is left to chance, that is said in place of copies. -->
<script lang="ts">
  import { onDestroy, untrack, type ComponentProps } from 'svelte';
  import type { Vision } from '$core/colour';
  import type { Face } from '$core/piece';
  import { PatternWork } from '../../plan/pattern-work.svelte';
  import PiecePicture from '../drawing/PiecePicture.svelte';

  let {
    piece,
    face,
    vision,
    seed = $bindable()
  }: {
    piece: ComponentProps<typeof PiecePicture>['piece'];
    face: Face;
    vision: Vision;
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
</div>
